import { factorOf, shrink } from '../test-spot'
import type { Lesson } from './lesson'
import { jobVariance, LEAST_MINUTES, logFactor } from './scatter'
import { surenessFor } from './sureness'

/** How the shop’s own hands go against the table, learned kind by kind of work and shrunk towards the table. */

export type PaceLesson = {
  key: string
  /** Jobs it was seen on. */
  jobs: number
  tableMinutes: number
  actualMinutes: number
  /** What was learned, with the band that holds it two times in three. */
  factor: number
  low: number
  high: number
  /** What plans use now. */
  current: number
  /** Whether it differs from what is used by more than chance and by enough to matter. */
  worthAccepting: boolean
}

/** How far the table may be off for any shop, and one job from another of its kind: spread of the logarithm (mem). */
const TABLE_SD = 0.25
const JOB_SD = 0.28
/** Fewer jobs are no rule, however far they lie from it (mem). */
const LEAST_JOBS = 10
/** So many jobs that guess is worth beside what the shop’s own jobs scatter (mem). */
const JOB_SD_WORTH = 6
/** A change smaller than this moves no plan by a planning step (mem). */
const WORTH_SHARE = 0.04

export function paceLessons(
  lessons: readonly Lesson[],
  current: Readonly<Record<string, number>>,
): PaceLesson[] {
  const byKey = new Map<string, { table: number; actual: number }[]>()
  for (const { steps } of lessons) {
    const own = new Map<string, { table: number; actual: number }>()
    for (const { key, tableMinutes, actualMinutes } of steps) {
      const sum = own.get(key) ?? { table: 0, actual: 0 }
      own.set(key, { table: sum.table + tableMinutes, actual: sum.actual + actualMinutes })
    }
    for (const [key, sum] of own)
      if (sum.table >= LEAST_MINUTES && sum.actual > 0) byKey.set(key, [...(byKey.get(key) ?? []), sum])
  }
  const sureness = surenessFor(byKey.size)
  return [...byKey]
    .map(([key, jobs]) => paceLesson(key, jobs, current[key] ?? 1, sureness))
    .sort((a, b) => b.actualMinutes - a.actualMinutes)
}

function paceLesson(
  key: string,
  jobs: readonly { table: number; actual: number }[],
  current: number,
  sureness: number,
): PaceLesson {
  const logs = jobs.map(({ table, actual }) => logFactor(actual / table))
  const variance = jobVariance(logs, JOB_SD ** 2, JOB_SD_WORTH)
  const learned = shrink(
    { log: 0, variance: TABLE_SD ** 2 },
    logs.map((log) => ({ log, variance })),
  )
  const { factor, low, high } = factorOf(learned)
  const off = Math.abs(Math.log(factor / current))
  return {
    key,
    jobs: jobs.length,
    tableMinutes: jobs.reduce((sum, { table }) => sum + table, 0),
    actualMinutes: jobs.reduce((sum, { actual }) => sum + actual, 0),
    factor,
    low,
    high,
    current,
    worthAccepting:
      jobs.length >= LEAST_JOBS && off > WORTH_SHARE && off > sureness * Math.sqrt(learned.variance),
  }
}
