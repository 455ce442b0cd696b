import type { Command } from './command'
import { angle } from './commands/angle'
import { care } from './commands/care'
import { dew } from './commands/dew'
import { dilute, lance } from './commands/dilute'
import { history } from './commands/history'
import { judgeCommand, ledgerCommand, outlookCommand } from './commands/judge'
import { rehearse } from './commands/rehearse'
import { schedule } from './commands/schedule'
import { survey } from './commands/survey'
import { vin } from './commands/vin'
import { vocabulary } from './commands/vocabulary'
import { BadInput } from './input'
import { SHOP_USAGE } from './shop-usage'

const COMMANDS: Record<string, Command> = {
  schedule,
  rehearse,
  survey,
  judge: judgeCommand,
  ledger: ledgerCommand,
  outlook: outlookCommand,
  vocabulary,
  vin,
  dew,
  dilute,
  lance,
  care,
  angle,
  history,
}

const usage = () =>
  [
    'Usage: npm run --silent yard -- COMMAND …',
    ...Object.values(COMMANDS).map((command) => `  ${command.usage}`),
    ...SHOP_USAGE.map((each) => `  ${each}`),
  ].join('\n')

/** What a command of the command line says, and the code it leaves with. */
export type Said = { status: number; stdout: string; stderr: string }

/** Runs a command: JSON on standard output, messages on standard error, 2 for bad input. */
export function runYard(args: readonly string[]): Said {
  const [name, ...rest] = args
  if (name === undefined || name === 'help' || name === '--help')
    return { status: name === undefined ? 2 : 0, stdout: '', stderr: `${usage()}\n` }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  try {
    if (!command) throw new BadInput([`there is no command “${name}”.`, usage()])
    const output = command.run(rest)
    const stdout =
      'lines' in output
        ? output.lines.map((line) => `${JSON.stringify(line)}\n`).join('')
        : `${JSON.stringify(output.json, null, 2)}\n`
    return { status: output.exitCode, stdout, stderr: output.stderr ?? '' }
  } catch (error) {
    if (!(error instanceof BadInput)) throw error
    return { status: 2, stdout: '', stderr: error.faults.map((fault) => `yard: ${fault}\n`).join('') }
  }
}
