import type { Region } from '@/core/region'
import { unreachable } from '@/core/result'
import type { Dwell } from '@/core/supply'
import type {
  ClayGrade,
  ContaminationPart,
  LanceError,
  Level,
  MethodReason,
  Mix,
  PlannedStep,
  Sight,
  WashFacts,
  WashStepId,
  Zone,
} from '@/core/wash'
import { NEAR_FREEZING_C } from '@/core/wash'
import { measured, number, percent } from '../formats'
import { STRONG_SOLVENT } from './solvent'

/** How the wash is done, step by step, and what can hurt. Read by staff only. */

export const ZONE_NAME: Record<Zone, string> = {
  upper: 'Bonnet and roof',
  sides: 'Doors and wings',
  lower: 'Behind the wheels, sills',
  tail: 'Tail',
}

export const TOUCH_NAME: Record<Level, string> = {
  0: 'like glass',
  1: 'a few grains',
  2: 'gritty',
  3: 'like sandpaper',
}
export const SIGHT_NAME: Record<Level, string> = { 0: 'none', 1: 'a few', 2: 'many', 3: 'all over' }

export const SIGHT_LABEL: Record<Sight, string> = {
  iron: 'Rust-brown dots',
  tar: 'Tar spots',
  sap: 'Tree sap',
  overspray: 'Overspray',
  mineral: 'Water spots',
  algae: 'Green in the seams',
}

export const partName = (part: ContaminationPart) =>
  part === 'touch' ? 'by touch' : SIGHT_LABEL[part].toLowerCase()

const CLAY: Record<ClayGrade, string> = { none: 'none', fine: 'fine', medium: 'medium', heavy: 'heavy' }

const SHEET = 'Follow the product’s data sheet.'
const ACID = [
  'Gloves and eye protection. Never mix it with another cleaner.',
  'Never on hot metal or in the sun.',
  SHEET,
]

type StepText = {
  title: string
  reason: string
  how: (facts: WashFacts) => string
  cautions: readonly string[]
}

export const WASH_STEP: Record<WashStepId, StepText> = {
  'soft-top': {
    title: 'Soft top first',
    reason: 'Its dirty water runs over everything else.',
    how: () =>
      'Brush with the weave and rinse, as many cycles as it takes until the foam stays white; three is usual.',
    cautions: ['No jet at close range into the weave.'],
  },
  wheels: {
    title: 'Wheels and arches',
    reason: 'The worst dirt goes before the body is touched.',
    how: ({ method }) =>
      method === 'wet'
        ? 'Wheel by wheel with their own brushes and bucket. Cold wheels only.'
        : 'Wheel by wheel with their own brushes and bucket. Cold wheels only. Nothing is rinsed: lift the cleaner off with wet towels of their own, and wipe once more with clean water.',
    cautions: [SHEET],
  },
  'acid-wheels': {
    title: 'Acid on baked brake dust',
    reason: 'Ordinary wheel cleaner does not move baked-on dust.',
    how: ({ method }) =>
      `Two minutes on the first wheel; four on the others only when the first is safe.${method === 'wet' ? ' Rinse it all off.' : ' It has to be rinsed off: where that cannot be done, leave it.'}`,
    cautions: ACID,
  },
  tyres: {
    title: 'Tyres',
    reason: 'Old dressing runs brown over the paint, and the new one does not hold on it.',
    how: ({ method }) =>
      method === 'wet'
        ? 'With a stiff brush of their own, again until the foam stays white.'
        : 'With a stiff brush of their own, the foam wiped off with a wet towel, again until it stays white.',
    cautions: [SHEET],
  },
  'pre-soak': {
    title: 'Soak the lower panels',
    reason: 'Caked road dirt would be dragged up the doors.',
    how: ({ method }) =>
      method === 'wet'
        ? 'Sills, behind the wheels, the tail, from below up. Rinse it off before it dries.'
        : 'Sills, behind the wheels, the tail, from below up. Lift it off with a towel you then put aside.',
    cautions: ['It must not dry.', SHEET],
  },
  'pre-rinse': {
    title: 'Rinse from the top',
    reason: 'Loose grit goes before anything rubs over it.',
    how: () => 'Top down, arches and sills last.',
    cautions: ['Keep the jet off electrics, seals and loose paint.', 'Run-off to the right drain.'],
  },
  algae: {
    title: 'Green from the seams',
    reason: 'Algae at roof seams and seals smears over the panels otherwise.',
    how: () => 'A soft brush along seams, seals and badges.',
    cautions: [SHEET],
  },
  foam: {
    title: 'Foam',
    reason: 'It carries dirt off without a touch.',
    how: () => 'From the sills up. It must not dry; rinse from the top.',
    cautions: ['Not in the sun, not on hot panels.'],
  },
  'two-buckets': {
    title: 'Two buckets and a mitt',
    reason: 'What still holds is washed off with the least rubbing.',
    how: ({ strips }) =>
      [
        'A panel at a time, straight strokes, rinse the mitt after each. Brush seams, badges, grilles, shuts.',
        ...(strips ? ['This shampoo takes old wax and sealant off.'] : []),
      ].join(' '),
    cautions: [],
  },
  'rinseless-pre-spray': {
    title: 'Pre-spray',
    reason: 'Without a hose the dirt has to be loosened first.',
    how: () => 'A panel well wet, top down. Lower panels twice.',
    cautions: [],
  },
  'rinseless-wash': {
    title: 'Sponge a panel, dry a panel',
    reason: 'The polymers carry the grit only while they are wet.',
    how: () => 'Straight strokes, a fresh face of the towel every time. The sponge never goes back dirty.',
    cautions: [],
  },
  iron: {
    title: 'Iron remover',
    reason: 'It dissolves embedded brake and rail dust, which clay only shaves off.',
    how: () =>
      'Behind the wheels, the tail, the lower doors first. It bleeds purple. Never let it dry. Rinse well.',
    cautions: ['Ventilate: it smells of sulphur.', ...ACID],
  },
  'rinseless-iron': {
    title: 'Iron remover, without rinsing',
    reason: 'It dissolves embedded brake and rail dust, which clay only shaves off.',
    how: () => 'A panel at a time. It bleeds purple. Lift it off at once; never let it dry.',
    cautions: ['Ventilate: it smells of sulphur.', ...ACID],
  },
  'rinseless-lift': {
    title: 'Clay towel out of a second bucket',
    reason: 'Nothing is rinsed: what was loosened leaves in the towel.',
    how: () =>
      'A panel at a time, straight strokes; then wipe twice with fresh faces. A towel that held iron remover never goes back into the wash bucket.',
    cautions: [],
  },
  tar: {
    title: 'Tar remover',
    reason: 'Tar smears under clay.',
    how: () => 'Spot by spot with a cloth, then rinse it off and wash those panels again: it dissolves clay.',
    cautions: ['Solvent: ventilate, no flame, gloves.', SHEET],
  },
  clay: {
    title: 'Clay',
    reason: 'What is still felt sits in the paint and would be dragged by a pad.',
    how: ({ clay }) =>
      `Start ${CLAY[clay.start]}${clay.upTo === clay.start ? '' : `; up to ${CLAY[clay.upTo]} only where fine moves nothing`}. Straight strokes, plenty of lubricant, a fresh face every panel. Half the bar; dropped clay is thrown away.`,
    cautions: [],
  },
  mineral: {
    title: 'Water spots',
    reason: 'Mineral deposits come off with an acid; what stays after it is etched and needs polish.',
    how: () => 'A panel at a time with a damp cloth, then rinse. Try glass with glass polish if it stays.',
    cautions: ACID,
  },
  dry: {
    title: 'Dry and blow out',
    reason: 'Drips from a vibrating panel dilute the polish.',
    how: ({ method }) =>
      method === 'wet'
        ? 'Spread a towel flat and draw it off, then air into every gap, mirror, lamp and badge.'
        : 'Air into every gap, mirror, lamp and badge.',
    cautions: ['Eye and ear protection at the blower.'],
  },
}

/** Where something rubs, bites or blasts. */
const HARD_ON_FRESH: readonly WashStepId[] = [
  'pre-soak',
  'pre-rinse',
  'iron',
  'rinseless-iron',
  'rinseless-lift',
  'tar',
  'clay',
  'mineral',
]
const FRESH_PAINT =
  'Some panels were sprayed within the last month: keep off them with clay, solvent, acid and a close jet.'

/** What can hurt at a step on this car. */
export const washCautions = ({ id, facts: { fresh }, bites }: PlannedStep): string[] => [
  ...(bites ? [STRONG_SOLVENT] : []),
  ...(fresh && HARD_ON_FRESH.includes(id) ? [FRESH_PAINT] : []),
  ...WASH_STEP[id].cautions,
]

/** `2–4 min`, or `30 min` where least and most are the same. */
export const dwellText = ({ minMinutes, maxMinutes }: Dwell) =>
  minMinutes === maxMinutes ? `${maxMinutes} min` : `${minMinutes}–${maxMinutes} min`

export function methodReason(region: Region, reason: MethodReason): string {
  switch (reason) {
    case 'near-freezing':
      return `It is below ${measured(region, 'temperature', NEAR_FREEZING_C)}: water would freeze in locks and seals.`
    case 'no-hose':
      return 'There is no running water here.'
    case 'no-drain':
      return 'There is no drain here that may take wash water.'
    case 'all-there':
      return 'Running water, a drain and no frost: use a wet wash.'
    default:
      return unreachable(reason)
  }
}

export function lanceErrorText(region: Region, error: LanceError): string {
  switch (error.code) {
    case 'lance-not-measured':
      return 'Measure the lance first: fill its bottle with water and time how long it takes to empty.'
    case 'lance-draws-too-little':
      return `This lance puts ${percent(region, 100 * error.mostOnPanel, 1)} on the panel with neat product. Open its valve further and time it again.`
    default:
      return unreachable(error)
  }
}

type PouredMix = Extract<Mix, { kind: 'pour' }>

const VESSEL: Record<PouredMix['vessel']['kind'], string> = {
  lance: 'lance bottle',
  bucket: 'bucket',
  spray: 'spray bottle',
}

/** ml as one pours: to five where it is much, and large amounts of water as water is measured. */
const FIVES_FROM_ML = 100
const LITRES_FROM_ML = 2000
const roundly = (ml: number) => (ml >= FIVES_FROM_ML ? Math.round(ml / 5) * 5 : Math.round(ml))
export const pouredText = (region: Region, ml: number) => measured(region, 'volume', roundly(ml))
export function waterText(region: Region, ml: number): string {
  if (ml < LITRES_FROM_ML) return pouredText(region, ml)
  const litres = Math.round(ml / 100) / 10
  return measured(region, 'water', litres, Number.isInteger(litres) ? 0 : 1)
}

/** Below this one measures with the cap. */
const CAPFULS_BELOW = 10

/** In what strength, into which vessel, and how many capfuls where that is fewer than ten. */
export function mixText(region: Region, { ratio, vessel, capfuls }: PouredMix): string {
  const strength =
    ratio.kind === 'parts'
      ? `1:${number(region, ratio.water)}`
      : `${percent(region, Math.round(100 * ratio.share))} on the panel`
  return [
    strength,
    `${VESSEL[vessel.kind]} of ${waterText(region, vessel.ml)}`,
    ...(capfuls < CAPFULS_BELOW ? [`${number(region, capfuls, 1)} capfuls`] : []),
  ].join(', ')
}
