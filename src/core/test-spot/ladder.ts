import { PROCESS_KEYS, type ProcessKey, processOf } from '../correction'
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
  | { code: 'left-too-much' | 'nothing-stronger' | 'left-haze' | 'did-harm'; last: ProcessKey }
  | { code: 'harm-above'; last: ProcessKey; best: ProcessKey }

/** What was enough on the closest cars the shop remembers: a word for whoever begins with the mildest, never a place to begin. */
export type Start = { process: ProcessKey; cars: number; kinship: Kinship['id'] }

export type Advice =
  /** Try this; `gently` after heat: let the panel cool, a smaller section, a lower speed. */
  | { kind: 'try'; process: ProcessKey; gently: boolean; why: Why }
  /** This is how the group is done. */
  | { kind: 'settled'; process: ProcessKey; why: Why }
  /** No rung is left. */
  | { kind: 'end'; why: Why }

const tried = (attempts: readonly Attempt[], key: ProcessKey) =>
  attempts.some(({ process, heat }) => process === key && heat !== 'hot')
const rungOf = (key: ProcessKey) => PROCESS_KEYS.indexOf(key)

/**
 * The next rung for one group of panels. `ladder` is what the rules allow there, mildest first; `start` is what the shop
 * remembers of cars like this. It begins with the mildest (common practice), goes one step at a time, and never past a rung
 * that did harm.
 */
export function nextRung(ladder: readonly ProcessKey[], attempts: readonly Attempt[], start?: Start): Advice {
  if (ladder.length === 0) return { kind: 'end', why: { code: 'nothing-allowed' } }
  const last = attempts.at(-1)
  if (!last) return firstRung(ladder, start)
  if (last.heat === 'hot' && last.verdict !== 'enough')
    return {
      kind: 'try',
      process: last.process,
      gently: true,
      why: { code: 'ran-hot' },
    }
  if (last.verdict === 'enough') return afterGood(ladder, attempts, last)
  if (last.verdict === 'too-much') return afterHarm(ladder, attempts, last)
  return stronger(ladder, attempts, last)
}

function firstRung(ladder: readonly ProcessKey[], start?: Start): Advice {
  const why: Why =
    start && ladder.includes(start.process) ? { code: 'remembered', ...start } : { code: 'unknown-paint' }
  return { kind: 'try', process: ladder[0]!, gently: false, why }
}

/** The mildest rung that did harm; nothing is tried there or above it again. */
function harmCeiling(attempts: readonly Attempt[]): number {
  const harmed = attempts.filter(({ verdict }) => verdict === 'too-much')
  return Math.min(...harmed.map(({ process }) => rungOf(process)), Number.POSITIVE_INFINITY)
}

/** Good under the lamp; but a single step that hazes needs a finer one after it. */
function afterGood(ladder: readonly ProcessKey[], attempts: readonly Attempt[], last: Attempt): Advice {
  const hazed = last.haze === 'clear' || last.haze === 'strong'
  const next = hazed
    ? ladder.find((key) => rungOf(key) > rungOf(last.process) && processOf(key).steps.length > 1)
    : undefined
  return next && !tried(attempts, next)
    ? {
        kind: 'try',
        process: next,
        gently: false,
        why: { code: 'left-haze', last: last.process },
      }
    : { kind: 'settled', process: last.process, why: whySettled(attempts, last) }
}

function whySettled(attempts: readonly Attempt[], last: Attempt): Why {
  const milderFailed = attempts.some(
    ({ process, verdict }) => verdict === 'more' && rungOf(process) < rungOf(last.process),
  )
  return { code: milderFailed ? 'milder-failed' : 'milder-untried' }
}

function afterHarm(ladder: readonly ProcessKey[], attempts: readonly Attempt[], last: Attempt): Advice {
  const milder = ladder.filter((key) => rungOf(key) < harmCeiling(attempts))
  const open = milder.findLast((key) => !tried(attempts, key))
  if (open)
    return {
      kind: 'try',
      process: open,
      gently: false,
      why: { code: 'did-harm', last: last.process },
    }
  const best = milder.at(-1)
  return best
    ? {
        kind: 'settled',
        process: best,
        why: { code: 'harm-above', last: last.process, best },
      }
    : {
        kind: 'end',
        why: { code: 'all-harmed' },
      }
}

function stronger(ladder: readonly ProcessKey[], attempts: readonly Attempt[], last: Attempt): Advice {
  const harmed = attempts
    .filter(({ verdict }) => verdict === 'too-much')
    .map(({ process }) => rungOf(process))
  const ceiling = Math.min(...harmed, Number.POSITIVE_INFINITY)
  const next = ladder.find((key) => rungOf(key) > rungOf(last.process) && rungOf(key) < ceiling)
  return next
    ? { kind: 'try', process: next, gently: false, why: { code: 'left-too-much', last: last.process } }
    : {
        kind: 'settled',
        process: last.process,
        why: { code: 'nothing-stronger', last: last.process },
      }
}
