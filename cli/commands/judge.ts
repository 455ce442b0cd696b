import type { z } from 'zod'
import { caseSchema, judgeCase, ledgerCase, ledgerSchema, outlookCase, outlookSchema } from '@/core/case'
import type { Command } from '../command'
import { BadInput, readArguments } from '../input'
import { readCases } from '../lines'

/** A command that reads one case or, line by line, many, and answers each. */
function ofCases<T>(name: string, schema: z.ZodType<T>, answer: (told: T) => unknown): Command {
  const usage = `${name} FILE.json|- [--lines]`
  return {
    usage,
    run(args) {
      const { positionals, values } = readArguments(args, { lines: { type: 'boolean' } }, { count: 1, usage })
      const lines = Boolean(values.lines)
      const answers = readCases(positionals[0]!, lines, schema).map(answer)
      return lines ? { lines: answers, exitCode: 0 } : { json: answers[0], exitCode: 0 }
    },
  }
}

/** Judges a car: grade, findings, budgets, what each method would do, and the plan for so many minutes. */
export const judgeCommand = ofCases('judge', caseSchema, judgeCase)

/** What went from one panel between two rounds of readings. */
export const ledgerCommand = ofCases('ledger', ledgerSchema, (told) => {
  const answer = ledgerCase(told)
  if (!answer) throw new BadInput(['before, after: a removal needs two readings on both sides, or a table.'])
  return answer
})

/** How long a coating should hold, panel by panel, by what was seen of it. */
export const outlookCommand = ofCases('outlook', outlookSchema, outlookCase)
