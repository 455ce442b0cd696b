import sharp from 'sharp'
import { ok, type Result, refused } from '@/core/result'
import { LOGO_SIDES, type Logo } from '@/core/shop'

/** px; a page brings logos to a hundredth of it before it sends them. */
const MOST_PIXELS = 4_000_000

/**
 * A logo as it is kept, drawn anew from what was sent: nothing of the file that came is kept but its picture.
 * Refuses what is no picture, is broken, or would fill the memory. Only ever called in the process for pictures.
 */
export async function drawnAnew(sent: string): Promise<Result<Logo, 'no-picture'>> {
  const bytes = Buffer.from(sent, 'base64')
  try {
    const { format } = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata()
    // Its decoder reads other files, so a drawing in a text file is kept away from it; the page sends it as a picture.
    if (format !== 'png') return refused('no-picture')
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .resize(LOGO_SIDES.width, LOGO_SIDES.height, { fit: 'inside', withoutEnlargement: true })
      .png({ compressionLevel: 9 })
      .toBuffer({ resolveWithObject: true })
    return ok({ png: data.toString('base64'), width: info.width, height: info.height })
  } catch {
    return refused('no-picture')
  }
}
