import {
  checkSchedule,
  rehearse as play,
  problemSchema,
  RUNS,
  RUNS_DAILY,
  rehearseDaily,
  scheduleSchema,
  TOLERATED_MINUTES,
} from '@/core/schedule'
import { faultText } from '@/text/en/contract'
import type { Command } from '../command'
import { BadInput, numberOption, readArguments, readJson } from '../input'

const USAGE =
  'rehearse PROBLEM.json SCHEDULE.json [--runs N] [--seed N] [--early] [--tolerate N] [--replan daily]'
const RUNS_MAX = 100_000

/** Plays a schedule out again and again, and says how likely its ends and windows are. */
export const rehearse: Command = {
  usage: USAGE,
  run(args) {
    const text = { type: 'string' } as const
    const { positionals, values } = readArguments(
      args,
      { runs: text, seed: text, tolerate: text, replan: text, early: { type: 'boolean' } },
      { count: 2, usage: USAGE },
    )
    const problem = readJson(positionals[0]!, problemSchema)
    const schedule = readJson(positionals[1]!, scheduleSchema)
    const { replan } = values
    if (replan !== undefined && replan !== 'daily')
      throw new BadInput(['--replan is daily: the rest is re-planned each morning.'])
    const runs = numberOption(values, 'runs', replan === undefined ? RUNS : RUNS_DAILY)
    const seed = numberOption(values, 'seed', 1)
    const tolerate = numberOption(values, 'tolerate', TOLERATED_MINUTES)
    if (!Number.isInteger(runs) || runs < 1 || runs > RUNS_MAX || !Number.isInteger(seed) || tolerate < 0)
      throw new BadInput([
        `--runs is a whole number from 1 to ${RUNS_MAX}, --seed is a whole number, and --tolerate must not be negative.`,
      ])
    const [broken] = schedule.status === 'infeasible' ? [] : checkSchedule(problem, schedule)
    if (broken)
      throw new BadInput([
        `${positionals[1]}: it breaks a rule of the problem: ${broken.rule}: ${faultText(broken.message)}. \`yard schedule PROBLEM.json --check SCHEDULE.json\` names all.`,
      ])
    const rehearsed = replan === undefined ? play : rehearseDaily
    const early = values.early !== undefined
    return { json: rehearsed(problem, schedule.operations, { runs, seed, tolerate, early }), exitCode: 0 }
  },
}
