import type { Defect, NotedDefect, PlaceDefect } from '@/core/survey'
import type { Attempt } from '@/core/test-spot'
import type { Intake } from '@/server/intake-schema'

/** The cars in the demo shop. Everybody and everything here is invented. */

type Wanted =
  | { kind: 'to-measure' }
  | { kind: 'to-choose' }
  | { kind: 'planned' }
  /** In the shop: this operation is under way now, or has lately been done. */
  | { kind: 'at'; operation: string; state: 'under-way' | 'just-done' }

export type DemoCar = {
  intake: Partial<Intake> & Pick<Intake, 'customerName' | 'plate' | 'shape' | 'vin'>
  packageKey?: string
  wanted: Wanted
  /** Fetched by its owner some days ago. */
  gone?: boolean
  /** Days from now on which a car that is not yet here arrives. */
  arrivesInDays?: number
  paint: { baseUm: number; panels: Record<string, number> }
  defects: Record<string, NotedDefect[]>
  places?: Record<string, PlaceDefect[]>
  /** Panels that were photographed as the car came in. */
  photographs?: readonly string[]
  /** What was tried at test spots, the first first. */
  spots?: readonly Attempt[]
}

const swirls = (severity: 1 | 2 | 3, extentPercent: number): Defect => ({
  kind: 'swirls',
  severity,
  extentPercent,
  catchesNail: false,
})
const scratch = (extentPercent: number, catchesNail: boolean): Defect => ({
  kind: 'scratches',
  severity: 2,
  extentPercent,
  catchesNail,
})
const chips = (extentPercent: number): Defect => ({
  kind: 'chips',
  severity: 1,
  extentPercent,
  catchesNail: true,
})
const spots: Defect = { kind: 'water-spots', severity: 2, extentPercent: 30, catchesNail: false }

/** A test spot on the bonnet as the shop writes it down; the square and the speed are the usual ones. */
const spot = (
  tried: Pick<Attempt, 'process' | 'machine' | 'pad' | 'liquid' | 'passes' | 'cleared' | 'verdict' | 'note'> &
    Partial<Attempt>,
): Attempt => ({
  panel: 'bonnet',
  group: 'metal-original',
  speed: 5,
  sectionM: 0.6,
  mark: { kind: 'swirls', severity: 2 },
  haze: 'none',
  heat: 'warm',
  beforeUm: [],
  afterUm: [],
  ...tried,
})
const ONE_STEP_CUT = {
  process: 'one-step-cut',
  machine: 'Long-throw dual action',
  pad: 'Foam cut',
  liquid: 'Medium polish',
  passes: 5,
} as const
const TWO_STEP = {
  process: 'two-step',
  machine: 'Forced rotation',
  pad: 'Microfibre',
  liquid: 'Heavy compound',
  passes: 5,
} as const

const person = (customerName: string, phone: string) => ({
  customerName,
  phone,
  email: `${customerName
    .split(' ')[0]!
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z]/g, '')}@inchmoyle.example`,
  mayRemind: true,
})

export const DEMO_CARS: readonly DemoCar[] = [
  {
    intake: {
      ...person('Ita Corrigan', '0555 214'),
      plate: 'IM 4471',
      purpose: 'show',
      storage: 'garage',
      washing: 'hand',
      yearlyKm: '6000',
      colourCode: 'G19',
      odometerKm: '22870',
      keys: 'two',
      vin: 'VSKZZZ8E72A104417',
      make: 'Corvane',
      model: 'Hearth Estate',
      year: '2022',
      shape: 'estate',
      colour: 'Bottle green',
      paintSystem: 'clear-over-base',
      hardness: 'medium',
      wishes:
        'Leads the procession at the Candle Regatta. As good as it can safely get, and easy to wash after.',
      budget: '1900',
    },
    packageKey: 'lantern',
    wanted: { kind: 'at', operation: 'layer-1', state: 'just-done' },
    paint: { baseUm: 124, panels: { 'front-wing-left': 231, roof: 118 } },
    defects: {
      bonnet: [swirls(2, 80), chips(5)],
      roof: [swirls(2, 60), spots],
      'front-door-left': [swirls(2, 60)],
      'front-door-right': [swirls(2, 60), scratch(4, false)],
      'rear-door-left': [swirls(2, 50)],
      'rear-door-right': [swirls(2, 50)],
      tailgate: [swirls(2, 70)],
      'quarter-left': [swirls(1, 60)],
      'quarter-right': [swirls(1, 60)],
      'front-wing-left': [swirls(2, 40)],
      'front-wing-right': [swirls(2, 50)],
    },
    places: {
      'wheel-front-left': [{ kind: 'kerbed', severity: 2, note: 'a hand’s width at the valve' }],
      windscreen: [{ kind: 'glass-chip', severity: 1, note: 'low, passenger side' }],
    },
    photographs: ['bonnet', 'roof', 'front-door-right'],
    spots: [
      spot({ ...ONE_STEP_CUT, cleared: 0.55, verdict: 'more', note: 'Still a web of them under the lamp.' }),
      spot({
        ...TWO_STEP,
        cleared: 0.85,
        verdict: 'enough',
        note: 'Clear, and finishes down without a trace.',
        beforeUm: [124, 125, 124, 123],
        afterUm: [122, 122, 123, 121],
      }),
    ],
  },
  {
    intake: {
      ...person('Piers Hanlock', '0555 441'),
      plate: 'IM 3380',
      vin: '',
      make: 'Corvane',
      model: 'Nimble',
      year: '2019',
      shape: 'hatchback',
      colour: 'Oyster white',
      paintSystem: 'clear-over-base',
      hardness: 'medium',
      wishes: 'Selling it at the end of the month. Bright and clean, no more than that.',
      budget: '350',
    },
    packageKey: 'tideline',
    wanted: { kind: 'at', operation: 'wash', state: 'under-way' },
    paint: { baseUm: 121, panels: {} },
    defects: {
      bonnet: [swirls(1, 60), chips(8)],
      'front-door-left': [swirls(1, 50)],
      tailgate: [swirls(1, 40)],
    },
  },
  {
    intake: {
      ...person('Sorcha Quill', '0555 097'),
      plate: 'IM 903',
      vin: 'TRNPKU4C1JF200903',
      make: 'Tarrow',
      model: 'Bollard',
      year: '2018',
      shape: 'pickup',
      colour: 'Signal red',
      paintSystem: 'clear-over-base',
      hardness: 'hard',
      wishes:
        'Works on the slip all week. Red has gone dull; the left bed side was resprayed. Pull it all back.',
      budget: '2100',
    },
    packageKey: 'lantern',
    wanted: { kind: 'at', operation: 'cut', state: 'under-way' },
    paint: { baseUm: 108, panels: { 'bed-side-left': 262, 'front-door-right': 84 } },
    defects: {
      bonnet: [{ kind: 'oxidation', severity: 2, extentPercent: 60, catchesNail: false }, chips(10)],
      roof: [{ kind: 'oxidation', severity: 2, extentPercent: 80, catchesNail: false }],
      'bed-side-left': [scratch(12, true), swirls(2, 50)],
      'bed-side-right': [swirls(3, 70)],
      'front-door-left': [swirls(2, 70)],
      'front-door-right': [swirls(2, 70), scratch(6, false)],
      'rear-door-left': [swirls(2, 60)],
      'rear-door-right': [swirls(2, 60)],
      tailgate: [swirls(3, 60), scratch(10, true)],
    },
  },
  {
    intake: {
      ...person('Donal Reave', '0555 830'),
      plate: 'IM 2206',
      vin: '',
      make: 'Marl',
      model: 'Stonecrop',
      year: '2021',
      shape: 'hatchback',
      colour: 'Harbour grey',
      paintSystem: 'clear-over-base',
      hardness: 'soft',
      wishes: 'Bought it last spring, the roadside wash ruined it. Wants the swirls gone before winter salt.',
      budget: '950',
    },
    packageKey: 'headland',
    wanted: { kind: 'at', operation: 'layer-1', state: 'just-done' },
    paint: { baseUm: 112, panels: {} },
    defects: {
      bonnet: [swirls(3, 90)],
      roof: [swirls(2, 70)],
      tailgate: [swirls(2, 60)],
      'front-door-left': [swirls(2, 80)],
      'front-door-right': [swirls(2, 80)],
      'rear-door-left': [swirls(2, 70)],
      'rear-door-right': [swirls(2, 70)],
    },
  },
  {
    intake: {
      ...person('Una Fallow', '0555 612'),
      plate: 'IM 1154',
      vin: 'VSKZZZ8E9NA511540',
      make: 'Marl',
      model: 'Stonecrop',
      year: '2023',
      shape: 'hatchback',
      colour: 'Night blue',
      paintSystem: 'clear-over-base',
      hardness: 'medium',
      wishes: 'New last year. Keep it this way.',
      budget: '900',
    },
    packageKey: 'headland',
    wanted: { kind: 'at', operation: 'finish', state: 'just-done' },
    paint: { baseUm: 131, panels: {} },
    defects: { bonnet: [swirls(1, 70)], roof: [swirls(1, 50)], 'front-door-left': [swirls(1, 40)] },
  },
  {
    intake: {
      ...person('Colm Drury', '0555 118'),
      plate: 'IM 77',
      vin: '',
      make: 'Tarrow',
      model: 'Lugger',
      year: '1998',
      shape: 'estate',
      colour: 'Cream',
      paintSystem: 'single-stage',
      hardness: 'soft',
      wishes: 'His father’s car. The roof is chalky. Wants it to shine, knows it is old paint.',
      budget: '1100',
    },
    packageKey: 'headland',
    wanted: { kind: 'planned' },
    arrivesInDays: 2,
    paint: { baseUm: 142, panels: { roof: 92, bonnet: 96 } },
    defects: {
      roof: [{ kind: 'oxidation', severity: 3, extentPercent: 90, catchesNail: false }],
      bonnet: [{ kind: 'oxidation', severity: 2, extentPercent: 80, catchesNail: false }],
      'front-door-left': [swirls(2, 60)],
      'front-door-right': [swirls(2, 60)],
    },
  },
  {
    intake: {
      ...person('Nessa Pike', '0555 729'),
      plate: 'IM 5012',
      storage: 'carport',
      washing: 'hand',
      yearlyKm: '12000',
      salted: true,
      odometerKm: '61400',
      fuelPercent: '40',
      keys: 'one, on a cork float',
      belongings: 'dog blanket, two leads',
      warnings: 'tyre pressure light on',
      vin: '',
      make: 'Corvane',
      model: 'Hearth Estate',
      year: '2022',
      shape: 'estate',
      colour: 'Bottle green',
      colourCode: 'G19',
      paintSystem: 'clear-over-base',
      hardness: 'medium',
      wishes: 'Two dogs and a beach. What would make the most difference for about a thousand?',
      budget: '1000',
    },
    wanted: { kind: 'to-choose' },
    arrivesInDays: 3,
    paint: { baseUm: 117, panels: { tailgate: 205, 'front-door-left': 86 } },
    defects: {
      bonnet: [swirls(2, 70), chips(6)],
      roof: [swirls(2, 50), spots],
      tailgate: [swirls(2, 60), { ...scratch(5, false), at: { x: 452, y: -30 }, note: 'from the dog' }],
      'front-door-left': [
        swirls(2, 60),
        { ...scratch(3, true), at: { x: 190, y: 172 }, note: 'key, handle to edge' },
      ],
      'front-door-right': [swirls(2, 60)],
      'quarter-left': [swirls(3, 60)],
      'quarter-right': [swirls(2, 50)],
      'mirror-left': [{ ...chips(10), at: { x: 128, y: 134 } }],
    },
    places: {
      'wheel-rear-right': [{ kind: 'kerbed', severity: 2, note: '' }],
      'headlamp-left': [{ kind: 'cloudy', severity: 2, note: '' }],
      'headlamp-right': [{ kind: 'cloudy', severity: 1, note: '' }],
      interior: [{ kind: 'stained', severity: 2, note: 'sand and dog in the boot' }],
    },
    photographs: ['front-door-left', 'tailgate'],
  },
  {
    intake: {
      ...person('Bram Tolley', '0555 366'),
      plate: 'IM 6127',
      vin: '1M8GDM9AXKP042788',
      make: 'Tarrow',
      model: 'Bollard',
      year: '2024',
      shape: 'pickup',
      colour: 'Sand',
      paintSystem: 'clear-over-base',
      hardness: 'hard',
      wishes: 'New to the island ferry run. Rust bloom on the doors, wants it protected.',
      budget: '',
    },
    wanted: { kind: 'to-measure' },
    arrivesInDays: 1,
    paint: { baseUm: 119, panels: {} },
    defects: {},
  },
  {
    intake: {
      ...person('Fergus Aylward', '0555 274'),
      plate: 'IM 19',
      purpose: 'show',
      storage: 'garage',
      washing: 'hand',
      yearlyKm: '900',
      odometerKm: '64100',
      keys: 'one, brass',
      vin: '',
      make: 'Marl',
      model: 'Puffin',
      year: '1974',
      shape: 'coupe',
      colour: 'Beacon red',
      paintSystem: 'single-stage',
      hardness: 'soft',
      treatments: [{ kind: 'wax', what: 'every spring, by his uncle', year: '' }],
      wishes:
        'Drives in the regatta parade. It was his uncle’s; the red has gone pink and comes off on the cloth.',
      budget: '1400',
    },
    wanted: { kind: 'to-choose' },
    arrivesInDays: 6,
    paint: { baseUm: 138, panels: { bonnet: 72, roof: 104, boot: 121 } },
    defects: {
      bonnet: [{ kind: 'oxidation', severity: 2, extentPercent: 70, catchesNail: false }, chips(8)],
      roof: [{ kind: 'oxidation', severity: 3, extentPercent: 90, catchesNail: false }],
      boot: [{ kind: 'oxidation', severity: 2, extentPercent: 80, catchesNail: false }],
      'door-left': [{ kind: 'oxidation', severity: 1, extentPercent: 60, catchesNail: false }, swirls(2, 40)],
      'door-right': [{ kind: 'oxidation', severity: 1, extentPercent: 60, catchesNail: false }],
      'front-wing-left': [{ kind: 'oxidation', severity: 2, extentPercent: 50, catchesNail: false }],
      'front-wing-right': [{ kind: 'oxidation', severity: 2, extentPercent: 50, catchesNail: false }],
      'quarter-left': [swirls(2, 50)],
      'quarter-right': [swirls(2, 50), scratch(4, true)],
    },
    places: { windscreen: [{ kind: 'glass-scratches', severity: 1, note: 'wiper arc' }] },
  },
  {
    intake: {
      ...person('Dervla Mott', '0555 560'),
      plate: 'IM 8803',
      purpose: 'new',
      storage: 'street',
      washing: 'touchless',
      yearlyKm: '28000',
      salted: true,
      odometerKm: '140',
      fuelPercent: '80',
      keys: 'two',
      vin: '',
      make: 'Tarrow',
      model: 'Packet Van',
      year: '2026',
      shape: 'van',
      colour: 'Gull grey',
      paintSystem: 'clear-over-base',
      hardness: 'hard',
      wishes: 'New, for the bakery round. Easy to wash and no rust dots; it will be lettered in the spring.',
      budget: '1100',
    },
    wanted: { kind: 'to-choose' },
    arrivesInDays: 7,
    paint: { baseUm: 109, panels: {} },
    defects: {
      bonnet: [{ kind: 'marring', severity: 1, extentPercent: 40, catchesNail: false }],
      'front-door-left': [{ kind: 'marring', severity: 1, extentPercent: 40, catchesNail: false }],
      'front-door-right': [
        swirls(1, 30),
        { kind: 'residue', severity: 1, extentPercent: 5, catchesNail: false },
      ],
      'rear-doors': [{ kind: 'marring', severity: 2, extentPercent: 30, catchesNail: false }],
    },
  },
  {
    intake: {
      ...person('Wilf Sandys', '0555 905'),
      plate: 'IM 2899',
      vin: '',
      make: 'Marl',
      model: 'Stonecrop',
      year: '2020',
      shape: 'hatchback',
      colour: 'Rowan red',
      paintSystem: 'clear-over-base',
      hardness: 'medium',
      wishes: 'A birthday. Shiny, please.',
      budget: '800',
    },
    packageKey: 'headland',
    wanted: { kind: 'at', operation: 'finish', state: 'just-done' },
    gone: true,
    paint: { baseUm: 115, panels: {} },
    defects: { bonnet: [swirls(2, 60)], roof: [swirls(1, 60)], 'front-door-right': [swirls(2, 50)] },
  },
]
