import type { WorkWords } from '../work'

export const workInGerman: WorkWords = {
  process: {
    'all-in-one': 'einstufige Politur mit Schutz',
    'one-step-polish': 'leichte einstufige Politur',
    'one-step-cut': 'einstufige Lackkorrektur',
    'two-step': 'zweistufige Lackkorrektur',
    'two-step-wool': 'kräftige zweistufige Lackkorrektur',
    'disc-two-step': 'Feinschliff und zweistufige Lackkorrektur',
  },
  surface: {
    paint: 'Lack',
    glass: 'Glas',
    trim: 'Außenkunststoffe',
    wheels: 'Felgen',
    fabric: 'Textil',
    leather: 'Leder',
    chrome: 'Chrom',
  },
  extra: {
    'spot-work': {
      name: 'punktuelle Nacharbeit',
      means: 'Ein tiefer Kratzer, gemildert, so weit das Bauteil es hergibt, und angeglichen.',
    },
    'touch-up': {
      name: 'Austupfen von Steinschlägen',
      means: 'Mit dem Pinsel gefüllt und getrocknet, bevor beschichtet wird. Versiegelt, nicht verschwunden.',
    },
    headlamps: { name: 'Scheinwerferaufbereitung', means: 'Trübe Scheiben klar poliert und versiegelt.' },
    'glass-polish': {
      name: 'Glaspolitur',
      means: 'Kalkflecken und leichte Wischerkratzer auspoliert.',
    },
    'wheels-off': {
      name: 'Räder demontiert',
      means: 'Alle vier abgenommen, innen und dahinter gereinigt.',
    },
    'soft-top': {
      name: 'Verdeck',
      means: 'Gebürstet, bis der Schaum weiß bleibt, getrocknet und imprägniert.',
    },
    'engine-bay': {
      name: 'Motorraum',
      means: 'Abgedeckt, wo er trocken bleiben muss, mit dem Pinsel gereinigt und ausgewischt, ohne Strahl.',
    },
    interior: { name: 'Innenraum', means: 'Gesaugt, gewischt, Flecken behandelt, so weit es geht.' },
  },
  trade: {
    dents: 'Dellenentfernung',
    wheels: 'Felgenaufbereitung',
    paint: 'Neulackierung',
    film: 'Folierung',
    glass: 'Glasreparatur',
    upholstery: 'Sattlerei',
  },
  skill: { prep: 'Vorbereitung', correct: 'Lackkorrektur', coat: 'Beschichtung' },
  activity: {
    wash: 'Wäsche und Dekontamination',
    mask: 'Abkleben und Prüfung',
    cut: 'Maschinenpolitur',
    refine: 'Maschinenpolitur',
    polish: 'Maschinenpolitur',
    wipe: 'Entfetten vor der Beschichtung',
    surface: 'weitere Oberflächen',
    layer: 'Auftragen der Beschichtung',
    hold: 'Trocknung',
    extra: 'Zusatzleistungen',
    vendor: 'Fremdleistungen',
    look: 'Prüfung',
    finish: 'Endkontrolle',
  },
  care: {
    usual: 'Jeder Abschnitt wird unter der Prüflampe kontrolliert.',
    highest:
      'Gearbeitet wird in kleinen Abschnitten und langsam; jeder wird zweimal unter zwei Lampen kontrolliert.',
  },
}
