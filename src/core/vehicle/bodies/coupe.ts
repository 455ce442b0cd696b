import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

/** Two long doors under a low roof that runs down into a short tail. */
export const coupe: Body = {
  from: -38,
  to: 480,
  length: 436,
  halfWidth: 78,
  height: 148,
  centre: {
    'front-bumper': { areaM2: 0.6, path: 'M6,-62 Q-10,0 6,62 L-16,54 Q-38,0 -16,-54 Z', label: [-17, 0] },
    bonnet: { areaM2: 1.35, path: 'M12,-62 Q-3,0 12,62 L124,72 Q112,0 124,-72 Z', label: [64, 0] },
    roof: { areaM2: 0.95, path: 'M192,56 Q183,0 192,-56 L274,-53 Q281,0 274,53 Z', label: [233, 0] },
    boot: { areaM2: 0.6, path: 'M372,64 Q381,0 372,-64 L432,-56 Q441,0 432,56 Z', label: [406, 0] },
    'rear-bumper': { areaM2: 0.55, path: 'M438,-57 Q447,0 438,57 L464,50 Q473,0 464,-50 Z', label: [456, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.46,
      path: 'M40,76 Q84,64 124,59 L136,58 L139,111 L117.3,111 A34,34 0 0 0 50.7,111 L36,109 L31,86 Z',
      label: [88, 72],
    },
    door: { areaM2: 0.85, path: 'M140,57 L262,53 L272,76 Q279,92 276,105 L143,108 Z', label: [206, 80] },
    quarter: {
      areaM2: 0.7,
      path: 'M265,53 L334,49 L346,36 L378,55 L414,61 Q424,66 428,78 L429,88 L380,90 L373,111 A34,34 0 0 0 309,103 L279,105 Q282,92 275,76 Z',
      label: [342, 66],
    },
    sill: { areaM2: 0.14, path: 'M124,113 L306,109 L304,121 L122,121 Z', label: [212, 116] },
    mirror: mirrorCap(0.04, 150, 50),
  },
  returns: {
    'front-bumper': 'M28,88 L32,110 L48,114 L47,119 L8,117 Q0,102 4,90 Z',
    'rear-bumper': 'M383,92 L429,90 Q437,94 436,102 L432,118 L377,119 L375,111 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,88 Q12,77 40,73 Q84,61 122,56 L188,14 Q216,3 250,4 Q296,8 336,28 L378,52 L416,58 Q428,63 431,78 L436,98 L432,118 L10,117 Q0,103 4,88 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M146,53 L191,18 Q218,9 248,9 L259,49 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M264,49 L254,10 Q292,13 326,29 L340,39 L331,46 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M7,86 Q16,78 36,76 L30,84 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M410,65 L424,69 L429,84 L412,79 Z' },
    ...wheel('front', 84, 118, 29),
    ...wheel('rear', 340, 118, 29),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M128,72 Q116,0 128,-72 L188,-56 Q179,0 188,56 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M278,53 Q285,0 278,-53 L367,-62 Q376,0 367,62 Z' },
  ],
}
