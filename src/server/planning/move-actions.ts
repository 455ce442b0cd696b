'use server'

import { z } from 'zod'
import { type Answer, done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { aJob, anOperation, nothing } from '@/core/inputs'
import type { Moved } from '@/core/planning'
import { placedOperationSchema } from '@/core/schedule'
import { MOVE_SAID } from '@/text/en/planning'
import { defineAction, defineReadAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { calendarToMove, redoMove, takeMove, undoMove } from './moving'
import { pin, unpin } from './pin-store'
import { plannedFromSchema } from './planned-from'

/** What a page needs to try moves by itself. */
export const whatToMove = defineReadAction({
  name: 'planning.what-to-move',
  who: 'manage',
  input: nothing,
  read: async ({ db, at }) => done(await calendarToMove(db, at)),
})

/** What became of a move, in words. */
function answer(moved: Moved, said: string): Answer<{ said: string }> {
  switch (moved.kind) {
    case 'moved':
      return done({ said })
    case 'stale':
      return refuse('stale', ask('moved-since'))
    case 'broken':
      return refuse('rule', ask('breaks-rule', { rule: moved.rule }))
    case 'nothing':
      return refuse('gone', ask('nothing-to-take-back'))
    case 'overtaken':
      return refuse('stale', ask('overtaken', { what: moved.what }))
  }
}

/** A car of thirty steps is a tenth of this, operations. */
const MOST_MOVED = 400

/** Publishes a move that was tried on the page. */
export const moveThere = defineAction({
  name: 'planning.move',
  who: 'manage',
  input: z.strictObject({
    from: plannedFromSchema,
    operations: z.array(placedOperationSchema).min(1).max(MOST_MOVED),
    what: z.string().min(1).max(200),
  }),
  mostInput: 500_000,
  write: async ({ trx, at }, { from, operations, what }) =>
    answer(await takeMove(trx, at, from, operations, what), MOVE_SAID.moved(what)),
})

export const undo = defineAction({
  name: 'planning.undo-move',
  who: 'manage',
  input: nothing,
  write: async ({ trx, at }) => answer(await undoMove(trx, at), MOVE_SAID.undone),
})

export const redo = defineAction({
  name: 'planning.redo-move',
  who: 'manage',
  input: nothing,
  write: async ({ trx, at }) => answer(await redoMove(trx, at), MOVE_SAID.redone),
})

/** Lets steps stay where they are planned whatever else is planned, or lets them go again. */
export const setPinned = defineAction({
  name: 'planning.pin',
  who: 'manage',
  input: z.strictObject({
    job: aJob,
    operations: z.array(anOperation).min(1).max(MOST_MOVED),
    pinned: z.boolean(),
  }),
  write: async ({ trx, at }, { job, operations, pinned }) => {
    const live = (await loadFloor(trx, at)).jobs.find((entry) => entry.job.id === job)?.live
    const known = new Set(live?.plan.operations.map((operation) => operation.id))
    if (!operations.every((operation) => known.has(operation))) return refuse('gone', ask('step-unplanned'))
    await (pinned ? pin : unpin)(trx, job, operations)
    return done({ said: pinned ? MOVE_SAID.pinned : MOVE_SAID.unpinned })
  },
})
