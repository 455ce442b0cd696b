/** So long a plan of everything may be improved, ms. */
const PLAN_ALL_MS = 2400

/** Says when a computation has had its time. */
export function planBudget(): () => boolean {
  const deadline = Date.now() + PLAN_ALL_MS
  return () => Date.now() > deadline
}
