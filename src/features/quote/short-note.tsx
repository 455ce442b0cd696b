import { liquidsOfOffer } from '@/core/card/offer-liquids'
import type { Offer } from '@/core/offer'
import type { Region } from '@/core/region'
import { type OnShelf, shortFor } from '@/core/stock'
import type { Supply } from '@/core/supply'
import { pouredName } from '@/text/en/supplies'
import { measured } from '@/text/formats'
import { title } from '@/text/title'

type Props = {
  offer: Pick<Offer, 'bottles' | 'correction' | 'plan'>
  shelf: OnShelf
  supplies: readonly Supply[]
  region: Region
}

/** What has to be ordered before this can be done, by today’s count of the shelf. */
export function ShortNote({ offer, shelf, supplies, region }: Props) {
  const short = shortFor(offer.bottles, liquidsOfOffer(offer, supplies), shelf)
  const lines = [
    ...short.coats.map((coat) => ({ ...coat, name: coat.of.name })),
    ...short.liquids.map((liquid) => ({ ...liquid, name: title(region, pouredName(liquid.of)) })),
  ]
  if (lines.length === 0) return null
  const ml = (amount: number) => measured(region, 'volume', Math.ceil(amount))
  return (
    <section aria-label="Short on the shelf" className="border-l-4 border-bracken bg-sheet p-3 text-[15px]">
      <h3 className="font-head font-semibold">Short on the shelf</h3>
      <ul className="mt-1 space-y-1">
        {lines.map(({ name, neededMl, leftMl, pastMl }) => (
          <li key={name}>
            <strong>{name}</strong>: takes {ml(neededMl)}, {leftMl > 0 ? `${ml(leftMl)} there` : 'none there'}
            {pastMl > 0 && ` (${ml(pastMl)} more are too old)`}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-ink-soft">By today’s count. Order it before the day you promise.</p>
    </section>
  )
}
