import type { WorkWords } from '../work'

export const workInGerman: WorkWords = {
  process: {
    'light-polish': 'leichte Politur',
    'small-two-step': 'sanfte Korrektur in zwei Schritten mit kleiner Maschine',
    'cut-all-in-one': 'Korrektur, danach Politur mit Schutz',
    'two-step-hand': 'Korrektur in zwei Schritten, letzter Durchgang von Hand',
    'all-in-one': 'einstufige Politur mit Schutz',
    'one-step-polish': 'leichte einstufige Politur',
    'one-step-cut': 'einstufige Lackkorrektur',
    'two-step': 'zweistufige Lackkorrektur',
    'two-step-wool': 'kräftige zweistufige Lackkorrektur',
    'disc-two-step': 'Feinschliff und zweistufige Lackkorrektur',
  },
  machine: {
    rotary: 'Rotationsmaschine',
    'forced-rotation': 'Maschine mit Zwangsantrieb',
    'long-throw': 'Exzentermaschine mit großem Hub',
    'short-throw': 'Exzentermaschine mit kleinem Hub',
    small: 'kleine Maschine',
    hand: 'von Hand',
  },
  pad: {
    'disc-3000': 'Schaumscheibe, Körnung 3000',
    wool: 'Wolle',
    microfibre: 'Mikrofaser',
    'foam-cut': 'Schleifschaum',
    'foam-polish': 'Polierschaum',
    'foam-finish': 'Finishschaum',
    'soft-puck': 'weiches Handkissen',
  },
  liquid: {
    'heavy-compound': 'grobe Schleifpaste',
    'medium-polish': 'mittlere Politur',
    'finishing-polish': 'Finishpolitur',
    'all-in-one': 'All-in-one',
    water: 'Wasser',
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
    trim: {
      name: 'Kunststoffaufbereitung',
      means: 'Verblasste Kunststoffe gereinigt, aufgefrischt und geschützt.',
    },
    chrome: { name: 'Chrompolitur', means: 'Chrom gereinigt und von Hand poliert; Narben bleiben.' },
    'film-off': {
      name: 'alte Folie entfernt',
      means: 'Erwärmt, Teil für Teil abgezogen, Kleber entfernt. Der Farbton darunter kann abweichen.',
    },
    'strip-coating': {
      name: 'alte Beschichtung entfernt',
      means: 'Nach Vorgabe ihres Herstellers entfernt, bevor Neues daraufkommt.',
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
