import type { ForbidId } from '@/core/correction'

/** Why a method may not be used on a panel, or only so. Apart from the other words, since every card carries it. */
export const FORBIDDEN: Record<ForbidId, string> = {
  'never-polish-matte': 'Polishing a matte finish leaves shiny patches that never go away.',
  'never-cut-film': 'A wrap or film is not paint: a pad burns or lifts it.',
  'no-paint-on-bare-metal': 'There is no paint here to polish.',
  'not-for-this-material': 'This method is not meant for this material.',
  'no-wool-on-metallic-single-stage': 'A rotary or wool on metallic single-stage paint leaves tiger stripes.',
  'wool-with-care':
    'Single-stage paint comes off on the pad: little pressure, and check the pad after every section.',
  'nothing-coarse-on-plastic': 'Painted plastic heats first, and its paint cannot be measured.',
  'gloss-plastic-by-consent':
    'Gloss-black plastic is only polished after a good test spot, and when the customer agrees.',
  'fresh-paint': 'It was sprayed less than 30 days ago: still soft, so nothing that cuts. Ask the body shop.',
  'fresh-paint-gently': 'It was sprayed less than 30 days ago: a soft pad, little pressure, no heat.',
  'fresh-paint-unsealed': 'It was sprayed less than 30 days ago: nothing that seals it in yet.',
  'no-wool-over-filler':
    'There is probably filler under it: the heat of wool or a rotary lets an old repair show.',
  'gently-over-filler':
    'There is probably filler under it, and no gauge tells how much paint lies over it: keep it cool, and stop if an edge of the repair shows.',
  'no-wool-on-light-marks':
    'Wool or a rotary is too much for marks as light as these. Where milder methods fail at a test spot, try it there: a good spot allows it.',
  'disc-only-for-deep-marks': 'A sanding disc is for deep marks; here it would spend paint on nothing.',
  'milder-was-enough': 'At the test spot something milder was enough on panels like this.',
  'too-much-at-test-spot': 'At the test spot this, or something milder, did harm on panels like this.',
  'no-all-in-one-under-coating': 'An all-in-one leaves protection behind, and a coating does not bond to it.',
  'over-budget': 'It takes more paint than this panel can spare.',
}
