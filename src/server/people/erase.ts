import { randomBytes } from 'node:crypto'
import { rm } from 'node:fs/promises'
import type { Knex } from 'knex'
import { type CustomerId, toVehicleId } from '@/core/ids'
import type { PhotoChoice } from '@/core/people'
import type { Instant } from '@/core/time'
import { filesOf } from '../photos/photo-files'
import { type Blurred, changePhotos } from './plates'
import { type Reached, type ReachedRow, reachedBy } from './reached'

/**
 * Erasing a customer: what only serves to reach them goes; what the shop has to keep, such as agreements, payments and the record of the
 * paint, stays without their name. The cars stay: somebody else may drive them.
 */

/** What stands where the name, a telephone number, an address or a plate stood. */
export const ERASED = '[erased]'

/** Only ever about reaching them, those that point to others first. */
const GONE = [
  'message_events',
  'messages',
  'owner_links',
  'private_links',
  'visit_wishes',
  'consents',
  'care_dates',
  'refused_entries',
] as const

/** Words that would tell who it was, the longest first, so that no part of one is left. */
function tellingWords(customer: Record<string, unknown>, cars: readonly ReachedRow[]): string[] {
  const own = [customer.name, customer.phone, customer.email].map(String)
  const parts = String(customer.name)
    .split(/\s+/)
    .filter((part) => [...part].length >= 4)
  const plates = cars.flatMap(({ row }) => [String(row.plate), String(row.vin)])
  return [...new Set([...own, ...parts, ...plates])]
    .filter((word) => word.trim().length >= 3)
    .sort((one, other) => other.length - one.length)
}

const escaped = (text: string) => text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&')
const whole = (words: readonly string[]) =>
  words.length === 0
    ? undefined
    : new RegExp(`(?<![\\p{L}\\p{N}])(?:${words.map(escaped).join('|')})(?![\\p{L}\\p{N}])`, 'gu')

/** Takes the words out of every text of the rows; ids and keys of rows are left alone. */
async function scrub(trx: Knex, reached: Reached, words: readonly string[]): Promise<void> {
  const telling = whole(words)
  if (!telling) return
  const gone: readonly string[] = GONE
  for (const [table, rows] of reached)
    for (const { row, where } of gone.includes(table) ? [] : rows) {
      const changed = Object.entries(row).flatMap(([column, value]): [string, string][] => {
        if (typeof value !== 'string' || column in where || /(^|_)id$/.test(column)) return []
        const scrubbed = value.replaceAll(telling, ERASED)
        return scrubbed === value ? [] : [[column, scrubbed]]
      })
      if (changed.length > 0)
        await trx(table as 'customers')
          .where(where)
          .update(Object.fromEntries(changed))
    }
}

/** Empties what the journal holds of them; that it was done stays, under the seal of whoever erased. */
async function emptyJournal(trx: Knex, reached: Reached, customer: CustomerId): Promise<number[]> {
  const ids = (table: string) => (reached.get(table) ?? []).map(({ row }) => String(row.id))
  const positions: number[] = await trx('action_journal')
    .where((theirs) =>
      theirs
        .whereIn('vehicle_id', ids('vehicles') as never[])
        .orWhereIn('job_id', ids('jobs') as never[])
        .orWhereRaw('instr(input, ?) > 0', [customer]),
    )
    .orderBy('position')
    .pluck('position')
  await trx('action_journal')
    .whereIn('position', positions)
    .update({ input: null, answer: JSON.stringify({ ok: true, value: null }) })
  return positions
}

/** Whether one of their cars is here or booked: it would lose whom to call. */
export async function isExpected(db: Knex, customer: CustomerId): Promise<boolean> {
  const open = await db('jobs')
    .join('vehicles', 'vehicles.id', 'jobs.vehicle_id')
    .where('vehicles.customer_id', customer)
    .whereNull('jobs.handed_over_at')
    .first('jobs.id')
  return open !== undefined
}

export type Erasing = { photos: PhotoChoice; plates: boolean; blurred: Blurred }

/** Erases a customer, and gives the entries of the journal that were emptied and the pictures nothing shows any more. */
export async function eraseCustomer(
  trx: Knex,
  customer: CustomerId,
  { photos, plates, blurred }: Erasing,
  at: Instant,
): Promise<{ journal: number[]; changes: number[]; pictures: string[] }> {
  const reached = await reachedBy(trx, customer)
  const own = reached.get('customers')![0]!.row
  const cars = reached.get('vehicles') ?? []
  for (const table of GONE)
    for (const { where } of reached.get(table) ?? [])
      await trx(table as 'customers')
        .where(where)
        .delete()
  await scrub(trx, reached, tellingWords(own, plates ? cars : []))
  // As it was brought in a list, before it was theirs.
  const listed = whole(tellingWords(own, []))
  for (const { import_id, line, entry } of listed ? await trx('import_rows').select() : []) {
    const scrubbed = entry.replaceAll(listed!, ERASED)
    if (scrubbed !== entry) await trx('import_rows').where({ import_id, line }).update({ entry: scrubbed })
  }
  const pictures = await changePhotos(trx, reached, { photos, blurred }, at)
  await trx('customers')
    .where({ id: customer })
    .update({ name: ERASED, phone: '', email: '', may_remind: 0, erased_at: at })
  for (const { row } of cars)
    await trx('vehicles')
      .where({ id: toVehicleId(String(row.id)) })
      .update({
        put_away_at: at,
        ...(plates ? { plate: `ERASED ${randomBytes(3).toString('hex').toUpperCase()}`, vin: '' } : {}),
      })
  // What stood before and after would tell it all again, this change with the rest.
  const changes = new Set<number>()
  for (const table of ['customers', 'vehicles', 'jobs'])
    for (const { row } of reached.get(table) ?? []) {
      const theirs = trx('row_changes').where({ of_table: table, row_key: String(row.id) })
      for (const { position } of await theirs.clone().select('position'))
        if (position !== null) changes.add(position)
      await theirs.delete()
    }
  return { journal: await emptyJournal(trx, reached, customer), changes: [...changes], pictures }
}

/** Removes pictures from the disk; those in backups go with their backups. */
export async function removePictures(hashes: readonly string[]): Promise<void> {
  for (const hash of hashes) for (const file of filesOf(hash)) await rm(file, { force: true })
}
