import type { JobId, PersonId } from '@/core/ids'
import type { DeviceQueue } from './device-queue'

const OLD_KEY = 'fern-yard.outbox'

/** What an older version of the card left waiting in this browser goes out as well, once. */
export function importOld(queue: DeviceQueue): void {
  try {
    const text = localStorage.getItem(OLD_KEY)
    if (!text) return
    localStorage.removeItem(OLD_KEY)
    const { outbox } = JSON.parse(text) as {
      outbox: { waiting: { id: string; job: JobId; by: PersonId; act: never }[] }
    }
    for (const { id, job, by, act } of outbox.waiting) void queue.add({ id, kind: 'act', job, by, act })
  } catch {
    // What cannot be read is out of reach in any case.
  }
}
