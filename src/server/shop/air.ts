import type { Knex } from 'knex'
import { type BayAir, sensorState } from '@/core/climate'
import type { BayId } from '@/core/ids'
import type { Setup } from '@/core/shop'
import { type Instant, plusMinutes } from '@/core/time'
import { climateSensor } from '../devices'

/** The air of the bays, as their sensors tell it. */

/** How far back a trend is looked for, minutes. */
const LOOKED_BACK_MINUTES = 90

export async function bayAir(
  db: Knex,
  setup: Pick<Setup, 'devices'>,
  bays: readonly BayId[],
  now: Instant,
): Promise<Map<BayId, BayAir>> {
  const sensor = await climateSensor(db, setup)
  return new Map(
    bays.map((bay) => {
      const readings = sensor.readings(bay, plusMinutes(now, -LOOKED_BACK_MINUTES), now)
      return [bay, { bay, readings, state: sensorState(readings, now) }]
    }),
  )
}
