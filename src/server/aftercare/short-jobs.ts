import type { Knex } from 'knex'
import { ask } from '@/core/asks'
import type { CoatStep, LaidProduct, Product } from '@/core/coating'
import type { MethodKey } from '@/core/correction'
import { HARDNESS_GIVE, removalUm, seededMethod, worked } from '@/core/correction'
import type { Customer } from '@/core/customer'
import type { JobId, VehicleId } from '@/core/ids'
import type { Job, JobKind } from '@/core/job'
import { type JobPlan, type Price, priceOf, repairPlan, shortSummary, visitPlan } from '@/core/offer'
import { type DayOffered, type Floor, newJob } from '@/core/planning'
import type { PlacedOperation, ScheduleReason } from '@/core/schedule'
import type { Shop } from '@/core/shop'
import { countedReadings, judgeRecord, takenByPanel } from '@/core/survey'
import { atLocal, dayIn, type Instant, type LocalDay, laterOf, plusDays, weekdayOf } from '@/core/time'
import { paintedAreaM2, panelsOf, sizeOf, type Vehicle, type VehicleSize } from '@/core/vehicle'
import { SHORT_NAME, SHORT_WISH } from '@/text/en/visits'
import { loadFloor } from '../floor/floor'
import { addShortJob, findJob } from '../floor/job-store'
import { publishFor } from '../planning/plan-store'
import { whyNotPlaced } from '../planning/why-not-placed'
import { writeAgreement } from '../quotes/agreement-store'
import { whenForJob } from '../quotes/offers'
import { loadShop } from '../shop/shop-store'
import { loadSurvey } from '../survey/survey-store'
import { loadLedger } from '../vehicles/ledger-store'
import { findKnown } from '../vehicles/vehicle-store'
import { answerWishes } from './look-store'
import { failing, loadProtection } from './protection'

/** Visits and repairs: what they are, what they cost, and how they come onto the calendar. */

/** A short job worked out, not yet booked. */
export type ShortOffer = {
  kind: Exclude<JobKind, 'work'>
  plan: JobPlan
  price: Price
  coats: CoatStep[]
  polished: { id: string; name: string; process: MethodKey; takesUm: number; budgetUm: number }[]
}

const NO_TERMS = { discountPercent: 0, depositPercent: 0 }
const FREE_TERMS = { discountPercent: 100, depositPercent: 0 }

const layersOn = (layers: readonly Product[], areaM2: number): CoatStep[] =>
  layers.map((product, at) => ({ surface: 'paint', layer: at + 1, product, ml: product.mlPerM2 * areaM2 }))

/** A visit to this car, with the shop’s topper where it has one. */
export function visitOffer(
  { setup, catalogue }: Shop,
  { shape }: Pick<Vehicle, 'shape'>,
  { tax: customerTax }: Pick<Customer, 'tax'>,
): ShortOffer {
  const topper = catalogue.find(({ kind, retired }) => kind === 'topper' && !retired)
  const plan = visitPlan(shape, topper)
  const coats = topper ? layersOn([topper], paintedAreaM2(shape)) : []
  const rates = { ...setup.rates, consumablesCents: 0 }
  const price = priceOf({ plan, coats, extras: [], vendors: [], rates, terms: NO_TERMS, customerTax })
  return { kind: 'visit', plan, price, coats, polished: [] }
}

export type RepairRefusal = { message: string }

/** µm a panel may still give at this visit: by its readings and by the ledger. */
async function budgets(db: Knex, shop: Shop, visit: Job): Promise<Map<string, number>> {
  const survey = await loadSurvey(db, visit.id)
  const taken = takenByPanel(await loadLedger(db, visit.vehicle.id))
  const { panels } = judgeRecord(visit.vehicle, shop.setup, survey, taken)
  const read = countedReadings(survey.before)
  // Where this visit has not read a panel, the ledger alone says what it may give.
  return new Map(
    panels.map(({ panel, budget }) => [
      panel.id,
      read[panel.id]?.length
        ? budget.budgetUm
        : (budget.limits.find(({ rule }) => rule === 'lifetime')?.limitUm ?? budget.budgetUm),
    ]),
  )
}

const PREPARATION = worked(seededMethod('one-step-polish'))

/** Panels to be coated again with what was on them. Refused where the paint cannot spare the polish under it. */
export async function repairOffer(
  db: Knex,
  shop: Shop,
  visit: Job,
  panelIds: readonly string[],
  lying: readonly LaidProduct[],
  onGuarantee: boolean,
): Promise<ShortOffer | RepairRefusal> {
  const { shape, hardness } = visit.vehicle
  const panels = panelsOf(shape).filter(({ id }) => panelIds.includes(id))
  if (panels.length === 0) return { message: ask('panels-to-coat') }
  // What another shop has applied is only applied again where we have it, too.
  const layers = lying.flatMap(({ id }) => shop.catalogue.find((product) => product.id === id) ?? [])
  if (layers.length === 0) return { message: ask('not-our-coating') }
  const takesUm = removalUm(PREPARATION, HARDNESS_GIVE[hardness])
  const left = await budgets(db, shop, visit)
  const thin = panels.filter(({ id }) => (left.get(id) ?? 0) < takesUm)
  if (thin.length > 0)
    return {
      message: ask('no-paint-to-spare', { panels: thin.map(({ id }) => id), um: takesUm }),
    }
  const plan = repairPlan(shape, panelIds, layers)
  const areaM2 = panels.reduce((sum, panel) => sum + panel.areaM2, 0)
  const coats = layersOn(layers, areaM2)
  const price = priceOf({
    plan,
    coats,
    extras: [],
    vendors: [],
    rates: { ...shop.setup.rates, consumablesCents: 0 },
    terms: onGuarantee ? FREE_TERMS : NO_TERMS,
    customerTax: visit.customer.tax,
  })
  const polished = panels.map(({ id, name }) => ({
    id,
    name,
    process: PREPARATION.key,
    takesUm,
    budgetUm: left.get(id)!,
  }))
  return { kind: 'repair', plan, price, coats, polished }
}

/** What a repair of these panels of the car of a visit would be. */
export async function repairFor(
  db: Knex,
  at: Instant,
  visitId: JobId,
  { panels, onGuarantee }: { panels: readonly string[]; onGuarantee: boolean },
): Promise<{ offer: ShortOffer; vehicleId: VehicleId; size: VehicleSize } | RepairRefusal> {
  const shop = await loadShop(db)
  const visit = await findJob(db, visitId)
  if (!visit) return { message: ask('visit-gone') }
  const protection = await loadProtection(db, shop, visit.vehicle, at)
  const found = failing(protection).filter(({ unit }) => panels.includes(unit.id))
  const layers = found[0]?.unit.layers ?? protection.surfaces[0]?.products ?? []
  const offer = await repairOffer(db, shop, visit, panels, layers, onGuarantee)
  return 'message' in offer ? offer : { offer, vehicleId: visit.vehicle.id, size: sizeOf(visit.vehicle) }
}

/** Cars come in when the early shift does; on the day itself, from now on. */
const ARRIVAL_CLOCK = '08:00'

const DAYS_OFFERED = 4
const DAYS_LOOKED_AT = 12

function arrivalOn(floor: Floor, day: LocalDay): Instant {
  return laterOf(atLocal(floor.shop.setup.region.timezone, day, ARRIVAL_CLOCK), floor.now)
}

function fits(
  floor: Floor,
  plan: JobPlan,
  size: VehicleSize,
  day: LocalDay,
): (DayOffered & { placed: PlacedOperation[] }) | { reasons: readonly ScheduleReason[] } {
  const arriveAt = arrivalOn(floor, day)
  const when = whenForJob(floor, newJob(plan, arriveAt, size))
  return when.kind === 'possible'
    ? { day, arriveAt, collectAt: when.collectAt, placed: when.placed }
    : { reasons: when.reasons }
}

/** The first working days from `from` on which the car could come, if nobody else is moved. */
export function daysFor(floor: Floor, plan: JobPlan, size: VehicleSize, from: LocalDay): DayOffered[] {
  const { region, calendars, counterCalendar } = floor.shop.setup
  const counter = calendars[counterCalendar]!
  const today = dayIn(region.timezone, floor.now)
  const first = from > today ? from : today
  const days = Array.from({ length: DAYS_LOOKED_AT }, (_, at) => plusDays(first, at)).filter(
    (day) => 'always' in counter || (counter.weekly[weekdayOf(day)] ?? []).length > 0,
  )
  const found: DayOffered[] = []
  for (const day of days) {
    if (found.length >= DAYS_OFFERED) break
    const tried = fits(floor, plan, size, day)
    if ('reasons' in tried) continue
    const { placed: _, ...offered } = tried
    found.push(offered)
  }
  return found
}

export type Booking = {
  vehicleId: VehicleId
  day: LocalDay
  wishes: string
  fromJobId?: JobId
  onGuarantee?: boolean
}

export type Booked = { jobId: JobId; collectAt: Instant } | { message: string }

/** Books a short job: the job, what was agreed, and its place on the calendar, with nobody else moved. */
export async function bookShortJob(
  db: Knex,
  now: Instant,
  offer: ShortOffer,
  { day, ...booking }: Booking,
): Promise<Booked> {
  const floor = await loadFloor(db, now)
  const { timezone } = floor.shop.setup.region
  if (day < dayIn(timezone, now)) return { message: ask('past-day') }
  const known = await findKnown(db, booking.vehicleId)
  if (!known) return { message: ask('vehicle-gone') }
  const tried = fits(floor, offer.plan, sizeOf(known.vehicle), day)
  if ('reasons' in tried)
    return {
      message: ask('does-not-fit', { why: whyNotPlaced(floor, tried.reasons, offer.plan) }),
    }
  const jobId = await db.transaction(async (trx) => {
    const id = await addShortJob(trx, { ...booking, kind: offer.kind, arriveAt: tried.arriveAt }, now)
    await writeAgreement(trx, {
      jobId: id,
      packageKey: offer.kind,
      packageName: SHORT_NAME[offer.kind],
      plan: offer.plan,
      summary: shortSummary({
        price: offer.price,
        polished: offer.polished,
        coats: offer.coats.map(({ surface, layer, product, ml }) => ({
          surface,
          layer,
          product: product.name,
          ml,
        })),
      }),
      totalCents: offer.price.totalCents,
      promisedFor: tried.collectAt,
      agreedAt: now,
    })
    await publishFor(trx, id, tried.placed, {
      floor,
      cause: `${offer.kind}-booked`,
    })
    if (offer.kind === 'visit') await answerWishes(trx, booking.vehicleId, now)
    return id
  })
  return { jobId, collectAt: tried.collectAt }
}

/** A visit of a car that stands in the yard unannounced: nothing on the calendar, the look is all there is to it. */
export async function openVisit(db: Knex, vehicleId: VehicleId, now: Instant): Promise<JobId> {
  return db.transaction((trx) =>
    addShortJob(trx, { vehicleId, kind: 'visit', wishes: SHORT_WISH.unannounced, arriveAt: now }, now),
  )
}

/** The repair that was booked from a visit, if one was. */
export async function repairFrom(db: Knex, visitId: JobId): Promise<Job | undefined> {
  const row = await db('jobs')
    .where({ from_job_id: visitId, kind: 'repair' })
    .orderBy('number', 'desc')
    .first('id')
  return row ? findJob(db, row.id) : undefined
}

/** A repair of this vehicle that is booked or under way. */
export async function bookedRepair(db: Knex, vehicleId: VehicleId): Promise<Job | undefined> {
  const row = await db('jobs')
    .where({ vehicle_id: vehicleId, kind: 'repair' })
    .whereNull('handed_over_at')
    .first('id')
  return row ? findJob(db, row.id) : undefined
}
