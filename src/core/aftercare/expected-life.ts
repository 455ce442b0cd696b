import type { LaidProduct } from '../coating'
import type { Orientation } from '../vehicle'
import type { Exposure } from './exposure'
import { lifeMonthsOf } from './milestones'

/** Sun and droppings come from above: panels that lie flat keep this share of what the others do (mem). */
const FLAT_SHARE = 0.92

/** Months a part should hold with these layers on it, before anybody has looked. Throws without layers. */
export function expectedLife(
  layers: readonly LaidProduct[],
  exposure: Pick<Exposure, 'share'>,
  orientation: Orientation = 'vertical',
): number {
  return lifeMonthsOf(layers) * exposure.share * (orientation === 'horizontal' ? FLAT_SHARE : 1)
}
