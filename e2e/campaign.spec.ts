import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { connect } from 'node:net'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import Database from 'better-sqlite3'
import { tries } from '@/core/long.fixture'
import { PAGES } from '@/core/staff'
import { Shop } from './shop'

/**
 * The built app under what goes wrong: its power is cut, strangers send nonsense, others hold its file. A little in every run, all of
 * it with FERN_YARD_LONG=1; the figures stand in docs/reliability.md.
 */

const NOW = '2027-01-13T10:20:00Z'
const DEVICE = 'campaign-tablet'

let shop: Shop
test.beforeEach(async () => {
  shop = Shop.demo(NOW, { env: { FERN_YARD_LOG: 'silent' } })
  await shop.open(NOW)
})
test.afterEach(() => shop.remove())

/** What stands in the file, read by a connection of its own. */
function inFile<Value>(read: (db: Database.Database) => Value, { readonly = true } = {}): Value {
  const db = new Database(path.join(shop.data, 'fern-yard.db'), { readonly })
  try {
    return read(db)
  } finally {
    db.close()
  }
}

const anAgreedJob = () =>
  inFile((db) => db.prepare<[], { job_id: string }>('SELECT job_id FROM agreements LIMIT 1').get()!.job_id)

/** A tablet that sends payments of a cent, each under a number of its own. */
async function send(numbers: readonly number[], jobId: string): Promise<number> {
  const waiting = numbers.map((number) => ({
    id: `campaign-payment-${number}`,
    number,
    ago: 0,
    kind: 'call',
    action: 'handover.record-payment',
    input: { jobId, euros: 0.01, way: 'cash', note: `n${number}` },
    about: 'a payment',
  }))
  const answer = await fetch(`${shop.url}/api/queue`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: shop.url },
    body: JSON.stringify({ device: DEVICE, waiting }),
  })
  const told = (await answer.json()) as { next: number; outcomes: { taken: boolean }[] }
  expect(told.outcomes.every(({ taken }) => taken)).toBe(true)
  return told.next
}

/** The same numbers in every run of a test. */
function chance(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32
    return state / 2 ** 32
  }
}

test('its power is cut in the midst of writing: nothing acknowledged is lost, and nothing is there twice', async () => {
  test.setTimeout(tries(400_000, 14_400_000))
  const jobId = anAgreedJob()
  const draw = chance(7)
  const kills = tries(4, 1000)
  let next = 1
  let acknowledged = 0
  for (let cut = 0; cut < kills; cut++) {
    await shop.open(NOW)
    // Every other time it is cut as it starts, and every other time while it writes as fast as it can.
    const isWarm = cut % 2 === 1
    let hasTaken: () => void = () => undefined
    const taken = new Promise<void>((resolve) => {
      hasTaken = resolve
    })
    const power = (async () => {
      if (isWarm) await taken
      await new Promise((resolve) => setTimeout(resolve, draw() * (isWarm ? 300 : 1500)))
      await shop.kill()
    })()
    for (;;)
      try {
        const numbers = Array.from({ length: 1 + Math.floor(draw() * 4) }, (_, at) => next + at)
        next = await send(numbers, jobId)
        acknowledged = next - 1
        hasTaken()
      } catch {
        break
      }
    hasTaken()
    await power
    const kept = inFile((db) => db.prepare("SELECT note FROM payments WHERE note LIKE 'n%'").pluck().all())
    const each = new Set(kept)
    expect(each.size).toBe(kept.length)
    const lost = Array.from({ length: acknowledged }, (_, at) => `n${at + 1}`).filter(
      (note) => !each.has(note),
    )
    expect(lost).toEqual([])
    expect(inFile((db) => db.pragma('integrity_check', { simple: true }))).toBe('ok')
    if (kills > 10 && cut % 50 === 49)
      console.info(`power cuts: ${cut + 1}, acknowledged: ${acknowledged}, lost or doubled: 0`)
  }
  await shop.open(NOW)
  next = await send([next], jobId)
  const all = inFile((db) => db.prepare("SELECT count(*) FROM payments WHERE note LIKE 'n%'").pluck().get())
  expect(all).toBe(next - 1)
  if (kills > 10) console.info(`power cuts: ${kills}, payments: ${all}, lost or doubled: 0`)
})

const NONSENSE = [
  '',
  '%',
  '%00',
  '%ff%fe',
  '..%2f..%2fetc%2fpasswd',
  '__proto__',
  'constructor',
  "'; DROP TABLE jobs; --",
  '<script>alert(1)</script>',
  '\u202e\u0000',
  '9'.repeat(300),
  '🌿'.repeat(40),
  'null',
  '-1',
  '1e309',
]

test('nonsense is answered with a word, never with a fault, a stack or a path of the machine', async () => {
  test.setTimeout(tries(400_000, 3_600_000))
  const draw = chance(11)
  const any = <Each>(list: readonly Each[]): Each => list[Math.floor(draw() * list.length)]!
  const patterns = Object.keys(PAGES)
  const count = tries(300, 10_000)
  const wrong: string[] = []
  let asked = 0
  const one = async () => {
    const at = any(patterns).replaceAll(/:\w+|\*/g, () => encodeURIComponent(any(NONSENSE)) || 'x')
    const query = draw() < 0.4 ? `?${any(['to', 'size', 'version', 'show', 'page'])}=${any(NONSENSE)}` : ''
    const method = draw() < 0.3 ? 'POST' : 'GET'
    const headers: Record<string, string> = {
      accept: any(['text/html', '*/*', 'application/json']),
      ...(method === 'POST' ? { origin: any([shop.url, 'null', 'https://evil.example']) } : {}),
      ...(draw() < 0.2 ? { 'next-action': any(['x', '00'.repeat(21), '0'.repeat(400)]) } : {}),
      ...(draw() < 0.2 ? { rsc: '1' } : {}),
      ...(draw() < 0.1 ? { cookie: `fern-session=${encodeURIComponent(any(NONSENSE))}` } : {}),
      ...(method === 'POST' ? { 'content-type': any(['application/json', 'text/plain', 'image/jpeg']) } : {}),
    }
    const body =
      method === 'POST' ? JSON.stringify({ device: any(NONSENSE), waiting: [any(NONSENSE)] }) : null
    const answer = await fetch(`${shop.url}${at}${query}`, { method, headers, body, redirect: 'manual' })
    const text = await answer.text()
    asked += 1
    const isFault = answer.status >= 500 && answer.status !== 503
    if (isFault || /\n\s+at \S+ \(|node_modules|\/server\/[\w-]+\.ts/.test(text))
      wrong.push(`${answer.status} ${method} ${at}${query}`)
  }
  for (let at = 0; at < count; at += 10) await Promise.all(Array.from({ length: 10 }, one))
  expect(wrong).toEqual([])
  expect(asked).toBe(count)
  expect((await fetch(`${shop.url}/health`)).status).toBe(200)
})

test('what is no request at all is turned away, and the shop goes on', async () => {
  const port = Number(new URL(shop.url).port)
  for (const sent of [
    'TRACE / HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n',
    'GET /%E0%A4%A HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n',
    'GET http://evil.example/ HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n',
    'GET / HTTP/1.1\r\n\r\n',
    `GET /${'a'.repeat(20_000)} HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n`,
    'POST /api/queue HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n',
    'POST /api/queue HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 99999999999\r\n\r\n',
    '\u0016\u0003\u0001nonsense',
  ]) {
    const socket = connect(port, '127.0.0.1')
    socket.on('error', () => undefined)
    let said = ''
    socket.on('data', (piece) => {
      said += piece
    })
    socket.write(sent)
    await Promise.race([once(socket, 'close'), new Promise((resolve) => setTimeout(resolve, 3000))])
    socket.destroy()
    expect(said.slice(0, 15)).toMatch(/^(HTTP\/1\.1 4\d\d|$)/)
  }
  expect((await fetch(`${shop.url}/health`)).status).toBe(200)
})

/** A job that was agreed, and its car. */
const agreed = () =>
  inFile(
    (db) =>
      db
        .prepare<[], { job: string; vehicle: string }>(
          'SELECT job_id AS job, vehicle_id AS vehicle FROM agreements JOIN jobs ON jobs.id = job_id LIMIT 1',
        )
        .get()!,
  )

/** Every page and paper of a shop, of one job and its car. */
const pagesOf = (job: string, vehicle: string) =>
  Object.keys(PAGES).flatMap((pattern) => {
    if (/token|photos|calendars|static|icons|everything|tables|personal-data/.test(pattern)) return []
    const page = pattern
      .replace(':id', pattern.startsWith('/vehicles') ? vehicle : job)
      .replace(':table', 'jobs')
    return page.includes(':') ? [] : [page]
  })

/** Names that stand behind a question mark on one page or another. */
const ASKED =
  'before car change compare day from hold months package page panel phase plate shape show size span subject to vehicle version who wishes'.split(
    ' ',
  )

test('whatever stands behind the question mark, and however often, a page is answered', async () => {
  test.setTimeout(tries(400_000, 3_600_000))
  const { job, vehicle } = agreed()
  const wrong: string[] = []
  const values = [...NONSENSE.slice(0, tries(4, NONSENSE.length)), '0001-01-01', '9999-12-31', 'constructor']
  for (const page of pagesOf(job, vehicle))
    for (const value of [...new Set(values)]) {
      const once = ASKED.map((name) => `${name}=${encodeURIComponent(value)}`).join('&')
      const answer = await fetch(`${shop.url}${page}?${once}&${once}`, { headers: { accept: 'text/html' } })
      const text = await answer.text()
      if (answer.status >= 500 && answer.status !== 503) wrong.push(`${answer.status} ${page}: ${value}`)
      if (text.includes('Something went wrong')) wrong.push(`a fault on ${page}: ${value}`)
    }
  expect([...new Set(wrong)]).toEqual([])
})

test('texts that would break a page or a paper are shown as what they are', async () => {
  const mark = '"><img src=x onerror=alert(1)>\u202e{{7*7}}%s\n\ud83c\udf3f'
  await shop.close()
  inFile(
    (db) => {
      db.prepare('UPDATE customers SET name = ?, email = ?').run(mark, 'a@b.example')
      db.prepare('UPDATE vehicles SET make = ?, model = ?, colour = ?').run(mark, mark, mark)
      db.prepare('UPDATE jobs SET warnings = ?, belongings = ?, keys = ?').run(mark, mark, mark)
    },
    { readonly: false },
  )
  await shop.open(NOW)
  const { job, vehicle } = agreed()
  const wrong: string[] = []
  for (const page of pagesOf(job, vehicle)) {
    const answer = await fetch(`${shop.url}${page}`, { headers: { accept: 'text/html' } })
    const text = await answer.text()
    if (answer.status >= 500) wrong.push(`${answer.status} ${page}`)
    const isPage = answer.headers.get('content-type')?.startsWith('text/html')
    if (isPage && text.includes('<img src=x')) wrong.push(`unescaped on ${page}`)
  }
  expect(wrong).toEqual([])
})

test('while another program holds the file, pages are read, and what is written waits and is taken', async () => {
  const jobId = anAgreedJob()
  const other = new Database(path.join(shop.data, 'fern-yard.db'))
  other.exec('BEGIN IMMEDIATE')
  const order: string[] = []
  const written = send([1], jobId).then(() => order.push('written'))
  for (const page of ['/', '/work', '/schedule']) {
    expect((await fetch(`${shop.url}${page}`)).status).toBe(200)
    order.push('page')
  }
  other.exec('COMMIT')
  other.close()
  await written
  expect(order).toEqual(['page', 'page', 'page', 'written'])
})

test('a clock that goes back a day takes nothing with it', async () => {
  const jobId = anAgreedJob()
  await send([1], jobId)
  await shop.open('2027-01-12T10:20:00Z')
  await send([2], jobId)
  for (const page of ['/', '/work', '/schedule', '/shop/journal'])
    expect((await fetch(`${shop.url}${page}`)).status).toBe(200)
  expect(
    inFile((db) => db.prepare("SELECT note FROM payments WHERE note LIKE 'n%' ORDER BY id").pluck().all()),
  ).toHaveLength(2)
})

test('a second server on the same folder is sent off, and the first goes on', async () => {
  const second = spawn(process.execPath, [path.resolve(import.meta.dirname, '../scripts/server.mjs')], {
    env: { ...process.env, NODE_ENV: 'production', FERN_YARD_DATA: shop.data, PORT: '1' },
  })
  let said = ''
  second.stdout.on('data', (piece) => {
    said += piece
  })
  const [code] = await once(second, 'exit')
  expect(code).toBe(1)
  expect(said).toContain('already served')
  expect((await fetch(`${shop.url}/health`)).status).toBe(200)
})
