import { parentPort } from 'node:worker_threads'
import { TASKS } from '@/server/compute/tasks'
import type { Asked, Told } from '@/server/compute/thread'

/** Runs tasks for the server, one after the other. */
type Task = (...given: never[]) => Promise<unknown>

// What draws papers is heavy, and a thread that plans never draws one.
const papers = async (): Promise<Record<string, Task>> => (await import('@/features/papers')).PAPERS

async function known(task: string): Promise<(...given: readonly unknown[]) => Promise<unknown>> {
  const tasks: Record<string, Task> = TASKS
  const found = tasks[task] ?? (await papers())[task]
  if (!found) throw new Error(`the computing thread knows no task “${task}”: build the threads anew`)
  return found as (...given: readonly unknown[]) => Promise<unknown>
}

let before: Promise<void> = Promise.resolve()

async function run({ id, task, args }: Asked): Promise<Told> {
  try {
    return { id, value: await (await known(task))(...args) }
  } catch (error) {
    return { id, error: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}

parentPort!.on('message', (asked: Asked) => {
  before = before.then(async () => parentPort!.postMessage(await run(asked)))
})
