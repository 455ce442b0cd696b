import { z } from 'zod'
import { ask } from '../asks'
import { toPersonId } from '../ids'
import { day, id } from '../inputs'
import { STORAGES, WASHINGS } from '../vehicle'
import { CAUSES, FEELS, WATERS } from './look'

/** What the actions of a visit take. */

const lookSchema = z.strictObject({
  unit: id,
  water: z.enum(WATERS, ask('water')),
  feel: z.enum(FEELS).optional(),
  angleDegrees: z
    .number({ error: ask('angle') })
    .gt(0, ask('angle-range'))
    .lt(180, ask('angle-range'))
    .optional(),
  cause: z.enum(CAUSES).optional(),
  note: z
    .string()
    .trim()
    .max(200, ask('keep-under', { characters: 200 })),
})

export const looksSchema = z.strictObject({
  by: z.string().min(1, ask('who-looks')).max(80).transform(toPersonId),
  cleaned: z.boolean(),
  looks: z.array(lookSchema).min(1, ask('nothing-looked-at')).max(100),
})
export type TypedLooks = z.input<typeof looksSchema>

export const repairSchema = z.strictObject({
  panels: z.array(id).min(1, ask('panels-to-coat')).max(100),
  onGuarantee: z.boolean(),
})
export type TypedRepair = z.infer<typeof repairSchema>

export const lifeSchema = z.strictObject({
  odometerKm: z
    .string()
    .trim()
    .regex(/^\d{0,7}$/, ask('whole-km')),
  storage: z.enum(STORAGES),
  washing: z.enum(WASHINGS),
})
export type TypedLife = z.input<typeof lifeSchema>

export const lookFrom = day(ask('look-day'))
export const comesOn = day(ask('visit-day'))
