import React from 'react'
import { writeFileSync } from 'node:fs'
import { renderToStaticMarkup } from 'react-dom/server'
import { chromium } from '@playwright/test'
import { CATALOGUE } from '@ellop/core'
import { PlantSketch } from '../web/src/drawing/plant/sketch'
import { CHROMIUM_LAUNCH } from '../e2e/browser'
void React
let html = '<body style="font:11px sans-serif;margin:8px;background:#fffef9"><div style="display:flex;flex-wrap:wrap;gap:6px">'
const step = Number(process.argv[3] ?? 5)
CATALOGUE.taxa.filter((_, i) => i % step === 0).forEach((t) => { html += `<div style="width:150px;text-align:center"><div style="height:150px">${renderToStaticMarkup(<PlantSketch taxon={t} />).replace('<svg', '<svg width="150" height="150"')}</div><i>${t.scientificName}</i></div>` })
writeFileSync('/tmp/sheet.html', html)
const b = await chromium.launch(CHROMIUM_LAUNCH); const p = await b.newPage({ viewport: { width: 1110, height: 900 } })
await p.goto('file:///tmp/sheet.html'); await p.screenshot({ path: process.argv[2], fullPage: true }); await b.close()
