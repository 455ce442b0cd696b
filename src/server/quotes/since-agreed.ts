import type { Knex } from 'knex'
import { cardOf, type Entry } from '@/core/card'
import type { MethodKey } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { LiveJob } from '@/core/job'
import { type Quote, quoteState, type WorkedBy } from '@/core/offer'
import type { Floor, MethodChange, ToPut } from '@/core/planning'
import type { Instant } from '@/core/time'
import { entriesWith } from '../work/acts-store'
import { listQuotes, readMarks } from './quote-store'

/** What has come about since a job was agreed and is in no supplement yet. */

/** The last method of each panel that was changed at the car and is not as it is agreed. */
export function methodsSince(
  live: LiveJob,
  entries: readonly Entry[],
  processes: Readonly<Record<string, MethodKey>>,
): MethodChange[] {
  const { processes: changes } = cardOf(live, entries)
  const last = new Map(changes.map(({ panel, process, reason }) => [panel, { panel, process, reason }]))
  return [...last.values()].filter(({ panel, process }) => processes[panel] !== process)
}

/** Of these those that no supplement tells of which the customer has before them. */
export function notYetPut(
  methods: readonly MethodChange[],
  quotes: readonly Quote[],
  now: Instant,
): MethodChange[] {
  const last = quotes.at(-1)
  const before = last && quoteState(last, quotes.length, now).kind === 'open' ? last.summary.processes : {}
  return methods.filter(({ panel, process }) => before[panel] !== process)
}

/** By which method the steps that are over worked a panel, where that was changed at the car before they ended. */
function workedOtherwise(live: LiveJob, entries: readonly Entry[]): WorkedBy {
  const { processes: changes, progress } = cardOf(live, entries)
  return Object.fromEntries(
    live.plan.operations.flatMap(({ id }) => {
      const ended = progress[id]
      const by = changes.filter(({ at }) => ended?.kind === 'done' && at <= ended.to)
      return by.length > 0 ? [[id, Object.fromEntries(by.map(({ panel, process }) => [panel, process]))]] : []
    }),
  )
}

export const loadWorkedBy = async (db: Knex, live: LiveJob): Promise<WorkedBy> =>
  workedOtherwise(live, (await entriesWith(db, 'process', [live.id])).get(live.id) ?? [])

const markKey = (panel: string, kind: string) => `${panel} ${kind}`

/** The marks of a second inspection, as a supplement keeps which of them it told of. */
export const marksOf = (found: Readonly<Record<string, readonly { kind: string }[]>>): string[] =>
  Object.entries(found).flatMap(([panel, defects]) => defects.map(({ kind }) => markKey(panel, kind)))

const toldMarks = (quotes: readonly Quote[]) => new Set(quotes.flatMap(({ change }) => change?.marks ?? []))

/** What a second inspection found that no supplement has told of. */
export function foundSince<Mark extends { kind: string }>(
  found: Readonly<Record<string, readonly Mark[]>>,
  quotes: readonly Quote[],
): Record<string, Mark[]> {
  const told = toldMarks(quotes)
  return Object.fromEntries(
    Object.entries(found).map(([panel, defects]) => [
      panel,
      defects.filter(({ kind }) => !told.has(markKey(panel, kind))),
    ]),
  )
}

/** Jobs on the floor of which something is to be put to the customer. */
export async function loadToPut(db: Knex, { jobs, now }: Pick<Floor, 'jobs' | 'now'>): Promise<ToPut[]> {
  const open = jobs.filter(
    ({ job, agreement, live }) =>
      job.kind === 'work' && !job.handedOverAt && live && agreement?.version !== undefined,
  )
  const ids = open.map(({ job }) => job.id)
  const changed = await entriesWith(db, 'process', ids)
  const found = await db('found_defects').whereIn('job_id', ids).select('job_id', 'panel', 'kind')
  const shown = await db('quotes').whereIn('job_id', ids).select('job_id', 'shown_marks')
  const written = new Map<JobId, Quote[]>()
  for (const id of changed.keys()) written.set(id, await listQuotes(db, id))
  return open.flatMap(({ job, agreement, live }): ToPut[] => {
    const told = new Set(shown.flatMap((row) => (row.job_id === job.id ? readMarks(row.shown_marks) : [])))
    const own = found.filter(({ job_id }) => job_id === job.id)
    const marks = own.filter(({ panel, kind }) => !told.has(markKey(panel, kind))).length
    const methods = notYetPut(
      methodsSince(live!, changed.get(job.id) ?? [], agreement!.summary.processes),
      written.get(job.id) ?? [],
      now,
    )
    return methods.length > 0 || marks > 0
      ? [{ jobId: job.id, plate: job.vehicle.plate, methods, marks }]
      : []
  })
}
