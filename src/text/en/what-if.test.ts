import { expect, test } from 'vitest'
import { toBayId, toPersonId } from '@/core/ids'
import type { Region } from '@/core/region'
import { type Bought, type Compared, FIGURES, type Figure, type ShopChange } from '@/core/what-if'
import setup from '../../../demo/setup.json'
import { balanceText, changeName, differenceText, figureText, verdictOf } from './what-if'

const region = { ...setup.region, language: 'en' } as unknown as Region
const flat = (mean: number) => ({ mean, low: mean, high: mean })
const from = (before: number, after: number, luck = 0): Compared => ({
  before: flat(before),
  after: flat(after),
  difference: { mean: after - before, low: after - before - luck, high: after - before + luck },
})
const same = Object.fromEntries(FIGURES.map((figure) => [figure, from(1, 1)])) as Record<Figure, Compared>

test('every change is called as one would call it', () => {
  const oran = toPersonId('oran')
  const said: [ShopChange, string, string][] = [
    [{ kind: 'person', like: oran }, 'Oran', 'One more person like Oran'],
    [{ kind: 'saturdays', person: oran }, 'Oran', 'Oran on Saturdays too'],
    [
      { kind: 'hours', person: oran, begins: -120, leaves: -120 },
      'Oran',
      'Oran begins 2 h earlier and leaves 2 h earlier',
    ],
    [{ kind: 'hours', person: oran, begins: 0, leaves: 60 }, 'Oran', 'Oran leaves 1 h later'],
    [{ kind: 'bay', like: toBayId('loft-2') }, 'Loft 2', 'One more bay like Loft 2'],
    [{ kind: 'equipment', what: 'lift' }, 'lift', 'One more lift'],
    [{ kind: 'dropped', packageKey: 'tideline' }, 'Tideline', 'Tideline no longer sold'],
  ]
  for (const [change, about, name] of said) expect(changeName(region, change, about)).toBe(name)
})

test('less is better of days and of hours late, more of all else; what luck may turn round is no difference', () => {
  for (const figure of FIGURES) {
    const lessIsBetter = figure === 'days' || figure === 'lateHours'
    expect(verdictOf(figure, from(2, 1))).toBe(lessIsBetter ? 'better' : 'worse')
    expect(verdictOf(figure, from(1, 2))).toBe(lessIsBetter ? 'worse' : 'better')
    expect(verdictOf(figure, from(1, 2, 1.5))).toBe('same')
  }
  expect(differenceText(same)).toBe('No difference that could be told from luck.')
  expect(differenceText({ ...same, days: from(3, 2), carsPerWeek: from(4, 5), lateHours: from(1, 4) })).toBe(
    'Cars are done sooner, more cars are done and cars are later when they are late.',
  )
})

test('figures are written as the shop writes them', () => {
  expect(FIGURES.map((figure) => figureText(region, figure, 0.8125))).toEqual([
    '81%',
    '0.8',
    '0.8',
    '€0.01',
    '0.8',
  ])
})

test('what it costs stands beside what it brings, and what would pay for it', () => {
  const year = (before: number, after: number): NonNullable<Bought['year']> => ({
    figures: { ...same, carsPerWeek: from(5, 5) },
    taken: from(250, 250),
    lost: from(0, 0),
    leftCentsPerWeek: from(before, after),
  })
  expect(balanceText(region, year(400_000, 400_000), 124_000)).toEqual({
    brings: 'It costs €1,240.00 a week and brings no more work.',
    paid: 'It would pay for itself with 1.6 more cars a week than that.',
  })
  expect(balanceText(region, year(400_000, 600_000), 124_000)).toEqual({
    brings: 'It costs €1,240.00 a week and brings €2,000.00 a week more from work.',
    paid: 'It leaves €760.00 a week.',
  })
  expect(balanceText(region, year(400_000, 350_000), -20_000)).toEqual({
    brings: 'It saves €200.00 a week and loses €500.00 a week of work.',
    paid: 'It leaves €300.00 a week less than now.',
  })
  expect(balanceText(region, year(0, 0), 0).paid).toBe('In money it changes nothing.')
  expect(
    balanceText(region, { ...year(0, 0), figures: { ...same, carsPerWeek: from(0, 0) } }, 100).paid,
  ).toBe('It leaves €1.00 a week less than now.')
})
