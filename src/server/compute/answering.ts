import type { Asked, Told } from './beside'

type Task = (...given: readonly unknown[]) => Promise<unknown>

/** Does what a helper is asked, one after the other, and tells what came of it. */
export function answering(known: (task: string) => Promise<Task>, tell: (told: Told) => void) {
  let before: Promise<void> = Promise.resolve()
  const answerTo = async ({ id, task, args }: Asked): Promise<Told> => {
    try {
      return { id, value: await (await known(task))(...args) }
    } catch (error) {
      return { id, error: error instanceof Error ? (error.stack ?? error.message) : String(error) }
    }
  }
  return (asked: Asked) => {
    before = before.then(async () => tell(await answerTo(asked)))
  }
}

/** The task of that name among those there are; a helper older than the app knows fewer. */
export function taskAmong(tasks: Readonly<Record<string, unknown>>, name: string): Task {
  const task = Object.hasOwn(tasks, name) ? tasks[name] : undefined
  if (typeof task !== 'function') throw new Error(`no task “${name}” is known here: build the threads anew`)
  return task as Task
}
