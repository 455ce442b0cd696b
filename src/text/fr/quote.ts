import type { QuoteWords } from '../quote-words'

export const quoteInFrench: QuoteWords = {
  headings: {
    expect: 'À quoi vous attendre',
    work: 'Prestations comprises',
    protection: 'Protection appliquée',
    price: 'Prix',
    darker: 'Plus la teinte est foncée, plus le polissage est fort.',
  },
  title: (version, day) => `Devis ${version} du ${day}`,
  draft: 'Projet de devis',
  forCustomer: (name) => `pour ${name}`,
  job: (number) => `Dossier ${number}`,
  validUntil: (day) => `Valable jusqu’au ${day}.`,
  validFor: (days) => `Valable ${days === 1 ? 'un jour' : `${days} jours`} une fois enregistré.`,
  couldCollect: (day, time) =>
    `Si vous aviez accepté ce devis le jour de sa rédaction, la voiture aurait été prête le ${day} à ${time}. Nous confirmons la date à votre acceptation.`,
  wash: 'Lavage à la main et décontamination (fer, goudron, argile) selon les besoins.',
  on: (process, panels) => `${process} : ${panels}.`,
  everyPanel: 'toute la carrosserie',
  cleanedOnly: (panels) => `Nettoyage sans polissage : ${panels}.`,
  afterwards: 'puis',
  applied: (surface, products) => `${surface} : ${products}.`,
  excludingTax: () => 'Prix hors taxe',
  includedTax: (tax, percent) => `dont ${tax} ${percent}`,
  noTax: (tax) => `Sans ${tax}`,
  total: 'Total TTC',
  deposit: (percent) => `Acompte de ${percent} avant le début des travaux`,
  consumables: 'Mousses, microfibres et adhésif',
  discount: (percent) => `Remise de ${percent}`,
  by: (trade, name) => `${trade} par ${name}`,
  accepted: (name) => `Bon pour accord, ${name} (signature et date)`,
  forShop: (shop) => `Pour ${shop}`,
  change: {
    draft: 'Projet d’avenant',
    title: (version, day) => `Avenant ${version} du ${day}`,
    calledOff: (version, day) => `Annulé, version ${version} du ${day}`,
    of: (day) =>
      `Il modifie ce dont nous sommes convenus le ${day}. Tout ce qui n’est pas nommé ici reste comme convenu.`,
    ofCalledOff: (day) =>
      `Ce dont nous sommes convenus le ${day} est annulé. Ce qui a été fait jusqu’ici est facturé comme convenu.`,
    found: 'Ce que nous avons trouvé',
    why: 'Motif',
    otherwise: 'Sans cet avenant',
    heading: 'Ce qui change dans le prix',
    dropped: (line) => `Non réalisé : ${line}`,
    before: 'Convenu jusqu’ici, TTC',
    difference: 'Différence, TTC',
    couldCollect: (day, time) =>
      `Avec lui, la voiture est prête le ${day} à ${time} si vous acceptez maintenant.`,
  },
}
