import type { HandoverWords } from '../handover'

export const handoverInGerman: HandoverWords = {
  headings: {
    handover: 'Übergabe',
    result: 'Ergebnis',
    remains: 'Was bleibt',
    panels: 'Vorher und nachher, Bauteil für Bauteil',
    beside: 'Außerdem erledigt',
    coatings: 'Aufgetragene Beschichtungen',
    inspection: 'Endkontrolle',
    weeksAhead: 'Die nächsten Wochen',
    payment: 'Zahlung',
  },
  columns: {
    name: 'Bauteil',
    process: 'Arbeit',
    film: (unit) => `Lackdicke, ${unit}`,
    taken: (unit) => `Abtrag, ${unit}`,
    gloss: 'Glanz, GU',
    seen: 'Endkontrolle',
  },
  shortJob: { visit: 'Pflegetermin', repair: 'Ausbesserung der Beschichtung' },
  title: (packageName, job, day) => `${packageName}, Auftrag ${job}, ${day}`,
  noPolishing: 'nicht poliert',
  planned: (process) => `geplant: ${process}`,
  change: (before, after) => `${before} auf ${after}`,
  noLoss: 'nichts messbar',
  notFinished: 'Die Arbeit ist noch nicht fertig: Dieses Blatt zeigt den heutigen Stand.',
  notMeasured: 'nicht gemessen',
  passed: 'in Ordnung',
  cleared: (percent) => `${percent} der Spuren entfernt`,
  expected: ({ before, after, percent }) =>
    `Lackzustand vorher: ${before}. Nach der Arbeit erwartet: ${after}; etwa ${percent} der Spuren entfernt.`,
  reached: (percent) => `Unter der Prüflampe sind etwa ${percent} davon verschwunden.`,
  short: (panels) => `Wie vereinbart bearbeitet, aber nicht alles ließ sich entfernen: ${panels}.`,
  layer: ({ number, product, lot, moment, by, air, humidity, panel }) =>
    `${number}. ${product}, Charge ${lot}, ${moment}, von ${by}; Luft ${air}, ${humidity}, Blech ${panel}`,
  part: ({ at, of }) => `Teil ${at} von ${of}`,
  again: (place) => `${place} noch einmal`,
  highSpot: {
    're-wet': (panel) => `${panel}: Ein Überstand der Beschichtung wurde geglättet.`,
    polished: (panel) => `${panel}: Ein Überstand der Beschichtung wurde abpoliert und neu beschichtet.`,
  },
  inspected: (people, isFresh) =>
    `Bauteil für Bauteil geprüft von ${people}, ${isFresh ? 'an diesem Lack nicht beteiligt' : 'mit einer Nacht zwischen Arbeit und Prüfung'}: keine Mängel.`,
  reworked: (places) =>
    places === 1
      ? 'Eine Stelle wurde zuvor nachgearbeitet.'
      : `${places} Stellen wurden zuvor nachgearbeitet.`,
  neverInspected: 'Es wurde keine Endkontrolle festgehalten.',
  notInspected: 'Noch nicht abgeschlossen.',
  agreed: (amount, tax) => `Gesamtpreis: ${amount}${tax ? `, inklusive ${tax}` : ''}`.replace(/\.?$/, '.'),
  paid: (amount, way, day) => `Bezahlt ${amount} ${way}, ${day}`,
  way: { card: 'mit Karte', cash: 'in bar', transfer: 'per Überweisung' },
  due: (amount) => `Offener Betrag: ${amount}.`,
  overpaid: (amount) => `Überzahlt um ${amount}. Wir erstatten den Betrag.`,
  paidInFull: 'Vollständig bezahlt.',
  wheels:
    'Die Räder waren abgenommen. Die Radmuttern wurden mit dem Drehmoment des Herstellers angezogen; bitte lassen Sie sie nach der ersten Fahrt nachprüfen.',
  tightened: (torque, wrench) =>
    `Die Räder waren abgenommen. Die Radmuttern wurden mit ${torque} angezogen (Drehmomentschlüssel ${wrench}); bitte lassen Sie sie nach den ersten 50 bis 100 km nachprüfen.`,
  letGo: (name, until) =>
    `Abgeholt, bevor die Beschichtung nass werden darf (${until}), wie von ${name} gewünscht und unterschrieben. Wasserflecken, die davon kommen, gehen nicht zu unseren Lasten.`,
  dataSheets: 'Wo Datenblätter der Produkte oder örtliche Vorschriften anderes sagen, gehen sie vor.',
  received: (name) => `Erhalten: ${name} (Unterschrift und Datum)`,
}
