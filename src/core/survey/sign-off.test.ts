import { describe, expect, test } from 'vitest'
import { isMetal, panelsOf, placesOf } from '../vehicle'
import type { Defect } from './defects'
import { judge, type SurveyInput } from './judge'
import { type Mends, SIGN_OFF_RULES, type SignOffFact, type SignOffRule, signOffFor } from './sign-off'

const panels = panelsOf('pickup')
const even = Object.fromEntries(
  panels.filter(({ substrate }) => isMetal(substrate)).map(({ id }) => [id, [110, 111, 109]]),
)
const defect = (more: Partial<Defect>): Defect => ({
  kind: 'swirls',
  severity: 2,
  extentPercent: 40,
  catchesNail: false,
  ...more,
})
const signOff = (
  more: Partial<SurveyInput>,
  places: Parameters<typeof signOffFor>[0]['places'] = [],
  mends?: Mends,
): SignOffFact[] => {
  const { panels: judged } = judge({
    panels,
    paintSystem: 'clear-over-base',
    school: 'both',
    readings: even,
    defects: {},
    inspected: panels.map(({ id }) => id),
    ...more,
  })
  return signOffFor({ panels: judged, places }, mends)
}
const rules = (facts: SignOffFact[]) => facts.map(({ rule }) => rule)
const only = (facts: SignOffFact[], rule: SignOffRule) => facts.find((fact) => fact.rule === rule)

test('a sound car has nothing to be signed', () => expect(signOff({})).toEqual([]))

const taken = { bonnet: { takenUm: 4.4, uncertaintyUm: 0.6 } }
const chips = [defect({ kind: 'chips' })]
const chipsMended: Mends = (kind) => kind === 'chips'
/** One case that makes each line of panels be said, and on which of them. */
const CASES: Record<Exclude<SignOffRule, 'beside-the-paint'>, [Partial<SurveyInput>, string[], Mends?]> = {
  'nail-catchers-stay': [{ defects: { roof: [defect({ kind: 'scratches', catchesNail: true })] } }, ['roof']],
  'chips-stay': [{ defects: { bonnet: chips } }, ['bonnet']],
  'chips-touched-up': [{ defects: { bonnet: chips } }, ['bonnet'], chipsMended],
  'dents-stay': [{ defects: { tailgate: [defect({ kind: 'dents' })] } }, ['tailgate']],
  'failing-clear-stays': [{ defects: { roof: [defect({ kind: 'clear-failure' })] } }, ['roof']],
  'stays-for-thin-paint': [
    { readings: { ...even, roof: [78.5, 78.5, 78.5] }, defects: { roof: [defect({ severity: 3 })] } },
    ['roof'],
  ],
  'too-deep-to-remove': [
    { defects: { 'front-bumper': [defect({ kind: 'scratches', severity: 3 })] } },
    ['front-bumper'],
  ],
  'softened-only': [{ defects: { roof: [defect({ kind: 'scratches' })] } }, ['roof']],
  'thin-panel-left': [{ readings: { ...even, roof: [70, 70, 71] } }, ['roof']],
  'earlier-correction': [{ taken }, ['bonnet']],
  repainted: [{ readings: { ...even, 'front-wing-left': [240, 241, 239] } }, ['front-wing-left']],
  filler: [{ readings: { ...even, roof: [430, 500, 610] } }, ['roof']],
  unread: [{ defects: { 'mirror-left': [defect({})] } }, ['mirror-left']],
  'under-film': [{ films: ['bonnet'] }, ['bonnet']],
  'not-inspected': [{ inspected: panels.map(({ id }) => id).filter((id) => id !== 'roof') }, ['roof']],
}

test.each(Object.keys(CASES) as (keyof typeof CASES)[])(
  '%s is said where it holds and nowhere else',
  (rule) => {
    const [input, where, mends] = CASES[rule]
    expect(only(signOff(input, [], mends), rule)).toMatchObject({ panels: where, everywhere: false })
    expect(rules(signOff({}))).not.toContain(rule)
  },
)

test('every rule has a case', () =>
  expect(new Set([...Object.keys(CASES), 'beside-the-paint'])).toEqual(new Set(SIGN_OFF_RULES)))

test('a wrap is told of the whole car', () => {
  expect(signOff({ paintSystem: 'wrap' })).toMatchObject([{ rule: 'under-film', everywhere: true }])
})

test('panels with the same are named in one line, in the order of the walk', () => {
  const [line] = signOff({ defects: { bonnet: chips, roof: chips, 'mirror-left': chips } })
  expect(line).toMatchObject({ panels: ['bonnet', 'mirror-left', 'roof'] })
})

test('what is only softened is claimed of no panel on which it was not seen', () => {
  const scratches = defect({ kind: 'scratches' })
  const etching = defect({ kind: 'etching' })
  const said = signOff({ defects: { roof: [scratches], bonnet: [etching], tailgate: [scratches, etching] } })
  const softened = said.flatMap((fact) =>
    fact.rule === 'softened-only' ? fact.panels.map((panel) => [panel, fact.kinds.toSorted()] as const) : [],
  )
  expect(Object.fromEntries(softened)).toEqual({
    roof: ['scratches'],
    bonnet: ['etching'],
    tailgate: ['etching', 'scratches'],
  })
})

describe('what was bought', () => {
  const place = placesOf('pickup').find(({ id }) => id === 'wheel-front-right')!
  const kerbed = [{ place, defects: [{ kind: 'kerbed', severity: 2, note: 'at the valve' } as const] }]
  test('is not said to stay', () => {
    const dents = { defects: { tailgate: [defect({ kind: 'dents' })] } }
    expect(rules(signOff(dents, [], (kind) => kind === 'dents'))).toEqual([])
    expect(rules(signOff({ defects: { bonnet: chips } }, [], chipsMended))).toEqual(['chips-touched-up'])
  })
  test('is told of a place beside the paint, or that it is not part of the work', () => {
    expect(only(signOff({}, kerbed), 'beside-the-paint')).toMatchObject({
      place: 'wheel-front-right',
      included: false,
    })
    expect(
      only(
        signOff({}, kerbed, (kind) => kind === 'kerbed'),
        'beside-the-paint',
      ),
    ).toMatchObject({
      included: true,
    })
  })
})
