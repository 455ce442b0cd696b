import { expect, test } from 'vitest'
import { toJobId, toOperationId } from '../ids'
import { type LiveJob, washTooOld } from '../job'
import { instantOrThrow, plusMinutes } from '../time'
import { makeOffer } from './offer'
import { offerInput, template } from './offer.fixture'
import { withWashAgain } from './wash-again'

const NINE = instantOrThrow('2027-01-13T09:00:00Z')
const { plan } = makeOffer(template('lantern'), offerInput())
const live = (done: readonly string[], hours: number): LiveJob => ({
  id: toJobId('J'),
  arrive: NINE,
  weight: 1,
  plan,
  progress: Object.fromEntries(
    done.map((id) => [id, { kind: 'done', from: NINE, to: plusMinutes(NINE, 60 * hours) } as const]),
  ),
  published: [],
})
const later = (hours: number) => plusMinutes(NINE, 60 * hours)

test('a wash keeps for a day: before the paint is worked, and again before it is coated', () => {
  expect(washTooOld(live(['wash'], 1), later(24))).toBeUndefined()
  expect(washTooOld(live(['wash', 'mask'], 1), later(26))).toEqual({ before: 'cut', washedAt: later(1) })
  // Once it is worked its own dust is wiped off it, until it is to be coated.
  expect(washTooOld(live(['wash', 'mask', 'cut'], 1), later(50))).toBeUndefined()
  const polished = ['wash', 'mask', 'cut', 'refine', 'polish'].filter((id) =>
    plan.operations.some((operation) => operation.id === id),
  )
  expect(washTooOld(live(polished, 1), later(50))?.before).toBe('wipe')
  expect(washTooOld(live([...polished, 'wipe'], 1), later(50))).toBeUndefined()
  expect(washTooOld(live([], 1), later(50))).toBeUndefined()
})

test('the short wash stands right before the step, in its bay, and the step follows within a day', () => {
  const again = withWashAgain(plan, toOperationId('wipe'), 9)!
  const ids = again.operations.map(({ id }) => id)
  expect(ids.indexOf(toOperationId('wash-again-1'))).toBe(ids.indexOf(toOperationId('wipe')) - 1)
  expect(again.operations.find(({ id }) => id === 'wash-again-1')).toMatchObject({
    minutes: 20,
    skill: 'prep',
  })
  expect(again.links).toContainEqual({ from: 'wash-again-1', to: 'wipe', min: 0, max: 1440 })
  expect(again.links.filter(({ to }) => to === 'wipe')).toHaveLength(1)
  const stay = again.stays.find(({ operations }) => operations.includes(toOperationId('wash-again-1')))!
  expect(stay.operations).toContain('wipe')
  expect(withWashAgain(again, toOperationId('wipe'), 9)!.operations.map(({ id }) => id)).toContain(
    'wash-again-2',
  )
  expect(withWashAgain(plan, toOperationId('nothing'), 9)).toBeUndefined()
})
