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
  const short = liquids.filter(({ ml, leftMl }) => ml !== undefined && leftMl !== undefined && leftMl < ml)
  return (
    <>
      <p className="mt-3">To hand: {list(region, bottles)}.</p>
      {short.length > 0 && (
        <p className="mt-1 font-semibold text-copper">
          Not enough of it on the shelf:{' '}
          {list(
            region,
            short.map((liquid) => `${measured(region, 'volume', liquid.leftMl!)} of ${pouredName(liquid)}`),
          )}{' '}
          left by the last count.
        </p>
      )}
      {liquids.some(({ bites }) => bites) && (
        <p className="mt-2 border-l-4 border-copper pl-4">{STRONG_SOLVENT}</p>
      )}
    </>
  )
}
