import type { PriceLine } from '@/core/offer'
import type { Region } from '@/core/region'
import { list } from './formats'
import { placeName } from './panels'
import { extraTitle } from './work'

/** An extra with its pieces, or how many there are. */
export function extraPieces(region: Region, line: Extract<PriceLine, { kind: 'extra' }>): string {
  const extra = extraTitle(region, line.extra)
  if (line.pieces)
    return `${extra} (${list(
      region,
      line.pieces.map((id) => placeName(region, id)),
    )})`
  return line.count > 1 ? `${extra} × ${line.count}` : extra
}
