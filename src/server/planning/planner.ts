import type { Beside } from '../compute/beside'
import { computeThread } from '../compute/thread'
import { faultFacts, log } from '../log'

const shared = globalThis as unknown as {
  fernYardPlanner?: { thread: Beside; busy: boolean; again: boolean }
}

/**
 * Has the planner take up what was asked for since; it works beside the thread that answers pages, one plan at a time. What a
 * crash left open is taken up at the next call.
 */
export function wakePlanner(): void {
  shared.fernYardPlanner ??= { thread: computeThread(), busy: false, again: false }
  const planner = shared.fernYardPlanner
  if (planner.busy) {
    planner.again = true
    return
  }
  planner.busy = true
  planner.again = false
  void planner.thread
    .ask('plan-requests')
    .catch((error) => log.error({ planner: 'broken off', ...faultFacts(error) }))
    .finally(() => {
      planner.busy = false
      if (planner.again) wakePlanner()
    })
}
