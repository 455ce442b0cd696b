import { z } from 'zod'
import type { Phase } from '../survey'
import type { Instant } from '../time'

const share = z.number().min(0).max(1)

/** A box on a picture, in shares 0–1 of its width and height: its left upper corner and its sides. */
export const boxSchema = z.strictObject({ x: share, y: share, width: share, height: share })
export type Box = z.infer<typeof boxSchema>

/** Where the plate is on a photograph: in a box, nowhere, or anywhere on it for all that was said. */
export const plateSchema = z.union([z.literal('none'), z.literal('anywhere'), boxSchema])
export type Plate = z.infer<typeof plateSchema>

/** A photograph on which somebody may say where the plate is. */
export type PlatedPhoto = {
  id: string
  hash: string
  width: number
  height: number
  place: string
  phase: Phase
  takenAt: Instant
  /** Where it is for all the shop knows. */
  plate: Plate
}

/** A box grown on every side by a share of its own size, as far as the picture goes: who draws one by hand cuts corners. */
export function grown({ x, y, width, height }: Box, by: number): Box {
  const left = Math.max(0, x - width * by)
  const top = Math.max(0, y - height * by)
  return {
    x: left,
    y: top,
    width: Math.min(1, x + width * (1 + by)) - left,
    height: Math.min(1, y + height * (1 + by)) - top,
  }
}

/** Sides of a box on a picture of so many px, whole and at least one. */
export function boxInPixels(box: Box, width: number, height: number) {
  const left = Math.min(width - 1, Math.floor(box.x * width))
  const top = Math.min(height - 1, Math.floor(box.y * height))
  return {
    left,
    top,
    width: Math.max(1, Math.min(width, Math.ceil((box.x + box.width) * width)) - left),
    height: Math.max(1, Math.min(height, Math.ceil((box.y + box.height) * height)) - top),
  }
}
