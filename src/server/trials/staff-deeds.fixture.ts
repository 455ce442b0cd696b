import type { Knex } from 'knex'
import { toAccountId } from '@/core/ids'
import type { Instant } from '@/core/time'
import { type Caller, OPEN_SHOP } from '../action/caller'
import { addAccount, hashedSecrets } from '../staff/accounts'
import { tokenHash } from '../staff/hashed'
import { action, answered } from './deed.fixture'
import type { Deed } from './filled-in.fixture'

/** What is done about who signs in. */

const NAME = 'Tried Manager'
const PASSPHRASE = 'five gulls on a wet slate roof'
const ACCOUNT = toAccountId('tried-manager')
/** Shown before the trial: a code that is told once is not told again after a kill. */
const SHOWN_CODE = '7RJ4K2WQ9XTB'

/** Who does the deeds: somebody who signed in, though no owner is set up yet. */
export const DOER: Caller = {
  ...OPEN_SHOP,
  account: ACCOUNT,
  name: NAME,
  address: 'https://shop.example',
}

export async function somebodySignsIn(db: Knex, now: Instant): Promise<void> {
  const drawn = await addAccount(db, { name: NAME, role: 'manager' }, now)
  await db('accounts')
    .where({ id: drawn })
    .update({ id: ACCOUNT, ...(await hashedSecrets({ passphrase: PASSPHRASE })) })
  await db('pairing_codes').insert({
    code_hash: tokenHash(SHOWN_CODE),
    name: 'Tablet by the door',
    made_at: now,
    made_by: ACCOUNT,
  })
}

export const staffDeeds = (): Deed[] => [
  action('set-up', 'staff.set-up', {
    name: 'Rowan',
    passphrase: 'candle regatta ferry harbour',
    browser: 'trial',
  }),
  action('hire', 'staff.keep', { name: 'Finn', role: 'trainee', passphrase: '', pin: '7391' }),
  action('own-pin', 'staff.keep-own-secrets', { now: PASSPHRASE, passphrase: '', pin: '2580' }),
  action('pair', 'staff.pair-device', { name: 'Tablet' }),
  action('offer-device', 'staff.offer-pairing', { name: 'Tablet by the wash bay' }),
  action('take-device', 'staff.take-pairing', { code: SHOWN_CODE }),
  action('unpair', 'staff.unpair-device', { device: 'nobody-has-it' }),
  action('sign-in', 'staff.sign-in', { name: NAME, by: 'passphrase', secret: PASSPHRASE, browser: 'trial' }),
  action('session-off', 'staff.end-session', { session: 'nobody-has-it' }),
  action('rules', 'staff.keep-rules', { idleMinutes: 20 }),
  action('let-go-of', 'staff.close', { account: answered('hire', 'account') }),
  action('feed', 'shop.make-feed', { kind: 'shop', of: 'all' }),
  action('feed-off', 'shop.revoke-feed', { hash: 'nobody-has-it' }),
  action('back-up', 'shop.back-up', null),
  action('rehearse', 'shop.rehearse-backup', null),
  action('sign-out', 'staff.sign-out', null),
]
