import sharp from 'sharp'
import { expect, test } from 'vitest'
import { coveredPicture } from './decode'

/** A picture of stripes as narrow as the strokes of letters. */
async function striped(width: number, height: number): Promise<Buffer> {
  const stripe = Buffer.alloc(width * height * 3)
  for (let at = 0; at < stripe.length; at++) stripe[at] = Math.floor((at / 3) % width) % 24 < 12 ? 20 : 230
  return sharp(stripe, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 95 })
    .toBuffer()
}
type Part = { left: number; top: number; width: number; height: number }
/** How much light and dark differ within a part, as a standard deviation of 0–255. */
const contrast = async (picture: Uint8Array, part: Part) => {
  const cut = await sharp(picture).extract(part).png().toBuffer()
  return (await sharp(cut).stats()).channels[0]!.stdev
}

test('in the box nothing can be read any more, and beside it all', async () => {
  const picture = await striped(1200, 900)
  const box = { x: 0.5, y: 0.5, width: 0.2, height: 0.1 }
  const { full, thumb, width, height } = await coveredPicture(picture, box)
  expect({ width, height }).toEqual({ width: 1200, height: 900 })
  expect(await contrast(full, { left: 600, top: 450, width: 240, height: 90 })).toBeLessThan(12)
  const beside = { left: 60, top: 60, width: 400, height: 300 }
  expect(await contrast(full, beside)).toBeGreaterThan(90)
  expect((await sharp(thumb).metadata()).width).toBe(360)
  expect(await contrast(thumb, { left: 182, top: 137, width: 68, height: 22 })).toBeLessThan(15)
})

test('without a box nothing of it can be read, near or far', async () => {
  const { full } = await coveredPicture(await striped(1200, 900))
  expect(await contrast(full, { left: 0, top: 0, width: 1200, height: 900 })).toBeLessThan(12)
})
