import { jobCost } from './cost'
import { drawTogether } from './draw-together'
import type { SlotContext } from './find-slot'
import type { ModelJob, PlaceGroup } from './model'
import { layEarly, type Placed, type PlaceFailure } from './place-job'
import { stayExtent } from './shop-state'

/** How often a later beginning is tried because the bay is held for longer than the work needs (tried out on busy shops). */
const LATER_MAX = 8
/** The same while searching, where the beginnings tried are drawn at random and the job will be placed again. */
const LATER_MAX_AT_RANDOM = 2

/** How often, of a hundred, a stay is left early at random, though its place is held for nothing: it may make room elsewhere. */
const LEFT_EARLY_PERCENT = 10

export type Insertion = { ok: true; placed: Placed; cost: number } | { ok: false; failure: PlaceFailure }

/**
 * The cheapest of the placements tried for one job in the shop as it stands: as early as it can be done, then drawn
 * together so that no bay is held for nothing, then begun later as long as that could save more than it costs. The shop
 * is not changed.
 */
export function insertJob(shop: SlotContext, job: ModelJob, makespan = 0): Insertion {
  const context: SlotContext = { ...shop, known: new Map() }
  let best: Insertion = { ok: false, failure: { operation: job.order![0]!, code: 'no-place' } }
  for (const groups of job.placeChoices) {
    const releases = delayed(context, job)
    const most = context.random ? LATER_MAX_AT_RANDOM : LATER_MAX
    for (let tries = 0; tries <= most; tries++) {
      const attempt = layEarly(context, job, groups, releases)
      if (!attempt.ok) {
        if (!best.ok) best = attempt
        break
      }
      const found = tightened(context, job, groups, releases, attempt.placed, makespan)
      if (!best.ok || found.cost < best.cost) best = found
      const later = laterRelease(context, job, found.placed)
      if (!later || found.cost - later.maySave >= best.cost) break
      releases[later.stay] = later.from + waitBefore(context, tries, later.slack)
    }
  }
  return best
}

/** How often, of a hundred, one stay is delayed where that is tried, and by how many minutes at most. */
const DELAYED_PERCENT = 20
const DELAY_MAX_MINUTES = 2880

/** Stays that are not to begin before a minute drawn at random, soon after the arrival more often than late. */
function delayed({ random, delays }: SlotContext, job: ModelJob): (number | undefined)[] {
  if (!random || !delays || random() * 100 >= DELAYED_PERCENT) return []
  const releases = job.stays.map((): number | undefined => undefined)
  releases[Math.floor(random() * job.stays.length)] =
    Math.max(0, job.arrive) + Math.floor(random() ** 2 * DELAY_MAX_MINUTES)
  return releases
}

const leftEarly = ({ random }: SlotContext) => random !== undefined && random() * 100 < LEFT_EARLY_PERCENT

/** How much later than the next minute: a slot, two, four and so on, or anything up to what the hold could lose. */
function waitBefore({ model, random }: SlotContext, tries: number, slack: number): number {
  if (random) return Math.floor(random() ** 2 * slack)
  return tries === 0 ? 0 : model.slot * 2 ** (tries - 1)
}

type Done = Extract<Insertion, { ok: true }>

function priced({ model }: SlotContext, job: ModelJob, placed: Placed, makespan: number): Done {
  return { ok: true, placed, cost: jobCost(model, job, placed.placement, makespan) }
}

/**
 * The job with its stays drawn together where that holds a place for less. What need not move stays early: it is placed once
 * more behind the late beginnings of those stays, since room kept free now is worth more than room kept free later.
 */
function tightened(
  context: SlotContext,
  job: ModelJob,
  groups: readonly PlaceGroup[],
  releases: readonly (number | undefined)[],
  placed: Placed,
  makespan: number,
): Done {
  const early = priced(context, job, placed, makespan)
  if (context.model.problem.objective.hold === 0) return early
  const late = drawTogether(context, job, placed)
  if (!late) return early
  let keptEarly = false
  const behind = job.stays.map((_, stay) => {
    const [before, after] = [placed, late].map(({ placement }) => stayExtent(job, placement, stay))
    if (after!.to - after!.from >= before!.to - before!.from) return releases[stay]
    if (!leftEarly(context)) return after!.from
    keptEarly = true
    return releases[stay]
  })
  const again = layEarly(context, job, groups, behind)
  if (keptEarly) return again.ok ? priced(context, job, again.placed, makespan) : early
  const options = [early, priced(context, job, late, makespan)]
  if (again.ok) options.push(priced(context, job, again.placed, makespan))
  return options.reduce((best, option) => (option.cost <= best.cost ? option : best))
}

/** The stay that is held longest beyond its work, begun later than now, and what its hold could save at most. */
function laterRelease(
  { model }: SlotContext,
  job: ModelJob,
  { placement }: Placed,
): { stay: number; from: number; slack: number; maySave: number } | undefined {
  let widest: { stay: number; from: number; slack: number } | undefined
  let slackOfAll = 0
  for (const [stay, { minutesAtLeast, operations }] of job.stays.entries()) {
    if (operations.some((index) => job.operations[index]!.pin)) continue
    const { from, to } = stayExtent(job, placement, stay)
    const slack = to - from - minutesAtLeast
    slackOfAll += slack
    if (slack > (widest?.slack ?? 0)) widest = { stay, from: from + 1, slack }
  }
  return widest && { ...widest, maySave: slackOfAll * model.problem.objective.hold }
}
