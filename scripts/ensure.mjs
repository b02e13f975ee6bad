import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { fileURLToPath } from 'node:url'
import { join } from 'node:path'

/** The top of the repository. */
export const ROOT = fileURLToPath(new URL('..', import.meta.url))
export const CHROMIUM = '/usr/bin/chromium'

/** Runs a command; its output goes where `stdio` says. Returns its exit code. */
export function run(command, args, { stdio = 'inherit', env = process.env } = {}) {
  return spawnSync(command, args, { cwd: ROOT, stdio, env }).status ?? 1
}

/** Installs what the lock file names, unless that was done before. Output goes to standard error, so pipes stay clean. */
export function ensureModules() {
  const stamp = join(ROOT, 'node_modules', '.ellop-lock')
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  if (run('npm', ['ci', '--no-audit', '--no-fund'], { stdio: ['ignore', 2, 2] }) !== 0) {
    console.error('npm ci failed: the packages could not be installed. Is the npm registry reachable?')
    process.exit(1)
  }
  writeFileSync(stamp, lock)
}

/** Installs Debian's Chromium for the interface tests, unless it is there. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const done =
    run('apt-get', ['update', '-q'], { env }) === 0 &&
    run('apt-get', ['install', '-y', '-q', '--no-install-recommends', 'chromium'], { env }) === 0
  if (!done || !existsSync(CHROMIUM)) {
    console.error(
      'Chromium could not be installed from Debian’s packages. Install the package "chromium" as root and try again.',
    )
    process.exit(1)
  }
}

/** Builds the web application when it is missing or older than its sources. */
export function ensureBuilt({ always = false } = {}) {
  const built = join(ROOT, 'web', 'dist', 'index.html')
  const newest = spawnSync('git', ['ls-files', '-z', 'web', 'core', 'demo', 'package-lock.json'], {
    cwd: ROOT,
    encoding: 'utf8',
  })
    .stdout.split('\0')
    .filter(Boolean)
    .map((file) => join(ROOT, file))
    .filter((file) => existsSync(file))
    .reduce((latest, file) => Math.max(latest, statSync(file).mtimeMs), 0)
  if (!always && existsSync(built) && statSync(built).mtimeMs > newest) return
  if (run('npx', ['vite', 'build', 'web', '--logLevel', 'warn']) !== 0) process.exit(1)
}
