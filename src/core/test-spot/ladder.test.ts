import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { offered, SEEDED_METHODS, seededMethod, strengthOf } from '../correction'
import { HAZES, HEATS, VERDICTS } from './attempt'
import { type Advice, nextRung, type Trial } from './ladder'

const LADDER = ['one-step-polish', 'one-step-cut', 'two-step', 'two-step-wool'].map(seededMethod)
const KEYS = LADDER.map(({ key }) => key)
/** An attempt as the ladder sees it, done by its method. */
const trial = (more: Partial<Trial> = {}): Trial => {
  const process = more.process ?? 'one-step-cut'
  return {
    process,
    verdict: 'more',
    haze: 'none',
    heat: 'warm',
    strength: strengthOf(seededMethod(process)),
    ...more,
  }
}
const adviceAfter = (...trials: Partial<Trial>[]) => nextRung(LADDER, trials.map(trial))
const proposed = (advice: Advice) => (advice.kind === 'end' ? undefined : advice.process)

describe('the ladder', () => {
  test('begins with the mildest pair', () => {
    expect(adviceAfter()).toMatchObject({ kind: 'try', process: 'one-step-polish', gently: false })
  })
  test('begins with the mildest, whatever the shop remembers; and says what it remembers, if the rules allow that there', () => {
    const start = { process: 'two-step', cars: 3, kinship: 'same-paint' } as const
    expect(nextRung(LADDER, [], start)).toMatchObject({
      process: 'one-step-polish',
      why: { code: 'remembered', process: 'two-step', cars: 3, kinship: 'same-paint' },
    })
    expect(nextRung(LADDER.slice(0, 1), [], start)).toMatchObject({
      process: 'one-step-polish',
      why: { code: 'unknown-paint' },
    })
  })
  test('not enough: one rung up', () => {
    expect(adviceAfter({ process: 'one-step-cut', verdict: 'more' })).toMatchObject({
      kind: 'try',
      process: 'two-step',
    })
  })
  test('good enough: settled there', () => {
    expect(adviceAfter({ process: 'one-step-cut', verdict: 'enough' })).toMatchObject({
      kind: 'settled',
      process: 'one-step-cut',
    })
  })
  test('says whether something milder had been tried', () => {
    const good = { process: 'two-step', verdict: 'enough' } as const
    expect(adviceAfter({ process: 'one-step-cut', verdict: 'more' }, good).why.code).toBe('milder-failed')
    expect(adviceAfter(good).why.code).toBe('milder-untried')
  })
  test('good but hazed by a single step: a finer one has to follow', () => {
    expect(adviceAfter({ process: 'one-step-cut', verdict: 'enough', haze: 'clear' })).toMatchObject({
      kind: 'try',
      process: 'two-step',
    })
  })
  test('too hot: the same again, more gently, whatever was seen', () => {
    expect(adviceAfter({ process: 'two-step', verdict: 'more', heat: 'hot' })).toMatchObject({
      kind: 'try',
      process: 'two-step',
      gently: true,
    })
  })
  test('did harm: one rung back, and never up to it again', () => {
    expect(adviceAfter({ process: 'two-step', verdict: 'too-much' })).toMatchObject({
      kind: 'try',
      process: 'one-step-cut',
    })
    expect(
      adviceAfter({ process: 'two-step', verdict: 'too-much' }, { process: 'one-step-cut', verdict: 'more' }),
    ).toMatchObject({ kind: 'settled', process: 'one-step-cut' })
  })
  test('harm where milder was tried already: what is left stays, and the quote says so', () => {
    expect(
      adviceAfter(
        { process: 'one-step-polish', verdict: 'more' },
        { process: 'one-step-cut', verdict: 'too-much' },
      ),
    ).toMatchObject({ kind: 'settled', process: 'one-step-polish' })
  })
  test('the mildest did harm: these panels are left', () => {
    expect(adviceAfter({ process: 'one-step-polish', verdict: 'too-much' })).toMatchObject({ kind: 'end' })
  })
  test('the top of the ladder and still not enough: improved, not corrected', () => {
    const advice = adviceAfter({ process: 'two-step-wool', verdict: 'more' })
    expect(advice).toMatchObject({ kind: 'settled', process: 'two-step-wool' })
    expect(advice.why.code).toBe('nothing-stronger')
  })
  test('no rung at all is said so', () => {
    expect(nextRung([], [])).toEqual({ kind: 'end', why: { code: 'nothing-allowed' } })
  })

  const anyAttempt = fc.record({
    process: fc.constantFrom(...KEYS),
    verdict: fc.constantFrom(...VERDICTS),
    haze: fc.constantFrom(...HAZES),
    heat: fc.constantFrom(...HEATS),
  })
  const anyLadder = fc.subarray(offered(SEEDED_METHODS).filter(({ steps }) => steps.length > 0))
  test('whatever was tried, it never proposes what is not on the ladder', () => {
    fc.assert(
      fc.property(anyLadder, fc.array(anyAttempt, { maxLength: 6 }), (ladder, tried) => {
        const onLadder = tried.filter(({ process }) => ladder.some(({ key }) => key === process)).map(trial)
        const advice = nextRung(ladder, onLadder)
        const process = proposed(advice)
        if (process) expect(ladder.map(({ key }) => key)).toContain(process)
      }),
    )
  })
  test('never up to or past a rung that did harm, once the panel is cool', () => {
    fc.assert(
      fc.property(fc.array(anyAttempt, { minLength: 1, maxLength: 6 }), (tried) => {
        const attempts = tried.map((each) => trial({ ...each, heat: 'warm' }))
        const last = attempts.at(-1)!
        fc.pre(last.verdict !== 'enough')
        const harmed = attempts.filter(({ verdict }) => verdict === 'too-much')
        fc.pre(harmed.length > 0)
        const advice = nextRung(LADDER, attempts)
        const ceiling = Math.min(...harmed.map(({ strength }) => strength))
        if (advice.kind === 'try') expect(strengthOf(seededMethod(advice.process))).toBeLessThan(ceiling)
      }),
    )
  })
  test('followed faithfully it comes to an end, whatever the paint says', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...VERDICTS), { minLength: 12, maxLength: 12 }), (verdicts) => {
        const attempts: Trial[] = []
        for (const verdict of verdicts) {
          const advice = nextRung(LADDER, attempts)
          if (advice.kind !== 'try') return
          attempts.push(trial({ process: advice.process, verdict }))
        }
        expect(nextRung(LADDER, attempts).kind).not.toBe('try')
      }),
    )
  })
})
