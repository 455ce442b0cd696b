import type { Problem } from '../contract/problem'
import type { PlacedOperation } from '../contract/schedule-file'
import { TOLERATED_MINUTES } from '../rehearse/rehearse'
import { Draft } from '../solver/draft'
import { compileModel, type ModelJob } from '../solver/model'
import { narrowed } from '../solver/place-groups'
import { placeJob } from '../solver/place-job'
import { readPlacements, readSteps, writeOperations } from '../solver/placements'
import type { JobPlacement, OperationPlacement } from '../solver/shop-state'
import { Scenarios } from './scenarios'

/** Of plans that are about as good the one that moves least of what people were told. */

/** Draws of luck by which plans are compared, and the seed of them. */
const SCENARIOS = 24
const SEED = 20_270_111
/** So much dearer than the best a plan may be for moving less, as a share (mem). */
const ABOUT_AS_GOOD = 0.02

export type Told = {
  /** What people were told: the plan that was published. */
  told: readonly PlacedOperation[]
  /** The chance with which what is due should be in time, 0–1. */
  sure: number
}

type Known = readonly (OperationPlacement | undefined)[]

const startOf = (steps: Known) => Math.min(...steps.flatMap((step) => step?.start ?? []))

/**
 * The one of these plans of a problem that changes fewest told steps while it costs at most 2 % more than the best when it is played out. Cars that
 * need not have moved in it are put back where they were, one by one, as long as that holds. There is one plan at least, each of them whole.
 */
export function leastMoved(
  problem: Problem,
  plans: readonly (readonly PlacedOperation[])[],
  { told, sure }: Told,
): PlacedOperation[] {
  const model = compileModel(problem)
  const known = readSteps(model, told)
  const rules = { early: false, tolerate: TOLERATED_MINUTES }
  const scenarios = new Scenarios(problem, rules, { count: SCENARIOS, seed: SEED, sure })
  const movedIn = (job: ModelJob, placement: JobPlacement | undefined): number =>
    (placement?.operations ?? []).filter(
      (placed, index) =>
        // What is past or under way is where it is.
        !job.operations[index]!.pin && !isAsTold(placed, known[job.index]![index]),
    ).length

  const read = plans.map((operations) => readPlacements(model, operations))
  const costs = read.map((placements) => scenarios.judge(placements).cost)
  const limit = Math.min(...costs) * (1 + ABOUT_AS_GOOD)
  const candidates = read
    .filter((_, at) => costs[at]! <= limit)
    .map((placements) => {
      const draft = new Draft(model)
      for (const job of model.jobs)
        if (placements[job.index])
          draft.put(job, { placement: placements[job.index]!, berths: [], causes: [] })
      putBack(
        draft,
        known,
        limit,
        movedIn,
        () =>
          scenarios.judge(
            draft.placed.map((each) => each?.placement),
            limit,
          ).cost,
      )
      const all = draft.placed.flatMap((placed) => (placed ? [placed.placement] : []))
      return { all, moved: all.reduce((sum, each) => sum + movedIn(model.jobs[each.job]!, each), 0) }
    })
  const least = candidates.reduce((best, each) => (each.moved < best.moved ? each : best))
  return least.all.flatMap((placement) => writeOperations(model, placement))
}

function isAsTold(
  { start, place, people }: OperationPlacement,
  was: OperationPlacement | undefined,
): boolean {
  return (
    was !== undefined &&
    start === was.start &&
    place === was.place &&
    people.toSorted().join() === was.people.toSorted().join()
  )
}

/** Puts back whatever can be put back, again and again until nothing more can: one car often stands in the place of another. */
function putBack(
  draft: Draft,
  known: readonly Known[],
  limit: number,
  movedIn: (job: ModelJob, placement: JobPlacement | undefined) => number,
  costNow: () => number,
): void {
  const { model, shop } = draft
  const back = (job: ModelJob): boolean => {
    const was = known[job.index]!
    const before = draft.placed[job.index]
    if (!before || movedIn(job, before.placement) === 0) return false
    draft.takeOff(job)
    const choice = narrowed(
      model,
      job,
      ({ index }) => {
        const step = was[index]
        // What should have begun already cannot go back to the past.
        return step && step.start >= 0 ? { pin: { start: step.start, people: [...step.people] } } : {}
      },
      ({ operations, places }) => {
        const place = operations.map((index) => was[index]?.place).find((each) => each !== undefined)
        return place !== undefined && places.includes(place) ? [place] : places
      },
    )
    shop.remove(job.index)
    const attempt =
      choice.placeChoices.length > 0 ? placeJob({ model, shop }, choice) : ({ ok: false } as const)
    // A step that can no longer be where it was would be put back for ever.
    if (attempt.ok && movedIn(job, attempt.placed.placement) < movedIn(job, before.placement)) {
      draft.put(job, attempt.placed)
      if (costNow() <= limit) return true
    }
    draft.takeOff(job)
    draft.put(job, before)
    return false
  }
  for (let again = true; again; ) {
    again = false
    const moved = model.jobs.filter((job) => movedIn(job, draft.placed[job.index]?.placement) > 0)
    for (const job of moved.sort((a, b) => startOf(known[a.index]!) - startOf(known[b.index]!)))
      if (back(job)) again = true
  }
}
