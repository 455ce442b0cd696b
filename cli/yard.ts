import { care } from './commands/care'
import { dew } from './commands/dew'
import { schedule } from './commands/schedule'
import { survey } from './commands/survey'
import { vin } from './commands/vin'
import { BadInput } from './input'

/** The core from the command line: JSON on standard output, messages on standard error, 2 for bad input. */

export type Command = { usage: string; run: (args: string[]) => Output | Promise<Output> }
export type Output = { json: unknown; exitCode: number }

const COMMANDS: Record<string, Command> = { schedule, survey, vin, dew, care }

const usage = () =>
  [
    'Usage: npm run --silent yard -- COMMAND …',
    ...Object.values(COMMANDS).map((command) => `  ${command.usage}`),
  ].join('\n')

async function main(args: string[]): Promise<number> {
  const [name, ...rest] = args
  if (name === undefined || name === 'help' || name === '--help') {
    console.error(usage())
    return name === undefined ? 2 : 0
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (!command) throw new BadInput([`there is no command “${name}”.`, usage()])
  const { json, exitCode } = await command.run(rest)
  process.stdout.write(`${JSON.stringify(json, null, 2)}\n`)
  return exitCode
}

main(process.argv.slice(2)).then(
  (exitCode) => {
    process.exitCode = exitCode
  },
  (error: unknown) => {
    if (!(error instanceof BadInput)) throw error
    for (const fault of error.faults) console.error(`yard: ${fault}`)
    process.exitCode = 2
  },
)
