import React from 'react'
import { writeFileSync } from 'node:fs'
import { renderToStaticMarkup } from 'react-dom/server'
import { chromium } from '@playwright/test'
import { CHARACTERS, plainWords } from '@ellop/core'
import { drawState } from '../web/src/drawing/plant'
import { CHROMIUM_LAUNCH } from '../e2e/browser'
const [out, only] = process.argv.slice(2)
void React
let html = '<body style="font:11px sans-serif;margin:8px;background:#fffef9"><div style="display:flex;flex-wrap:wrap;gap:4px">'
let n = 0
const missing = []
for (const [c, def] of Object.entries(CHARACTERS)) {
  if (only && !only.split(',').includes(c)) continue
  const all = def.states.map((s) => [s, drawState(c, s)] as const)
  if (all.every(([, d]) => d === undefined)) continue
  html += `<div style="width:100%;font-weight:bold">${c}</div>`
  for (const [s, d] of all) { if (d === undefined) { missing.push(c + ':' + s); continue } n++; html += `<div style="width:92px;text-align:center"><svg viewBox="0 0 80 80" width="88" height="88">${renderToStaticMarkup(d as never)}</svg><div>${plainWords(s)}</div></div>` }
}
console.log(n, 'drawn', missing)
writeFileSync('/tmp/sheet.html', html)
const b = await chromium.launch(CHROMIUM_LAUNCH); const p = await b.newPage({ viewport: { width: 1010, height: 900 } })
await p.goto('file:///tmp/sheet.html'); await p.screenshot({ path: out, fullPage: true }); await b.close()
