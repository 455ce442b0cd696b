import type { BayId } from '../ids'
import type { Closed, Problem } from '../schedule'
import { type Instant, laterOf, plusMinutes } from '../time'
import type { ShopCalendar } from './shop-problem'
import { onMinute } from './under-way'

/** A bay in which no car may stand for a while. */
export type Closure = { id: string; place: BayId; from: Instant; until: Instant }

/** A piece of equipment that cannot be used for a while. */
export type Broken = { equipment: string; from: Instant; until: Instant }

/** What of a shop is out of use. */
export type OutOfUse = { closures?: readonly Closure[]; broken?: readonly Broken[] }

/** What is out of use, from now on and as far as anything is planned. */
export function outFrom(
  { places, horizonDays, closures = [], broken = [], equipment = [] }: ShopCalendar,
  origin: Instant,
): { closed: Closed[]; broken: NonNullable<Problem['broken']> } {
  const horizon = plusMinutes(origin, horizonDays * 1440)
  const ahead = <Out extends { from: Instant; until: Instant }>(out: Out): Out[] => {
    const from = laterOf(onMinute(out.from), origin)
    const until = out.until < horizon ? onMinute(out.until) : horizon
    return until > from ? [{ ...out, from, until }] : []
  }
  return {
    closed: closures
      .filter(({ place }) => places.some(({ id }) => id === place))
      .flatMap(({ place, from, until }) => ahead({ place, from, until })),
    broken: broken.filter((out) => equipment.some(({ id }) => id === out.equipment)).flatMap(ahead),
  }
}

/** Whether a bay goes out of use, now or later. */
export const isClosed = ({ closures }: Pick<ShopCalendar, 'closures'>, bay: BayId): boolean =>
  closures?.some(({ place }) => place === bay) ?? false
