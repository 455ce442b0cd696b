import { createHash, randomUUID } from 'node:crypto'
import { mkdir, open, readFile, rename, rm, stat } from 'node:fs/promises'
import path from 'node:path'
import sharp from 'sharp'
import { ask } from '@/core/asks'
import { ok, type Result, refused } from '@/core/result'
import { dataFolder } from '../db/data-folder'

/**
 * Photographs as files beside the database, named by what is in them. Every picture is decoded and written anew:
 * upright, of a sensible size, and without anything its file said about where and by whom it was taken.
 */

/** bytes; photographs of a telephone come to a few megabytes (mem). */
export const MOST_BYTES = 30 * 1024 * 1024
/** px. A camera of today has up to 50 megapixels (mem); more is a trap that would fill the memory. */
const MOST_PIXELS = 60_000_000
/**
 * The same for AVIF, whose decoder holds eighteen bytes for each: measured with sharp 0.35, sixty megapixels took a gigabyte, however
 * small the file; twenty-four are 430 MB.
 */
const MOST_PIXELS_AVIF = 24_000_000
/** Work on one picture is broken off after so long, s. */
const PATIENCE_SECONDS = 30

/** Sides of the kept picture and of its thumbnail, px (mem: a chip of a millimetre still shows, a strip still loads at once). */
const LONGEST_SIDE = 2400
const THUMB_SIDE = 360

export type PhotoError =
  | { code: 'photo-empty' }
  | { code: 'photo-too-large'; mostBytes: number }
  | { code: 'photo-too-many-pixels'; mostPixels: number }
  | { code: 'photo-not-a-picture' }
  | { code: 'photo-broken' }

const PHOTO_ERROR: Record<Exclude<PhotoError['code'], 'photo-too-many-pixels'>, string> = {
  'photo-empty': ask('photo-empty'),
  'photo-too-large': ask('photo-too-large', { megabytes: MOST_BYTES / 1024 / 1024 }),
  'photo-not-a-picture': ask('photo-unread'),
  'photo-broken': ask('photo-damaged'),
}
export const photoAsk = (error: PhotoError): string =>
  error.code === 'photo-too-many-pixels'
    ? ask('photo-too-many-pixels', { millions: error.mostPixels / 1e6 })
    : PHOTO_ERROR[error.code]

const READABLE = new Set(['jpeg', 'png', 'webp', 'tiff', 'heif'])
const OPTIONS = { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true } as const

export type StoredFile = { hash: string; width: number; height: number }

export const photoFolder = () => path.join(dataFolder(), 'photos')
const folderOf = (hash: string) => path.join(photoFolder(), hash.slice(0, 2))
const SUFFIX = { full: '.jpg', thumb: '.thumb.jpg' } as const
export type PhotoSize = keyof typeof SUFFIX
const fileOf = (hash: string, size: PhotoSize) => path.join(folderOf(hash), `${hash}${SUFFIX[size]}`)

/** Writes a file so that after a crash it is there whole or not at all. */
async function writeWhole(file: string, data: Buffer): Promise<void> {
  const draft = `${file}.${randomUUID()}.part`
  try {
    const handle = await open(draft, 'w')
    try {
      await handle.writeFile(data)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(draft, file)
  } catch (error) {
    // On a full disk half a file would keep it full.
    await rm(draft, { force: true })
    throw error
  }
}

let before: Promise<unknown> = Promise.resolve()

/** One picture after another: what each needs to be decoded is needed once. */
function inTurn<Value>(work: () => Promise<Value>): Promise<Value> {
  const mine = before.then(work, work)
  before = mine.catch(() => undefined)
  return mine
}

async function kindOf(bytes: Buffer): Promise<Result<true, PhotoError>> {
  // A drawing in a text file is no photograph, and its decoder reads other files: it is kept away from it.
  try {
    const { format, width, height } = await sharp(bytes, { ...OPTIONS, limitInputPixels: false }).metadata()
    if (!format || !READABLE.has(format) || !width || !height) return refused({ code: 'photo-not-a-picture' })
    const mostPixels = format === 'heif' ? MOST_PIXELS_AVIF : MOST_PIXELS
    if (width * height > mostPixels) return refused({ code: 'photo-too-many-pixels', mostPixels })
    return ok(true)
  } catch {
    return refused({ code: 'photo-not-a-picture' })
  }
}

/** Keeps one picture. Refuses what is no picture, broken, or too much, in that order of cheapness. */
export async function storePhoto(bytes: Buffer): Promise<Result<StoredFile, PhotoError>> {
  if (bytes.length === 0) return refused({ code: 'photo-empty' })
  if (bytes.length > MOST_BYTES) return refused({ code: 'photo-too-large', mostBytes: MOST_BYTES })
  return inTurn(() => keepPicture(bytes))
}

async function keepPicture(bytes: Buffer): Promise<Result<StoredFile, PhotoError>> {
  // Nothing of one picture is kept for the next, and none is worked on by several threads.
  sharp.cache(false)
  sharp.concurrency(1)
  const kind = await kindOf(bytes)
  if (!kind.ok) return kind
  let full: { data: Buffer; info: { width: number; height: number } }
  let thumb: Buffer
  try {
    full = await sharp(bytes, OPTIONS)
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 84, mozjpeg: false })
      .timeout({ seconds: PATIENCE_SECONDS })
      .toBuffer({ resolveWithObject: true })
    thumb = await sharp(full.data)
      .resize(THUMB_SIDE, THUMB_SIDE, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 76 })
      .toBuffer()
  } catch {
    return refused({ code: 'photo-broken' })
  }
  const hash = createHash('sha256').update(full.data).digest('hex')
  await mkdir(folderOf(hash), { recursive: true })
  await writeWhole(fileOf(hash, 'thumb'), thumb)
  await writeWhole(fileOf(hash, 'full'), full.data)
  return ok({ hash, width: full.info.width, height: full.info.height })
}

/** Where the files of a picture lie. */
export const filesOf = (hash: string): string[] =>
  /^[0-9a-f]{64}$/.test(hash) ? [fileOf(hash, 'full'), fileOf(hash, 'thumb')] : []

/** A share of the longer side: letters of a plate are a good deal smaller than that. */
const BLUR_SHARE = 1 / 60

/** A copy of a kept picture on which nothing can be read any more, kept beside it; nothing where there is none of that name. */
export async function blurredPhoto(hash: string): Promise<StoredFile | undefined> {
  const bytes = await readPhoto(hash, 'full')
  if (!bytes) return undefined
  const { width, height } = await sharp(bytes).metadata()
  const sigma = Math.max(2, Math.max(width, height) * BLUR_SHARE)
  const kept = await storePhoto(await sharp(bytes).blur(sigma).jpeg({ quality: 84 }).toBuffer())
  return kept.ok ? kept.value : undefined
}

/** The bytes of a kept picture; undefined where there is none of that name. */
export async function readPhoto(hash: string, size: PhotoSize): Promise<Buffer | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash)) return undefined
  const file = fileOf(hash, size)
  return (await stat(file).catch(() => undefined)) ? readFile(file) : undefined
}
