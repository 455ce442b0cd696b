import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

/** Three boxes: a bonnet, a cabin, a boot with a lid of its own. */
export const saloon: Body = {
  from: -38,
  to: 492,
  length: 443,
  halfWidth: 77,
  height: 148,
  centre: {
    'front-bumper': { areaM2: 0.65, path: 'M6,-65 Q-6,0 6,65 L-18,59 Q-34,0 -18,-59 Z', label: [-16, 0] },
    bonnet: { areaM2: 1.2, path: 'M12,-65 Q1,0 12,65 L104,72 Q94,0 104,-72 Z', label: [56, 0] },
    roof: { areaM2: 1.35, path: 'M172,58 Q164,0 172,-58 L310,-56 Q316,0 310,56 Z', label: [240, 0] },
    boot: { areaM2: 0.8, path: 'M362,68 Q369,0 362,-68 L448,-62 Q454,0 448,62 Z', label: [408, 0] },
    'rear-bumper': { areaM2: 0.6, path: 'M454,-62 Q460,0 454,62 L480,56 Q486,0 480,-56 Z', label: [470, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.42,
      path: 'M36,72 Q70,59 104,54 L116,53 L118,111 L109.5,111 A34,34 0 0 0 42.5,112 L31,108 L29,83 Z',
      label: [78, 69],
    },
    'front-door': { areaM2: 0.66, path: 'M120,53 L210,49 L212,106 L121,108 Z', label: [166, 79] },
    'rear-door': {
      areaM2: 0.6,
      path: 'M213,49 L302,47 L310,76 Q317,90 315,104 L215,106 Z',
      label: [260, 78],
    },
    quarter: {
      areaM2: 0.62,
      path: 'M305,47 L336,45 L352,48 L410,53 Q430,57 434,68 L437,86 L386,89 L381,111 A34,34 0 0 0 317,103 Q320,90 313,76 Z',
      label: [364, 66],
    },
    sill: { areaM2: 0.13, path: 'M114,113 L315,110 L314,121 L112,121 Z', label: [212, 116] },
    mirror: mirrorCap(0.04, 126, 45),
  },
  returns: {
    'front-bumper': 'M27,85 L29,109 L41,114 L40,119 L8,117 Q0,100 4,87 Z',
    'rear-bumper': 'M388,91 L437,88 Q444,92 443,100 L440,118 L384,119 L383,111 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,85 Q10,73 36,69 Q74,56 106,51 L168,10 Q198,0 240,0 Q288,1 318,13 L356,46 L412,51 Q432,55 437,72 L443,92 L440,118 L10,117 Q0,100 4,85 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M126,49 L170,15 Q192,8 210,7 L210,45 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M215,45 L215,7 Q280,6 311,16 L336,41 L303,43 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M6,82 Q14,74 33,72 L28,81 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M418,60 L433,67 L437,83 L420,79 Z' },
    ...wheel('front', 76, 118, 29),
    ...wheel('rear', 348, 118, 29),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M108,72 Q98,0 108,-72 L168,-58 Q160,0 168,58 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M314,56 Q320,0 314,-56 L358,-66 Q365,0 358,66 Z' },
  ],
}
