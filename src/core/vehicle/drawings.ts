import type { Shape } from './shapes'

/**
 * Our own drawings, in centimetres. A flank is drawn nose to the left with y counted down from the roof line; the
 * centre strip runs along the x axis. `returns` are the parts of a bumper that wrap round onto the flanks.
 */
export type Drawing = {
  from: number
  to: number
  halfWidth: number
  /** From the roof line to the ground. */
  height: number
  centre: Record<string, DrawnPanel>
  flank: Record<string, DrawnPanel>
  returns: Record<string, string>
  flankBackdrop: Backdrop[]
  centreBackdrop: Backdrop[]
}
/** What stands round the panels and is not measured. */
export type Backdrop = { kind: 'shell' | 'glass' | 'wheel' | 'lamp' | 'bed'; path: string }

type DrawnPanel = { path: string; label: [number, number] }

function wheel(x: number, y: number, radius: number): Backdrop[] {
  const circle = (r: number) =>
    `M${x - r},${y} A${r},${r} 0 1 1 ${x + r},${y} A${r},${r} 0 1 1 ${x - r},${y} Z`
  return [
    { kind: 'wheel', path: circle(radius) },
    { kind: 'glass', path: circle(radius * 0.58) },
  ]
}

const mirrorCap = (x: number, y: number): DrawnPanel => ({
  path: `M${x - 10},${y + 5} Q${x - 12},${y - 6} ${x + 2},${y - 7} Q${x + 11},${y - 6} ${x + 10},${y + 5} Z`,
  label: [x, y],
})

const HATCHBACK: Drawing = {
  from: -38,
  to: 448,
  halfWidth: 76,
  height: 148,
  centre: {
    'front-bumper': {
      path: 'M6,-64 Q-6,0 6,64 L-18,58 Q-34,0 -18,-58 Z',
      label: [-16, 0],
    },
    bonnet: { path: 'M12,-64 Q1,0 12,64 L97,71 Q87,0 97,-71 Z', label: [52, 0] },
    roof: { path: 'M162,57 Q154,0 162,-57 L334,-53 Q341,0 334,53 Z', label: [248, 0] },
    tailgate: { path: 'M371,61 Q378,0 371,-61 L408,-58 Q415,0 408,58 Z', label: [393, 0] },
    'rear-bumper': { path: 'M413,-60 Q420,0 413,60 L436,55 Q443,0 436,-55 Z', label: [428, 0] },
  },
  flank: {
    'front-wing': {
      path: 'M36,71 Q68,57 100,52 L112,51 L114,111 L105.5,111 A34,34 0 0 0 38.5,112 L30,108 L29,82 Z',
      label: [74, 68],
    },
    'front-door': { path: 'M116,52 L205,48 L207,106 L117,108 Z', label: [162, 78] },
    'rear-door': { path: 'M208,48 L288,46 L289,76 Q284,90 283,105 L210,106 Z', label: [247, 77] },
    quarter: {
      path: 'M291,46 L329,44 L316,12 L344,18 L372,60 L381,74 L380,84 L352,88 L349,111 A34,34 0 0 0 285,103 Q286,90 291,77 Z',
      label: [336, 66],
    },
    sill: { path: 'M110,113 L283,110 L281,121 L108,121 Z', label: [196, 116] },
    mirror: mirrorCap(122, 44),
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
    { kind: 'glass', path: 'M122,48 L161,13 Q185,7 205,7 L205,45 Z' },
    { kind: 'glass', path: 'M210,45 L210,7 Q262,6 310,13 L323,42 Z' },
    { kind: 'lamp', path: 'M6,81 Q14,73 33,71 L28,80 Z' },
    { kind: 'lamp', path: 'M383,75 L388,85 L370,84 L364,72 L374,64 Z' },
    ...wheel(72, 118, 29),
    ...wheel(316, 118, 29),
  ],
  centreBackdrop: [
    { kind: 'glass', path: 'M101,71 Q91,0 101,-71 L158,-57 Q150,0 158,57 Z' },
    { kind: 'glass', path: 'M338,53 Q345,0 338,-53 L367,-60 Q374,0 367,60 Z' },
  ],
}

const ESTATE: Drawing = {
  from: -38,
  to: 506,
  halfWidth: 78,
  height: 148,
  centre: {
    'front-bumper': { path: 'M6,-66 Q-6,0 6,66 L-18,60 Q-34,0 -18,-60 Z', label: [-16, 0] },
    bonnet: { path: 'M12,-66 Q1,0 12,66 L104,73 Q94,0 104,-73 Z', label: [56, 0] },
    roof: { path: 'M170,59 Q162,0 170,-59 L410,-57 Q415,0 410,57 Z', label: [290, 0] },
    tailgate: { path: 'M433,62 Q439,0 433,-62 L466,-60 Q472,0 466,60 Z', label: [452, 0] },
    'rear-bumper': { path: 'M471,-62 Q477,0 471,62 L494,57 Q500,0 494,-57 Z', label: [486, 0] },
  },
  flank: {
    'front-wing': {
      path: 'M36,72 Q70,58 106,53 L118,52 L120,111 L111.5,111 A34,34 0 0 0 44.5,112 L31,108 L29,83 Z',
      label: [80, 69],
    },
    'front-door': { path: 'M122,53 L213,49 L215,106 L123,108 Z', label: [168, 79] },
    'rear-door': { path: 'M216,49 L312,46 L316,74 Q322,90 319,104 L218,106 Z', label: [264, 78] },
    quarter: {
      path: 'M315,46 L392,43 L396,14 L414,15 L434,56 L440,72 L439,84 L392,87 L388,109 A34,34 0 0 0 322,103 Q325,90 319,74 Z',
      label: [364, 66],
    },
    sill: { path: 'M116,113 L320,109 L319,121 L114,121 Z', label: [216, 116] },
    mirror: mirrorCap(128, 45),
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
    { kind: 'glass', path: 'M128,49 L170,14 Q194,7 213,7 L213,45 Z' },
    { kind: 'glass', path: 'M218,45 L218,7 Q270,6 308,8 L311,42 Z' },
    { kind: 'glass', path: 'M316,42 L314,9 Q352,10 391,14 L387,39 Z' },
    { kind: 'lamp', path: 'M6,82 Q14,74 33,72 L28,81 Z' },
    { kind: 'lamp', path: 'M441,70 L447,86 L432,85 L428,58 L436,58 Z' },
    ...wheel(78, 118, 29),
    ...wheel(355, 118, 29),
  ],
  centreBackdrop: [
    { kind: 'glass', path: 'M108,73 Q98,0 108,-73 L166,-59 Q158,0 166,59 Z' },
    { kind: 'glass', path: 'M414,57 Q419,0 414,-57 L429,-61 Q435,0 429,61 Z' },
    { kind: 'shell', path: 'M180,50 L400,48 L400,51 L180,53 Z' },
    { kind: 'shell', path: 'M180,-50 L400,-48 L400,-51 L180,-53 Z' },
  ],
}

const PICKUP: Drawing = {
  from: -38,
  to: 580,
  halfWidth: 80,
  height: 160,
  centre: {
    'front-bumper': { path: 'M6,-70 Q-4,0 6,70 L-18,64 Q-30,0 -18,-64 Z', label: [-14, 0] },
    bonnet: { path: 'M12,-70 Q4,0 12,70 L111,77 Q103,0 111,-77 Z', label: [60, 0] },
    roof: { path: 'M173,63 Q166,0 173,-63 L289,-62 Q292,0 289,62 Z', label: [231, 0] },
    tailgate: { path: 'M504,-74 L544,-72 L544,72 L504,74 Z', label: [524, 0] },
    'rear-bumper': { path: 'M549,-74 L569,-70 L569,70 L549,74 Z', label: [559, 0] },
  },
  flank: {
    'front-wing': {
      path: 'M36,76 Q72,62 118,57 L129,56 L131,113 L122.1,113 A39,39 0 0 0 47.9,113 L34,110 L30,88 Z',
      label: [84, 72],
    },
    'front-door': { path: 'M133,57 L221,54 L223,112 L134,114 Z', label: [178, 84] },
    'rear-door': { path: 'M224,54 L303,52 L306,110 L226,112 Z', label: [264, 82] },
    'bed-side': {
      path: 'M310,58 L501,59 L504,92 L500,112 L437.6,112 A39,39 0 0 0 362.4,112 L310,114 Z',
      label: [400, 72],
    },
    sill: { path: 'M127,117 L306,113 L358,117 L357,127 L125,127 Z', label: [224, 121] },
    mirror: mirrorCap(139, 46),
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
    { kind: 'glass', path: 'M139,53 L175,14 Q198,7 221,7 L221,50 Z' },
    { kind: 'glass', path: 'M226,50 L226,7 Q262,6 288,11 L296,49 Z' },
    { kind: 'lamp', path: 'M6,87 Q14,79 33,77 L28,86 Z' },
    { kind: 'lamp', path: 'M498,62 L504,62 L507,88 L500,88 Z' },
    ...wheel(85, 125, 33),
    ...wheel(400, 125, 33),
  ],
  centreBackdrop: [
    { kind: 'glass', path: 'M115,76 Q107,0 115,-76 L169,-63 Q162,0 169,63 Z' },
    { kind: 'glass', path: 'M293,-61 L304,-66 L304,66 L293,61 Z' },
    { kind: 'bed', path: 'M311,-74 L498,-74 L498,74 L311,74 Z' },
    ...[-48, -24, 0, 24, 48].map(
      (y): Backdrop => ({
        kind: 'shell',
        path: `M318,${y - 1.5} L492,${y - 1.5} L492,${y + 1.5} L318,${y + 1.5} Z`,
      }),
    ),
  ],
}

const DRAWINGS: Record<Shape, Drawing> = { hatchback: HATCHBACK, estate: ESTATE, pickup: PICKUP }

export function drawingOf(shape: Shape): Drawing {
  return DRAWINGS[shape]
}
