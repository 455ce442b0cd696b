import { type JobPlan, type PriceLine, type QuoteRow, type Summary, taxParts } from '@/core/offer'
import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import { extraPieces } from './extra-pieces'
import { duration, list, measured, money, percent } from './formats'
import { placeName } from './panels'
import { quoteWords, taxName } from './quote-words'
import { title } from './title'
import { methodName, surfaceTitle, tradeTitle, workWords } from './work'

/** The lines of a quote: what is done, what is applied, what it costs. */

/** Panels by what is done to them, the strongest first; those left alone apart. */
function panelsByProcess({ panels }: Summary) {
  const byProcess = new Map<Summary['panels'][number]['process'], Summary['panels']>()
  for (const panel of panels) byProcess.set(panel.process, [...(byProcess.get(panel.process) ?? []), panel])
  const worked = [...byProcess].flatMap(([process, own]) => (process === 'leave' ? [] : [{ process, own }]))
  return {
    worked: worked.toSorted((a, b) => b.own[0]!.takesUm - a.own[0]!.takesUm),
    left: byProcess.get('leave') ?? [],
  }
}

/** What is done, in the order of the work. */
export function workLines(region: Region, summary: Summary): string[] {
  const [words, work] = [quoteWords(region), workWords(region)]
  const { worked, left } = panelsByProcess(summary)
  const named = (panels: Summary['panels']) =>
    list(
      region,
      panels.map(({ id }) => placeName(region, id)),
    )
  return [
    words.wash,
    ...worked.map(({ process, own }) =>
      title(
        region,
        words.on(
          methodName(region, process, summary.works),
          own.length === summary.panels.length ? words.everyPanel : named(own),
        ),
      ),
    ),
    ...(left.length > 0 && worked.length > 0 ? [words.cleanedOnly(named(left))] : []),
    ...besideLines(region, summary),
    ...(worked.length > 0 ? [work.care[summary.care]] : []),
  ]
}

/** What is done beside the paint, and by whom else: every extra and everybody called in, as the price has them. */
export function besideLines(region: Region, { priceLines }: Summary): string[] {
  return priceLines.flatMap((line) => {
    if (line.kind === 'vendor')
      return [`${quoteWords(region).by(tradeTitle(region, line.trade), line.name)}.`]
    if (line.kind === 'one-off') return [`${line.words}.`]
    return line.kind === 'extra' ? [`${extraPieces(region, line)}.`] : []
  })
}

/** What is applied to which surface. */
export function protectionLines(region: Region, { coats }: Summary): string[] {
  const words = quoteWords(region)
  const paint = coats.filter(({ surface }) => surface === 'paint').map(({ product }) => product)
  const beside = coats.filter(({ surface }) => surface !== 'paint')
  return [
    ...(paint.length > 0
      ? [words.applied(surfaceTitle(region, 'paint'), paint.join(`, ${words.afterwards} `))]
      : []),
    ...beside.map(({ surface, product }) => words.applied(surfaceTitle(region, surface), product)),
  ]
}

/** One line of the price. */
export function lineText(region: Region, line: PriceLine): string {
  const words = quoteWords(region)
  switch (line.kind) {
    case 'labour':
      return `${title(region, workWords(region).skill[line.skill])}, ${duration(region, line.minutes)}`
    case 'product':
      return `${line.name}, ${measured(region, 'volume', line.ml)}`
    case 'consumables':
      return words.consumables
    case 'extra':
      return `${extraPieces(region, line)}, ${duration(region, line.minutes)}`
    case 'one-off':
      return line.minutes > 0 ? `${line.words}, ${duration(region, line.minutes)}` : line.words
    case 'vendor':
      return words.by(tradeTitle(region, line.trade), line.name)
    case 'discount':
      return words.discount(percent(region, line.percent, 2))
    default:
      return unreachable(line)
  }
}

/** What the hours of a line are made of: a few words for what is done, with its minutes. */
export function lineOrigin(region: Region, line: PriceLine, operations: JobPlan['operations']): string {
  if (line.kind !== 'labour') return ''
  const minutes = new Map<string, number>()
  for (const operation of operations.filter(({ id }) => line.operations.includes(id))) {
    const { activity: activities, buffing } = workWords(region)
    const { title } = operation
    const isBuffing = typeof title === 'object' && title.code === 'buff'
    const activity = isBuffing ? buffing : activities[operation.kind]
    minutes.set(activity, (minutes.get(activity) ?? 0) + operation.minutes * operation.people)
  }
  return [...minutes].map(([activity, took]) => `${activity} ${duration(region, took)}`).join(', ')
}

/** What it is before tax, and each tax; or the taxes it contains. */
export function sumRows(
  region: Region,
  summary: Pick<Summary, 'netCents' | 'taxCents' | 'taxPercent' | 'taxName' | 'taxes' | 'taxIncluded'>,
): QuoteRow[] {
  const words = quoteWords(region)
  const tax = taxName(region, summary.taxName)
  const parts = taxParts(summary).map(({ percent: rate, cents }) => ({
    name: summary.taxIncluded
      ? words.includedTax(tax, percent(region, rate, 3))
      : `${tax} ${percent(region, rate, 3)}`,
    amount: money(region, cents),
  }))
  if (parts.length === 0) return [{ name: words.noTax(tax), amount: money(region, 0) }]
  return summary.taxIncluded
    ? parts
    : [{ name: words.excludingTax(tax), amount: money(region, summary.netCents) }, ...parts]
}
