import { list } from '../formats'
import { markName, markNeeds } from '../marks'
import { placeTitle } from '../panels'
import type { SignOffWords } from '../sign-off'
import { fillerUnder, panelsAhead } from './sentence'

export const signOffInGerman: SignOffWords = {
  title: 'Bevor wir beginnen',
  line: {
    'nail-catchers-stay': (fact, region) =>
      `${panelsAhead(region, fact)}: Kratzer, an denen der Fingernagel hängen bleibt, bleiben. Sie sind zu tief, um sie ohne Risiko auszupolieren, und können stärker auffallen, sobald der Lack ringsum klar ist.`,
    'chips-stay': (fact, region) =>
      `${panelsAhead(region, fact)}: Steinschläge bleiben. Sie sind Löcher im Lack; sie auszutupfen ist eine eigene Leistung.`,
    'chips-touched-up': (fact, region) =>
      `${panelsAhead(region, fact)}: Steinschläge werden im Rahmen dieses Auftrags ausgetupft. Sie sind dann versiegelt und weniger sichtbar, aber weiterhin zu finden.`,
    'dents-stay': (fact, region) =>
      `${panelsAhead(region, fact)}: Dellen bleiben. Vor dem Polieren kann ein Dellendoktor hinzugezogen werden.`,
    'failing-clear-stays': (fact, region) =>
      `${panelsAhead(region, fact)}: Der Klarlack löst sich ab. Das kann nur eine Neulackierung beheben.`,
    'thin-panel-left': (fact, region) =>
      `${panelsAhead(region, fact)}: Der Lack ist dünn. Er wird gereinigt und geschützt, aber nicht poliert; vorhandene Spuren bleiben.`,
    'stays-for-thin-paint': (fact, region) =>
      `${panelsAhead(region, fact)}: Der Lack ist zu dünn, um die Spuren ohne Risiko auszupolieren. Sie bleiben.`,
    'too-deep-to-remove': (fact, region) =>
      `${panelsAhead(region, fact)}: Einzelne Spuren sind zu tief, um sie ohne Risiko auszupolieren. Sie bleiben.`,
    'softened-only': (fact, region) =>
      `${panelsAhead(region, fact)}: ${list(
        region,
        fact.kinds.map((kind) => markName(region, kind)),
      )} werden gemildert, nicht entfernt. Sie fallen weniger auf, sind unter der Prüflampe aber weiterhin zu sehen.`,
    'earlier-correction': (fact, region) =>
      `${panelsAhead(region, fact)}: Hier wurde schon früher mit der Maschine poliert. Wir nehmen dieses Mal weniger Lack ab, damit eine sichere Reserve bleibt.`,
    repainted: (fact, region) =>
      `${panelsAhead(region, fact)}: nachlackiert. Farbton und Glanz können vor wie nach unserer Arbeit leicht vom übrigen Fahrzeug abweichen.`,
    filler: fillerUnder,
    unread: (fact, region) =>
      `${panelsAhead(region, fact)}: Die Lackdicke lässt sich hier nicht messen. Wir verwenden nur die mildeste Politur, und manche Spuren bleiben.`,
    'under-film': (fact, region) =>
      `${panelsAhead(region, fact)}: Der Lack liegt unter einer Folie. Sie wird gereinigt, nicht poliert, und den Lack darunter können wir nicht beurteilen.`,
    'not-inspected': (fact, region) =>
      `${panelsAhead(region, fact)}: Der Lack wurde dort nicht unter der Lampe geprüft. Über Spuren dort sagen wir nichts zu.`,
    'beside-the-paint': ({ place, defect, included }, region) => {
      const note = defect.note.trim()
      const what = `${placeTitle(region, place)}: ${markName(region, defect.kind)}${note ? ` (${note})` : ''}.`
      return included
        ? `${what} War bei der Annahme schon vorhanden; wird im Rahmen dieses Auftrags behandelt, so weit es geht.`
        : `${what} War bei der Annahme schon vorhanden und ist nicht Teil dieses Auftrags. Der Mangel ${markNeeds(region, defect.kind)}.`
    },
  },
  nothingRemains: 'Wir haben keine Spuren gefunden, die bleiben müssen.',
  declaration:
    'Wir polieren nur so weit, wie es dem Lack nicht schadet. Die oben genannten Spuren bleiben, weil Polieren sie nicht entfernen kann oder weil dabei mehr Lack abgetragen würde, als das Bauteil hergeben kann. Ich habe diese Liste gelesen, und sie wurde mir erklärt.',
  job: (number) => `Auftrag ${number}`,
}
