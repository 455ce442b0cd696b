import { expect, test } from 'vitest'
import { isMetal, panelsOf, placesOf } from '../vehicle'
import type { Defect } from './defects'
import { judge, type SurveyInput } from './judge'
import { PROMISE_RULES, type PromiseLine, promisesFor } from './promises'

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
const promises = (
  more: Partial<SurveyInput>,
  places: Parameters<typeof promisesFor>[0]['places'] = [],
): PromiseLine[] => {
  const { panels: judged } = judge({
    panels,
    paintSystem: 'clear-over-base',
    school: 'both',
    readings: even,
    defects: {},
    ...more,
  })
  return promisesFor({ panels: judged, places })
}
const rules = (lines: PromiseLine[]) => lines.map(({ rule }) => rule)

test('a sound car asks for no promise', () => expect(promises({})).toEqual([]))

const taken = { bonnet: { takenUm: 4.4, uncertaintyUm: 0.6 } }
/** One case that makes each line be said. */
const CASES: Record<(typeof PROMISE_RULES)[number], [Partial<SurveyInput>, string]> = {
  'nail-catchers-stay': [
    { defects: { roof: [defect({ kind: 'scratches', catchesNail: true })] } },
    'the roof stay',
  ],
  'chips-stay': [{ defects: { bonnet: [defect({ kind: 'chips' })] } }, 'holes in the paint'],
  'dents-stay': [{ defects: { tailgate: [defect({ kind: 'dents' })] } }, 'dent remover'],
  'failing-clear-stays': [{ defects: { roof: [defect({ kind: 'clear-failure' })] } }, 'refinisher'],
  'stays-for-thin-paint': [
    { readings: { ...even, roof: [78.5, 78.5, 78.5] }, defects: { roof: [defect({ severity: 3 })] } },
    'too little paint left on the roof',
  ],
  'too-deep-to-remove': [
    { defects: { 'front-bumper': [defect({ kind: 'scratches', severity: 3 })] } },
    'deeper than can safely be cut',
  ],
  'softened-only': [
    { defects: { roof: [defect({ kind: 'scratches' })] } },
    'Deep scratches on the roof will be softened',
  ],
  'thin-panel-left': [{ readings: { ...even, roof: [70, 70, 71] } }, 'The paint on the roof is thin.'],
  'earlier-correction': [{ taken }, 'at an earlier visit'],
  repainted: [
    { readings: { ...even, 'front-wing-left': [240, 241, 239] } },
    'The left front wing has been painted again',
  ],
  filler: [{ readings: { ...even, roof: [430, 500, 610] } }, 'filler'],
  unread: [{ defects: { 'mirror-left': [defect({})] } }, 'left mirror cap cannot be measured'],
  'under-film': [{ paintSystem: 'wrap' }, 'wrap or film'],
  'beside-the-paint': [{}, 'Right front wheel: kerb damage (at the valve).'],
}

test.each(PROMISE_RULES)('%s is said where it holds and nowhere else', (rule) => {
  const [input, words] = CASES[rule]
  const place = placesOf('pickup').find(({ id }) => id === 'wheel-front-right')!
  const places =
    rule === 'beside-the-paint'
      ? [{ place, defects: [{ kind: 'kerbed', severity: 2, note: 'at the valve' } as const] }]
      : []
  const lines = promises(input, places)
  expect(rules(lines)).toContain(rule)
  expect(lines.find((line) => line.rule === rule)!.text).toContain(words)
  expect(rules(promises({}))).not.toContain(rule)
})

test('a film on one panel is told of that panel alone', () => {
  const [line] = promises({ films: ['bonnet'] })
  expect(line!.text).toContain('A film lies on the bonnet.')
})

test('several panels are named in one line, as one says it', () => {
  const chips = [defect({ kind: 'chips' })]
  const [line] = promises({ defects: { bonnet: chips, roof: chips, 'mirror-left': chips } })
  expect(line!.text).toContain('on the bonnet, the left mirror cap and the roof stay')
})
