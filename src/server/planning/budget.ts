/** So long a plan of everything may be improved, and one for an event, which somebody waits for, ms. */
const PLAN_ALL_MS = 2400
const EVENT_MS = 1800

const within = (ms: number) => (): (() => boolean) => {
  const deadline = Date.now() + ms
  return () => Date.now() > deadline
}

/** Says when a computation has had its time. */
export const planBudget = within(PLAN_ALL_MS)
export const eventBudget = within(EVENT_MS)
