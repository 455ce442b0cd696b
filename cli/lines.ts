import type { z } from 'zod'
import { asked } from '@/text/en/asks'
import { faultText } from '@/text/en/contract'
import { BadInput, pathText, readText } from './input'
import { PLAIN } from './region'

/** A file of one case, or with `--lines` of many, one JSON a line; `-` is standard input. */

const STANDARD_INPUT = 0

function parsed<T>(text: string, where: string, schema: z.ZodType<T>): { value: T } | { faults: string[] } {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch (cause) {
    return { faults: [`${where}: this is not JSON: ${(cause as Error).message}.`] }
  }
  const checked = schema.safeParse(json)
  if (checked.success) return { value: checked.data }
  return {
    faults: checked.error.issues.map(
      (issue) => `${where}: ${pathText(issue.path)}: ${asked(PLAIN, faultText(issue.message))}`,
    ),
  }
}

/** Every case of a file, checked. All faults of all lines are told at once. */
export function readCases<T>(file: string, lines: boolean, schema: z.ZodType<T>): T[] {
  const name = file === '-' ? 'standard input' : file
  const text = readText(file === '-' ? STANDARD_INPUT : file)
  const parts = lines
    ? text
        .split('\n')
        .flatMap((line, at) => (line.trim() ? [{ line, where: `${name}, line ${at + 1}` }] : []))
    : [{ line: text, where: name }]
  const read = parts.map(({ line, where }) => parsed(line, where, schema))
  const faults = read.flatMap((each) => ('faults' in each ? each.faults : []))
  if (faults.length > 0) throw new BadInput(faults)
  return read.flatMap((each) => ('value' in each ? [each.value] : []))
}
