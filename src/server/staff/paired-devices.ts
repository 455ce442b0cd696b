import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type Instant, instantOrThrow } from '@/core/time'
import { freshToken, tokenHash } from './hashed'

/** The screens of the shop: on them a PIN is enough, since whoever types it has to stand in the shop. */

export type PairedDevice = { id: string; name: string; pairedAt: Instant; seenAt: Instant }

/** Makes the browser that asks a device of the shop, and gives what it is known by. */
export async function pairDevice(
  trx: Knex,
  { name, by }: { name: string; by: string },
  at: Instant,
): Promise<{ id: string; token: string }> {
  const token = freshToken()
  const id = randomUUID()
  await trx('paired_devices').insert({
    id,
    name,
    token_hash: tokenHash(token),
    paired_at: at,
    paired_by: by,
    seen_at: at,
  })
  return { id, token }
}

const deviceOf = (row: { id: string; name: string; paired_at: string; seen_at: string }): PairedDevice => ({
  id: row.id,
  name: row.name,
  pairedAt: instantOrThrow(row.paired_at),
  seenAt: instantOrThrow(row.seen_at),
})

export async function deviceOfToken(db: Knex, token: string): Promise<PairedDevice | undefined> {
  const row = await db('paired_devices')
    .where({ token_hash: tokenHash(token) })
    .whereNull('unpaired_at')
    .first()
  return row && deviceOf(row)
}

export async function listDevices(db: Knex): Promise<PairedDevice[]> {
  const rows = await db('paired_devices').whereNull('unpaired_at').orderBy('name')
  return rows.map(deviceOf)
}

export async function unpairDevice(trx: Knex, id: string, at: Instant): Promise<boolean> {
  return (await trx('paired_devices').where({ id }).whereNull('unpaired_at').update({ unpaired_at: at })) > 0
}
