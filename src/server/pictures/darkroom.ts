import { fork } from 'node:child_process'
import {
  Beside,
  BrokenOff,
  entryOf,
  type Hears,
  type Helper,
  helperEnvironment,
  type Told,
} from '../compute/beside'
import type { PictureTasks } from './tasks'

/**
 * Pictures are read in a process of its own: whatever a file does to what reads it, the app goes on. It ends itself when it holds too
 * much memory, and is ended when it takes too long.
 */
function process({ told, ended }: Hears): Helper {
  const child = fork(/* turbopackIgnore: true */ entryOf('darkroom'), [], {
    env: helperEnvironment(),
    execArgv: [],
    serialization: 'advanced',
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  child.on('message', (answer) => told(answer as Told))
  child.once('error', ended)
  child.once('exit', ended)
  return {
    ask: (asked) => child.send(asked, (error) => error && child.kill('SIGKILL')),
    end: () => child.kill('SIGKILL'),
    hold: (isNeeded) => {
      if (isNeeded) {
        child.ref()
        child.channel?.ref()
      } else {
        child.unref()
        child.channel?.unref()
      }
    },
  }
}

/** A picture is broken off after so long, ms: one of fifty megapixels takes some three seconds. */
const PATIENCE_MS = 45_000

const shared = globalThis as unknown as { fernYardDarkroom?: { beside: Beside; before: Promise<unknown> } }

/**
 * Has the process for pictures do one thing, after what it was asked before: what each picture needs to be read is needed once. Nothing
 * where it took too long or too much memory.
 */
export async function inDarkroom<Name extends keyof PictureTasks>(
  task: Name,
  ...args: Parameters<PictureTasks[Name]>
): Promise<Awaited<ReturnType<PictureTasks[Name]>> | undefined> {
  shared.fernYardDarkroom ??= {
    beside: new Beside(process, { patienceMs: PATIENCE_MS }),
    before: Promise.resolve(),
  }
  const room = shared.fernYardDarkroom
  const work = () => room.beside.ask(task, ...args)
  const mine = room.before.then(work, work)
  room.before = mine.catch(() => undefined)
  try {
    return (await mine) as Awaited<ReturnType<PictureTasks[Name]>>
  } catch (error) {
    if (error instanceof BrokenOff) return undefined
    throw error
  }
}
