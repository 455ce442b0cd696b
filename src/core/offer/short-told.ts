import type { MethodKey, Worked } from '../correction'
import type { Price } from './quote'
import { type Summary, taxOf } from './told'

type ShortTold = {
  price: Price
  coats: Summary['coats']
  /** Panels that are polished to bare paint, with the process and what it takes, µm. */
  polished?: readonly { id: string; name: string; process: MethodKey; takesUm: number; budgetUm: number }[]
  /** How they are. */
  work?: Worked
}

/** The words and figures of a visit or a repair: nothing is graded anew, so the condition stays what it was. */
export function shortSummary({ price, coats, polished = [], work }: ShortTold): Summary {
  return {
    indexBefore: 100,
    indexAfter: 100,
    expectedClearing: 1,
    layers: [],
    processes: Object.fromEntries(polished.map(({ id, process }) => [id, process])),
    works: work ? [work] : [],
    spots: [],
    left: [],
    priceLines: price.lines,
    netCents: price.netCents,
    taxCents: price.taxCents,
    ...taxOf(price),
    depositCents: 0,
    care: 'usual',
    panels: polished.map((panel) => ({
      ...panel,
      ...(work ? { work: 0 } : {}),
      indexBefore: 100,
      indexAfter: 100,
    })),
    coats,
    expectation: [],
    pace: {},
  }
}
