import type { JobId } from '@/core/ids'
import { type Progress, progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import type { Floor } from '@/core/planning'
import { dayIn, type Instant } from '@/core/time'

/** What somebody does on one day, car by car. Plain data. */

export type DayStep = {
  operation: Pick<PlannedOperation, 'id' | 'title' | 'minutes'>
  state: Progress['kind']
  start: Instant
  end: Instant
  people: string[]
}
export type DayCar = { job: JobId; plate: string; car: string; place: string; steps: DayStep[] }

/** Attended steps that are under way, or planned for today, or overdue; by car, the first to begin first. */
export function dayCars({ jobs, now, shop }: Floor): DayCar[] {
  const { region, places } = shop.setup
  const { timezone } = region
  const today = dayIn(timezone, now)
  const cars = jobs.flatMap(({ job, live, stage }): DayCar[] => {
    if (!live || stage.kind === 'handed-over') return []
    const steps = live.plan.operations.flatMap((operation): DayStep[] => {
      const placed = live.published.find((each) => each.operation === operation.id)
      if (!placed || operation.mode === 'unattended') return []
      const progress = progressAt(live, operation, now)
      const start = progress.kind === 'open' ? placed.start : startOf(progress)
      const isToday =
        progress.kind === 'started' ||
        (progress.kind === 'open' && dayIn(timezone, start) <= today) ||
        (progress.kind === 'done' && dayIn(timezone, progress.to) === today)
      if (!isToday) return []
      const people = progress.kind !== 'open' && progress.by ? [progress.by] : placed.people
      const { id, title, minutes } = operation
      const end = progress.kind === 'done' ? progress.to : placed.end
      return [{ operation: { id, title, minutes }, state: progress.kind, start, end, people }]
    })
    if (steps.length === 0) return []
    const current = live.published.find(({ operation }) => operation === steps.at(-1)!.operation.id)
    const place = places.find(({ id }) => id === current?.place)?.name ?? ''
    const { plate, make, model } = job.vehicle
    return [{ job: job.id, plate, car: `${make} ${model}`, place, steps }]
  })
  return cars.toSorted((a, b) => (a.steps[0]!.start < b.steps[0]!.start ? -1 : 1))
}

const startOf = (progress: Exclude<Progress, { kind: 'open' }>): Instant =>
  progress.kind === 'done' ? progress.from : progress.at
