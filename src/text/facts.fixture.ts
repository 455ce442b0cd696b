import { FORBID_IDS } from '@/core/correction'
import { type Expectation, LIMITING_PAINTS, REMAINING_CODES, type WhyLeft } from '@/core/offer'
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

const WHY_LEFT: readonly WhyLeft[] = [
  { code: 'thin', lowestUm: 73 },
  { code: 'nothing-to-spare' },
  { code: 'little-to-spare', spareUm: 1.2 },
  { code: 'slight' },
  ...FORBID_IDS.flatMap((rule) => (rule === 'over-budget' ? [] : [{ code: 'rule', rule } as const])),
]

export const EXPECTATIONS: readonly Expectation[] = [
  { kind: 'result', code: 'not-inspected' },
  { kind: 'result', code: 'flawless', before: 100 },
  { kind: 'result', code: 'no-gain', before: 82 },
  { kind: 'result', code: 'slight', before: 97, clearedPercent: 60 },
  { kind: 'result', code: 'improved', before: 70, after: 92, clearedPercent: 83 },
  ...LIMITING_PAINTS.map((paint) => ({ kind: 'limit', code: 'paint', paint }) as const),
  ...WHY_LEFT.flatMap((why) => AT.map((at) => ({ kind: 'stays', code: 'left', why, ...at }) as const)),
  ...REMAINING_CODES.flatMap((code) => AT.map((at) => ({ kind: 'stays', code, ...at }) as const)),
  { kind: 'limit', code: 'best-finish' },
  { kind: 'limit', code: 'some-only' },
  { kind: 'protection', code: 'coating', lifeMonths: 60 },
  { kind: 'protection', code: 'coating', lifeMonths: 18 },
  { kind: 'protection', code: 'seasonal', lifeMonths: 8 },
]
