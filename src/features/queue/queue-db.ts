import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { Heard, QueueEntry, Reading, Why } from '@/core/queue'

/** What a tablet keeps until the shop has it, in its own database: it belongs to the device, not to a tab. */

/** An entry as it waits, with the tablet's clocks when it was done. A photograph has its picture with it. */
export type Waiting = QueueEntry & { number: number; noted: Reading; picture?: Blob }
/** Taken by the shop, and perhaps not yet on what is shown. */
export type Sent = QueueEntry & { noted: Reading; value?: unknown }
/** What was taken is kept under its id; in which order it was done is not to be told from that. */
type KeptSent = Sent & { order?: number }
/** Not taken, until somebody has read why. */
export type Refused = QueueEntry & { noted: Reading; why: Why }
export type Noted = Waiting | Sent | Refused

export type Meta = {
  device: { id: string; next: number }
  heard: Heard
  /** When the shop was last heard and nothing was left waiting: whatever waits now was noted after that. */
  emptied: Heard
  /** Which tab sends where the browser has no locks: until when, by the wall clock, ms. */
  lease: { tab: string; until: number }
}

interface QueueSchema extends DBSchema {
  waiting: { key: number; value: Waiting }
  sent: { key: string; value: KeptSent }
  refused: { key: string; value: Refused }
  meta: { key: keyof Meta; value: Meta[keyof Meta] }
  /** What is being typed and was not kept by the shop yet, such as a survey. */
  drafts: { key: string; value: unknown }
}

export type QueueDb = IDBPDatabase<QueueSchema>

const NAME = 'fern-yard'

/** Opens the database of this device. Rejects where the browser keeps nothing, as in some private windows. */
export function openQueueDb(name = NAME): Promise<QueueDb> {
  return openDB<QueueSchema>(name, 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'number' })
      db.createObjectStore('sent', { keyPath: 'id' })
      db.createObjectStore('refused', { keyPath: 'id' })
      db.createObjectStore('meta')
      db.createObjectStore('drafts')
    },
  })
}

export type Kept = {
  waiting: Waiting[]
  sent: Sent[]
  refused: Refused[]
  device?: Meta['device']
  heard?: Heard
  emptied?: Heard
}

export async function readAll(db: QueueDb): Promise<Kept> {
  const trx = db.transaction(['waiting', 'sent', 'refused', 'meta'])
  const [waiting, sent, refused, device, heard, emptied] = await Promise.all([
    trx.objectStore('waiting').getAll(),
    trx.objectStore('sent').getAll(),
    trx.objectStore('refused').getAll(),
    trx.objectStore('meta').get('device') as Promise<Meta['device'] | undefined>,
    trx.objectStore('meta').get('heard') as Promise<Heard | undefined>,
    trx.objectStore('meta').get('emptied') as Promise<Heard | undefined>,
  ])
  return {
    waiting,
    sent: inOrder(sent),
    refused,
    ...(device ? { device } : {}),
    ...(heard ? { heard } : {}),
    ...(emptied ? { emptied } : {}),
  }
}

const inOrder = (sent: readonly KeptSent[]) => sent.toSorted((a, b) => (a.order ?? 0) - (b.order ?? 0))

/** Gives an entry the next number of this device, in one transaction with keeping it: no other tab can have it too. */
export async function append(
  db: QueueDb,
  entry: QueueEntry,
  noted: Reading,
  newId: () => string,
  picture?: Blob,
): Promise<void> {
  const trx = db.transaction(['waiting', 'meta'], 'readwrite')
  const meta = trx.objectStore('meta')
  const device = ((await meta.get('device')) as Meta['device'] | undefined) ?? { id: newId(), next: 1 }
  await Promise.all([
    meta.put({ ...device, next: device.next + 1 }, 'device'),
    trx.objectStore('waiting').put({ ...entry, number: device.next, noted, ...(picture ? { picture } : {}) }),
    trx.done,
  ])
}

/** The name of this device for the shop; made when it is first asked for. */
export async function deviceOf(db: QueueDb, newId: () => string): Promise<Meta['device']> {
  const trx = db.transaction('meta', 'readwrite')
  const known = (await trx.store.get('device')) as Meta['device'] | undefined
  const device = known ?? { id: newId(), next: 1 }
  if (!known) await trx.store.put(device, 'device')
  await trx.done
  return device
}

/** What waits is numbered anew under another name: the shop can no longer follow the old one. */
export async function rename(db: QueueDb, newId: () => string): Promise<void> {
  const trx = db.transaction(['waiting', 'meta'], 'readwrite')
  const waiting = await trx.objectStore('waiting').getAll()
  await trx.objectStore('waiting').clear()
  for (const [at, entry] of waiting.entries())
    await trx.objectStore('waiting').put({ ...entry, number: at + 1 })
  await trx.objectStore('meta').put({ id: newId(), next: waiting.length + 1 }, 'device')
  await trx.done
}

/** Entries the shop has taken are kept for the eye until they are shown, and no longer than this many. */
const SENT_MOST = 60

/** Writes down what became of entries: those the shop is past no longer wait. */
export async function settle(
  db: QueueDb,
  next: number,
  sent: readonly Sent[],
  refused: readonly Refused[],
  heard: Heard,
): Promise<void> {
  const trx = db.transaction(['waiting', 'sent', 'refused', 'meta'], 'readwrite')
  await trx.objectStore('waiting').delete(IDBKeyRange.upperBound(next, true))
  for (const entry of refused) await trx.objectStore('refused').put(entry)
  const before = inOrder(await trx.objectStore('sent').getAll())
  const last = before.at(-1)?.order ?? 0
  for (const [at, entry] of sent.entries())
    await trx.objectStore('sent').put({ ...entry, order: last + 1 + at })
  for (const { id } of before.slice(0, Math.max(0, before.length + sent.length - SENT_MOST)))
    await trx.objectStore('sent').delete(id)
  await trx.objectStore('meta').put(heard, 'heard')
  await trx.done
}
