import type { CareWords } from '../care'
import { paperDay } from '../formats'

const VISIT =
  'Wäsche, dann Wasserverhalten, Glanz und Lackdicke an jedem Bauteil und frisches Pflegespray. Etwa drei Stunden.'

const VISIT_REASON: CareWords['visitReason'] = {
  first: 'Die erste Kontrolle, sobald sich die Beschichtung gesetzt hat.',
  rhythm: 'Der Abstand, der zu dieser Beschichtung und zur Nutzung des Autos passt.',
  outlook: 'Die Beschichtung könnte vor der üblichen Kontrolle am Ende sein.',
  asked: 'Auf Ihren Wunsch.',
}

export const careInGerman: CareWords = {
  milestone: {
    'indoors-until': {
      title: 'Unter Dach lassen',
      advice: 'Unter Dach und vor Tau geschützt, damit sich nichts auf der frischen Beschichtung absetzt.',
    },
    'dry-until': {
      title: 'Trocken halten',
      advice: 'Kein Regen, kein Tau, kein Schlauch. Tropfen mit einem weichen Tuch abtupfen, nicht reiben.',
    },
    'topper-from': {
      title: 'Pflegespray erlaubt',
      advice: 'Ab jetzt darf ein Pflegespray als Trocknungshilfe verwendet werden.',
    },
    'first-wash': {
      title: 'Erste Wäsche',
      advice: 'Von Hand: zwei Eimer, sauberer Waschhandschuh, mildes Shampoo. Keine Bürstenwaschanlage.',
    },
    'full-cure': {
      title: 'Vollständig ausgehärtet',
      advice: 'Die Beschichtung hat ihre volle Härte erreicht.',
    },
    'wheel-check': {
      title: 'Radmuttern nachprüfen',
      advice:
        'Nach den ersten 50 bis 100 km mit dem Drehmomentschlüssel, bei uns oder in jeder Werkstatt. Klopft etwas, halten Sie an und lassen Sie es sofort prüfen.',
    },
    'first-visit': {
      title: 'Erste Kontrolle',
      advice:
        'Wir prüfen an jedem Bauteil Wasserverhalten, Glanz und Lackdicke und waschen das Auto. Der dann gelesene Glanz ist das Maß für spätere Besuche.',
    },
  },
  date: {
    topper: ({ hard }) => ({
      title: hard ? 'Pflegespray, alle zwei Wochen' : 'Pflegespray, einmal im Monat',
      advice: 'Nach der Wäsche ein wenig auf das feuchte Bauteil, verteilen, trocken nachwischen.',
      reason: hard
        ? 'Dieses Auto wird stark beansprucht; das Pflegespray nutzt sich anstelle der Beschichtung ab.'
        : 'Es hält die Beschichtung glatt.',
    }),
    decontamination: ({ season }) => ({
      title: 'Dekontamination (Flugrost und Teer)',
      advice: 'Am besten bei uns: Die Mittel verlangen Handschuhe, Schutzbrille und kalten Lack.',
      reason:
        season === 'after-winter'
          ? 'Nach dem Salz: Was der Winter hinterlässt, sitzt im Lack.'
          : 'Vor dem Salz: Von einer sauberen Beschichtung gleitet es besser ab.',
    }),
    visit: ({ why, missedBy }, region) => ({
      title: missedBy
        ? `Kontrolle überfällig (fällig bis ${paperDay(region, missedBy)})`
        : 'Kontrolle: Wir prüfen jedes Bauteil',
      advice: missedBy ? `Bitte jetzt einen Termin vereinbaren. ${VISIT}` : VISIT,
      reason: VISIT_REASON[why],
    }),
    'light-polish': ({ spare }) =>
      spare
        ? {
            title: 'Leichte Politur, wo nötig',
            advice:
              'Wir sehen zuerst nach und polieren nur Bauteile, die es brauchen. Ein poliertes Bauteil wird neu beschichtet.',
            reason: 'Nach etwa einem Jahr summieren sich die feinsten Spuren.',
          }
        : {
            title: 'Keine Politur mehr',
            advice:
              'Das dünnste Bauteil kann keinen Lack mehr abgeben. Wir reinigen und frischen den Schutz auf, polieren aber nicht.',
            reason: 'Das zeigt unser Verzeichnis allen abgetragenen Lacks.',
          },
    renewal: ({ wornBy }, region) =>
      wornBy
        ? {
            title: `Neu beschichten: Die alte Beschichtung ist wohl abgetragen (seit ${paperDay(region, wornBy)})`,
            advice:
              'Bitte eine Kontrolle vereinbaren: Wir prüfen, was noch da ist, bevor wir neu beschichten.',
            reason: 'Länger als bis zu diesem Tag sollte sie nicht halten.',
          }
        : {
            title: 'Neu beschichten',
            advice:
              'Am besten, bevor die alte Beschichtung ganz abgetragen ist; dann ist weniger Vorarbeit nötig.',
            reason: 'Ab diesem Tag kann die Beschichtung nachlassen.',
          },
  },
  visitReason: VISIT_REASON,
  rule: {
    'two-buckets': () => ({
      text: 'Mit zwei Eimern, sauberem Waschhandschuh und mildem Shampoo waschen.',
      reason: 'Der Schmutz bleibt im zweiten Eimer, statt auf den Lack zurückzukommen.',
    }),
    'dry-by-touch': () => ({
      text: 'Mit einem weichen Tuch trocken tupfen.',
      reason: 'Wasser, das von selbst trocknet, hinterlässt seinen Kalk.',
    }),
    'droppings-at-once': () => ({
      text: 'Vogelkot und Harz noch am selben Tag mit einem nassen Tuch einweichen, dann abheben.',
      reason:
        'In der Sonne ätzen sie sich in ein bis zwei Tagen durch eine Beschichtung; trockenes Reiben verkratzt.',
    }),
    'topper-as-aid': () => ({
      text: 'Das Pflegespray ein- bis zweimal im Monat als Trocknungshilfe verwenden.',
      reason: 'Es nutzt sich anstelle der Beschichtung ab.',
    }),
    'rinse-salt': () => ({
      text: 'Im Winter jede Woche das Salz abspülen, auch an Schwellern und Radhäusern.',
      reason: 'Salz bleibt feucht und wirkt weiter.',
    }),
    'iron-and-tar': () => ({
      text: 'Flugrost und Teer bei der Kontrolle entfernen lassen.',
      reason: 'Sie liegen auf der Beschichtung und lassen sie verbraucht aussehen, wo sie nur schmutzig ist.',
    }),
    'no-brushes': ({ guaranteed }) => ({
      text: 'Bürstenwaschanlagen, auch nur ein einziges Mal.',
      reason: `Die Bürsten tragen den Schmutz aller Autos vor Ihrem.${guaranteed ? ' Eine solche Wäsche beendet auch die Garantie.' : ''}`,
    }),
    'no-harsh': () => ({
      text: 'Starke Entfetter und Mittel gegen Straßenfilm auf dem Lack.',
      reason: 'Sie nehmen die Beschichtung nach und nach ab.',
    }),
    'no-sun': () => ({
      text: 'Waschen in der Sonne oder auf heißem Lack.',
      reason: 'Shampoo und Wasser trocknen schneller zu Flecken, als Sie abspülen können.',
    }),
    'no-polish': () => ({
      text: 'Polituren und jedes Mittel, auf dem „Cleaner“ steht.',
      reason: 'Eine Politur nimmt zuerst die Beschichtung ab und dann den Lack.',
    }),
    'hard-water-spots': () => ({
      text: 'Leitungswasser auf dem Lack trocknen lassen.',
      reason:
        'Ihr Wasser ist hart, und seine Flecken ätzen. Spülen Sie zuletzt möglichst mit gefiltertem Wasser oder Regenwasser.',
    }),
    'street-cover': () => ({
      text: 'Das Auto feucht oder staubig abdecken.',
      reason: 'Eine Plane reibt, und was darunter ist, kann nicht trocknen.',
    }),
  },
  do: 'Das tut gut',
  avoid: 'Bitte vermeiden',
  firstDays: 'Waschen, Wachsen oder Sprühen auf den Lack, bevor die ersten Termine vorbei sind.',
  when: {
    until: (moment) => `bis ${moment}`,
    over: (moment) => `vorbei seit ${moment}`,
    from: (day) => `ab ${day}`,
    span: (first, last) => `${first} bis ${last}`,
  },
}
