import { createHash, randomUUID } from 'node:crypto'
import { mkdir, open, readFile, rename, rm, stat } from 'node:fs/promises'
import path from 'node:path'
import { ask } from '@/core/asks'
import { MOST_PHOTO_BYTES } from '@/core/photo/most-bytes'
import type { Box } from '@/core/photo/plate'
import { ok, type Result, refused } from '@/core/result'
import { dataFolder } from '../db/data-folder'
import { inDarkroom } from '../pictures/darkroom'
import type { Picture, PictureError } from '../pictures/decode'

/**
 * Photographs as files beside the database, named by what is in them. Every picture is read in a process of its own
 * and written again before it is kept.
 */

export type PhotoError =
  | { code: 'photo-empty' }
  | { code: 'photo-too-large'; mostBytes: number }
  | PictureError

const PHOTO_ERROR: Record<Exclude<PhotoError['code'], 'photo-too-many-pixels'>, string> = {
  'photo-empty': ask('photo-empty'),
  'photo-too-large': ask('photo-too-large', { megabytes: MOST_PHOTO_BYTES / 1024 / 1024 }),
  'photo-not-a-picture': ask('photo-unread'),
  'photo-broken': ask('photo-damaged'),
}
export const photoAsk = (error: PhotoError): string =>
  error.code === 'photo-too-many-pixels'
    ? ask('photo-too-many-pixels', { millions: error.mostPixels / 1e6 })
    : PHOTO_ERROR[error.code]

export type StoredFile = { hash: string; width: number; height: number }

export const photoFolder = () => path.join(dataFolder(), 'photos')
const folderOf = (hash: string) => path.join(photoFolder(), hash.slice(0, 2))
const SUFFIX = { full: '.jpg', thumb: '.thumb.jpg' } as const
export type PhotoSize = keyof typeof SUFFIX
const fileOf = (hash: string, size: PhotoSize) => path.join(folderOf(hash), `${hash}${SUFFIX[size]}`)

/** Writes a file so that after a crash it is there whole or not at all. */
async function writeWhole(file: string, data: Uint8Array): Promise<void> {
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

/** Keeps one picture. Refuses what is no picture, broken, or too much, in that order of cheapness. */
export async function storePhoto(bytes: Buffer): Promise<Result<StoredFile, PhotoError>> {
  if (bytes.length === 0) return refused({ code: 'photo-empty' })
  if (bytes.length > MOST_PHOTO_BYTES)
    return refused({ code: 'photo-too-large', mostBytes: MOST_PHOTO_BYTES })
  const picture = await inDarkroom('photo', bytes)
  if (!picture) return refused({ code: 'photo-broken' })
  return picture.ok ? ok(await keepPicture(picture.value)) : picture
}

async function keepPicture({ full, thumb, width, height }: Picture): Promise<StoredFile> {
  const hash = createHash('sha256').update(full).digest('hex')
  await mkdir(folderOf(hash), { recursive: true })
  await writeWhole(fileOf(hash, 'thumb'), thumb)
  await writeWhole(fileOf(hash, 'full'), full)
  return { hash, width, height }
}

/** Where the files of a picture lie. */
export const filesOf = (hash: string): string[] =>
  /^[0-9a-f]{64}$/.test(hash) ? [fileOf(hash, 'full'), fileOf(hash, 'thumb')] : []

/** A copy of a kept picture on which nothing in a box, or nothing at all, can be read, kept beside it; nothing where there is none of that name. */
export async function coveredPhoto(hash: string, box?: Box): Promise<StoredFile | undefined> {
  const bytes = await readPhoto(hash, 'full')
  const covered = bytes && (await inDarkroom('covered', bytes, box))
  return covered && keepPicture(covered)
}

/** The bytes of a kept picture; undefined where there is none of that name. */
export async function readPhoto(hash: string, size: PhotoSize): Promise<Buffer | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash)) return undefined
  const file = fileOf(hash, size)
  return (await stat(file).catch(() => undefined)) ? readFile(file) : undefined
}
