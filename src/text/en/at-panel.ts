import type { MachineRecipe } from '@/core/card'
import type { AtPanel } from '@/core/card/at-panel'
import type { RemainingCode } from '@/core/offer'
import type { Region } from '@/core/region'
import { measured, shortDay } from '../formats'
import { markName } from '../marks'
import { WATER_WORDS } from './aftercare'
import { sentence } from './sentence'
import { FINDING_NAME, SEVERITY_NAME } from './survey'
import { workInEnglish } from './work'

/** What the customer was told of a panel, as short as one reads it with a machine in hand. */
const TOLD: Record<RemainingCode, string> = {
  'improved-only': 'improved, not fully corrected',
  'softened-only': 'some marks reduced, not removed',
  filler: 'an old repair may show',
  'edge-taped': 'the edges are taped, the rest is polished',
  'fresh-uncoated': 'fresh paint: gently, and no coating yet',
  'under-film': 'under film: not polished',
  'film-comes-off': 'inspect and read it once the film is off',
  'prep-skipped': 'coated without a polish',
  'spot-reduced': 'the deepest mark reduced',
  'spot-refused': 'no spot work, the mark stays',
  chips: 'chips stay',
  'chips-touched-up': 'chips touched up',
  nail: 'scratches that catch a nail stay',
  'nail-touched-up': 'scratches that catch a nail touched up',
}

/** The facts of a panel, a line each; the first is its paint. */
export function atPanelLines(
  region: Region,
  { depth, finding, spareUm, marks, told, spot, last = [] }: AtPanel,
): string[] {
  const um = (value: number, decimals = 0) => measured(region, 'depth', value, decimals)
  const paint = [
    depth ? `${um(depth.meanUm)}, thinnest ${um(depth.lowestUm)}` : 'Paint depth not known',
    ...(finding === 'original' || finding === 'not-read' ? [] : [FINDING_NAME[finding].toLowerCase()]),
    `safe to remove ${um(spareUm, 1)}`,
  ]
  const seen = marks.map(({ kind, severity, catchesNail, note }) =>
    [
      `${markName(region, kind)} ${SEVERITY_NAME[severity]}`,
      ...(catchesNail ? ['catches a nail'] : []),
      ...(note ? [note] : []),
    ].join(', '),
  )
  return [
    paint.join('; '),
    ...(seen.length > 0 ? [sentence(seen.join('; '))] : []),
    ...(spot
      ? [
          `Spot work on the deepest mark (${markName(region, spot.mark).toLowerCase()}): ${um(spot.takesUm, 1)} at most, beside the polish`,
        ]
      : []),
    ...last.map(
      ({ day, note, water }) =>
        `${sentence(shortDay(region, day))}: ${[...(water ? [WATER_WORDS[water].name.toLowerCase()] : []), ...(note ? [note] : [])].join(', ')}`,
    ),
    ...(told.length > 0 ? [`Promised: ${told.map((code) => TOLD[code]).join('; ')}`] : []),
  ]
}

/** How a panel is worked in this step, on one line. */
export const recipeLine = (
  region: Region,
  {
    machine,
    pad,
    padMm,
    liquid,
    dial,
    passes,
    sectionM,
  }: Omit<MachineRecipe, 'id' | 'panels' | 'armMmPerSecond'>,
): string =>
  sentence(
    [
      workInEnglish.machine[machine],
      `${workInEnglish.pad[pad]}, ${padMm} mm`,
      workInEnglish.liquid[liquid],
      ...(machine === 'hand' ? [] : [`speed ${dial}`]),
      `${passes} passes on ${measured(region, 'length', sectionM, 2)}`,
    ].join('; '),
  )
