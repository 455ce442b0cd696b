import { defineConfig } from '@playwright/test'

/** The stories start their own servers on databases of their own, see e2e/shop.ts. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/stories',
  timeout: 400_000,
  expect: { timeout: 30_000 },
  workers: 2,
  forbidOnly: true,
  use: {
    actionTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-IE',
    timezoneId: 'Europe/Dublin',
    // A trace takes a sixth of the time: `npm run e2e -- --trace on` where a story needs to be looked into.
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    },
  },
})
