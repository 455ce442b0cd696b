import { expect, test } from 'vitest'
import { instantOrThrow, localDayOrThrow } from '../time'
import { type Choices, choicesSchema, chosenOffer, forBudget, isOtherDay } from '.'
import { offerInput, templates } from './offer.fixture'
import { offerCurve } from './offer-curve'

const input = offerInput()
const lantern = templates.find(({ key }) => key === 'lantern')!
const TERMS = { discountPercent: 0, depositPercent: 20, validDays: 14 }
const choices: Choices = {
  packageKey: 'lantern',
  extras: [{ key: 'headlamps', count: 2 }],
  terms: TERMS,
}
const priceOf = (processes: NonNullable<Choices['processes']>) =>
  chosenOffer(templates, input, { ...choices, processes })?.price.totalCents

test('a budget buys the farthest point of the curve that it pays for, with all that is chosen beside it', () => {
  const { points, offerAt } = offerCurve(lantern, input)
  const all = points.map(({ minutes }) => {
    const { correction } = offerAt(minutes)
    return priceOf(
      Object.fromEntries(correction.panels.map(({ judged, option }) => [judged.panel.id, option.method.key])),
    )!
  })
  // The headlamps cost something beside the curve.
  expect(all[0]).toBeGreaterThan(offerAt(points[0]!.minutes).price.totalCents)
  for (const budget of [all[0]!, all[1]! - 1, all.at(-1)!, all.at(-1)! * 2]) {
    const bought = forBudget(lantern, input, budget, priceOf)!
    expect(bought.kind).toBe('bought')
    if (bought.kind !== 'bought') continue
    expect(bought.cents).toBe(priceOf(bought.processes))
    expect(bought.cents).toBeLessThanOrEqual(budget)
    const next = all.filter((cents) => cents > bought.cents)
    for (const cents of next) expect(cents).toBeGreaterThan(budget)
  }
  expect(forBudget(lantern, input, all[0]! - 1, priceOf)).toEqual({
    kind: 'too-little',
    leastCents: Math.min(...all),
  })
})

test('what cannot be worked out is passed over, and nothing is bought where nothing can', () => {
  expect(forBudget(lantern, input, 1e9, () => undefined)).toBeUndefined()
})

test('another day is one that differs, and is read as a moment or a day', () => {
  const job = {
    arriveAt: instantOrThrow('2027-02-01T08:00:00Z'),
    wantedBy: localDayOrThrow('2027-02-03'),
  }
  const read = (more: object) => choicesSchema.safeParse({ ...choices, ...more })
  expect(isOtherDay(choices, job)).toBe(false)
  expect(isOtherDay(read({ comesAt: '2027-02-01T08:00:00Z', wantedBy: '2027-02-03' }).data!, job)).toBe(false)
  expect(isOtherDay(read({ comesAt: '2027-02-01T09:00:00Z' }).data!, job)).toBe(true)
  expect(isOtherDay(read({ wantedBy: '2027-02-04' }).data!, job)).toBe(true)
  expect(read({ comesAt: 'Monday' }).success).toBe(false)
  expect(read({ wantedBy: '2027-02-30' }).success).toBe(false)
})
