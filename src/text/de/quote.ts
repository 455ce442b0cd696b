import type { QuoteWords } from '../quote-words'

export const quoteInGerman: QuoteWords = {
  headings: {
    expect: 'Was Sie erwarten dürfen',
    work: 'Enthaltene Arbeiten',
    protection: 'Aufgetragener Schutz',
    price: 'Preis',
    darker: 'Je dunkler, desto kräftiger die Politur.',
  },
  title: (version, day) => `Angebot ${version} vom ${day}`,
  draft: 'Angebotsentwurf',
  forCustomer: (name) => `für ${name}`,
  job: (number) => `Auftrag ${number}`,
  validUntil: (day) => `Gültig bis ${day}.`,
  validFor: (days) => `Gültig für ${days === 1 ? 'einen Tag' : `${days} Tage`}, sobald es gespeichert ist.`,
  couldCollect: (day, time) =>
    `Bei Annahme am Tag der Erstellung wäre das Fahrzeug am ${day} um ${time} fertig gewesen. Den Termin bestätigen wir bei Ihrer Zusage.`,
  wash: 'Handwäsche und Dekontamination (Flugrost, Teer, Knete) nach Bedarf.',
  on: (process, panels) => `${process}: ${panels}.`,
  everyPanel: 'alle Bauteile',
  cleanedOnly: (panels) => `Gereinigt, nicht poliert: ${panels}.`,
  afterwards: 'dann',
  applied: (surface, products) => `${surface}: ${products}.`,
  excludingTax: () => 'Nettopreis',
  includedTax: (tax, percent) => `enthält ${tax} ${percent}`,
  noTax: (tax) => `ohne ${tax}`,
  total: 'Gesamtpreis',
  deposit: (percent) => `Anzahlung von ${percent} vor Beginn der Arbeiten`,
  consumables: 'Pads, Tücher und Klebeband',
  discount: (percent) => `Rabatt ${percent}`,
  by: (trade, name) => `${trade} durch ${name}`,
  accepted: (name) => `Angenommen: ${name} (Unterschrift und Datum)`,
  forShop: (shop) => `Für ${shop}`,
  change: {
    draft: 'Entwurf eines Nachtrags',
    title: (version, day) => `Nachtrag ${version} vom ${day}`,
    calledOff: (version, day) => `Abbestellt, Fassung ${version} vom ${day}`,
    of: (day) =>
      `Er ändert, was wir am ${day} vereinbart haben. Alles hier nicht Genannte bleibt wie vereinbart.`,
    ofCalledOff: (day) =>
      `Was wir am ${day} vereinbart haben, ist abbestellt. Was bis jetzt getan wurde, wird wie vereinbart berechnet.`,
    found: 'Was wir gefunden haben',
    why: 'Grund',
    otherwise: 'Ohne den Nachtrag',
    heading: 'Was sich am Preis ändert',
    dropped: (line) => `Entfällt: ${line}`,
    before: 'Bisher vereinbart, mit Steuer',
    difference: 'Unterschied, mit Steuer',
    couldCollect: (day, time) =>
      `Damit ist das Fahrzeug am ${day} um ${time} fertig, wenn Sie jetzt zustimmen.`,
  },
}
