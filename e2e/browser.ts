import type { Page } from '@playwright/test'

/** How Debian's Chromium is started, for tests and pictures alike. */
export const CHROMIUM_LAUNCH = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

/** Waits until the browser keeps all of the application, for when there is no network. */
export async function allKept(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready
    if (active?.state !== 'activated')
      await new Promise((done) => active?.addEventListener('statechange', () => done(undefined), { once: true }))
  })
}
