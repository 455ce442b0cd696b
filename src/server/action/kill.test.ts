import { spawnSync } from 'node:child_process'
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { build } from 'esbuild'
import type { Knex } from 'knex'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { tries } from '@/core/long.fixture'
import { instantOrThrow } from '@/core/time'
import { connect } from '../db/connection'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { openRequests } from '../planning/plan-requests'
import type { Deed } from './kill-actions.fixture'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const ROOT = path.resolve(import.meta.dirname, '../../..')
const shop = demoShop(AT)

let folder: string
beforeAll(async () => {
  // Below the packages it needs; bundled, since it is begun many times.
  const cache = path.join(ROOT, 'node_modules/.cache')
  mkdirSync(cache, { recursive: true })
  folder = mkdtempSync(path.join(cache, 'fern-yard-kill-'))
  await build({
    absWorkingDir: ROOT,
    entryPoints: ['src/server/action/kill-actions.fixture.ts'],
    outfile: path.join(folder, 'kill-actions.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    // Next's own modules are found by their files where Next does not run.
    alias: { 'next/cache': 'next/cache.js', 'next/headers': 'next/headers.js' },
  })
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const key = (name: string) => `kill-campaign-${name}`

/** Deeds of every manner of writing: one row, many rows, over a version, with a plan asked for, and from a tablet. */
async function deeds(db: Knex): Promise<Deed[]> {
  const floor = await loadFloor(db, AT)
  const car = floor.jobs.find(({ job }) => job.vehicle.plate === 'IM 903')!
  const operation = car.live!.plan.operations.find(({ id }) => car.live!.progress[id]?.kind === 'started')!.id
  const [bottle] = await db('bottles').whereNull('gone_on').orderBy('code')
  const product = floor.shop.catalogue[0]!.id
  const action = (name: string, of: (Deed & { kind: 'action' })['action'], input: unknown): Deed => ({
    kind: 'action',
    key: key(name),
    action: of,
    input,
  })
  const act = (number: number, kind: object) => ({
    kind: 'act' as const,
    id: key(`act-${number}`),
    number,
    ago: 10_000 - number * 1000,
    job: car.job.id,
    by: 'merle',
    act: { operation, ...kind },
  })
  return [
    action('pay', 'recordPayment', { jobId: car.job.id, euros: 250, way: 'card', note: 'on the day' }),
    action('receive', 'receiveBottles', { productId: product, lot: 'KILL-7', ml: 50, count: 5 }),
    {
      kind: 'batch',
      key: key('batch'),
      batch: {
        device: key('tablet'),
        waiting: [
          act(1, { kind: 'section', panel: 'bonnet', count: 1, of: 4 }),
          act(2, { kind: 'pause', reason: 'break' }),
          act(3, { kind: 'resume' }),
          {
            kind: 'call',
            id: key('pay-at-the-car'),
            number: 4,
            ago: 1000,
            action: 'handover.record-payment',
            input: { jobId: car.job.id, euros: 40, way: 'cash', note: '' },
            about: 'a payment',
          },
        ],
      },
    },
    action('count', 'countBottle', { id: bottle!.id, ml: 11 }),
    action('reorder', 'setReorder', { productId: product, ml: 321 }),
    action('set', 'addSet', { kind: 'towel', name: 'Killed towels', count: 30, reorderAt: 5 }),
    action('pay-again', 'recordPayment', { jobId: car.job.id, euros: 12.5, way: 'cash', note: '' }),
  ]
}

/** What the deeds leave behind, without what is drawn by chance. */
async function left(db: Knex, all: readonly Deed[]) {
  const keys = all.map((deed) => deed.key)
  return {
    integrity: await db.raw('PRAGMA integrity_check'),
    broken: await db.raw('PRAGMA foreign_key_check'),
    journal: await db('action_journal')
      .whereIn('key', [...keys, key('pay-at-the-car')])
      .orderBy('key')
      .select('key', 'action'),
    payments: await db('payments').orderBy(['cents', 'note']).select('cents', 'way', 'note'),
    bottles: await db('bottles').where({ lot: 'KILL-7' }).count({ n: '*' }),
    acts: await db('acts')
      .where({ device: key('tablet') })
      .orderBy('position')
      .select('id', 'at', 'act'),
    next: await db('devices')
      .where({ id: key('tablet') })
      .select('next'),
    counted: await db('bottles').orderBy('code').select('code'),
    reorder: await db('reorder_points').orderBy('product_id').select(),
    sets: await db('supplies').where({ name: 'Killed towels' }).count({ n: '*' }),
    refused: await db('refused_entries').count({ n: '*' }),
    requests: (await openRequests(db)).map(({ cause, jobs }) => ({ cause, jobs })),
  }
}

test('killed before any statement, a deed is done wholly or not at all, and done again it is done once', async () => {
  await shop.db.raw('PRAGMA wal_checkpoint(TRUNCATE)')
  const all = await deeds(shop.db)
  const script = path.join(folder, 'deeds.json')
  writeFileSync(script, JSON.stringify(all))
  const fresh = (name: string) => {
    const file = path.join(folder, name)
    for (const tail of ['-wal', '-shm']) rmSync(file + tail, { force: true })
    copyFileSync(path.join(shop.folder, 'fern-yard.db'), file)
    return file
  }
  const run = (file: string, nth: number) => {
    const child = spawnSync(
      process.execPath,
      [path.join(folder, 'kill-actions.mjs'), file, AT, script, String(nth)],
      { cwd: ROOT, encoding: 'utf8', env: { ...process.env, FERN_YARD_LOG: 'silent' } },
    )
    if (child.status !== 0 && child.signal !== 'SIGKILL') throw new Error(child.stderr)
    const told = child.stdout.split('\n').filter(Boolean)
    return { killed: child.signal === 'SIGKILL', told: told.map((line) => JSON.parse(line)) }
  }
  const look = async (file: string) => {
    const db = connect(file)
    const state = await left(db, all)
    await db.destroy()
    return state
  }

  // As if nothing had happened.
  const calm = fresh('calm.db')
  expect(run(calm, 1_000_000).told.map(({ key: name }) => name)).toEqual(all.map((deed) => deed.key))
  const whole = await look(calm)
  expect(whole.journal).toHaveLength(all.length)
  expect(whole).toMatchObject({ integrity: [{ integrity_check: 'ok' }], broken: [], refused: [{ n: 0 }] })
  expect(whole.bottles).toEqual([{ n: 5 }])
  expect(whole.acts).toHaveLength(3)

  let kills = 0
  let nth = 1
  const most = tries(20, 300)
  while (kills < most) {
    const file = fresh('killed.db')
    // Killed again and again, each time a little further on, until all is done.
    for (let from = nth; ; from += 7) {
      const { killed, told } = run(file, from)
      const state = await look(file)
      expect(state.integrity).toEqual([{ integrity_check: 'ok' }])
      expect(state.broken).toEqual([])
      expect([0, 5]).toContain(Number(state.bottles[0]!.n))
      // What was answered stands; of what was not, all of it or nothing.
      const done = state.journal.map((row) => row.key)
      for (const { key: name } of told) if (name !== key('batch')) expect(done).toContain(name)
      expect([0, 3]).toContain(state.acts.length)
      expect(state.acts.length === 3).toBe(done.includes(key('pay-at-the-car')))
      if (!killed) break
      kills += 1
    }
    expect(await look(file)).toEqual(whole)
    nth += 3
  }
  expect(kills).toBeGreaterThanOrEqual(most)
})
