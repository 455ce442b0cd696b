import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { gunzipSync } from 'node:zlib'
import type { Knex } from 'knex'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { cardOf, workOn } from '@/core/card'
import { toOperationId } from '@/core/ids'
import { METRIC, regionSchema } from '@/core/region'
import { instantOrThrow } from '@/core/time'
import { jobOnFloor, loadFloor } from '../floor/floor'
import { unreadRefused } from '../queue/refused-store'
import { loadCardView } from '../work/card'
import { connect } from './connection'
import { MIGRATIONS, migrate } from './migrations'

/** A demo shop as it was written before there was a journal of actions, with acts, a payment and a refused act in it. */

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const BEFORE = path.join(import.meta.dirname, 'demo-of-before.db.gz')

/** What the yard said of each car then. */
const STAGES = {
  'IM 7341': 'handed-over',
  'IM 4471': 'between',
  'IM 3380': 'working',
  'IM 903': 'working',
  'IM 2206': 'between',
  'IM 1154': 'ready',
  'IM 77': 'planned',
  'IM 5012': 'to-choose',
  'IM 6127': 'to-measure',
}

type Rows = Record<string, Record<string, unknown>[]>

let folder: string
let db: Knex
let before: Rows
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-before-'))
  const file = path.join(folder, 'shop.db')
  writeFileSync(file, gunzipSync(readFileSync(BEFORE)))
  db = connect(file)
  before = await everyRow()
  await migrate(db, MIGRATIONS)
})
afterAll(async () => {
  await db.destroy()
  rmSync(folder, { recursive: true, force: true })
})

async function everyRow(): Promise<Rows> {
  const tables: { name: string }[] = await db('sqlite_master')
    .where({ type: 'table' })
    .whereNot('name', 'like', 'sqlite_%')
  const rows: Rows = {}
  for (const { name } of tables) rows[name] = await db(name)
  return rows
}

test('every row of before is there after, and only what was refused has moved', async () => {
  const after = await everyRow()
  const known = ({ conflict }: Record<string, unknown>) => (conflict ?? null) === null
  for (const [table, rows] of Object.entries(before)) {
    if (table === 'shop') continue
    const kept = table === 'acts' ? rows.filter(known) : rows
    expect(after[table], table).toEqual(
      table === 'migrations' ? expect.arrayContaining(kept) : kept.map((row) => expect.objectContaining(row)),
    )
  }
  expect(before.acts!.filter((row) => !known(row)).map(({ id }) => id)).toEqual(['act-of-before-3'])
  expect(after.refused_entries!.map(({ id }) => id)).toEqual(['act-of-before-3'])
})
test('the shop stands where it stood, with its zone and its currency in one place', async () => {
  const read = ({ setup }: Record<string, unknown>) => JSON.parse(setup as string)
  const { timezone, currency, ...rest } = read(before.shop![0]!)
  const { taxPercent, ...rates } = rest.rates
  const tax = {
    name: 'VAT',
    percent: { work: taxPercent, products: taxPercent, subcontractors: taxPercent },
    prices: 'before-tax',
  }
  const { region, ...kept } = read((await everyRow()).shop![0]!)
  const packages = rest.packages.map((each: { pitch: string }) => ({ ...each, pitch: { en: each.pitch } }))
  expect(kept).toEqual({ ...rest, packages, rates: { ...rates, tax } })
  expect(regionSchema.parse(region)).toMatchObject({ locale: 'en-IE', timezone, currency, units: METRIC })
})
test('each car stands where it stood', async () => {
  const { jobs } = await loadFloor(db, NOW)
  const stages = Object.fromEntries(jobs.map(({ job, stage }) => [job.vehicle.plate, stage.kind]))
  expect(stages).toMatchObject(STAGES)
  expect(jobs).toHaveLength(21)
})
test('the card of a car goes on from what was ticked; what nobody took has been told already', async () => {
  const floor = await loadFloor(db, NOW)
  const { id } = floor.jobs.find(({ job }) => job.vehicle.plate === 'IM 903')!.job
  const view = (await loadCardView(db, floor, (await jobOnFloor(db, floor, id))!))!
  const card = cardOf(view.live, view.entries)
  expect(workOn(card, toOperationId('cut'))).toMatchObject({ sections: { bonnet: { done: 2 } }, towels: 1 })
  expect(card.progress.cut).toMatchObject({ kind: 'started' })
  expect(view.entries.map((entry) => entry.id)).toEqual(['act-of-before-1', 'act-of-before-2'])
  expect(await unreadRefused(db)).toEqual([])
})
