import type { Knex } from 'knex'
import { z } from 'zod'
import type { Outage } from '@/core/job'
import type { Instant } from '@/core/time'

/** Who is away and what is out of use. What has ended stays in the table: it says why a plan was as it was. */

export const outageSchema = z.object({
  id: z.string(),
  what: z.object({ kind: z.enum(['person', 'place']), id: z.string() }),
  from: z.string().transform((at) => at as Instant),
  until: z.string().transform((at) => at as Instant),
})

/** Outages that are not over at `now`, the one that began first first. */
export async function listOutages(db: Knex, now: Instant): Promise<Outage[]> {
  const rows = await db('outages').whereNull('ended_at').andWhere('until_at', '>', now).orderBy('from_at')
  return rows.map((row) => ({
    id: row.id,
    what: { kind: row.kind, id: row.what_id },
    from: row.from_at,
    until: row.until_at,
  }))
}

export async function addOutage(db: Knex, outage: Outage, now: Instant): Promise<void> {
  const { id, what, from, until } = outage
  await db('outages').insert({
    id,
    kind: what.kind,
    what_id: what.id,
    from_at: from,
    until_at: until,
    entered_at: now,
  })
}

/** Somebody is back, or a bay is in use again. False where that was already known. */
export async function endOutage(db: Knex, id: string, now: Instant): Promise<boolean> {
  const changed = await db('outages').where({ id }).whereNull('ended_at').update({ ended_at: now })
  return changed > 0
}
