import loadHighs from 'highs'
import { toJobId } from '@/core/ids'
import { checkSchedule, MoveDesk, type Problem, seededRandom, solve, soonestFor } from '@/core/schedule'
import { ft06, ft10, la01 } from '@/core/schedule/solver/problems.fixture'
import { exactAnswer } from '@/core/schedule/solver/programme.fixture'
import { smallProblem } from '@/core/schedule/solver/small-problem.fixture'
import { type Instant, plusMinutes } from '@/core/time'
import { serialInsertion, wallCalendar } from './baselines'
import { busyShop } from './busy-shop'

/**
 * Small problems against an exact solver, the job shop of Fisher and Thompson (1963), and a busy shop against the two ways
 * in which it is planned without this program. The figures stand in docs/benchmarks.md.
 */

const SMALL_PROBLEMS = 100
const SMALL_SECONDS = 5
const BUSY_SECONDS = 20
const BUSY_SEEDS = [1, 2, 3]
const GAP_SEEDS = [1, 2, 3, 11, 12, 13]

/** Solves against the clock; costs at a few moments, and whether the independent checker finds a broken rule. */
function timed(problem: Problem, seconds: number, enough = Number.NEGATIVE_INFINITY) {
  const start = performance.now()
  let least = Number.POSITIVE_INFINITY
  let first: number | undefined
  let last = 0
  const { schedule, steps } = solve(problem, {
    seed: 1,
    steps: Number.MAX_SAFE_INTEGER,
    shouldStop: () => least <= enough || performance.now() - start > seconds * 1000,
    onBetter: ({ cost, unplaced }) => {
      last = performance.now() - start
      if (unplaced > 0) return
      first ??= last
      least = cost
    },
  })
  return { schedule, steps, firstMs: first, lastMs: last, broken: checkSchedule(problem, schedule).length }
}

async function smallProblems(): Promise<void> {
  const highs = await loadHighs()
  const gaps: number[] = []
  const count = { none: 0, unknown: 0, equal: 0, proved: 0, upToThree: 0, ofThem: 0, faults: 0 }
  for (let seed = 1; seed <= SMALL_PROBLEMS; seed++) {
    const problem = smallProblem(seed)
    const exact = exactAnswer(highs, problem)
    if (exact.kind === 'unknown') {
      count.unknown++
      continue
    }
    const least = exact.kind === 'least' ? exact.cost : undefined
    const { schedule, broken } = timed(problem, SMALL_SECONDS)
    if (broken > 0 || (schedule.status === 'infeasible') !== (least === undefined)) count.faults++
    if (least === undefined || schedule.cost == null) {
      count.none++
      continue
    }
    if (schedule.cost < least || schedule.lowerBound! > least) count.faults++
    if (schedule.cost === least) count.equal++
    else console.log(`schedule: small problem ${seed} costs ${schedule.cost}, at least ${least}`)
    const isProved = schedule.status === 'optimal'
    if (isProved) count.proved++
    if (problem.jobs.length <= 3) {
      count.upToThree++
      if (isProved) count.ofThem++
    }
    gaps.push(schedule.cost / least - 1)
  }
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length
  console.log(
    `schedule: ${SMALL_PROBLEMS} small problems; ${count.none} without any schedule, ${count.unknown} given up by the exact solver; of the others ${count.equal} of ${gaps.length} at the optimum (${count.proved} proved, ${count.ofThem} of ${count.upToThree} of up to three jobs), ${(100 * mean).toFixed(2)} % above it on average, ${(100 * Math.max(...gaps)).toFixed(2)} % at most; ${count.faults} faults`,
  )
}

/** Job shops of Fisher and Thompson (1963) and Lawrence (1984), with their published optima. */
const JOB_SHOPS = [
  { name: 'ft06', problem: ft06, optimum: 55 },
  { name: 'la01', problem: la01, optimum: 666 },
  { name: 'ft10', problem: ft10, optimum: 930 },
]

function jobShops(): void {
  for (const { name, problem, optimum } of JOB_SHOPS) {
    const { schedule, lastMs } = timed(problem, BUSY_SECONDS, optimum)
    console.log(
      `schedule: ${name} ends after ${schedule.cost} (optimum ${optimum}), in ${(lastMs / 1000).toFixed(1)} s`,
    )
  }
}

function busyShops(): void {
  console.log(
    '| shop | first schedule | after 20 s | whole days | earliest due first | to whole days | to earliest due | lower bound | gap | rules broken | memory |',
  )
  console.log('|---|---|---|---|---|---|---|---|---|---|---|')
  const thousands = (cost: number) => Math.round(cost / 1000).toLocaleString('en-IE')
  for (const seed of BUSY_SEEDS) {
    const problem = busyShop(seed)
    const wall = wallCalendar(problem)
    const serial = serialInsertion(problem)
    const { schedule, firstMs, broken } = timed(problem, BUSY_SECONDS)
    const cost = schedule.cost!
    const row = [
      `${seed}`,
      `${firstMs?.toFixed(0)} ms`,
      thousands(cost),
      `${thousands(wall.cost)}${wall.unplaced > 0 ? ` and ${wall.unplaced} without a place` : ''}`,
      thousands(serial.cost),
      (cost / wall.cost).toFixed(3),
      (cost / serial.cost).toFixed(2),
      thousands(schedule.lowerBound!),
      `${(100 * (1 - schedule.lowerBound! / cost)).toFixed(0)} %`,
      `${broken}`,
      `${Math.round(process.memoryUsage().rss / 2 ** 20)} MB`,
    ]
    console.log(`| ${row.join(' | ')} |`)
  }
}

const GAP_CARS = 20

/** How far a schedule of twenty cars may be from the best at most. */
function gaps(): void {
  const gapOf = (seed: number) => {
    const { schedule, broken } = timed(busyShop(seed, GAP_CARS), BUSY_SECONDS)
    const gap = 1 - schedule.lowerBound! / schedule.cost!
    console.log(
      `schedule: ${GAP_CARS} cars, shop ${seed}: costs ${schedule.cost}, at least ${Math.round(schedule.lowerBound!)}: ${(100 * gap).toFixed(1)} % apart; ${broken} rules broken`,
    )
    return gap
  }
  const all = GAP_SEEDS.map(gapOf)
  console.log(
    `schedule: ${(100 * (all.reduce((sum, gap) => sum + gap, 0) / all.length)).toFixed(1)} % apart on average`,
  )
}

const MOVES = 400

/** How long it takes to try a move on the calendar of a busy shop, and to answer a caller. */
function movesAndCallers(): void {
  const problem = busyShop(1)
  const { operations } = solve(problem, { seed: 1, steps: 200 }).schedule
  const random = seededRandom(1)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const desk = new MoveDesk(problem, operations)
  const start = (at: string) =>
    plusMinutes(at as Instant, problem.slotMinutes * Math.round(400 * (random() - 0.5)))
  const tryStep = (hurried: boolean) => () => {
    const placed = pick(operations)
    desk.tryOperation({ job: placed.job, operation: placed.operation, start: start(placed.start) }, hurried)
  }
  report('a step dragged', tryStep(true))
  report('a step let go, with the nearest start', tryStep(false))
  report('a car with all that follows', () => {
    const job = pick(problem.jobs)
    const first = operations.find((placed) => placed.job === job.id)!
    desk.tryStay({ job: job.id, stay: pick(job.stays).id, from: start(first.start) })
  })
  report('a caller answered', () => {
    const job = pick(problem.jobs)
    soonestFor(problem, operations, { ...job, id: toJobId('caller'), arrive: start(job.arrive) })
  })
}

function report(what: string, once: () => void): void {
  const times = Array.from({ length: MOVES }, () => {
    const began = performance.now()
    once()
    return performance.now() - began
  }).sort((a, b) => a - b)
  const at = (share: number) => times[Math.min(MOVES - 1, Math.floor(share * MOVES))]!.toFixed(1)
  console.log(
    `schedule: ${what}: ${at(0.5)} ms in the middle, ${at(0.95)} ms for 95 of 100, ${at(1)} ms at most`,
  )
}

export async function scheduleBench(): Promise<void> {
  jobShops()
  movesAndCallers()
  busyShops()
  gaps()
  await smallProblems()
}
