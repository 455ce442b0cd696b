import type { Command } from './command'
import { angle } from './commands/angle'
import { care } from './commands/care'
import { dew } from './commands/dew'
import { dilute, lance } from './commands/dilute'
import { history } from './commands/history'
import { schedule } from './commands/schedule'
import { survey } from './commands/survey'
import { vin } from './commands/vin'
import { BadInput } from './input'

/** The core from the command line: JSON on standard output, messages on standard error, 2 for bad input. */

const COMMANDS: Record<string, Command> = { schedule, survey, vin, dew, dilute, lance, care, angle, history }

const usage = () =>
  [
    'Usage: npm run --silent yard -- COMMAND …',
    ...Object.values(COMMANDS).map((command) => `  ${command.usage}`),
  ].join('\n')

function main(args: string[]): number {
  const [name, ...rest] = args
  if (name === undefined || name === 'help' || name === '--help') {
    console.error(usage())
    return name === undefined ? 2 : 0
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (!command) throw new BadInput([`there is no command “${name}”.`, usage()])
  const { json, exitCode } = command.run(rest)
  process.stdout.write(`${JSON.stringify(json, null, 2)}\n`)
  return exitCode
}

try {
  process.exitCode = main(process.argv.slice(2))
} catch (error) {
  if (!(error instanceof BadInput)) throw error
  for (const fault of error.faults) console.error(`yard: ${fault}`)
  process.exitCode = 2
}
