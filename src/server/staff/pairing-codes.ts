import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import { type AccountId, toAccountId } from '@/core/ids'
import { PAIRING_BYTES, PAIRING_MINUTES, pairingCodeOf, plainPairingCode } from '@/core/staff'
import { type Instant, plusMinutes } from '@/core/time'
import { tokenHash } from './hashed'

/** Codes by which a device becomes one of the shop's: good once, for minutes. */

/** Makes a code and gives it; it is not to be had again. Those long over are let go. */
export async function offerPairing(
  trx: Knex,
  { name, by }: { name: string; by: string },
  at: Instant,
): Promise<string> {
  const code = pairingCodeOf(randomBytes(PAIRING_BYTES))
  await trx('pairing_codes').where('made_at', '<', plusMinutes(at, -PAIRING_MINUTES)).delete()
  await trx('pairing_codes').insert({ code_hash: tokenHash(code), name, made_at: at, made_by: by })
  return code
}

export type Offer = { name: string; by: { id: AccountId; name: string } }

/** What a code offers; nothing where it is unknown, used or over, or whoever made it has left. */
export async function offerOf(db: Knex, typed: string, at: Instant): Promise<Offer | undefined> {
  const row = await db('pairing_codes')
    .join('accounts', 'accounts.id', 'pairing_codes.made_by')
    .where({ code_hash: tokenHash(plainPairingCode(typed)) })
    .where('pairing_codes.made_at', '>', plusMinutes(at, -PAIRING_MINUTES))
    .whereNull('used_at')
    .whereNull('closed_at')
    .first({ name: 'pairing_codes.name', id: 'accounts.id', maker: 'accounts.name' })
  return row && { name: row.name, by: { id: toAccountId(row.id), name: row.maker } }
}

export async function takeOffer(trx: Knex, typed: string, at: Instant): Promise<void> {
  await trx('pairing_codes')
    .where({ code_hash: tokenHash(plainPairingCode(typed)) })
    .update({ used_at: at })
}
