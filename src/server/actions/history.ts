'use server'

import { revalidatePath } from 'next/cache'
import { now } from '../clock'
import { database } from '../db'
import { type Brought, bringHistory } from '../vehicle-history'

/** Larger files are no history of one vehicle, bytes. */
const MOST_BYTES = 5_000_000

/** Reads the history file a new owner has brought. */
export async function readBrought(file: string, ownerName: string): Promise<Brought> {
  if (file.length > MOST_BYTES)
    return {
      kind: 'refused',
      message: 'This file is too large for the history of one car. Choose another one.',
    }
  const brought = await bringHistory(await database(), file, ownerName, now())
  if (brought.kind === 'read') revalidatePath('/', 'layout')
  return brought
}
