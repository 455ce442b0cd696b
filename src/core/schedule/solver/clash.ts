import type { Interval } from '../contract/intervals'
import type { ModelOperation } from './model'
import type { OperationPlacement, ShopState } from './shop-state'

/** What stands in the way of an operation between two minutes. */

type Shop = { shop: ShopState }

/** Where the job's own operations already lie, by index; those that may overlap compete for people. */
export type Placed = readonly (OperationPlacement | undefined)[]

/** What stands in the way of a team between two minutes, of the shop or of the same job: the first that does. */
export function clashOf(
  context: Shop,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  team: readonly number[],
  from: number,
  to: number,
): Interval | undefined {
  let first = thingsClash(context, operation, place, placed, from, to)
  for (const person of team) {
    const use = context.shop.personClash(person, from, to, operation.room.before)
    if (use && (!first || use.from < first.from)) first = use
  }
  for (const index of operation.beside) {
    const other = placed[index]
    if (!other || other.start >= to || from >= other.end) continue
    if (first && first.from <= other.start) continue
    if (operation.apart.includes(index) || team.some((person) => other.people.includes(person)))
      first = { from: other.start, to: other.end }
  }
  return first
}

/** The same of what is no person: equipment without a free unit, spans it must not lie in, the air of its place. */
function thingsClash(
  { shop }: Shop,
  operation: ModelOperation,
  place: number,
  placed: Placed,
  from: number,
  to: number,
): Interval | undefined {
  const { equipment, rivals, notDuring, air } = operation
  if (equipment.length === 0 && notDuring.length === 0 && !air) return undefined
  let first: Interval | undefined
  const consider = (found: Interval | undefined) => {
    if (found && (!first || found.from < first.from)) first = found
  }
  for (const span of notDuring) if (span.from < to && from < span.to) consider(span)
  consider(shop.airClash(operation, place, from, to))
  for (const [at, piece] of equipment.entries()) {
    const own = rivals[at]!.flatMap((index) => {
      const other = placed[index]
      return other ? [{ from: other.start, to: other.end }] : []
    })
    consider(shop.equipmentClash(piece, from, to, own))
  }
  return first
}
