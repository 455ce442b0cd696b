import { createHash, randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import type { PrivateLink } from '@/core/handover'
import { type Instant, instantOrThrow } from '@/core/time'
import type { OwnerLinksRow, PrivateLinksRow } from '../db/tables'

/** Private addresses: whoever has one sees one thing. Only its hash is kept, so the database gives none away. */

/** What a link opens: the sheet of one job, or the page of one vehicle for whoever owns it when the link is made. */
export type LinkTable = 'private_links' | 'owner_links'

/** What both tables hold; what a link opens is added by its own. */
type LinkRow = Pick<PrivateLinksRow, keyof PrivateLinksRow & keyof OwnerLinksRow>

const links = (db: Knex, table: LinkTable) => db<LinkRow>(table)

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

/** Writes a link down and returns the token that goes into its address; it is not to be had again. */
export async function makeLink(
  db: Knex,
  table: LinkTable,
  opens: Readonly<Record<string, string>>,
  { madeAt, expiresAt }: Pick<PrivateLink, 'madeAt' | 'expiresAt'>,
): Promise<string> {
  const token = randomBytes(18).toString('base64url')
  await links(db, table).insert({
    token_hash: hashOf(token),
    ...opens,
    made_at: madeAt,
    expires_at: expiresAt,
  })
  return token
}

/** Those that open something at `now`: neither run out nor taken back. */
const open = (db: Knex, table: LinkTable, now: Instant) =>
  links(db, table).whereNull('revoked_at').where('expires_at', '>', now)

/**
 * So many addresses of one thing are open at a time (mem), and no more: which of them somebody still has is not to be told from a list without an
 * end.
 */
const MOST_OPEN = 20

/** Whether one more may be made. */
export async function mayMakeLink(
  db: Knex,
  table: LinkTable,
  opens: Readonly<Record<string, string>>,
  now: Instant,
): Promise<boolean> {
  return (await open(db, table, now).where(opens)).length < MOST_OPEN
}

/** The links to one thing, the latest first. */
export async function listLinks(
  db: Knex,
  table: LinkTable,
  opens: Readonly<Record<string, string>>,
): Promise<PrivateLink[]> {
  const rows = await links(db, table).where(opens).orderBy('made_at', 'desc')
  return rows.map((row) => ({
    hash: row.token_hash,
    madeAt: instantOrThrow(row.made_at),
    expiresAt: instantOrThrow(row.expires_at),
    ...(row.revoked_at ? { revokedAt: instantOrThrow(row.revoked_at) } : {}),
  }))
}

export async function revokeLink(db: Knex, table: LinkTable, hash: string, at: Instant): Promise<void> {
  await links(db, table).where({ token_hash: hash }).whereNull('revoked_at').update({ revoked_at: at })
}

/** The row a token opens at `now`, as a query to go on with: none where it is unknown, has run out or was taken back. */
export function opened(db: Knex, table: LinkTable, token: string, now: Instant): Knex.QueryBuilder {
  return open(db, table, now).where({ token_hash: hashOf(token) })
}
