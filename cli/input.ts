import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import type { z } from 'zod'
import { faultText } from '@/text/en/contract'

/** Something the caller can put right: the sentences to print before leaving with 2. */
export class BadInput extends Error {
  constructor(readonly faults: readonly string[]) {
    super(faults.join('\n'))
  }
}

/** A file as it is; what is wrong with its place is said in words. */
export function readBytes(file: string | number): Buffer {
  try {
    return readFileSync(file)
  } catch (cause) {
    const code = (cause as NodeJS.ErrnoException).code
    const why =
      code === 'ENOENT'
        ? 'there is no such file'
        : code === 'EISDIR'
          ? 'it is a folder'
          : `it cannot be read (${code})`
    throw new BadInput([`${file}: ${why}.`])
  }
}

export function readText(file: string | number): string {
  return readBytes(file).toString('utf8')
}

/** `jobs.0.operations.2.minutes`, as the place of a fault in a JSON file. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.length === 0 ? '(whole file)' : path.map(String).join('.')
}

/** Reads a JSON file through a schema; every fault is named with its path. */
export function readJson<T>(file: string, schema: z.ZodType<T>): T {
  const text = readText(file)
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch (cause) {
    throw new BadInput([`${file}: this is not JSON: ${(cause as Error).message}.`])
  }
  const checked = schema.safeParse(parsed)
  if (checked.success) return checked.data
  throw new BadInput(
    checked.error.issues.map((issue) => `${file}: ${pathText(issue.path)}: ${faultText(issue.message)}`),
  )
}

type Options = Record<string, { type: 'string' } | { type: 'boolean' }>

/** `--temp -5` is what people type; the parser wants `--temp=-5`. */
function joinNegativeNumbers(args: readonly string[]): string[] {
  const joined: string[] = []
  for (const arg of args) {
    const last = joined.at(-1)
    if (/^-\d/.test(arg) && last?.startsWith('--') && !last.includes('='))
      joined[joined.length - 1] = `${last}=${arg}`
    else joined.push(arg)
  }
  return joined
}

/** Parses the arguments of a command; an option it does not know is bad input. */
export function readArguments(
  args: string[],
  options: Options,
  positionals: { count: number; usage: string },
) {
  try {
    const parsed = parseArgs({ args: joinNegativeNumbers(args), options, allowPositionals: true })
    if (parsed.positionals.length !== positionals.count) throw new Error(`expected ${positionals.usage}`)
    return { positionals: parsed.positionals, values: parsed.values as Record<string, string | undefined> }
  } catch (cause) {
    throw new BadInput([`${(cause as Error).message}`, `Usage: ${positionals.usage}`])
  }
}

/** A number from an option. Needs one, or uses `otherwise`. */
export function numberOption(
  values: Record<string, string | undefined>,
  name: string,
  otherwise?: number,
): number {
  const text = values[name]
  if (text === undefined && otherwise !== undefined) return otherwise
  const value = text === undefined || text.trim() === '' ? Number.NaN : Number(text)
  if (!Number.isFinite(value))
    throw new BadInput([
      text === undefined ? `--${name} is missing.` : `--${name}: “${text}” is not a number.`,
    ])
  return value
}
