import { chips, type DemoCar, person, scratch, swirls } from './car'

/** A car that is with somebody outside the house. Everybody and everything here is invented. */
export const CARS_AWAY: readonly DemoCar[] = [
  {
    intake: {
      ...person('Bridie Fennelly', '0555 154'),
      plate: 'IM 2460',
      vin: '',
      make: 'Marl',
      model: 'Samphire',
      year: '2021',
      shape: 'suv',
      colour: 'Mussel blue',
      paintSystem: 'clear-over-base',
      hardness: 'medium',
      wishes: 'Backed into a bollard on the quay. Painted first, then all of it made to match.',
      budget: '2500',
    },
    packageKey: 'headland',
    calledIn: ['fergus-paint'],
    wanted: { kind: 'at', operation: 'vendor-fergus-paint', state: 'under-way' },
    paint: { baseUm: 120, panels: {} },
    defects: {
      bonnet: [swirls(2, 60)],
      roof: [swirls(1, 50)],
      tailgate: [swirls(2, 50)],
      'quarter-right': [scratch(20, true)],
      'front-bumper': [chips(6)],
    },
  },
]
