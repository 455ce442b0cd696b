import { checkSchedule, solve } from '@/core/schedule'
import { coatingJob, shopProblem } from '@/core/schedule/fixtures'

/** First plan and improved plan of shops of growing size: ms, cost, and cost over the lower bound. */
export function scheduleBench(): void {
  for (const count of [4, 12, 24]) {
    const jobs = Array.from({ length: count }, (_, index) =>
      coatingJob(`J${index}`, 1 + (index % 3), {
        arrive: `2027-01-${11 + (index % 5)}T08:00:00+00:00`,
        due: `2027-01-${16 + (index % 9)}T17:00:00+00:00`,
      }),
    )
    const problem = shopProblem(jobs, { horizonDays: 60 })
    for (const steps of [0, 200]) {
      const start = performance.now()
      const { schedule } = solve(problem, { seed: 1, steps })
      const took = performance.now() - start
      const broken = checkSchedule(problem, schedule).length
      const ratio =
        schedule.cost && schedule.lowerBound ? (schedule.cost / schedule.lowerBound).toFixed(2) : '–'
      console.log(
        `schedule: ${count} jobs, ${steps} steps: ${took.toFixed(0)} ms, ${schedule.status}, cost ${schedule.cost}, ${ratio} × bound, ${broken} rules broken`,
      )
    }
  }
}
