import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

/** Tall, on big wheels, with rails on the roof. */
export const suv: Body = {
  from: -38,
  to: 500,
  length: 434,
  halfWidth: 81,
  height: 168,
  centre: {
    'front-bumper': { areaM2: 0.7, path: 'M6,-70 Q-4,0 6,70 L-18,64 Q-30,0 -18,-64 Z', label: [-14, 0] },
    bonnet: { areaM2: 1.4, path: 'M12,-70 Q3,0 12,70 L108,77 Q99,0 108,-77 Z', label: [58, 0] },
    roof: { areaM2: 1.9, path: 'M162,63 Q154,0 162,-63 L380,-61 Q385,0 380,61 Z', label: [272, 0] },
    tailgate: { areaM2: 0.95, path: 'M412,66 Q418,0 412,-66 L460,-64 Q466,0 460,64 Z', label: [438, 0] },
    'rear-bumper': { areaM2: 0.6, path: 'M466,-66 Q472,0 466,66 L488,61 Q494,0 488,-61 Z', label: [480, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.5,
      path: 'M36,80 Q76,67 110,63 L122,62 L124,122 L117.1,122 A39,39 0 0 0 42.9,122 L32,118 L29,95 Z',
      label: [82, 78],
    },
    'front-door': { areaM2: 0.75, path: 'M126,62 L212,59 L214,118 L127,120 Z', label: [170, 90] },
    'rear-door': {
      areaM2: 0.7,
      path: 'M215,59 L302,57 L308,84 Q316,98 312,114 L217,118 Z',
      label: [262, 89],
    },
    quarter: {
      areaM2: 0.75,
      path: 'M305,57 L384,54 L374,16 L386,18 L412,64 L424,82 L426,98 L390,101 L383.1,122 A39,39 0 0 0 314,112 Q319,98 311,84 Z',
      label: [364, 76],
    },
    sill: { areaM2: 0.17, path: 'M120,124 L309,119 L308,132 L118,133 Z', label: [214, 126] },
    mirror: mirrorCap(0.06, 134, 53),
  },
  returns: {
    'front-bumper': 'M27,97 L30,119 L42,124 L41,133 L8,131 Q0,114 4,99 Z',
    'rear-bumper': 'M392,103 L427,100 Q434,103 434,112 L430,132 L386,133 L385,122 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,96 Q8,82 36,76 Q76,64 108,60 L154,12 Q178,1 250,0 Q340,0 386,13 L416,62 L428,82 L434,108 L430,133 L12,131 Q0,112 4,96 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M131,58 L158,17 Q180,9 211,8 L211,55 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M217,55 L217,8 Q266,7 298,9 L301,53 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M305,53 L303,9 Q345,10 367,16 L378,50 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M6,93 Q14,83 33,80 L28,92 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M413,68 L423,82 L426,97 L412,94 Z' },
    ...wheel('front', 80, 134, 33),
    ...wheel('rear', 346, 134, 33),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M112,77 Q103,0 112,-77 L158,-63 Q150,0 158,63 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M384,61 Q389,0 384,-61 L408,-65 Q414,0 408,65 Z' },
    { kind: 'line', path: 'M186,55 L366,54' },
    { kind: 'line', path: 'M186,-55 L366,-54' },
  ],
}
