import type { Backdrop, Body } from './body'
import { mirrorCap, wheel } from './parts'

export const pickup: Body = {
  from: -38,
  to: 580,
  halfWidth: 80,
  length: 510,
  height: 160,
  centre: {
    'front-bumper': { areaM2: 0.7, path: 'M6,-70 Q-4,0 6,70 L-18,64 Q-30,0 -18,-64 Z', label: [-14, 0] },
    bonnet: { areaM2: 1.4, path: 'M12,-70 Q4,0 12,70 L111,77 Q103,0 111,-77 Z', label: [60, 0] },
    roof: { areaM2: 1.3, path: 'M173,63 Q166,0 173,-63 L289,-62 Q292,0 289,62 Z', label: [231, 0] },
    tailgate: { areaM2: 0.7, path: 'M504,-74 L544,-72 L544,72 L504,74 Z', label: [524, 0] },
    'rear-bumper': { areaM2: 0.35, path: 'M549,-74 L569,-70 L569,70 L549,74 Z', label: [559, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.5,
      path: 'M36,76 Q72,62 118,57 L129,56 L131,113 L122.1,113 A39,39 0 0 0 47.9,113 L34,110 L30,88 Z',
      label: [84, 72],
    },
    'front-door': { areaM2: 0.7, path: 'M133,57 L221,54 L223,112 L134,114 Z', label: [178, 84] },
    'rear-door': { areaM2: 0.55, path: 'M224,54 L303,52 L306,110 L226,112 Z', label: [264, 82] },
    'bed-side': {
      areaM2: 0.85,
      path: 'M310,58 L501,59 L504,92 L500,112 L437.6,112 A39,39 0 0 0 362.4,112 L310,114 Z',
      label: [400, 72],
    },
    sill: { areaM2: 0.15, path: 'M127,117 L306,113 L358,117 L357,127 L125,127 Z', label: [224, 121] },
    mirror: mirrorCap(0.06, 139, 46),
  },
  returns: {
    'front-bumper': 'M27,90 L31,111 L46,116 L45,124 L8,122 Q0,106 4,92 Z',
    'rear-bumper': 'M442,115 L502,114 L510,116 L510,126 L444,126 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,90 Q10,77 36,73 Q76,58 120,54 L171,8 Q200,-1 232,0 Q270,0 294,6 L304,14 L308,56 L502,57 L508,92 L504,124 L10,122 Q0,106 4,90 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M139,53 L175,14 Q198,7 221,7 L221,50 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M226,50 L226,7 Q262,6 288,11 L296,49 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M6,87 Q14,79 33,77 L28,86 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M498,62 L504,62 L507,88 L500,88 Z' },
    ...wheel('front', 85, 125, 33),
    ...wheel('rear', 400, 125, 33),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M115,76 Q107,0 115,-76 L169,-63 Q162,0 169,63 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M293,-61 L304,-66 L304,66 L293,61 Z' },
    { kind: 'bed', place: 'load-bed', path: 'M311,-74 L498,-74 L498,74 L311,74 Z' },
    ...[-48, -24, 0, 24, 48].map(
      (y): Backdrop => ({
        kind: 'shell',
        path: `M318,${y - 1.5} L492,${y - 1.5} L492,${y + 1.5} L318,${y + 1.5} Z`,
      }),
    ),
  ],
}
