import { defineConfig } from '@playwright/test'
import { CHROMIUM_LAUNCH } from './e2e/browser'

const PORT = 4191

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  timeout: 120_000,
  expect: { timeout: 10_000 },
  workers: 2,
  // The longest first, so that no processor waits for them in the end.
  projects: [
    { name: 'durable', testMatch: 'durable.spec.ts' },
    { name: 'walks', testIgnore: 'durable.spec.ts' },
  ],
  fullyParallel: true,
  use: {
    baseURL: `http://localhost:${PORT}`,
    launchOptions: CHROMIUM_LAUNCH,
    viewport: { width: 1280, height: 800 },
    // Kept back but where it is tested: each test would fetch all of the application anew.
    serviceWorkers: 'block',
    // A trace copies the page at every act and doubles the work: asked for where a walk fails, with --trace on.
    trace: 'off',
    screenshot: 'only-on-failure',
  },
  webServer: {
    command: 'npx tsx server/src/bin.ts',
    url: `http://localhost:${PORT}`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
  },
})
