import type { MessageWords } from '../messages'

const STOP = 'Pour ne plus recevoir ces rappels, répondez STOP.'

export const messagesInFrench: MessageWords = {
  standard: {
    curing: {
      subject: 'Votre {car} : les prochains jours',
      text: 'Bonjour {name},\nvotre {car} est de retour chez vous. Gardez-la au sec jusqu’au {from} et ne la lavez pas avant le {until}. Une goutte ou une fiente : posez un chiffon humide, sans frotter.\nVotre page : {page}\n{shop}',
    },
    'first-wash': {
      subject: 'Votre {car} peut être lavée',
      text: 'Bonjour {name},\nà partir du {from}, votre {car} peut être lavée : à la main, avec deux seaux, un gant propre et un shampoing doux. Pas de rouleaux, s’il vous plaît.\nLe détail : {page}\n{shop}',
    },
    'visit-due': {
      subject: 'Visite de contrôle pour votre {car}',
      text: `Bonjour {name},\nentre le {from} et le {until}, nous aimerions contrôler le traitement de votre {car} : lavage, essai à l’eau sur chaque élément et spray d’entretien, environ trois heures.\n{guarantee}\nDemander un jour : {page}\n${STOP}\n{shop}`,
    },
    'visit-overdue': {
      subject: 'La visite de contrôle de votre {car} est à faire',
      text: `Bonjour {name},\nla visite de contrôle de votre {car} était prévue avant le {until}. Choisissez bientôt le jour qui vous convient.\n{guarantee}\nDemander un jour : {page}\n${STOP}\n{shop}`,
    },
    'panel-failed': {
      subject: 'Ce que nous avons constaté sur votre {car}',
      text: 'Bonjour {name},\nlors du contrôle, votre {car} était en bon état, sauf à cet endroit : {panels}. Le traitement y est usé. {words}\nVotre page : {page}\n{shop}',
    },
    'frost-and-salt': {
      subject: 'Gel et sel : votre {car}',
      text: `Bonjour {name},\nles routes sont salées. Rincez votre {car} une fois par semaine, bas de caisse et passages de roues compris, et ne grattez pas le givre sur la peinture.\nEn savoir plus : {page}\n${STOP}\n{shop}`,
    },
    pollen: {
      subject: 'Du pollen sur votre {car}',
      text: `Bonjour {name},\nle pollen devient acide en s’humidifiant. Rincez votre {car} avant de la toucher, et n’essuyez jamais la poussière jaune à sec.\nEn savoir plus : {page}\n${STOP}\n{shop}`,
    },
    'guarantee-lapses': {
      subject: 'La garantie de votre {car} se termine bientôt',
      text: `Bonjour {name},\nnotre garantie sur le traitement de votre {car} se termine le {until}. Faites-le contrôler avant : ce qui aura lâché d’ici là, nous le reprenons.\nDemander un jour : {page}\n${STOP}\n{shop}`,
    },
    renewal: {
      subject: 'Un nouveau traitement pour votre {car}',
      text: `Bonjour {name},\nle traitement de votre {car} est probablement arrivé en fin de vie. Le renouveler bientôt demande moins de préparation. Souhaitez-vous que nous l’examinions ?\nDemander un jour : {page}\n${STOP}\n{shop}`,
    },
    words: { subject: 'Votre {car}', text: 'Bonjour {name},\n{words}\nVotre page : {page}\n{shop}' },
  },
  guarantee: {
    'visit-due': 'Cette visite maintient votre garantie.',
    'visit-overdue': 'Sans elle, votre garantie ne pourra pas être maintenue.',
  },
  repair: (day, onGuarantee) =>
    onGuarantee
      ? `Nous le reprenons sous garantie ; le rendez-vous est pris pour le ${day}.`
      : `Nous pouvons le reprendre ; le rendez-vous est pris pour le ${day}.`,
}
