import type { Knex } from 'knex'
import {
  type Coat,
  type Exposure,
  expectedLife,
  exposureOf,
  hasGone,
  type KeptLook,
  type Look,
  outlookOf,
  type ProtectedUnit,
  type Protection,
  type SurfaceProtection,
  type Unit,
} from '@/core/aftercare'
import { type LaidProduct, OTHER_SURFACES, type OtherSurface } from '@/core/coating'
import type { JobId, VehicleId } from '@/core/ids'
import type { Shop } from '@/core/shop'
import { type LedgerEntry, mean } from '@/core/survey'
import { dayIn, type Instant, type LocalDay, MONTH_DAYS, monthsBetween, plusDays } from '@/core/time'
import type { Vehicle } from '@/core/vehicle'
import { panelsOf } from '@/core/vehicle'
import { surfaceName } from '@/text/en/step-names'
import { loadBrought } from '../vehicles/brought'
import { loadLedger } from '../vehicles/ledger-store'
import { loadCoats } from './coats'
import { looksOfVehicle } from './look-store'

/** How the protection of a vehicle stands, from what was applied on it and from every look since. */

export const isTopper = ({ product }: Coat) => product.kind === 'topper'

type Applied = { jobId: JobId; laidAt: Instant; layers: LaidProduct[]; homeOn?: LocalDay }

/** The coats that lie on one part now: those of the last job, and the last rework in it, that coated it. Earlier ones were polished off. */
function lyingOn(coats: readonly Coat[]): Applied | undefined {
  const last = coats.at(-1)
  if (!last) return undefined
  const own = coats.filter(({ jobId, rework }) => jobId === last.jobId && rework === last.rework)
  return {
    jobId: last.jobId,
    laidAt: last.endedAt,
    layers: own.map(({ product }) => product),
    ...(last.homeOn ? { homeOn: last.homeOn } : {}),
  }
}

export const covers = ({ part }: Coat, unit: string) =>
  part.kind === 'surface' ? part.surface === unit : !part.panels || part.panels.includes(unit)

type UnitPlan = { id: string; name: string; orientation: 'horizontal' | 'vertical' }

/** All that is looked at by itself on a vehicle. */
export function unitsOf(vehicle: Pick<Vehicle, 'shape'>, surface: 'paint' | OtherSurface): UnitPlan[] {
  return surface === 'paint'
    ? panelsOf(vehicle.shape).map(({ id, name, orientation }) => ({ id, name, orientation }))
    : [{ id: surface, name: surfaceName(surface), orientation: 'vertical' }]
}

const dayAfterMonths = (zone: string, from: Instant, months: number) =>
  plusDays(dayIn(zone, from), Math.round(months * MONTH_DAYS))

/** Mean gloss of a panel at a job, before or after the work. */
async function glossOf(db: Knex, vehicleId: VehicleId): Promise<Map<string, Record<string, number>>> {
  const rows: { job_id: JobId; phase: string; panel: string; gu_x10: number }[] = await db('gloss_readings')
    .join('jobs', 'jobs.id', 'gloss_readings.job_id')
    .where('jobs.vehicle_id', vehicleId)
    .select('gloss_readings.*')
  const all = new Map<string, Record<string, number[]>>()
  for (const { job_id, phase, panel, gu_x10 } of rows) {
    const round = all.get(`${job_id} ${phase}`) ?? {}
    round[panel] = [...(round[panel] ?? []), gu_x10 / 10]
    all.set(`${job_id} ${phase}`, round)
  }
  return new Map(
    [...all].map(([key, round]) => [
      key,
      Object.fromEntries(Object.entries(round).map(([panel, values]) => [panel, mean(values)])),
    ]),
  )
}

/** What was ever applied on a vehicle, here or elsewhere, seen, polished and measured: all that its protection is told from. */
export type PaintPast = {
  coats: readonly Coat[]
  ledger: readonly LedgerEntry[]
  looks: readonly (KeptLook & { jobId: JobId })[]
  gloss: ReadonlyMap<string, Record<string, number>>
}

type Found = PaintPast & { toppers: readonly Coat[] }

/** Whether a panel was polished after its coat was applied, by another job or by others: then the coat is no longer there. */
function polishedOff(
  unit: string,
  { jobId, laidAt, homeOn }: Applied,
  ledger: readonly LedgerEntry[],
  zone: string,
): boolean {
  // Removals of another shop's stay name no job of ours: those until it went home belong to the stay.
  const since = homeOn ?? dayIn(zone, laidAt)
  return ledger.some((entry) => entry.panel === unit && entry.jobId !== jobId && entry.day > since)
}

/**
 * The first gloss reading of a unit since it was coated, at a visit. A fresh coating misleads the meter (common practice), so what
 * was read on the day it was applied is no measure of later wear.
 */
function firstGloss(
  unit: string,
  { laidAt }: Applied,
  { looks, gloss }: Pick<PaintPast, 'looks' | 'gloss'>,
): { jobId: JobId; gu: number } | undefined {
  for (const look of looks) {
    const gu = look.at > laidAt ? gloss.get(`${look.jobId} before`)?.[unit] : undefined
    if (gu !== undefined) return { jobId: look.jobId, gu }
  }
  return undefined
}

/** Whether no visit has read the gloss of the paint since it was coated: the next reading is what later ones are compared with. */
export function lacksGlossBaseline({ surfaces }: Protection, { looks, gloss }: PaintPast): boolean {
  const paint = surfaces.find(({ surface }) => surface === 'paint')
  if (!paint) return false
  return paint.units.every(
    ({ id, laidAt }) =>
      !looks.some((look) => look.at > laidAt && gloss.get(`${look.jobId} before`)?.[id] !== undefined),
  )
}

/** A kept look as the outlook reads it: with the gloss lost since the coating, and with the topper it may have seen. */
function asSeen(
  look: KeptLook & { jobId: JobId },
  applied: Applied,
  { toppers, looks, gloss }: Found,
): Unit['looks'][number] {
  const topped = toppers.filter(({ endedAt }) => endedAt < look.at).at(-1)
  const baseline = firstGloss(look.unit, applied, { looks, gloss })
  const is = gloss.get(`${look.jobId} before`)?.[look.unit]
  const was = baseline && baseline.jobId !== look.jobId ? baseline.gu : undefined
  const seen: Look = {
    unit: look.unit,
    water: look.water,
    cleaned: look.cleaned,
    ...(look.angleDegrees === undefined ? {} : { angleDegrees: look.angleDegrees }),
    ...(look.feel ? { feel: look.feel } : {}),
    ...(was === undefined || is === undefined ? {} : { glossLossGu: was - is }),
    // What was decontaminated has lost its topper, too.
    ...(topped && !look.cleaned ? { topperMonths: monthsBetween(topped.endedAt, look.at) } : {}),
  }
  return { ...seen, ageMonths: monthsBetween(applied.laidAt, look.at) }
}

function surfaceProtection(
  vehicle: Vehicle,
  surface: 'paint' | OtherSurface,
  exposure: Exposure,
  found: Found,
  { zone, now }: { zone: string; now: Instant },
): SurfaceProtection | undefined {
  const plans = unitsOf(vehicle, surface)
  const applied = plans.flatMap((plan) => {
    const own = lyingOn(
      found.coats.filter((coat) => !isTopper(coat) && covers(coat, plan.id) && partIs(coat, surface)),
    )
    return own && !polishedOff(plan.id, own, found.ledger, zone) ? [{ plan, own }] : []
  })
  if (applied.length === 0) return undefined
  const units = applied.map(({ plan, own }): { shown: ProtectedUnit; unit: Unit } => {
    const looks = found.looks.filter(({ unit, at }) => unit === plan.id && at > own.laidAt)
    const last = looks.at(-1)
    return {
      shown: {
        id: plan.id,
        name: plan.name,
        laidAt: own.laidAt,
        layers: own.layers,
        ...(last ? { last } : {}),
      },
      unit: {
        id: plan.id,
        lifeMonths: expectedLife(own.layers, exposure, plan.orientation),
        ageMonths: Math.max(0, monthsBetween(own.laidAt, now)),
        looks: looks.map((look) => asSeen(look, own, found)),
      },
    }
  })
  const outlook = outlookOf(units.map(({ unit }) => unit))
  // What lies on most of the car is what its age and end are told by; a panel coated again has its own.
  const first = units.map(({ shown }) => shown.laidAt).toSorted()[0]!
  const main = applied.find(({ own }) => own.laidAt === first)!.own
  const until = (months: number) => dayAfterMonths(zone, main.laidAt, months)
  const { low, mid, high } = outlook.lifeMonths
  return {
    surface,
    name: surfaceName(surface),
    products: main.layers,
    laidAt: main.laidAt,
    laidOn: dayIn(zone, main.laidAt),
    outlook,
    units: units.map(({ shown }) => shown),
    goodUntil: { low: until(low), mid: until(mid), high: until(high) },
  }
}

export const partIs = ({ part }: Coat, surface: 'paint' | OtherSurface) =>
  part.kind === 'paint' ? surface === 'paint' : part.surface === surface

export async function loadPaintPast(db: Knex, shop: Shop, vehicleId: VehicleId): Promise<PaintPast> {
  const brought = await loadBrought(db, shop, vehicleId)
  const coats = [...brought.coats, ...(await loadCoats(db, shop, vehicleId))]
  const looks = [...brought.looks, ...(await looksOfVehicle(db, vehicleId))]
  const coated = coats.length > 0
  return {
    coats: coats.sort((a, b) => a.endedAt.localeCompare(b.endedAt)),
    looks: looks.sort((a, b) => a.at.localeCompare(b.at)),
    ledger: coated ? await loadLedger(db, vehicleId) : [],
    gloss: coated ? new Map([...brought.gloss, ...(await glossOf(db, vehicleId))]) : new Map(),
  }
}

/** How the protection of a vehicle stands at `now`; without surfaces where nothing was ever applied on it here. */
export function protectionOf(shop: Shop, vehicle: Vehicle, past: PaintPast, now: Instant): Protection {
  const { coats, looks } = past
  const exposure = exposureOf(vehicle)
  const toppers = coats.filter(isTopper)
  const found = { ...past, toppers }
  const at = { zone: shop.setup.region.timezone, now }
  const surfaces = (['paint', ...OTHER_SURFACES] as const).flatMap((surface) => {
    const one = surfaceProtection(vehicle, surface, exposure, found, at)
    return one ? [one] : []
  })
  const topped = toppers.at(-1)
  return { exposure, surfaces, coats, looks, ...(topped ? { toppedAt: topped.endedAt } : {}) }
}

/** The same past without what was seen at one visit. */
export const pastWithout = (past: PaintPast, jobId: JobId): PaintPast => ({
  ...past,
  looks: past.looks.filter((look) => look.jobId !== jobId),
})

export async function loadProtection(
  db: Knex,
  shop: Shop,
  vehicle: Vehicle,
  now: Instant,
): Promise<Protection> {
  return protectionOf(shop, vehicle, await loadPaintPast(db, shop, vehicle.id), now)
}

/** A part that has most likely gone, `alone` where most of its surface has not. */
export type Failing = { surface: SurfaceProtection; unit: ProtectedUnit; alone: boolean }

export function failing({ surfaces }: Pick<Protection, 'surfaces'>): Failing[] {
  return surfaces.flatMap((surface) =>
    surface.outlook.units.filter(hasGone).map(({ id, failsAlone }) => ({
      surface,
      unit: surface.units.find((unit) => unit.id === id)!,
      alone: failsAlone || surface.units.length === 1,
    })),
  )
}
