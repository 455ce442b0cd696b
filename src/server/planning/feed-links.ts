import type { Knex } from 'knex'
import { type Instant, instantOrThrow } from '@/core/time'
import { freshToken, tokenHash } from '../staff/hashed'

/** Addresses of calendars: long, by chance, for one calendar each, and revoked one by one. */

export const FEED_KINDS = ['shop', 'people', 'bays'] as const
export type FeedKind = (typeof FEED_KINDS)[number]

export type FeedLink = { hash: string; kind: FeedKind; of: string; madeAt: Instant; readAt?: Instant }

/** Makes an address and gives what goes into it; it is not to be had again. */
export async function makeFeed(
  trx: Knex,
  { kind, of }: Pick<FeedLink, 'kind' | 'of'>,
  at: Instant,
): Promise<string> {
  const token = freshToken()
  await trx('feeds').insert({ token_hash: tokenHash(token), kind, of_id: of, made_at: at })
  return token
}

/** The calendar an address leads to; nothing for one that is unknown or was revoked. */
export async function feedOf(
  db: Knex,
  token: string,
): Promise<Pick<FeedLink, 'hash' | 'kind' | 'of'> | undefined> {
  const row = await db('feeds')
    .where({ token_hash: tokenHash(token) })
    .whereNull('revoked_at')
    .first()
  return row && { hash: row.token_hash, kind: row.kind as FeedKind, of: row.of_id }
}

/** A program read it: written once a day, so that one sees which addresses are still in use. */
export async function noteRead(db: Knex, hash: string, at: Instant): Promise<void> {
  const dayBefore = new Date(Date.parse(at) - 86_400_000).toISOString()
  await db('feeds')
    .where({ token_hash: hash })
    .where((old) => old.whereNull('read_at').orWhere('read_at', '<', dayBefore))
    .update({ read_at: at })
}

export async function listFeeds(db: Knex): Promise<FeedLink[]> {
  const rows = await db('feeds').whereNull('revoked_at').orderBy('made_at')
  return rows.map((row) => ({
    hash: row.token_hash,
    kind: row.kind as FeedKind,
    of: row.of_id,
    madeAt: instantOrThrow(row.made_at),
    ...(row.read_at ? { readAt: instantOrThrow(row.read_at) } : {}),
  }))
}

export async function revokeFeed(trx: Knex, hash: string, at: Instant): Promise<void> {
  await trx('feeds').where({ token_hash: hash }).whereNull('revoked_at').update({ revoked_at: at })
}
