import type { Shape } from '@/core/vehicle'
import { chips, type DemoCar, person, scratch, swirls } from './car'

/** Cars that are booked into the two weeks ahead, on whichever mornings there is room, and fill them. Everybody and everything here is invented. */

type Booked = {
  owner: [name: string, phone: string]
  plate: string
  car: [make: string, model: string, year: string, shape: Shape, colour: string]
  wishes: string
  budget: string
  packageKey: string
  /** Thickness of the paint, µm, and how marked it is: severity and share of each panel, %. */
  baseUm: number
  marked: [severity: 1 | 2 | 3, extentPercent: number]
}

const FRONT = ['bonnet', 'front-wing-left', 'front-wing-right'] as const

export const booked = ({
  owner,
  plate,
  car,
  marked,
  baseUm,
  wishes,
  budget,
  packageKey,
}: Booked): DemoCar => {
  const [make, model, year, shape, colour] = car
  const [severity, extent] = marked
  return {
    packageKey,
    intake: {
      ...person(...owner),
      plate,
      vin: '',
      make,
      model,
      year,
      shape,
      colour,
      wishes,
      budget,
      paintSystem: 'clear-over-base',
      hardness: 'medium',
    },
    wanted: { kind: 'booked' },
    paint: { baseUm, panels: {} },
    defects: {
      ...Object.fromEntries(FRONT.map((panel) => [panel, [swirls(severity, extent), scratch(3, false)]])),
      'front-bumper': [chips(8)],
    },
  }
}

export const BOOKED_CARS: readonly DemoCar[] = [
  booked({
    owner: ['Ciara Dunmore', '0555 204'],
    plate: 'IM 7032',
    car: ['Marl', 'Samphire', '2022', 'suv', 'Wet slate'],
    wishes: 'Tows the rowing club’s trailer. Gloss, and water that runs off by itself.',
    budget: '1400',
    packageKey: 'headland',
    baseUm: 122,
    marked: [2, 60],
  }),
  booked({
    owner: ['Fintan Loughrey', '0555 333'],
    plate: 'IM 845',
    car: ['Tarrow', 'Lugger', '2019', 'estate', 'Oyster white'],
    wishes: 'The vet’s. Dogs, mud, gravel lanes; bring it back to something.',
    budget: '900',
    packageKey: 'slipway',
    baseUm: 115,
    marked: [2, 70],
  }),
  booked({
    owner: ['Wendell Starling', '0555 461'],
    plate: 'IM 5190',
    car: ['Corvane', 'Zephyr', '2024', 'convertible', 'Mussel blue'],
    wishes: 'New last autumn. The best you have, before the salt gets at it.',
    budget: '2600',
    packageKey: 'lantern',
    baseUm: 127,
    marked: [1, 50],
  }),
  booked({
    owner: ['Iarla Considine', '0555 572'],
    plate: 'IM 6412',
    car: ['Corvane', 'Hearth Saloon', '2021', 'saloon', 'Peat black'],
    wishes: 'Black, and seen by everybody. No rings round the street lamps, please.',
    budget: '2400',
    packageKey: 'lantern',
    baseUm: 124,
    marked: [2, 80],
  }),
  booked({
    owner: ['Lorna Ebbing', '0555 266'],
    plate: 'IM 7719',
    car: ['Tarrow', 'Bollard', '2021', 'pickup', 'Kelp green'],
    wishes: 'The nursery’s. Earth in every seam; clean it, shine it, keep it so.',
    budget: '950',
    packageKey: 'slipway',
    baseUm: 114,
    marked: [2, 60],
  }),
  booked({
    owner: ['Eamon Fairlight', '0555 377'],
    plate: 'IM 936',
    car: ['Marl', 'Samphire', '2023', 'suv', 'Oyster white'],
    wishes: 'Fetches the guests from the ferry. White must stay white.',
    budget: '1300',
    packageKey: 'headland',
    baseUm: 121,
    marked: [1, 60],
  }),
  booked({
    owner: ['Maud Skerry', '0555 488'],
    plate: 'IM 5871',
    car: ['Corvane', 'Hearth Estate', '2020', 'estate', 'Storm grey'],
    wishes: 'Has done the school run for six years. Make it look asked after.',
    budget: '1200',
    packageKey: 'headland',
    baseUm: 117,
    marked: [2, 70],
  }),
  booked({
    owner: ['Petra Vane', '0555 690'],
    plate: 'IM 2083',
    car: ['Marl', 'Stonecrop', '2023', 'hatchback', 'Lichen green'],
    wishes: 'Drives the district nurse’s round. To be washed by anybody, quickly.',
    budget: '1000',
    packageKey: 'headland',
    baseUm: 120,
    marked: [1, 60],
  }),
  booked({
    owner: ['Oscar Tideway', '0555 718'],
    plate: 'IM 4967',
    car: ['Marl', 'Puffin', '2020', 'coupe', 'Foxglove'],
    wishes: 'Stands in the parade between the boats. As deep as it will go.',
    budget: '2500',
    packageKey: 'lantern',
    baseUm: 126,
    marked: [2, 60],
  }),
  booked({
    owner: ['Rosaleen Hart', '0555 842'],
    plate: 'IM 3358',
    car: ['Tarrow', 'Lugger', '2022', 'estate', 'Fog blue'],
    wishes: 'The ferry office’s. It waits on the pier in every weather.',
    budget: '1100',
    packageKey: 'headland',
    baseUm: 118,
    marked: [2, 50],
  }),
  booked({
    owner: ['Ultan Ashgrove', '0555 907'],
    plate: 'IM 1744',
    car: ['Corvane', 'Nimble', '2018', 'hatchback', 'Storm grey'],
    wishes: 'To be sold in spring. Once round, and honest about the rest.',
    budget: '700',
    packageKey: 'slipway',
    baseUm: 112,
    marked: [2, 70],
  }),
  booked({
    owner: ['Delphine Roake', '0555 923'],
    plate: 'IM 6025',
    car: ['Corvane', 'Hearth Saloon', '2023', 'saloon', 'Mussel blue'],
    wishes: 'Takes the choir to the mainland. Wants it to look cared for at every kerb.',
    budget: '1200',
    packageKey: 'headland',
    baseUm: 123,
    marked: [2, 50],
  }),
  booked({
    owner: ['Cormac Veale', '0555 958'],
    plate: 'IM 3781',
    car: ['Marl', 'Samphire', '2020', 'suv', 'Kelp green'],
    wishes: 'Parked under the limes by the church. Sap and dust; a new start, please.',
    budget: '900',
    packageKey: 'slipway',
    baseUm: 116,
    marked: [2, 70],
  }),
  booked({
    owner: ['Saoirse Inchley', '0555 976'],
    plate: 'IM 5408',
    car: ['Tarrow', 'Lugger', '2024', 'estate', 'Wet slate'],
    wishes: 'Four weeks old. Nothing on it yet, and nothing shall be.',
    budget: '2400',
    packageKey: 'lantern',
    baseUm: 128,
    marked: [1, 40],
  }),
]
