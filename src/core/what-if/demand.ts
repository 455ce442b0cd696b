import { type JobId, toJobId } from '../ids'

import { type Agreement, type JobPlan, lineBeforeTax, SKILLS, type Summary } from '../offer'
import { seededRandom } from '../schedule'
import type { Costs } from '../shop'
import type { Instant } from '../time'
import type { VehicleSize } from '../vehicle'

/** Who asked for what: the cars of a stretch of time, to be replayed. */

export type AskedCar = {
  id: JobId
  packageKey: string
  /** When its owner asked for it to be done: the car can be there from then on. */
  asked: Instant
  size: VehicleSize
  plan: JobPlan
} & CarMoney

/** What a car brings, cents: what is left of its price once products, subcontractors and consumables are paid, and the wages of the hours it is planned to take. */
export type CarMoney = { leftCents: number; wageCents: number }

/** A line of what was agreed that the shop pays somebody else for, or in part. */
function boughtShare(kind: Summary['priceLines'][number]['kind'], costs: Costs): number {
  if (kind === 'vendor' || kind === 'consumables') return 1
  return kind === 'product' ? costs.productPercent / 100 : 0
}

/** What a car brings as it was agreed and planned. */
export function moneyOf({ summary, plan }: Pick<Agreement, 'summary' | 'plan'>, costs: Costs): CarMoney {
  const together = summary.netCents > 0 ? (100 * summary.taxCents) / summary.netCents : 0
  const bought = summary.priceLines.reduce(
    (sum, line) => sum + boughtShare(line.kind, costs) * lineBeforeTax(line, summary, together),
    0,
  )
  const wageCents = plan.operations.reduce((sum, { skill, minutes, people }) => {
    const own = SKILLS.find((each) => each === skill)
    return own ? sum + (costs.wageCentsPerHour[own] * minutes * Math.max(1, people)) / 60 : sum
  }, 0)
  return { leftCents: summary.netCents - bought, wageCents }
}

/** How much busier than it was a year can be replayed. */
export const BUSIER = [1, 1.5, 2, 3, 5] as const
export type Busier = (typeof BUSIER)[number]

/**
 * The same cars, and as many more of them drawn by chance as it is busier, each on a day on which some car came: seasons and hours stay what
 * they were. In the order in which they ask; the same seed gives the same cars.
 */
export function busier(cars: readonly AskedCar[], times: Busier, seed: number): AskedCar[] {
  const random = seededRandom(seed)
  const drawn = () => cars[Math.floor(random() * cars.length)]!
  const more = Array.from(
    { length: cars.length === 0 ? 0 : Math.round((times - 1) * cars.length) },
    (_, at) => ({
      ...drawn(),
      id: toJobId(`more-${at}`),
      asked: drawn().asked,
    }),
  )
  return [...cars, ...more].sort((a, b) => a.asked.localeCompare(b.asked) || a.id.localeCompare(b.id))
}
