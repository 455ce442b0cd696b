import { chips, type DemoCar, person, scratch, swirls } from './car'

/** Cars that are agreed and come in the days before the regatta. Everybody and everything here is invented. */

const DOORS = ['front-door-left', 'front-door-right', 'rear-door-left', 'rear-door-right'] as const

type Coming = Pick<DemoCar, 'packageKey' | 'arrivesInDays' | 'defects'> & {
  intake: DemoCar['intake']
  baseUm: number
}

const coming = ({ intake, baseUm, ...car }: Coming): DemoCar => ({
  ...car,
  intake: { paintSystem: 'clear-over-base', hardness: 'medium', ...intake },
  wanted: { kind: 'planned' },
  paint: { baseUm, panels: {} },
})

const onDoors = (severity: 1 | 2 | 3, extentPercent: number) =>
  Object.fromEntries(DOORS.map((door) => [door, [swirls(severity, extentPercent)]]))

export const COMING_CARS: readonly DemoCar[] = [
  coming({
    intake: {
      ...person('Aoife Brannock', '0555 031'),
      plate: 'IM 4410',
      vin: '',
      make: 'Marl',
      model: 'Stonecrop',
      year: '2017',
      shape: 'hatchback',
      colour: 'Slate',
      wishes: 'Teaches at the harbour school. Clean and bright for the parade, nothing more.',
      budget: '250',
    },
    packageKey: 'tideline',
    arrivesInDays: 4,
    baseUm: 118,
    defects: { bonnet: [swirls(1, 50)], ...onDoors(1, 40) },
  }),
  coming({
    intake: {
      ...person('Malachy Orr', '0555 187'),
      plate: 'IM 268',
      vin: '',
      make: 'Corvane',
      model: 'Hearth Saloon',
      year: '2020',
      shape: 'saloon',
      colour: 'Peat black',
      wishes: 'Drives the wedding parties. Black shows everything.',
      budget: '1100',
    },
    packageKey: 'headland',
    arrivesInDays: 5,
    baseUm: 126,
    defects: { bonnet: [swirls(3, 80)], roof: [swirls(2, 70)], boot: [swirls(2, 60)], ...onDoors(2, 70) },
  }),
  coming({
    intake: {
      ...person('Hester Quain', '0555 652'),
      plate: 'IM 1907',
      vin: '',
      make: 'Tarrow',
      model: 'Lugger',
      year: '2016',
      shape: 'estate',
      colour: 'Fog blue',
      wishes: 'Back from two years on the mainland, washed by brushes all the while.',
      budget: '800',
    },
    packageKey: 'slipway',
    arrivesInDays: 6,
    baseUm: 113,
    defects: { bonnet: [swirls(2, 70), chips(6)], roof: [swirls(2, 60)], ...onDoors(2, 50) },
  }),
  coming({
    intake: {
      ...person('Tadhg Merriman', '0555 298'),
      plate: 'IM 5544',
      vin: '',
      make: 'Corvane',
      model: 'Nimble',
      year: '2023',
      shape: 'hatchback',
      colour: 'Gorse yellow',
      wishes: 'First car. Wants it to stay like this.',
      budget: '900',
    },
    packageKey: 'headland',
    arrivesInDays: 7,
    baseUm: 121,
    defects: { bonnet: [swirls(1, 60)], roof: [swirls(1, 40)], ...onDoors(1, 40) },
  }),
  coming({
    intake: {
      ...person('Bree Costigan', '0555 743'),
      plate: 'IM 3015',
      vin: '',
      make: 'Marl',
      model: 'Samphire',
      year: '2021',
      shape: 'suv',
      colour: 'Lichen green',
      wishes: 'Carries the regatta’s timekeepers. Deep gloss, please, and easy to hose down.',
      budget: '2300',
    },
    packageKey: 'lantern',
    arrivesInDays: 8,
    baseUm: 129,
    defects: { bonnet: [swirls(2, 80), scratch(4, false)], roof: [swirls(2, 60)], ...onDoors(2, 60) },
  }),
  coming({
    intake: {
      ...person('Ronan Fitch', '0555 416'),
      plate: 'IM 2771',
      vin: '',
      make: 'Tarrow',
      model: 'Bollard',
      year: '2015',
      shape: 'pickup',
      colour: 'Tar brown',
      wishes: 'The ferry company’s. Presentable for the photographs.',
      budget: '300',
    },
    packageKey: 'tideline',
    arrivesInDays: 9,
    baseUm: 110,
    defects: { bonnet: [swirls(2, 50), chips(12)], tailgate: [swirls(2, 60)], ...onDoors(2, 50) },
  }),
  coming({
    intake: {
      ...person('Orla Tiernan', '0555 880'),
      plate: 'IM 6600',
      vin: '',
      make: 'Corvane',
      model: 'Zephyr',
      year: '2019',
      shape: 'convertible',
      colour: 'Foxglove',
      wishes: 'Opens the parade if it is dry. Swirls on the boot lid from the cover.',
      budget: '1200',
    },
    packageKey: 'headland',
    arrivesInDays: 11,
    baseUm: 116,
    defects: { bonnet: [swirls(2, 60)], boot: [swirls(3, 70), scratch(3, false)] },
  }),
  coming({
    intake: {
      ...person('Gideon Marsh', '0555 529'),
      plate: 'IM 1210',
      vin: '',
      make: 'Marl',
      model: 'Puffin',
      year: '2018',
      shape: 'coupe',
      colour: 'Storm grey',
      wishes: 'Nothing since new but a hose. Once round with everything that makes sense.',
      budget: '850',
    },
    packageKey: 'slipway',
    arrivesInDays: 12,
    baseUm: 123,
    defects: { bonnet: [swirls(2, 60)], roof: [swirls(2, 50)], boot: [swirls(2, 50)] },
  }),
  coming({
    intake: {
      ...person('Sive Harrigan', '0555 665'),
      plate: 'IM 8118',
      vin: '',
      make: 'Corvane',
      model: 'Hearth Estate',
      year: '2024',
      shape: 'estate',
      colour: 'Oyster white',
      wishes: 'The doctor’s. Clean enough to be seen in, and protected against the salt.',
      budget: '1000',
    },
    packageKey: 'headland',
    arrivesInDays: 13,
    baseUm: 119,
    defects: { bonnet: [swirls(1, 50)], roof: [swirls(1, 40)], ...onDoors(1, 50) },
  }),
]
