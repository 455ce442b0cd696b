import { z } from 'zod'
import { ask } from '../asks'
import {
  type Difference,
  mean,
  removalAtMarks,
  removalElsewhere,
  type Spot,
  spreadOfSpots,
  witnessed,
} from '../survey'

/** Before and after of one panel as a file tells it. */

const um = z.number().min(0).max(5000)
const round = z.array(z.strictObject({ spot: z.int().min(1), um: z.array(um).min(1) }))

export const ledgerSchema = z
  .strictObject({
    before: round.default([]),
    after: round.default([]),
    sameSpots: z.boolean().default(false),
    table: z.strictObject({ um: z.number().min(0), share: z.number().min(0).max(2) }).optional(),
    spotSpreadUm: z.number().positive().optional(),
    pooled: z.boolean().default(true),
  })
  .superRefine(({ before, after }, context) => {
    for (const [name, spots] of Object.entries({ before, after })) {
      const seen = new Set<number>()
      for (const [at, { spot }] of spots.entries()) {
        if (seen.has(spot))
          context.addIssue({
            code: 'custom',
            path: [name, at, 'spot'],
            message: ask('case-spot-twice', { spot }),
          })
        seen.add(spot)
      }
    }
  })
export type LedgerCase = z.infer<typeof ledgerSchema>

type ToldRound = LedgerCase['before']

const toSpot = ({ um: readingsUm }: ToldRound[number]): Spot => ({
  readingsUm,
  meanUm: mean(readingsUm),
  complete: true,
})

/** Of both rounds the spots that were read twice, in one order. */
function matched(before: ToldRound, after: ToldRound): [Spot[], Spot[]] {
  const pairs = before.flatMap((first) => {
    const second = after.find(({ spot }) => spot === first.spot)
    return second ? [[toSpot(first), toSpot(second)] as const] : []
  })
  return [pairs.map(([first]) => first), pairs.map(([, second]) => second)]
}

/** What went, µm, how surely, and who says so; undefined where nothing does. */
export function ledgerCase(
  told: LedgerCase,
): { takenUm: number; uUm: number; by: 'gauge' | 'table' | 'both' } | undefined {
  const { before, after, sameSpots, table, spotSpreadUm, pooled } = told
  const [first, second] = [before.map(toSpot), after.map(toSpot)]
  const own = spreadOfSpots([first, second], spotSpreadUm)
  // A spread that comes from the whole car is taken as it is; else the spots of this panel have their say.
  const spread = pooled && spotSpreadUm !== undefined ? { ...own, spotUm: spotSpreadUm } : own
  const gauge: Difference | undefined = sameSpots
    ? removalAtMarks(...matched(before, after), spread)
    : removalElsewhere(first, second, spread)
  const worked = table && { removedUm: table.um, uncertaintyUm: table.um * table.share }
  const both = gauge && worked ? witnessed(gauge, worked) : (gauge ?? worked)
  if (!both) return undefined
  return {
    takenUm: both.removedUm,
    uUm: both.uncertaintyUm,
    by: gauge ? (worked ? 'both' : 'gauge') : 'table',
  }
}
