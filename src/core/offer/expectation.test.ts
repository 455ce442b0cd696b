import { describe, expect, test } from 'vitest'
import { localDayOrThrow } from '../time'
import { panelsOf } from '../vehicle'
import { expectationOf, LIMITING_PAINTS } from './expectation'
import { freeSettings, makeOffer, settingsOf } from './offer'
import { chips, offerInput, swirls, template } from './offer.fixture'
import { summaryOf } from './told'

const facts = (key: string, ...car: Parameters<typeof offerInput>) =>
  expectationOf(makeOffer(template(key), offerInput(...car)))
const codes = (...of: Parameters<typeof facts>) => facts(...of).map(({ code }) => code)
const found = (code: string, ...of: Parameters<typeof facts>) =>
  facts(...of).find((each) => each.code === code)

describe('the honest facts of an offer', () => {
  test('the result first: where the paint stands, where it will, and how much goes', () => {
    const [first] = facts('lantern')
    expect(first).toMatchObject({ kind: 'result', code: 'improved' })
    if (first?.code !== 'improved') return
    expect(first.after).toBeGreaterThan(first.before)
    expect(first.clearedPercent).toBeGreaterThan(50)
    expect(Number.isInteger(first.clearedPercent)).toBe(true)
  })
  test('what lasts a season is not called a coating', () => {
    expect(codes('slipway').at(-1)).toBe('seasonal')
    expect(codes('headland').at(-1)).toBe('coating')
    expect(codes('tideline')).not.toContain('coating')
  })
  test('a thin panel is left, with its microns', () => {
    expect(found('left', 'lantern', { thin: ['roof'] })).toEqual({
      kind: 'stays',
      code: 'left',
      why: { code: 'thin', lowestUm: 70 },
      panels: ['roof'],
      everywhere: false,
    })
  })
  test('two panels left for one reason share a line', () => {
    const left = facts('lantern', { thin: ['roof', 'bonnet'] }).filter(({ code }) => code === 'left')
    expect(left).toHaveLength(1)
    expect(left[0]).toMatchObject({ panels: ['bonnet', 'roof'] })
  })
  test('panels that can spare the same as it is told share a line, and one with nothing says so', () => {
    const input = offerInput({ defects: { bonnet: [swirls], roof: [swirls], boot: [swirls] } })
    const spare: Record<string, number> = { bonnet: 0.21, roof: 0.19, boot: 0.03 }
    const panels = input.judgement.panels.map((judged) => ({
      ...judged,
      budget: { ...judged.budget, budgetUm: spare[judged.panel.id] ?? judged.budget.budgetUm },
    }))
    const offer = makeOffer(template('lantern'), { ...input, judgement: { ...input.judgement, panels } })
    const left = expectationOf(offer).flatMap((each) => (each.code === 'left' ? [each] : []))
    expect(left.map(({ why, panels: where }) => [why, where.length])).toEqual(
      expect.arrayContaining([
        [{ code: 'little-to-spare', spareUm: 0.2 }, 2],
        [{ code: 'nothing-to-spare' }, 1],
      ]),
    )
  })
  test('probable filler under a polished panel is told', () => {
    const input = offerInput({ filmUm: 120, thin: [] })
    const panels = input.judgement.panels.map((judged) =>
      judged.panel.id === 'roof'
        ? { ...judged, finding: { kind: 'filler-likely' as const, highestUm: 700 } }
        : judged,
    )
    const offer = makeOffer(template('lantern'), { ...input, judgement: { ...input.judgement, panels } })
    expect(expectationOf(offer).find(({ code }) => code === 'filler')).toMatchObject({ panels: ['roof'] })
    expect(codes('lantern')).not.toContain('filler')
    const roof = offer.correction.panels.find(({ judged }) => judged.panel.id === 'roof')!
    expect(roof.forbidden.some(({ broken }) => broken.some(({ id }) => id === 'no-wool-over-filler'))).toBe(
      true,
    )
  })
  test('a panel with chips only is not called left: a pad would not mend it', () => {
    const car = { defects: { bonnet: [chips], roof: [swirls] } }
    expect(codes('lantern', car)).not.toContain('left')
    expect(found('chips', 'lantern', car)).toMatchObject({ panels: ['bonnet'] })
  })
  test('chips are spoken of where there are chips, scratches where there are scratches', () => {
    expect(codes('lantern')).not.toContain('chips')
    const scratch = { kind: 'scratches', severity: 2, extentPercent: 5, catchesNail: true } as const
    expect(codes('lantern', { defects: { bonnet: [chips] } })).not.toContain('nail')
    expect(codes('lantern', { defects: { bonnet: [scratch] } })).not.toContain('chips')
    expect(found('nail', 'lantern', { defects: { bonnet: [scratch] } })).toMatchObject({ panels: ['bonnet'] })
  })
  test('chips that are touched up as part of the work are said to be', () => {
    const offer = makeOffer(template('lantern'), offerInput({ defects: { bonnet: [chips] } }), {
      extras: [{ key: 'touch-up', count: 1 }],
    })
    const said = expectationOf(offer).map(({ code }) => code)
    expect(said).toContain('chips-touched-up')
    expect(said).not.toContain('chips')
  })
  test('a car without defects is protected, not corrected', () => {
    expect(codes('headland', { defects: {}, inspected: ['bonnet'] })[0]).toBe('flawless')
  })
  test('of a car nobody has looked at nothing is said but that', () => {
    expect(codes('headland', { defects: {} })[0]).toBe('not-inspected')
  })
  test('a condition that rests on some of the panels says on how many, and one of all of them does not', () => {
    const all = panelsOf('saloon').map(({ id }) => id)
    const result = (inspected: string[]) =>
      expectationOf(
        makeOffer(template('headland'), offerInput({ defects: { bonnet: [swirls] }, inspected })),
      )[0]
    expect(result([])).toMatchObject({ inspected: { panels: 1, of: all.length } })
    expect(result(all.slice(0, 5))).toMatchObject({ inspected: { panels: 5, of: all.length } })
    expect(result(all)).not.toHaveProperty('inspected')
  })
  test('slight marks are called slight, and no paint is spent on the slightest', () => {
    const slight = (extentPercent: number) => ({ ...swirls, severity: 1 as const, extentPercent })
    const inspected = panelsOf('saloon').map(({ id }) => id)
    expect(codes('headland', { defects: { bonnet: [slight(30)] }, inspected })).toContain('slight')
    // Under a coating it gets the light polish that goes under every one, and no more.
    const { panels } = summaryOf(
      makeOffer(template('headland'), offerInput({ defects: { bonnet: [slight(1)] } })),
    )
    expect(panels.find(({ id }) => id === 'bonnet')!.process).toBe('light-polish')
  })
  test('where nothing can go, polishing is not promised', () => {
    expect(codes('headland', { defects: { bonnet: [chips] } })[0]).toBe('no-gain')
  })
  test('perfection is never promised, and a coating is spoken of only where there is one', () => {
    expect(codes('lantern')).toEqual(expect.arrayContaining(['best-finish', 'coating']))
    expect(codes('tideline')).not.toContain('coating')
  })
  test.each(LIMITING_PAINTS)('%s is told what it means', (paintSystem) => {
    expect(found('paint', 'headland', { paintSystem })).toMatchObject({ paint: paintSystem })
  })
  test('what lies too deep is softened, not removed', () => {
    const deep = { kind: 'scratches' as const, severity: 3 as const, extentPercent: 50, catchesNail: false }
    const input = offerInput({ defects: { bonnet: [deep] } })
    const panels = input.judgement.panels.map((judged) => ({
      ...judged,
      budget: { ...judged.budget, budgetUm: 12 },
    }))
    const offer = makeOffer(template('lantern'), { ...input, judgement: { ...input.judgement, panels } })
    expect(expectationOf(offer).find(({ code }) => code === 'softened-only')).toMatchObject({
      panels: ['bonnet'],
    })
  })
  test('a panel held back by its budget is improved, not corrected', () => {
    const inspected = panelsOf('saloon').map(({ id }) => id)
    const input = offerInput({ defects: { bonnet: [swirls] }, inspected })
    const panels = input.judgement.panels.map((judged) =>
      judged.panel.id === 'bonnet' ? { ...judged, budget: { ...judged.budget, budgetUm: 1.2 } } : judged,
    )
    const offer = makeOffer(template('lantern'), { ...input, judgement: { ...input.judgement, panels } })
    expect(expectationOf(offer).find(({ code }) => code === 'improved-only')).toMatchObject({
      panels: ['bonnet'],
    })
  })
})

test('a package allows no more than it names, freely chosen all that is safe', () => {
  const input = offerInput()
  expect(settingsOf(template('headland'), input).strongest).toBe('one-step-cut')
  expect(freeSettings(template('headland'), input).strongest).toBe('disc-two-step')
  expect(freeSettings(template('tideline'), input).strongest).toBe('all-in-one')
})

describe('a car as it is', () => {
  const day = localDayOrThrow
  const codesOf = (car: Parameters<typeof offerInput>[0], more: Parameters<typeof offerInput>[1] = {}) =>
    expectationOf(makeOffer(template('headland'), offerInput(car, more)))
  test('a thin edge is taped, and that is said; the field is polished all the same', () => {
    const car = { edges: { bonnet: [77.5, 77.6, 77.4] } }
    expect(codesOf(car).find(({ code }) => code === 'edge-taped')).toMatchObject({ panels: ['bonnet'] })
    const { panels } = summaryOf(makeOffer(template('headland'), offerInput(car)))
    expect(panels.find(({ id }) => id === 'bonnet')!.process).toBe('one-step-cut')
  })
  test('what was sprayed a fortnight ago is not coated, not charged for, and said', () => {
    const facts = {
      'front-door-left': { sprayedOn: day('2026-11-20') },
      'rear-door-left': { sprayedOn: day('2026-11-20') },
    }
    const [fresh, dry] = ['2026-12-04', '2027-02-01'].map((today) =>
      makeOffer(template('headland'), offerInput({ facts }, { today: day(today) })),
    )
    expect(expectationOf(fresh!).find(({ code }) => code === 'fresh-uncoated')).toMatchObject({
      panels: ['rear-door-left', 'front-door-left'],
    })
    const layer = ({ plan }: typeof fresh & object) => plan.operations.find(({ kind }) => kind === 'layer')!
    expect(layer(fresh!).panels).not.toContain('front-door-left')
    expect(layer(fresh!).panels).toContain('front-door-right')
    expect(fresh!.coats[0]!.ml).toBeLessThan(dry!.coats[0]!.ml)
    expect(fresh!.breaches.map(({ id }) => id)).toContain('fresh-respray')
    expect(layer(dry!).panels).toBeUndefined()
    expect(expectationOf(dry!).some(({ code }) => code === 'fresh-uncoated')).toBe(false)
  })
  test('under a film nothing is polished, and that is said; once it comes off, the paint beneath is worked gently', () => {
    const inspected = panelsOf('saloon')
      .map(({ id }) => id)
      .filter((id) => id !== 'bonnet')
    const car = {
      films: ['bonnet'],
      inspected,
      defects: Object.fromEntries(inspected.map((id) => [id, [swirls]])),
    }
    const proposals = [{ key: 'film-off' as const, count: 1, where: ['bonnet'] }]
    const offered = (count: number) =>
      makeOffer(template('headland'), offerInput(car, { proposals }), {
        extras: [{ key: 'film-off', count }],
      })
    const method = (offer: ReturnType<typeof offered>) =>
      offer.correction.panels.find(({ judged }) => judged.panel.id === 'bonnet')!.option.method.key
    const said = (offer: ReturnType<typeof offered>) =>
      expectationOf(offer).flatMap((told) =>
        told.kind === 'stays' && told.code !== 'left' && told.panels.includes('bonnet') ? [told.code] : [],
      )
    expect([method(offered(0)), said(offered(0))]).toEqual(['leave', ['under-film']])
    expect([method(offered(1)), said(offered(1))]).toEqual(['light-polish', ['film-comes-off']])
  })
  test('where most of the marks stay, nobody reads that a few do', () => {
    const heavy = { ...swirls, severity: 3, extentPercent: 75 } as const
    const defects = Object.fromEntries(panelsOf('saloon').map(({ id }) => [id, [heavy]]))
    const codes = (key: string) =>
      expectationOf(makeOffer(template(key), offerInput({ defects }))).map(({ code }) => code)
    expect(codes('tideline')).toContain('some-only')
    expect(codes('tideline')).not.toContain('best-finish')
    expect(codes('lantern')).toContain('best-finish')
  })
  test('a panel that cannot spare the light polish under a coating is coated as it is, and that is said', () => {
    const thin = codesOf({ thin: ['roof'], defects: {}, inspected: panelsOf('saloon').map(({ id }) => id) })
    expect(thin.find(({ code }) => code === 'prep-skipped')).toMatchObject({ panels: ['roof'] })
    expect(codesOf({}).some(({ code }) => code === 'prep-skipped')).toBe(false)
  })
  test('pillars and a hard top that are there are panels like any other: in the plan, the price and the hours', () => {
    const facts = {
      pillars: { present: true as const },
      'hard-top': { present: true as const, paint: 'single-stage' as const },
    }
    const inspected = panelsOf('convertible').map(({ id }) => id)
    const [without, with_] = [{}, { facts }].map((more) =>
      makeOffer(template('headland'), offerInput({ shape: 'convertible', inspected, ...more })),
    )
    const ids = (offer: typeof with_ & object) => offer.correction.panels.map(({ judged }) => judged.panel.id)
    expect(ids(with_!)).toEqual([...ids(without!), 'pillars', 'hard-top'])
    expect(with_!.attendedMinutes).toBeGreaterThan(without!.attendedMinutes)
    const paint = (id: string) =>
      with_!.correction.panels.find(({ judged }) => judged.panel.id === id)!.judged.paint
    expect([paint('pillars').system, paint('hard-top').system]).toEqual(['gloss-plastic', 'single-stage'])
  })
})
