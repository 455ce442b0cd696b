import type { Problem } from '@/core/schedule'
import { mergeIntervals } from '@/core/schedule/contract/intervals'
import { costOf, totalTerms } from '@/core/schedule/solver/cost'
import { insertJob } from '@/core/schedule/solver/insert-job'
import { compileModel, type Model, type ModelJob } from '@/core/schedule/solver/model'
import { placeJob } from '@/core/schedule/solver/place-job'
import { type JobPlacement, ShopState, stayExtent } from '@/core/schedule/solver/shop-state'
import { atLocal, dayIn, epochMinutes, fromEpochMinutes, plusDays } from '@/core/time'

/**
 * The two ways a shop plans without this program, done as well as they can be. Both keep every rule: windows, shifts,
 * skills and cures; they differ in how finely they book.
 */

type Baseline = { cost: number; tardinessMinutes: number; bayMinutes: number; unplaced: number }

const byDueDate = (jobs: readonly ModelJob[]) =>
  jobs.toSorted(
    (a, b) =>
      (a.due ?? Number.POSITIVE_INFINITY) - (b.due ?? Number.POSITIVE_INFINITY) || a.arrive - b.arrive,
  )

function priced(model: Model, placements: readonly JobPlacement[]): Baseline {
  const terms = totalTerms(model, placements)
  return {
    cost: costOf(model, terms),
    tardinessMinutes: terms.tardiness,
    bayMinutes: terms.hold,
    unplaced: model.jobs.length - placements.length,
  }
}

/** Serial insertion: the car due first is planned first, each at its cheapest beside those before it, never moved again. */
export function serialInsertion(problem: Problem): Baseline {
  const model = compileModel(problem)
  const shop = new ShopState(model)
  const placements: JobPlacement[] = []
  for (const job of byDueDate(model.jobs)) {
    const attempt = insertJob({ model, shop }, job)
    if (!attempt.ok) continue
    shop.commit(job, attempt.placed.placement)
    placements.push(attempt.placed.placement)
  }
  return priced(model, placements)
}

/** The minutes of the whole local days that a stretch of time touches. */
function wholeDays(model: Model, from: number, to: number): { from: number; to: number } {
  const { timezone } = model.problem
  const midnight = (minute: number, days: number) => {
    const day = plusDays(dayIn(timezone, fromEpochMinutes(model.originMinute + minute)), days)
    return epochMinutes(atLocal(timezone, day, '00:00')) - model.originMinute
  }
  return { from: midnight(from, 0), to: midnight(to - 1, 1) }
}

/**
 * A wall calendar: the car due first is written in first, and a bay or a person written in for a car is taken for the
 * whole day. Within its days the car is worked on as tightly as the rules allow.
 */
export function wallCalendar(problem: Problem): Baseline {
  const model = compileModel(problem)
  const shop = new ShopState(model)
  const placements: JobPlacement[] = []
  for (const job of byDueDate(model.jobs)) {
    const attempt = placeJob({ model, shop }, job)
    if (!attempt.ok) continue
    const { placement, berths } = attempt.placed
    placements.push(placement)
    for (const person of new Set(placement.operations.flatMap(({ people }) => people))) {
      const own = placement.operations.filter(({ people }) => people.includes(person))
      const days = mergeIntervals(own.map(({ start, end }) => wholeDays(model, start, end)))
      for (const day of days) shop.takePerson(person, day)
    }
    for (const place of new Set(berths.map((berth) => berth.place))) {
      const own = [...berths.keys()].filter((stay) => berths[stay]!.place === place)
      const days = own
        .map((stay) => stayExtent(job, placement, stay))
        .map(({ from, to }) => wholeDays(model, from, to))
      for (const day of mergeIntervals(days)) shop.takePlace(place, day)
    }
  }
  return priced(model, placements)
}
