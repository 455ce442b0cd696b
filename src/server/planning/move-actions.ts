'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { placedOperationSchema } from '@/core/schedule'
import { now } from '../clock'
import { database } from '../db/connection'
import { calendarToMove, type Moved, redoMove, type ToMove, takeMove, undoMove } from './moving'
import { pin, unpin } from './pin-store'
import { plannedFromSchema } from './planned-from'

export async function whatToMove(): Promise<ToMove> {
  return calendarToMove(await database(), now())
}

const STALE = 'Something has happened on the floor since. Look at the calendar as it is now, and try again.'

/** What became of a move, in words. */
export type MoveAnswer = { done: boolean; message: string }

function answer(moved: Moved, done: string): MoveAnswer {
  revalidatePath('/', 'layout')
  switch (moved.kind) {
    case 'moved':
      return { done: true, message: done }
    case 'stale':
      return { done: false, message: STALE }
    case 'broken':
      return { done: false, message: `This would break a rule: it ${moved.rule}.` }
    case 'nothing':
      return { done: false, message: 'There is nothing more to take back.' }
    case 'overtaken':
      return {
        done: false,
        message: `“${moved.what}” cannot be taken back or done again: the calendar has gone on since.`,
      }
  }
}

const takenSchema = z.object({
  from: plannedFromSchema,
  operations: z.array(placedOperationSchema).min(1),
  what: z.string().min(1).max(200),
})

/** Publishes a move that was tried on the page. */
export async function moveThere(typed: z.input<typeof takenSchema>): Promise<MoveAnswer> {
  const { from, operations, what } = takenSchema.parse(typed)
  return answer(await takeMove(await database(), now(), from, operations, what), `Moved: ${what}.`)
}

export async function undo(): Promise<MoveAnswer> {
  return answer(await undoMove(await database(), now()), 'Taken back.')
}

export async function redo(): Promise<MoveAnswer> {
  return answer(await redoMove(await database(), now()), 'Done again.')
}

const pinSchema = z.object({ job: z.string(), operations: z.array(z.string()), pinned: z.boolean() })

/** Lets steps stay where they are planned whatever else is planned, or lets them go again. */
export async function setPinned(typed: z.input<typeof pinSchema>): Promise<MoveAnswer> {
  const { job, operations, pinned } = pinSchema.parse(typed)
  await (pinned ? pin : unpin)(await database(), job, operations)
  revalidatePath('/', 'layout')
  return { done: true, message: pinned ? 'Pinned where it is.' : 'Free to move again.' }
}
