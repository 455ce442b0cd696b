import type { Knex } from 'knex'
import { cardOf, type Entry } from '@/core/card'
import type { MethodKey } from '@/core/correction'
import { type LiveJob, stepStates } from '@/core/job'
import { changeOf, chosenOffer, type JobPlan, type Quote } from '@/core/offer'
import type { Floor, MethodChange, ToPut } from '@/core/planning'
import type { Shop } from '@/core/shop'
import type { Instant } from '@/core/time'
import { findJob } from '../floor/job-store'
import { entriesWith } from '../work/acts-store'
import { findAgreement } from './agreement-store'
import { loadWorked } from './offers'
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
export async function loadToPut(db: Knex, { jobs }: Pick<Floor, 'jobs'>): Promise<ToPut[]> {
  const open = jobs.filter(
    ({ job, agreement, live }) =>
      job.kind === 'work' && !job.handedOverAt && live && agreement?.version !== undefined,
  )
  const ids = open.map(({ job }) => job.id)
  const changed = await entriesWith(db, 'process', ids)
  const found = await db('found_defects').whereIn('job_id', ids).select('job_id', 'panel', 'kind')
  const shown = await db('quotes').whereIn('job_id', ids).select('job_id', 'shown_marks')
  return open.flatMap(({ job, agreement, live }): ToPut[] => {
    const told = new Set(shown.flatMap((row) => (row.job_id === job.id ? readMarks(row.shown_marks) : [])))
    const own = found.filter(({ job_id }) => job_id === job.id)
    const marks = own.filter(({ panel, kind }) => !told.has(markKey(panel, kind))).length
    const methods = methodsSince(live!, changed.get(job.id) ?? [], agreement!.summary.processes)
    return methods.length > 0 || marks > 0
      ? [{ jobId: job.id, plate: job.vehicle.plate, methods, marks }]
      : []
  })
}

/**
 * The plan with methods as they were changed at the car: work at the machine with its minutes made anew. What is agreed in words and
 * money stays until the customer has said yes. Undefined where it is not to be worked out, or nothing differs.
 */
export async function planWithMethods(
  db: Knex,
  shop: Shop,
  live: LiveJob,
  methods: readonly MethodChange[],
  now: Instant,
): Promise<JobPlan | undefined> {
  const { id } = live
  const [job, agreement] = [await findJob(db, id), await findAgreement(db, id)]
  const quotes = await listQuotes(db, id)
  const quote = quotes.find(({ version }) => version === agreement?.version)
  if (!job || !agreement || !quote) return undefined
  const { input } = await loadWorked(db, shop, job)
  const processes = {
    ...agreement.summary.processes,
    ...Object.fromEntries(methods.map(({ panel, process }) => [panel, process])),
  }
  const choices = { ...quote.choices, processes }
  const offer = chosenOffer(shop.setup.packages, { ...input, pace: agreement.summary.pace }, choices)
  const states = stepStates(live, now)
  const changed =
    offer &&
    changeOf(
      offer,
      { ...agreement, stateOf: (step) => states[step] ?? 'open', version: quotes.length + 1, holds: true },
      { rates: shop.setup.rates, terms: choices.terms, customerTax: job.customer.tax },
      shop.catalogue,
    )
  return typeof changed === 'object' ? changed.plan : undefined
}
