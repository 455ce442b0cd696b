'use server'

import { revalidatePath } from 'next/cache'
import { now } from '../clock'
import { database } from '../db/connection'
import { type Brought, bringHistory } from './vehicle-history'

/** Larger files are no history of one vehicle, bytes. */
const MOST_BYTES = 5_000_000

/**
 * Reads the history `file` a new `owner` has brought. It comes as a file of a form: as an argument of its own a text as long as
 * this would be taken for an attack.
 */
export async function readBrought(form: FormData): Promise<Brought> {
  const [file, owner] = [form.get('file'), form.get('owner')]
  if (!(file instanceof File))
    return { kind: 'refused', message: 'Choose the history file that came with the car.' }
  if (file.size > MOST_BYTES)
    return {
      kind: 'refused',
      message: 'This file is too large for the history of one car. Choose another one.',
    }
  const brought = await bringHistory(await database(), await file.text(), String(owner ?? ''), now())
  if (brought.kind === 'read') revalidatePath('/', 'layout')
  return brought
}
