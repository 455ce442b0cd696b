import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type Answer, done, refuse } from '@/core/answer'
import type { Instant } from '@/core/time'
import { forgetStrayChanges, writeEntry } from '../action/journal'
import { plain } from '../db/plain'
import { hashedSecrets } from './accounts'
import { endSessions } from './sessions'
import { passphraseAsk } from './sign-in'

/**
 * Gives an owner a new passphrase without the old one, for whoever has the machine: who can read the shop's folder could do anything with it
 * anyway. It stands in the journal, and whoever was signed in under that name is signed out. Gives the names of owners where there is none of
 * that name.
 */
export async function recoverOwner(
  db: Knex,
  { name, passphrase }: { name: string; passphrase: string },
  at: Instant,
): Promise<Answer<{ owner: string }> | { owners: string[] }> {
  const owners = await db('accounts').where({ role: 'owner' }).whereNull('closed_at').orderBy('name')
  const owner = owners.find(({ plain_name }) => plain_name === plain(name))
  if (!owner) return { owners: owners.map((each) => each.name) }
  const fault = passphraseAsk(passphrase, owner.name)
  if (fault) return refuse('input', fault)
  const hashes = await hashedSecrets({ passphrase })
  await db.transaction(async (trx) => {
    await forgetStrayChanges(trx)
    await trx('accounts').where({ id: owner.id }).update(hashes)
    await endSessions(trx, { account_id: owner.id }, at)
    await writeEntry(trx, {
      key: randomUUID(),
      action: 'staff.recover',
      caller: { role: 'owner' },
      at,
      input: { account: owner.id },
      answer: done(),
      secret: false,
    })
  })
  return done({ owner: owner.name })
}
