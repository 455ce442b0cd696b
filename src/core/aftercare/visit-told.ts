import { z } from 'zod'
import { toPersonId } from '../ids'
import { day, id } from '../inputs'
import { STORAGES, WASHINGS } from '../vehicle'
import { CAUSES, FEELS, WATERS } from './look'

/** What the actions of a visit take. */

const lookSchema = z.strictObject({
  unit: id,
  water: z.enum(WATERS, 'Say what the water does.'),
  feel: z.enum(FEELS).optional(),
  angleDegrees: z
    .number({ error: 'Type the angle as a number of degrees.' })
    .gt(0, 'An angle lies between 0° and 180°.')
    .lt(180, 'An angle lies between 0° and 180°.')
    .optional(),
  cause: z.enum(CAUSES).optional(),
  note: z.string().trim().max(200, 'Keep the note under 200 characters.'),
})

export const looksSchema = z.strictObject({
  by: z.string().min(1, 'Say who looks.').max(80).transform(toPersonId),
  cleaned: z.boolean(),
  looks: z.array(lookSchema).min(1, 'Nothing was looked at yet.').max(100),
})
export type TypedLooks = z.input<typeof looksSchema>

export const repairSchema = z.strictObject({
  panels: z.array(id).min(1, 'Choose the panels that are to be coated again.').max(100),
  onGuarantee: z.boolean(),
})
export type TypedRepair = z.infer<typeof repairSchema>

export const lifeSchema = z.strictObject({
  odometerKm: z
    .string()
    .trim()
    .regex(/^\d{0,7}$/, 'Write the odometer in whole kilometres, or leave it empty.'),
  storage: z.enum(STORAGES),
  washing: z.enum(WASHINGS),
})
export type TypedLife = z.input<typeof lifeSchema>

export const lookFrom = day('Choose a day to look from.')
export const comesOn = day('Choose the day on which it comes.')
