import type { PanelOption } from '@/core/correction'
import {
  type CustomerTax,
  type ExtraKey,
  type ExtraProposal,
  SEEN_POINTS,
  type Trade,
  type TradeProposal,
} from '@/core/offer'
import type { Region } from '@/core/region'
import { duration, list, measured, number } from '../formats'
import { placeName } from '../panels'
import { methodTitle } from './correction'
import { FORBIDDEN } from './forbidden'

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** Why a panel gets this method and not the next stronger one. `all` is every method on it, mildest first. */
export function whyThis(region: Region, option: PanelOption, all: readonly PanelOption[]): string {
  const depth = (um: number) => measured(region, 'depth', um, 1)
  const at = all.findIndex(({ method }) => method.key === option.method.key)
  const stronger = all
    .slice(at + 1)
    .filter(({ method }) => !method.leavesProtection || option.method.leavesProtection)
  // What was never meant for such paint is no reason, unless there is nothing else.
  const next = stronger.find(({ broken }) => broken[0]?.id !== 'not-for-this-material') ?? stronger[0]
  if (!next) return 'There is nothing stronger.'
  const name = methodTitle(next.method)
  const [rule] = next.broken
  if (rule?.id === 'over-budget')
    return `${name} would take ${depth(next.removalUm)}, more than this panel can spare.`
  if (rule) return `Not ${lowerFirst(name)}: ${lowerFirst(FORBIDDEN[rule.id])}`
  const points = next.indexAfter - option.indexAfter
  // A stronger method may come with fewer passes, where another would be one too many: then it takes less, in more time.
  const um = next.removalUm - option.removalUm
  const minutes = Math.round(next.minutes - option.minutes)
  const costs = [...(um >= 0.05 ? [depth(um)] : []), ...(minutes > 0 ? [duration(region, minutes)] : [])]
  if (points <= 0 || costs.length === 0)
    return `${name} would leave this panel no better${costs.length > 0 ? `, for ${costs.join(' and ')} more` : ''}.`
  const cost = `${costs.join(' and ')} more`
  return points < SEEN_POINTS
    ? `${name} would cost ${cost} for a difference nobody sees (${number(region, points, 1)} points).`
    : `${name} would gain ${number(region, points, 1)} points here for ${cost}, more than these hours leave for it.`
}

const ASKS_FOR: Partial<Record<ExtraKey, string>> = {
  'spot-work': 'Deep scratches',
  'touch-up': 'Chips or scratches that catch a nail',
  headlamps: 'Cloudy',
  'glass-polish': 'Marked glass',
  trim: 'Faded',
  chrome: 'Tarnished or pitted',
  'film-off': 'Film lies on',
  interior: 'Stains or smells',
}

/** What the owner has told, and nobody has seen. */
const TOLD: Partial<Record<ExtraKey, string>> = {
  'strip-coating': 'An old coating, as the owner says',
  'film-off': 'Film, as the owner says',
}

/** What on this car asks for an extra. */
export function proposalText(region: Region, { key, where }: Pick<ExtraProposal, 'key' | 'where'>): string {
  const places = list(
    region,
    where.map((id) => placeName(region, id)),
  )
  if (where.length === 0) return TOLD[key] ?? 'Recorded'
  return `${ASKS_FOR[key] ?? 'Recorded'}: ${places}`
}

const CALLS_FOR: Record<Trade, string> = {
  dents: 'Dents',
  paint: 'Clear coat that comes off',
  wheels: 'Kerbed or corroded',
  glass: 'Chipped or cracked glass',
  upholstery: 'Torn',
  film: 'Film is wished for',
}

/** What on this car asks for somebody from outside. */
export const tradeProposalText = (region: Region, { trade, where }: TradeProposal): string =>
  where.length === 0
    ? CALLS_FOR[trade]
    : `${CALLS_FOR[trade]}: ${list(
        region,
        where.map((id) => placeName(region, id)),
      )}`

/** How one customer is charged tax, as it is chosen at check-in. */
export const CUSTOMER_TAX_NAME: Record<CustomerTax, string> = {
  'as-usual': 'As usual',
  'on-top': 'Prices before tax',
  none: 'No tax',
}
