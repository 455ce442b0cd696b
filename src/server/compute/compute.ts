import type { Beside } from './beside'
import type { TaskArgs, TaskName, TaskResult } from './tasks'
import { computeThread } from './thread'

const shared = globalThis as unknown as { fernYardDesk?: Beside }

/** Computes what somebody waits for in a thread of its own: pages are answered meanwhile. */
export function compute<Name extends TaskName>(
  task: Name,
  ...args: TaskArgs<Name>
): Promise<TaskResult<Name>> {
  shared.fernYardDesk ??= computeThread()
  return shared.fernYardDesk.ask(task, ...args) as Promise<TaskResult<Name>>
}
