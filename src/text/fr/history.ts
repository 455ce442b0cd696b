import type { HistoryWords } from '../history'

export const historyInFrench: HistoryWords = {
  name: (plate) => `Historique, ${plate}`,
  heading: 'Historique de la peinture',
  nothing: 'Aucune intervention enregistrée ici pour le moment.',
  shape: {
    hatchback: 'compacte',
    saloon: 'berline',
    estate: 'break',
    coupe: 'coupé',
    convertible: 'cabriolet',
    suv: 'SUV',
    pickup: 'pick-up',
    van: 'fourgon',
    motorhome: 'camping-car',
  },
  paint: {
    'clear-over-base': 'base et vernis',
    'single-stage': 'peinture sans vernis',
    matte: 'peinture mate ou satinée',
    wrap: 'covering ou film',
    gelcoat: 'gelcoat',
    'bare-metal': 'métal nu',
  },
  stay: { work: 'Intervention', visit: 'Visite d’entretien', repair: 'Retouche du revêtement' },
  depth: 'Épaisseur de peinture',
  gloss: 'Brillance',
  readings: ({ what, count, before, after }) =>
    `${what}, moyenne de ${count} mesures : ${[before && `${before} avant`, after && `${after} après`].filter(Boolean).join(', ')}.`,
  worked: ({ process, panels, depth }) =>
    `${process} sur ${panels} ${panels === 1 ? 'élément' : 'éléments'}, ${depth} chacun.`,
  applied: ({ product, where, lot, day }) => `${product} appliqué (${where}), lot ${lot}, ${day}.`,
  water: {
    tight: 'perles serrées',
    loose: 'perles étalées',
    sheets: 'film qui glisse',
    wets: 'reste mouillé',
  },
  seen: (list) => `Comportement de l’eau : ${list}.`,
  photographs: (count) => (count === 1 ? '1 photographie.' : `${count} photographies.`),
  phase: { before: 'avant', after: 'après' },
  removed: ({ unit, limit }) =>
    `Peinture enlevée jusqu’ici, en ${unit}, sur les ${limit} qu’un élément peut perdre au cours de sa vie`,
  noneKnown: 'Aucune à notre connaissance.',
  earlier: (count) =>
    `${count === 1 ? 'Un passage antérieur figure' : `${count} passages antérieurs figurent`} dans le fichier joint à cette fiche.`,
  file: 'Le même historique accompagne la voiture dans un fichier qu’un autre atelier peut reprendre. Il ne contient ni propriétaire, ni message, ni montant.',
  foot: (shop, plate) => `${shop}, historique de la peinture de ${plate}`,
}
