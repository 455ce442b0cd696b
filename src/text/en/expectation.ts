import type { InspectedShare, Standing, WhyLeft } from '@/core/offer'
import type { Region } from '@/core/region'
import { letterOf, wholeIndex } from '@/core/survey'
import type { ExpectationWords } from '../expectation'
import { measured, percent } from '../formats'
import { many, sentence } from './sentence'
import { fillerUnder, isSeveral, thePanels } from './the-panels'

const standing = (index: number) => `${letterOf(index)} (${wholeIndex(index)} out of 100)`
/** What a condition rests on where not all of the car was inspected. */
const partly = ({ panels, of }: InspectedShare) => `from ${panels} of ${of} panels inspected`
const now = ({ before, inspected }: Standing) =>
  `Paint condition now: ${standing(before)}${inspected ? `, ${partly(inspected)}` : ''}.`

function because(why: WhyLeft, several: boolean, region: Region): string {
  switch (why.code) {
    case 'thin':
      return `${many(several, 'their', 'its')} paint is too thin (${measured(region, 'depth', why.lowestUm)} at the thinnest point)`
    case 'nothing-to-spare':
      return `${many(several, 'they have', 'it has')} no paint to spare`
    case 'little-to-spare':
      return `${many(several, 'they have', 'it has')} only ${measured(region, 'depth', why.spareUm, 1)} of paint to spare`
    case 'slight':
      return `${many(several, 'their', 'its')} marks are too slight to spend paint on`
    case 'rule':
      return RULE[why.rule](several)
  }
}

const RULE: Record<Extract<WhyLeft, { code: 'rule' }>['rule'], (several: boolean) => string> = {
  'never-polish-matte': () => 'polishing leaves shiny patches on a matte finish',
  'never-cut-film': (several) => `${many(several, 'they are', 'it is')} under a wrap or film`,
  'no-paint-on-bare-metal': () => 'there is no paint on bare metal',
  'not-for-this-material': (several) =>
    `none of our methods is meant for what ${many(several, 'they are', 'it is')} made of`,
  'no-wool-on-metallic-single-stage': () => 'metallic single-stage paint must not be polished that hard',
  'wool-with-care': () => 'single-stage paint is polished with care only',
  'gloss-plastic-by-consent': () =>
    'gloss-black plastic is only polished after a good test spot, and if you agree',
  'fresh-paint': (several) => `${many(several, 'their', 'its')} paint is fresh and still soft`,
  'fresh-paint-gently': (several) => `${many(several, 'their', 'its')} paint is fresh and still soft`,
  'fresh-paint-unsealed': (several) =>
    `${many(several, 'their', 'its')} paint is fresh and must not be sealed in yet`,
  'nothing-coarse-on-plastic': () => 'painted plastic heats quickly and cannot be measured',
  'no-wool-over-filler': (several) => `heat may let the old repair under ${many(several, 'them', 'it')} show`,
  'gently-over-filler': (several) =>
    `there is probably body filler under ${many(several, 'their', 'its')} paint`,
  'no-wool-on-light-marks': (several) => `${many(several, 'their', 'its')} marks do not need wool`,
  'disc-only-for-deep-marks': (several) => `${many(several, 'their', 'its')} marks do not need sanding`,
  'milder-was-enough': () => 'our test spot showed that less is enough',
  'too-much-at-test-spot': () => 'our test spot showed that polishing would do harm',
  'no-all-in-one-under-coating': () => 'a coating would not bond to what the polish leaves behind',
}

export const expectationInEnglish: ExpectationWords = {
  partly,
  result: {
    'not-inspected': () =>
      'The paint has not been inspected yet. We tell you what to expect once we have seen it under the lamp.',
    flawless: (state) => `${now(state)} No defects are recorded: the car is protected, not corrected.`,
    'no-gain': (state) => `${now(state)} Polishing would not improve this; the car is cleaned and protected.`,
    slight: ({ clearedPercent, ...state }, region) =>
      `${now(state)} The marks are slight; about ${percent(region, clearedPercent)} of them will be removed.`,
    improved: ({ after, clearedPercent, ...state }, region) =>
      `${now(state)} Expected after the work: ${letterOf(after)} (${wholeIndex(after)}), with about ${percent(region, clearedPercent)} of the marks removed.`,
  },
  paint: {
    'single-stage':
      'This car has single-stage paint: there is no clear coat, so every polish removes some of the colour itself. It can be polished only a limited number of times in its life.',
    matte: 'Matte paint is never polished. Its marks will remain; it is cleaned and protected only.',
    wrap: 'The car is wrapped: it is cleaned and protected, and we cannot judge the paint beneath.',
    gelcoat:
      'Gelcoat cannot be measured, but it is thick: we cut and polish it until the gloss is back, and stop there.',
    'bare-metal': 'Bare metal has no paint to polish; it is cleaned and protected.',
  },
  left: (why, at, region) =>
    `${sentence(thePanels(region, at))} will not be polished: ${because(why, isSeveral(at), region)}. We will clean and protect ${many(isSeveral(at), 'them', 'it')}.`,
  remains: {
    'improved-only': (at, region) =>
      `${sentence(thePanels(region, at))} will be improved, not fully corrected: more would take paint ${many(isSeveral(at), 'they need', 'it needs')}.`,
    'softened-only': (at, region) =>
      `Some marks on ${thePanels(region, at)} are deeper than is safe to polish out. They will be less visible, not removed.`,
    filler: fillerUnder,
    'edge-taped': (at, region) =>
      `The edges of ${thePanels(region, at)} are too thin to polish: they are taped, and the rest is polished.`,
    'fresh-uncoated': (at, region) =>
      `The paint of ${thePanels(region, at)} was sprayed less than 30 days ago and is still soft. It is polished gently if at all, and protected later.`,
    'under-film': (at, region) =>
      `${sentence(thePanels(region, at))} ${many(isSeveral(at), 'stay', 'stays')} under ${many(isSeveral(at), 'their', 'its')} film: cleaned and protected, not polished.`,
    'film-comes-off': (at, region) =>
      `Nobody has seen the paint under the old film on ${thePanels(region, at)}. Once it is off, we inspect and measure it and tell you what it needs; a light polish at most is planned.`,
    'prep-skipped': (at, region) =>
      `The paint of ${thePanels(region, at)} is too thin even for the light polish under the coating. It is coated as it is.`,
    'spot-reduced': (at, region) =>
      `Spot work softens the deepest mark on ${thePanels(region, at)}: the paint there cannot spare more.`,
    'spot-refused': (at, region) =>
      `No spot work on ${thePanels(region, at)}: the paint there cannot spare it. The mark stays.`,
    chips: (at, region) =>
      `Stone chips on ${thePanels(region, at)} will remain, and may be more noticeable once the paint around them is clear.`,
    'chips-touched-up': (at, region) =>
      `Stone chips on ${thePanels(region, at)} are touched up: sealed and less visible, but still to be found.`,
    'nail-touched-up': (at, region) =>
      `Scratches on ${thePanels(region, at)} that catch a fingernail are touched up: sealed and less visible, but still to be found.`,
    nail: (at, region) =>
      `Scratches on ${thePanels(region, at)} that catch a fingernail will remain, and may be more noticeable once the paint around them is clear.`,
  },
  bestFinish:
    'This is the best finish this paint can safely be given in the time quoted; it will not be flawless. A few marks will still show under an inspection lamp.',
  someOnly:
    'This is what the time quoted can do safely for this paint: it looks fresher, but it is not a correction. Most of the marks will still show under an inspection lamp.',
  gloss: (gu) =>
    `The gloss is worked to ${gu} GU, measured at 60° and read after each step; once it is reached, no more paint is spent.`,
  coating: (life) =>
    `The coating makes washing easier and keeps the gloss for about ${life} with good care, less if the car lives outdoors or goes through brush car washes. It does not prevent stone chips or scratches.`,
  seasonal: (life) =>
    `The protection makes washing easier and keeps the gloss for about ${life} with good care, less if the car lives outdoors or goes through brush car washes. It does not prevent stone chips or scratches.`,
}
