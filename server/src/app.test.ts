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
  it('has a stand-in weather station that tells the same days again, leaves some out, fails, and refuses what is no day', async () => {
    const ask = (more: string) =>
      get(`/station/weather?from=2027-01-01&today=2027-05-16&latitude_deg=47&elevation_m=1180${more}`)
    type Told = { days: { day: string; min_C: number; max_C: number }[] }
    const { days } = (await (await ask('')).json()) as Told
    expect([days.length, days[0]?.day, days.at(-1)?.day]).toEqual([146, '2027-01-01', '2027-05-26'])
    expect(days.every(({ min_C, max_C }) => min_C < max_C && min_C > -45 && max_C < 40)).toBe(true)
    const later = (await (
      await get('/station/weather?from=2027-05-01&today=2027-05-16&latitude_deg=47&elevation_m=1180')
    ).json()) as Told
    expect(later.days).toEqual(days.filter(({ day }) => day >= '2027-05-01'))
    expect(((await (await ask('&mode=gaps')).json()) as Told).days.length).toBeLessThan(days.length)
    expect((await ask('&mode=down')).status).toBe(503)
    const long = await get('/station/weather?from=0001-01-01&today=2027-05-16&latitude_deg=47&elevation_m=1180')
    expect([long.status, await long.json()]).toEqual([
      400,
      { message: 'from and today may be 1500 days apart at most. Ask for less at once.' },
    ])
    const refused = await get('/station/weather?from=soon&today=2027-05-16&latitude_deg=47&elevation_m=1180')
    expect([refused.status, await refused.text()]).toEqual([400, expect.stringContaining('must be days such as')])
  })
  it('has stand-in instruments that stream what they show, lose their signal, and refuse what is none', async () => {
    const truth = 'from=96&to=96&over_s=0&since_s=0&fast=20'
    const first = async (path: string) => {
      const answer = await get(path)
      expect(answer.headers.get('content-type')).toContain('text/event-stream')
      const reader = answer.body?.getReader()
      const said = new TextDecoder().decode((await reader?.read())?.value)
      await reader?.cancel()
      return JSON.parse(said.replace('data: ', '')) as { second: number; value?: number; lost?: boolean }
    }
    const told = await first(`/instruments/thermometer?${truth}`)
    expect(Math.abs((told.value ?? 0) - 96)).toBeLessThan(2)
    expect(await first(`/instruments/thermometer?${truth}`)).toEqual(told)
    expect(await first(`/instruments/scale?${truth}&mode=lost`)).toEqual({ second: 0, lost: true })
    expect((await get('/instruments/nose')).status).toBe(404)
    const refused = await get('/instruments/ph?from=x&to=4&over_s=0&since_s=0')
    expect([refused.status, await refused.json()]).toEqual([400, { message: 'from must be a number.' }])
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
