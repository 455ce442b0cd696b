import { checkSchedule, problemSchema, scheduleSchema, solve } from '@/core/schedule'
import { faultText } from '@/text/en/contract'
import { reasonInFile } from '@/text/en/placing'
import type { Command } from '../command'
import { BadInput, numberOption, readArguments, readJson } from '../input'

const USAGE = 'schedule PROBLEM.json [--seconds N] [--steps N] [--seed N] [--check SCHEDULE.json]'
const DEFAULT_SECONDS = 5
const EXIT_INFEASIBLE = 3
const EXIT_BROKEN = 1

/** Solves a problem file, or checks a schedule file against one. */
export const schedule: Command = {
  usage: USAGE,
  run(args) {
    const text = { type: 'string' } as const
    const { positionals, values } = readArguments(
      args,
      { seconds: text, steps: text, seed: text, check: text },
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
    const deadline = Date.now() + seconds * 1000
    const { schedule: found } = solve(problem, { seed, steps, shouldStop: () => Date.now() >= deadline })
    const reasons = found.reasons.map((reason) => reasonInFile(problem.timezone, reason))
    return { json: { ...found, reasons }, exitCode: found.status === 'infeasible' ? EXIT_INFEASIBLE : 0 }
  },
}
