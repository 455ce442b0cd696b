import type { Mix, PlannedStep } from './plan'

/** A step of the wash as it travels to the tablet: plain data, with what to pour for the shop’s own vessels. */
export type WashLine = {
  title: string
  how: string
  cautions: readonly string[]
  dwell?: PlannedStep['dwell']
  mix?: Mix
}
