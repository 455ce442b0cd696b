import type { Knex } from 'knex'
import {
  type Coat,
  type CoatedCar,
  expectedLife,
  exposureOf,
  type Held,
  lifeMonthsOf,
  pooledLife,
  proposedLife,
} from '@/core/aftercare'
import { type LaidProduct, OTHER_SURFACES, type Surface } from '@/core/coating'
import type { VehicleId } from '@/core/ids'
import type { Shop } from '@/core/shop'
import { atLocal, dayIn, type Instant, monthsBetween } from '@/core/time'
import type { Vehicle } from '@/core/vehicle'
import { covers, isTopper, loadPaintPast, type PaintPast, partIs, unitsOf } from '../aftercare/protection'
import { shopVersion } from '../shop/shop-store'
import { findAllKnown } from '../vehicles/vehicle-store'

/** Which coating really holds: every coat ever applied, on every part, with every look until it was polished off or coated again. */

type Stack = { layers: LaidProduct[]; laidAt: Instant; until: Instant }

/** The coats of one part, job by job, each until the next or until it was polished off. */
function stacksOn(
  unit: string,
  surface: Surface,
  { coats, ledger }: PaintPast,
  zone: string,
  now: Instant,
): Stack[] {
  const own = coats.filter((coat) => !isTopper(coat) && covers(coat, unit) && partIs(coat, surface))
  const jobs = [...new Set(own.map(({ jobId }) => jobId))]
  const first = (jobId: Coat['jobId']) => own.find((coat) => coat.jobId === jobId)!.endedAt
  return jobs.map((jobId, at) => {
    const layers = own.filter((coat) => coat.jobId === jobId)
    const laidAt = layers.at(-1)!.endedAt
    // Removals of another shop’s stay name no job of ours: those until the car went home belong to the stay.
    const since = layers.at(-1)!.homeOn ?? dayIn(zone, laidAt)
    const polished = ledger.find(
      (entry) => entry.panel === unit && entry.jobId !== jobId && entry.day > since,
    )
    const next = jobs[at + 1]
    const ends = [now, ...(next ? [first(next)] : [])].toSorted()
    const until = ends[0]!
    return {
      layers: layers.map(({ product }) => product),
      laidAt,
      until: polished && polished.day < dayIn(zone, until) ? atLocal(zone, polished.day, '00:00') : until,
    }
  })
}

type Seen = { key: string; layers: LaidProduct[]; surface: Surface; vehicle: Vehicle; car: CoatedCar }

/** Each coating once on this vehicle with what was seen of it. */
function seenOn(vehicle: Vehicle, past: PaintPast, zone: string, now: Instant): Seen[] {
  const exposure = exposureOf(vehicle)
  const byKey = new Map<string, Seen & { car: { units: CoatedCar['units'][number][] } }>()
  for (const surface of ['paint', ...OTHER_SURFACES] as const)
    for (const plan of unitsOf(vehicle, surface))
      for (const { layers, laidAt, until } of stacksOn(plan.id, surface, past, zone, now)) {
        const key = `${surface} ${layers.map(({ id }) => id).join(' ')}`
        const looks = past.looks.filter(({ unit, at }) => unit === plan.id && at > laidAt && at <= until)
        const seen = byKey.get(key) ?? { key, layers, surface, vehicle, car: { units: [] } }
        seen.car.units.push({
          lifeMonths: expectedLife(layers, exposure, plan.orientation),
          looks: looks.map((look) => ({
            unit: look.unit,
            water: look.water,
            cleaned: look.cleaned,
            ...(look.angleDegrees === undefined ? {} : { angleDegrees: look.angleDegrees }),
            ...(look.feel ? { feel: look.feel } : {}),
            ageMonths: monthsBetween(laidAt, look.at),
          })),
        })
        byKey.set(key, seen)
      }
  return [...byKey.values()]
}

/** Splits by what cars have in common, where there is more than one kind. */
function split<Key extends string>(seen: readonly Seen[], keyOf: (vehicle: Vehicle) => Key) {
  const keys = [...new Set(seen.map(({ vehicle }) => keyOf(vehicle)))]
  if (keys.length < 2) return []
  return keys.flatMap((key) => {
    const pooled = pooledLife(seen.filter(({ vehicle }) => keyOf(vehicle) === key).map(({ car }) => car))
    return pooled ? [{ key, pooled }] : []
  })
}

type Kept = { key: string; held: Held[] }
const kept = new WeakMap<Knex, Kept>()

/** Which coating really holds, the one on most cars first. Worked out anew when something was looked at, applied or changed. */
export async function loadHeld(db: Knex, shop: Shop, now: Instant): Promise<Held[]> {
  const [looks] = await db('looks').count({ count: '*' }).max({ last: 'at' })
  const key = JSON.stringify([looks, await shopVersion(db), dayIn(shop.setup.region.timezone, now)])
  const known = kept.get(db)
  if (known?.key === key) return known.held
  const held = await workOut(db, shop, now)
  kept.set(db, { key, held })
  return held
}

async function workOut(db: Knex, shop: Shop, now: Instant): Promise<Held[]> {
  const zone = shop.setup.region.timezone
  const ids: VehicleId[] = await db('looks')
    .join('jobs', 'jobs.id', 'looks.job_id')
    .distinct()
    .pluck('vehicle_id')
  const all: Seen[] = []
  for (const { vehicle } of (await findAllKnown(db, ids)).values())
    all.push(...seenOn(vehicle, await loadPaintPast(db, shop, vehicle.id), zone, now))
  const keys = [...new Set(all.map(({ key }) => key))]
  return keys
    .flatMap((key): Held[] => {
      const seen = all.filter((each) => each.key === key)
      const pooled = pooledLife(seen.map(({ car }) => car))
      if (!pooled) return []
      const { layers, surface } = seen[0]!
      const longest = layers.reduce((most, layer) => (layer.lifeMonths > most.lifeMonths ? layer : most))
      const months = proposedLife(longest.lifeMonths, pooled)
      const sheets = layers.map((layer) => ({
        ...layer,
        lifeMonths: shop.catalogue.find(({ id }) => id === layer.id)?.lifeMonths ?? layer.lifeMonths,
      }))
      const ours = shop.catalogue.find(({ id }) => id === longest.id)
      const [sheetMonths, nowMonths] = [lifeMonthsOf(layers), lifeMonthsOf(sheets)]
      return [
        {
          products: layers.map(({ id, name }) => ({ id, name })),
          surface,
          sheetMonths,
          ...(nowMonths === sheetMonths ? {} : { nowMonths }),
          pooled,
          // What the sheet says by now is not proposed again.
          ...(months !== undefined && ours && ours.lifeMonths !== months
            ? { proposed: { productId: longest.id, months } }
            : {}),
          byUse: split(seen, ({ storage }) => storage).map(({ key: storage, pooled: own }) => ({
            storage,
            pooled: own,
          })),
          byPaint: split(seen, ({ paintSystem }) => paintSystem).map(({ key: paint, pooled: own }) => ({
            paint,
            pooled: own,
          })),
        },
      ]
    })
    .toSorted((a, b) => b.pooled.cars - a.pooled.cars)
}
