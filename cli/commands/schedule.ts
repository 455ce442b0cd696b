import {
  checkSchedule,
  problemSchema,
  type Schedule,
  scheduleSchema,
  solve,
  solveSure,
} from '@/core/schedule'
import { faultText } from '@/text/en/contract'
import { reasonInFile } from '@/text/en/placing'
import type { Command } from '../command'
import { BadInput, numberOption, readArguments, readJson } from '../input'

const USAGE =
  'schedule PROBLEM.json [--seconds N] [--steps N] [--seed N] [--sure CHANCE] [--check SCHEDULE.json]'
const DEFAULT_SECONDS = 5
const DEFAULT_SURE = 0.8
const EXIT_INFEASIBLE = 3
const EXIT_BROKEN = 1

/** Solves a problem file, or checks a schedule file against one. */
export const schedule: Command = {
  usage: USAGE,
  run(args) {
    const text = { type: 'string' } as const
    const { positionals, values } = readArguments(
      args,
      { seconds: text, steps: text, seed: text, sure: text, check: text },
      { count: 1, usage: USAGE },
    )
    const problem = readJson(positionals[0]!, problemSchema)
    if (values.check !== undefined) {
      const schedule = readJson(values.check, scheduleSchema)
      const broken = checkSchedule(problem, schedule).map((each) => ({
        ...each,
        message: faultText(each.message),
      }))
      const stderr = broken
        .map(({ job, operation, rule, message }) => {
          const where = [job, operation].filter(Boolean).join(' / ') || 'schedule'
          return `yard: ${where}: ${rule}: ${message}\n`
        })
        .join('')
      const exitCode = broken.length === 0 ? 0 : EXIT_BROKEN
      return { json: { valid: broken.length === 0, broken }, exitCode, stderr }
    }
    const seconds = numberOption(values, 'seconds', DEFAULT_SECONDS)
    const seed = numberOption(values, 'seed', 1)
    const steps = numberOption(values, 'steps', Number.MAX_SAFE_INTEGER)
    if (seconds < 0 || steps < 0 || !Number.isInteger(seed))
      throw new BadInput(['--seconds and --steps must not be negative, and --seed is a whole number.'])
    const began = Date.now()
    const elapsed = () => (Date.now() - began) / (seconds * 1000)
    const answer = ({ reasons, ...found }: Schedule, more = {}) => ({
      json: { ...found, reasons: reasons.map((each) => reasonInFile(problem.timezone, each)), ...more },
      exitCode: found.status === 'infeasible' ? EXIT_INFEASIBLE : 0,
    })
    if (values.sure === undefined)
      return answer(solve(problem, { seed, steps, shouldStop: () => elapsed() >= 1 }).schedule)
    const sure = numberOption(values, 'sure', DEFAULT_SURE)
    if (sure <= 0 || sure >= 1)
      throw new BadInput(['--sure is a chance between 0 and 1, such as 0.8 for 8 in 10.'])
    const { schedule: found, promises } = solveSure(problem, { sure, seed, steps, elapsed })
    return answer(found, { promises })
  },
}
