import type { Knex } from 'knex'
import { z } from 'zod'
import { toBayId, toPersonId } from '@/core/ids'
import type { Outage } from '@/core/planning'
import { type Instant, instantOrThrow } from '@/core/time'
import type { OutagesRow } from '../db/tables'

/** Who is away or in longer, what is out of use, when the air is too damp to coat, or the power is off. What has ended stays in the table: it says why a plan was as it was. */

export const outageSchema = z.object({
  id: z.string(),
  what: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('person'), id: z.string().transform(toPersonId) }),
    z.object({ kind: z.literal('place'), id: z.string().transform(toBayId) }),
    z.object({ kind: z.literal('extra'), id: z.string().transform(toPersonId) }),
    z.object({ kind: z.literal('air') }),
    z.object({ kind: z.literal('power') }),
  ]),
  from: z.string().transform((at): Instant => instantOrThrow(at)),
  until: z.string().transform((at): Instant => instantOrThrow(at)),
})

function whatOf({ kind, what_id }: OutagesRow): Outage['what'] {
  if (kind === 'air' || kind === 'power' || what_id === null) return { kind: kind === 'power' ? kind : 'air' }
  return kind === 'place' ? { kind, id: toBayId(what_id) } : { kind, id: toPersonId(what_id) }
}

/** Outages that are not over at `now`, the one that began first first. */
export async function listOutages(db: Knex, now: Instant): Promise<Outage[]> {
  const rows = await db('outages').whereNull('ended_at').andWhere('until_at', '>', now).orderBy('from_at')
  return rows.map((row) => ({
    id: row.id,
    what: whatOf(row),
    from: instantOrThrow(row.from_at),
    until: instantOrThrow(row.until_at),
  }))
}

export async function addOutage(db: Knex, outage: Outage, now: Instant): Promise<void> {
  const { id, what, from, until } = outage
  await db('outages').insert({
    id,
    kind: what.kind,
    what_id: 'id' in what ? what.id : null,
    from_at: from,
    until_at: until,
    entered_at: now,
  })
}

/** Somebody is back, a bay is in use again, or the air is dry. False where that was already known. */
export async function endOutage(db: Knex, id: string, now: Instant): Promise<boolean> {
  const changed = await db('outages').where({ id }).whereNull('ended_at').update({ ended_at: now })
  return changed > 0
}
