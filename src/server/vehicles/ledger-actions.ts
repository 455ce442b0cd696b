'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { isLocalDay, localDayOrThrow } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { now } from '../clock'
import { database } from '../db/connection'
import { appendRemovals } from './ledger-store'
import { findKnown } from './vehicle-store'

export type ToldAnswer = { kind: 'written' } | { kind: 'refused'; field?: string; message: string }

const MOST_UM = 100
const um = (what: string) =>
  z
    .number({ error: `Type ${what} as a number of µm, such as 2.5.` })
    .min(0, `Type ${what} as a number of µm, 0 or more.`)
    .max(MOST_UM, `No car has ${MOST_UM} µm to lose. Look at the unit.`)

const toldSchema = z.object({
  panels: z.array(z.string()).min(1, 'Choose at least one panel.'),
  day: z.string().refine((text): boolean => isLocalDay(text), 'Choose the day, as near as anybody knows.'),
  removedUm: um('what was taken'),
  uncertaintyUm: um('how sure that is'),
  note: z
    .string()
    .trim()
    .min(1, 'Write who says so, and what was done.')
    .max(200, 'Keep it under 200 characters.'),
})

/** Enters into the ledger what somebody tells was taken elsewhere or before our time. */
export async function tellRemoval(vehicleId: string, input: unknown): Promise<ToldAnswer> {
  const checked = toldSchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    return { kind: 'refused', field: String(issue!.path[0]), message: issue!.message }
  }
  const db = await database()
  const known = await findKnown(db, vehicleId)
  if (!known) return { kind: 'refused', message: 'This vehicle is no longer there.' }
  const panels = new Set(panelsOf(known.vehicle.shape).map(({ id }) => id))
  const { removedUm, uncertaintyUm, note, day } = checked.data
  const unknown = checked.data.panels.find((panel) => !panels.has(panel))
  if (unknown) return { kind: 'refused', field: 'panels', message: `“${unknown}” is no panel of this shape.` }
  await appendRemovals(
    db,
    vehicleId,
    undefined,
    checked.data.panels.map((panel) => ({
      panel,
      day: localDayOrThrow(day),
      removedUm,
      uncertaintyUm,
      source: 'told',
      note,
    })),
    now(),
  )
  revalidatePath('/', 'layout')
  return { kind: 'written' }
}
