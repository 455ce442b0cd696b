'use server'

import type { Knex } from 'knex'
import { z } from 'zod'
import { done, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import type { AccountId } from '@/core/ids'
import { anAccount, aPerson, id } from '@/core/inputs'
import { IDLE_MINUTES, PASSPHRASE_MOST, pinFault, plainPassphrase, STAFF_ROLES } from '@/core/staff'
import { defineAction } from '../action/define'
import { plain } from '../db/plain'
import { loadShop } from '../shop/shop-store'
import { accountById, accountNamed, addAccount, hashedSecrets } from './accounts'
import { keepInBrowser } from './browser'
import { isSecret } from './hashed'
import { unpairDevice } from './paired-devices'
import { offerPairing } from './pairing-codes'
import { endSessions } from './sessions'
import { deviceName, pairing, passphraseAsk, staffName } from './sign-in'

const secretText = z.string().max(4 * PASSPHRASE_MOST, ask('passphrase-long'))
const pinText = z.string().superRefine((typed, { addIssue }) => {
  const fault = typed === '' ? undefined : pinFault(typed)
  if (fault) addIssue({ code: 'custom', message: ask(`pin-${fault}`) })
})
const role = z.enum(STAFF_ROLES, ask('staff-role'))

/** Who of the crew they are, where they are of it. */
async function crewRefusal(trx: Knex, person: string | undefined): Promise<Refusal | undefined> {
  if (!person) return undefined
  const { setup } = await loadShop(trx)
  return setup.people.some((each) => each.id === person)
    ? undefined
    : refuse('input', ask('not-of-crew'), 'person')
}

/** Whether somebody else could still sign in as the owner. */
async function isOnlyOwner(trx: Knex, account: AccountId): Promise<boolean> {
  const others = await trx('accounts')
    .where({ role: 'owner' })
    .whereNull('closed_at')
    .whereNotNull('passphrase')
    .whereNot({ id: account })
    .first('id')
  return others === undefined
}

const staffInput = {
  name: staffName,
  role,
  person: aPerson.optional(),
  passphrase: secretText,
  pin: pinText,
}

/** Adds somebody who signs in, or changes who they are; an empty passphrase or PIN stays as it was. */
export const keepStaff = defineAction({
  name: 'staff.keep',
  who: 'house',
  hushed: true,
  input: z
    .strictObject({ account: anAccount.optional(), ...staffInput })
    .superRefine(({ name, passphrase }, { addIssue }) => {
      const fault = passphrase === '' ? undefined : passphraseAsk(passphrase, name)
      if (fault) addIssue({ code: 'custom', path: ['passphrase'], message: fault })
    }),
  prepare: (_, { passphrase, pin }) => hashedSecrets({ passphrase, pin }),
  write: async ({ trx, at }, { account, name, role: as, person }, hashes) => {
    const named = await accountNamed(trx, name)
    if (named && named.account.id !== account) return refuse('input', ask('staff-name-taken'), 'name')
    const stranger = await crewRefusal(trx, person)
    if (stranger) return stranger
    const known = account && (await accountById(trx, account))
    if (account && !known) return refuse('gone', ask('no-record'))
    if (known?.role === 'owner' && as !== 'owner' && (await isOnlyOwner(trx, known.id)))
      return refuse('rule', ask('last-owner'), 'role')
    if (as === 'owner' && !hashes.passphrase && !known?.hasPassphrase)
      return refuse('input', ask('owner-passphrase'), 'passphrase')
    const kept = known?.id ?? (await addAccount(trx, { name, role: as, person }, at))
    await trx('accounts')
      .where({ id: kept })
      .update({ name, plain_name: plain(name), role: as, person_id: person ?? null, ...hashes })
    // Whoever knew the old passphrase or PIN is no longer in.
    if (known && (hashes.passphrase || hashes.pin || known.role !== as))
      await endSessions(trx, { account_id: kept }, at)
    return done({ account: kept })
  },
})

/** Takes somebody away: they can no longer sign in, and what they did stays theirs. */
export const closeStaff = defineAction({
  name: 'staff.close',
  who: 'house',
  input: z.strictObject({ account: anAccount }),
  write: async ({ trx, at, caller }, { account }) => {
    if (caller.account === account) return refuse('rule', ask('not-yourself'))
    if (await isOnlyOwner(trx, account)) return refuse('rule', ask('last-owner'))
    await trx('accounts')
      .where({ id: account })
      .whereNull('closed_at')
      .update({ closed_at: at, passphrase: null, pin: null })
    await endSessions(trx, { account_id: account }, at)
    return done()
  },
})

/** Changes one’s own passphrase or PIN; the passphrase that holds now is asked for. */
export const keepOwnSecrets = defineAction({
  name: 'staff.keep-own-secrets',
  who: 'team',
  hushed: true,
  input: z.strictObject({ now: secretText, passphrase: secretText, pin: pinText }),
  prepare: async ({ db, caller }, { now, passphrase, pin }) => {
    const account =
      caller.account && (await db('accounts').where({ id: caller.account }).first('name', 'passphrase'))
    const fault = account && passphrase !== '' ? passphraseAsk(passphrase, account.name) : undefined
    return {
      isRight: await isSecret(plainPassphrase(now), account?.passphrase),
      fault,
      hashes: fault ? {} : await hashedSecrets({ passphrase, pin }),
    }
  },
  write: async ({ trx, at, caller }, _, { isRight, fault, hashes }) => {
    if (!caller.account || !isRight) return refuse('rule', ask('passphrase-wrong'), 'now')
    if (fault) return refuse('input', fault, 'passphrase')
    if (Object.keys(hashes).length === 0) return done()
    await trx('accounts').where({ id: caller.account }).update(hashes)
    // Everywhere else one signs in again.
    await trx('sessions')
      .where({ account_id: caller.account })
      .whereNull('ended_at')
      .whereNot({ id: caller.session ?? '' })
      .update({ ended_at: at })
    return done()
  },
})

/** Makes the browser that asks one of the shop’s devices, on which a PIN is enough. */
export const pairThisDevice = defineAction(pairing, async ({ id: device, token }) => {
  await keepInBrowser('device', token)
  return { id: device }
})

/** Makes a code by which another device becomes one of the shop’s; it is shown once. */
export const offerDevice = defineAction({
  name: 'staff.offer-pairing',
  who: 'manage',
  secret: true,
  input: z.strictObject({ name: deviceName }),
  write: async ({ trx, at, caller }, { name }) => {
    if (!caller.account) return refuse('rule', ask('set-up-first'))
    return done({ code: await offerPairing(trx, { name, by: caller.account }, at) })
  },
})

export const unpair = defineAction({
  name: 'staff.unpair-device',
  who: 'manage',
  input: z.strictObject({ device: id }),
  write: async ({ trx, at }, { device }) => {
    await unpairDevice(trx, device, at)
    await endSessions(trx, { device_id: device }, at)
    return done()
  },
})

/** Signs somebody out from afar. */
export const endSession = defineAction({
  name: 'staff.end-session',
  who: 'manage',
  input: z.strictObject({ session: id }),
  write: async ({ trx, at }, { session }) => {
    await endSessions(trx, { id: session }, at)
    return done()
  },
})

/** After how long a screen is locked. */
export const keepStaffRules = defineAction({
  name: 'staff.keep-rules',
  who: 'house',
  input: z.strictObject({
    idleMinutes: z
      .int(ask('idle-minutes'))
      .min(IDLE_MINUTES.least, ask('idle-minutes'))
      .max(IDLE_MINUTES.most, ask('idle-minutes')),
    floorReaches: z.boolean(),
  }),
  write: async ({ trx }, { idleMinutes, floorReaches }) => {
    const row = {
      one: 1 as const,
      idle_minutes: idleMinutes,
      floor_contacts: floorReaches ? (1 as const) : (0 as const),
    }
    await trx('staff_rules').insert(row).onConflict('one').merge()
    return done()
  },
})
