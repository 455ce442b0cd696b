import { z } from 'zod'
import { type Instant, instant } from '../../time'

/** A moment in a file. */
export const moment = z.string().transform((text, context): Instant => {
  const read = instant(text)
  if (read.ok) return read.value
  context.addIssue({ code: 'custom', message: 'must be an ISO 8601 instant with an offset' })
  return z.NEVER
})
