import { parentPort } from 'node:worker_threads'
import { answering, taskAmong } from '@/server/compute/answering'
import { TASKS } from '@/server/compute/tasks'

/** Runs tasks for the server, one after the other. */

const port = parentPort!

// What draws papers is heavy, and a thread that plans never draws one.
const tasksWith = async (name: string) =>
  Object.hasOwn(TASKS, name) ? TASKS : (await import('@/features/papers')).PAPERS

port.on(
  'message',
  answering(
    async (name) => taskAmong(await tasksWith(name), name),
    (told) => port.postMessage(told),
  ),
)
