import { PROCESS_KEYS, type ProcessKey, processOf } from '../correction'
import type { Attempt } from './attempt'

/** The least aggressive first: which rung is tried next, and why. */

export type Advice =
  /** Try this; `gently` after heat: let the panel cool, a smaller section, a lower speed. */
  | { kind: 'try'; process: ProcessKey; gently: boolean; why: string }
  /** This is how the group is done. */
  | { kind: 'settled'; process: ProcessKey; why: string }
  /** No rung is left. */
  | { kind: 'end'; why: string }

const name = (key: ProcessKey) => processOf(key).name.toLowerCase()
const tried = (attempts: readonly Attempt[], key: ProcessKey) =>
  attempts.some(({ process, heat }) => process === key && heat !== 'hot')
const rungOf = (key: ProcessKey) => PROCESS_KEYS.indexOf(key)

/**
 * The next rung for one group of panels. `ladder` is what the rules allow there, mildest first; `start` is where the
 * shop’s memory would begin. One step at a time, and never past a rung that did harm.
 */
export function nextRung(
  ladder: readonly ProcessKey[],
  attempts: readonly Attempt[],
  start?: { process: ProcessKey; why: string },
): Advice {
  if (ladder.length === 0)
    return { kind: 'end', why: 'Nothing may be polished here: the rules forbid every rung of the ladder.' }
  const last = attempts.at(-1)
  if (!last) return firstRung(ladder, start)
  if (last.heat === 'hot' && last.verdict !== 'enough')
    return {
      kind: 'try',
      process: last.process,
      gently: true,
      why: 'The panel ran hot, so this says nothing yet. Let it cool; a smaller section, a lower speed, a fresh pad.',
    }
  if (last.verdict === 'enough') return afterGood(ladder, attempts, last)
  if (last.verdict === 'too-much') return afterHarm(ladder, attempts, last)
  return stronger(ladder, attempts, last, `${sentence(name(last.process))} left too much behind.`)
}

const sentence = (text: string) => text[0]!.toUpperCase() + text.slice(1)

function firstRung(ladder: readonly ProcessKey[], start?: { process: ProcessKey; why: string }): Advice {
  const remembered = start && ladder.includes(start.process) ? start : undefined
  return remembered
    ? { kind: 'try', gently: false, ...remembered }
    : {
        kind: 'try',
        process: ladder[0]!,
        gently: false,
        why: 'Nobody knows this paint yet: begin with the mildest pair there is.',
      }
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
        why: `${sentence(name(last.process))} clears it but leaves haze. A finer step has to follow.`,
      }
    : { kind: 'settled', process: last.process, why: whySettled(attempts, last) }
}

function whySettled(attempts: readonly Attempt[], last: Attempt): string {
  const milderFailed = attempts.some(
    ({ process, verdict }) => verdict === 'more' && rungOf(process) < rungOf(last.process),
  )
  return milderFailed
    ? 'It was good at the spot, and milder was not.'
    : 'It was good at the spot. Nothing milder was tried; where there is time, one rung down may do as well.'
}

function afterHarm(ladder: readonly ProcessKey[], attempts: readonly Attempt[], last: Attempt): Advice {
  const milder = ladder.filter((key) => rungOf(key) < harmCeiling(attempts))
  const open = milder.findLast((key) => !tried(attempts, key))
  if (open)
    return {
      kind: 'try',
      process: open,
      gently: false,
      why: `${sentence(name(last.process))} did harm. One rung back.`,
    }
  const best = milder.at(-1)
  return best
    ? {
        kind: 'settled',
        process: best,
        why: `${sentence(name(last.process))} did harm, so ${name(best)} is as far as it goes. What is left stays, and the quote says so.`,
      }
    : {
        kind: 'end',
        why: 'Even the mildest did harm. These panels are cleaned and protected, not polished.',
      }
}

function stronger(
  ladder: readonly ProcessKey[],
  attempts: readonly Attempt[],
  last: Attempt,
  why: string,
): Advice {
  const harmed = attempts
    .filter(({ verdict }) => verdict === 'too-much')
    .map(({ process }) => rungOf(process))
  const ceiling = Math.min(...harmed, Number.POSITIVE_INFINITY)
  const next = ladder.find((key) => rungOf(key) > rungOf(last.process) && rungOf(key) < ceiling)
  return next
    ? { kind: 'try', process: next, gently: false, why: `${why} One rung up.` }
    : {
        kind: 'settled',
        process: last.process,
        why: `${why} Nothing stronger is safe here: these panels are improved, not corrected.`,
      }
}
