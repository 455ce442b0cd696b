import type { HistoryWords } from '../history'

export const historyInEnglish: HistoryWords = {
  name: (plate) => `History, ${plate}`,
  heading: 'Paint history',
  nothing: 'No work recorded here yet.',
  shape: {
    hatchback: 'hatchback',
    saloon: 'saloon',
    estate: 'estate',
    coupe: 'coupé',
    convertible: 'convertible',
    suv: 'SUV',
    pickup: 'pickup',
    van: 'van',
    motorhome: 'motorhome',
  },
  paint: {
    'clear-over-base': 'clear coat over base coat',
    'single-stage': 'single-stage paint',
    matte: 'matte or satin paint',
    wrap: 'wrap or film',
    gelcoat: 'gelcoat',
    'bare-metal': 'bare metal',
  },
  stay: { work: 'Work', visit: 'Care visit', repair: 'Coating repair' },
  depth: 'Paint depth',
  gloss: 'Gloss',
  readings: ({ what, count, before, after }) =>
    `${what}, mean of ${count} readings: ${[before && `${before} before`, after && `${after} after`].filter(Boolean).join(', ')}.`,
  worked: ({ process, panels, depth }) =>
    `${process} on ${panels} ${panels === 1 ? 'panel' : 'panels'}, ${depth} each.`,
  applied: ({ product, where, lot, day }) => `${product} applied to ${where}, lot ${lot}, ${day}.`,
  water: { tight: 'tight beads', loose: 'loose beads', sheets: 'sheets', wets: 'stays wet' },
  seen: (list) => `Water: ${list}.`,
  photographs: (count) => (count === 1 ? '1 photograph.' : `${count} photographs.`),
  phase: { before: 'before', after: 'after' },
  removed: ({ unit, limit }) => `Paint removed so far, ${unit}, of the ${limit} a panel can lose in its life`,
  noneKnown: 'None that we know of.',
  earlier: (count) =>
    `${count === 1 ? 'One earlier stay is' : `${count} earlier stays are`} in the file that goes with this sheet.`,
  file: 'The same history goes with the car as one file, from which another shop can go on. It names no owner, no message and no money.',
  foot: (shop, plate) => `${shop}, paint history of ${plate}`,
}
