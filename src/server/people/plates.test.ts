import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { HISTORY_FORMAT, readHistory, type VehicleHistory, writeHistory } from '@/core/history'
import { type CustomerId, type JobId, toCustomerId } from '@/core/ids'
import { nimble } from '@/core/intake/intake.fixture'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { openDatabase } from '../db/connection'
import { takeIn } from '../floor/job-store'
import { readPhoto, storePhoto } from '../photos/photo-files'
import { addPhoto } from '../photos/photo-store'
import { erasing } from './erasing'
import { platedPhotos } from './plates'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')

let folder: string
let db: Knex
let jobId: JobId
let customerId: CustomerId
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-plates-'))
  process.env.FERN_YARD_DATA = folder
  db = await openDatabase(path.join(folder, 'fern-yard.db'))
  jobId = await takeIn(db, nimble, NOW, NOW)
  await db('jobs').update({ handed_over_at: NOW })
  customerId = toCustomerId((await db('customers').first('id'))!.id)
})
afterAll(async () => {
  await db.destroy()
  delete process.env.FERN_YARD_DATA
  rmSync(folder, { recursive: true, force: true })
})

/** A photograph of stripes; each place has its own. */
async function taken(place: string) {
  const [width, height, wide] = [600, 400, 8 + place.length]
  const pixels = Buffer.alloc(width * height * 3)
  for (let at = 0; at < pixels.length; at++)
    pixels[at] = Math.floor((at / 3) % width) % (2 * wide) < wide ? 20 : 230
  const picture = await sharp(pixels, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer()
  const kept = await storePhoto(picture)
  if (!kept.ok) throw new Error(kept.error.code)
  return addPhoto(db, { jobId, place, phase: 'before', takenAt: NOW, ...kept.value })
}

/** How much light and dark differ on a photograph as it is kept now. */
async function contrastOf({ id }: { id: string }): Promise<number> {
  const { hash } = (await db('photos').where({ id }).first('hash'))!
  const { channels } = await sharp((await readPhoto(hash, 'full'))!).stats()
  return channels[0]!.stdev
}

/** Begins as every JPEG does. */
const PICTURE = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4, 5]).toString('base64')
const photograph = (place: string) => ({
  place,
  phase: 'before' as const,
  takenAt: NOW,
  sha256: '',
  picture: PICTURE,
})
const brought: VehicleHistory = {
  format: HISTORY_FORMAT,
  writtenOn: localDayOrThrow('2027-01-10'),
  shop: 'Elsewhere',
  vehicle: {
    plate: nimble.plate,
    vin: '',
    make: nimble.make,
    model: nimble.model,
    shape: 'hatchback',
    colour: '',
    colourCode: '',
    paintSystem: 'clear-over-base',
    hardness: 'medium',
    treatments: [],
  },
  stays: [
    {
      day: localDayOrThrow('2026-01-12'),
      homeOn: localDayOrThrow('2026-01-14'),
      kind: 'work',
      title: '',
      film: [],
      gloss: [],
      work: [],
      layers: [],
      looks: [],
      photographs: [photograph('bonnet'), photograph('sill-left')],
    },
  ],
  ledger: [],
}

test('plates are gone: from a box that was drawn, else from all of the picture, and not where none shows', async () => {
  const [bonnet, boot, sill, bumper, antenna] = [
    await taken('bonnet'),
    await taken('boot'),
    await taken('sill-left'),
    await taken('rear-bumper'),
    await taken('antenna'),
  ]
  expect((await platedPhotos(db, customerId)).map(({ place, plate }) => [place, plate])).toEqual([
    ['bonnet', 'anywhere'],
    ['boot', 'anywhere'],
    ['rear-bumper', 'anywhere'],
    ['sill-left', 'none'],
    ['antenna', 'none'],
  ])
  const vehicle = (await db('vehicles').first('id'))!
  const later = JSON.stringify({ form: 'of a later program', pictures: [{ picture: PICTURE }] })
  for (const history of [writeHistory(brought), later])
    await db('brought_histories').insert({ vehicle_id: vehicle.id, history, read_at: NOW })
  const was = { antenna: await contrastOf(antenna), bumper: await contrastOf(bumper) }

  const box = { x: 0.25, y: 0.25, width: 0.3, height: 0.3 }
  const input = {
    customerId,
    name: nimble.customerName,
    photos: 'blur' as const,
    plates: false,
    marked: [
      { photoId: boot.id, plate: box },
      { photoId: sill.id, plate: box },
      { photoId: bumper.id, plate: 'none' as const },
    ],
  }
  const answer = await perform(db, erasing, { key: 'plates-test', input }, { caller: OPEN_SHOP, at: NOW })
  expect(answer).toMatchObject({ ok: true })
  expect(answer.ok && answer.value.pictures.length).toBe(3)
  expect({ antenna: await contrastOf(antenna), bumper: await contrastOf(bumper) }).toEqual(was)
  expect(await contrastOf(bonnet)).toBeLessThan(15)
  for (const photo of [boot, sill]) {
    expect(await contrastOf(photo)).toBeLessThan(was.antenna - 4)
    expect(await contrastOf(photo)).toBeGreaterThan(70)
  }

  const [first, second] = await db('brought_histories').orderBy('id').pluck('history')
  const read = readHistory(first!)
  expect(read.ok && read.value.stays[0]!.photographs.map(({ picture }) => picture)).toEqual([
    undefined,
    PICTURE,
  ])
  expect(JSON.parse(second!)).toEqual({ form: 'of a later program', pictures: [{}] })
})
