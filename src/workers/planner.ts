import { expose } from 'comlink'
import { type Problem, type Schedule, SureSolver, type SureSolverOptions } from '@/core/schedule'

/** Plans beside the page, in short turns between which it can be told to stop with the best it has. */

const TURN_MS = 40

/** How far the planning is: attempts made, and what the best plan so far comes to. */
export type PlanProgress = { steps: number; lateMinutes: number; bayMinutes: number }

const nextTurn = () => new Promise<void>((resolve) => setTimeout(resolve, 0))

const planner = {
  stopped: false,
  async plan(
    problem: Problem,
    options: SureSolverOptions,
    onProgress: (progress: PlanProgress) => void,
  ): Promise<Schedule> {
    planner.stopped = false
    const solver = new SureSolver(problem, options)
    while (!solver.done && !planner.stopped) {
      const turn = performance.now() + TURN_MS
      while (!solver.done && performance.now() < turn) solver.step()
      const { tardiness, hold } = solver.terms()
      onProgress({ steps: solver.steps, lateMinutes: tardiness, bayMinutes: hold })
      await nextTurn()
    }
    return solver.schedule()
  },
  /** Ends the planning under way with the best plan it has. */
  stop(): void {
    planner.stopped = true
  },
}

export type Planner = typeof planner
expose(planner)
