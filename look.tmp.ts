import { chromium } from '@playwright/test'
const [url, out, w, h, ...paths] = process.argv.slice(2)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] })
const page = await browser.newPage({ viewport: { width: +w!, height: +h! }, locale: 'en-IE', timezoneId: 'Europe/Dublin' })
page.on('pageerror', (e) => console.log('ERR', e.message)); page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()))
for (const spec of paths) { const [p, name, full] = spec.split('@'); await page.goto(url + p!); await page.waitForLoadState('networkidle'); await page.waitForTimeout(300); await page.screenshot({ path: `${out}/${name}.png`, fullPage: full === 'full' }); console.log(name, page.url()); if (full) console.log((await page.locator('body').innerText()).replace(/\n{2,}/g, '\n')) }
await browser.close()
