import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

/** Two doors under a soft top, which is fabric and has no film to read. */
export const convertible: Body = {
  from: -38,
  to: 452,
  length: 408,
  halfWidth: 76,
  height: 146,
  centre: {
    'front-bumper': { areaM2: 0.55, path: 'M6,-60 Q-8,0 6,60 L-16,53 Q-36,0 -16,-53 Z', label: [-16, 0] },
    bonnet: { areaM2: 1.25, path: 'M12,-60 Q-1,0 12,60 L114,70 Q103,0 114,-70 Z', label: [60, 0] },
    boot: { areaM2: 0.85, path: 'M332,66 Q339,0 332,-66 L408,-57 Q416,0 408,57 Z', label: [372, 0] },
    'rear-bumper': { areaM2: 0.55, path: 'M414,-57 Q422,0 414,57 L438,51 Q446,0 438,-51 Z', label: [430, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.42,
      path: 'M38,75 Q78,63 114,58 L126,57 L128,111 L111.3,111 A34,34 0 0 0 44.7,111 L33,108 L30,85 Z',
      label: [82, 71],
    },
    door: { areaM2: 0.78, path: 'M130,57 L236,55 L244,76 Q250,92 247,105 L132,108 Z', label: [188, 80] },
    quarter: {
      areaM2: 0.68,
      path: 'M239,55 L318,52 L340,53 L386,59 Q398,63 401,78 L402,88 L352,90 L345,111 A34,34 0 0 0 281,103 L250,105 Q253,92 247,76 Z',
      label: [306, 71],
    },
    sill: { areaM2: 0.13, path: 'M117,113 L278,109 L276,121 L115,121 Z', label: [196, 116] },
    mirror: mirrorCap(0.04, 139, 49),
  },
  returns: {
    'front-bumper': 'M27,87 L31,109 L43,114 L42,119 L8,117 Q0,102 4,89 Z',
    'rear-bumper': 'M355,92 L402,90 Q409,94 408,102 L404,118 L349,119 L347,111 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,87 Q12,76 38,72 Q78,60 112,55 L136,51 L320,49 L342,50 L388,56 Q401,61 404,78 L408,100 L404,118 L10,117 Q0,102 4,87 Z',
    },
    {
      kind: 'fabric',
      place: 'soft-top',
      path: 'M176,17 Q204,4 236,6 Q288,12 324,50 L288,51 Q278,27 234,17 Q206,14 181,22 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M136,53 L180,22 Q206,14 234,17 Q274,25 284,50 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M7,85 Q16,77 34,75 L29,83 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M384,63 L397,67 L402,84 L386,78 Z' },
    ...wheel('front', 78, 118, 29),
    ...wheel('rear', 312, 118, 29),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M118,70 Q107,0 118,-70 L176,-57 Q168,0 176,57 Z' },
    {
      kind: 'fabric',
      place: 'soft-top',
      path: 'M180,57 Q172,0 180,-57 L284,-57 L326,-64 Q333,0 326,64 L284,57 Z',
    },
    { kind: 'glass', place: 'rear-glass', path: 'M288,44 Q293,0 288,-44 L318,-50 Q324,0 318,50 Z' },
    { kind: 'line', path: 'M206,57 Q199,0 206,-57' },
    { kind: 'line', path: 'M244,57 Q239,0 244,-57' },
  ],
}
