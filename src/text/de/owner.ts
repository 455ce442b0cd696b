import type { OwnerWords } from '../owner'

export const ownerInGerman: OwnerWords = {
  title: (shop) => `Ihr Auto bei ${shop}`,
  hello: (name) => `Guten Tag, ${name}.`,
  protectedWith: (products, since, until) =>
    `Geschützt mit ${products} seit ${since}, voraussichtlich bis ${until}.`,
  protectedUntil: (products, since, until) =>
    `Am ${since} mit ${products} geschützt; dieser Schutz ist seit ${until} wohl aufgebraucht.`,
  unprotected: 'Das wissen wir über Ihr Auto.',
  firstDays: 'Die ersten Tage',
  yearAhead: 'Das kommende Jahr',
  addToCalendar: 'In meinen Kalender',
  visit: {
    heading: 'Termin anfragen',
    expected: (day) => `Wir erwarten es am ${day}.`,
    here: 'Es ist gerade bei uns.',
    asked: (day) => `Sie haben einen Termin ab ${day} angefragt. Wir schreiben Ihnen.`,
    from: 'Jeder Tag ab',
    what: 'Was sollen wir ansehen? (freiwillig)',
    ask: 'Termin anfragen',
    asking: 'Wird gesendet…',
  },
  refused: {
    gone: 'Diese Seite ist nicht mehr offen. Bitten Sie die Werkstatt um einen neuen Link.',
    input: 'Wählen Sie einen Tag ab heute, innerhalb eines Jahres.',
    stale: 'Ihre Anfrage liegt uns schon vor; wir schreiben Ihnen.',
    other: 'Die Werkstatt antwortet nicht. Es wurde nichts gesendet. Bitte versuchen Sie es noch einmal.',
  },
  beforeAndAfter: 'Vorher und nachher',
  phase: { before: 'vorher', after: 'nachher' },
  rules: 'So bleibt es schön',
  print: 'Drucken',
  private:
    'Das ist Ihre private Seite. Jeder, der den Link hat, kann sie öffnen; bitte geben Sie ihn nicht weiter.',
}
