import { parentPort } from 'node:worker_threads'
import { TASKS } from '@/server/compute/tasks'
import type { Asked, Told } from '@/server/compute/thread'

/** Runs tasks for the server, one after the other. */
let before: Promise<void> = Promise.resolve()

async function run({ id, task, args }: Asked): Promise<Told> {
  try {
    const perform = TASKS[task] as (...given: unknown[]) => Promise<unknown>
    return { id, value: await perform(...args) }
  } catch (error) {
    return { id, error: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}

parentPort!.on('message', (asked: Asked) => {
  before = before.then(async () => parentPort!.postMessage(await run(asked)))
})
