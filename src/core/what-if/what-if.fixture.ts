import catalogueFile from '../../../demo/catalogue.json'
import setupFile from '../../../demo/setup.json'
import { catalogueSchema } from '../coating'
import { toJobId } from '../ids'
import { chosenOffer, paceKey, summaryOf } from '../offer'
import { offerInput, templates, vendors } from '../offer/offer.fixture'
import { type Setup, setupSchema } from '../shop'
import { atLocal, type Instant, localDayOrThrow, plusDays } from '../time'
import { sizeOf } from '../vehicle'
import { type AskedCar, moneyOf } from './demand'

/** The demo’s shop, and cars that were asked for in it. */

export const setup: Setup = setupSchema.parse(setupFile)
export const catalogue = catalogueSchema.parse(catalogueFile)
/** A shop in which the work on these cars takes what it is planned to. */
export const surely = (shop: Setup, cars: readonly AskedCar[]): Setup => ({
  ...shop,
  spreads: Object.fromEntries(cars.flatMap(({ plan }) => plan.operations.map((each) => [paceKey(each), 0]))),
})

const input = offerInput({}, { vendors })
const MONDAY = localDayOrThrow('2026-03-02')

export const agreedFor = (packageKey: string) => {
  const terms = { discountPercent: 0, depositPercent: 20, validDays: 14 }
  const offer = chosenOffer(templates, input, { packageKey, extras: [], terms })!
  return { plan: offer.plan, summary: summaryOf(offer) }
}

export const askedOn = (day: number): Instant =>
  atLocal(setup.region.timezone, plusDays(MONDAY, day), '08:30')

/** A car that was asked for so many days after a Monday. */
export function carAsked(id: string, packageKey: string, day: number): AskedCar {
  const agreed = agreedFor(packageKey)
  return {
    id: toJobId(id),
    packageKey,
    asked: askedOn(day),
    size: sizeOf({ shape: input.shape }),
    plan: agreed.plan,
    ...moneyOf(agreed, setup.costs),
  }
}
