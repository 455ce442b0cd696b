import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

export const hatchback: Body = {
  from: -38,
  to: 448,
  halfWidth: 76,
  length: 391,
  height: 148,
  centre: {
    'front-bumper': { areaM2: 0.6, path: 'M6,-64 Q-6,0 6,64 L-18,58 Q-34,0 -18,-58 Z', label: [-16, 0] },
    bonnet: { areaM2: 1.1, path: 'M12,-64 Q1,0 12,64 L97,71 Q87,0 97,-71 Z', label: [52, 0] },
    roof: { areaM2: 1.3, path: 'M162,57 Q154,0 162,-57 L334,-53 Q341,0 334,53 Z', label: [248, 0] },
    tailgate: { areaM2: 0.65, path: 'M371,61 Q378,0 371,-61 L408,-58 Q415,0 408,58 Z', label: [393, 0] },
    'rear-bumper': { areaM2: 0.6, path: 'M413,-60 Q420,0 413,60 L436,55 Q443,0 436,-55 Z', label: [428, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.4,
      path: 'M36,71 Q68,57 100,52 L112,51 L114,111 L105.5,111 A34,34 0 0 0 38.5,112 L30,108 L29,82 Z',
      label: [74, 68],
    },
    'front-door': { areaM2: 0.65, path: 'M116,52 L205,48 L207,106 L117,108 Z', label: [162, 78] },
    'rear-door': {
      areaM2: 0.55,
      path: 'M208,48 L288,46 L289,76 Q284,90 283,105 L210,106 Z',
      label: [247, 77],
    },
    quarter: {
      areaM2: 0.5,
      path: 'M291,46 L329,44 L316,12 L344,18 L372,60 L381,74 L380,84 L352,88 L349,111 A34,34 0 0 0 285,103 Q286,90 291,77 Z',
      label: [336, 66],
    },
    sill: { areaM2: 0.12, path: 'M110,113 L283,110 L281,121 L108,121 Z', label: [196, 116] },
    mirror: mirrorCap(0.04, 122, 44),
  },
  returns: {
    'front-bumper': 'M27,84 L28,109 L37,114 L36,119 L8,117 Q0,100 4,86 Z',
    'rear-bumper': 'M354,90 L382,87 Q392,88 391,98 L388,118 L352,119 L351,110 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,84 Q10,72 36,68 Q70,54 104,49 L160,7 Q190,-1 240,0 Q300,2 345,16 L374,58 L384,72 L391,98 L388,118 L10,117 Q0,100 4,84 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M122,48 L161,13 Q185,7 205,7 L205,45 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M210,45 L210,7 Q262,6 310,13 L323,42 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M6,81 Q14,73 33,71 L28,80 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M383,75 L388,85 L370,84 L364,72 L374,64 Z' },
    ...wheel('front', 72, 118, 29),
    ...wheel('rear', 316, 118, 29),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M101,71 Q91,0 101,-71 L158,-57 Q150,0 158,57 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M338,53 Q345,0 338,-53 L367,-60 Q374,0 367,60 Z' },
  ],
}
