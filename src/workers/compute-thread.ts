import { parentPort } from 'node:worker_threads'
import { PAPERS } from '@/features/papers'
import { TASKS } from '@/server/compute/tasks'
import type { Asked, Told } from '@/server/compute/thread'

/** Runs tasks for the server, one after the other. */
const KNOWN = { ...TASKS, ...PAPERS } as unknown as Record<string, (...given: unknown[]) => Promise<unknown>>

let before: Promise<void> = Promise.resolve()

async function run({ id, task, args }: Asked): Promise<Told> {
  try {
    const known = KNOWN[task]
    if (!known) throw new Error(`the computing thread knows no task “${task}”: build the threads anew`)
    return { id, value: await known(...args) }
  } catch (error) {
    return { id, error: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}

parentPort!.on('message', (asked: Asked) => {
  before = before.then(async () => parentPort!.postMessage(await run(asked)))
})
