import { DEFECT_KINDS, SIGN_OFF_RULES, type SignOffFact } from '@/core/survey'

/** Facts of every kind, for catalogues to be read through in each language. */

const AT = [
  { panels: ['bonnet'], everywhere: false },
  { panels: ['roof', 'front-wing-left', 'tailgate'], everywhere: false },
  { panels: ['bonnet', 'roof'], everywhere: true },
]

export const SIGN_OFF_FACTS: readonly SignOffFact[] = SIGN_OFF_RULES.flatMap((rule): SignOffFact[] => {
  if (rule === 'beside-the-paint')
    return [true, false].flatMap((included) =>
      ['', 'at the valve'].map((note) => ({
        rule,
        place: 'wheel-front-right',
        defect: { kind: 'kerbed', severity: 2, note },
        included,
      })),
    )
  if (rule === 'softened-only')
    return AT.flatMap((at) =>
      [DEFECT_KINDS.slice(0, 1), DEFECT_KINDS.slice(1, 4)].map((kinds) => ({ rule, kinds, ...at })),
    )
  return AT.map((at) => ({ rule, ...at }))
})
