import { openQueueDb, type QueueDb } from './queue-db'

/** What is being typed and is not with the shop yet, kept on the device over a reload. Where nothing can be kept, nothing is. */

let opened: Promise<QueueDb | undefined> | undefined
const db = () => {
  opened ??= openQueueDb().catch(() => undefined)
  return opened
}

export async function keepDraft(key: string, draft: unknown): Promise<void> {
  await (await db())?.put('drafts', draft, key).catch(() => undefined)
}

export async function readDraft<Draft>(key: string): Promise<Draft | undefined> {
  return (await (await db())?.get('drafts', key).catch(() => undefined)) as Draft | undefined
}

export async function dropDraft(key: string): Promise<void> {
  await (await db())?.delete('drafts', key).catch(() => undefined)
}
