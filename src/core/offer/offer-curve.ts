import { type Locks, type VehicleFrontier, vehicleFrontier } from '../correction'
import { onceFilmIsOff } from './bare'
import { freeSettings, type Offer, type OfferInput, offerWith } from './offer'
import type { PackageTemplate } from './package'

/** What each hour buys on one car, with what it costs. */
export type OfferCurve = VehicleFrontier & { offerAt: (minutes: number) => Offer }

/**
 * The curve of a package on a car. A plan that costs more than a longer and better one is nobody’s choice: it is left out, so that
 * the price never falls as the hours rise. (Estimates are planned in steps of five minutes an operation, and a longer plan may need
 * one operation fewer.)
 */
export function offerCurve(template: PackageTemplate, input: OfferInput, locks: Locks = {}): OfferCurve {
  const bare = onceFilmIsOff(template, input)
  const frontier = vehicleFrontier(bare.judgement.panels, freeSettings(template, bare), locks)
  const made = new Map<number, Offer>()
  const offerAt = (minutes: number): Offer => {
    const known = made.get(minutes)
    if (known) return known
    const offer = offerWith(template, bare, frontier.planAt(minutes))
    made.set(minutes, offer)
    return offer
  }
  let least = Number.POSITIVE_INFINITY
  const points = frontier.points.toReversed().filter(({ minutes }) => {
    const { totalCents } = offerAt(minutes).price
    if (totalCents > least) return false
    least = totalCents
    return true
  })
  return { ...frontier, points: points.toReversed(), offerAt }
}
