import { defineConfig } from '@playwright/test'
import { browserPath } from './scripts/browser.mjs'

/** Files that take a minute and more: they begin first, so that at the end nobody waits for one of them alone. */
const LONG = /(at-the-car|faults|readable|aftercare|backup|one-car|moving|quote|schedule|visit)\.spec\.ts$/

/**
 * Parts of the browser around the page. The popup of its address bar is two pages of their own, loaded anew with every window: a
 * sixth of the processor for what no story looks at. The rest is what Playwright leaves out by itself; a list of ours replaces its own.
 */
const LEFT_OUT = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
  'AimEnabled',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsFirstBalancedModeAutoEnable',
  'HttpsUpgrades',
  'LensOverlay',
  'MediaRouter',
  'NetworkTimeServiceQuerying',
  'OptimizationHints',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
]

/** The stories start their own servers on databases of their own, see e2e/shop.ts. */
export default defineConfig({
  projects: [
    { name: 'long', testMatch: LONG },
    { name: 'short', testIgnore: LONG },
  ],
  testDir: 'e2e',
  outputDir: 'test-results/stories',
  timeout: 400_000,
  expect: { timeout: 30_000 },
  workers: 2,
  // On a machine that others slow down, a page may be slower than any story waits. The last line of `npm test` says what was tried twice.
  retries: 1,
  forbidOnly: true,
  use: {
    actionTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-IE',
    timezoneId: 'Europe/Dublin',
    // A trace takes a sixth of the time: `npm run e2e -- --trace on` where a story needs to be looked into.
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: browserPath(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        `--disable-features=${LEFT_OUT.join(',')}`,
      ],
    },
  },
})
