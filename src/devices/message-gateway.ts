import { randomUUID } from 'node:crypto'
import Database from 'better-sqlite3'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'

/** What carries messages to customers, as the app sees it. */

export type Outgoing = {
  /** Of two messages with one key a gateway takes the first, and answers both alike. */
  key: string
  channel: 'email' | 'text'
  address: string
  subject: string
  text: string
}

export type GatewayNews = {
  id: string
  kind: 'delivered' | 'bounced' | 'replied'
  words: string
  at: Instant
}

/** No answer came: the message may have been taken, or not. Only sending it again with its key tells. */
export class GatewaySilent extends Error {}

export interface MessageGateway {
  /** Hands a message over and gives the id it is followed by. Throws `GatewaySilent` where no answer came. */
  send(message: Outgoing, now: Instant): Promise<{ id: string }>
  /** What has become of these messages by now; the same news as often as one asks. */
  news(ids: readonly string[], now: Instant): Promise<GatewayNews[]>
}

/** How often the line breaks before a message was taken, and after it was: the second is the nasty one. Shares. */
export type GatewayFaults = { before: number; after: number }
export const STEADY_LINE: GatewayFaults = { before: 0, after: 0 }

/** A number 0 ≤ n < 1 that is always the same for the same text (FNV-1a, 32 bit). */
function chanceOf(text: string): number {
  let hash = 0x811c9dc5
  for (const character of text) hash = Math.imul(hash ^ character.codePointAt(0)!, 0x01000193) >>> 0
  // The low bits of FNV are even only after a last stir.
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d) >>> 0
  return ((hash ^ (hash >>> 13)) >>> 0) / 2 ** 32
}

const BOUNCE_SHARE = 0.05
const REPLY_SHARE = 0.14
const STOP_SHARE = 0.08
const DELIVERED_AFTER_MINUTES = 0.2
const REPLIED_AFTER_MINUTES = 1.5
const REPLIES = [
  'Thanks, Tuesday would suit.',
  'Will do. It still beads like on the first day.',
  'We are on the mainland until the weekend, may I call you then?',
  'Thank you! Kept dry so far.',
  'Is the early ferry in time for you?',
]

type Row = { id: string; key: string; address: string; taken_at: string }

/**
 * Stands in for a carrier: keeps what it has taken on a file of its own, delivers soon after, loses a few to wrong addresses,
 * and has some customers answer. What it does to a message hangs on its key alone, so that it can be told again.
 */
export class SimulatedGateway implements MessageGateway {
  private readonly db: Database.Database
  private calls = 0

  constructor(
    file: string,
    private readonly faults: GatewayFaults = STEADY_LINE,
  ) {
    this.db = new Database(file)
    this.db.pragma('journal_mode = WAL')
    this.db.pragma('busy_timeout = 5000')
    this.db.exec(
      `CREATE TABLE IF NOT EXISTS taken (
        key TEXT PRIMARY KEY, id TEXT NOT NULL UNIQUE, channel TEXT NOT NULL, address TEXT NOT NULL,
        subject TEXT NOT NULL, text TEXT NOT NULL, taken_at TEXT NOT NULL
      ) STRICT`,
    )
  }

  async send({ key, channel, address, subject, text }: Outgoing, now: Instant): Promise<{ id: string }> {
    const luck = chanceOf(`${key} ${this.calls++}`)
    if (luck < this.faults.before) throw new GatewaySilent('the line broke before the message was taken')
    this.db
      .prepare(
        `INSERT INTO taken (key, id, channel, address, subject, text, taken_at) VALUES (?, ?, ?, ?, ?, ?, ?)
         ON CONFLICT (key) DO NOTHING`,
      )
      .run(key, randomUUID(), channel, address, subject, text, now)
    if (luck < this.faults.before + this.faults.after)
      throw new GatewaySilent('the line broke after the message was taken')
    const { id } = this.db.prepare('SELECT id FROM taken WHERE key = ?').get(key) as { id: string }
    return { id }
  }

  async news(ids: readonly string[], now: Instant): Promise<GatewayNews[]> {
    const find = this.db.prepare('SELECT id, key, address, taken_at FROM taken WHERE id = ?')
    const news = ids
      .flatMap((id) => (find.get(id) as Row | undefined) ?? [])
      .flatMap(fateOf)
      .filter(({ at }) => at <= now)
    // What has arrived is kept by whoever received it, and here no longer.
    const forget = this.db.prepare("UPDATE taken SET text = '', subject = '' WHERE id = ?")
    for (const { id } of news) forget.run(id)
    return news
  }

  /** Everything it has taken, the oldest first: for whoever looks into the letter box. */
  taken(): (Outgoing & { id: string; at: Instant })[] {
    const rows = this.db.prepare('SELECT * FROM taken ORDER BY taken_at, rowid').all() as (Outgoing & {
      id: string
      taken_at: Instant
    })[]
    return rows.map(({ taken_at, ...row }) => ({ ...row, at: taken_at }))
  }

  close(): void {
    this.db.close()
  }
}

function fateOf({ id, key, address, taken_at }: Row): GatewayNews[] {
  const after = (minutes: number) => plusMinutes(instantOrThrow(taken_at), minutes)
  if (chanceOf(address) < BOUNCE_SHARE)
    return [{ id, kind: 'bounced', words: 'No such address.', at: after(DELIVERED_AFTER_MINUTES) }]
  const delivered: GatewayNews = { id, kind: 'delivered', words: '', at: after(DELIVERED_AFTER_MINUTES) }
  const luck = chanceOf(`reply ${key}`)
  if (luck >= REPLY_SHARE) return [delivered]
  const words =
    luck < REPLY_SHARE * STOP_SHARE ? 'STOP' : REPLIES[Math.floor((luck / REPLY_SHARE) * REPLIES.length)]!
  return [delivered, { id, kind: 'replied', words, at: after(REPLIED_AFTER_MINUTES) }]
}
