import type { BayId } from '../ids'
import type { Closed } from '../schedule'
import { type Instant, laterOf, plusMinutes } from '../time'
import type { ShopCalendar } from './shop-problem'
import { onMinute } from './under-way'

/** A bay in which no car may stand for a while. */
export type Closure = { id: string; place: BayId; from: Instant; until: Instant }

/** Bays out of use, from now on and as far as anything is planned. */
export function closedFrom(
  { places, horizonDays, closures }: Pick<ShopCalendar, 'places' | 'horizonDays' | 'closures'>,
  origin: Instant,
): Closed[] {
  const horizon = plusMinutes(origin, horizonDays * 1440)
  return (closures ?? []).flatMap(({ place, from, until }) => {
    const start = laterOf(onMinute(from), origin)
    const end = until < horizon ? onMinute(until) : horizon
    return end > start && places.some(({ id }) => id === place) ? [{ place, from: start, until: end }] : []
  })
}

/** Whether a bay goes out of use, now or later. */
export const isClosed = ({ closures }: Pick<ShopCalendar, 'closures'>, bay: BayId): boolean =>
  closures?.some(({ place }) => place === bay) ?? false
