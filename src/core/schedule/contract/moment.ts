import { z } from 'zod'
import { type Instant, instant } from '../../time'
import { fault } from './faults'

/** A moment in a file. */
export const moment = z.string().transform((text, context): Instant => {
  const read = instant(text)
  if (read.ok) return read.value
  context.addIssue({ code: 'custom', message: fault('instant') })
  return z.NEVER
})
