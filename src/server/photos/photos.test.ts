import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Knex } from 'knex'
import sharp from 'sharp'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { nimble } from '@/core/intake/intake.fixture'
import { instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '../action/caller'
import { perform } from '../action/perform'
import { openDatabase } from '../db/connection'
import { takeIn } from '../floor/job-store'
import { photoFolder, storePhoto } from './photo-files'
import { addPhoto, isInSight, setRemoved } from './photo-store'
import { sweepPhotos } from './sweep'
import { takePhoto } from './take-photo'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const HOUR_MS = 3_600_000

let folder: string
let db: Knex
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-photos-'))
  process.env.FERN_YARD_DATA = folder
  db = await openDatabase(path.join(folder, 'fern-yard.db'))
})
afterEach(async () => {
  await db.destroy()
  delete process.env.FERN_YARD_DATA
  rmSync(folder, { recursive: true, force: true })
})

const picture = (background: string, width = 40, height = 30) =>
  sharp({ create: { width, height, channels: 3, background } })
const stored = async (background: string) => {
  const kept = await storePhoto(await picture(background).png().toBuffer())
  if (!kept.ok) throw new Error(kept.error.code)
  return kept.value
}
const files = () =>
  existsSync(photoFolder())
    ? readdirSync(photoFolder(), { recursive: true, encoding: 'utf8' }).filter((name) => name.includes('.'))
    : []
const fileOf = ({ hash }: { hash: string }) => path.join(photoFolder(), hash.slice(0, 2), `${hash}.jpg`)
const age = (file: string, hours: number) => {
  const then = new Date(Date.now() - hours * HOUR_MS)
  utimesSync(file, then, then)
}

describe('what is stored', () => {
  test('of a kind that takes much memory to read may be smaller only', async () => {
    const trap = await picture('#2f6242', 6000, 4100).avif({ effort: 0, quality: 10 }).toBuffer()
    expect(trap.length).toBeLessThan(20_000)
    expect(await storePhoto(trap)).toMatchObject({
      ok: false,
      error: { code: 'photo-too-many-pixels', mostPixels: 24_000_000 },
    })
  })
  test('leaves no half behind where it cannot be written', async () => {
    const kept = await stored('#2f6242')
    rmSync(fileOf(kept))
    // As good as a full disk: the picture cannot be put in its place.
    mkdirSync(path.join(fileOf(kept), 'in-the-way'), { recursive: true })
    await expect(stored('#2f6242')).rejects.toThrow()
    expect(files().filter((name) => name.endsWith('.part'))).toEqual([])
  })
})

describe('the sweep', () => {
  test('removes halves and strays that are old enough, and no picture of a car', async () => {
    const jobId = await takeIn(db, nimble, NOW, NOW)
    const [shown, hidden, stray, fresh] = [
      await stored('#111111'),
      await stored('#222222'),
      await stored('#333333'),
      await stored('#444444'),
    ]
    for (const photo of [shown, hidden])
      await addPhoto(db, { jobId, place: 'bonnet', phase: 'before', takenAt: NOW, ...photo })
    await setRemoved(db, (await db('photos').where({ hash: hidden.hash }).first('id'))!.id, NOW)
    for (const photo of [shown, hidden, stray]) age(fileOf(photo), 25)
    age(fileOf(stray).replace('.jpg', '.thumb.jpg'), 25)
    const half = `${fileOf(fresh)}.abc.part`
    writeFileSync(half, 'half')
    writeFileSync(path.join(photoFolder(), 'notes.txt'), 'somebody’s own')
    age(path.join(photoFolder(), 'notes.txt'), 100)
    expect(await sweepPhotos(db, Date.now())).toBe(2)
    expect(existsSync(fileOf(stray))).toBe(false)
    expect([shown, hidden, fresh].every((photo) => existsSync(fileOf(photo)))).toBe(true)
    age(half, 2)
    expect(await sweepPhotos(db, Date.now())).toBe(1)
    expect(files().some((name) => name === 'notes.txt')).toBe(true)
  })
  test('finds nothing where there are no photographs yet', async () => {
    expect(await sweepPhotos(db, Date.now())).toBe(0)
  })
})

test('a visit takes five hundred photographs, and another once one is removed', async () => {
  const jobId = await takeIn(db, nimble, NOW, NOW)
  const input = {
    jobId,
    place: 'bonnet',
    phase: 'before' as const,
    hash: 'a'.repeat(64),
    width: 4,
    height: 3,
  }
  const take = (key: string) => perform(db, takePhoto, { key, input }, { caller: OPEN_SHOP, at: NOW })
  const rest = Array.from({ length: 499 }, (_, at) => ({ ...input, takenAt: NOW, id: `photo-${at}` }))
  for (const { id, ...photo } of rest) await addPhoto(db, photo, id)
  expect((await take('the-500th')).ok).toBe(true)
  expect(await take('the-501st')).toMatchObject({ ok: false, code: 'rule' })
  await setRemoved(db, 'photo-7', NOW)
  expect((await take('once-more')).ok).toBe(true)
})

test('a picture is shown while one photograph of it is, and not once all are taken away', async () => {
  const jobId = await takeIn(db, nimble, NOW, NOW)
  const photo = {
    jobId,
    place: 'bonnet',
    phase: 'before',
    takenAt: NOW,
    ...(await stored('#555555')),
  } as const
  const [first, second] = [await addPhoto(db, photo), await addPhoto(db, photo)]
  await setRemoved(db, first.id, NOW)
  expect(await isInSight(db, photo.hash)).toBe(true)
  await setRemoved(db, second.id, NOW)
  expect(await isInSight(db, photo.hash)).toBe(false)
  expect(await isInSight(db, 'a'.repeat(64))).toBe(false)
})
