import type { Knex } from 'knex'
import type { Tries } from '@/core/staff'
import { type Instant, instantOrThrow } from '@/core/time'

/** Who tried to sign in, by name and from where. Old tries are let go. */

/** Hours after which a wrong try no longer counts. */
const COUNTED_HOURS = 24
const KEPT_DAYS = 30

const before = (at: Instant, hours: number) => new Date(Date.parse(at) - 3_600_000 * hours).toISOString()

/** Wrong tries at a name, as `plain` writes it, since the last right one from there. */
export async function triesAt(db: Knex, name: string, whence: string, now: Instant): Promise<Tries> {
  const recent = await db('sign_in_tries')
    .where({ plain_name: name })
    .where('at', '>', before(now, COUNTED_HOURS))
    .orderBy('id', 'desc')
    .limit(500)
  const wrongSince = (rows: typeof recent) => {
    const right = rows.findIndex((row) => row.right === 1)
    return right < 0 ? rows : rows.slice(0, right)
  }
  const here = wrongSince(recent.filter((row) => row.whence === whence))
  const last = recent.find((row) => row.right === 0)
  return {
    here: here.length,
    anywhere: wrongSince(recent).length,
    ...(last ? { last: instantOrThrow(last.at) } : {}),
  }
}

/** Writes a try down, wrong until it proves to be right. Its id. */
export async function noteTry(db: Knex, name: string, whence: string, at: Instant): Promise<number> {
  await db('sign_in_tries')
    .where('at', '<', before(at, 24 * KEPT_DAYS))
    .delete()
  const [id] = await db('sign_in_tries').insert({ plain_name: name, whence, at, right: 0 })
  return id!
}

export async function noteRight(trx: Knex, id: number): Promise<void> {
  await trx('sign_in_tries').where({ id }).update({ right: 1 })
}

/** `name`: whose it is; nothing where nobody has that name. */
export type WrongTries = { name?: string; whence: string; count: number; last: Instant }

/** The names at which somebody was wrong several times within a day, for the manager. */
export async function wrongTries(db: Knex, now: Instant, least: number): Promise<WrongTries[]> {
  const rows: { name: string | null; whence: string; count: number; last: string }[] = await db(
    'sign_in_tries',
  )
    .leftJoin('accounts', (on) =>
      on.on('accounts.plain_name', 'sign_in_tries.plain_name').andOnNull('accounts.closed_at'),
    )
    .where('sign_in_tries.right', 0)
    .where('sign_in_tries.at', '>', before(now, COUNTED_HOURS))
    .groupBy('sign_in_tries.plain_name', 'sign_in_tries.whence')
    .having(db.raw('count(*) >= ?', [least]))
    .select(
      'accounts.name',
      'sign_in_tries.whence',
      db.raw('count(*) as count'),
      db.raw('max(sign_in_tries.at) as last'),
    )
  return rows.map(({ name, whence, count, last }) => ({
    ...(name ? { name } : {}),
    whence,
    count,
    last: instantOrThrow(last),
  }))
}
