import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type AccountId, toAccountId } from '@/core/ids'
import {
  IDLE_MINUTES,
  type SessionState,
  type StaffRole,
  type StaffRules,
  sessionState,
  TOUCHED_EVERY_SECONDS,
} from '@/core/staff'
import { type Instant, instantOrThrow } from '@/core/time'
import { faultFacts, log } from '../log'
import { freshToken, tokenHash } from './hashed'

/** Who is signed in where. A session lives on the server: it ends when it is ended, whatever a browser still holds. */

export type Session = {
  id: string
  account: AccountId
  name: string
  role: StaffRole
  person?: string
  device?: string
  state: SessionState
}

export async function staffRules(db: Knex): Promise<StaffRules> {
  const row = await db('staff_rules').first()
  return {
    idleMinutes: row?.idle_minutes ?? IDLE_MINUTES.usual,
    floorReaches: row?.floor_contacts === 1,
  }
}

/** Begins a session and gives what the browser is known by. */
export async function beginSession(
  trx: Knex,
  { account, device, browser }: { account: AccountId; device?: string | undefined; browser: string },
  at: Instant,
): Promise<string> {
  const token = freshToken()
  await trx('sessions').insert({
    id: randomUUID(),
    token_hash: tokenHash(token),
    account_id: account,
    device_id: device ?? null,
    browser: browser.slice(0, 200),
    began_at: at,
    used_at: at,
  })
  return token
}

/** The session a token belongs to; nothing where there is none, or its account or device is no longer of the shop. */
export async function sessionOf(db: Knex, token: string, now: Instant): Promise<Session | undefined> {
  const row = await db('sessions')
    .join('accounts', 'accounts.id', 'sessions.account_id')
    .leftJoin('paired_devices', 'paired_devices.id', 'sessions.device_id')
    .where('sessions.token_hash', tokenHash(token))
    .whereNull('accounts.closed_at')
    .whereNull('paired_devices.unpaired_at')
    .first(
      'sessions.id',
      'sessions.account_id',
      'sessions.device_id',
      'sessions.began_at',
      'sessions.used_at',
      'sessions.ended_at',
      'accounts.name',
      'accounts.role',
      'accounts.person_id',
    )
  if (!row) return undefined
  const { idleMinutes } = await staffRules(db)
  return {
    id: row.id,
    account: toAccountId(row.account_id),
    name: row.name,
    role: row.role as StaffRole,
    ...(row.person_id ? { person: row.person_id } : {}),
    ...(row.device_id ? { device: row.device_id } : {}),
    state: sessionState(
      {
        beganAt: instantOrThrow(row.began_at),
        usedAt: instantOrThrow(row.used_at),
        ...(row.ended_at ? { endedAt: instantOrThrow(row.ended_at) } : {}),
      },
      now,
      idleMinutes,
    ),
  }
}

/** Somebody is there, on a device of the shop or elsewhere: written once a minute, not with every page. */
export async function touchSession(
  db: Knex,
  { session: id, paired }: { session: string; paired?: string | undefined },
  at: Instant,
): Promise<void> {
  const since = new Date(Date.parse(at) - 1000 * TOUCHED_EVERY_SECONDS).toISOString()
  const touched = await db('sessions').where({ id }).where('used_at', '<', since).update({ used_at: at })
  if (touched > 0 && paired) await db('paired_devices').where({ id: paired }).update({ seen_at: at })
}

const touching = new Set<string>()

/** Notes that somebody is there without anybody waiting for it: while another program holds the file, pages are read all the same. */
export function noteSignOfLife(
  db: Knex,
  who: { session: string; paired?: string | undefined },
  at: Instant,
): void {
  if (touching.has(who.session)) return
  touching.add(who.session)
  void touchSession(db, who, at)
    .catch((error) => log.warn({ note: 'sign of life', ...faultFacts(error) }))
    .finally(() => touching.delete(who.session))
}

/** Ends sessions: one by its id, or all of an account or a device. */
export async function endSessions(
  trx: Knex,
  of: { id: string } | { account_id: string } | { device_id: string },
  at: Instant,
): Promise<number> {
  return trx('sessions').where(of).whereNull('ended_at').update({ ended_at: at })
}

export type OpenSession = {
  id: string
  account: AccountId
  name: string
  device?: string
  browser: string
  beganAt: Instant
  usedAt: Instant
}

/** The sessions that have not ended, the one used last first. */
export async function listSessions(db: Knex, now: Instant): Promise<OpenSession[]> {
  const rows = await db('sessions')
    .join('accounts', 'accounts.id', 'sessions.account_id')
    .leftJoin('paired_devices', 'paired_devices.id', 'sessions.device_id')
    .whereNull('sessions.ended_at')
    .orderBy('sessions.used_at', 'desc')
    .select(
      'sessions.id',
      'sessions.account_id',
      'sessions.browser',
      'sessions.began_at',
      'sessions.used_at',
      'accounts.name',
      { device: 'paired_devices.name' },
    )
  return rows
    .map((row) => ({
      id: row.id,
      account: toAccountId(row.account_id),
      name: row.name,
      ...(row.device ? { device: row.device } : {}),
      browser: row.browser,
      beganAt: instantOrThrow(row.began_at),
      usedAt: instantOrThrow(row.used_at),
    }))
    .filter(
      ({ beganAt, usedAt }) => sessionState({ beganAt, usedAt }, now, Number.POSITIVE_INFINITY) !== 'over',
    )
}
