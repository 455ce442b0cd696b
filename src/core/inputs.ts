import { z } from 'zod'
import { isLocalDay, type LocalDay, localDayOrThrow } from './time'

/** Pieces of what actions take. */

/** Ids are made by the shop; longer ones are nobody’s. */
export const id = z.string().min(1).max(80)

/** A position in a list of versions. */
export const version = z.int().min(0).max(1_000_000_000)

export const day = (message: string) =>
  z
    .string()
    .max(10, message)
    .refine(isLocalDay, message)
    .transform((text): LocalDay => localDayOrThrow(text))

export const nothing = z.null()
