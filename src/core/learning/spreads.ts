import { FIRST_SPREAD, onePanel } from '../planning/spreads'
import { logVariance, spreadOf } from '../schedule'
import type { Setup } from '../shop'
import type { Lesson } from './lesson'
import { jobVariance, LEAST_MINUTES, logFactor } from './scatter'

/** How much the minutes of each kind of work vary from job to job, learned from finished ones and drawn towards a fifth. */

export type SpreadLesson = {
  /** As an operation is spoken of in a plan: `wash`, or at the machine `cut`. */
  key: string
  jobs: number
  /** Coefficient of variation of what it took against what was planned. */
  spread: number
  /** What plans use now. */
  current: number
  /** How much single panels vary about the pace of their car, and how many were seen; absent where none were ticked by themselves. */
  panel?: { panels: number; spread: number; current?: number | undefined }
}

/** As many jobs the first guess is worth (mem). */
const WORTH_JOBS = 8
/** As many panels the same guess is worth for single ones (mem). */
const WORTH_PANELS = 20
/** No kind of work is taken to vary more than this: plans would promise nothing (mem). */
const MOST_SPREAD = 0.6

/** At the machine a step is planned as a whole, whatever is done on each panel; what is done in a single step is called polishing. */
function plannedAs(key: string): string {
  const [first, role] = key.split(':')
  if (role === undefined || first === 'extra') return key
  return role === 'single' ? 'polish' : role
}

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
      ratios.set(key, [...(ratios.get(key) ?? []), logFactor(actual / planned)])
    }
  }
  const byPanel = panelSpreads(lessons)
  return [...ratios]
    .map(([key, logs]): SpreadLesson => {
      const panel = byPanel.get(key)
      return {
        key,
        jobs: logs.length,
        spread: learnedFrom(logs),
        current: current[key] ?? FIRST_SPREAD,
        ...(panel ? { panel: { ...panel, current: current[onePanel(key)] } } : {}),
      }
    })
    .sort((a, b) => b.jobs - a.jobs || a.key.localeCompare(b.key))
}

/** How far off the plan is as a whole is the pace’s business: only what jobs scatter about their mean counts. */
const learnedFrom = (logs: readonly number[]): number =>
  Math.min(MOST_SPREAD, spreadOf(jobVariance(logs, logVariance(FIRST_SPREAD), WORTH_JOBS)))

/** How far panels of one car lie from one another at a kind of work: the paint, the hand and the day are theirs together. */
function panelSpreads(lessons: readonly Lesson[]): Map<string, { panels: number; spread: number }> {
  const seen = new Map<string, { panels: number; scatter: number; free: number }>()
  for (const { steps } of lessons) {
    const own = new Map<string, number[]>()
    for (const { key, panel, plannedMinutes, actualMinutes } of steps) {
      if (panel === undefined || plannedMinutes < LEAST_MINUTES || actualMinutes <= 0) continue
      const name = plannedAs(key)
      own.set(name, [...(own.get(name) ?? []), logFactor(actualMinutes / plannedMinutes)])
    }
    for (const [key, logs] of own) {
      if (logs.length < 2) continue
      const mean = logs.reduce((sum, log) => sum + log, 0) / logs.length
      const { panels, scatter, free } = seen.get(key) ?? { panels: 0, scatter: 0, free: 0 }
      seen.set(key, {
        panels: panels + logs.length,
        scatter: scatter + logs.reduce((sum, log) => sum + (log - mean) ** 2, 0),
        free: free + logs.length - 1,
      })
    }
  }
  const guess = logVariance(FIRST_SPREAD)
  return new Map(
    [...seen].map(([key, { panels, scatter, free }]) => [
      key,
      {
        panels,
        spread: Math.min(MOST_SPREAD, spreadOf((WORTH_PANELS * guess + scatter) / (WORTH_PANELS + free))),
      },
    ]),
  )
}
