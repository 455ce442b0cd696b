import type { Knex } from 'knex'
import { z } from 'zod'
import { CARD_ACTION } from '@/core/card'
import { type AccountId, type JobId, type PersonId, toAccountId, toPersonId } from '@/core/ids'
import { type ChangedField, changedFields } from '@/core/journal'
import type { Role } from '@/core/staff'
import { type Instant, instantOrThrow } from '@/core/time'
import { plain } from '../db/plain'

/** The journal to be read: who did what, when, on which car. */

export type JournalEntry = {
  position: number
  at: Instant
  action: string
  role: Role
  /** What they were called; nobody while nobody signed in. */
  who?: string
  device?: string
  job?: JobId
  plate?: string
  /** What was sent, as JSON; not kept where it was long or secret. */
  sent?: string
  /** Who of the crew was at the car, where it was sent from there under somebody else’s name. */
  by?: PersonId
  /** What stood before and after, of each record it changed. */
  changes: RecordChange[]
}

export type RecordChange = {
  of: string
  fields: ChangedField[]
  /** Of which car, where the entry may be about several. */
  plate?: string
}

/** What is looked for; all of it where nothing is said. */
export type Sought = {
  who?: AccountId | undefined
  /** The first part of an action's name. */
  subject?: string | undefined
  plate?: string | undefined
  /** A span of time, from and until, the end without. */
  from?: Instant | undefined
  until?: Instant | undefined
  /** Only entries before this one. */
  before?: number | undefined
}

/** Whose entries there are to choose from, those who have left with them. */
export async function whoWrote(db: Knex): Promise<{ id: AccountId; name: string }[]> {
  const rows = await db('accounts').orderBy('name').select('id', 'name')
  return rows.map(({ id, name }) => ({ id: toAccountId(id), name }))
}

/** The latest entries first, `most` of them. */
export async function readJournal(db: Knex, sought: Sought, most: number): Promise<JournalEntry[]> {
  const query = db('action_journal as entry')
    .leftJoin('jobs', 'jobs.id', 'entry.job_id')
    .leftJoin('vehicles', (on) => on.on('vehicles.id', db.raw('coalesce(entry.vehicle_id, jobs.vehicle_id)')))
    .leftJoin('accounts as account', 'account.id', 'entry.account_id')
    .leftJoin('paired_devices as device', 'device.id', 'entry.device')
    .orderBy('entry.position', 'desc')
    .limit(most)
    .select(
      'entry.position',
      'entry.at',
      'entry.action',
      'entry.role',
      'entry.who',
      'entry.input',
      'entry.job_id',
      'vehicles.plate',
      { device: 'device.name', person: 'account.person_id' },
    )
  if (sought.who) query.where('entry.account_id', sought.who)
  if (sought.subject)
    query.where(db.raw('entry.action LIKE ? ESCAPE ?', [`${escaped(sought.subject)}.%`, '\\']))
  if (sought.plate) {
    const sameCar = ['plain(vehicles.plate) = ?', [plain(sought.plate)]] as const
    query.where((any) =>
      any.whereRaw(...sameCar).orWhereIn(
        'entry.position',
        changesByCar(db)
          .whereRaw(...sameCar)
          .select('position'),
      ),
    )
  }
  if (sought.from) query.where('entry.at', '>=', sought.from)
  if (sought.until) query.where('entry.at', '<', sought.until)
  if (sought.before) query.where('entry.position', '<', sought.before)
  const rows = (await query) as {
    position: number
    at: string
    action: string
    role: string
    who: string | null
    input: string | null
    job_id: JobId | null
    plate: string | null
    device: string | null
    person: string | null
  }[]
  const changes = await changesOf(
    db,
    rows.map(({ position }) => position),
  )
  return rows.map((row) => ({
    changes: changes.get(row.position) ?? [],
    position: row.position,
    at: instantOrThrow(row.at),
    action: row.action,
    role: row.role as Role,
    ...(row.who ? { who: row.who } : {}),
    ...(row.device ? { device: row.device } : {}),
    ...(row.job_id ? { job: row.job_id } : {}),
    ...(row.plate ? { plate: row.plate } : {}),
    ...atTheCar(row),
    ...(row.input && row.input !== 'null' ? { sent: row.input } : {}),
  }))
}

const sentSchema = z.object({ by: z.string().min(1) })

/** Of a deed at a car that one person did and another’s session sent, such as after a network was away: who did it. */
function atTheCar(row: { action: string; input: string | null; person: string | null }): { by?: PersonId } {
  if (!row.action.startsWith(CARD_ACTION) || !row.input) return {}
  const sent = sentSchema.safeParse(JSON.parse(row.input))
  return sent.success && sent.data.by !== row.person ? { by: toPersonId(sent.data.by) } : {}
}

/** SQLite takes so many values in a statement. */
const AT_ONCE = 500

/** What lies under the key of a job says of which car it is where an entry is about several. */
const BY_JOB = new Set(['published', 'agreements'])

const changesByCar = (db: Knex) =>
  db('row_changes')
    .leftJoin('jobs', 'jobs.id', 'row_changes.row_key')
    .leftJoin('vehicles', 'vehicles.id', 'jobs.vehicle_id')

async function changesOf(db: Knex, positions: readonly number[]): Promise<Map<number, RecordChange[]>> {
  const found = new Map<number, RecordChange[]>()
  for (let from = 0; from < positions.length; from += AT_ONCE) {
    const rows = await changesByCar(db)
      .whereIn('position', positions.slice(from, from + AT_ONCE))
      .orderBy('row_changes.id')
      .select('position', 'of_table', 'before', 'after', 'vehicles.plate')
    for (const { position, of_table: of, before, after, plate } of rows) {
      const fields = changedFields(JSON.parse(before), JSON.parse(after))
      const change = { of, fields, ...(plate && BY_JOB.has(of) ? { plate } : {}) }
      found.set(position!, [...(found.get(position!) ?? []), change])
    }
  }
  return found
}

const escaped = (text: string) => text.replaceAll(/[\\%_]/g, (sign) => `\\${sign}`)
