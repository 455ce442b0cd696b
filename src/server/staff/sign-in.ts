import type { Knex } from 'knex'
import { z } from 'zod'
import { type Answer, done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { PASSPHRASE_MOST, passphraseFault, plainPassphrase, triesAgainAt } from '@/core/staff'
import type { Instant } from '@/core/time'
import type { Caller } from '../action/caller'
import { defineWrite } from '../action/perform'
import { plain } from '../db/plain'
import { type Account, accountNamed, addAccount, hashedSecrets, isSetUp } from './accounts'
import { isSecret } from './hashed'
import { pairDevice } from './paired-devices'
import { offerOf, takeOffer } from './pairing-codes'
import { beginSession, endSessions } from './sessions'
import { noteRight, noteTry, triesAt } from './tries-store'

/** How somebody signs in and out, and how the first owner is set up. */

export const staffName = z
  .string()
  .trim()
  .min(1, ask('staff-name'))
  .max(60, ask('staff-name'))
  // What is left of a name when one looks for it must be something.
  .refine((name) => plain(name) !== '', ask('staff-name'))

export const passphraseAsk = (typed: string, name: string) => {
  const fault = passphraseFault(typed, name)
  return fault && ask(`passphrase-${fault}`)
}

/** A browser as it calls itself, and the session it had: ended when it signs in anew. */
const browser = z.string().max(400)

type Tried = { account: Account; tried: number } | { refusal: ReturnType<typeof refuse> }

/** From where somebody tries: a device of the shop, or an address. */
const whenceOf = ({ paired, peer }: Caller) => (paired ? `device ${paired}` : (peer ?? 'here'))

const secondsUntil = (at: Instant, now: Instant) => Math.ceil((Date.parse(at) - Date.parse(now)) / 1000)

/** Names nobody has are counted together: what was typed as one may be a passphrase, and is written nowhere. */
const NOBODY = 'nobody'

async function tried(
  db: Knex,
  { name, secret, by }: { name: string; secret: string; by: 'passphrase' | 'pin' },
  caller: Caller,
  at: Instant,
): Promise<Tried> {
  if (by === 'pin' && !caller.paired) return { refusal: refuse('rule', ask('pin-only-here'), 'secret') }
  const known = await accountNamed(db, name)
  const counted = known ? plain(known.account.name) : NOBODY
  const whence = whenceOf(caller)
  // It counts as wrong until it is right, and is counted as it is looked at: of a hundred at once no more are looked at than of a hundred in a row.
  const noted = await db.transaction(async (trx) => {
    const again = triesAgainAt(await triesAt(trx, counted, whence, at), at)
    return again
      ? { isEarly: true as const, again }
      : { isEarly: false as const, id: await noteTry(trx, counted, whence, at) }
  })
  if (noted.isEarly) {
    const seconds = secondsUntil(noted.again, at)
    return { refusal: refuse('rule', ask('tries-again-in', { seconds }), 'secret') }
  }
  const typed = by === 'pin' ? secret : plainPassphrase(secret)
  const isRight = await isSecret(typed, by === 'pin' ? known?.pin : known?.passphrase)
  if (known && isRight) return { account: known.account, tried: noted.id }
  return { refusal: refuse('rule', ask(by === 'pin' ? 'wrong-pin' : 'wrong-sign-in'), 'secret') }
}

/** Ends the session of whoever asks, open or locked. */
async function endSessionOf(trx: Knex, { session, locked }: Caller, at: Instant): Promise<void> {
  const id = session ?? locked
  if (id) await endSessions(trx, { id }, at)
}

/** Signs somebody in: by passphrase anywhere, by PIN on a device of the shop. Gives what the browser is known by. */
export const signingIn = defineWrite({
  name: 'staff.sign-in',
  who: 'anybody',
  secret: true,
  hushed: true,
  input: z.strictObject({
    name: z.string().max(200),
    by: z.enum(['passphrase', 'pin']),
    secret: z.string().max(4 * PASSPHRASE_MOST, ask('passphrase-long')),
    browser,
  }),
  prepare: ({ db, at, caller }, input) => tried(db, input, caller, at),
  write: async ({ trx, at, caller, isBy }, input, found): Promise<Answer<{ token: string }>> => {
    if ('refusal' in found) return found.refusal
    await noteRight(trx, found.tried)
    isBy({ account: found.account.id, name: found.account.name })
    await endSessionOf(trx, caller, at)
    const token = await beginSession(
      trx,
      {
        account: found.account.id,
        device: input.by === 'pin' ? caller.paired : undefined,
        browser: input.browser,
      },
      at,
    )
    return done({ token })
  },
})

/** Ends the session of whoever asks. */
export const signingOut = defineWrite({
  name: 'staff.sign-out',
  who: 'anybody',
  input: z.null(),
  write: async ({ trx, at, caller }) => {
    await endSessionOf(trx, caller, at)
    return done()
  },
})

/** Makes the first owner, and signs them in: from then on everybody signs in. */
export const settingUp = defineWrite({
  name: 'staff.set-up',
  who: 'house',
  secret: true,
  hushed: true,
  input: z
    .strictObject({
      name: staffName,
      passphrase: z.string().max(4 * PASSPHRASE_MOST, ask('passphrase-long')),
      browser,
    })
    .superRefine(({ name, passphrase }, { addIssue }) => {
      const fault = passphraseAsk(passphrase, name)
      if (fault) addIssue({ code: 'custom', path: ['passphrase'], message: fault })
    }),
  prepare: (_, { passphrase }) => hashedSecrets({ passphrase }),
  write: async ({ trx, at, isBy }, { name, browser: its }, hashes): Promise<Answer<{ token: string }>> => {
    if (await isSetUp(trx)) return refuse('rule', ask('set-up-already'))
    if (await accountNamed(trx, name)) return refuse('input', ask('staff-name-taken'), 'name')
    const account = await addAccount(trx, { name, role: 'owner' }, at)
    await trx('accounts').where({ id: account }).update(hashes)
    isBy({ account, name })
    return done({ token: await beginSession(trx, { account, browser: its }, at) })
  },
})

export const deviceName = z.string().trim().min(1, ask('device-name')).max(60, ask('device-name'))

/** Makes the browser that asks one of the shop’s devices. Gives what it is known by. */
export const pairing = defineWrite({
  name: 'staff.pair-device',
  who: 'manage',
  secret: true,
  input: z.strictObject({ name: deviceName }),
  write: async ({ trx, at, caller }, { name }): Promise<Answer<{ id: string; token: string }>> => {
    // While nobody signs in there is nobody to pair it.
    if (!caller.account) return refuse('rule', ask('set-up-first'))
    return done(await pairDevice(trx, { name, by: caller.account }, at))
  },
})

/** Makes the browser that shows a code one of the shop’s devices. Whoever showed the code did it. */
export const pairingByCode = defineWrite({
  name: 'staff.take-pairing',
  who: 'anybody',
  secret: true,
  hushed: true,
  input: z.strictObject({ code: z.string().max(64) }),
  write: async ({ trx, at, isBy }, { code }): Promise<Answer<{ name: string; token: string }>> => {
    const offer = await offerOf(trx, code, at)
    if (!offer) return refuse('gone', ask('pairing-code'), 'code')
    await takeOffer(trx, code, at)
    isBy({ account: offer.by.id, name: offer.by.name })
    const { token } = await pairDevice(trx, { name: offer.name, by: offer.by.id }, at)
    return done({ name: offer.name, token })
  },
})
