import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toPersonId } from '../ids'
import { makeOffer } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { emptyMeasured } from '../survey'
import { instantOrThrow, localDayOrThrow } from '../time'
import { panelsOf } from '../vehicle'
import { balanceOf, type Payment } from './balance'
import { beforeAfter } from './before-after'
import {
  blindToIt,
  inspectionItems,
  inspectionState,
  judgesOfOwnWork,
  reachedClearing,
  type Verdict,
} from './inspection'
import { isTorqueOpen } from './torque'

const NOW = instantOrThrow('2027-01-16T10:00:00Z')
const { plan } = makeOffer(template('lantern'), offerInput())
const items = inspectionItems({ shape: 'saloon' })
const verdict = (item: string, more: Partial<Verdict> = {}): Verdict => ({
  item,
  verdict: 'good',
  note: '',
  by: toPersonId('senan'),
  at: NOW,
  ...more,
})

describe('the final inspection', () => {
  test('goes over every panel and every place that is easily missed, each once', () => {
    const ids = items.map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids).toEqual(
      expect.arrayContaining([...panelsOf('saloon').map(({ id }) => id), 'pillars', 'sills']),
    )
  })
  test('is passed when all was seen and nothing is at fault, and not a place sooner', () => {
    const all = items.map(({ id }) => verdict(id))
    expect(inspectionState(items, all).passed).toBe(true)
    expect(inspectionState(items, all.slice(1))).toMatchObject({ passed: false, open: [items[0]] })
    const fault = [verdict(items[0]!.id, { verdict: 'fault', note: 'hologram' }), ...all.slice(1)]
    expect(inspectionState(items, fault)).toMatchObject({ passed: false, open: [], faults: [fault[0]] })
  })
  test('is not for whoever cut, polished or coated it', () => {
    const done = (by: string) => ({ kind: 'done', by: toPersonId(by) })
    expect(
      blindToIt(plan, {
        wash: done('brida'),
        cut: done('merle'),
        'layer-1': done('oran'),
        finish: done('brida'),
      }),
    ).toEqual(new Set(['merle', 'oran']))
  })
  test('what is gone of the whole lies between the least and the most of its panels, and needs a figure', () => {
    expect(reachedClearing(items, [verdict('bonnet')])).toBeUndefined()
    const panels = panelsOf('saloon')
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 1, maxLength: panels.length }),
        (shares) => {
          const seen = shares.map((clearedPercent, index) => verdict(panels[index]!.id, { clearedPercent }))
          const reached = 100 * reachedClearing(items, seen)!
          expect(reached).toBeGreaterThanOrEqual(Math.min(...shares) - 1e-9)
          expect(reached).toBeLessThanOrEqual(Math.max(...shares) + 1e-9)
        },
      ),
    )
  })
})

test('who is planned to inspect their own work is known from the plan', () => {
  const by = (kind: 'wash' | 'cut' | 'layer' | 'finish', ...people: string[]) => ({
    kind,
    people: people.map(toPersonId),
  })
  const work = [by('wash', 'brida'), by('cut', 'senan'), by('layer', 'oran', 'merle')]
  expect(judgesOfOwnWork([...work, by('finish', 'brida')])).toEqual([])
  expect(judgesOfOwnWork([...work, by('finish', 'merle')])).toEqual(['merle'])
})

test('what is open is what was agreed less what came in and was not crossed out', () => {
  const paid = (cents: number, more: Partial<Payment> = {}): Payment => ({
    id: 'p',
    cents,
    way: 'card',
    note: '',
    at: NOW,
    ...more,
  })
  expect(balanceOf(101_000, [paid(20_000), paid(50_000, { takenBackAt: NOW })])).toEqual({
    totalCents: 101_000,
    paidCents: 20_000,
    openCents: 81_000,
  })
  expect(balanceOf(100, [paid(150)]).openCents).toBe(-50)
})

test('before and after stand side by side for panels read twice, with the error of the difference', () => {
  const panels = panelsOf('saloon')
  const readings = (values: number[]) => values.map((um) => ({ um }))
  const before = {
    ...emptyMeasured(),
    readings: { bonnet: readings([120, 122, 121]) },
    gloss: { bonnet: [92, 94] },
  }
  const after = {
    ...emptyMeasured(),
    readings: { bonnet: readings([118, 119, 120]) },
    gloss: { bonnet: [103, 105] },
  }
  const ledger = [
    {
      panel: 'roof',
      day: localDayOrThrow('2027-01-16'),
      removedUm: 2,
      uncertaintyUm: 1,
      source: 'worked-out' as const,
      note: '',
    },
  ]
  const [bonnet, roof, ...rest] = beforeAfter(panels, before, after, ledger)
  expect(bonnet).toMatchObject({
    panel: { id: 'bonnet' },
    film: { before: 121, after: 119, removedUm: 2 },
    gloss: { before: 93, after: 104 },
  })
  // One spot each, wherever the probe was: 3 µm between spots, twice.
  expect(bonnet!.film!.uncertaintyUm).toBeCloseTo(3 * Math.SQRT2, 0)
  expect(roof).toMatchObject({ panel: { id: 'roof' }, ledger: { removedUm: 2 } })
  expect(roof!.film).toBeUndefined()
  expect(rest).toEqual([])
})

test('read again at the spots of before, what stands on paper differs by what went there', () => {
  const readings = (values: number[]) => ({
    ...emptyMeasured(),
    readings: { bonnet: values.map((um) => ({ um })) },
  })
  const two = [119, 120, 121, 125, 126, 127]
  const one = [117, 118, 119]
  const [bonnet] = beforeAfter(panelsOf('saloon'), readings(two), readings(one), [], ['bonnet'])
  expect(bonnet!.film).toMatchObject({ before: 120, after: 118, removedUm: 2 })
})

test('what no polishing does is not put on paper', () => {
  const readings = (values: number[]) => ({
    ...emptyMeasured(),
    readings: { bonnet: values.map((um) => ({ um })) },
  })
  const grown = [135, 136, 135]
  expect(beforeAfter(panelsOf('saloon'), readings([119, 120, 121]), readings(grown), [], ['bonnet'])).toEqual(
    [],
  )
})

describe('wheels that were off', () => {
  const card = (checks: Record<string, boolean>) => ({ work: { finish: { checks } } }) as never
  test('keep the car here until the torque of their nuts is ticked', () => {
    const steps = [{ extra: 'wheels-off' }, {}] as const
    expect(isTorqueOpen(steps, card({}))).toBe(true)
    expect(isTorqueOpen(steps, card({ torque: false }))).toBe(true)
    expect(isTorqueOpen(steps, card({ torque: true }))).toBe(false)
  })
  test('are not asked about where they stayed on', () => {
    expect(isTorqueOpen([{ extra: 'interior' }, {}], card({}))).toBe(false)
  })
})
