import type { HistoryWords } from '../history'

export const historyInGerman: HistoryWords = {
  name: (plate) => `Lackgeschichte, ${plate}`,
  heading: 'Lackgeschichte',
  nothing: 'Hier ist noch keine Arbeit verzeichnet.',
  shape: {
    hatchback: 'Schrägheck',
    saloon: 'Limousine',
    estate: 'Kombi',
    coupe: 'Coupé',
    convertible: 'Cabrio',
    suv: 'SUV',
    pickup: 'Pick-up',
    van: 'Transporter',
    motorhome: 'Wohnmobil',
  },
  paint: {
    'clear-over-base': 'Klarlack über Basislack',
    'single-stage': 'Einschichtlack',
    matte: 'Matt- oder Seidenmattlack',
    wrap: 'Folie',
    gelcoat: 'Gelcoat',
    'bare-metal': 'blankes Metall',
  },
  stay: { work: 'Arbeit', visit: 'Pflegetermin', repair: 'Ausbesserung der Beschichtung' },
  depth: 'Lackdicke',
  gloss: 'Glanz',
  readings: ({ what, count, before, after }) =>
    `${what}, Mittel aus ${count} Messungen: ${[before && `${before} vorher`, after && `${after} nachher`].filter(Boolean).join(', ')}.`,
  worked: ({ process, panels, depth }) =>
    `${process} auf ${panels} ${panels === 1 ? 'Bauteil' : 'Bauteilen'}, je ${depth}.`,
  applied: ({ product, where, lot, day }) => `${product} aufgetragen auf ${where}, Charge ${lot}, ${day}.`,
  water: {
    tight: 'feste Perlen',
    loose: 'lose Perlen',
    sheets: 'läuft als Film ab',
    wets: 'bleibt nass',
  },
  seen: (list) => `Verhalten des Wassers: ${list}.`,
  photographs: (count) => (count === 1 ? '1 Foto.' : `${count} Fotos.`),
  phase: { before: 'vorher', after: 'nachher' },
  removed: ({ unit, limit }) =>
    `Bisher abgetragener Lack in ${unit}, von ${limit}, die ein Bauteil im Leben verlieren darf`,
  noneKnown: 'Keiner, von dem wir wissen.',
  earlier: (count) =>
    `${count === 1 ? 'Ein früherer Aufenthalt steht' : `${count} frühere Aufenthalte stehen`} in der Datei zu diesem Blatt.`,
  file: 'Dieselbe Lackgeschichte geht als Datei mit dem Auto; ein anderer Betrieb kann damit weiterarbeiten. Sie nennt weder Besitzer noch Nachrichten noch Beträge.',
  foot: (shop, plate) => `${shop}, Lackgeschichte von ${plate}`,
}
