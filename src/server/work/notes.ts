import type { Knex } from 'knex'
import { cardOf } from '@/core/card'
import { openNotes } from '@/core/card/notes'
import type { Floor, WaitingNote } from '@/core/planning'
import { loadEntries } from './acts-store'

/** The notes on the cards of the floor that wait to be answered or read, the oldest first. */
export async function loadWaitingNotes(db: Knex, { jobs }: Pick<Floor, 'jobs'>): Promise<WaitingNote[]> {
  const open = jobs.filter(({ job, live }) => live && !job.handedOverAt)
  const noted = await db('acts')
    .whereIn(
      'job_id',
      open.map(({ job }) => job.id),
    )
    .whereRaw("json_extract(act, '$.kind') = 'note'")
    .distinct('job_id')
  const waiting: WaitingNote[] = []
  for (const { job, live } of open) {
    if (!live || !noted.some(({ job_id }) => job_id === job.id)) continue
    for (const { operation, note } of openNotes(cardOf(live, await loadEntries(db, job.id)))) {
      const step = live.plan.operations.find(({ id }) => id === operation)
      if (step) waiting.push({ jobId: job.id, plate: job.vehicle.plate, operation, title: step.title, note })
    }
  }
  return waiting.toSorted((a, b) => a.note.at.localeCompare(b.note.at))
}
