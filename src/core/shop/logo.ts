import { z } from 'zod'
import { ask } from '../asks'

/** Sides a logo is brought to before it is kept, px: sharp on paper at the size it is printed, and a few kilobytes. */
export const LOGO_SIDES = { width: 600, height: 240 } as const
/** Characters of base64; a drawing of that size comes to a tenth of it (mem). */
const MOST_CHARACTERS = 400_000

/** The picture at the head of the shop's papers: a PNG as base64, with its sides in px. */
export const logoSchema = z.strictObject({
  png: z.base64().min(1).max(MOST_CHARACTERS, ask('logo-too-detailed')),
  width: z.int().positive(),
  height: z.int().positive(),
})
export type Logo = z.infer<typeof logoSchema>
