import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type JobId, type OperationId, type PersonId, toOperationId, UNKNOWN_PERSON } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { type Job, type LiveJob, type Progress, progressAt, waitBegan } from '@/core/job'
import { makeOffer, type Offer, summaryOf } from '@/core/offer'
import { collectionTime, joinParts, nextSlot, planningProblem, shopCalendar } from '@/core/planning'
import { nextOpen, solve } from '@/core/schedule'
import { everyone, type Setup, type Shop } from '@/core/shop'
import { emptyRecord } from '@/core/survey'
import { atLocal, dayIn, earlierOf, type Instant, laterOf, plusDays, plusMinutes } from '@/core/time'
import { panelsOf } from '@/core/vehicle'
import { SimulatedClimateSensor } from '@/devices/climate-sensor'
import { cutPaint, SimulatedFilmGauge, seedOf } from '@/devices/film-gauge'
import { findJob, takeIn } from '@/server/floor/job-store'
import { agreedCut, handOverJob } from '@/server/handover/hand-over'
import { publish } from '@/server/planning/plan-store'
import { replan } from '@/server/planning/planning'
import { writeAgreement } from '@/server/quotes/agreement-store'
import { loadWorked } from '@/server/quotes/offers'
import { decideQuote, writeQuote } from '@/server/quotes/quote-store'
import { loadShop } from '@/server/shop/shop-store'
import { addAttempt } from '@/server/survey/spot-store'
import { loadSurvey, saveSurvey } from '@/server/survey/survey-store'
import { writeAct } from '@/server/work/acts-store'
import { recordFinish, recordStart } from '@/server/work/work-store'
import { toldQuote } from '@/text/quote'
import { CARS_AWAY } from './away'
import { BOOKED_CARS } from './booked'
import type { DemoCar } from './car'
import { DEMO_CARS } from './cars'
import { COMING_CARS } from './coming'
import { becomeFernYard, isWorkday, workday } from './fern-yard'
import { filled, quietDays } from './fortnight'
import { addPast } from './past'
import { STAY_MOST_DAYS } from './past-work'
import { promiseBooked } from './promises'
import { roundOf } from './round'
import { addShelf } from './shelf'
import { addPracticeGrades, addPromises, addReturning, addWash, photographPanels } from './visits'

/**
 * Makes the demo shop as it stands at `now`: the cars that are in the shop are given an arrival in the past, are
 * planned by the real scheduler, and are then taken to have gone by that plan up to now. So the demo obeys every
 * window and shift, whatever the hour at which it is opened.
 */

/** How far back the start of an operation is looked for, and how many mornings of arrival for each. */
const LOOK_BACK_DAYS = 7
const ARRIVALS_TRIED = 3
/** How long ago the car that was fetched had been finished. */
const GONE_MINUTES = 4 * 1440
const GAUGE_SEED = 20_270_112

type Placed = { car: DemoCar; job: Job; offer: Offer; live: LiveJob }

async function measure(db: Knex, car: DemoCar, job: Job, now: Instant): Promise<void> {
  const gauge = new SimulatedFilmGauge(car.paint, GAUGE_SEED + seedOf(car.intake.plate), 0)
  const { version } = await loadSurvey(db, job.id)
  const panels = panelsOf(job.vehicle.shape)
  const inspected = panels.map(({ id }) => id)
  const record = { ...emptyRecord(), defects: car.defects, places: car.places ?? {}, inspected }
  record.before.readings = await roundOf(gauge, panels)
  await saveSurvey(db, job.id, version, record, now)
}

/** The round after the work: what the agreed processes have left. */
async function measureAgain(db: Knex, car: DemoCar, job: Job, offer: Offer, now: Instant): Promise<void> {
  const panels = panelsOf(job.vehicle.shape)
  const cut = agreedCut(summaryOf(offer), job.vehicle.hardness)
  const gauge = new SimulatedFilmGauge(cutPaint(car.paint, panels, cut), GAUGE_SEED + job.number, 0)
  const { version, ...record } = await loadSurvey(db, job.id)
  record.after.readings = await roundOf(gauge, panels)
  record.marked = panels.map(({ id }) => id)
  await saveSurvey(db, job.id, version, record, now)
}

async function offerFor(db: Knex, shop: Shop, car: DemoCar, job: Job): Promise<Offer> {
  const template = shop.setup.packages.find(({ key }) => key === car.packageKey)!
  const { input } = await loadWorked(db, shop, job)
  return makeOffer(template, input, { vendors: car.calledIn ?? [], terms: shop.setup.terms })
}

/** Mornings on which the car may have come in for work that began at `start`, the latest first. */
function arrivalsBefore(setup: Setup, start: Instant): Instant[] {
  const days = Array.from({ length: LOOK_BACK_DAYS }, (_, back) =>
    plusDays(dayIn(setup.region.timezone, start), -back),
  )
  return days
    .filter(isWorkday)
    .slice(0, ARRIVALS_TRIED)
    .map((day) => atLocal(setup.region.timezone, day, '07:00'))
    .filter((arrival) => arrival <= start)
}

/** Whether anybody who could do it is on shift at a moment; a wait needs nobody. */
const somebodyStarts = (setup: Setup, skill: string | undefined, at: Instant): boolean =>
  skill === undefined ||
  everyone(setup).some(
    ({ skills, calendar }) =>
      skills.includes(skill) && nextOpen(setup.calendars[calendar]!, setup.region.timezone, at, 1) === at,
  )

/** Starts of the operation that leave the car where it is wanted at `now`, the likeliest first. */
function startsFor(car: DemoCar, offer: Offer, setup: Setup, now: Instant): Instant[] {
  if (car.wanted.kind !== 'at') return []
  const { operation: id, state } = car.wanted
  const { minutes, skill } = offer.plan.operations.find((operation) => operation.id === id)!
  const step = setup.slotMinutes
  const latest = plusMinutes(
    nextSlot(plusMinutes(now, -step), step),
    state === 'just-done' ? -Math.ceil(minutes / step) * step : 0,
  )
  const count = (LOOK_BACK_DAYS * 1440) / step
  const starts = Array.from({ length: count }, (_, back) => plusMinutes(latest, -back * step))
  return starts.filter((start) => somebodyStarts(setup, skill, start))
}

/** What has happened to a planned job by `now`, if all went by the plan. */
function lived(live: LiveJob, now: Instant): Record<string, Progress> {
  const progress: Record<string, Progress> = {}
  for (const operation of live.plan.operations) {
    const placed = live.published.find((each) => each.operation === operation.id)!
    const [from, to, by] = [placed.start, placed.end, placed.people[0] ?? UNKNOWN_PERSON]
    if (operation.mode === 'unattended' && waitBegan({ ...live, progress }, operation)) continue
    if (to <= now) progress[operation.id] = { kind: 'done', from, to, by }
    else if (from <= now) progress[operation.id] = { kind: 'started', at: from, by }
  }
  return progress
}

/** The operation a job stands at: the first that is not done. */
function standsAt(live: LiveJob, now: Instant): string | undefined {
  return live.plan.operations.find((operation) => progressAt(live, operation, now).kind !== 'done')?.id
}

/** Plans a car into the past so that by now it stands where it is wanted; the cars before it stay where they are. */
function backdate(car: DemoCar, { setup, job, offer, others, now }: Placing): LiveJob | undefined {
  if (car.wanted.kind !== 'at') return undefined
  const operation = toOperationId(car.wanted.operation)
  const calendar = { ...shopCalendar(setup), horizonDays: LOOK_BACK_DAYS + STAY_MOST_DAYS }
  const asPlanned = others.map((other) => ({ ...other, progress: {} }))
  for (const start of startsFor(car, offer, setup, now))
    for (const arrive of arrivalsBefore(setup, start)) {
      const live: LiveJob = { id: job.id, arrive, weight: 1, plan: offer.plan, progress: {}, published: [] }
      const { problem } = planningProblem(calendar, [...asPlanned, live], {
        now: arrive,
        movable: new Set([job.id]),
      })
      const pinned = { ...problem, fixed: [...problem.fixed, { job: job.id, operation, start }] }
      const { schedule } = solve(pinned, { seed: GAUGE_SEED, steps: 0, unproven: true })
      const published = schedule.operations.filter((placed) => placed.job === job.id)
      if (published.length < offer.plan.operations.length) continue
      const planned = { ...live, published }
      const progress = lived(planned, now)
      if (car.wanted.state === 'under-way' && progress[operation]?.kind !== 'started') continue
      return { ...planned, progress }
    }
  return undefined
}

async function writeHistory(
  db: Knex,
  shop: Shop,
  { car, job, offer, live }: Placed,
  now: Instant,
): Promise<void> {
  const sensor = new SimulatedClimateSensor()
  const end = live.published.map(({ end }) => end).reduce(laterOf)
  await db('jobs').where({ id: job.id }).update({ arrive_at: live.arrive })
  const { setup } = shop
  const agreedAt = earlierOf(live.arrive, now)
  const told = {
    jobId: job.id,
    packageKey: offer.template.key,
    packageName: offer.template.name,
    plan: offer.plan,
    summary: summaryOf(offer),
    totalCents: offer.price.totalCents,
  }
  // A car that is finished waits for the next hour at which it can be fetched, unless it is gone.
  const promisedFor = collectionTime(setup, car.gone ? end : laterOf(end, now))
  const quote = {
    ...told,
    choices: {
      packageKey: offer.template.key,
      extras: [],
      ...(car.calledIn ? { vendors: [...car.calledIn] } : {}),
      terms: setup.terms,
    },
    note: '',
    couldCollectAt: promisedFor,
    writtenAt: agreedAt,
    validUntil: plusMinutes(agreedAt, setup.terms.validDays * 1440),
  }
  const version = await writeQuote(db, quote, (number) =>
    toldQuote({ ...quote, version: number }, job, setup),
  )
  await decideQuote(db, job.id, version, { said: 'accepted', at: agreedAt, words: '' })
  await writeAgreement(db, { ...told, version, promisedFor, agreedAt })
  await publish(db, live.published, { computedAt: now, status: 'feasible', cause: 'demo', reasons: [] })
  for (const operation of live.plan.operations) {
    const progress = live.progress[operation.id]
    if (progress?.kind === 'started') {
      const by = progress.by ?? UNKNOWN_PERSON
      await recordStart(db, job.id, operation.id, progress.at, by)
      const left = leftOff(live, operation.id, now)
      if (left) await pauseAt(db, job.id, operation.id, by, left)
    }
    if (progress?.kind !== 'done') continue
    const place = live.published.find((placed) => placed.operation === operation.id)!.place
    await recordFinish(db, {
      jobId: job.id,
      operationId: operation.id,
      startedAt: progress.from,
      endedAt: progress.to,
      by: progress.by ?? UNKNOWN_PERSON,
      ...(operation.kind === 'layer'
        ? {
            layer: {
              productId: operation.productId!,
              lot: `${operation.productId!.slice(0, 2).toUpperCase()}-${1 + (job.number % 7)}`,
              climate: sensor.air(place, progress.from),
            },
          }
        : {}),
    })
  }
}

/** A car is washed and measured before its first test spot; then they follow one another, minutes. */
const FIRST_SPOT_MINUTES = 150
const SPOT_MINUTES = 25

/** When work that goes on another day was left, where nobody is at it now. */
function leftOff({ published }: LiveJob, operation: OperationId, now: Instant): Instant | undefined {
  const { segments } = published.find((placed) => placed.operation === operation)!
  if (segments.some(([from, to]) => from <= now && now < to)) return undefined
  return segments.findLast(([, to]) => to <= now)?.[1]
}

const pauseAt = (db: Knex, job: JobId, operation: OperationId, by: PersonId, at: Instant): Promise<void> =>
  writeAct(db, { kind: 'pause', operation, reason: 'day-over', id: randomUUID(), job, by, at }, 'demo', at)

async function takeInCar(db: Knex, car: DemoCar, setup: Setup, now: Instant): Promise<Job> {
  const today = dayIn(setup.region.timezone, now)
  const day = workday(plusDays(today, car.arrivesInDays ?? 0))
  const intake = { ...emptyIntake(day), ...car.intake }
  const id = await takeIn(db, intake, atLocal(setup.region.timezone, day, '08:00'), now)
  return (await findJob(db, id))!
}

/** Test spots follow one another, the last of them before now, whatever the hour the car is said to come. */
async function trySpots(
  db: Knex,
  job: Job,
  spots: NonNullable<DemoCar['spots']>,
  now: Instant,
): Promise<void> {
  const first = earlierOf(
    plusMinutes(job.arriveAt, FIRST_SPOT_MINUTES),
    plusMinutes(now, -SPOT_MINUTES * spots.length),
  )
  for (const [at, attempt] of spots.entries())
    await addAttempt(db, job.id, attempt, undefined, plusMinutes(first, SPOT_MINUTES * at))
}

/** Where cars are added: the shop, the jobs that are planned so far, and what is still being photographed. */
type Filling = { db: Knex; shop: Shop; now: Instant; inShop: LiveJob[]; photographed: Promise<void>[] }

async function addCar({ db, shop, now, inShop, photographed }: Filling, car: DemoCar): Promise<void> {
  const job = await takeInCar(db, car, shop.setup, now)
  if (car.wanted.kind === 'to-measure') return
  await measure(db, car, job, now)
  photographed.push(photographPanels(db, job, car.photographs ?? [], car.wanted.kind === 'at', now))
  await trySpots(db, job, car.spots ?? [], now)
  if (car.wanted.kind === 'to-choose') return
  await addPromises(db, job, shop.setup, earlierOf(job.arriveAt, now))
  await addWash(db, job.id, shop.setup)
  const offer = await offerFor(db, shop, car, job)
  const live = planned(car, { setup: shop.setup, job, offer, others: inShop, now })
  if (!live) return
  inShop.push(live)
  await writeHistory(db, shop, { car, job, offer, live }, now)
  if (!car.gone) return
  await measureAgain(db, car, job, offer, now)
  await handOverJob(db, job, shop.setup.region.timezone, plusMinutes(now, -GONE_MINUTES + 120))
}

/**
 * Fills an empty database with the demo shop. A `small` one lacks the two years behind it and the cars that fill the next fortnight.
 * Does nothing where there are jobs already; says whether it did.
 */
export async function loadDemo(db: Knex, now: Instant, { small = false } = {}): Promise<boolean> {
  if (await db('jobs').first()) return false
  await becomeFernYard(db, now)
  const shop = await loadShop(db)
  if (!small) await addPast(db, shop, now)
  await addReturning(db, shop.setup, now)
  await addPracticeGrades(db, shop.setup, now)
  await addShelf(db, shop.setup.region.timezone, now)
  const filling: Filling = { db, shop, now, inShop: [], photographed: [] }
  const inSmall = [...DEMO_CARS, ...COMING_CARS]
  for (const car of small ? inSmall : [...inSmall, ...CARS_AWAY, ...BOOKED_CARS]) await addCar(filling, car)
  await Promise.all(filling.photographed)
  await replan(db, now, 'demo loaded', new Set())
  if (!small) await promiseBooked(db, now)
  return true
}

/** A car to be placed beside the others that are planned so far. */
type Placing = { setup: Setup; job: Job; offer: Offer; others: readonly LiveJob[]; now: Instant }

function planned(car: DemoCar, placing: Placing): LiveJob | undefined {
  if (car.wanted.kind === 'planned') return planAhead(placing)
  if (car.wanted.kind === 'booked') return planWhereRoom(placing)
  return backdate(car, car.gone ? { ...placing, now: plusMinutes(placing.now, -GONE_MINUTES) } : placing)
}

function planAhead({ setup, job, offer, others, now }: Placing): LiveJob | undefined {
  const live: LiveJob = {
    id: job.id,
    arrive: job.arriveAt,
    weight: 1,
    plan: offer.plan,
    progress: {},
    published: [],
  }
  const busy = others.filter((other) => standsAt(other, now) !== undefined)
  const { problem } = planningProblem(shopCalendar(setup), [...busy, live], {
    now,
    movable: new Set([job.id]),
  })
  // Held against every rule once, as the whole floor is planned at the end.
  const { schedule } = solve(problem, { seed: GAUGE_SEED, steps: 0, unproven: true })
  const published = joinParts(problem, schedule).filter((placed) => placed.job === job.id)
  return published.length === offer.plan.operations.length ? { ...live, published } : undefined
}

/** The plan of a car that may come on any morning of the two weeks ahead, on the one that leaves them fullest. */
function planWhereRoom(placing: Placing): LiveJob | undefined {
  const { setup, job, others, now } = placing
  const { timezone } = setup.region
  const today = dayIn(timezone, now)
  const placed = others.flatMap(({ published }) => published)
  const plans = quietDays(timezone, today, placed)
    .map((day) => planAhead({ ...placing, job: { ...job, arriveAt: atLocal(timezone, day, '08:00') } }))
    .filter((plan) => plan !== undefined)
    .map((plan) => ({ plan, full: filled(timezone, today, [...placed, ...plan.published]) }))
  const best = plans.reduce((a, b) => (b.full > a.full ? b : a), plans[0]!)?.plan
  return best && { ...best, arrive: comesAt(timezone, best) }
}

/** Nobody brings a car days before it is touched: it comes on the morning on which its work begins. */
function comesAt(timezone: string, { published }: LiveJob): Instant {
  const begins = published.map(({ start }) => start).reduce(earlierOf)
  return earlierOf(begins, atLocal(timezone, dayIn(timezone, begins), '08:00'))
}
