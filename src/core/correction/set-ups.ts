import type { Step } from './method'

/** Fetching a machine, its pad and its liquid, and clearing them away again, once for a car, minutes (mem). */
const SET_UP_MINUTES = 5

/** One machine with one pad and one liquid on it: what has to be set up before any panel is worked with it. */
export type SetUp = { id: string; role: Step['role'] }

type WithTools = { steps: readonly Omit<Step, 'passes'>[] }

/** What a method has to have set up. The role is that of its step. */
export function setUpsOf(methods: readonly WithTools[]): SetUp[] {
  const found = new Map<string, SetUp>()
  for (const { steps } of methods)
    for (const { machine, pad, liquid, role } of steps) {
      const id = [machine, pad, liquid].join('/')
      if (!found.has(id)) found.set(id, { id, role })
    }
  return [...found.values()]
}

/** Minutes of those set-ups, each done once for the car since all panels are worked with it before the next is fetched. */
export const minutesOfSetUps = (setUps: readonly unknown[]): number => setUps.length * SET_UP_MINUTES

/** The same by id, as the frontier asks for them. */
export const setUpMinutes = (method: WithTools): Record<string, number> =>
  Object.fromEntries(setUpsOf([method]).map(({ id }) => [id, SET_UP_MINUTES]))
