import { z } from 'zod'
import { bringEntrySchema, ROWS_A_PIECE } from '@/core/bring'

/** So much text comes at a time, bytes. */
export const MOST_PIECE_BYTES = 4_000_000

/** A list is named by whoever reads it, so that a piece that is sent again goes to the same place. */
export const listId = z.uuid()

export const pieceSchema = z.strictObject({
  name: z.string().min(1).max(200),
  entries: z.array(bringEntrySchema).min(1).max(ROWS_A_PIECE),
})
export type Piece = z.infer<typeof pieceSchema>
