import { type Floor, type Watch, watchPromises } from '@/core/planning'
import { fingerprint } from './fingerprint'

/** Promises are watched as often as a page is looked at, and worked out only when the floor, or the quarter of an hour, is another. */

const FRESH_MINUTES = 15

let last: { mark: string; watch: Watch } | undefined

/** How the promises stand on a floor; the answer of the same floor in the same quarter of an hour is kept. */
export function watchKept(floor: Floor): Watch {
  const quarter = Math.floor(Date.parse(floor.now) / 60_000 / FRESH_MINUTES)
  const { sure, spreads } = floor.shop.setup
  const mark = `${fingerprint(floor)} ${quarter} ${sure} ${JSON.stringify(spreads)}`
  if (last?.mark !== mark) last = { mark, watch: watchPromises(floor) }
  return last.watch
}
