import type { Collecting } from '@/core/offer'
import type { Region } from '@/core/region'
import { dayIn } from '@/core/time'
import { chanceText } from '@/text/chance'
import { clock, paperDay } from '@/text/formats'

/** A chance, set apart from the time it belongs to. */
export function ChanceMark({ region, chance }: { region: Region; chance: number }) {
  return (
    <span className="whitespace-nowrap text-[0.8em] font-normal text-ink-soft" data-testid="chance">
      ({chanceText(region, chance)})
    </span>
  )
}

/** The time that is surer than the one that is promised, where there is one. */
export function SurerTime({ region, chances }: { region: Region; chances: readonly Collecting[] }) {
  const [, surer] = chances
  if (!surer) return null
  return (
    <span data-testid="surer">
      {paperDay(region, dayIn(region.timezone, surer.at))}, {clock(region, surer.at)}{' '}
      <ChanceMark region={region} chance={surer.chance} />
    </span>
  )
}
