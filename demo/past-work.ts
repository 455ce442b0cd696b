import type { Knex } from 'knex'
import { offered, unprobed } from '@/core/correction'
import type { Verdict } from '@/core/handover'
import { type JobId, toPersonId, UNKNOWN_PERSON } from '@/core/ids'
import type { Intake } from '@/core/intake/intake'
import type { Job } from '@/core/job'
import { type JobPlan, makeOffer, type Offer, type PlannedOperation, summaryOf } from '@/core/offer'
import { AWAY, collectionTime, joinParts, planningProblem, shopCalendar } from '@/core/planning'
import { type PlacedOperation, type Random, seededRandom, solve } from '@/core/schedule'
import type { Shop } from '@/core/shop'
import {
  countedReadings,
  type Defect,
  emptyRecord,
  judgeRecord,
  removalsOfVisit,
  type SurveyRecord,
  type VehicleJudgement,
} from '@/core/survey'
import { atLocal, dayIn, type Instant, type LocalDay, laterOf, plusMinutes } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { SimulatedClimateSensor } from '@/devices/climate-sensor'
import { cutPaint, inventPaint, type PaintTruth, SimulatedFilmGauge, seedOf } from '@/devices/film-gauge'
import { SimulatedGlossMeter } from '@/devices/gloss-meter'
import { findJob, handOver, takeIn } from '@/server/floor/job-store'
import { agreedCut } from '@/server/handover/hand-over'
import { addPayment, writeVerdicts } from '@/server/handover/handover-store'
import { keepLesson } from '@/server/learning/lesson-store'
import { publish } from '@/server/planning/plan-store'
import { writeAgreement } from '@/server/quotes/agreement-store'
import { addBottle, markGone, markOpened } from '@/server/stock/stock-store'
import { FIRST_SURVEY, saveSurvey } from '@/server/survey/survey-store'
import { pick } from './past-cars'
import { tickSections } from './past-sections'
import { roundOf } from './round'

/** One car of the past, from its arrival to its keys: planned by the real scheduler, then lived a little differently. */

export type PastJob = {
  intake: Intake
  day: LocalDay
  loft: string
  packageKey: string
}

/**
 * How the work of the demo shop really goes against its table, by kind of step: what it has yet to learn. Cutting
 * takes far longer than the table says, a wash a little, and a polish goes quicker.
 */
const REALLY: Partial<Record<PlannedOperation['kind'], number>> = {
  wash: 1.12,
  refine: 1.1,
  polish: 0.9,
  layer: 1.04,
  finish: 1.15,
}
const CUT = 1.45
/** Work that is not to be interrupted ends with the shift at the latest. */
const SOLID_MOST_MINUTES = 230

function reallyTakes(operation: PlannedOperation, random: Random): number {
  const usual = operation.kind === 'cut' ? CUT : (REALLY[operation.kind] ?? 1)
  const luck = 0.88 + 0.24 * random()
  const minutes = Math.max(5, Math.round((operation.minutes * usual * luck) / 5) * 5)
  return operation.mode === 'solid'
    ? Math.min(minutes, Math.max(operation.minutes, SOLID_MOST_MINUTES))
    : minutes
}

/** No car of the demo shop stays longer, days. */
export const STAY_MOST_DAYS = 28

function place(shop: Shop, jobId: JobId, plan: JobPlan, arrive: Instant, loft: string): PlacedOperation[] {
  const calendar = { ...shopCalendar(shop.setup), horizonDays: STAY_MOST_DAYS }
  const places = calendar.places.filter(
    ({ id, kinds }) => id === loft || id === AWAY || kinds.includes('wash'),
  )
  const live = { id: jobId, arrive, weight: 1, plan, progress: {}, published: [] }
  const { problem } = planningProblem({ ...calendar, places }, [live], { now: arrive })
  return joinParts(problem, solve(problem, { seed: 1, steps: 0, unproven: true }).schedule)
}

const DEFECTED = [
  'bonnet',
  'roof',
  'boot',
  'tailgate',
  'front-door-left',
  'front-door-right',
  'rear-door-left',
  'rear-door-right',
]

function marks(random: Random, panels: readonly string[], worn: number): Record<string, Defect[]> {
  return Object.fromEntries(
    panels
      .filter((id) => DEFECTED.includes(id) || random() < 0.5)
      .map((id) => [
        id,
        [
          {
            kind: 'swirls',
            severity: Math.min(3, 1 + Math.floor(worn + random() * 1.2)) as 1 | 2 | 3,
            extentPercent: 30 + 10 * Math.floor(random() * 6),
            catchesNail: false,
          },
        ],
      ]),
  )
}

/** The shop of the past gave itself some room. */
const PROMISE_SLACK_MINUTES = 240

/** What each package promises to bring off, and how much of that the inspector found (of the promise). */
const REACHED: Record<string, number> = {
  lantern: 0.95,
  boathouse: 1,
  headland: 1.02,
  slipway: 0.92,
  tideline: 0.9,
}

function offerOf(
  shop: Shop,
  job: Job,
  judgement: VehicleJudgement,
  packageKey: string,
  random: Random,
): Offer {
  const template = shop.setup.packages.find(({ key }) => key === packageKey)!
  return makeOffer(
    template,
    {
      shape: job.vehicle.shape,
      paintSystem: job.vehicle.paintSystem,
      methods: offered(shop.setup.methods),
      knowledge: unprobed(job.vehicle.hardness),
      treatments: [],
      judgement,
      proposals: [],
      catalogue: shop.catalogue,
      vendors: shop.setup.vendors,
      rates: shop.setup.rates,
    },
    {
      terms: {
        discountPercent: pick(random, packageKey === 'boathouse' ? BARGAINED : DISCOUNTS),
        depositPercent: 0,
      },
    },
  )
}

/** What was taken off the price, %: who brings a whole car back bargains. */
const DISCOUNTS = [0, 0, 0, 5, 10]
const BARGAINED = [5, 5, 10, 10, 10]

const glossRound = (judgement: VehicleJudgement, seed: number, indexOf: (id: string) => number) => {
  const meter = new SimulatedGlossMeter(indexOf, seed)
  return Object.fromEntries(judgement.panels.map(({ panel }) => [panel.id, meter.read(panel.id)]))
}

/** Lives one job through. Gives the job and when its bay was free again. */
export async function liveWork(
  db: Knex,
  shop: Shop,
  { intake, day, loft, packageKey }: PastJob,
  random: Random,
): Promise<{ job: Job; freeAt: Instant; paint: PaintTruth }> {
  const zone = shop.setup.region.timezone
  const arrive = atLocal(zone, day, '07:00')
  const jobId = await takeIn(db, intake, arrive, plusMinutes(arrive, -4 * 1440))
  const job = (await findJob(db, jobId))!
  const panels = panelsOf(job.vehicle.shape)
  const seed = seedOf(job.vehicle.plate)
  const paint = inventPaint(panels, seed)
  const worn = packageKey === 'boathouse' || packageKey === 'lantern' ? 1 : 0.2
  const record: SurveyRecord = {
    ...emptyRecord(),
    inspected: panels.map(({ id }) => id),
    defects: marks(
      random,
      panels.map(({ id }) => id),
      worn,
    ),
  }
  record.before.readings = await roundOf(new SimulatedFilmGauge(paint, seed + job.number, 0), panels)
  const judgement = judgeRecord(job.vehicle, shop.setup, record, {})
  const index = new Map(judgement.panels.map(({ panel, condition }) => [panel.id, condition.index]))
  record.before.gloss = glossRound(judgement, seed, (id) => index.get(id)!)
  const offer = offerOf(shop, job, judgement, packageKey, random)
  const planned = place(shop, jobId, offer.plan, arrive, loft)
  // Dice of its own: a step more or less in a plan leaves the cars that come after as they were.
  const luck = seededRandom(seed + 13)
  const really: JobPlan = {
    ...offer.plan,
    operations: offer.plan.operations.map((operation) => ({
      ...operation,
      minutes: reallyTakes(operation, luck),
    })),
  }
  const lived = place(shop, jobId, really, arrive, loft)
  const summary = summaryOf(offer)
  const cut = agreedCut(summary, job.vehicle.hardness)
  record.after.readings = await roundOf(
    new SimulatedFilmGauge(cutPaint(paint, panels, cut), seed + job.number + 7, 0),
    panels,
  )
  record.marked = panels.map(({ id }) => id)
  const better = new Map(
    offer.correction.panels.map(({ judged, option }) => [judged.panel.id, option.indexAfter]),
  )
  record.after.gloss = glossRound(judgement, seed + 1, (id) => better.get(id) ?? index.get(id)!)
  const saved = await saveSurvey(db, jobId, FIRST_SURVEY, record, arrive)
  if (!saved.ok) throw new Error(`the survey of ${job.vehicle.plate} was written already`)
  const lastOf = (placed: readonly PlacedOperation[]) => placed.map(({ end }) => end).reduce(laterOf)
  const endedAt = lastOf(lived)
  const promisedFor = collectionTime(shop.setup, plusMinutes(lastOf(planned), PROMISE_SLACK_MINUTES))
  await writeAgreement(db, {
    jobId,
    packageKey,
    packageName: offer.template.name,
    plan: offer.plan,
    summary,
    totalCents: offer.price.totalCents,
    promisedFor,
    agreedAt: arrive,
  })
  await publish(db, planned, { computedAt: arrive, status: 'feasible', cause: 'demo', reasons: [] })
  await writeDone(db, job, offer.plan, lived)
  await tickSections(db, job, offer, lived, random)
  const inspectedAt = endedAt
  await writeVerdicts(
    db,
    jobId,
    offer.correction.panels.flatMap(({ judged, option }): Verdict[] => {
      if (option.indexBefore >= 99.5 || option.indexAfter <= option.indexBefore) return []
      const expected = (100 * (option.indexAfter - option.indexBefore)) / (100 - option.indexBefore)
      const reached = Math.round(expected * REACHED[packageKey]! + 6 * (random() - 0.5))
      const clearedPercent = Math.max(0, Math.min(100, reached))
      const by = toPersonId('merle')
      return [{ item: judged.panel.id, verdict: 'good', note: '', clearedPercent, by, at: inspectedAt }]
    }),
  )
  const home = laterOf(promisedFor, collectionTime(shop.setup, endedAt))
  await addPayment(db, jobId, {
    cents: offer.price.totalCents,
    way: pick(random, ['card', 'cash', 'transfer']),
    note: '',
    at: home,
  })
  const removals = removalsOfVisit({
    beforeUm: countedReadings(record.before),
    afterUm: countedReadings(record.after),
    sameSpots: record.marked,
    byProcessUm: cut,
    day: dayIn(zone, home),
  })
  await pourPast(db, job, offer, random, dayIn(zone, endedAt))
  await handOver(db, job, removals, home)
  await keepLesson(db, shop, jobId)
  return { job, freeAt: endedAt, paint: cutPaint(paint, panels, cut) }
}

/** More goes onto a car of the demo shop than its table says, of the top coats most. */
const POURED: Record<string, number> = { 'tern-top': 1.32, 'cladonia-base': 1.12 }

/** A bottle opened for the car, and what was poured from it. */
async function pourPast(db: Knex, job: Job, offer: Offer, random: Random, day: LocalDay): Promise<void> {
  for (const coat of offer.coats) {
    const operation = offer.plan.operations.find(
      ({ productId, layer, surface }) =>
        productId === coat.product.id && (surface ? surface === coat.surface : layer === coat.layer),
    )
    const ml = coat.ml * (POURED[coat.product.id] ?? 1.05) * (0.93 + 0.14 * random())
    const fullMl = Math.ceil(ml / coat.product.bottleMl) * coat.product.bottleMl
    const bottle = await addBottle(db, {
      productId: coat.product.id,
      lot: `P-${job.number}`,
      fullMl,
      arrivedOn: day,
    })
    await markOpened(db, bottle, day)
    await db('pours').insert({
      bottle_id: bottle,
      ml_x10: Math.round(ml * 10),
      job_id: job.id,
      operation_id: operation?.id ?? null,
      note: '',
      at: job.arriveAt,
    })
    await markGone(db, bottle, day)
  }
}

/** Every step as it really went, and every coat with its lot and its air. */
export async function writeDone(
  db: Knex,
  job: Job,
  plan: JobPlan,
  lived: readonly PlacedOperation[],
): Promise<void> {
  const sensor = new SimulatedClimateSensor()
  const done = plan.operations.flatMap((operation) => {
    const placed = lived.find((each) => each.operation === operation.id)
    return placed ? [{ operation, placed }] : []
  })
  await db('progress').insert(
    done.map(({ operation, placed }) => ({
      job_id: job.id,
      operation_id: operation.id,
      started_at: placed.start,
      ended_at: placed.end,
      by_person: placed.people[0] ?? UNKNOWN_PERSON,
      version: 1,
    })),
  )
  for (const { operation, placed } of done) {
    if (!operation.productId || (operation.kind !== 'layer' && operation.kind !== 'surface')) continue
    const air = sensor.air(placed.place, placed.start)
    await db('layers').insert({
      job_id: job.id,
      operation_id: operation.id,
      product_id: operation.productId,
      lot: `${operation.productId.slice(0, 2).toUpperCase()}-${1 + (job.number % 9)}`,
      air_c_x10: Math.round(air.airC * 10),
      rh_x10: Math.round(air.rhPercent * 10),
      panel_c_x10: Math.round(air.panelC * 10),
    })
  }
}
