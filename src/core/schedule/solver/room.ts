import type { Interval } from '../contract/intervals'
import type { ModelJob } from './model'
import { workEnd, workStart } from './work-time'

/**
 * Time that is kept free around work while a plan is made, so that what runs over costs no window. It is no part of the
 * plan: the schedule states the minutes of the work alone.
 */
export type Room = {
  /** Minutes of shift before it in which its people do nothing else. */
  before: number
  /** By how many minutes the open stretch in which it lies outlasts it: work that is not left for the night. */
  over: number
}

/** Between two operations. */
export type LinkRoom = {
  /** Minutes of shift by which the first may run over before the other is reached. */
  behind: number
  /** By how much earlier than at its last minute a window is met: what is before it may end early. */
  early: number
}

/** The room of one job: of its operations and links by index. */
export type JobRoom = { operations: readonly Room[]; links: readonly LinkRoom[] }

export const NO_ROOM: Room = { before: 0, over: 0 }

/** When a person has to be free for what begins at `start`. */
export function freeBy(open: readonly Interval[], start: number, before: number): number {
  return before === 0 ? start : (workStart(open, start, before) ?? Number.NEGATIVE_INFINITY)
}

/** When a person who is free at `minute` has had so much time before what comes. */
export function readyAfter(open: readonly Interval[], minute: number, before: number): number {
  return before === 0 ? minute : (workEnd(open, minute, before) ?? Number.POSITIVE_INFINITY)
}

/** The same job with so much room round its work; of what is pinned, none. */
export const withRoom = (job: ModelJob, { operations, links }: JobRoom): ModelJob => ({
  ...job,
  operations: job.operations.map((operation, at) => ({
    ...operation,
    room: operation.pin ? NO_ROOM : operations[at]!,
  })),
  links: job.links.map((link, at) => ({
    ...link,
    max: link.max - links[at]!.early,
    behind: links[at]!.behind,
  })),
})
