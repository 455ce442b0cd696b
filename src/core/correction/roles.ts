import type { Method, Step } from './method'

/** What each step does in its method, by where it stands: one alone does all of it, the last of several refines. */
export const roleAt = (at: number, of: number): Step['role'] =>
  of === 1 ? 'single' : at === of - 1 ? 'refine' : 'cut'

export const withRoles = (method: Method): Method => ({
  ...method,
  steps: method.steps.map((step, at) => ({ ...step, role: roleAt(at, method.steps.length) })),
})
