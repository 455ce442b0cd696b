import { onceBare } from '../survey'
import { type ChosenExtra, includedCount, mergeExtras, piecesOf } from './extras'
import type { OfferInput } from './offer'
import type { PackageTemplate } from './package'

/** The car as it is polished: where an old film is taken off, the paint beneath is worked like paint nobody has read. */
export function onceFilmIsOff(
  { extras }: Pick<PackageTemplate, 'extras'>,
  input: OfferInput,
  chosen: readonly ChosenExtra[] = [],
): OfferInput {
  const included = extras.map((key) => ({ key, count: includedCount(key, input.proposals) }))
  const off = mergeExtras(included, chosen)
    .filter(({ key }) => key === 'film-off')
    .flatMap((extra) => piecesOf(extra, input.proposals))
  if (off.length === 0) return input
  const panels = input.judgement.panels.map((judged) =>
    off.includes(judged.panel.id) ? onceBare(judged) : judged,
  )
  return { ...input, judgement: { ...input.judgement, panels } }
}
