import { makeOffer, type OfferInput, type PackageTemplate, suitsPurpose } from '@/core/offer'

/** How many packages stand side by side. */
export const COMPARED = 3

/**
 * The packages to compare: those asked for, in the order of the shop; else the one that suits what the car is for, or the dearest that is within the budget, with
 * one to each side of it, and without a budget the middle ones.
 */
export function comparedKeys(
  packages: readonly PackageTemplate[],
  asked: string | undefined,
  { budgetCents }: { budgetCents?: number },
  input: OfferInput,
): string[] {
  const wanted = (asked ?? '').split(',').filter((key) => packages.some((template) => template.key === key))
  if (wanted.length > 0) return wanted.slice(0, COMPARED)
  if (packages.length <= COMPARED) return packages.map(({ key }) => key)
  const byPrice = packages
    .map((template) => ({ key: template.key, cents: makeOffer(template, input).price.totalCents }))
    .sort((a, b) => a.cents - b.cents)
  const suiting = packages.find(
    (template) => input.purpose && suitsPurpose(input.purpose, template, input.methods),
  )
  const within = suiting
    ? byPrice.findIndex(({ key }) => key === suiting.key)
    : budgetCents === undefined
      ? Math.floor(byPrice.length / 2)
      : byPrice.findLastIndex(({ cents }) => cents <= budgetCents)
  const first = Math.min(Math.max(0, within - 1), byPrice.length - COMPARED)
  return byPrice.slice(first, first + COMPARED).map(({ key }) => key)
}

/** The comparison with one package put in or taken out; the oldest leaves where there are three already. */
export function toggled(keys: readonly string[], key: string): string[] {
  return keys.includes(key) ? keys.filter((each) => each !== key) : [...keys, key].slice(-COMPARED)
}
