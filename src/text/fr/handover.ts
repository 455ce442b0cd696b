import type { HandoverWords } from '../handover'

export const handoverInFrench: HandoverWords = {
  headings: {
    handover: 'Restitution',
    result: 'Résultat',
    remains: 'Ce qui reste',
    panels: 'Avant et après, élément par élément',
    beside: 'Également réalisé',
    coatings: 'Protections appliquées',
    inspection: 'Contrôle final',
    weeksAhead: 'Les semaines à venir',
    payment: 'Règlement',
  },
  columns: {
    name: 'Élément',
    process: 'Travail',
    film: (unit) => `Épaisseur, ${unit}`,
    taken: (unit) => `Enlevé, ${unit}`,
    gloss: 'Brillance, GU',
    seen: 'Contrôle final',
  },
  shortJob: { visit: 'Visite d’entretien', repair: 'Retouche du revêtement' },
  title: (packageName, job, day) => `${packageName}, dossier ${job}, ${day}`,
  noPolishing: 'sans polissage',
  planned: (process) => `prévu : ${process}`,
  change: (before, after) => `${before} puis ${after}`,
  noLoss: 'rien de mesurable',
  notFinished: 'Le travail n’est pas terminé : cette fiche montre où il en est.',
  notMeasured: 'non mesuré',
  passed: 'conforme',
  cleared: (percent) => `${percent} des marques supprimées`,
  expected: ({ before, after, percent }) =>
    `État de la peinture avant : ${before}. Attendu après notre travail : ${after}, avec environ ${percent} des marques supprimées.`,
  reached: (percent) => `Sous la lampe d’inspection, environ ${percent} d’entre elles ont disparu.`,
  short: (panels) => `Travaillé comme convenu, sans que tout parte : ${panels}.`,
  layer: ({ number, product, lot, moment, by, air, humidity, panel }) =>
    `${number}. ${product}, lot ${lot}, ${moment}, par ${by} ; air ${air}, ${humidity}, tôle ${panel}`,
  part: ({ at, of }) => `partie ${at} sur ${of}`,
  again: (place) => `${place}, de nouveau`,
  highSpot: {
    're-wet': (panel) => `${panel} : une surépaisseur de la protection a été égalisée.`,
    polished: (panel) => `${panel} : une surépaisseur a été polie, puis la protection réappliquée.`,
  },
  inspected: (people, isFresh) =>
    `Contrôlé élément par élément par ${people}, ${isFresh ? 'qui n’a pas travaillé sur cette peinture' : 'avec une nuit entre le travail et ce contrôle'} : aucun défaut relevé.`,
  reworked: (places) =>
    places === 1 ? 'Une zone a d’abord été reprise.' : `${places} zones ont d’abord été reprises.`,
  neverInspected: 'Aucun contrôle final n’a été noté.',
  notInspected: 'Pas encore terminé.',
  agreed: (amount, tax) => `Total : ${amount}${tax ? `, ${tax} comprise` : ''}.`,
  paid: (amount, way, day) => `Réglé ${amount} ${way}, ${day}`,
  way: { card: 'par carte', cash: 'en espèces', transfer: 'par virement' },
  due: (amount) => `Solde à régler : ${amount}.`,
  overpaid: (amount) => `Trop-perçu de ${amount}. Nous vous le remboursons.`,
  paidInFull: 'Réglé en totalité.',
  wheels:
    'Les roues ont été déposées. Leurs écrous ont été serrés au couple du constructeur ; faites-les recontrôler après le premier trajet.',
  tightened: (torque, wrench) =>
    `Les roues ont été déposées. Leurs écrous ont été serrés à ${torque} (clé dynamométrique ${wrench}) ; faites-les recontrôler après les 50 à 100 premiers kilomètres.`,
  letGo: (name, until) =>
    `Véhicule repris avant que le revêtement puisse être mouillé (${until}), à la demande signée de ${name}. Les taches d’eau qui en résulteraient ne sont pas à notre charge.`,
  dataSheets:
    'Les fiches techniques des produits et les règles locales priment lorsqu’elles disent autre chose.',
  received: (name) => `Reçu par ${name} (signature et date)`,
}
