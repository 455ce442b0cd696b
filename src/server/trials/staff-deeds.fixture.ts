import type { Knex } from 'knex'
import { toAccountId, toCustomerId, toOperationId, toVehicleId } from '@/core/ids'
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

/** Somebody whose car is put away, and who is erased. */
const SPARE = toCustomerId('tried-customer')
/** What a trainee finished before. */
const TRAINEES_STEP = 'tried-step'
const SPARE_CAR = toVehicleId('tried-car')

export async function somebodyAsksToBeErased(db: Knex, now: Instant): Promise<void> {
  await db('customers').insert({
    id: SPARE,
    name: 'Odhran Spare',
    phone: '',
    email: '',
    may_remind: 0,
    created_at: now,
    language: 'en',
    write_by: 'email',
    tax: 'as-usual',
    import_id: null,
    erased_at: null,
  })
  const some = await db('vehicles').first()
  await db('vehicles').insert({
    ...some!,
    care_checked_on: null,
    put_away_at: null,
    id: SPARE_CAR,
    customer_id: SPARE,
    plate: 'IM 77 SPARE',
    vin: '',
  })
  // Long gone: what waits to be confirmed holds up no car of the other deeds.
  const job = await db('jobs').whereNotNull('handed_over_at').orderBy('arrive_at').first('id')
  const trainee = await addAccount(db, { name: 'Tried Trainee', role: 'trainee' }, now)
  await db('to_confirm').insert({
    id: TRAINEES_STEP,
    job_id: job!.id,
    operation_id: toOperationId('wash'),
    account_id: trainee,
    done_by: 'Tried Trainee',
    done_at: now,
    confirmed_by: null,
    confirmed_at: null,
  })
  await db('handed_on').insert({
    id: HANDED_ON,
    job_id: job!.id,
    person_id: 'somebody',
    account_id: trainee,
    sent_by: 'Tried Trainee',
    at: now,
    answer: null,
    answered_by: null,
    answered_at: null,
  })
}

/** What somebody did on a tablet that the trainee was signed in on. */
const HANDED_ON = 'tried-handed-on'

export const peopleDeeds = (): Deed[] => [
  action('confirm', 'work.confirm', { id: TRAINEES_STEP }),
  action('vouch', 'work.answer-handed-on', { ids: [HANDED_ON], answer: 'vouched' }),
  action('put-away', 'vehicles.put-away', { vehicleId: SPARE_CAR }),
  action('take-back', 'vehicles.take-back', { vehicleId: SPARE_CAR }),
  action('reach', 'customers.reach', { vehicleId: SPARE_CAR }),
  action('look', 'customers.look', { customerId: SPARE }),
  action('take-out', 'customers.take-out', { customerId: SPARE }),
  action('erase', 'customers.erase', {
    customerId: SPARE,
    name: 'Odhran Spare',
    photos: 'keep',
    plates: false,
    marked: [],
  }),
  action('retention', 'customers.keep-retention', { messages: 24, photographs: 48, customers: 60 }),
  action('left-alone', 'customers.leave-outdated', null),
  action('old-messages', 'customers.drop-messages', null),
  action('old-photographs', 'customers.drop-photographs', null),
]

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
  action('rules', 'staff.keep-rules', { idleMinutes: 20, floorReaches: true }),
  action('let-go-of', 'staff.close', { account: answered('hire', 'account') }),
  action('feed', 'shop.make-feed', { kind: 'shop', of: 'all' }),
  action('feed-off', 'shop.revoke-feed', { hash: 'nobody-has-it' }),
  action('back-up', 'shop.back-up', null),
  action('rehearse', 'shop.rehearse-backup', null),
  action('sign-out', 'staff.sign-out', null),
]
