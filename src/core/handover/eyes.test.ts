import { describe, expect, test } from 'vitest'
import { HARDNESS_GIVE, methodIn, removalUm, SEEDED_METHODS, worked } from '../correction'
import { type PersonId, toPersonId } from '../ids'
import type { Progress } from '../job'
import { makeOffer } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { instantOrThrow, localDayOrThrow, plusMinutes } from '../time'
import { eyesFor } from './eyes'
import { withRework } from './rework'
import { reworkUm } from './rework-removal'

const { plan } = makeOffer(template('lantern'), offerInput())
const NOON = instantOrThrow('2027-01-14T12:00:00Z')
const [brida, senan, oran] = ['brida', 'senan', 'oran'].map(toPersonId) as [PersonId, PersonId, PersonId]
const staff = [
  { id: brida, skills: ['prep', 'coat'] },
  { id: senan, skills: ['prep', 'correct'] },
  { id: oran, skills: ['correct'] },
]
const done = (by: PersonId, days: number): Progress => ({
  kind: 'done',
  from: plusMinutes(NOON, -1440 * days - 60),
  to: plusMinutes(NOON, -1440 * days),
  by,
})
const looking = (progress: Record<string, Progress>, more: object = {}) =>
  eyesFor({
    staff,
    plan,
    progress,
    rule: 'tomorrow',
    today: localDayOrThrow('2027-01-14'),
    zone: 'Europe/Dublin',
    ...more,
  })

describe('who may inspect a car', () => {
  test('anybody with the skill for it who did not work on this paint', () => {
    expect(looking({ cut: done(senan, 2) })).toEqual({ people: [brida], because: 'fresh' })
    // Washing makes nobody blind; without the skill one does not inspect.
    expect(looking({ wash: done(brida, 1), cut: done(oran, 1) })).toEqual({
      people: [brida, senan],
      because: 'fresh',
    })
  })
  test('where all have, whoever has slept over it; nobody today, if all worked on it today', () => {
    const all = { cut: done(senan, 1), 'layer-1': done(brida, 0) }
    expect(looking(all)).toEqual({ people: [senan], because: 'rested' })
    expect(looking({ cut: done(senan, 0), 'layer-1': done(brida, 0) })).toEqual({
      people: [],
      because: 'rested',
    })
    expect(
      looking({ ...all, cut: { kind: 'started', at: plusMinutes(NOON, -3000), by: senan } }).people,
    ).toEqual([])
  })
  test('or the manager, where that is the rule of the shop', () => {
    const all = { cut: done(senan, 0), 'layer-1': done(brida, 0) }
    expect(looking(all, { rule: 'manager', manager: oran })).toEqual({ people: [oran], because: 'manager' })
    expect(looking({}, { rule: 'manager', manager: oran }).because).toBe('fresh')
  })
})

describe('paint that reworks have taken', () => {
  const panel = { id: 'bonnet', areaM2: 1.5 }
  const method = worked(methodIn(SEEDED_METHODS, 'two-step')!)
  const give = HARDNESS_GIVE.medium
  const again = withRework(plan, plan.operations.find(({ kind }) => kind === 'refine')!.id, {
    place: 'bonnet',
    panel: panel as never,
    isDone: () => false,
    productOf: () => undefined,
  })!
  test('counts once it is done, by the step that was done again', () => {
    expect(reworkUm(again, {}, { bonnet: method }, give)).toEqual({})
    const refine = method.steps.filter(({ role }) => role === 'refine')
    const taken = reworkUm(again, { 'again-1': done(senan, 0) }, { bonnet: method }, give)
    expect(taken.bonnet).toBeCloseTo(removalUm({ steps: refine }, give), 9)
    expect(taken.bonnet).toBeGreaterThan(0)
  })
  test('of a panel without such a step it is a polish down to the paint', () => {
    const taken = reworkUm(again, { 'again-1': done(senan, 0) }, {}, give)
    expect(taken.bonnet).toBeCloseTo(removalUm(worked(methodIn(SEEDED_METHODS, 'one-step-polish')!), give), 9)
  })
})
