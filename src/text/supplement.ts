import { type Agreement, lineChanges, type QuoteChange, type QuoteText, type Summary } from '@/core/offer'
import type { Region } from '@/core/region'
import { dayIn, type Instant } from '@/core/time'
import { money, paperDay, paperMoment } from './formats'
import { lineText } from './quote-lines'
import { type QuoteWords, quoteWords, taxName } from './quote-words'

/** The part of a supplement that a first quote does not have. */

/** What a supplement changes: the agreement that stands, and the words of whoever found more. */
export type ChangeTold = Pick<QuoteChange, 'found' | 'otherwise' | 'callsOff'> & {
  agreed: Pick<Agreement, 'summary' | 'totalCents' | 'agreedAt'>
  /** When the car comes, where that is another time than it was to come. */
  comes?: { before: Instant; after: Instant }
}

/** What such a paper is called. */
export const titleWords = (words: QuoteWords, change: ChangeTold | undefined) =>
  change ? (change.callsOff ? words.change.calledOff : words.change.title) : words.title

/** The part of a supplement that a first quote does not have: the lines that differ add up to the difference, before tax or with it. */
export function changeText(
  region: Region,
  { summary, totalCents, change }: { summary: Summary; totalCents: number; change?: ChangeTold },
): Pick<QuoteText, 'change'> {
  if (!change) return {}
  const { agreed, found, otherwise, callsOff } = change
  const words = quoteWords(region).change
  const taxCents = summary.taxCents - agreed.summary.taxCents
  const signed = (cents: number) => `${cents > 0 ? '+' : ''}${money(region, cents)}`
  const sections = [
    ...(change.comes
      ? [
          {
            heading: words.comes,
            text: words.comesThen(
              paperMoment(region, change.comes.after),
              paperMoment(region, change.comes.before),
            ),
          },
        ]
      : []),
    { heading: callsOff ? words.why : words.found, text: found },
    { heading: words.otherwise, text: otherwise },
  ]
  return {
    change: {
      of: (callsOff ? words.ofCalledOff : words.of)(
        paperDay(region, dayIn(region.timezone, agreed.agreedAt)),
      ),
      sections: sections.filter(({ text }) => text.length > 0),
      heading: words.heading,
      rows: lineChanges(agreed.summary.priceLines, summary.priceLines).map(
        ({ line, beforeCents, afterCents }) => ({
          name: afterCents === 0 ? words.dropped(lineText(region, line)) : lineText(region, line),
          amount: signed(afterCents - beforeCents),
        }),
      ),
      sums: [
        ...(taxCents === 0 || summary.taxIncluded
          ? []
          : [{ name: taxName(region, summary.taxName), amount: signed(taxCents) }]),
        { name: words.before, amount: money(region, agreed.totalCents) },
        { name: words.difference, amount: signed(totalCents - agreed.totalCents) },
      ],
    },
  }
}
