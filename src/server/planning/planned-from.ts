import { z } from 'zod'
import { ask } from '@/core/asks'
import { type Instant, instant } from '@/core/time'

/** From when a problem is that a page was given, and from what floor: as it comes back from the page. */
export const plannedFromSchema = z.object({
  at: z.string().transform((text, context): Instant => {
    const read = instant(text)
    if (read.ok) return read.value
    context.addIssue({ code: 'custom', message: ask('a-date-and-time') })
    return z.NEVER
  }),
  basis: z.string(),
})
