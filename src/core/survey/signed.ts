import { z } from 'zod'
import { ask } from '../asks'
import type { Instant } from '../time'
import type { SignOffLine } from './sign-off'

export type Signature = z.infer<typeof signatureSchema>

/** A version of what was said and signed. A signed version is never changed; a later one stands beside it. */
export type SignedOff = {
  version: number
  lines: SignOffLine[]
  signedBy: string
  signature: Signature
  signedAt: Instant
}

/** A signature is a few hundred strokes of a finger, characters. */
export const MOST_SIGNED = 500_000

/** Strokes of a drawn signature: points in shares 0–1 of the field’s width, y downward. */
export const strokeSchema = z.array(z.tuple([z.number().min(0).max(1), z.number().min(0).max(1)])).min(2)

export const signatureSchema = z
  .array(strokeSchema)
  .min(1, ask('sign'))
  .max(200)
  .refine(
    (strokes) => strokes.reduce((sum, stroke) => sum + stroke.length, 0) <= 8000,
    ask('signature-too-long'),
  )
