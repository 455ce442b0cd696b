import type { Takes } from './stores'
import type { Supply } from './supply'

/** A use costs a piece one of the washes it stands. */
const perUse = (sets: readonly Supply[]): number | undefined => {
  const priced = sets.filter(({ cents }) => cents)
  if (priced.length === 0) return undefined
  return priced.reduce((sum, { cents, washesMost }) => sum + cents! / washesMost, 0) / priced.length
}

/**
 * What steps wear out of pads and towels, cents: of each piece its price over the washes it stands, of several sets of a kind the
 * mean. Undefined where no set that was used has a price.
 */
export function wornCents(
  takes: readonly Pick<Takes, 'pads' | 'towels'>[],
  sets: readonly Supply[],
): number | undefined {
  const towel = perUse(sets.filter(({ kind }) => kind === 'towel'))
  const uses = takes.flatMap(({ pads, towels }) => [
    ...pads.map(({ pad, mm, pieces }) => {
      const each = perUse(sets.filter(({ of }) => of?.pad === pad && of.mm === mm))
      return each === undefined ? undefined : each * pieces
    }),
    towels > 0 && towel !== undefined ? towel * towels : undefined,
  ])
  const known = uses.filter((cents) => cents !== undefined)
  return known.length > 0 ? Math.round(known.reduce((sum, cents) => sum + cents, 0)) : undefined
}
