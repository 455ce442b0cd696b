import type { WashContext, WashSchool } from './context'

/** Wash and decontamination as data: when a step is needed, how it is done, how long it dwells, what can hurt. */

export type Dwell = { minMinutes: number; maxMinutes: number }

export type WashStep = {
  id: string
  title: string
  reason: string
  order: Record<WashSchool, number>
  needed: (context: WashContext) => boolean
  how: (context: WashContext) => string
  dwell?: (context: WashContext) => Dwell
  product?: string
  mix?: { into: 'lance'; panelShare: number } | { into: 'bucket' | 'spray'; partsWater: number }
  cautions: readonly string[]
}

const wet = ({ method }: WashContext) => method === 'wet'
const rinseless = ({ method }: WashContext) => method === 'rinseless'
const seen = (kind: keyof WashContext['contamination']['sight']) => (context: WashContext) =>
  context.contamination.sight[kind] > 0
const at = (place: number): Record<WashSchool, number> => ({ 'iron-first': place, 'clay-first': place })

const SHEET = 'Read the data sheet of the product; it has the last word.'
const ACID = [
  'Gloves and eye protection. Never mix it with another cleaner.',
  'Never on hot metal or in the sun.',
  SHEET,
] as const

/** Iron and organic work happens once: behind the pre-wash, before or after the clay. */
export const WASH_STEPS: readonly WashStep[] = [
  {
    id: 'soft-top',
    title: 'Soft top first',
    reason: 'Its dirty water runs over everything else.',
    order: at(10),
    needed: ({ softTop }) => softTop,
    how: () =>
      'Brush with the weave and rinse, as many cycles as it takes until the foam stays white; three is usual.',
    product: 'fabric cleaner',
    mix: { into: 'spray', partsWater: 4 },
    cautions: ['No jet at close range into the weave.'],
  },
  {
    id: 'wheels',
    title: 'Wheels, tyres, arches',
    reason: 'The worst dirt goes before the body is touched.',
    order: at(20),
    needed: () => true,
    how: () => 'Wheel by wheel with their own brushes and bucket. Cold wheels only.',
    product: 'wheel cleaner',
    mix: { into: 'spray', partsWater: 4 },
    dwell: () => ({ minMinutes: 2, maxMinutes: 4 }),
    cautions: [SHEET],
  },
  {
    id: 'acid-wheels',
    title: 'Acid on baked brake dust',
    reason: 'Ordinary wheel cleaner does not move baked-on dust.',
    order: at(22),
    needed: ({ bakedWheels }) => bakedWheels,
    how: () => 'Two minutes on the first wheel; four on the others only when the first is safe.',
    product: 'acid wheel cleaner',
    dwell: () => ({ minMinutes: 2, maxMinutes: 4 }),
    cautions: ACID,
  },
  {
    id: 'pre-rinse',
    title: 'Rinse from the top',
    reason: 'Loose grit goes before anything rubs over it.',
    order: at(30),
    needed: wet,
    how: () => 'Top down, arches and sills last.',
    cautions: ['Keep the jet off electrics, seals and loose paint.', 'Run-off to the right drain.'],
  },
  {
    id: 'algae',
    title: 'Green from the seams',
    reason: 'Algae at roof seams and seals smears over the panels otherwise.',
    order: at(32),
    needed: seen('algae'),
    how: () => 'A soft brush along seams, seals and badges.',
    product: 'all-purpose cleaner',
    mix: { into: 'spray', partsWater: 10 },
    cautions: [SHEET],
  },
  {
    id: 'foam',
    title: 'Foam',
    reason: 'It carries dirt off without a touch.',
    order: at(40),
    needed: wet,
    how: () => 'From the sills up. It must not dry; rinse from the top.',
    dwell: () => ({ minMinutes: 3, maxMinutes: 5 }),
    product: 'foam',
    mix: { into: 'lance', panelShare: 0.04 },
    cautions: ['Not in the sun, not on hot panels.'],
  },
  {
    id: 'two-buckets',
    title: 'Two buckets and a mitt',
    reason: 'What still holds is washed off with the least rubbing.',
    order: at(50),
    needed: wet,
    how: () =>
      'A panel at a time, straight strokes, rinse the mitt after each. Brush seams, badges, grilles, shuts.',
    product: 'shampoo',
    mix: { into: 'bucket', partsWater: 400 },
    cautions: [],
  },
  {
    id: 'rinseless-pre-spray',
    title: 'Pre-spray',
    reason: 'Without a hose the dirt has to be loosened first.',
    order: at(40),
    needed: rinseless,
    how: () => 'A panel well wet, top down. Lower panels twice.',
    dwell: () => ({ minMinutes: 1, maxMinutes: 3 }),
    product: 'rinseless wash',
    mix: { into: 'spray', partsWater: 128 },
    cautions: [],
  },
  {
    id: 'rinseless-wash',
    title: 'Sponge a panel, dry a panel',
    reason: 'The polymers carry the grit only while they are wet.',
    order: at(50),
    needed: rinseless,
    how: () => 'Straight strokes, a fresh face of the towel every time. The sponge never goes back dirty.',
    product: 'rinseless wash',
    mix: { into: 'bucket', partsWater: 128 },
    cautions: [],
  },
  {
    id: 'iron',
    title: 'Iron remover',
    reason: 'It dissolves embedded brake and rail dust, which clay only shaves off.',
    order: { 'iron-first': 60, 'clay-first': 85 },
    needed: ({ contamination }) => contamination.sight.iron > 0 || contamination.touch.lower > 1,
    how: ({ school }) =>
      `Behind the wheels, the tail, the lower doors first. It bleeds purple. ${school === 'iron-first' ? 'Short dwell, watch it' : 'Longer dwell on paint that is already smooth'}; never let it dry. Rinse well.`,
    // Two schools: 1–2 min, or 5–10 (common practice).
    dwell: ({ school }) =>
      school === 'iron-first' ? { minMinutes: 1, maxMinutes: 2 } : { minMinutes: 5, maxMinutes: 10 },
    product: 'iron remover',
    cautions: ['Ventilate: it smells of sulphur.', ...ACID],
  },
  {
    id: 'tar',
    title: 'Tar remover',
    reason: 'Tar smears under clay.',
    order: at(62),
    needed: ({ contamination }) => contamination.sight.tar > 0 || contamination.sight.sap > 0,
    how: () => 'Spot by spot with a cloth, then rinse it off and wash those panels again: it dissolves clay.',
    dwell: () => ({ minMinutes: 1, maxMinutes: 2 }),
    product: 'tar remover',
    cautions: ['Solvent: ventilate, no flame, gloves.', SHEET],
  },
  {
    id: 'clay',
    title: 'Clay',
    reason: 'What is still felt sits in the paint and would be dragged by a pad.',
    order: at(70),
    needed: ({ clay }) => clay.start !== 'none',
    how: ({ clay }) =>
      `Start ${clay.start}${clay.upTo === clay.start ? '' : `; up to ${clay.upTo} only where fine moves nothing`}. Straight strokes, plenty of lubricant, a fresh face every panel. Half the bar; dropped clay is thrown away.`,
    product: 'clay lubricant (rinseless wash)',
    mix: { into: 'spray', partsWater: 16 },
    cautions: [],
  },
  {
    id: 'mineral',
    title: 'Water spots',
    reason: 'Mineral deposits come off with an acid; what stays after it is etched and needs polish.',
    order: at(88),
    needed: seen('mineral'),
    how: () => 'A panel at a time with a damp cloth, then rinse. Try glass with glass polish if it stays.',
    dwell: () => ({ minMinutes: 1, maxMinutes: 2 }),
    product: 'acid spot remover',
    cautions: ACID,
  },
  {
    id: 'dry',
    title: 'Dry and blow out',
    reason: 'Drips from a vibrating panel dilute the polish.',
    order: at(90),
    needed: () => true,
    how: ({ method }) =>
      method === 'wet'
        ? 'Towel laid and drawn, then air into every gap, mirror, lamp and badge.'
        : 'Air into every gap, mirror, lamp and badge.',
    cautions: ['Eye and ear protection at the blower.'],
  },
]
