import type { OwnerWords } from '../owner'

export const ownerInFrench: OwnerWords = {
  title: (shop) => `Votre voiture chez ${shop}`,
  hello: (name) => `Bonjour ${name}.`,
  protectedWith: (products, since, until) =>
    `Protégée avec ${products} depuis le ${since}, probablement jusqu’en ${until}.`,
  protectedUntil: (products, since, until) =>
    `Protégée avec ${products} le ${since} ; cette protection a probablement disparu depuis ${until}.`,
  unprotected: 'Voici ce que nous savons de votre voiture.',
  firstDays: 'Les premiers jours',
  yearAhead: 'L’année à venir',
  addToCalendar: 'Ajouter à mon agenda',
  visit: {
    heading: 'Demander un rendez-vous',
    expected: (day) => `Nous l’attendons le ${day}.`,
    here: 'Elle est chez nous en ce moment.',
    asked: (day) => `Vous avez demandé un rendez-vous à partir du ${day}. Nous vous écrirons.`,
    from: 'N’importe quel jour à partir du',
    what: 'Que devons-nous regarder ? (facultatif)',
    ask: 'Demander un rendez-vous',
    asking: 'Envoi…',
  },
  refused: {
    gone: 'Cette page n’est plus ouverte. Demandez un nouveau lien à l’atelier.',
    input: 'Choisissez un jour à partir d’aujourd’hui, dans l’année.',
    stale: 'Nous avons déjà votre demande et nous vous écrirons.',
    other: 'L’atelier ne répond pas. Rien n’a été envoyé. Réessayez, s’il vous plaît.',
  },
  beforeAndAfter: 'Avant et après',
  phase: { before: 'avant', after: 'après' },
  rules: 'En prendre soin',
  print: 'Imprimer',
  private: 'Cette page est privée. Toute personne qui a le lien peut l’ouvrir : merci de ne pas le partager.',
}
