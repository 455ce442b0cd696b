import type { Knex } from 'knex'
import { z } from 'zod'
import { toBayId, toPersonId } from '@/core/ids'
import { EQUIPMENT_KINDS, type Outage } from '@/core/planning'
import { type Instant, instantOrThrow } from '@/core/time'
import { readable } from '../db/readable'
import type { OutagesRow } from '../db/tables'

/** Who is away or in longer, what is out of use, when the air is too damp to coat, or the power is off. What has ended stays in the table: it says why a plan was as it was. */

export const outageSchema = z.object({
  id: z.string(),
  what: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('person'), id: z.string().transform(toPersonId) }),
    z.object({ kind: z.literal('place'), id: z.string().transform(toBayId) }),
    z.object({ kind: z.literal('extra'), id: z.string().transform(toPersonId) }),
    z.object({ kind: z.literal('equipment'), id: z.enum(EQUIPMENT_KINDS) }),
    z.object({ kind: z.literal('air') }),
    z.object({ kind: z.literal('power') }),
  ]),
  from: z.string().transform((at): Instant => instantOrThrow(at)),
  until: z.string().transform((at): Instant => instantOrThrow(at)),
})

const toOutage = (row: OutagesRow): Outage =>
  outageSchema.parse({
    id: row.id,
    what: row.what_id === null ? { kind: row.kind } : { kind: row.kind, id: row.what_id },
    from: row.from_at,
    until: row.until_at,
  })

/** Outages that are not over at `now`, the one that began first first. */
export async function listOutages(db: Knex, now: Instant): Promise<Outage[]> {
  const rows = await db('outages').whereNull('ended_at').andWhere('until_at', '>', now).orderBy('from_at')
  return readable(rows, toOutage, ({ id }) => ({ outage: id }))
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
