import type { JobId } from '../ids'
import type { LiveJob } from '../job'
import type { JobPlan } from '../offer/job-plan'
import type { PlacedOperation } from '../schedule'
import { type Instant, type LocalDay, plusDays } from '../time'
import { type Shape, sizeOf } from '../vehicle'
import type { ToldState } from './enquiry'
import type { Floor } from './floor'

/** A slot kept for a caller until they bring the car or the day is over: on the calendar it is a job like any other, though nothing is agreed. */
export type Hold = {
  id: JobId
  name: string
  phone: string
  /** Which car it is, in the caller's words; empty where nothing was said. */
  car: string
  shape: Shape
  state: ToldState
  packageKey: string
  packageName: string
  /** By when the car has to be here, when it can be fetched, and with which chance, 0–1, that was said. */
  bringAt: Instant
  collectAt: Instant
  chance: number
  /** The last day it is kept. */
  until: LocalDay
  plan: JobPlan
  placed: readonly PlacedOperation[]
  /** The job it has become; until that is agreed it goes on keeping the slot for it. */
  jobId?: JobId
}

/** The slot as the scheduler takes it. */
export const heldJob = ({ id, bringAt, collectAt, plan, placed, shape }: Hold): LiveJob => ({
  id,
  arrive: bringAt,
  due: collectAt,
  weight: 1,
  plan,
  size: sizeOf({ shape }),
  progress: {},
  published: placed,
})

/** Whether it frees itself today or tomorrow: then somebody should call. */
export const endsSoon = ({ until }: Pick<Hold, 'until'>, today: LocalDay): boolean =>
  until <= plusDays(today, 1)

/** The floor without the slot that is held for this very job: it is its own to take. */
export const withoutHoldFor = (floor: Floor, job: JobId): Floor =>
  floor.holds.some(({ jobId }) => jobId === job)
    ? { ...floor, holds: floor.holds.filter(({ jobId }) => jobId !== job) }
    : floor
