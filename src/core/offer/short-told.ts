import type { ProcessKey } from '../correction'
import type { Price } from './quote'
import { type Summary, taxOf } from './told'

type ShortTold = {
  price: Price
  coats: Summary['coats']
  /** Panels that are polished to bare paint, with the process and what it takes, µm. */
  polished?: readonly { id: string; name: string; process: ProcessKey; takesUm: number; budgetUm: number }[]
}

/** The words and figures of a visit or a repair: nothing is graded anew, so the condition stays what it was. */
export function shortSummary({ price, coats, polished = [] }: ShortTold): Summary {
  return {
    indexBefore: 100,
    indexAfter: 100,
    expectedClearing: 1,
    layers: [],
    processes: Object.fromEntries(polished.map(({ id, process }) => [id, process])),
    left: [],
    priceLines: price.lines,
    netCents: price.netCents,
    taxCents: price.taxCents,
    ...taxOf(price),
    depositCents: 0,
    care: 'usual',
    panels: polished.map((panel) => ({ ...panel, indexBefore: 100, indexAfter: 100 })),
    coats,
    expectation: [],
    pace: {},
  }
}
