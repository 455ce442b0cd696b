import { FIRST_SPREAD } from '../planning/spreads'
import type { Setup } from '../shop'
import type { Lesson } from './lesson'

/** How much the minutes of each kind of work vary from job to job, learned from finished ones and drawn towards a fifth. */

export type SpreadLesson = {
  /** As an operation is spoken of in a plan: `wash`, or at the machine `cut`. */
  key: string
  jobs: number
  /** Coefficient of variation of what it took against what was planned. */
  spread: number
  /** What plans use now. */
  current: number
}

/** As many jobs the first guess is worth (mem). */
const WORTH_JOBS = 8
/** Of one job only what took so many minutes counts, and no job is believed to have gone further from its plan than this: a clock was left running (mem). */
const LEAST_MINUTES = 5
const MOST_FACTOR = 3
/** No kind of work is taken to vary more than this: plans would promise nothing (mem). */
const MOST_SPREAD = 0.6

/** At the machine a step is planned as a whole, whatever is done on each panel; what is done in a single step is called polishing. */
function plannedAs(key: string): string {
  const [first, role] = key.split(':')
  if (role === undefined || first === 'extra') return key
  return role === 'single' ? 'polish' : role
}

/** The variance of a lognormal variable’s logarithm, from its coefficient of variation, and back. */
const varianceOf = (spread: number) => Math.log(1 + spread ** 2)
const spreadOf = (variance: number) => Math.sqrt(Math.exp(variance) - 1)

export function spreadLessons(lessons: readonly Lesson[], current: Setup['spreads']): SpreadLesson[] {
  const ratios = new Map<string, number[]>()
  for (const { steps } of lessons) {
    const own = new Map<string, { planned: number; actual: number }>()
    for (const { key, plannedMinutes, actualMinutes } of steps) {
      const name = plannedAs(key)
      const { planned, actual } = own.get(name) ?? { planned: 0, actual: 0 }
      own.set(name, { planned: planned + plannedMinutes, actual: actual + actualMinutes })
    }
    for (const [key, { planned, actual }] of own) {
      if (planned < LEAST_MINUTES || actual <= 0) continue
      const factor = Math.min(MOST_FACTOR, Math.max(1 / MOST_FACTOR, actual / planned))
      ratios.set(key, [...(ratios.get(key) ?? []), Math.log(factor)])
    }
  }
  return [...ratios]
    .map(([key, logs]) => ({
      key,
      jobs: logs.length,
      spread: learnedFrom(logs),
      current: current[key] ?? FIRST_SPREAD,
    }))
    .sort((a, b) => b.jobs - a.jobs || a.key.localeCompare(b.key))
}

/** What the logarithms scatter about their mean, drawn towards the guess until there are many; how far off the plan is as a whole is the pace’s business. */
function learnedFrom(logs: readonly number[]): number {
  const mean = logs.reduce((sum, log) => sum + log, 0) / logs.length
  const scatter = logs.reduce((sum, log) => sum + (log - mean) ** 2, 0)
  const variance = (WORTH_JOBS * varianceOf(FIRST_SPREAD) + scatter) / (WORTH_JOBS + logs.length - 1)
  return Math.min(MOST_SPREAD, spreadOf(variance))
}
