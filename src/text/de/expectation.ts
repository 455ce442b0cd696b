import type { InspectedShare, Standing, WhyLeft } from '@/core/offer'
import type { Region } from '@/core/region'
import { letterOf, wholeIndex } from '@/core/survey'
import type { ExpectationWords } from '../expectation'
import { measured, percent } from '../formats'
import { fillerUnder, panelsAhead } from './sentence'

const standing = (index: number) => `${letterOf(index)} (${wholeIndex(index)} von 100)`
/** What a condition rests on where not all of the car was inspected. */
const partly = ({ panels, of }: InspectedShare) => `nach ${panels} von ${of} geprüften Bauteilen`
const now = ({ before, inspected }: Standing) =>
  `Lackzustand jetzt: ${standing(before)}${inspected ? `, ${partly(inspected)}` : ''}.`

function because(why: WhyLeft, region: Region): string {
  switch (why.code) {
    case 'thin':
      return `der Lack ist dort zu dünn (${measured(region, 'depth', why.lowestUm)} an der dünnsten Stelle)`
    case 'nothing-to-spare':
      return 'es gibt dort keine Lackreserve'
    case 'little-to-spare':
      return `die Lackreserve beträgt dort nur ${measured(region, 'depth', why.spareUm, 1)}`
    case 'slight':
      return 'die Spuren sind zu gering, um dafür Lack abzutragen'
    case 'rule':
      return RULE[why.rule]
  }
}

const RULE: Record<Extract<WhyLeft, { code: 'rule' }>['rule'], string> = {
  'never-polish-matte': 'auf Mattlack hinterlässt Polieren glänzende Stellen',
  'never-cut-film': 'der Lack liegt unter einer Folie',
  'no-paint-on-bare-metal': 'auf blankem Metall ist kein Lack',
  'not-for-this-material': 'keines unserer Verfahren ist für dieses Material gedacht',
  'no-wool-on-metallic-single-stage': 'Einschicht-Metalliclack verträgt eine so kräftige Politur nicht',
  'wool-with-care': 'Einschichtlack wird nur mit Vorsicht poliert',
  'gloss-plastic-by-consent':
    'glänzend schwarzer Kunststoff wird nur nach einer guten Probefläche und mit Ihrem Einverständnis poliert',
  'fresh-paint': 'der Lack ist frisch und noch weich',
  'fresh-paint-gently': 'der Lack ist frisch und noch weich',
  'fresh-paint-unsealed': 'der Lack ist frisch und darf noch nicht versiegelt werden',
  'nothing-coarse-on-plastic': 'lackierter Kunststoff wird schnell heiß und lässt sich nicht messen',
  'no-wool-over-filler': 'Hitze lässt darunter womöglich eine alte Reparatur hervortreten',
  'gently-over-filler': 'unter dem Lack liegt wahrscheinlich Spachtelmasse',
  'no-wool-on-light-marks': 'die Spuren erfordern kein Lammfell',
  'disc-only-for-deep-marks': 'die Spuren erfordern keinen Schliff',
  'milder-was-enough': 'unsere Probefläche hat gezeigt, dass weniger genügt',
  'too-much-at-test-spot': 'unsere Probefläche hat gezeigt, dass Polieren dort schaden würde',
  'no-all-in-one-under-coating': 'auf dem, was die Politur zurücklässt, würde die Beschichtung nicht haften',
}

export const expectationInGerman: ExpectationWords = {
  partly,
  result: {
    'not-inspected': () =>
      'Der Lack ist noch nicht geprüft. Was Sie erwarten können, sagen wir Ihnen, sobald wir ihn unter der Lampe gesehen haben.',
    flawless: (state) =>
      `${now(state)} Es sind keine Mängel festgehalten: Das Fahrzeug wird geschützt, nicht korrigiert.`,
    'no-gain': (state) =>
      `${now(state)} Polieren würde daran nichts ändern; das Fahrzeug wird gereinigt und geschützt.`,
    slight: ({ clearedPercent, ...state }, region) =>
      `${now(state)} Die Spuren sind gering; etwa ${percent(region, clearedPercent)} davon werden entfernt.`,
    improved: ({ after, clearedPercent, ...state }, region) =>
      `${now(state)} Nach der Arbeit erwartet: ${letterOf(after)} (${wholeIndex(after)}); etwa ${percent(region, clearedPercent)} der Spuren werden entfernt.`,
  },
  paint: {
    'single-stage':
      'Dieses Fahrzeug hat Einschichtlack: Es gibt keinen Klarlack, daher nimmt jede Politur etwas von der Farbe selbst ab. Er lässt sich im Laufe seines Lebens nur begrenzt oft polieren.',
    matte: 'Mattlack wird nie poliert. Seine Spuren bleiben; er wird nur gereinigt und geschützt.',
    wrap: 'Das Fahrzeug ist foliert: Es wird gereinigt und geschützt, und den Lack darunter können wir nicht beurteilen.',
    gelcoat:
      'Die Dicke von Gelcoat lässt sich nicht messen, aber es ist dick: Wir schneiden und polieren, bis der Glanz zurück ist, und hören dort auf.',
    'bare-metal': 'Blankes Metall hat keinen Lack, der sich polieren ließe; es wird gereinigt und geschützt.',
  },
  left: (why, at, region) =>
    `${panelsAhead(region, at)}: wird nicht poliert, denn ${because(why, region)}. Es bleibt bei Reinigung und Schutz.`,
  remains: {
    'improved-only': (at, region) =>
      `${panelsAhead(region, at)}: Verbesserung, keine vollständige Korrektur; mehr würde Lack kosten, der gebraucht wird.`,
    'softened-only': (at, region) =>
      `${panelsAhead(region, at)}: Einzelne Spuren sind zu tief, um sie ohne Risiko auszupolieren. Sie fallen weniger auf, verschwinden aber nicht.`,
    filler: fillerUnder,
    'edge-taped': (at, region) =>
      `${panelsAhead(region, at)}: Die Kanten sind zu dünn zum Polieren. Sie werden abgeklebt, der Rest wird poliert.`,
    'fresh-uncoated': (at, region) =>
      `${panelsAhead(region, at)}: Der Lack ist keine 30 Tage alt und noch weich. Er wird höchstens sanft poliert und erst später geschützt.`,
    'under-film': (at, region) =>
      `${panelsAhead(region, at)}: bleibt unter der Folie; wird gereinigt und geschützt, nicht poliert.`,
    'film-comes-off': (at, region) =>
      `${panelsAhead(region, at)}: Den Lack unter der alten Folie hat noch niemand gesehen. Ist sie ab, prüfen und messen wir ihn und sagen Ihnen, was er braucht; geplant ist höchstens eine leichte Politur.`,
    'prep-skipped': (at, region) =>
      `${panelsAhead(region, at)}: Der Lack ist selbst für die leichte Politur unter der Beschichtung zu dünn. Er wird so beschichtet, wie er ist.`,
    'spot-reduced': (at, region) =>
      `${panelsAhead(region, at)}: Die Nacharbeit mildert die tiefste Spur; mehr gibt der Lack dort nicht her.`,
    'spot-refused': (at, region) =>
      `${panelsAhead(region, at)}: Keine punktuelle Nacharbeit, der Lack gibt sie nicht her. Die Spur bleibt.`,
    chips: (at, region) =>
      `${panelsAhead(region, at)}: Steinschläge bleiben und können stärker auffallen, sobald der Lack ringsum klar ist.`,
    'chips-touched-up': (at, region) =>
      `${panelsAhead(region, at)}: Steinschläge werden ausgetupft; versiegelt und weniger sichtbar, aber weiterhin zu finden.`,
    'nail-touched-up': (at, region) =>
      `${panelsAhead(region, at)}: Kratzer, an denen der Fingernagel hängen bleibt, werden ausgetupft; versiegelt und weniger sichtbar, aber weiterhin zu finden.`,
    nail: (at, region) =>
      `${panelsAhead(region, at)}: Kratzer, an denen der Fingernagel hängen bleibt, bleiben und können stärker auffallen, sobald der Lack ringsum klar ist.`,
  },
  bestFinish:
    'Das ist das beste Ergebnis, das dieser Lack in der angebotenen Zeit ohne Risiko erreichen kann; makellos wird es nicht. Einzelne Spuren bleiben unter der Prüflampe sichtbar.',
  someOnly:
    'Das ist, was in der angebotenen Zeit ohne Risiko für diesen Lack getan werden kann: Er wirkt frischer, aber es ist keine Korrektur. Die meisten Spuren bleiben unter der Prüflampe sichtbar.',
  gloss: (gu) =>
    `Der Glanz wird auf ${gu} GE gebracht, bei 60° nach jedem Schritt gemessen; ist er erreicht, wird kein Lack mehr abgetragen.`,
  coating: (life) =>
    `Die Beschichtung erleichtert das Waschen und hält den Glanz bei guter Pflege etwa ${life}, weniger, wenn das Fahrzeug im Freien steht oder durch Bürstenwaschanlagen fährt. Steinschläge und Kratzer verhindert sie nicht.`,
  seasonal: (life) =>
    `Der Schutz erleichtert das Waschen und hält den Glanz bei guter Pflege etwa ${life}, weniger, wenn das Fahrzeug im Freien steht oder durch Bürstenwaschanlagen fährt. Steinschläge und Kratzer verhindert er nicht.`,
}
