import { z } from 'zod'
import { ask } from '../asks'
import { toOperationId } from '../ids'
import type { PlannedOperation } from './job-plan'
import { SKILLS } from './skill'

/** One line on one quote that no package has: something fetched, paid for, or done once. */

const MOST_MINUTES = 40 * 60
const MOST_CENTS = 10_000_000

export const oneOffSchema = z.strictObject({
  words: z
    .string()
    .trim()
    .min(1, ask('one-off-words'))
    .max(120, ask('keep-under', { characters: 120 })),
  /** As the lines of the shop's prices are, before its tax or with it. */
  cents: z
    .int({ error: ask('a-number') })
    .min(0, ask('one-off-price'))
    .max(MOST_CENTS, ask('one-off-price')),
  /** Minutes of hands; 0 where nobody works on it here. */
  minutes: z
    .int({ error: ask('a-number') })
    .min(0, ask('one-off-minutes'))
    .max(MOST_MINUTES, ask('one-off-minutes')),
  skill: z.enum(SKILLS),
})
export type OneOff = z.infer<typeof oneOffSchema>

/** What is to be done for the lines that ask for hands, before the paint is worked. */
export const oneOffOperations = (
  oneOffs: readonly OneOff[],
  planned: (minutes: number) => number,
): PlannedOperation[] =>
  oneOffs.flatMap(({ words, minutes, skill }, at): PlannedOperation[] =>
    minutes > 0
      ? [
          {
            id: toOperationId(`one-off-${at + 1}`),
            kind: 'extra',
            title: { code: 'one-off', words },
            minutes: planned(minutes),
            mode: 'pausable',
            people: 1,
            skill,
          },
        ]
      : [],
  )
