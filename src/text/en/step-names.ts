import type { OtherSurface } from '@/core/coating'
import type { ExtraKey, PlainStep, StepName, Trade } from '@/core/offer'
import type { Region } from '@/core/region'
import { list } from '../formats'
import { title } from '../title'
import { EASILY_MISSED_WORDS, isEasilyMissed } from './easily-missed'
import { staffPanel, staffPanelName } from './staff-panels'
import { workInEnglish } from './work'

const PLAIN: Record<PlainStep, string> = {
  wash: 'Wash and decontaminate',
  'rinseless-wash': 'Rinseless wash and decontamination',
  rewash: 'Short wash again',
  mask: 'Mask, inspect, test spot',
  tape: 'Tape up',
  cut: 'Cut',
  refine: 'Refine',
  polish: 'Polish',
  'polish-to-bare': 'Polish to bare paint',
  'polish-panels': 'Polish, panel by panel',
  set: 'Set',
  buff: 'Buff off',
  wipe: 'Panel wipe',
  hold: 'Keep dry',
  'kept-in': 'Kept in, dry',
  look: 'Water, gloss and paint depth',
  'test-water': 'Test the water again',
  inspect: 'Final inspection under the lamp',
  'wheels-on': 'Wheels back on, torque',
  'refit-and-inspect': 'Refit and final inspection',
}

const capital = (word: string) => title({ language: 'en' }, word)

/** What the staff call an extra, a trade and a surface, at the beginning of a line. */
export const extraName = (extra: ExtraKey) => capital(workInEnglish.extra[extra].name)
export const tradeName = (trade: Trade) => capital(workInEnglish.trade[trade])
export const surfaceName = (surface: OtherSurface | 'paint') => capital(workInEnglish.surface[surface])

/** What the staff call a step. */
export function stepTitle(region: Region, name: StepName): string {
  if (typeof name === 'string') return name
  switch (name.code) {
    case 'extra':
      return name.pieces
        ? `${extraName(name.extra)}: ${list(
            region,
            name.pieces.map((id) => staffPanelName(region, id)),
          )}`
        : name.count > 1
          ? `${extraName(name.extra)}, ${name.count}`
          : extraName(name.extra)
    case 'vendor':
      return `${tradeName(name.trade)}: ${name.name}`
    case 'surface':
      return `${surfaceName(name.surface)}: ${name.product}`
    case 'layer':
      return `Layer ${name.layer}: ${name.product}${partText(name.part)}`
    case 'one-off':
      return name.words
    case 'more':
      return `${stepTitle(region, name.of)}, added work`
    case 'again':
      return `Rework: ${inspectedPlace(region, name.place)} (${stepTitle(region, name.of)})`
    default:
      return `${PLAIN[name.code]}${partText(name.part)}`
  }
}

const partText = (part: { at: number; of: number } | undefined) =>
  part ? `, part ${part.at} of ${part.of}` : ''

/** A panel, or one of the places one easily misses. */
export const inspectedPlace = (region: Region, id: string): string =>
  isEasilyMissed(id) ? EASILY_MISSED_WORDS[id](region).name : staffPanel(region, id)
