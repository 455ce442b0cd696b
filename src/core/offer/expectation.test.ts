import { describe, expect, test } from 'vitest'
import { vehicleFrontier } from '../correction'
import { panelsOf } from '../vehicle'
import { expectationOf, whyThis } from './expectation'
import { freeSettings, makeOffer, settingsOf } from './offer'
import { chips, offerInput, swirls, template } from './offer.fixture'

const words = (key: string, ...car: Parameters<typeof offerInput>) =>
  expectationOf(makeOffer(template(key), offerInput(...car)))
const text = (...of: Parameters<typeof words>) =>
  words(...of)
    .map((line) => line.text)
    .join('\n')

describe('the honest words of an offer', () => {
  test('say the result first: where the car stands, where it will, and how much goes', () => {
    const [first] = words('lantern')
    expect(first).toMatchObject({ kind: 'result' })
    expect(first!.text).toMatch(
      /^The car stands at [A-E], \d+ of 100\. Afterwards we expect [A-E], \d+: about \d+ % of the defects go\.$/,
    )
  })
  test('a thin panel is left, and they say so with its microns', () => {
    expect(text('lantern', { thin: ['roof'] })).toMatch(
      /The roof is left as it is: the paint is thin there, 70 µm at its lowest, with no paint to spare\./,
    )
  })
  test('two panels left for one reason share a line', () => {
    expect(text('lantern', { thin: ['roof', 'bonnet'] })).toMatch(
      /The (bonnet|roof) and the (roof|bonnet) are left as they are/,
    )
  })
  test('a panel with chips only is not called left: a pad would not mend it', () => {
    const said = text('lantern', { defects: { bonnet: [chips], roof: [swirls] } })
    expect(said).not.toContain('bonnet is left')
    expect(said).toContain('Chips and scratches that catch a nail on the bonnet stay')
  })
  test('a car without defects is protected, not corrected', () => {
    expect(text('headland', { defects: {} })).toContain('it is protected, not corrected')
  })
  test('slight marks are called slight, and no paint is spent on the slightest', () => {
    const slight = (extentPercent: number) => ({ ...swirls, severity: 1 as const, extentPercent })
    expect(text('headland', { defects: { bonnet: [slight(30)] } })).toContain('What marks it is slight')
    expect(text('headland', { defects: { bonnet: [slight(1)] } })).toContain('too slight to spend paint on')
  })
  test('where nothing can go, polishing is not promised', () => {
    expect(text('headland', { defects: { bonnet: [chips] } })).toContain('Polishing would not change that')
  })
  test('never promise perfection, and say what a coating does not do', () => {
    expect(text('lantern')).toContain('never perfect')
    expect(text('lantern')).toContain('It does not stop chips or scratches.')
    expect(text('tideline')).not.toContain('coating')
  })
  test.each([
    ['single-stage', 'its colour comes off on the pad'],
    ['matte', 'never polished'],
    ['wrap', 'paint beneath cannot be judged'],
    ['gelcoat', 'cannot be measured'],
    ['bare-metal', 'no paint to polish'],
  ] as const)('%s is told what it means', (paintSystem, said) => {
    expect(text('headland', { paintSystem })).toContain(said)
  })
  test('what lies too deep is softened, not removed', () => {
    const deep = { kind: 'scratches' as const, severity: 3 as const, extentPercent: 50, catchesNail: false }
    expect(text('lantern', { defects: { bonnet: [deep] } })).toContain(
      'What marks the bonnet lies deeper than is safe to cut: it is softened, not removed.',
    )
  })
  test('a panel held back by its budget is improved, not corrected', () => {
    const input = offerInput({ defects: { bonnet: [swirls] } })
    const panels = input.judgement.panels.map((judged) =>
      judged.panel.id === 'bonnet' ? { ...judged, budget: { ...judged.budget, budgetUm: 1.2 } } : judged,
    )
    const offer = makeOffer(template('lantern'), { ...input, judgement: { ...input.judgement, panels } })
    expect(expectationOf(offer).map((line) => line.text)).toContain(
      'The bonnet is improved, not corrected: more would cost paint it needs.',
    )
  })
})

describe('why this and not the next', () => {
  const input = offerInput({ thin: ['roof'] })
  const settings = freeSettings(template('headland'), input)
  const frontier = vehicleFrontier(input.judgement.panels, settings)
  const ways = (id: string) => frontier.panels.find(({ judged }) => judged.panel.id === id)!
  const why = (id: string, key: string) =>
    whyThis(ways(id).all.find(({ process }) => process.key === key)!, ways(id).all)
  test('names the paint that is missing', () => {
    expect(why('roof', 'leave')).toMatch(
      /^One-step polish would take \d\.\d µm, more than this panel can spare\.$/,
    )
  })
  test('names the rule that forbids it', () => {
    expect(why('front-bumper', 'one-step-cut')).toContain('painted plastic heats first')
  })
  test('names what more would win, and what it costs', () => {
    expect(why('bonnet', 'one-step-polish')).toMatch(
      /^One-step cut and finish would win \d+\.\d points here for \d\.\d µm and \d+ min more/,
    )
  })
  test('has an answer for every process on every panel, with a full stop', () => {
    for (const { id } of panelsOf('saloon'))
      for (const option of ways(id).all) expect(whyThis(option, ways(id).all)).toMatch(/\.$/)
  })
})

test('a package allows no more than it names, freely chosen all that is safe', () => {
  const input = offerInput()
  expect(settingsOf(template('headland'), input).strongest).toBe('one-step-cut')
  expect(freeSettings(template('headland'), input).strongest).toBe('disc-two-step')
  expect(freeSettings(template('tideline'), input).strongest).toBe('all-in-one')
})
