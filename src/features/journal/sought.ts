import { z } from 'zod'
import { toAccountId } from '@/core/ids'
import type { Region } from '@/core/region'
import { atLocal, isLocalDay, localDayOrThrow, plusDays } from '@/core/time'

/** What is looked for in the journal, as it stands in the address; what cannot be read is left out. */

const word = z.string().max(80).optional().catch(undefined)
const address = z.object({
  who: word,
  subject: word,
  plate: word,
  day: z.string().refine(isLocalDay).optional().catch(undefined),
  before: z.coerce.number().int().min(1).optional().catch(undefined),
})

export type Typed = z.infer<typeof address>

export function soughtIn(region: Region, search: Readonly<Record<string, string | undefined>>) {
  const typed = address.parse(search)
  const day = typed.day ? localDayOrThrow(typed.day) : undefined
  return {
    typed,
    sought: {
      who: typed.who ? toAccountId(typed.who) : undefined,
      subject: typed.subject || undefined,
      plate: typed.plate || undefined,
      before: typed.before,
      from: day && atLocal(region.timezone, day, '00:00'),
      until: day && atLocal(region.timezone, plusDays(day, 1), '00:00'),
    },
  }
}

/** The address of the same search, with something else. */
export function addressOf(page: string, typed: Typed, more: Partial<Typed> = {}): string {
  const search = new URLSearchParams()
  for (const [name, value] of Object.entries({ ...typed, ...more }))
    if (value !== undefined && value !== '') search.set(name, String(value))
  const text = search.toString()
  return text ? `${page}?${text}` : page
}
