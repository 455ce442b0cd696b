'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { plusMinutes } from '@/core/time'
import { SPELL_KINDS } from '@/devices/climate-sensor'
import { now } from '../clock'
import { database } from '../db/connection'
import { addSpell, endSpell } from './air'
import { loadShop } from './shop-store'

const spellSchema = z.strictObject({
  bay: z.string().min(1, 'Choose the bay.'),
  kind: z.enum(SPELL_KINDS),
  minutes: z
    .int('Type how long as whole minutes, such as 240.')
    .min(10, 'At least ten minutes.')
    .max(2880, 'At most two days.'),
})

export type SpellAnswer = { kind: 'done' } | { kind: 'refused'; field: string; message: string }

/** Lets the simulated sensors of a bay meet a spell of weather, or fail, from now on. */
export async function beginSpell(typed: z.input<typeof spellSchema>): Promise<SpellAnswer> {
  const read = spellSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return { kind: 'refused', field: String(issue!.path[0] ?? ''), message: issue!.message }
  }
  const db = await database()
  const { bay, kind, minutes } = read.data
  if (!(await loadShop(db)).setup.places.some(({ id }) => id === bay))
    return { kind: 'refused', field: 'bay', message: 'Choose the bay.' }
  const from = now()
  await addSpell(db, { bay, kind, from, until: plusMinutes(from, minutes) })
  revalidatePath('/', 'layout')
  return { kind: 'done' }
}

export async function stopSpell(id: string): Promise<void> {
  await endSpell(await database(), id)
  revalidatePath('/', 'layout')
}
