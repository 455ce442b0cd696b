import type { Knex } from 'knex'
import { cardOf } from '@/core/card'
import { openNotes } from '@/core/card/notes'
import type { Floor, WaitingNote } from '@/core/planning'
import { entriesWith } from './acts-store'

/** The notes on the cards of the floor that wait to be answered or read, the oldest first. */
export async function loadWaitingNotes(db: Knex, { jobs }: Pick<Floor, 'jobs'>): Promise<WaitingNote[]> {
  const open = jobs.filter(({ job, live }) => live && !job.handedOverAt)
  const noted = await entriesWith(
    db,
    'note',
    open.map(({ job }) => job.id),
  )
  const waiting = open.flatMap(({ job, live }) =>
    openNotes(cardOf(live!, noted.get(job.id) ?? [])).flatMap(({ operation, note }): WaitingNote[] => {
      const step = live!.plan.operations.find(({ id }) => id === operation)
      return step ? [{ jobId: job.id, plate: job.vehicle.plate, operation, title: step.title, note }] : []
    }),
  )
  return waiting.toSorted((a, b) => a.note.at.localeCompare(b.note.at))
}
