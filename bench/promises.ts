import {
  checkSchedule,
  type Promised,
  promisesOf,
  type Random,
  rehearseDaily,
  type Schedule,
  seededRandom,
  solve,
  solveSure,
  TOLERATED_MINUTES,
} from '@/core/schedule'
import { spreadFactor } from '@/core/schedule/rehearse/lognormal'
import { playOut } from '@/core/schedule/rehearse/play'
import { playOf, windowsOf } from '@/core/schedule/rehearse/rehearse'
import { withSpread } from '@/core/schedule/solver/problems.fixture'
import { busyShop } from './busy-shop'

/**
 * Whether promises hold as often as they say, on busy shops of twenty cars the search was not tuned on: by the luck they were made with,
 * by another kind of luck, and with one person slower than anybody knew. The figures stand in docs/benchmarks.md.
 */

const SPREAD = 0.2
const CARS = 20
const FIRST_SEED = 101
const SECONDS = 10
const RUNS = 300
const SLOWER_BY = 1.15

/** A factor of mean 1 by the gamma distribution with this coefficient of variation below 1 (Marsaglia and Tsang 2000). */
function gammaFactor(random: Random, spread: number): number {
  const shape = 1 / spread ** 2
  const d = shape - 1 / 3
  const c = 1 / Math.sqrt(9 * d)
  for (;;) {
    const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
    const v = (1 + c * normal) ** 3
    if (v > 0 && Math.log(1 - random()) < 0.5 * normal ** 2 + d - d * v + d * Math.log(v))
      return (d * v) / shape
  }
}

type Luck = (random: Random, people: readonly number[]) => number
const LUCKS: Record<'lognormal' | 'gamma' | 'one slower', Luck> = {
  lognormal: (random) => spreadFactor(random, SPREAD),
  gamma: (random) => gammaFactor(random, SPREAD),
  'one slower': (random, people) => spreadFactor(random, SPREAD) * (people.includes(1) ? SLOWER_BY : 1),
}

type Problem = ReturnType<typeof busyShop>

/** Plays a plan out by some luck: in which share of the runs each promise held, and which share of the windows was lost. */
function executed(problem: Problem, { operations }: Schedule, promises: readonly Promised[], luck: Luck) {
  const { model, steps } = playOf(problem, operations)
  const windows = windowsOf(steps).filter(({ after }) => steps[after]!.operation.mode !== 'unattended')
  const by = new Map(promises.map(({ job, by: at }) => [job, Date.parse(at) / 60_000 - model.originMinute]))
  const random = seededRandom(77)
  let kept = 0
  let lost = 0
  for (let run = 0; run < RUNS; run++) {
    const factors = steps.map(({ operation, people }) =>
      operation.mode === 'unattended' ? 1 : luck(random, people),
    )
    const played = playOut(steps, factors, { early: false, tolerate: TOLERATED_MINUTES })
    const late = new Set(steps.flatMap(({ job }, at) => (played[at]!.to > by.get(job.id)! ? [job.id] : [])))
    kept += by.size - late.size
    lost += windows.filter(({ before, after, max }) => played[after]!.from - played[before]!.to > max).length
  }
  return { kept: kept / RUNS / by.size, lost: windows.length === 0 ? 0 : lost / RUNS / windows.length }
}

const RUNS_DAILY = 20

/** The same where what no longer stands is placed again each midnight, by the luck it was planned with. */
function executedDaily(problem: Problem, { operations }: Schedule, promises: readonly Promised[]) {
  const due = new Map(promises.map(({ job, by }) => [job, by]))
  const promised = { ...problem, jobs: problem.jobs.map((job) => ({ ...job, due: due.get(job.id)! })) }
  const { jobs, windows } = rehearseDaily(promised, operations, { runs: RUNS_DAILY, seed: 77 })
  const modes = new Map(
    problem.jobs.flatMap(({ id, operations: all }) => all.map((each) => [`${id} ${each.id}`, each.mode])),
  )
  const attended = windows.filter(({ job, to }) => modes.get(`${job} ${to}`) !== 'unattended')
  return {
    kept: mean(jobs.map(({ chanceByDue }) => chanceByDue!)),
    lost: mean(attended.map(({ chanceKept }) => 1 - chanceKept)),
  }
}

function shop(seed: number) {
  const problem = withSpread(busyShop(seed, CARS), SPREAD)
  const clock = () => {
    const began = performance.now()
    return () => (performance.now() - began) / (SECONDS * 1000)
  }
  const onPaper = clock()
  const bare = solve(problem, {
    seed: 1,
    steps: Number.MAX_SAFE_INTEGER,
    unproven: true,
    shouldStop: () => onPaper() >= 1,
  }).schedule
  const sure = solveSure(problem, { sure: 0.8, seed: 1, steps: Number.MAX_SAFE_INTEGER, elapsed: clock() })
  const surer = promisesOf(problem, sure.schedule.operations, 0.95)
  const ends = new Map(
    promisesOf(problem, bare.operations, 0.8, { runs: 1 }).map(({ job }) => [job, endOf(bare, job)]),
  )
  const hours = sure.promises.map(({ job, by }) => (Date.parse(by) - ends.get(job)!) / 3_600_000)
  return {
    broken: checkSchedule(problem, sure.schedule).length,
    laterHours: hours.toSorted((a, b) => a - b)[Math.floor(hours.length / 2)]!,
    bareLost: executed(problem, bare, sure.promises, LUCKS.lognormal).lost,
    daily: executedDaily(problem, sure.schedule, sure.promises),
    by: Object.entries(LUCKS).map(([name, luck]) => ({
      name,
      ...executed(problem, sure.schedule, sure.promises, luck),
      surer: executed(problem, sure.schedule, surer, luck).kept,
    })),
  }
}

const endOf = ({ operations }: Schedule, job: string) =>
  Math.max(...operations.filter((each) => each.job === job).map(({ end }) => Date.parse(end)))

const percent = (share: number) => `${(100 * share).toFixed(1)} %`
const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length

export function promisesBench(shops = 50): void {
  const all = Array.from({ length: shops }, (_, at) => shop(FIRST_SEED + at))
  const later = all.map(({ laterHours }) => laterHours).toSorted((a, b) => a - b)
  console.log(
    `promises: ${shops} shops of ${CARS} cars, ${SECONDS} s each; ${all.reduce((sum, { broken }) => sum + broken, 0)} rules broken; windows lost on paper ${percent(mean(all.map(({ bareLost }) => bareLost)))}; promised in the median ${later[Math.floor(later.length / 2)]!.toFixed(1)} h later than the bare ends`,
  )
  console.log('| luck | kept at 0.8 | kept at 0.95 | windows lost |')
  console.log('|---|---|---|---|')
  for (const [at, { name }] of all[0]!.by.entries()) {
    const of = (what: 'kept' | 'surer' | 'lost') => percent(mean(all.map(({ by }) => by[at]![what])))
    console.log(`| ${name} | ${of('kept')} | ${of('surer')} | ${of('lost')} |`)
  }
  const daily = all.map((each) => each.daily)
  console.log(
    `promises: re-planned each midnight, ${percent(mean(daily.map(({ kept }) => kept)))} of those at 0.8 are kept and ${percent(mean(daily.map(({ lost }) => lost)))} of the windows lost`,
  )
}
