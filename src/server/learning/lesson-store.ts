import type { Knex } from 'knex'
import { type CardState, cardOf, workNow, workOn } from '@/core/card'
import { keptMethod } from '@/core/correction'
import type { JobId, ProductId } from '@/core/ids'
import type { Job, LiveJob } from '@/core/job'
import { type Lesson, type LessonInput, lessonOf, type PaceChange, type Tick } from '@/core/learning'
import { type Agreement, agreedWork, lineBeforeTax, type Summary } from '@/core/offer'
import { liveJob } from '@/core/planning'
import { openMinutesBetween } from '@/core/schedule'
import { everyone, type Setup, type Shop } from '@/core/shop'
import { usedCents, wornCents } from '@/core/stock'
import { dayIn, type Instant, instantOrThrow, type LocalDay, laterOf, minutesBetween } from '@/core/time'
import { panelsOfVehicle } from '@/core/vehicle'
import { findJob } from '../floor/job-store'
import { listVerdicts } from '../handover/handover-store'
import { loadPublishedOf } from '../planning/plan-store'
import { findAgreement } from '../quotes/agreement-store'
import { listSupplies } from '../stock/stock-store'
import { listStores, usedFor } from '../stock/stores'
import { takesOfDone } from '../stock/takes'
import { loadEntries } from '../work/acts-store'
import { loadProgress } from '../work/work-store'

/** What was learned from each job that has gone home. */

/** What the lines of a kind come to before tax; a discount at the rate all of it is taxed at together. */
const lineCents = (summary: Summary, kind: string) => {
  const together = summary.netCents > 0 ? (100 * summary.taxCents) / summary.netCents : 0
  return summary.priceLines
    .filter((line) => line.kind === kind)
    .reduce((sum, line) => sum + lineBeforeTax(line, summary, together), 0)
}

/** Minutes on shift between two moments less the pauses of a step; elapsed ones for whoever has no shifts. */
function workedBy(setup: Setup, card: CardState): LessonInput['worked'] {
  return (operation, person, from, to) => {
    const shifts = everyone(setup).find(({ id }) => id === person)?.calendar
    const calendar = shifts === undefined ? undefined : setup.calendars[shifts]
    const open = (a: Instant, b: Instant) =>
      calendar ? openMinutesBetween(calendar, setup.region.timezone, a, b) : Math.max(0, minutesBetween(a, b))
    const rested = workOn(card, operation).pauses.reduce((sum, pause) => {
      const [start, end] = [laterOf(pause.from, from), pause.to && pause.to < to ? pause.to : to]
      return start < end ? sum + open(start, end) : sum
    }, 0)
    return Math.max(0, open(from, to) - rested)
  }
}

async function productsOf(
  db: Knex,
  { catalogue }: Shop,
  { jobId, summary }: Agreement,
): Promise<Lesson['products']> {
  const rows: { product_id: ProductId; ml: number }[] = await db('pours')
    .join('bottles', 'bottles.id', 'pours.bottle_id')
    .where('pours.job_id', jobId)
    .groupBy('bottles.product_id')
    .select('bottles.product_id', db.raw('sum(pours.ml_x10) / 10.0 AS ml'))
  const poured = new Map(rows.map(({ product_id, ml }) => [product_id, ml]))
  const planned = new Map<ProductId, number>()
  for (const { product, ml } of summary.coats) {
    const id = catalogue.find(({ name }) => name === product)?.id
    if (id) planned.set(id, (planned.get(id) ?? 0) + ml)
  }
  return [...new Set([...planned.keys(), ...poured.keys()])].flatMap((productId) => {
    const product = catalogue.find(({ id }) => id === productId)
    if (!product) return []
    const ml = poured.get(productId)
    return [
      {
        productId,
        plannedMl: planned.get(productId) ?? 0,
        ml: ml ?? planned.get(productId) ?? 0,
        poured: ml !== undefined,
        centsPerMl: product.centsPerMl,
      },
    ]
  })
}

async function clearingOf(db: Knex, { jobId, summary }: Agreement): Promise<Lesson['clearing']> {
  const seen = new Map(
    (await listVerdicts(db, jobId)).map((verdict) => [verdict.item, verdict.clearedPercent]),
  )
  return summary.panels.flatMap(({ id, process, indexBefore, indexAfter, mark }) => {
    const reached = seen.get(id)
    return reached === undefined || indexBefore >= 100
      ? []
      : [
          {
            panel: id,
            process,
            expected: (indexAfter - indexBefore) / (100 - indexBefore),
            reached: reached / 100,
            ...(mark ? { mark } : {}),
          },
        ]
  })
}

const ticksOf = (entries: Awaited<ReturnType<typeof loadEntries>>): Tick[] =>
  entries.flatMap((entry) =>
    entry.kind === 'sections' ? [{ operation: entry.operation, panel: entry.panel, at: entry.at }] : [],
  )

/** What liquids, tape, pads and towels a job has used up, cents; undefined where the shop has not said what any of it costs. */
async function usedUpCents(
  db: Knex,
  shop: Shop,
  { job, agreement, live, card }: { job: Job; agreement: Agreement; live: LiveJob; card: CardState },
): Promise<number | undefined> {
  const takes = await takesOfDone(db, shop, { job, agreement, live, processes: card.processes })
  const parts = [
    usedCents(await usedFor(db, job.id), await listStores(db)),
    wornCents(takes, await listSupplies(db)),
  ].filter((cents) => cents !== undefined)
  return parts.length > 0 ? parts.reduce((sum, cents) => sum + cents, 0) : undefined
}

async function lessonInput(
  db: Knex,
  shop: Shop,
  job: Job,
  agreement: Agreement,
  live: LiveJob,
): Promise<LessonInput> {
  const entries = await loadEntries(db, job.id)
  const card = cardOf(live, entries)
  const { summary } = agreement
  return {
    job: {
      id: job.id,
      number: job.number,
      packageKey: agreement.packageKey,
      packageName: agreement.packageName,
    },
    day: dayIn(shop.setup.region.timezone, job.handedOverAt!),
    promisedFor: agreement.promisedFor,
    plan: agreement.plan,
    progress: live.progress,
    published: live.published,
    panels: panelsOfVehicle(job.vehicle),
    work: workNow(agreedWork(summary), card.processes, shop.setup.methods),
    care: summary.care,
    pace: summary.pace,
    ticks: ticksOf(entries),
    worked: workedBy(shop.setup, card),
    money: {
      netCents: summary.netCents,
      discountCents: -lineCents(summary, 'discount'),
      vendorCents: lineCents(summary, 'vendor'),
      // Where the shop knows what it pays for them, what was used stands for the lump sum.
      consumablesCents:
        (await usedUpCents(db, shop, { job, agreement, live, card })) ?? lineCents(summary, 'consumables'),
    },
    products: await productsOf(db, shop, agreement),
    clearing: await clearingOf(db, agreement),
  }
}

/** Keeps what a job that has just gone home has to teach. A visit, or one with nothing recorded, teaches nothing. */
export async function keepLesson(db: Knex, shop: Shop, jobId: JobId): Promise<void> {
  const job = await findJob(db, jobId)
  const agreement = await findAgreement(db, jobId)
  if (!job?.handedOverAt || !agreement || job.kind === 'visit') return
  const progress = (await loadProgress(db, [jobId])).get(jobId) ?? {}
  if (!Object.values(progress).some(({ kind }) => kind === 'done')) return
  const live = liveJob(job, agreement, progress, await loadPublishedOf(db, jobId))
  const lesson = lessonOf(await lessonInput(db, shop, job, agreement, live))
  await db('lessons')
    .insert({
      job_id: jobId,
      day: lesson.day,
      package_key: lesson.packageKey,
      lesson: JSON.stringify(lesson),
    })
    .onConflict('job_id')
    .merge()
}

/** Of a car that has not gone home after all. */
export async function dropLesson(db: Knex, jobId: JobId): Promise<void> {
  await db('lessons').where({ job_id: jobId }).delete()
}

/** Lessons of the jobs that went home between two days, the oldest first. They were written by this program and are read as such. */
export async function loadLessons(db: Knex, from: LocalDay, to: LocalDay): Promise<Lesson[]> {
  const rows: { lesson: string }[] = await db('lessons')
    .whereBetween('day', [from, to])
    .orderBy(['day', 'job_id'])
    .select('lesson')
  return rows.map(({ lesson }) => {
    const kept = JSON.parse(lesson) as Lesson
    return {
      ...kept,
      clearing: kept.clearing.map((each) => ({ ...each, process: keptMethod.parse(each.process) })),
    }
  })
}

/** Both tables are kept in one list; keys of depths are told apart by what they begin with. */
const DEPTHS = 'depth '
const keptKey = (kept: string): Pick<PaceChange, 'of' | 'key'> =>
  kept.startsWith(DEPTHS) ? { of: 'depths', key: kept.slice(DEPTHS.length) } : { of: 'pace', key: kept }

export async function listPaceChanges(db: Knex): Promise<PaceChange[]> {
  const rows = await db('pace_changes').orderBy('id', 'desc').limit(20)
  return rows.map((row) => ({
    ...keptKey(row.key),
    before: row.factor_before,
    after: row.factor_after,
    jobs: row.jobs,
    at: instantOrThrow(row.accepted_at),
  }))
}

export async function addPaceChange(db: Knex, change: PaceChange): Promise<void> {
  await db('pace_changes').insert({
    key: change.of === 'depths' ? `${DEPTHS}${change.key}` : change.key,
    factor_before: change.before,
    factor_after: change.after,
    jobs: change.jobs,
    accepted_at: change.at,
  })
}
