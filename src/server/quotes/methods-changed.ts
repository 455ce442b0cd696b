import type { Knex } from 'knex'
import { type MethodKey, panelGroup } from '@/core/correction'
import type { JobId } from '@/core/ids'
import { type LiveJob, stepStates } from '@/core/job'
import {
  type Agreement,
  attendedMinutes,
  type Changed,
  changeOf,
  chosenOffer,
  type JobPlan,
} from '@/core/offer'
import type { Floor, MethodChange, MethodPreview } from '@/core/planning'
import type { Shop } from '@/core/shop'
import type { Instant } from '@/core/time'
import { findJob } from '../floor/job-store'
import { findAllWays } from '../survey/ways'
import { entriesWith } from '../work/acts-store'
import { findAgreement } from './agreement-store'
import { loadWorked, whenForJob } from './offers'
import { listQuotes } from './quote-store'
import { loadWorkedBy, methodsSince } from './since-agreed'

/** What a change of methods at the car comes to: the work at the machine made anew, its price, and the day. */

type ChangedWork = Changed & { wasCents: number }

/**
 * The job with methods as they were changed at the car. What is agreed in words and money stays until the customer has said yes. `anew`:
 * also panels that keep their method are worked out once more, by what is known of the paint by now. Undefined where it is not to be
 * worked out, or nothing differs.
 */
async function withMethods(
  db: Knex,
  shop: Shop,
  live: LiveJob,
  methods: readonly Pick<MethodChange, 'panel' | 'process'>[],
  now: Instant,
  anew = false,
): Promise<ChangedWork | undefined> {
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
      {
        ...agreement,
        stateOf: (step) => states[step] ?? 'open',
        version: quotes.length + 1,
        workedBy: await loadWorkedBy(db, live),
        ...(anew ? {} : { holds: true, asAgreed: quote.plan }),
      },
      { rates: shop.setup.rates, terms: choices.terms, customerTax: job.customer.tax },
      shop.catalogue,
    )
  return typeof changed === 'object' ? { ...changed, wasCents: agreement.totalCents } : undefined
}

/** The plan with methods as they were changed at the car; undefined where nothing differs. */
export const planWithMethods = async (
  db: Knex,
  shop: Shop,
  live: LiveJob,
  methods: readonly MethodChange[],
  now: Instant,
): Promise<JobPlan | undefined> => (await withMethods(db, shop, live, methods, now))?.plan

const NOTHING: MethodPreview = { minutes: 0, cents: 0, collect: {} }

function previewOf(floor: Floor, live: LiveJob, changed: ChangedWork | undefined): MethodPreview {
  if (!changed) return NOTHING
  const at = (plan: JobPlan) => {
    const when = whenForJob(floor, { ...live, plan })
    return when.kind === 'possible' ? when.collectAt : undefined
  }
  const [before, after] = [at(live.plan), at(changed.plan)]
  return {
    minutes: attendedMinutes(changed.plan.operations) - attendedMinutes(live.plan.operations),
    cents: changed.price.totalCents - changed.wasCents,
    collect: { ...(before ? { before } : {}), ...(after ? { after } : {}) },
  }
}

const liveOf = (floor: Floor, jobId: JobId) => floor.jobs.find(({ job }) => job.id === jobId)?.live

/** Methods as they stand at the car, with `panels` worked by `process`. */
export async function previewMethods(
  db: Knex,
  floor: Floor,
  jobId: JobId,
  panels: readonly string[],
  process: MethodKey,
): Promise<MethodPreview | undefined> {
  const live = liveOf(floor, jobId)
  const agreement = live && (await findAgreement(db, jobId))
  if (!agreement) return undefined
  const now = methodsSince(live, await processEntries(db, jobId), agreement.summary.processes)
  const others = now.filter(({ panel }) => !panels.includes(panel))
  const wished = [...others, ...panels.map((panel) => ({ panel, process }))]
  return previewOf(floor, live, await withMethods(db, floor.shop, live, wished, floor.now))
}

const processEntries = async (db: Knex, jobId: JobId) =>
  (await entriesWith(db, 'process', [jobId])).get(jobId) ?? []

/** The method of every panel as it is to be worked now: as agreed, or as changed at the car. */
export async function standingMethods(
  db: Knex,
  live: LiveJob,
  { summary: { processes } }: Pick<Agreement, 'summary'>,
): Promise<Record<string, MethodKey>> {
  const changed = methodsSince(live, await processEntries(db, live.id), processes)
  return { ...processes, ...Object.fromEntries(changed.map(({ panel, process }) => [panel, process])) }
}

/** The panels of a car that are one with this one: what was tried on one of them counts for all; with their methods as they stand. */
export async function groupOf(db: Knex, shop: Shop, jobId: JobId, panel: string): Promise<string[]> {
  const [job, agreement] = [await findJob(db, jobId), await findAgreement(db, jobId)]
  if (!job || !agreement) return []
  const { judgement } = (await loadWorked(db, shop, job)).input
  const own = judgement.panels.find((judged) => judged.panel.id === panel)
  const { processes } = agreement.summary
  return own
    ? judgement.panels
        .filter((judged) => panelGroup(judged) === panelGroup(own))
        .map((judged) => judged.panel.id)
        .filter((id) => id === panel || (processes[id] ?? 'leave') !== 'leave')
    : []
}

/** Of these panels those whose paint can spare a method. */
export async function spared(
  db: Knex,
  jobId: JobId,
  panels: readonly string[],
  process: MethodKey,
): Promise<string[]> {
  const ways = await findAllWays(db, jobId)
  return panels.filter((panel) => {
    const way = ways.get(panel)?.find(({ key }) => key === process)
    return way !== undefined && way.forbidden === undefined
  })
}

/** The plan by what is known of the paint by now, with every panel by the method it has; and what that comes to. */
export async function workedAnew(
  db: Knex,
  floor: Floor,
  jobId: JobId,
): Promise<{ plan: JobPlan; preview: MethodPreview } | undefined> {
  const live = liveOf(floor, jobId)
  const agreement = live && (await findAgreement(db, jobId))
  if (!agreement) return undefined
  const methods = methodsSince(live, await processEntries(db, jobId), agreement.summary.processes)
  const changed = await withMethods(db, floor.shop, live, methods, floor.now, true)
  return changed && timesOf(changed.plan) !== timesOf(live.plan)
    ? { plan: changed.plan, preview: previewOf(floor, live, changed) }
    : undefined
}

const timesOf = ({ operations }: JobPlan) => operations.map(({ id, minutes }) => `${id} ${minutes}`).join()

/**
 * The panels that wait for the customer's word: their method was changed at the car, that changes the price, and this shop goes on only
 * with a yes. None where it goes on.
 */
export async function panelsThatWait(
  db: Knex,
  shop: Shop,
  live: LiveJob,
  now: Instant,
): Promise<ReadonlySet<string>> {
  if (shop.setup.unagreed === 'goes-on') return new Set()
  const agreement = await findAgreement(db, live.id)
  if (!agreement) return new Set()
  const methods = methodsSince(live, await processEntries(db, live.id), agreement.summary.processes)
  if (methods.length === 0) return new Set()
  const changed = await withMethods(db, shop, live, methods, now)
  return new Set(
    changed && changed.price.totalCents > changed.wasCents ? methods.map(({ panel }) => panel) : [],
  )
}
