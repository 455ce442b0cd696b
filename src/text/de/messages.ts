import type { MessageWords } from '../messages'

const STOP = 'Wenn Sie keine Erinnerungen mehr möchten, antworten Sie mit STOPP.'

export const messagesInGerman: MessageWords = {
  standard: {
    curing: {
      subject: 'Ihr {car}: die nächsten Tage',
      text: 'Guten Tag {name},\nIhr {car} ist wieder bei Ihnen. Bitte halten Sie ihn bis {from} trocken und waschen Sie ihn nicht vor dem {until}. Tropfen und Vogelkot mit einem nassen Tuch abnehmen, nicht reiben.\nIhre Seite: {page}\n{shop}',
    },
    'first-wash': {
      subject: 'Ihr {car} darf gewaschen werden',
      text: 'Guten Tag {name},\nab {from} darf Ihr {car} gewaschen werden: von Hand, mit zwei Eimern, sauberem Handschuh und mildem Shampoo. Bitte keine Bürstenwaschanlage.\nSo geht es: {page}\n{shop}',
    },
    'visit-due': {
      subject: 'Kontrolltermin für Ihren {car}',
      text: `Guten Tag {name},\nzwischen {from} und {until} möchten wir die Beschichtung Ihres {car} prüfen: Wäsche, Wasserprobe auf jedem Bauteil und ein frisches Pflegespray, etwa drei Stunden.\n{guarantee}\nTag anfragen: {page}\n${STOP}\n{shop}`,
    },
    'visit-overdue': {
      subject: 'Die Kontrolle Ihres {car} ist fällig',
      text: `Guten Tag {name},\ndie Kontrolle Ihres {car} war bis {until} fällig. Bitte wählen Sie bald einen Tag, der Ihnen passt.\n{guarantee}\nTag anfragen: {page}\n${STOP}\n{shop}`,
    },
    'panel-failed': {
      subject: 'Was wir an Ihrem {car} festgestellt haben',
      text: 'Guten Tag {name},\nbei der Prüfung war Ihr {car} in gutem Zustand, bis auf diese Stelle: {panels}. Dort ist die Beschichtung abgenutzt. {words}\nIhre Seite: {page}\n{shop}',
    },
    'frost-and-salt': {
      subject: 'Frost und Salz: Ihr {car}',
      text: `Guten Tag {name},\ndie Straßen werden gestreut. Spülen Sie Ihren {car} einmal in der Woche ab, auch Schweller und Radhäuser, und kratzen Sie kein Eis vom Lack.\nMehr dazu: {page}\n${STOP}\n{shop}`,
    },
    pollen: {
      subject: 'Blütenstaub auf Ihrem {car}',
      text: `Guten Tag {name},\nfeuchter Blütenstaub wird sauer. Spülen Sie Ihren {car} ab, bevor Sie ihn berühren, und wischen Sie den gelben Staub nie trocken weg.\nMehr dazu: {page}\n${STOP}\n{shop}`,
    },
    'guarantee-lapses': {
      subject: 'Die Garantie für Ihren {car} endet bald',
      text: `Guten Tag {name},\nunsere Garantie auf die Beschichtung Ihres {car} endet am {until}. Lassen Sie sie vorher prüfen: Was bis dahin versagt hat, bringen wir in Ordnung.\nTag anfragen: {page}\n${STOP}\n{shop}`,
    },
    renewal: {
      subject: 'Neue Beschichtung für Ihren {car}',
      text: `Guten Tag {name},\ndie Beschichtung Ihres {car} ist inzwischen wahrscheinlich abgenutzt. Wird sie bald erneuert, ist weniger Vorbereitung nötig. Sollen wir uns den Wagen ansehen?\nTag anfragen: {page}\n${STOP}\n{shop}`,
    },
    words: { subject: 'Ihr {car}', text: 'Guten Tag {name},\n{words}\nIhre Seite: {page}\n{shop}' },
  },
  guarantee: {
    'visit-due': 'Dieser Termin erhält Ihre Garantie.',
    'visit-overdue': 'Ohne ihn lässt sich Ihre Garantie nicht aufrechterhalten.',
  },
  repair: (day, onGuarantee) =>
    onGuarantee
      ? `Wir bringen das auf Garantie in Ordnung; der Termin ist am ${day}.`
      : `Wir können das in Ordnung bringen; der Termin ist am ${day}.`,
}
