import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

/** A short nose, a cab, and a blind load bay with sliding doors and a pair of doors behind. */
export const van: Body = {
  from: -38,
  to: 570,
  length: 488,
  halfWidth: 86,
  height: 194,
  centre: {
    'front-bumper': { areaM2: 0.7, path: 'M6,-74 Q-2,0 6,74 L-18,69 Q-28,0 -18,-69 Z', label: [-13, 0] },
    bonnet: { areaM2: 0.8, path: 'M12,-74 Q4,0 12,74 L70,80 Q62,0 70,-80 Z', label: [40, 0] },
    roof: { areaM2: 3.1, path: 'M134,74 Q127,0 134,-74 L478,-74 L478,74 Z', label: [300, 0] },
    'rear-doors': { areaM2: 1.7, path: 'M484,-76 L534,-76 L534,76 L484,76 Z', label: [520, 0] },
    'rear-bumper': { areaM2: 0.4, path: 'M540,-76 L558,-72 L558,72 L540,76 Z', label: [549, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.45,
      path: 'M28,99 L66,82 L100,79 L116,110 Q123,130 125.1,148 A39,39 0 0 0 50.9,148 L34,143 L28,120 Z',
      label: [80, 97],
    },
    'front-door': {
      areaM2: 0.85,
      path: 'M104,78 L206,74 L208,147 L129,149 Q127,128 120,109 Z',
      label: [166, 112],
    },
    'sliding-door': { areaM2: 1.75, path: 'M210,12 L326,9 L328,147 L211,148 Z', label: [268, 80] },
    'load-side': {
      areaM2: 1.95,
      path: 'M330,9 L473,7 Q478,60 481,122 L478,146 L437.1,148 A39,39 0 0 0 362.9,148 L332,147 Z',
      label: [404, 72],
    },
    sill: { areaM2: 0.2, path: 'M131,152 L359,150 L358,160 L130,161 Z', label: [246, 155] },
    mirror: mirrorCap(0.07, 116, 67),
  },
  returns: {
    'front-bumper': 'M26,122 L32,145 L48,151 L47,157 L8,154 Q0,138 4,122 Z',
    'rear-bumper': 'M440,151 L480,148 L488,150 L486,158 L441,158 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,120 Q6,100 26,95 L62,78 L114,20 Q130,4 162,3 L470,1 Q481,2 483,14 L488,122 L486,157 L10,155 Q0,138 4,120 Z',
    },
    {
      kind: 'glass',
      place: 'side-glass',
      path: 'M110,72 L148,21 Q153,14 166,13 L203,12 L205,70 L130,73 Z',
    },
    { kind: 'line', path: 'M214,96 L474,94' },
    { kind: 'lamp', place: 'headlamp', path: 'M7,117 Q8,104 27,100 L27,117 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M474,70 L480,70 L482,118 L476,118 Z' },
    ...wheel('front', 88, 160, 33),
    ...wheel('rear', 400, 160, 33),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M74,80 Q66,0 74,-80 L130,-74 Q123,0 130,74 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M490,-66 L506,-66 L506,-6 L490,-6 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M490,6 L506,6 L506,66 L490,66 Z' },
    { kind: 'line', path: 'M484,0 L534,0' },
    ...[-44, -15, 15, 44].map((y) => ({
      kind: 'line' as const,
      path: `M170,${y} L262,${y} M338,${y} L462,${y}`,
    })),
  ],
}
