import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync, constants } from 'node:zlib'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

const FLORA = fileURLToPath(new URL('../core/src/flora', import.meta.url))
const ROOT = fileURLToPath(new URL('..', import.meta.url))
const DEMO = join(ROOT, 'demo/src/index.ts')
const HASH_LENGTH = 10
const LONGEST_BOOK_B = 20_000_000
/** Below it the header costs more than is saved. */
const WORTH_COMPRESSING_B = 2000
const BROTLI = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }

const hashOf = (source: string) => createHash('sha256').update(source).digest('hex').slice(0, HASH_LENGTH)

/**
 * The catalogue as one file of data that the page fetches, in place of a script that holds it: records are most of the bytes,
 * and a browser reads JSON many times faster than a program.
 */
function catalogueAsData(): Plugin {
  const records = readdirSync(join(FLORA, 'records'))
    .sort()
    .map((file) => JSON.parse(readFileSync(join(FLORA, 'records', file), 'utf8')) as unknown)
  const [, revision = ''] = /revision: '([^']+)'/.exec(readFileSync(join(FLORA, 'records.ts'), 'utf8')) ?? []
  const source = JSON.stringify({ revision, taxa: records })
  const fileName = `assets/catalogue-${hashOf(source)}.json`
  return {
    name: 'catalogue-as-data',
    apply: 'build',
    // Asked for with the first scripts: else the page would learn of it only when all of them have come.
    transformIndexHtml: () => [
      {
        tag: 'link',
        attrs: { rel: 'preload', as: 'fetch', crossorigin: 'anonymous', href: `/${fileName}` },
        injectTo: 'head',
      },
    ],
    load(id) {
      if (id !== join(FLORA, 'records.ts')) return null
      this.emitFile({ type: 'asset', fileName, source })
      return `const answer = await fetch('/${fileName}')
if (!answer.ok) throw new Error('The catalogue could not be read: ' + answer.status)
export const CATALOGUE = await answer.json()`
    },
  }
}

/** The demonstration as it was written at the build, the same from the same seed: writing it anew took a third of the opening. */
function demoAsData(): Plugin {
  return {
    name: 'demo-as-data',
    apply: 'build',
    load(id) {
      if (id !== DEMO) return null
      const source = execFileSync(process.execPath, ['--import', 'tsx', 'scripts/demoBook.ts'], {
        cwd: ROOT,
        encoding: 'utf8',
        maxBuffer: LONGEST_BOOK_B,
      })
      const fileName = `assets/demo-${hashOf(source)}.json`
      this.emitFile({ type: 'asset', fileName, source })
      return `const answer = await fetch('/${fileName}')
if (!answer.ok) throw new Error('The demonstration could not be read: ' + answer.status)
const { opensAt, entries } = await answer.json()
export const DEMO_OPENS_AT = opensAt
export const makeDemoBook = () => entries`
    },
  }
}

/** Beside each hashed file the same file compressed, so that the server need not do it for each who asks. */
function compressedOnce(): Plugin {
  return {
    name: 'compressed-once',
    apply: 'build',
    writeBundle({ dir = '' }, bundle) {
      for (const file of Object.values(bundle)) {
        const content = file.type === 'chunk' ? file.code : file.source
        if (content.length < WORTH_COMPRESSING_B || !/\.(js|css|json)$/.test(file.fileName)) continue
        writeFileSync(join(dir, `${file.fileName}.br`), brotliCompressSync(content, BROTLI))
      }
    },
  }
}

export default defineConfig({
  plugins: [
    react(),
    catalogueAsData(),
    demoAsData(),
    compressedOnce(),
    VitePWA({
      // A new version is offered, never forced: a step may be running.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Ellop',
        short_name: 'Ellop',
        description: 'A kitchen log with eight gates for wild food cooks',
        start_url: '/basket',
        display: 'standalone',
        background_color: '#f5f0e4',
        theme_color: '#24342e',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['index.html', 'mark.svg', 'assets/*.{js,css,json,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/station\//, /^\/instruments\//],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
  worker: { format: 'es', plugins: () => [catalogueAsData()] },
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1600,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // What every place needs, in one file: thirty would each be asked for, compiled and linked by themselves.
          groups: [
            // It reads the stored book while the program is fetched and compiled: the page has a script tag for each of the two.
            { name: 'early', test: /\/book\/early\.ts$/, priority: 1 },
            // If the others do not come, it says so.
            { name: 'opening', test: /\/app\/opening\.ts$/, priority: 1 },
            { name: 'first', tags: ['$initial'] },
          ],
        },
      },
    },
  },
})
