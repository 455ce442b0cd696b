import { type LayerWindow, windowAfter } from '@/core/coating'
import type { JobId, PersonId } from '@/core/ids'
import { type LiveJob, progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import type { Floor } from '@/core/planning'
import {
  calendarNow,
  FIRST_SPREAD,
  heldJob,
  isTight,
  mayOverrun,
  spreadIn,
  windowLink,
} from '@/core/planning'
import type { Instant } from '@/core/time'

/** One operation on the drawn schedule: as it happened, or as it is planned. */
export type Block = {
  jobId: JobId
  plate: string
  operation: PlannedOperation
  start: Instant
  end: Instant
  segments: [Instant, Instant][]
  place: string
  /** Who did it, or is to do it. */
  people: PersonId[]
  /** Who began it, where somebody else is to go on with it. */
  begunBy?: string
  state: 'open' | 'started' | 'done'
  /** The manager wants it to stay where it is. */
  pinned: boolean
  /** It is of a slot held for a caller: nothing is agreed. */
  held?: true
  /** The window this operation had to start in, where it has one. */
  window?: LayerWindow
  /** Minutes the layer before it may overrun, so that this one still fits where it is planned. */
  mayOverrun?: number
  /** That is less than such work varies by. */
  tight?: true
}

/** A vehicle's stay in one place, nights included. */
export type StayBlock = {
  jobId: JobId
  stayId: string
  plate: string
  place: string
  start: Instant
  end: Instant
  blocks: Block[]
  /** It is a slot held for a caller. */
  held?: true
}

function blockOf(plate: string, live: LiveJob, operation: PlannedOperation, now: Instant): Block | undefined {
  const placed = live.published.find((each) => each.operation === operation.id)
  if (!placed) return undefined
  const progress = progressAt(live, operation, now)
  const done = progress.kind === 'done'
  const start = done ? progress.from : progress.kind === 'started' ? progress.at : placed.start
  const end = done ? progress.to : placed.end
  const by = progress.kind === 'open' ? undefined : progress.by
  // Work that pauses overnight may be gone on with by somebody else.
  const goesOn = progress.kind === 'started' && placed.people.length > 0
  const handedOn = goesOn && by !== undefined && !placed.people.includes(by)
  return {
    jobId: live.id,
    plate,
    operation,
    start,
    end,
    segments: done ? [[start, end]] : (placed.segments as [Instant, Instant][]),
    place: placed.place,
    people: by === undefined || goesOn ? placed.people : [by],
    ...(handedOn ? { begunBy: by } : {}),
    state: progress.kind,
    pinned: progress.kind === 'open' && (live.pinned?.includes(operation.id) ?? false),
  }
}

/** The part of an operation that is one person’s; nothing where they have no part in it. */
export function partOf(block: Block, person: PersonId, now: Instant): Block | undefined {
  const { begunBy, people, segments } = block
  if (begunBy === undefined) return people.includes(person) ? block : undefined
  const own = segments.filter(([from]) => (from < now ? person === begunBy : people.includes(person)))
  const [first, last] = [own[0], own.at(-1)]
  return first && last ? { ...block, start: first[0], end: last[1], segments: own } : undefined
}

/** Whose hours say how much a layer may overrun. */
export type Hours = Parameters<typeof mayOverrun>[0] & Parameters<typeof spreadIn>[0]

function withWindow(block: Block, live: LiveJob, blocks: readonly Block[], hours: Hours | undefined): Block {
  const link = windowLink(live, block.operation.id)
  const before = link && blocks.find(({ operation }) => operation.id === link.from)
  if (!link || !before) return block
  const isAhead = before.state !== 'done' && block.state === 'open'
  const spare = hours && isAhead ? mayOverrun(hours, before, link.min, block) : undefined
  const { minutes } = before.operation
  const { spread = FIRST_SPREAD } = hours ? spreadIn(hours, before.operation) : {}
  const tight = spare !== undefined && isTight(spare, { minutes, spread })
  return {
    ...block,
    window: windowAfter(before.end, link),
    ...(spare === undefined ? {} : { mayOverrun: spare }),
    ...(tight ? { tight } : {}),
  }
}

/** What is planned and done of a job; with the shop’s hours, how much each layer may overrun as well. */
export function blocksOf(plate: string, live: LiveJob, now: Instant, hours?: Hours): Block[] {
  const blocks = live.plan.operations.flatMap((operation) => blockOf(plate, live, operation, now) ?? [])
  return blocks.map((block) => withWindow(block, live, blocks, hours))
}

/** The shop’s hours as they are now. */
export function hoursOf(floor: Floor): Hours {
  return calendarNow(floor)
}

/** All stays of all vehicles that are still in hand, and of held slots; with the shop’s hours, how much each layer may overrun as well. */
export function staysOf(floor: Floor, hours?: Hours): StayBlock[] {
  const inHand = floor.jobs.flatMap(({ job, live, stage }) =>
    live && stage.kind !== 'handed-over'
      ? staysIn(live, blocksOf(job.vehicle.plate, live, floor.now, hours), job.vehicle.plate)
      : [],
  )
  const held = floor.holds.flatMap((hold): StayBlock[] => {
    const live = heldJob(hold)
    const blocks = blocksOf(hold.name, live, floor.now).map((block) => ({ ...block, held: true as const }))
    return staysIn(live, blocks, hold.name).map((stay) => ({ ...stay, held: true }))
  })
  return [...inHand, ...held]
}

function staysIn(live: LiveJob, blocks: readonly Block[], plate: string): StayBlock[] {
  return live.plan.stays.flatMap((stay): StayBlock[] => {
    const own = blocks.filter(({ operation }) => stay.operations.includes(operation.id))
    if (own.length === 0) return []
    const start = own.map((block) => block.start).reduce((a, b) => (a < b ? a : b))
    const end = own.map((block) => block.end).reduce((a, b) => (a > b ? a : b))
    return [{ jobId: live.id, stayId: stay.id, plate, place: own[0]!.place, start, end, blocks: own }]
  })
}
