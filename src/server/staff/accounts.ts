import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type AccountId, type PersonId, toAccountId, toPersonId } from '@/core/ids'
import { plainPassphrase, type StaffRole } from '@/core/staff'
import { type Instant, instantOrThrow } from '@/core/time'
import { plain } from '../db/plain'
import type { AccountsRow } from '../db/tables'
import { hashedSecret } from './hashed'

/** Who signs in. Whoever leaves is closed, not deleted: what they did stays theirs. */

export type Account = {
  id: AccountId
  name: string
  role: StaffRole
  /** Who of the crew they are, where they are of it. */
  person?: PersonId
  hasPassphrase: boolean
  hasPin: boolean
  madeAt: Instant
  closedAt?: Instant
}

const accountOf = (row: AccountsRow): Account => ({
  id: toAccountId(row.id),
  name: row.name,
  role: row.role as StaffRole,
  ...(row.person_id ? { person: toPersonId(row.person_id) } : {}),
  hasPassphrase: row.passphrase !== null,
  hasPin: row.pin !== null,
  madeAt: instantOrThrow(row.made_at),
  ...(row.closed_at ? { closedAt: instantOrThrow(row.closed_at) } : {}),
})

export async function listAccounts(db: Knex): Promise<Account[]> {
  const rows = await db('accounts').whereNull('closed_at').orderBy('name')
  return rows.map(accountOf)
}

/** Whether anybody has to sign in: somebody can, with a passphrase, as the owner. Until then whoever is at the machine is. */
export async function isSetUp(db: Knex): Promise<boolean> {
  const row = await db('accounts')
    .where({ role: 'owner' })
    .whereNull('closed_at')
    .whereNotNull('passphrase')
    .first('id')
  return row !== undefined
}

/** The account under a name, and the hashes of what it proves itself by. */
export async function accountNamed(
  db: Knex,
  name: string,
): Promise<{ account: Account; passphrase: string | null; pin: string | null } | undefined> {
  const row = await db('accounts')
    .where({ plain_name: plain(name) })
    .whereNull('closed_at')
    .first()
  return row && { account: accountOf(row), passphrase: row.passphrase, pin: row.pin }
}

export async function accountById(db: Knex, id: AccountId): Promise<Account | undefined> {
  const row = await db('accounts').where({ id }).whereNull('closed_at').first()
  return row && accountOf(row)
}

export type NewAccount = { name: string; role: StaffRole; person?: PersonId | undefined }

export async function addAccount(
  trx: Knex,
  { name, role, person }: NewAccount,
  at: Instant,
): Promise<AccountId> {
  const id = toAccountId(randomUUID())
  await trx('accounts').insert({
    id,
    name,
    plain_name: plain(name),
    role,
    person_id: person ?? null,
    made_at: at,
  })
  return id
}

/** The hashes of new secrets, worked out before anything is written: it takes a moment. */
export async function hashedSecrets({
  passphrase,
  pin,
}: {
  passphrase?: string | undefined
  pin?: string | undefined
}) {
  return {
    ...(passphrase ? { passphrase: await hashedSecret(plainPassphrase(passphrase)) } : {}),
    ...(pin ? { pin: await hashedSecret(pin) } : {}),
  }
}
