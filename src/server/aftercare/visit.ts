import type { Knex } from 'knex'
import type { Job, VisitView } from '@/core/job'
import type { Shop } from '@/core/shop'
import type { Instant } from '@/core/time'
import { visitsOf } from '../floor/job-store'
import { guaranteeOf } from '../vehicles/vehicle-care'
import { loadLooks } from './look-store'
import { failing, lacksGlossBaseline, loadPaintPast, pastWithout, protectionOf, unitsOf } from './protection'
import { repairFrom } from './short-jobs'

export async function loadVisit(db: Knex, shop: Shop, job: Job, now: Instant): Promise<VisitView> {
  const past = await loadPaintPast(db, shop, job.vehicle.id)
  const protection = protectionOf(shop, job.vehicle, past, now)
  const before = protectionOf(shop, job.vehicle, pastWithout(past, job.id), now)
  const earlier = new Map(
    before.surfaces.flatMap(({ units }) =>
      units.flatMap(({ id, last }) => (last ? [[id, last] as const] : [])),
    ),
  )
  const panels = unitsOf(job.vehicle, 'paint')
  const others = protection.surfaces.flatMap(({ surface, units }) => (surface === 'paint' ? [] : units))
  const repair = await repairFrom(db, job.id)
  const lastKm = (await visitsOf(db, job.vehicle.id))
    .filter((stay) => stay.id !== job.id && stay.arriveAt <= job.arriveAt)
    .findLast(({ odometerKm }) => odometerKm !== undefined)?.odometerKm
  return {
    units: [...panels, ...others].map(({ id, name }) => ({ id, name })),
    looks: await loadLooks(db, job.id),
    earlier,
    protection,
    before,
    findings: failing(protection).map(({ surface, unit }) => {
      const guarantee = guaranteeOf(protection, surface, unit, job.vehicle, shop.setup.region.timezone)
      return {
        unit: unit.id,
        name: unit.name,
        holds: surface.outlook.units.find(({ id }) => id === unit.id)!.holds,
        isPanel: surface.surface === 'paint',
        ...(guarantee ? { guarantee } : {}),
      }
    }),
    asksForGloss:
      lacksGlossBaseline(before, pastWithout(past, job.id)) && !past.gloss.has(`${job.id} before`),
    ...(repair ? { repair } : {}),
    ...(lastKm === undefined ? {} : { lastKm }),
  }
}
