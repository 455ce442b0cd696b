'use server'

import { now } from '../clock'
import { database } from '../db/connection'
import { marksSchema, setRemoved, writeMarks } from './photo-store'

export type MarksAnswer = { kind: 'kept' } | { kind: 'refused'; message: string }

/** Keeps what was drawn on a photograph. */
export async function keepMarks(id: string, readAt: number, input: unknown): Promise<MarksAnswer> {
  const checked = marksSchema.safeParse(input)
  if (!checked.success) return { kind: 'refused', message: checked.error.issues[0]!.message }
  return (await writeMarks(await database(), id, readAt, checked.data))
    ? { kind: 'kept' }
    : {
        kind: 'refused',
        message: 'Someone else has drawn on this photograph. Reload to see it, then draw again.',
      }
}

export async function removePhoto(id: string): Promise<void> {
  await setRemoved(await database(), id, now())
}

export async function restorePhoto(id: string): Promise<void> {
  await setRemoved(await database(), id, null)
}
