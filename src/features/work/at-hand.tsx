import type { LiquidHere } from '@/core/card'
import { STRONG_SOLVENT } from '@/text/en/solvent'
import { pouredName } from '@/text/en/supplies'
import { list, measured } from '@/text/formats'
import { useRegion } from '@/ui/region'

/** Millilitres are told in fives: nobody pours finer. */
const roundly = (ml: number) => Math.max(5, Math.round(ml / 5) * 5)

/** The bottles a step needs, by the names on them, and about how much of each. */
export function AtHand({ liquids }: { liquids: readonly LiquidHere[] }) {
  const region = useRegion()
  const bottles = liquids.map((liquid) =>
    liquid.ml === undefined
      ? pouredName(liquid)
      : `about ${measured(region, 'volume', roundly(liquid.ml))} of ${pouredName(liquid)}`,
  )
  return (
    <>
      <p className="mt-3">To hand: {list(region, bottles)}.</p>
      {liquids.some(({ bites }) => bites) && (
        <p className="mt-2 border-l-4 border-copper pl-4">{STRONG_SOLVENT}</p>
      )}
    </>
  )
}
