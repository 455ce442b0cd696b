import type { Knex } from 'knex'
import { type GoingOut, keepingCents } from '@/core/handover'
import type { Care } from '@/core/job'
import type { Floor, FloorJob } from '@/core/planning'
import { minutesBetween } from '@/core/time'
import { loadCare } from '../aftercare/care'
import { weatherService } from '../devices'

/** What is known of the time until its coat may get wet; undefined where it may already. */
export function goingOut(
  { shop, now }: Floor,
  { job }: FloorJob,
  { milestones }: Care,
): GoingOut | undefined {
  const dry = milestones.find(({ key }) => key === 'dry-until')?.when
  if (dry?.kind !== 'instant' || dry.at <= now) return undefined
  const { setup } = shop
  const minutes = Math.ceil(minutesBetween(now, dry.at))
  const sky = weatherService(setup).spells(now, now, dry.at)
  return {
    dryUntil: dry.at,
    storage: job.vehicle.storage,
    ...(sky ? { sky } : {}),
    keep: { minutes, cents: keepingCents(minutes, setup.costs.bayCentsPerHour) },
  }
}

export const loadGoingOut = async (db: Knex, floor: Floor, entry: FloorJob): Promise<GoingOut | undefined> =>
  goingOut(floor, entry, await loadCare(db, floor.shop, entry.job.id, floor.now))
