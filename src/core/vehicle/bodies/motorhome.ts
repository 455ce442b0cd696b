import type { Body } from './body'
import { mirrorCap, wheel } from './parts'

/** A van's cab before a house of composite board; what is composite cannot be read by a gauge. */
export const motorhome: Body = {
  from: -38,
  to: 652,
  length: 560,
  halfWidth: 94,
  height: 212,
  centre: {
    'front-bumper': { areaM2: 0.7, path: 'M6,-74 Q-2,0 6,74 L-18,69 Q-28,0 -18,-69 Z', label: [-13, 0] },
    bonnet: { areaM2: 0.8, path: 'M12,-74 Q4,0 12,74 L66,79 Q58,0 66,-79 Z', label: [38, 0] },
    'house-roof': {
      areaM2: 9.5,
      path: 'M106,82 Q98,0 106,-82 L556,-86 Q561,0 556,86 Z',
      label: [330, 0],
    },
    'rear-wall': { areaM2: 4.4, path: 'M564,-88 L616,-88 L616,88 L564,88 Z', label: [604, 0] },
    'rear-bumper': { areaM2: 0.4, path: 'M622,-84 L640,-80 L640,80 L622,84 Z', label: [631, 0] },
  },
  flank: {
    'front-wing': {
      areaM2: 0.45,
      path: 'M28,117 L66,100 L102,97 L118,128 Q125,147 127.1,166 A39,39 0 0 0 52.9,166 L36,161 L28,138 Z',
      label: [82, 115],
    },
    'front-door': {
      areaM2: 0.85,
      path: 'M106,96 L196,92 L198,165 L131,167 Q129,146 122,127 Z',
      label: [164, 130],
    },
    overcab: {
      areaM2: 1.1,
      path: 'M84,58 Q72,44 84,24 Q96,7 130,6 L200,5 L200,60 L112,62 Z',
      label: [144, 34],
    },
    'house-side': {
      areaM2: 7.2,
      path: 'M203,5 L544,4 Q551,5 552,14 L556,152 L553,166 L467.1,166 A39,39 0 0 0 392.9,166 L203,166 Z',
      label: [360, 116],
    },
    skirt: { areaM2: 0.4, path: 'M133,170 L390,169 L389,179 L132,180 Z', label: [260, 174] },
    mirror: mirrorCap(0.07, 114, 87),
  },
  returns: {
    'front-bumper': 'M26,140 L34,163 L50,169 L49,175 L8,172 Q0,156 4,140 Z',
    'rear-bumper': 'M470,170 L553,169 L560,170 L557,178 L471,178 Z',
  },
  flankBackdrop: [
    {
      kind: 'shell',
      path: 'M4,138 Q6,118 26,113 L62,96 L104,64 L82,60 Q66,44 80,20 Q94,2 130,1 L546,0 Q555,1 556,12 L560,152 L557,177 L10,173 Q0,156 4,138 Z',
    },
    {
      kind: 'glass',
      place: 'side-glass',
      path: 'M112,90 L136,68 Q140,65 150,65 L194,64 L195,88 L130,91 Z',
    },
    { kind: 'glass', place: 'side-glass', path: 'M236,40 L304,40 L304,82 L236,82 Z' },
    { kind: 'glass', place: 'side-glass', path: 'M430,40 L508,40 L508,82 L430,82 Z' },
    { kind: 'line', path: 'M330,30 L386,30 L386,160 L330,160 Z' },
    { kind: 'lamp', place: 'headlamp', path: 'M7,135 Q8,122 27,118 L27,135 Z' },
    { kind: 'lamp', place: 'tail-lamp', path: 'M546,112 L553,112 L555,148 L548,148 Z' },
    ...wheel('front', 90, 178, 33),
    ...wheel('rear', 430, 178, 33),
  ],
  centreBackdrop: [
    { kind: 'glass', place: 'windscreen', path: 'M70,79 Q62,0 70,-79 L102,-76 Q94,0 102,76 Z' },
    { kind: 'glass', place: 'glass-roof', path: 'M180,-24 L228,-24 L228,24 L180,24 Z' },
    { kind: 'glass', place: 'glass-roof', path: 'M430,-24 L478,-24 L478,24 L430,24 Z' },
    { kind: 'glass', place: 'rear-glass', path: 'M572,-60 L590,-60 L590,60 L572,60 Z' },
  ],
}
