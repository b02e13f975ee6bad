import { fileURLToPath } from 'node:url'
import { serve } from '@hono/node-server'
import { makeApp } from './app'

const DEFAULT_PORT = 4180
const HIGHEST_PORT = 65_535

const asked = process.env['PORT'] ?? String(DEFAULT_PORT)
const port = Number(asked)
if (!Number.isInteger(port) || port < 0 || port > HIGHEST_PORT) {
  console.error(`PORT is “${asked}”; it must be a whole number from 0 to ${HIGHEST_PORT}.`)
  process.exit(1)
}
const hostname = process.env['HOST'] ?? '127.0.0.1'
const server = serve(
  { fetch: makeApp(fileURLToPath(new URL('../../web/dist', import.meta.url))).fetch, port, hostname },
  (info) => {
    console.log(`Ellop is served at http://${hostname === '127.0.0.1' ? 'localhost' : hostname}:${info.port}`)
  },
)
server.on('error', (fault: NodeJS.ErrnoException) => {
  console.error(
    fault.code === 'EADDRINUSE'
      ? `Port ${port} is in use. Choose another one: PORT=${port + 1} npm start`
      : `The server could not start: ${fault.message}`,
  )
  process.exit(1)
})
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.close(() => process.exit(0)))
