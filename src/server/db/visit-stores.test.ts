import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { toCustomerId, toJobId, toVehicleId } from '@/core/ids'
import { emptyIntake, type Intake } from '@/core/intake/intake'
import { MOST_PHOTO_BYTES } from '@/core/photo/most-bytes'
import { countedReadings, readWitnesses } from '@/core/survey'
import { dayIn, instantOrThrow, plusMinutes } from '@/core/time'
import { CLEAN } from '@/core/wash'
import { asked } from '@/text/en/asks'
import { DUBLIN } from '@/text/region.fixture'
import { findJob, handOver, takeIn, visitsOf } from '../floor/job-store'
import { agreedCut, removalsOf } from '../handover/hand-over'
import { photoAsk, readPhoto, storePhoto } from '../photos/photo-files'
import { addPhoto, listPhotos, setRemoved, writeMarks, writeShown } from '../photos/photo-store'
import { signedVersions, signOff } from '../survey/sign-off-store'
import { loadSurvey } from '../survey/survey-store'
import { loadWash, saveWash } from '../survey/wash-store'
import { appendRemovals, ledgerBefore, loadLedger } from '../vehicles/ledger-store'
import { findKnown, listKnown } from '../vehicles/vehicle-store'
import { connect, openDatabase } from './connection'
import { MIGRATIONS, migrate } from './migrations'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const TODAY = dayIn('Europe/Dublin', NOW)
const INTAKE: Intake = {
  ...emptyIntake('2027-01-13'),
  customerName: 'Bram Tolley',
  plate: 'IM 6127',
  make: 'Tarrow',
  model: 'Bollard',
  shape: 'pickup',
  colour: 'Sand',
  wishes: 'Protect it',
  treatments: [{ kind: 'polish', what: 'dealer', year: 'about 2024' }],
}

let folder: string
let db: Knex
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-visit-'))
  process.env.FERN_YARD_DATA = folder
  db = await openDatabase(path.join(folder, 'shop.db'))
})
afterEach(async () => {
  await db.destroy()
  delete process.env.FERN_YARD_DATA
  rmSync(folder, { recursive: true, force: true })
})

describe('0002-visits, on a database from before', () => {
  test('keeps every reading as a reading before the work, and every vehicle and job', async () => {
    const file = path.join(folder, 'old.db')
    const old = connect(file)
    await migrate(old, MIGRATIONS.slice(0, 1))
    await old('customers').insert({
      id: toCustomerId('c'),
      name: 'Ita',
      phone: '',
      email: '',
      may_remind: 0,
      created_at: NOW,
    })
    await old('vehicles').insert({
      id: toVehicleId('v'),
      customer_id: toCustomerId('c'),
      plate: 'IM 1',
      vin: '',
      make: 'M',
      model: 'S',
      year: null,
      shape: 'estate',
      colour: 'Red',
      paint_system: 'clear-over-base',
      hardness: 'soft',
    })
    await old('jobs').insert({
      id: toJobId('j'),
      number: 101,
      vehicle_id: toVehicleId('v'),
      wishes: '',
      arrive_at: NOW,
      created_at: NOW,
    })
    await old('surveys').insert({ job_id: toJobId('j'), updated_at: NOW, version: 3 })
    await old('readings').insert([
      { job_id: 'j', panel: 'bonnet', position: 0, film_um_x10: 1043 },
      { job_id: 'j', panel: 'bonnet', position: 1, film_um_x10: 990 },
    ])
    await old('defects').insert({
      job_id: toJobId('j'),
      panel: 'roof',
      position: 0,
      kind: 'swirls',
      severity: 2,
      extent_percent: 40,
      catches_nail: 0,
    })
    await old.destroy()
    const opened = await openDatabase(file)
    expect(await loadSurvey(opened, toJobId('j'))).toMatchObject({
      version: 3,
      before: { readings: { bonnet: [{ um: 104.3 }, { um: 99 }] } },
      after: { readings: {} },
      defects: { roof: [{ kind: 'swirls', extentPercent: 40 }] },
    })
    expect(await findJob(opened, toJobId('j'))).toMatchObject({
      purpose: 'daily',
      vehicle: { storage: 'unknown', treatments: [], hardness: 'soft' },
    })
    await opened.destroy()
  })
})

describe('a vehicle that comes back', () => {
  test('is the same vehicle with two visits, and what was corrected about it is kept', async () => {
    const first = (await findJob(db, await takeIn(db, INTAKE, NOW, NOW)))!
    const again = {
      ...INTAKE,
      customerId: first.customer.id,
      vehicleId: first.vehicle.id,
      phone: '0555 366',
      odometerKm: '61200',
    }
    const later = plusMinutes(NOW, 1440)
    await takeIn(db, again, later, later)
    expect((await listKnown(db)).known).toMatchObject([{ visits: 2, customer: { phone: '0555 366' } }])
    expect((await visitsOf(db, first.vehicle.id)).map(({ odometerKm }) => odometerKm)).toEqual([
      undefined,
      61_200,
    ])
  })
  test('sold to somebody else it keeps its history', async () => {
    const first = (await findJob(db, await takeIn(db, INTAKE, NOW, NOW)))!
    await takeIn(db, { ...INTAKE, customerName: 'Nessa Pike', vehicleId: first.vehicle.id }, NOW, NOW)
    expect(await findKnown(db, first.vehicle.id)).toMatchObject({
      visits: 2,
      customer: { name: 'Nessa Pike' },
    })
  })
  test('an id that is not there makes a new entry instead of losing the car', async () => {
    await takeIn(db, { ...INTAKE, vehicleId: 'gone', customerId: 'gone' }, NOW, NOW)
    expect((await listKnown(db)).known).toMatchObject([{ visits: 1 }])
  })
})

describe('the ledger', () => {
  const told = {
    panel: 'bonnet',
    day: TODAY,
    removedUm: 4.2,
    uncertaintyUm: 1.5,
    source: 'told' as const,
    note: 'old owner',
  }
  test('is written at handover, once, and only for panels that were worked on', async () => {
    const job = (await findJob(db, await takeIn(db, INTAKE, NOW, NOW)))!
    const round = (um: number) => [{ um }, { um: um + 0.4 }, { um: um - 0.4 }]
    const survey = {
      before: { readings: { bonnet: round(120), roof: round(118) }, gloss: {}, clarity: {} },
      after: { readings: { bonnet: round(117.5) }, gloss: {}, clarity: {} },
      marked: ['bonnet'],
    }
    const processes = { bonnet: 'two-step', roof: 'two-step', tailgate: 'leave' } as const
    const removals = removalsOf(job, { processes, panels: [], spots: [] }, survey, TODAY)
    expect(removals.map(({ panel, source }) => [panel, source])).toEqual([
      ['bonnet', 'measured'],
      ['roof', 'worked-out'],
    ])
    const table = agreedCut({ processes, panels: [] }, 'medium').bonnet!
    // The gauge says 2.5 and is the surer of the two; the table pulls a little.
    expect(Math.abs(removals[0]!.removedUm - 2.5)).toBeLessThan(Math.abs(table - 2.5))
    expect(readWitnesses(removals[0]!.note)?.gauge.removedUm).toBeCloseTo(2.5, 1)
    expect(removals[1]!.removedUm).toBeCloseTo(agreedCut({ processes, panels: [] }, 'medium').roof!, 9)
    expect(countedReadings(survey.after)).toEqual({ bonnet: [117.5, 117.9, 117.1] })
    await handOver(db, job, removals, NOW)
    await handOver(db, job, removals, plusMinutes(NOW, 5))
    expect(await loadLedger(db, job.vehicle.id)).toHaveLength(2)
    expect(await ledgerBefore(db, job.vehicle.id, job.id)).toEqual([])
  })
  test('takes what a customer tells, and keeps its day, error and note', async () => {
    const job = (await findJob(db, await takeIn(db, INTAKE, NOW, NOW)))!
    await appendRemovals(db, job.vehicle.id, undefined, [told], NOW)
    expect(await ledgerBefore(db, job.vehicle.id, job.id)).toEqual([{ id: 1, ...told }])
  })
})

describe('photographs', () => {
  const picture = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#2f6242' } })
  const words = async (bytes: Buffer) => {
    const stored = await storePhoto(bytes)
    return stored.ok ? 'kept' : asked(DUBLIN, photoAsk(stored.error))
  }
  test('are turned upright, made smaller, and forget where they were taken', async () => {
    const taken = await picture(4000, 3000)
      .jpeg()
      .withExif({
        IFD0: { Copyright: 'somebody' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '53/1 20/1 0/1' },
      })
      .withMetadata({ orientation: 6 })
      .toBuffer()
    expect((await sharp(taken).metadata()).orientation).toBe(6)
    const stored = await storePhoto(taken)
    expect(stored).toMatchObject({ ok: true, value: { width: 1800, height: 2400 } })
    if (!stored.ok) return
    const full = (await readPhoto(stored.value.hash, 'full'))!
    const { exif, orientation, width } = await sharp(full).metadata()
    expect([exif, orientation ?? 1, width]).toEqual([undefined, 1, 1800])
    expect((await sharp((await readPhoto(stored.value.hash, 'thumb'))!).metadata()).height).toBe(360)
  })
  test('what is no picture, empty, broken or too much is refused in words and leaves no file', async () => {
    const whole = await picture(800, 600).jpeg().toBuffer()
    expect(await words(Buffer.alloc(0))).toContain('empty')
    expect(await words(Buffer.from('panel,reading\nbonnet,104'))).toContain('no photograph we can read')
    expect(
      await words(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')),
    ).toContain('no photograph')
    expect(await words(whole.subarray(0, whole.length / 2))).toContain('damaged')
    expect(await words(Buffer.alloc(MOST_PHOTO_BYTES + 1))).toContain('larger than 30 MB')
    const bomb = await picture(12_000, 12_000).png({ compressionLevel: 9 }).toBuffer()
    expect(bomb.length).toBeLessThan(2_000_000)
    expect(await words(bomb)).toContain('million pixels')
    expect(existsSync(path.join(folder, 'photos')) ? readdirSync(path.join(folder, 'photos')) : []).toEqual(
      [],
    )
  })
  test('a name that is no hash never reaches the disk', async () => {
    expect(await readPhoto('../../shop.db', 'full')).toBeUndefined()
    expect(await readPhoto('a'.repeat(64), 'full')).toBeUndefined()
  })
  test('keep what is drawn on them; a second hand is told, and what is removed can come back', async () => {
    const jobId = await takeIn(db, INTAKE, NOW, NOW)
    const before = await addPhoto(db, {
      jobId,
      place: 'bonnet',
      phase: 'before',
      hash: 'f'.repeat(64),
      width: 40,
      height: 30,
      takenAt: NOW,
    })
    const after = await addPhoto(db, {
      jobId,
      place: 'bonnet',
      phase: 'after',
      hash: 'e'.repeat(64),
      width: 40,
      height: 30,
      takenAt: NOW,
      samePlaceAs: before.id,
      shows: 'chips',
    })
    const circle = { kind: 'circle' as const, x: 0.4, y: 0.5, r: 0.1 }
    expect(await writeMarks(db, before.id, 1, [circle])).toBe(true)
    expect(await writeMarks(db, before.id, 1, [])).toBe(false)
    expect(await listPhotos(db, jobId)).toMatchObject([
      { marks: [circle], version: 2 },
      { samePlaceAs: before.id, shows: 'chips' },
    ])
    expect(await writeShown(db, before.id, 'swirls')).toBe(true)
    expect(await writeShown(db, after.id, null)).toBe(true)
    expect((await listPhotos(db, jobId)).map(({ shows }) => shows)).toEqual(['swirls', undefined])
    expect(await writeShown(db, 'no-such-photo', 'swirls')).toBe(false)
    await setRemoved(db, after.id, NOW)
    expect(await listPhotos(db, jobId)).toHaveLength(1)
    await setRemoved(db, after.id, null)
    expect(await listPhotos(db, jobId)).toHaveLength(2)
  })
})

test('promises are signed version by version, and none is ever overwritten', async () => {
  const jobId = await takeIn(db, INTAKE, NOW, NOW)
  const signed = (text: string) => ({
    lines: [{ rule: 'chips-stay' as const, where: ['Bonnet'], text }],
    signedBy: 'Bram Tolley',
    signature: [
      [
        [0.1, 0.2],
        [0.3, 0.1],
      ],
    ] as [number, number][][],
    signedAt: NOW,
  })
  expect(await signOff(db, jobId, 0, signed('first'))).toEqual({ ok: true, value: { version: 1 } })
  expect(await signOff(db, jobId, 0, signed('behind its back'))).toMatchObject({ ok: false })
  expect(await signOff(db, jobId, 1, signed('second'))).toMatchObject({ ok: true })
  expect((await signedVersions(db, jobId)).map(({ lines }) => lines[0]!.text)).toEqual(['first', 'second'])
})

test('wash findings are kept, and a stale write is refused', async () => {
  const jobId = await takeIn(db, INTAKE, NOW, NOW)
  const findings = { contamination: CLEAN, place: { airC: 4, drain: true, hose: true, indoors: true } }
  expect(await loadWash(db, jobId)).toEqual({ version: 0 })
  expect(await saveWash(db, jobId, 0, findings)).toBe(true)
  expect(await saveWash(db, jobId, 0, findings)).toBe(false)
  expect(await saveWash(db, jobId, 1, { ...findings, method: 'wet' })).toBe(true)
  expect(await loadWash(db, jobId)).toMatchObject({ version: 2, findings: { method: 'wet' } })
})
