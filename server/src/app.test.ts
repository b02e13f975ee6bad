import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { makeApp } from './app'

const dist = mkdtempSync(join(tmpdir(), 'ellop-'))
mkdirSync(join(dist, 'assets'))
writeFileSync(
  join(dist, 'index.html'),
  `<meta name="style-nonce" content="__STYLE_NONCE__"><p>${'page '.repeat(500)}</p>`,
)
writeFileSync(join(dist, 'assets', 'a-1.js'), `"${'x'.repeat(4000)}"`)
const app = makeApp(dist)
const get = (path: string, headers: Record<string, string> = {}) => app.request(path, { headers })

describe('the server', () => {
  it('answers places with the page, under a strict policy with a nonce of its own each time', async () => {
    const nonces = await Promise.all(
      ['/', '/basket', '/lot/27-001'].map(async (path) => {
        const answer = await get(path)
        const policy = answer.headers.get('content-security-policy') ?? ''
        const nonce = /'nonce-([^']+)'/.exec(policy)?.[1] ?? ''
        expect(answer.status).toBe(200)
        expect(answer.headers.get('cache-control')).toBe('no-cache')
        expect(policy).toContain("default-src 'none'; script-src 'self'; style-src 'self' 'nonce-")
        expect(policy).not.toMatch(/unsafe|\*/)
        expect(await answer.text()).toContain(`content="${nonce}"`)
        return nonce
      }),
    )
    expect(new Set(nonces).size).toBe(3)
  })
  it('lets hashed files be kept for a year, compressed, and knows no others', async () => {
    const file = await get('/assets/a-1.js', { 'Accept-Encoding': 'gzip' })
    expect([
      file.status,
      file.headers.get('cache-control'),
      file.headers.get('content-encoding'),
      file.headers.get('x-content-type-options'),
    ]).toEqual([200, 'public, max-age=31536000, immutable', 'gzip', 'nosniff'])
    const missing = await get('/assets/b-2.js')
    expect([missing.status, missing.headers.get('cache-control')]).toEqual([404, 'no-cache'])
    expect((await get('/../../package.json')).status).not.toBe(500)
    expect(await (await get('/..%2f..%2fpackage.json')).text()).not.toContain('workspaces')
  })
})
