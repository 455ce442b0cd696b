import sharp from 'sharp'
import { type Box, boxInPixels, grown } from '@/core/photo/plate'
import { ok, type Result, refused } from '@/core/result'

/**
 * What reads pictures that strangers made: only ever called in the process for pictures, which may be ended. Nothing of a file is kept
 * but its picture: every one is written again, upright and without what the file said about where and by whom it was taken.
 */

// Nothing of one picture is kept for the next, and none is worked on by several threads.
sharp.cache(false)
sharp.concurrency(1)

/** px. A camera of today has up to 50 megapixels (mem); more is a trap that would fill the memory. */
const MOST_PIXELS = 60_000_000
/**
 * The same for AVIF, whose decoder holds eighteen bytes for each: measured with sharp 0.35, sixty megapixels took a gigabyte, however
 * small the file; twenty-four are 430 MB.
 */
const MOST_PIXELS_AVIF = 24_000_000
/** px; pictures in a history are small (mem). */
const MOST_PIXELS_SMALL = 4_000_000
/** Work on one picture is broken off after so long, s (mem). */
const PATIENCE_SECONDS = 30

/** Sides of the kept picture and of its thumbnail, px (mem: a chip of a millimetre still shows, a strip still loads at once). */
const LONGEST_SIDE = 2400
const THUMB_SIDE = 360
const QUALITY = { full: 84, thumb: 76 } as const

const READABLE = new Set(['jpeg', 'png', 'webp', 'tiff', 'heif'])
const OPTIONS = { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true } as const

export type PictureError =
  | { code: 'photo-too-many-pixels'; mostPixels: number }
  | { code: 'photo-not-a-picture' }
  | { code: 'photo-broken' }

/** A picture as it is kept: JPEG, its thumbnail, and the sides of the large one, px. */
export type Picture = { full: Uint8Array; thumb: Uint8Array; width: number; height: number }

async function kindOf(bytes: Uint8Array): Promise<Result<true, PictureError>> {
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

const thumbOf = (full: Uint8Array) =>
  sharp(full)
    .resize(THUMB_SIDE, THUMB_SIDE, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: QUALITY.thumb })
    .toBuffer()

/** Reads a picture of a camera and writes it again, of a sensible size. */
export async function photoPicture(bytes: Uint8Array): Promise<Result<Picture, PictureError>> {
  const kind = await kindOf(bytes)
  if (!kind.ok) return kind
  try {
    const { data, info } = await sharp(bytes, OPTIONS)
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY.full, mozjpeg: false })
      .timeout({ seconds: PATIENCE_SECONDS })
      .toBuffer({ resolveWithObject: true })
    return ok({ full: data, thumb: await thumbOf(data), width: info.width, height: info.height })
  } catch {
    return refused({ code: 'photo-broken' })
  }
}

/** A box is covered a little further than it was drawn, share of its sides (mem). */
const MARGIN = 0.15
/** px a covered part is brought down to, the longer side: a plate of seven letters has less than two for each (mem). */
const LEFT_OF_IT = 12

/** A kept picture on which nothing within a box, or nothing at all, can be read any more: it is not hidden there, it is gone. */
export async function coveredPicture(full: Uint8Array, box?: Box): Promise<Picture> {
  const { width, height } = await sharp(full).metadata()
  const part = box ? boxInPixels(grown(box, MARGIN), width, height) : { left: 0, top: 0, width, height }
  const scale = LEFT_OF_IT / Math.max(part.width, part.height)
  const sides = [part.width, part.height].map((side) => Math.max(1, Math.round(side * scale)))
  const rest = await sharp(full).extract(part).resize(sides[0], sides[1], { fit: 'fill' }).png().toBuffer()
  const cover = await sharp(rest)
    .resize(part.width, part.height, { fit: 'fill', kernel: 'cubic' })
    .png()
    .toBuffer()
  const data = await sharp(full)
    .composite([{ input: cover, left: part.left, top: part.top }])
    .jpeg({ quality: QUALITY.full })
    .toBuffer()
  return { full: data, thumb: await thumbOf(data), width, height }
}

const isWhole = (picture: string): Promise<boolean> =>
  sharp(Buffer.from(picture, 'base64'), { failOn: 'error', limitInputPixels: MOST_PIXELS_SMALL })
    .stats()
    .then(
      () => true,
      () => false,
    )

/** Whether all of each picture can be read, base64. */
export async function areWhole(pictures: readonly string[]): Promise<boolean[]> {
  const whole: boolean[] = []
  for (const picture of pictures) whole.push(await isWhole(picture))
  return whole
}
