import type { Quote } from '@/core/offer'
import { type Choices, makeOffer, type OfferInput, suitsPurpose } from '@/core/offer'
import type { Setup } from '@/core/shop'

/**
 * What a quote begins with: the package asked for; else the newest version as it stands; else the dearest package
 * within the budget, or the cheapest.
 */
export function beginChoices(
  setup: Setup,
  input: OfferInput,
  { budgetCents }: { budgetCents?: number },
  quotes: readonly Quote[],
  asked: string | undefined,
): Choices {
  const newest = quotes.at(-1)
  const fresh = (packageKey: string): Choices => ({ packageKey, extras: [], terms: setup.terms })
  if (asked && setup.packages.some(({ key }) => key === asked))
    return newest ? { ...fresh(asked), terms: newest.choices.terms } : fresh(asked)
  if (newest) return newest.choices
  return fresh(withinBudget(setup, input, budgetCents))
}

/** Key of the package that suits what the car is for; else of the dearest within the budget that nothing forbids, or of the cheapest. */
export function withinBudget(
  { packages }: Pick<Setup, 'packages'>,
  input: OfferInput,
  budgetCents: number | undefined,
): string {
  const offers = packages
    .map((template) => makeOffer(template, input))
    .sort((a, b) => a.price.totalCents - b.price.totalCents)
  const allowed = offers.filter(({ breaches }) => !breaches.some(({ weight }) => weight === 'stop'))
  const suiting = input.purpose
    ? allowed.filter(({ template }) => suitsPurpose(input.purpose!, template, input.methods))
    : []
  if (suiting[0]) return suiting[0].template.key
  const affordable = allowed.filter(
    ({ price }) => budgetCents === undefined || price.totalCents <= budgetCents,
  )
  return (affordable.at(-1) ?? allowed[0] ?? offers[0]!).template.key
}
