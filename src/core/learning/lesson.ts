import type { MethodKey } from '../correction'
import { type Care, machineKey, stepMinutes, type Worked } from '../correction'
import type { BayId, JobId, OperationId, PersonId, ProductId } from '../ids'
import type { Progress } from '../job'
import { type JobPlan, machineRoles, type PlannedOperation, paceKey, type Skill } from '../offer'
import { OFFSITE } from '../offer/in-order'
import type { PlacedOperation } from '../schedule'
import type { DefectKind, Severity } from '../survey'
import { type Instant, type LocalDay, minutesBetween } from '../time'
import type { Panel } from '../vehicle'

/** What one finished job has to teach: what was planned against what it came to. Minutes are of one person, money in cents. */

export type LessonStep = {
  /** What kind of work: `two-step-wool:cut`, `wash`. */
  key: string
  skill: Skill
  panel?: string
  /** By the table, before anything was learned. */
  tableMinutes: number
  /** As it was planned and sold. */
  plannedMinutes: number
  actualMinutes: number
}

export type BayStay = { place: BayId; plannedMinutes: number; from: Instant; to: Instant }

/** Share of the marks of a panel that were to go and that went, 0–1. */
export type ClearingLesson = {
  panel: string
  process: MethodKey
  expected: number
  reached: number
  /** What cost it most, and how deep it was taken to lie against the table; absent from before that was kept. */
  mark?: { kind: DefectKind; severity: Severity; depth: number } | undefined
}

export type Lesson = {
  jobId: JobId
  number: number
  packageKey: string
  packageName: string
  /** The day it went home. */
  day: LocalDay
  /** Minutes after the promise that it was finished; below 0 it was early. */
  lateMinutes: number
  netCents: number
  discountCents: number
  vendorCents: number
  consumablesCents: number
  steps: LessonStep[]
  /** Each time it stood in a bay: from the first recorded step there to the end of the last. */
  bays: BayStay[]
  /** Where nothing was poured from a bottle by name, what was planned stands for it. */
  products: { productId: ProductId; plannedMl: number; ml: number; poured: boolean; centsPerMl: number }[]
  clearing: ClearingLesson[]
}

export type Tick = { operation: OperationId; panel: string; at: Instant }

export type LessonInput = {
  job: { id: JobId; number: number; packageKey: string; packageName: string }
  day: LocalDay
  promisedFor: Instant
  plan: JobPlan
  progress: Readonly<Record<string, Progress>>
  published: readonly PlacedOperation[]
  panels: readonly Panel[]
  /** What was worked on each panel, with its passes. */
  work: Readonly<Record<string, Worked>>
  care: Care
  /** The pace it was planned at. */
  pace: Readonly<Record<string, number>>
  ticks: readonly Tick[]
  /** Minutes somebody was on shift and at it between two moments. */
  worked: (operation: OperationId, person: PersonId | undefined, from: Instant, to: Instant) => number
  money: Pick<Lesson, 'netCents' | 'discountCents' | 'vendorCents' | 'consumablesCents'>
  products: Lesson['products']
  clearing: Lesson['clearing']
}

/** What one panel asks of a machine step, by the table. */
type PanelShare = { panel: Panel; key: string; minutes: number }

function sharesOf(operation: PlannedOperation, { panels, work, care }: LessonInput): PanelShare[] {
  const roles = machineRoles(operation)
  return panels
    .filter(({ id }) => !operation.panels || operation.panels.includes(id))
    .flatMap((panel) =>
      roles.flatMap((role) => {
        const method = work[panel.id]
        const steps = (method?.steps ?? []).filter((step) => step.role === role)
        if (!method || steps.length === 0) return []
        const minutes = steps.reduce((sum, step) => sum + stepMinutes(step, panel, care).minutes, 0)
        return [{ panel, key: machineKey(method, { role }), minutes }]
      }),
    )
}

/** Minutes of each panel between its tick and the one before, stretched so that they fill the step. */
function minutesByTick(
  operation: PlannedOperation,
  done: Extract<Progress, { kind: 'done' }>,
  total: number,
  shares: readonly PanelShare[],
  { ticks, worked }: LessonInput,
): Map<string, number> {
  const last = new Map<string, Instant>()
  const own = new Set(shares.map(({ panel }) => panel.id))
  for (const { operation: id, panel, at } of ticks)
    if (id === operation.id && own.has(panel)) last.set(panel, at)
  let from = done.from
  const minutes = [...last]
    .toSorted(([, a], [, b]) => a.localeCompare(b))
    .map(([panel, at]): [string, number] => {
      const spent = worked(operation.id, done.by, from, at)
      from = at
      return [panel, spent]
    })
  const sum = minutes.reduce((all, [, each]) => all + each, 0)
  return new Map(sum > 0 ? minutes.map(([panel, each]) => [panel, (each * total) / sum]) : [])
}

/** How many were at it: as many as it needs, or as many as shared it by the plan it was done by. */
function handsAt({ id, people }: PlannedOperation, { published }: LessonInput): number {
  const placed = published.find(({ operation }) => operation === id)
  return Math.max(1, people, placed?.people.length ?? 0)
}

/** Steps of one operation: at the machine one for each panel, else one. Nothing for what nobody of the house worked on. */
function stepsOf(operation: PlannedOperation, input: LessonInput): LessonStep[] {
  const progress = input.progress[operation.id]
  const { skill } = operation
  if (progress?.kind !== 'done' || !skill || skill.startsWith('vendor-')) return []
  const own = skill as Skill
  const actualMinutes =
    input.worked(operation.id, progress.by, progress.from, progress.to) * handsAt(operation, input)
  const plannedMinutes = operation.minutes * Math.max(1, operation.people)
  const shares = sharesOf(operation, input)
  if (shares.length === 0)
    return [
      {
        key: paceKey(operation),
        skill: own,
        tableMinutes: plannedMinutes / (input.pace[paceKey(operation)] ?? 1),
        plannedMinutes,
        actualMinutes,
      },
    ]
  const table = shares.reduce((sum, { minutes }) => sum + minutes, 0)
  const paced = shares.reduce((sum, { minutes, key }) => sum + minutes * (input.pace[key] ?? 1), 0)
  const ticked = minutesByTick(operation, progress, actualMinutes, shares, input)
  const ofPanel = (panel: Panel) =>
    shares.reduce((sum, share) => sum + (share.panel === panel ? share.minutes : 0), 0)
  const all = shares.every(({ panel }) => ticked.has(panel.id))
  return shares.map(({ panel, key, minutes }) => ({
    key,
    skill: own,
    // Without ticks nobody knows which panel it was: the step is shared out, and no panel is named.
    ...(all ? { panel: panel.id } : {}),
    tableMinutes: minutes,
    plannedMinutes: (plannedMinutes * minutes * (input.pace[key] ?? 1)) / paced,
    // A panel that is cut and refined in one go is ticked once: its steps share its minutes.
    actualMinutes: all
      ? (ticked.get(panel.id)! * minutes) / ofPanel(panel)
      : (actualMinutes * minutes) / table,
  }))
}

function baysOf({ plan, progress, published }: LessonInput): Lesson['bays'] {
  return plan.stays.flatMap(({ kind, operations }) => {
    // What is at somebody else’s place takes no bay.
    if (kind === OFFSITE) return []
    const done = operations.flatMap((id) => {
      const each = progress[id]
      return each?.kind === 'done' ? [each] : []
    })
    const placed = published.filter(({ operation }) => operations.includes(operation))
    if (done.length === 0 || placed.length === 0) return []
    const first = (all: readonly Instant[]) => all.toSorted()[0]!
    const last = (all: readonly Instant[]) => all.toSorted().at(-1)!
    return [
      {
        place: placed[0]!.place,
        plannedMinutes: minutesBetween(
          first(placed.map(({ start }) => start)),
          last(placed.map(({ end }) => end)),
        ),
        from: first(done.map(({ from }) => from)),
        to: last(done.map(({ to }) => to)),
      },
    ]
  })
}

/** What a finished job has to teach. Throws where nothing of it was recorded as done. */
export function lessonOf(input: LessonInput): Lesson {
  const ends = Object.values(input.progress).flatMap((each) => (each.kind === 'done' ? [each.to] : []))
  if (ends.length === 0) throw new Error('a job teaches something once its work is recorded')
  return {
    jobId: input.job.id,
    number: input.job.number,
    packageKey: input.job.packageKey,
    packageName: input.job.packageName,
    day: input.day,
    lateMinutes: minutesBetween(input.promisedFor, ends.toSorted().at(-1)!),
    ...input.money,
    steps: input.plan.operations.flatMap((operation) => stepsOf(operation, input)),
    bays: baysOf(input),
    products: input.products,
    clearing: input.clearing,
  }
}
