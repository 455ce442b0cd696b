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

/** What was moved though it need not have been goes back to where people were told it would be. */

/** Draws of luck by which it is judged whether a plan is about as good, and the seed of them. */
const SCENARIOS = 24
const SEED = 20_270_111
/** So much dearer a plan may become for moving less, as a share (mem). */
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
 * A whole plan of a problem with those jobs put back to where they were told to be that need not have moved: one by one, as long as every rule is
 * kept and the plan, played out, costs at most 2 % more. What is fixed, or should have begun already, is left out of account.
 */
export function putBack(
  problem: Problem,
  plan: readonly PlacedOperation[],
  { told, sure }: Told,
): PlacedOperation[] {
  const model = compileModel(problem)
  const rules = { early: false, tolerate: TOLERATED_MINUTES }
  const scenarios = new Scenarios(problem, rules, { count: SCENARIOS, seed: SEED, sure })
  const placements = readPlacements(model, plan)
  const draft = new Draft(model)
  for (const job of model.jobs) {
    const placement = placements[job.index]
    if (placement) draft.put(job, { placement, berths: [], causes: [] })
  }
  const limit = scenarios.judge(placements).cost * (1 + ABOUT_AS_GOOD)
  const now = () => draft.placed.map((placed) => placed?.placement)
  putJobsBack(draft, readSteps(model, told), () => scenarios.judge(now(), limit).cost <= limit)
  return now().flatMap((placement) => (placement ? writeOperations(model, placement) : []))
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

/** How many steps of a job are elsewhere than they were told to be. */
const movedIn = (job: ModelJob, placement: JobPlacement | undefined, was: Known): number =>
  (placement?.operations ?? []).filter(
    // What is past or under way is where it is.
    (placed, index) => !job.operations[index]!.pin && !isAsTold(placed, was[index]),
  ).length

/** Puts back whatever can be put back, again and again until nothing more can: one car often stands in the place of another. */
function putJobsBack(draft: Draft, known: readonly Known[], isGoodEnough: () => boolean): void {
  const { model, shop } = draft
  const back = (job: ModelJob): boolean => {
    const was = known[job.index]!
    const before = draft.placed[job.index]!
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
    if (attempt.ok && movedIn(job, attempt.placed.placement, was) < movedIn(job, before.placement, was)) {
      draft.put(job, attempt.placed)
      if (isGoodEnough()) return true
    }
    draft.takeOff(job)
    draft.put(job, before)
    return false
  }
  for (let again = true; again; ) {
    const moved = model.jobs
      .filter((job) => movedIn(job, draft.placed[job.index]?.placement, known[job.index]!) > 0)
      .sort((a, b) => startOf(known[a.index]!) - startOf(known[b.index]!))
    again = moved.map(back).includes(true)
  }
}
