import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { request } from 'node:https'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import { certificateFor } from '../scripts/authority.mjs'
import { setUpOwner } from './owner'
import { Shop } from './shop'

/** The example of a proxy as it ships, run by nginx itself where the machine has it: which door leads where. */

const NGINX = '/usr/sbin/nginx'
const NOW = '2027-01-13T10:20:00Z'

test.skip(!existsSync(NGINX), 'needs nginx')

let shop: Shop
let folder: string
let port: number
let nginx: ReturnType<typeof spawn> | undefined
test.beforeAll(async ({ browser }) => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-proxy-'))
  port = await new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const at = probe.address()
      probe.close(() => resolve(typeof at === 'object' && at ? at.port : 0))
    })
  })
  shop = Shop.demo(NOW, { env: { FERN_YARD_NAMES: 'yard.example' } })
  await shop.open(NOW)
  const desk = await browser.newPage()
  await setUpOwner(desk, shop.url)
  await desk.close()
  await shop.serveTo(
    {
      FERN_YARD_PROXY: '127.0.0.1',
      FERN_YARD_NAMES: 'yard.example',
      FERN_YARD_PUBLIC_URL: `https://cars.example:${port}`,
    },
    NOW,
  )
  await certificateFor(folder, { names: ['localhost', 'cars.example', 'yard.example'], addresses: [] })
  const example = readFileSync(path.resolve(import.meta.dirname, '../docs/examples/proxy.conf'), 'utf8')
    .replace('listen 443', `listen 127.0.0.1:${port}`)
    .replace('/etc/ssl/fern-yard.crt', path.join(folder, 'tls/shop.crt'))
    .replace('/etc/ssl/fern-yard.key', path.join(folder, 'tls/shop.key'))
    .replace('http://127.0.0.1:3210', shop.url)
  const temp = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
    (name) => `${name}_temp_path ${folder}/${name};`,
  )
  writeFileSync(
    path.join(folder, 'nginx.conf'),
    `daemon off; pid ${folder}/pid; error_log ${folder}/error.log; events {} http { access_log off; ${temp.join(' ')} ${example} }`,
  )
  nginx = spawn(NGINX, ['-c', path.join(folder, 'nginx.conf')], { stdio: 'ignore' })
  await expect.poll(() => status('yard.example', '/health')).toBe(200)
})
test.afterAll(async () => {
  nginx?.kill()
  await shop.remove()
  rmSync(folder, { recursive: true, force: true })
})

/** What is answered under a name, asked to the letter: no dots are resolved on the way. */
const status = (host: string, at: string, headers: Record<string, string> = {}, method = 'GET') =>
  new Promise<number>((resolve) => {
    const asked = request(
      {
        host: '127.0.0.1',
        port,
        path: at,
        method,
        servername: host,
        rejectUnauthorized: false,
        headers: { host: `${host}:${port}`, ...headers },
      },
      (answer) => {
        answer.resume()
        resolve(answer.statusCode ?? 0)
      },
    )
    asked.once('error', () => resolve(0))
    asked.end(method === 'POST' ? '[]' : undefined)
  })

test('the shop’s own name leads into the shop, the owners’ name to their pages alone, any other nowhere', async () => {
  expect(await status('yard.example', '/sign-in')).toBe(200)
  expect(await status('yard.example', '/work')).toBe(401)
  for (const at of ['/', '/vehicles', '/O/x', '/o/../vehicles', '/sign-in', '/api/revision'])
    expect(await status('cars.example', at), at).toBe(404)
  expect(await status('evil.example', '/work')).toBe(421)
})

test('no action is run from outside, whatever path and header it comes with', async () => {
  const action = { 'next-action': '00'.repeat(21), 'content-type': 'text/plain', 'content-length': '2' }
  for (const at of ['/_next/static/x', '/o/x', '/', '/_next/static/../../'])
    expect(
      await status('cars.example', at, { ...action, origin: `https://cars.example:${port}` }, 'POST'),
      at,
    ).toBe(403)
  expect(await status('yard.example', '/', { ...action, origin: 'https://evil.example' }, 'POST')).toBe(403)
})
