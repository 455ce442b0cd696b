import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, type Locator, type Page, test } from '@playwright/test'
import { Shop } from './shop'

/** A shop that burns down and comes back: from the file its own page made, with every page as it was. */

const NOW = '2027-01-13T10:20:00Z'
const ROOT = path.resolve(import.meta.dirname, '..')

let home: string
let shop: Shop
let again: Shop | undefined
let env: Record<string, string>

test.beforeEach(async () => {
  home = mkdtempSync(path.join(tmpdir(), 'fern-yard-fire-'))
  writeFileSync(path.join(home, 'secret'), 'five gulls on a wet roof\n')
  env = {
    FERN_YARD_BACKUPS: path.join(home, 'kept'),
    FERN_YARD_BACKUP_PASSPHRASE_FILE: path.join(home, 'secret'),
  }
  shop = Shop.demo(NOW, { past: true, env })
  await shop.open(NOW)
})
test.afterEach(async () => {
  await shop.remove()
  await again?.remove()
  rmSync(home, { recursive: true, force: true })
})

const yard = (...args: string[]) =>
  JSON.parse(
    execFileSync(process.execPath, ['--import', 'tsx', path.join(ROOT, 'cli/yard.ts'), ...args], {
      cwd: ROOT,
      encoding: 'utf8',
    }),
  )

/** Every page of a shop that is worth a look, with the pages of some of its cars and jobs. */
async function pagesOf(page: Page, { url }: Shop): Promise<string[]> {
  const linked = async (from: string, to: RegExp) => {
    await page.goto(`${url}${from}`)
    const links = await page
      .getByRole('main')
      .getByRole('link')
      .evaluateAll((all) => all.map((link) => link.getAttribute('href') ?? ''))
    return [...new Set(links.flatMap((link) => link.match(to)?.[0] ?? []))]
  }
  const cars = (await linked('/vehicles', /^\/vehicles\/[\w-]+/)).slice(0, 1)
  const jobs = (await linked('/work', /^\/jobs\/[\w-]+/)).slice(0, 2)
  return [
    ...['/', '/work', '/schedule', '/vehicles', '/aftercare', '/aftercare?show=all', '/stock'],
    ...['/shop', '/shop/crew', '/shop/prices', '/shop/packages', '/shop/products'],
    ...cars.flatMap((car) => ['', '/paint', '/history', '/owner'].map((room) => `${car}${room}`)),
    ...jobs.flatMap((job) =>
      ['/walk', '/survey', '/plan', '/quote', '/work', '/handover'].map((room) => `${job}${room}`),
    ),
  ]
}

/** What is read once nothing more comes: some pages work something out after they have opened. */
async function settled(main: Locator): Promise<string> {
  for (let before = ''; ; await main.page().waitForTimeout(400)) {
    const now = (await main.textContent()) ?? ''
    if (now === before) return now
    before = now
  }
}

/** What stands on a page, and the pictures on it. */
async function seen(page: Page, from: Shop, at: string): Promise<string> {
  const { url } = from
  from.againNow()
  await page.goto(`${url}${at}`)
  const main = page.getByRole('main')
  const text = await settled(main)
  const pictures = await main
    .locator('img[src^="/"]')
    .evaluateAll((all) => all.map((each) => each.getAttribute('src')!))
  const hashes: string[] = []
  for (const picture of pictures.slice(0, 6)) {
    const answer = await page.request.get(`${url}${picture}`)
    hashes.push(
      `${answer.status()} ${createHash('sha256')
        .update(await answer.body())
        .digest('hex')}`,
    )
  }
  return [text, ...hashes].join('\n')
}

test('a backup made by button, encrypted, is tried, restored elsewhere, and shows every page as it was', async ({
  page,
}) => {
  await page.goto(`${shop.url}/shop/backups`)
  await expect(page.getByText('There is none yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Make one now' }).click()
  const row = page.getByRole('listitem').filter({ hasText: '.tar.gz.age' })
  await expect(row).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'Try whether the latest can be restored' }).click()
  await expect(page.getByText('is whole: it can be restored')).toBeVisible({ timeout: 60_000 })
  const file = path.join(home, 'kept', (await row.textContent())!.match(/fern-yard-\w+\.tar\.gz\.age/)![0])

  await page.goto(shop.url)
  await expect(page.getByText(/Last backup: 10:2\d/)).toBeVisible()
  const pages = await pagesOf(page, shop)
  expect(pages.length).toBeGreaterThan(22)
  for (const at of pages) await page.goto(`${shop.url}${at}`)
  const before = new Map<string, string>()
  for (const at of pages) before.set(at, await seen(page, shop, at))
  await shop.close()

  const scratch = path.join(home, 'scratch')
  const restored = yard('restore', file, '--data', scratch, '--passphrase-file', path.join(home, 'secret'))
  expect(restored.restored).toBe(scratch)
  expect(yard('journal', '--data', scratch).broken).toBeUndefined()
  again = Shop.of(scratch, env)
  await again.open(NOW)
  const back = again
  // Chances are rehearsed beside the pages, and stand there once they are known.
  for (const [at, stood] of before)
    await expect.poll(() => seen(page, back, at), { message: at, timeout: 60_000 }).toBe(stood)
})
