import { describe, expect, test } from 'vitest'
import { type Defect, placeDefectsOn } from '../survey'
import { placesOf } from '../vehicle'
import { chosenOffer } from './choices'
import { proposeExtras, proposeTrades } from './extras'
import { mendedBy } from './mends'
import { makeOffer } from './offer'
import { offerInput, template, templates } from './offer.fixture'
import { summaryOf } from './told'

const scratch = (severity: 1 | 2 | 3): Defect => ({
  kind: 'scratches',
  severity,
  extentPercent: 2,
  catchesNail: false,
})

const headland = template('headland')

function marked(budgets: Record<string, number>) {
  const given = offerInput({
    defects: Object.fromEntries(Object.keys(budgets).map((panel) => [panel, [scratch(2)]])),
  })
  const panels = given.judgement.panels.map((judged) => ({
    ...judged,
    budget: { ...judged.budget, budgetUm: budgets[judged.panel.id] ?? judged.budget.budgetUm },
  }))
  const judgement = { ...given.judgement, panels }
  return { ...given, judgement, proposals: proposeExtras({ judgement, places: [] }) }
}

describe('an extra names its pieces', () => {
  test('those it was seen on, as far as the count goes, or those that were chosen', () => {
    const given = marked({ bonnet: 12, roof: 12 })
    const pieces = (extra: { key: 'touch-up' | 'spot-work'; count: number; pieces?: string[] }) =>
      makeOffer(headland, given, { extras: [extra] }).extras[0]?.pieces
    expect(pieces({ key: 'spot-work', count: 2 })).toEqual(['bonnet', 'roof'])
    expect(pieces({ key: 'spot-work', count: 1, pieces: ['roof'] })).toEqual(['roof'])
    expect(pieces({ key: 'touch-up', count: 2 })).toBeUndefined()
  })
  test('its step and its price line are called by them, and it is ticked on them', () => {
    const { plan, price } = makeOffer(headland, marked({ bonnet: 12, roof: 12 }), {
      extras: [{ key: 'spot-work', count: 2 }],
    })
    const step = plan.operations.find(({ extra }) => extra === 'spot-work')!
    expect(step).toMatchObject({ panels: ['bonnet', 'roof'], title: { pieces: ['bonnet', 'roof'] } })
    expect(price.lines.find(({ kind }) => kind === 'extra')).toMatchObject({ pieces: ['bonnet', 'roof'] })
  })
  test('spot work the paint cannot spare is not sold, and the customer is told which mark stays', () => {
    const offer = makeOffer(headland, marked({ bonnet: 14, roof: 0.3 }), {
      extras: [{ key: 'spot-work', count: 2 }],
    })
    expect(offer.extras).toEqual([{ key: 'spot-work', count: 1, pieces: ['bonnet'] }])
    expect(offer.spots.find(({ panel }) => panel === 'roof')).toMatchObject({
      verdict: 'refused',
      takesUm: 0,
    })
    const { spots, expectation } = summaryOf(offer)
    expect(spots).toHaveLength(2)
    expect(expectation).toContainEqual({
      kind: 'stays',
      code: 'spot-refused',
      panels: ['roof'],
      everywhere: false,
    })
  })
})

test('what is touched up is told of the panels it is done to, and of no others', () => {
  const chip: Defect = { kind: 'chips', severity: 1, extentPercent: 1, catchesNail: true }
  const nail: Defect = { ...scratch(1), catchesNail: true }
  const given = offerInput({ defects: { bonnet: [chip], roof: [chip], tailgate: [nail], boot: [nail] } })
  const told = (pieces: string[]) =>
    summaryOf(
      makeOffer(headland, given, { extras: [{ key: 'touch-up', count: pieces.length, pieces }] }),
    ).expectation.flatMap((each) =>
      'panels' in each && /chips|nail/.test(each.code) ? [[each.code, each.panels]] : [],
    )
  expect(told(['bonnet', 'boot'])).toEqual([
    ['chips-touched-up', ['bonnet']],
    ['chips', ['roof']],
    ['nail-touched-up', ['boot']],
  ])
})

test('touch-up paint dries before anything is polished over it, and other work fills the wait', () => {
  const { plan } = makeOffer(headland, offerInput({}), {
    extras: [
      { key: 'headlamps', count: 2 },
      { key: 'touch-up', count: 1 },
    ],
  })
  const order = plan.operations.map(({ extra, kind }) => extra ?? kind)
  expect(order.indexOf('touch-up')).toBeLessThan(order.indexOf('headlamps'))
  const over = plan.operations.find(({ kind }) => kind === 'cut' || kind === 'polish')!
  expect(plan.links).toContainEqual({ from: 'extra-touch-up', to: over.id, min: 180 })
  expect(plan.links.filter(({ from }) => from === 'extra-touch-up').map(({ to }) => to)).toEqual([over.id])
  expect(plan.links).toContainEqual({ from: 'mask', to: 'extra-headlamps', min: 0 })
})

test('tarnished chrome asks for its polish and names its piece; told as put right once that is bought', () => {
  const chrome = placesOf('saloon').find(({ id }) => id === 'chrome')!
  expect(placeDefectsOn(chrome.surface)).toEqual(['rust', 'missing', 'tarnished', 'pitted'])
  const places = [
    { place: chrome, defects: [{ kind: 'tarnished' as const, severity: 2 as const, note: '' }] },
  ]
  const { judgement } = offerInput()
  const proposals = proposeExtras({ judgement, places })
  expect(proposals).toEqual([{ key: 'chrome', count: 1, where: ['chrome'] }])
  const step = makeOffer(
    headland,
    { ...offerInput(), proposals },
    { extras: [{ key: 'chrome', count: 1 }] },
  ).plan.operations.find(({ extra }) => extra === 'chrome')!
  expect(step.title).toMatchObject({ pieces: ['chrome'] })
  expect(mendedBy({ extras: ['chrome'], trades: [] })('tarnished')).toBe(true)
  expect(mendedBy({ extras: ['chrome'], trades: [] })('pitted')).toBe(false)
})

describe('somebody from outside', () => {
  test('is proposed by what was seen and wished', () => {
    const dented = offerInput({ defects: { bonnet: [{ ...scratch(1), kind: 'dents' }] } })
    expect(proposeTrades({ judgement: dented.judgement, places: [] }, 'Film on the front, please')).toEqual([
      { trade: 'dents', where: ['bonnet'] },
      { trade: 'film', where: [] },
    ])
    expect(proposeTrades({ judgement: offerInput({}).judgement, places: [] }, 'Shiny')).toEqual([])
  })
  test('a package brings a dent remover to a car with dents, and to no other that was looked at', () => {
    const trades = (given: ReturnType<typeof offerInput>) =>
      makeOffer(template('boathouse'), given).vendors.map(({ trade }) => trade)
    const dented = offerInput({ defects: { bonnet: [{ ...scratch(1), kind: 'dents' }] } })
    const proposed = proposeTrades({ judgement: dented.judgement, places: [] }, '')
    expect(trades({ ...dented, trades: proposed })).toEqual(['dents'])
    expect(trades({ ...offerInput(), trades: [] })).toEqual([])
    // Nobody has looked: the package is offered as it is sold.
    expect(trades(offerInput())).toEqual(['dents', 'wheels'])
  })
  test('is called in beside those the package brings, once, and priced', () => {
    const given = offerInput({})
    const [first] = given.vendors
    const terms = { discountPercent: 0, depositPercent: 0, validDays: 30 }
    const choices = { packageKey: headland.key, extras: [], vendors: [first!.id], terms }
    const offer = chosenOffer(templates, given, choices)!
    expect(offer.vendors.filter(({ id }) => id === first!.id)).toHaveLength(1)
    expect(offer.price.lines.some((line) => line.kind === 'vendor' && line.vendorId === first!.id)).toBe(true)
  })
})
