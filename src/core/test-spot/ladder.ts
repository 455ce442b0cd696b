import { type Method, type MethodKey, strengthOf } from '../correction'
import type { Attempt } from './attempt'
import type { Kinship } from './memory'

/** The least aggressive first: which rung is tried next, and why. */

/** Why a rung is tried next, or none is. */
export type Why =
  | {
      code:
        | 'nothing-allowed'
        | 'ran-hot'
        | 'unknown-paint'
        | 'milder-failed'
        | 'milder-untried'
        | 'all-harmed'
    }
  | ({ code: 'remembered' } & Start)
  | { code: 'left-too-much' | 'nothing-stronger' | 'left-haze' | 'did-harm'; last: MethodKey }
  | { code: 'harm-above'; last: MethodKey; best: MethodKey }

/** What was enough on the closest cars the shop remembers: a word for whoever begins with the mildest, never a place to begin. */
export type Start = { process: MethodKey; cars: number; kinship: Kinship['id'] }

export type Advice =
  /** Try this; `gently` after heat: let the panel cool, a smaller section, a lower speed. */
  | { kind: 'try'; process: MethodKey; gently: boolean; why: Why }
  /** This is how the group is done. */
  | { kind: 'settled'; process: MethodKey; why: Why }
  /** No rung is left. */
  | { kind: 'end'; why: Why }

/** What the ladder needs to know of an attempt; its strength is that of what was really done. */
export type Trial = Pick<Attempt, 'process' | 'verdict' | 'haze' | 'heat'> & { strength: number }

const tried = (trials: readonly Trial[], key: MethodKey) =>
  trials.some(({ process, heat }) => process === key && heat !== 'hot')

/**
 * The next rung for one group of panels. `ladder` is what the rules allow there, mildest first; `start` is what the shop
 * remembers of cars like this. It begins with the mildest (common practice), goes one step at a time, and never past a rung
 * that did harm.
 */
export function nextRung(ladder: readonly Method[], trials: readonly Trial[], start?: Start): Advice {
  if (ladder.length === 0) return { kind: 'end', why: { code: 'nothing-allowed' } }
  const last = trials.at(-1)
  if (!last) return firstRung(ladder, start)
  if (last.heat === 'hot' && last.verdict !== 'enough')
    return {
      kind: 'try',
      process: last.process,
      gently: true,
      why: { code: 'ran-hot' },
    }
  if (last.verdict === 'enough') return afterGood(ladder, trials, last)
  if (last.verdict === 'too-much') return afterHarm(ladder, trials, last)
  return stronger(ladder, trials, last)
}

function firstRung(ladder: readonly Method[], start?: Start): Advice {
  const isThere = start && ladder.some(({ key }) => key === start.process)
  const why: Why = isThere ? { code: 'remembered', ...start } : { code: 'unknown-paint' }
  return { kind: 'try', process: ladder[0]!.key, gently: false, why }
}

/** The strength of the mildest that did harm; nothing is tried there or above it again. */
function harmCeiling(trials: readonly Trial[]): number {
  const harmed = trials.filter(({ verdict }) => verdict === 'too-much')
  return Math.min(...harmed.map(({ strength }) => strength), Number.POSITIVE_INFINITY)
}

/** Good under the lamp; but a single step that hazes needs a finer one after it. */
function afterGood(ladder: readonly Method[], trials: readonly Trial[], last: Trial): Advice {
  const hazed = last.haze === 'clear' || last.haze === 'strong'
  const next = hazed
    ? ladder.find((method) => strengthOf(method) > last.strength && method.steps.length > 1)
    : undefined
  return next && !tried(trials, next.key)
    ? { kind: 'try', process: next.key, gently: false, why: { code: 'left-haze', last: last.process } }
    : { kind: 'settled', process: last.process, why: whySettled(trials, last) }
}

function whySettled(trials: readonly Trial[], last: Trial): Why {
  const milderFailed = trials.some(({ strength, verdict }) => verdict === 'more' && strength < last.strength)
  return { code: milderFailed ? 'milder-failed' : 'milder-untried' }
}

function afterHarm(ladder: readonly Method[], trials: readonly Trial[], last: Trial): Advice {
  const ceiling = harmCeiling(trials)
  const milder = ladder.filter(
    (method) =>
      strengthOf(method) < ceiling &&
      !trials.some((trial) => trial.verdict === 'too-much' && trial.process === method.key),
  )
  const open = milder.findLast(({ key }) => !tried(trials, key))
  if (open)
    return { kind: 'try', process: open.key, gently: false, why: { code: 'did-harm', last: last.process } }
  const best = milder.at(-1)
  return best
    ? {
        kind: 'settled',
        process: best.key,
        why: { code: 'harm-above', last: last.process, best: best.key },
      }
    : { kind: 'end', why: { code: 'all-harmed' } }
}

function stronger(ladder: readonly Method[], trials: readonly Trial[], last: Trial): Advice {
  const ceiling = harmCeiling(trials)
  const next = ladder.find(
    (method) =>
      strengthOf(method) > last.strength && strengthOf(method) < ceiling && method.key !== last.process,
  )
  return next
    ? { kind: 'try', process: next.key, gently: false, why: { code: 'left-too-much', last: last.process } }
    : { kind: 'settled', process: last.process, why: { code: 'nothing-stronger', last: last.process } }
}
