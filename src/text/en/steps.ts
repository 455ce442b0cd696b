import type { ExtraKey, OperationKind, PlannedOperation, VendorStage } from '@/core/offer'
import { firstNameOf } from '@/core/offer/first-name'
import { isWheelsOn } from '@/core/offer/wheels-on'
import type { Region } from '@/core/region'
import { spelt } from './spelling'
import { workInEnglish } from './work'

/** What can hurt someone at a step, and what to defer to. Shown at the step itself. */
const CAUTIONS: Record<OperationKind, string | undefined> = {
  wash: 'Acid and iron removers: gloves and eye protection, never mixed, never on hot metal, never left to dry. Keep run-off to the right drain. Follow the data sheets.',
  mask: undefined,
  cut: 'Tie back cords, hair and sleeves. Hand on the panel: a hot one is a warning. Dust mask where dust flies.',
  refine: 'Tie back cords, hair and sleeves. Edges and plastic heat first.',
  polish: 'Tie back cords, hair and sleeves. Hand on the panel: a hot one is a warning.',
  wipe: 'Solvent fumes: ventilate, no flame, gloves. Follow the data sheet.',
  layer:
    'Coating fumes: ventilate, no flame, gloves and the cartridge the data sheet names. Fresh towels; soaked ones can heat, spread them out flat.',
  surface:
    'Coating fumes: ventilate, no flame, gloves and the cartridge the data sheet names. Soaked towels are spread out flat.',
  extra: 'Read the data sheet of what is used; ventilate, gloves, eye protection where it says so.',
  vendor: 'Their own rules hold for their work: keep out of it, keep the bay ventilated, no flame.',
  look: 'Wet floor: boots with a grip, cables off it. Iron and tar removers need gloves, eye protection and a cool panel.',
  hold: 'Do not touch, do not wet, do not move outdoors.',
  finish: undefined,
}

const OF_EXTRA: Record<ExtraKey, string> = {
  'spot-work': 'Sanding dust: mask. Tie back cords and sleeves at the machine.',
  'touch-up': 'Solvent fumes: ventilate, no flame. Two-component paint is for a licensed refinisher only.',
  headlamps: 'Sanding dust: mask. A lens that stays cloudy from within needs a new lamp.',
  'glass-polish': 'Keep the glass cool and moving: a hot spot cracks it. Never over a chip or a crack.',
  trim: 'Ventilate, gloves; keep it off the paint.',
  chrome: 'Mask the paint beside it. Gloves: chrome edges cut.',
  'film-off':
    'Adhesive remover: ventilate, no flame, gloves. Warm, never hot: the clear coat comes off with cold film.',
  'strip-coating':
    'Sanding dust and solvent: mask, ventilate, gloves. Follow the data sheet of the old coating.',
  'wheels-off':
    'Rated lift and stands on the jacking points, never a jack alone. Refit to the maker’s torque with a calibrated wrench, and re-check after the first drive.',
  'soft-top': 'No jet at close range into the weave. Proofing fumes: ventilate, gloves.',
  'engine-bay':
    'Engine cold, 12 V off. Orange cables are high voltage: leave them alone and follow the maker’s instructions.',
  interior: 'Ask about allergies before strong cleaners; keep fluids away from airbags and switches.',
}

const WHEELS_WERE_OFF =
  'Tighten the wheel nuts to the manufacturer’s torque with a calibrated torque wrench, and have the customer get them re-checked after the first drive.'

type Step = Pick<PlannedOperation, 'kind' | 'extra'> & Partial<Pick<PlannedOperation, 'title' | 'away'>>

const AWAY =
  'Photograph it from all sides before it goes, and look at it together under the lamp when it is back. Write down what goes with it.'
const AWAY_CAUTION = 'Nothing may rub or roll on the way. Licensed trades work by their own rules.'

/** The caution of one step of a job: an extra has its own, and nuts are spoken of where wheels were off. */
export function cautionFor(step: Step, job: readonly Step[]): string | undefined {
  const { kind, extra, away } = step
  if (away) return AWAY_CAUTION
  if (isWheelsOn(step)) return WHEELS_WERE_OFF
  const isLast = kind === 'finish' && !job.some(isWheelsOn)
  if (isLast && job.some((other) => other.extra === 'wheels-off')) return WHEELS_WERE_OFF
  return extra ? OF_EXTRA[extra] : CAUTIONS[kind]
}

/**
 * How a step is done, in a line or two (common practice). Figures that stand in its recipe or its plan are not said here once more:
 * two of them would one day differ.
 */
const RECIPES: Record<OperationKind, string | undefined> = {
  wash: 'Top down. Wheels first, foam, two buckets, iron, tar, then clay with plenty of lubricant. Blow every gap dry.',
  mask: 'Tape trim and edges. Lamp round the car. Test spot on a flat middle panel, mildest pair first.',
  cut: 'One section at a time, crosshatch, half a pad’s overlap, the passes below. Clean the pad every second section.',
  refine:
    'Light pressure, the sections and passes below. Wipe and check under the point light before moving on.',
  polish: 'One step: pad flat, the passes below; stop when the polish turns clear.',
  wipe: 'Twice round with panel wipe, fresh towel face each panel. Oils hide marks and keep the coating off.',
  layer:
    'A few drops a section, crosshatch. Wait for the flash, level with one towel, buff with a second, look at eye level. Leave none.',
  surface:
    'Clean, wipe, apply thin, level with one towel and buff with a second. Nothing of it on wet paint.',
  extra: undefined,
  vendor: 'Show them what was agreed, and look at it together under the lamp before they leave.',
  look: 'A fine spray on one panel after another. Name what the water does, feel with the back of a towel, gloss and paint depth in the same places as last time.',
  hold: undefined,
  finish: 'Second pair of eyes, panel by panel with the lamp. Badges, plate, glass, tyres, interior.',
}

const RINSELESS =
  'Without a hose, top down, wheels first: pre-spray, then a soaked towel with a fresh face for each stretch. Lift iron remover with a wet towel before it dries; nothing is rinsed.'

/** Where a coating lies already: a visit, a repair of some panels (common practice). */
const COATED_WASH =
  'Top down. Wheels first, foam, two buckets, iron and tar where there is any. No clay: it mars the coating. Blow every gap dry.'

/** A short wash once more is no wash with all its steps. */
export const isRewash = ({ title }: Partial<Pick<PlannedOperation, 'title'>>): boolean =>
  typeof title === 'object' && title.code === 'rewash'

const REWASH =
  'Without a hose: pre-spray, straight strokes, a fresh towel face every time. Dry, and blow the polishing dust out of gaps, mirrors and lamps.'

const WHEELS_ON =
  'Hub faces clean, nuts by hand first, the car down before the last turn; crosswise to the manufacturer’s torque.'

/** One step that takes every panel to its end: its methods may have several steps each. */
const PANEL_BY_PANEL =
  'Each panel to its end before the next: every pass below, a pad for each liquid, wiped and checked under the lamp in between.'

/** How one operation is done: an extra has its own words, and a wash that is planned says it step by step. */
export function recipeFor(
  region: Pick<Region, 'locale'>,
  { kind, extra, title, away }: Step,
  { washIsPlanned = false, isCoated = false }: { washIsPlanned?: boolean; isCoated?: boolean } = {},
): string | undefined {
  if (away) return spelt(region, AWAY)
  if (isRewash({ title })) return spelt(region, REWASH)
  if (isWheelsOn({ title })) return WHEELS_ON
  if (kind === 'wash' && washIsPlanned) return undefined
  const first = title && firstNameOf(title)
  if (typeof first === 'object' && first.code === 'polish-panels') return spelt(region, PANEL_BY_PANEL)
  const isRinseless = typeof title === 'object' && title.code === 'rinseless-wash'
  if (kind === 'wash' && !isRinseless && isCoated) return spelt(region, COATED_WASH)
  const recipe = extra ? workInEnglish.extra[extra].means : isRinseless ? RINSELESS : RECIPES[kind]
  return recipe && spelt(region, recipe)
}

export const VENDOR_STAGE_NAME: Record<VendorStage, string> = {
  'before-correction': 'before the correction',
  'before-coating': 'before the coating',
  'after-coating': 'after the coating',
}
