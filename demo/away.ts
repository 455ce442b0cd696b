import { booked } from './booked'
import { chips, type DemoCar, scratch, swirls } from './car'

/** A car that is with somebody outside the house. Everybody and everything here is invented. */
export const CARS_AWAY: readonly DemoCar[] = [
  {
    ...booked({
      owner: ['Bridie Fennelly', '0555 154'],
      plate: 'IM 2460',
      car: ['Marl', 'Samphire', '2021', 'suv', 'Mussel blue'],
      wishes: 'Backed into a bollard on the quay. Painted first, then all of it made to match.',
      budget: '2500',
      packageKey: 'headland',
      baseUm: 120,
      marked: [2, 60],
    }),
    calledIn: ['fergus-paint'],
    wanted: { kind: 'at', operation: 'vendor-fergus-paint', state: 'under-way' },
    defects: {
      bonnet: [swirls(2, 60)],
      roof: [swirls(1, 50)],
      tailgate: [swirls(2, 50)],
      'quarter-right': [scratch(20, true)],
      'front-bumper': [chips(6)],
    },
  },
]
