import {
  type CorrectionPlan,
  DULL_BELOW_GU,
  FRESH_DAYS,
  glossTarget,
  materialOf,
  type SpotWork,
  spotWork,
} from '../correction'
import type { PanelJudgement } from '../survey'
import { daysBetween, type LocalDay } from '../time'
import { type ChosenExtra, piecesOf } from './extras'
import type { Offer, OfferInput } from './offer'
import type { Trade, Vendor } from './vendor'

/** What an offer settles beside correction and coating: who comes, which marks are brought down, which gloss is worked to. */

/** Crafts that mend what can be seen: film is a wish, and is not among them. */
const MENDING: readonly Trade[] = ['dents', 'wheels', 'paint', 'glass', 'upholstery']

/** Whether there is anything on this car for somebody a package brings: where it was looked at and nothing was found, there is not. */
export const hasWork = ({ trade }: Vendor, { trades, judgement }: OfferInput): boolean =>
  trades === undefined ||
  judgement.grade === undefined ||
  !MENDING.includes(trade) ||
  trades.some((proposal) => proposal.trade === trade)

/** The gloss to work to: as agreed, else what the dull panels can be brought to. */
export function glossOf(
  { glossGu = {} }: OfferInput,
  { panels }: CorrectionPlan,
  agreed: number | undefined,
): Pick<Offer, 'gloss'> {
  const dull = panels.flatMap(({ judged: { panel, paint }, option }) => {
    const material = materialOf(paint, panel.substrate)
    const beforeGu = glossGu[panel.id]
    return material && beforeGu !== undefined && beforeGu < DULL_BELOW_GU && option.method.steps.length > 0
      ? [{ id: panel.id, material, beforeGu, option }]
      : []
  })
  const targetGu = agreed ?? glossTarget(dull)
  return targetGu === undefined || dull.length === 0
    ? {}
    : { gloss: { targetGu, panels: dull.map(({ id }) => id) } }
}

/** Extras with the pieces they are done to; spot work only where the paint can spare it. */
export function withSpots(
  chosen: readonly ChosenExtra[],
  { proposals }: OfferInput,
  correction: CorrectionPlan,
): { extras: ChosenExtra[]; spots: SpotWork[] } {
  const spots: SpotWork[] = []
  const extras = chosen.flatMap((extra): ChosenExtra[] => {
    const pieces = piecesOf(extra, proposals)
    if (extra.key !== 'spot-work') return [{ ...extra, ...(pieces.length > 0 ? { pieces } : {}) }]
    const worked = pieces.filter((id) => {
      const choice = correction.panels.find(({ judged }) => judged.panel.id === id)
      const spot = choice && spotWork(choice.judged, choice.option)
      if (spot) spots.push(spot)
      return spot?.verdict !== 'refused'
    })
    const count = extra.count - (pieces.length - worked.length)
    return count > 0 ? [{ ...extra, count, ...(worked.length > 0 ? { pieces: worked } : {}) }] : []
  })
  return { extras, spots }
}

/** Sprayed so shortly before that it still gives off solvent. */
export const isFresh = ({ paint }: PanelJudgement, today: LocalDay | undefined): boolean =>
  paint.sprayedOn !== undefined && today !== undefined && daysBetween(paint.sprayedOn, today) < FRESH_DAYS
