import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

export const estate: Body = {
  aluminium: ['bonnet'],
  from: -38,
  to: 506,
  halfWidth: 78,
  length: 449,
  height: 148,
  centre: {
    'front-bumper': { areaM2: 0.65, path: 'M6,-66 Q-6,0 6,66 L-18,60 Q-34,0 -18,-60 Z', label: [-16, 0] },
    bonnet: { areaM2: 1.2, path: 'M12,-66 Q1,0 12,66 L104,73 Q94,0 104,-73 Z', label: [56, 0] },
    roof: { areaM2: 1.9, path: 'M170,59 Q162,0 170,-59 L410,-57 Q415,0 410,57 Z', label: [290, 0] },
    tailgate: { areaM2: 0.75, path: 'M433,62 Q439,0 433,-62 L466,-60 Q472,0 466,60 Z', label: [452, 0] },
    'rear-bumper': { areaM2: 0.6, path: 'M471,-62 Q477,0 471,62 L494,57 Q500,0 494,-57 Z', label: [486, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.42,
      path: 'M36,72 Q70,58 106,53 L118,52 L120,111 L111.5,111 A34,34 0 0 0 44.5,112 L31,108 L29,83 Z',
      label: [80, 69],
    },
    'front-door': { areaM2: 0.66, path: 'M122,53 L213,49 L215,106 L123,108 Z', label: [168, 79] },
    'rear-door': {
      areaM2: 0.62,
      path: 'M216,49 L312,46 L316,74 Q322,90 319,104 L218,106 Z',
      label: [264, 78],
    },
    quarter: {
      areaM2: 0.75,
      path: 'M315,46 L392,43 L396,14 L414,15 L434,56 L440,72 L439,84 L392,87 L388,109 A34,34 0 0 0 322,103 Q325,90 319,74 Z',
      label: [364, 66],
    },
    sill: { areaM2: 0.13, path: 'M116,113 L320,109 L319,121 L114,121 Z', label: [216, 116] },
    mirror: mirrorCap(0.04, 128, 45),
  },
  returns: {
    'front-bumper': 'M27,85 L29,109 L43,114 L42,119 L8,117 Q0,100 4,87 Z',
    'rear-bumper': 'M394,89 L441,87 Q450,89 449,98 L446,118 L392,119 L390,108 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,85 Q10,73 36,69 Q74,55 110,50 L168,8 Q200,-1 260,0 Q350,1 410,11 L418,16 L438,58 L449,98 L446,118 L10,117 Q0,100 4,85 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M128,49 L170,14 Q194,7 213,7 L213,45 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M218,45 L218,7 Q270,6 308,8 L311,42 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M316,42 L314,9 Q352,10 391,14 L387,39 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M6,82 Q14,74 33,72 L28,81 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M441,70 L447,86 L432,85 L428,58 L436,58 Z' },
    ...wheel('front', 78, 118, 29),
    ...wheel('rear', 355, 118, 29),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M108,73 Q98,0 108,-73 L166,-59 Q158,0 166,59 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M414,57 Q419,0 414,-57 L429,-61 Q435,0 429,61 Z' },
    { kind: 'shell', path: 'M180,50 L400,48 L400,51 L180,53 Z' },
    { kind: 'shell', path: 'M180,-50 L400,-48 L400,-51 L180,-53 Z' },
  ],
}
