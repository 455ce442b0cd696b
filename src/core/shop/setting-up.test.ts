import fc from 'fast-check'
import { expect, test } from 'vitest'
import { nextStep, SETUP_STEPS, type SettingUp, stepTaken } from './setting-up'

test('the parts of a set-up, gone through in any order and as often as one likes, end it with the last', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...SETUP_STEPS), { maxLength: 12 }), (taken) => {
      let state: SettingUp | undefined = { done: [] }
      for (const [at, step] of taken.entries()) {
        if (state) state = stepTaken(state, step)
        const seen = new Set(taken.slice(0, at + 1))
        expect(state === undefined).toBe(seen.size === SETUP_STEPS.length)
        if (!state) return
        expect(new Set(state.done)).toEqual(seen)
        expect(nextStep(state)).toBe(SETUP_STEPS.find((each) => !seen.has(each)))
      }
    }),
  )
})
