import type { FirstName, StepName } from './step-name'

/** What a step is called apart from being done again, or done to more. */
export const firstNameOf = (name: StepName): FirstName =>
  typeof name === 'object' && (name.code === 'again' || name.code === 'more') ? name.of : name

/** What a step is by its name; plans from before there were codes have none. */
export const stepCode = (name: StepName) => (typeof name === 'object' ? name.code : undefined)
