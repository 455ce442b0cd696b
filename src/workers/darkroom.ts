import { answering, taskAmong } from '@/server/compute/answering'
import { PICTURE_TASKS } from '@/server/pictures/tasks'

/** The process that reads pictures. */

/** bytes; twice what the largest pictures that are let in were measured to take with sharp 0.35. */
const MOST_MEMORY = 1_000_000_000
const LOOK_EVERY_MS = 50

// Pictures are read beside this thread, which is free to watch over it.
setInterval(() => {
  if (process.memoryUsage.rss() > MOST_MEMORY) process.kill(process.pid, 'SIGKILL')
}, LOOK_EVERY_MS).unref()

// The app is gone.
process.on('disconnect', () => process.exit())
process.on(
  'message',
  answering(
    async (name) => taskAmong(PICTURE_TASKS, name),
    (told) => process.send?.(told),
  ) as (message: unknown) => void,
)
