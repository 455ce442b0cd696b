import { list } from '../formats'
import { markName, markNeeds } from '../marks'
import { placeTitle } from '../panels'
import type { SignOffWords } from '../sign-off'
import { many, sentence } from './sentence'
import { fillerUnder, isSeveral, thePanels } from './the-panels'

export const signOffInEnglish: SignOffWords = {
  title: 'Before we begin',
  line: {
    'nail-catchers-stay': (at, region) =>
      `Scratches on ${thePanels(region, at)} that catch a fingernail will remain. They are too deep to polish out safely, and may look more obvious once the paint around them is clear.`,
    'chips-stay': (at, region) =>
      `Stone chips on ${thePanels(region, at)} will remain. They are holes in the paint; touching them up is a separate job.`,
    'chips-touched-up': (at, region) =>
      `Stone chips on ${thePanels(region, at)} are touched up as part of this work. They are sealed and less visible, but can still be found.`,
    'dents-stay': (at, region) =>
      `Dents on ${thePanels(region, at)} will remain. A dent specialist can be called in before the polishing.`,
    'failing-clear-stays': (at, region) =>
      `The clear coat on ${thePanels(region, at)} is coming away. Only a respray can put that right.`,
    'thin-panel-left': (at, region) =>
      `The paint on ${thePanels(region, at)} is thin. It is cleaned and protected but not polished, and its marks will remain.`,
    'stays-for-thin-paint': (at, region) =>
      `The paint on ${thePanels(region, at)} is too thin to polish the marks out safely. They will remain.`,
    'too-deep-to-remove': (at, region) =>
      `Some marks on ${thePanels(region, at)} are too deep to polish out safely. They will remain.`,
    'softened-only': (fact, region) =>
      `${sentence(
        list(
          region,
          fact.kinds.map((kind) => markName(region, kind)),
        ),
      )} on ${thePanels(region, fact)} will be reduced, not removed. They will be less visible, but will still show under an inspection lamp.`,
    'earlier-correction': (at, region) =>
      `${sentence(thePanels(region, at))} ${many(isSeveral(at), 'have', 'has')} been machine polished before. We will remove less paint there this time, to keep a safe reserve.`,
    repainted: (at, region) =>
      `${sentence(thePanels(region, at))} ${many(isSeveral(at), 'have', 'has')} been resprayed. ${many(isSeveral(at), 'Their', 'Its')} colour and gloss may differ slightly from the rest of the car, before and after our work.`,
    filler: fillerUnder,
    unread: (at, region) =>
      `The paint on ${thePanels(region, at)} cannot be measured. We use only the mildest polish there, and some marks will remain.`,
    'under-film': (at, region) =>
      at.everywhere
        ? 'The paint is under a wrap or film. It is cleaned, not polished, and we cannot judge the paint beneath.'
        : `There is a film on ${thePanels(region, at)}. It is cleaned, not polished, and we cannot judge the paint beneath.`,
    'not-inspected': (at, region) =>
      at.everywhere
        ? 'The paint has not been inspected under the lamp. We promise nothing about its marks.'
        : `${sentence(thePanels(region, at))} ${many(isSeveral(at), 'have', 'has')} not been inspected under the lamp. We promise nothing about ${many(isSeveral(at), 'their', 'its')} marks.`,
    'beside-the-paint': ({ place, defect, included }, region) => {
      const note = defect.note.trim()
      const what = `${placeTitle(region, place)}: ${markName(region, defect.kind)}${note ? ` (${note})` : ''}.`
      return included
        ? `${what} Already there when the car arrived; it is treated as part of this work, as far as it goes.`
        : `${what} Already there when the car arrived and not part of this work. It ${markNeeds(region, defect.kind)}.`
    },
  },
  nothingRemains: 'We found no marks that will have to remain.',
  declaration:
    'We polish only as far as is safe for the paint. The marks listed above will remain, either because polishing cannot remove them or because removing them would take more paint than the panel can spare. I have read this list and it has been explained to me.',
  job: (number) => `job ${number}`,
}
