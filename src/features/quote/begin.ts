import type { MethodKey } from '@/core/correction'
import type { Quote, Summary } from '@/core/offer'
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

/** A change begins with what is agreed: its choices, and every panel held to its method, or to what it was changed to at the car. */
export function changeBegins(
  quotes: readonly Quote[],
  { version, summary }: { version: number; summary: Summary },
  methods: readonly { panel: string; process: MethodKey }[],
): Choices {
  const { choices } = quotes.find((quote) => quote.version === version)!
  const changed = Object.fromEntries(methods.map(({ panel, process }) => [panel, process]))
  return { ...choices, processes: { ...summary.processes, ...changed } }
}

/** So many points of the condition index apart, nobody sees across the yard which of two cars it is (mem). */
const NEARLY_POINTS = 3

/**
 * Key of the package that suits what the car is for; else of the dearest within the budget that nothing forbids, or of the cheapest;
 * without a budget of one that is enough.
 */
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
  // Without a budget a show car gets everything; any other the cheapest that protects it and looks nearly as good.
  if (budgetCents === undefined && input.purpose !== 'show') {
    const protecting = allowed.filter(({ layers }) => layers.length > 0)
    const best = Math.max(...protecting.map(({ correction }) => correction.indexAfter))
    const enough = protecting.find(({ correction }) => correction.indexAfter >= best - NEARLY_POINTS)
    if (enough) return enough.template.key
  }
  const affordable = allowed.filter(
    ({ price }) => budgetCents === undefined || price.totalCents <= budgetCents,
  )
  return (affordable.at(-1) ?? allowed[0] ?? offers[0]!).template.key
}
