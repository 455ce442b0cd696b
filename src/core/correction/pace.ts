import type { Method, Step } from './method'
import type { StepMinutes } from './time'

/**
 * How a shop's own hands go against the table of minutes: a factor for each kind of work, 1 where nothing was learned. Work
 * at the machine is named by its process and step, all other work by its kind.
 */
export type Pace = Readonly<Record<string, number>>

export const machineKey = ({ key }: Pick<Method, 'key'>, { role }: Pick<Step, 'role'>) => `${key}:${role}`

export function paceFor(pace: Pace | undefined, key: string): number {
  return pace?.[key] ?? 1
}

/** The same minutes at another pace; as many sections. */
export function atPace(minutes: StepMinutes, factor: number): StepMinutes {
  if (factor === 1) return minutes
  return {
    sections: minutes.sections,
    minutes: minutes.minutes * factor,
    changeOver: minutes.changeOver * factor,
    machine: minutes.machine * factor,
    handling: minutes.handling * factor,
  }
}
