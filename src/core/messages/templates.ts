import type { Templates } from './template'

/** What ships with the shop. A shop may put its own words in their place. */
export const TEMPLATES: Templates = {
  curing: {
    en: {
      subject: 'Your {car}: the next days',
      text: 'Hello {name},\nyour {car} is home. Please keep it dry until {from} and do not wash it before {until}. Blot a drop or a dropping with a wet cloth, do not rub.\nYour page: {page}\n{shop}',
    },
    fr: {
      subject: 'Votre {car} : les prochains jours',
      text: 'Bonjour {name},\nvotre {car} est de retour. Gardez-la au sec jusqu’au {from} et ne la lavez pas avant le {until}. Une goutte ou une fiente : posez un chiffon humide, ne frottez pas.\nVotre page : {page}\n{shop}',
    },
    de: {
      subject: 'Ihr {car}: die nächsten Tage',
      text: 'Guten Tag {name},\nIhr {car} ist wieder zu Hause. Bitte halten Sie den Wagen bis {from} trocken und waschen Sie ihn nicht vor dem {until}. Tropfen und Vogelkot mit einem nassen Tuch abnehmen, nicht reiben.\nIhre Seite: {page}\n{shop}',
    },
  },
  'first-wash': {
    en: {
      subject: 'Your {car} may be washed',
      text: 'Hello {name},\nfrom {from} your {car} may be washed: by hand, two buckets, a clean mitt, a mild shampoo. No brush tunnel, please.\nHow to: {page}\n{shop}',
    },
    fr: {
      subject: 'Votre {car} peut être lavée',
      text: 'Bonjour {name},\nà partir du {from}, votre {car} peut être lavée : à la main, deux seaux, un gant propre, un shampooing doux. Pas de rouleaux, s’il vous plaît.\nLe détail : {page}\n{shop}',
    },
    de: {
      subject: 'Ihr {car} darf gewaschen werden',
      text: 'Guten Tag {name},\nab {from} darf Ihr {car} gewaschen werden: von Hand, mit zwei Eimern, sauberem Handschuh und mildem Shampoo. Bitte keine Bürsten.\nSo geht es: {page}\n{shop}',
    },
  },
  'visit-due': {
    en: {
      subject: 'Time to look at your {car}',
      text: 'Hello {name},\nbetween {from} and {until} we would like to look at the coating of your {car}: a wash, water on every panel, a fresh topper, about three hours. It also keeps your guarantee alive.\nAsk for a day: {page}\n{shop}',
    },
    fr: {
      subject: 'Une visite pour votre {car}',
      text: 'Bonjour {name},\nentre le {from} et le {until}, nous aimerions contrôler le revêtement de votre {car} : lavage, essai à l’eau sur chaque panneau, couche d’entretien, environ trois heures. La visite maintient aussi votre garantie.\nChoisir un jour : {page}\n{shop}',
    },
    de: {
      subject: 'Zeit für einen Blick auf Ihren {car}',
      text: 'Guten Tag {name},\nzwischen {from} und {until} sehen wir uns gern die Beschichtung Ihres {car} an: Wäsche, Wasserprobe auf jedem Teil, frische Pflegeschicht, etwa drei Stunden. So bleibt auch Ihre Garantie bestehen.\nTag aussuchen: {page}\n{shop}',
    },
  },
  'visit-overdue': {
    en: {
      subject: 'We have missed your {car}',
      text: 'Hello {name},\nthe visit for your {car} was due by {until}. Come when it suits you, soon: later the guarantee can no longer be kept up.\nAsk for a day: {page}\n{shop}',
    },
    fr: {
      subject: 'Votre {car} nous manque',
      text: 'Bonjour {name},\nla visite de votre {car} était prévue avant le {until}. Venez quand cela vous convient, mais bientôt : plus tard, la garantie ne pourra plus être maintenue.\nChoisir un jour : {page}\n{shop}',
    },
    de: {
      subject: 'Wir haben Ihren {car} vermisst',
      text: 'Guten Tag {name},\ndie Durchsicht Ihres {car} war bis {until} fällig. Kommen Sie, wann es passt, aber bald: später lässt sich die Garantie nicht mehr aufrechterhalten.\nTag aussuchen: {page}\n{shop}',
    },
  },
  'panel-failed': {
    en: {
      subject: 'What we found on your {car}',
      text: 'Hello {name},\nat the visit your {car} was in good order but for this: {panels}. The coating has gone there, and there alone. {words}\nYour page: {page}\n{shop}',
    },
    fr: {
      subject: 'Ce que nous avons trouvé sur votre {car}',
      text: 'Bonjour {name},\nlors de la visite, votre {car} était en bon état, sauf ceci : {panels}. Le revêtement y a disparu, et là seulement. {words}\nVotre page : {page}\n{shop}',
    },
    de: {
      subject: 'Was wir an Ihrem {car} gefunden haben',
      text: 'Guten Tag {name},\nbei der Durchsicht war Ihr {car} in gutem Zustand, bis auf: {panels}. Dort, und nur dort, ist die Beschichtung vergangen. {words}\nIhre Seite: {page}\n{shop}',
    },
  },
  'frost-and-salt': {
    en: {
      subject: 'Frost and salt: your {car}',
      text: 'Hello {name},\nthe roads are being salted. Rinse your {car} once a week, sills and arches too, and do not scrape frost off the paint.\nMore: {page}\n{shop}',
    },
    fr: {
      subject: 'Gel et sel : votre {car}',
      text: 'Bonjour {name},\nles routes sont salées. Rincez votre {car} une fois par semaine, bas de caisse et passages de roue compris, et ne grattez pas le givre sur la peinture.\nPlus : {page}\n{shop}',
    },
    de: {
      subject: 'Frost und Salz: Ihr {car}',
      text: 'Guten Tag {name},\ndie Straßen werden gestreut. Spülen Sie Ihren {car} einmal in der Woche ab, auch Schweller und Radhäuser, und kratzen Sie kein Eis vom Lack.\nMehr: {page}\n{shop}',
    },
  },
  pollen: {
    en: {
      subject: 'Pollen on your {car}',
      text: 'Hello {name},\npollen turns acid when it gets damp. Rinse your {car} before you touch it, and never wipe the yellow dust off dry.\nMore: {page}\n{shop}',
    },
    fr: {
      subject: 'Du pollen sur votre {car}',
      text: 'Bonjour {name},\nle pollen devient acide en s’humidifiant. Rincez votre {car} avant de la toucher, et n’essuyez jamais la poussière jaune à sec.\nPlus : {page}\n{shop}',
    },
    de: {
      subject: 'Blütenstaub auf Ihrem {car}',
      text: 'Guten Tag {name},\nfeuchter Blütenstaub wird sauer. Spülen Sie Ihren {car} ab, bevor Sie ihn berühren, und wischen Sie den gelben Staub nie trocken weg.\nMehr: {page}\n{shop}',
    },
  },
  'guarantee-lapses': {
    en: {
      subject: 'The guarantee on your {car} ends soon',
      text: 'Hello {name},\nour guarantee on the coating of your {car} ends on {until}. Let us look at it before: what fails until then we put right.\nAsk for a day: {page}\n{shop}',
    },
    fr: {
      subject: 'La garantie de votre {car} se termine bientôt',
      text: 'Bonjour {name},\nnotre garantie sur le revêtement de votre {car} se termine le {until}. Faites-la contrôler avant : ce qui lâche d’ici là, nous le reprenons.\nChoisir un jour : {page}\n{shop}',
    },
    de: {
      subject: 'Die Garantie für Ihren {car} endet bald',
      text: 'Guten Tag {name},\nunsere Garantie auf die Beschichtung Ihres {car} endet am {until}. Lassen Sie uns vorher darauf sehen: was bis dahin versagt, bringen wir in Ordnung.\nTag aussuchen: {page}\n{shop}',
    },
  },
  renewal: {
    en: {
      subject: 'A new coat for your {car}?',
      text: 'Hello {name},\nthe coating of your {car} has most likely come to its end by now. Laid anew before winter has got at the bare paint it needs less preparation. Shall we look at it?\nAsk for a day: {page}\n{shop}',
    },
    fr: {
      subject: 'Un nouveau revêtement pour votre {car} ?',
      text: 'Bonjour {name},\nle revêtement de votre {car} est très probablement arrivé en fin de vie. Refait avant que l’hiver n’attaque la peinture nue, il demande moins de préparation. Voulez-vous que nous la regardions ?\nChoisir un jour : {page}\n{shop}',
    },
    de: {
      subject: 'Eine neue Beschichtung für Ihren {car}?',
      text: 'Guten Tag {name},\ndie Beschichtung Ihres {car} ist inzwischen höchstwahrscheinlich am Ende. Bevor der Winter an den blanken Lack kommt, braucht eine neue weniger Vorbereitung. Sollen wir uns den Wagen ansehen?\nTag aussuchen: {page}\n{shop}',
    },
  },
  words: {
    en: { subject: 'Your {car}', text: 'Hello {name},\n{words}\nYour page: {page}\n{shop}' },
    fr: { subject: 'Votre {car}', text: 'Bonjour {name},\n{words}\nVotre page : {page}\n{shop}' },
    de: { subject: 'Ihr {car}', text: 'Guten Tag {name},\n{words}\nIhre Seite: {page}\n{shop}' },
  },
}
