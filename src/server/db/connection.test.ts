import { copyFileSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { copyShop } from '@demo/copy'
import { loadDemo } from '@demo/generate'
import type { Knex } from 'knex'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { type JobId, type OperationId, toOperationId, toPersonId, toProductId } from '@/core/ids'
import { type Intake, intakeSchema } from '@/core/intake/intake'
import { nimble } from '@/core/intake/intake.fixture'
import { tries } from '@/core/long.fixture'
import { emptyRecord, type SurveyRecord } from '@/core/survey'
import { instantOrThrow, plusMinutes } from '@/core/time'
import { loadFloor } from '../floor/floor'
import { findJob, takeIn } from '../floor/job-store'
import { loadWorked, offersFor, whenForPlan } from '../quotes/offers'
import { loadSurvey, saveSurvey } from '../survey/survey-store'
import { loadProgress, recordFinish, recordStart, restore } from '../work/work-store'
import { connect, openDatabase } from './connection'
import { databaseFile } from './data-folder'
import { MIGRATIONS, migrate } from './migrations'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const INTAKE: Intake = { ...nimble, vin: '1m8gdm9a xkp042788' }

let folder: string
let db: Knex
let demoFolder: string
beforeAll(async () => {
  demoFolder = mkdtempSync(path.join(tmpdir(), 'fern-yard-demo-'))
  // The photographs of the demo lie beside its database.
  process.env.FERN_YARD_DATA = demoFolder
  copyShop(demoFolder, NOW, 'demo')
})
afterAll(() => {
  delete process.env.FERN_YARD_DATA
  rmSync(demoFolder, { recursive: true, force: true })
})
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-'))
  db = await openDatabase(path.join(folder, 'shop.db'))
})
const openDemo = async () => {
  await db.destroy()
  copyFileSync(databaseFile(), path.join(folder, 'demo.db'))
  db = await openDatabase(path.join(folder, 'demo.db'))
}
afterEach(async () => {
  await db.destroy()
  rmSync(folder, { recursive: true, force: true })
})
const reopen = async () => {
  await db.destroy()
  db = await openDatabase(path.join(folder, 'shop.db'))
}

describe('migrations', () => {
  test('every step in the folder is in the list, in order', () => {
    const files = readdirSync(path.join(import.meta.dirname, 'migrations')).filter((name) =>
      /^\d{4}-/.test(name),
    )
    expect(MIGRATIONS.map(({ name }) => `${name}.ts`)).toEqual(files.sort())
  })
  test('run once, and a second opening does nothing', async () => {
    expect(await migrate(db, MIGRATIONS)).toEqual([])
  })
  test('a step that fails leaves nothing behind, not even its record', async () => {
    const bad = { name: '9999-bad', statements: ['CREATE TABLE half (id INTEGER) STRICT', 'NOT SQL'] }
    await expect(migrate(db, [...MIGRATIONS, bad])).rejects.toThrow()
    expect(await db.schema.hasTable('half')).toBe(false)
    expect(await db('migrations').where({ name: '9999-bad' }).first()).toBeUndefined()
  })
  test('a database from a newer version is refused with what to do', async () => {
    await db('migrations').insert({ position: MIGRATIONS.length, name: '9999-from-the-future' })
    const other = connect(path.join(folder, 'shop.db'))
    await expect(migrate(other, MIGRATIONS)).rejects.toThrow(/Start the version that wrote it/)
    await other.destroy()
  })
})

describe('taking in', () => {
  test('keeps everything, also over a restart', async () => {
    const id = await takeIn(db, INTAKE, NOW, NOW)
    await reopen()
    expect(await findJob(db, id)).toMatchObject({
      number: 101,
      budgetCents: 59950,
      customer: { name: 'Ita Corrigan' },
      vehicle: { plate: 'IM 1', vin: '1M8GDM9AXKP042788', year: 2019 },
    })
  })
  test('a form that lacks something is refused field by field, in words', () => {
    const result = intakeSchema.safeParse({
      ...INTAKE,
      customerName: ' ',
      budget: 'lots',
      year: '19',
      email: 'x',
    })
    const fields = result.success ? [] : result.error.issues.map((issue) => issue.path[0])
    expect(fields.sort()).toEqual(['budget', 'customerName', 'email', 'year'])
  })
  test('an old or foreign vehicle number is never a reason to refuse', () => {
    for (const vin of ['', 'IM 4471', 'WZZZZZ1KZ4W123456', 'QQQ']) {
      expect(intakeSchema.safeParse({ ...INTAKE, vin }).success).toBe(true)
    }
  })
})

describe('a survey', () => {
  test('a stale write is refused with what stands there now, and nothing is lost', async () => {
    const id = await takeIn(db, INTAKE, NOW, NOW)
    const { version } = await loadSurvey(db, id)
    const bonnet = (...values: number[]) => {
      const record = emptyRecord()
      record.before.readings.bonnet = values.map((um) => ({ um }))
      return record
    }
    expect(await saveSurvey(db, id, version, bonnet(104.3, 99), NOW)).toMatchObject({ ok: true })
    const stale = await saveSurvey(db, id, version, bonnet(1), NOW)
    expect(stale).toMatchObject({
      ok: false,
      error: { code: 'survey-stale', current: { before: bonnet(104.3, 99).before } },
    })
  })
  test('comes back as it went in: rounds, defects with their points, places, what was looked at', async () => {
    const id = await takeIn(db, INTAKE, NOW, NOW)
    const record: SurveyRecord = {
      before: {
        readings: {
          bonnet: [
            { um: 104.3 },
            { um: 412, settled: 'set-aside' },
            { um: 90, settled: 'kept' },
            { um: 82, settled: 'edge' },
          ],
        },
        gloss: { bonnet: [91.4, 92] },
        clarity: { bonnet: 6 },
      },
      after: { readings: { bonnet: [{ um: 102.1 }] }, gloss: {}, clarity: { bonnet: 9 } },
      defects: {
        roof: [
          { kind: 'swirls', severity: 2, extentPercent: 40, catchesNail: true },
          {
            kind: 'chips',
            severity: 1,
            extentPercent: 3,
            catchesNail: true,
            at: { x: -12, y: 40 },
            note: 'by the aerial',
          },
        ],
      },
      places: { 'wheel-front-left': [{ kind: 'kerbed', severity: 2, note: '' }] },
      films: ['bonnet'],
      inspected: ['bonnet', 'roof'],
      found: {
        bonnet: [{ kind: 'scratches' as const, severity: 2 as const, extentPercent: 1, catchesNail: false }],
      },
      again: ['bonnet'],
      marked: ['bonnet'],
      looked: ['pillars', 'sills'],
    }
    await saveSurvey(db, id, 1, record, NOW)
    await reopen()
    expect(await loadSurvey(db, id)).toEqual({ version: 2, ...record })
  })
})

describe('the demo shop', () => {
  // The night in which the clocks change; by day and at a weekend as well in the long run.
  const CLOCKS = ['2027-03-28T00:30:00Z', '2027-01-12T16:55:00Z', '2027-01-16T05:00:00Z']
  test.each(CLOCKS.slice(0, tries(1, 3)))(
    'is alive at %s: jobs in many stages, all placed, and it loads only once',
    async (text) => {
      const at = instantOrThrow(text)
      const own = mkdtempSync(path.join(folder, 'shop-'))
      copyShop(own, at, 'demo')
      const demo = await openDatabase(path.join(own, path.basename(databaseFile())))
      expect(await loadDemo(demo, at)).toBe(false)
      const floor = await loadFloor(demo, at)
      await demo.destroy()
      expect(floor.jobs.length).toBeGreaterThanOrEqual(8)
      expect(new Set(floor.jobs.map(({ stage }) => stage.kind)).size).toBeGreaterThanOrEqual(5)
      expect(floor.planning?.status).not.toBe('infeasible')
    },
  )
  test('every package is worked out for the car that waits for a choice', async () => {
    await openDemo()
    const floor = await loadFloor(db, NOW)
    const entry = floor.jobs.find(({ stage }) => stage.kind === 'to-choose')!
    const { input } = await loadWorked(db, floor.shop, entry.job)
    const offers = await offersFor(input, floor.shop.setup.packages, (plans) =>
      plans.map((plan) => whenForPlan(floor, entry.job, plan)),
    )
    expect(offers.map(({ when }) => when.kind)).toEqual(floor.shop.setup.packages.map(() => 'possible'))
  })
})

describe('work', () => {
  const finish = (jobId: JobId, operationId: OperationId) => ({
    jobId,
    operationId,
    startedAt: plusMinutes(NOW, -60),
    endedAt: NOW,
    by: toPersonId('senan'),
  })
  test('a step is recorded once, whoever is second hears what stands there, and can be taken back', async () => {
    await openDemo()
    const floor = await loadFloor(db, NOW)
    const { job } = floor.jobs.find(({ stage }) => stage.kind === 'planned')!
    expect(await recordStart(db, job.id, toOperationId('wash'), NOW, toPersonId('senan'))).toMatchObject({
      ok: true,
    })
    expect(await recordStart(db, job.id, toOperationId('wash'), NOW, toPersonId('merle'))).toMatchObject({
      ok: false,
      error: { code: 'already-recorded', progress: { by: 'senan' } },
    })
    expect(await recordFinish(db, finish(job.id, toOperationId('wash')))).toMatchObject({ ok: true })
    expect(await recordFinish(db, finish(job.id, toOperationId('wash')))).toMatchObject({ ok: false })
    const begun = { kind: 'started' as const, at: plusMinutes(NOW, -60), by: toPersonId('merle') }
    await restore(db, job.id, toOperationId('wash'), begun, { at: NOW, zone: 'Europe/Dublin' })
    expect((await loadProgress(db)).get(job.id)?.wash).toEqual(begun)
    await restore(db, job.id, toOperationId('wash'), undefined, { at: NOW, zone: 'Europe/Dublin' })
    expect((await loadProgress(db)).get(job.id)?.wash).toBeUndefined()
  })
  test('a layer without a lot is not half-written', async () => {
    await openDemo()
    const floor = await loadFloor(db, NOW)
    const { job } = floor.jobs.find(({ stage }) => stage.kind === 'planned')!
    const climate = { airC: 19, rhPercent: 50, panelC: 18 }
    const layer = {
      ...finish(job.id, toOperationId('layer-1')),
      layer: { productId: toProductId('ebb-single'), lot: '', climate },
    }
    await expect(recordFinish(db, layer)).rejects.toThrow()
    expect((await loadProgress(db)).get(job.id)).toBeUndefined()
  })
})

describe('statements that are kept ready', () => {
  test('answer anew each time, and while another reader is still half way through', async () => {
    await db.schema.createTable('numbers', (table) => table.integer('n'))
    const all = () => db('numbers').orderBy('n').pluck('n')
    expect(await all()).toEqual([])
    await db('numbers').insert([{ n: 1 }, { n: 2 }, { n: 3 }])
    expect(await all()).toEqual([1, 2, 3])
    const seen: number[] = []
    await db.transaction(async (trx) => {
      for await (const { n } of trx('numbers').orderBy('n').stream()) {
        seen.push(n)
        expect(await trx('numbers').orderBy('n')).toHaveLength(3)
      }
    })
    expect(seen).toEqual([1, 2, 3])
  })
  test('know a column that has been added since, and far more of them than are kept', async () => {
    await db.schema.createTable('numbers', (table) => table.integer('n'))
    await db('numbers').insert({ n: 1 })
    expect(await db('numbers').select('*')).toEqual([{ n: 1 }])
    await db.schema.alterTable('numbers', (table) => table.integer('m'))
    expect(await db('numbers').select('*')).toEqual([{ n: 1, m: null }])
    for (let at = 0; at < 900; at++)
      expect(await db.raw(`SELECT n + ${at} AS n FROM numbers`)).toEqual([{ n: 1 + at }])
  })
})
