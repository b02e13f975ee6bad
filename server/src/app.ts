import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { serveStatic } from '@hono/node-server/serve-static'
import { Hono, type Context } from 'hono'
import { compress } from 'hono/compress'
import { instruments } from './instruments'
import { station } from './station'

const A_YEAR_s = 31_536_000
const NONCE_BYTES = 18

/** What runs without a page (the one that keeps the application in the browser, the one that computes) may fetch the application, and nothing else. */
const WORKER_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'"

/** What pages may load: only what this server ships. Styles made at run time carry the page's own nonce. */
function contentPolicy(nonce: string): string {
  return [
    "default-src 'none'",
    "script-src 'self'",
    `style-src 'self' 'nonce-${nonce}'`,
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ')
}

/**
 * The server of the built application: every path that is not a file answers with the page.
 *
 * Hashed files are kept by browsers for a year, the page itself is asked for every time; everything is compressed, what was compressed at the build as it stands.
 * @param dist folder of the built application.
 */
export function makeApp(dist: string): Hono {
  // Read each time: a page of before a rebuild would name files that are gone.
  const page = () => readFileSync(join(dist, 'index.html'), 'utf8')
  const app = new Hono()
  app.use(compress())
  app.use(async (context, next) => {
    await next()
    context.header('X-Content-Type-Options', 'nosniff')
    context.header('Referrer-Policy', 'no-referrer')
    context.header('Cross-Origin-Opener-Policy', 'same-origin')
    context.header('Permissions-Policy', 'camera=(), microphone=(), geolocation=()')
    if (context.res.headers.get('Content-Security-Policy') === null)
      context.header('Content-Security-Policy', isWorker(context.req.path) ? WORKER_POLICY : "default-src 'none'")
    if (context.req.path.startsWith('/assets/') && context.res.status === 200)
      context.header('Cache-Control', `public, max-age=${A_YEAR_s}, immutable`)
    else if (context.res.headers.get('Cache-Control') === null) context.header('Cache-Control', 'no-cache')
  })
  app.route('/station', station)
  app.route('/instruments', instruments)
  app.get('/index.html', (context) => sendPage(context, page()))
  app.get('/', (context) => sendPage(context, page()))
  app.use('/*', serveStatic({ root: dist, precompressed: true }))
  app.get('/*', (context) =>
    /\.[a-z0-9]+$/i.test(context.req.path)
      ? context.text('There is no such file here.', 404)
      : sendPage(context, page()),
  )
  return app
}

function isWorker(path: string): boolean {
  return path === '/sw.js' || /^\/assets\/[^/]+\.worker-[^/]+\.js$/.test(path)
}

function sendPage(context: Context, page: string): Response | Promise<Response> {
  const nonce = randomBytes(NONCE_BYTES).toString('base64')
  context.header('Content-Security-Policy', contentPolicy(nonce))
  context.header('Cache-Control', 'no-cache')
  return context.html(page.replace('__STYLE_NONCE__', nonce))
}
