import { readFileSync, statSync } from 'node:fs'
import { type Instant, instantOf, instantOrThrow } from '@/core/time'

const isTime = (text: string) => !Number.isNaN(Date.parse(text))

/** A clock that is read from a file: it shows the instant written there, and runs on from when that was written. */
function clockInFile(file: string): () => number {
  let read: { writtenAt: number; shown: number } | undefined
  return () => {
    const writtenAt = statSync(file).mtimeMs
    if (read?.writtenAt !== writtenAt)
      read = { writtenAt, shown: Date.parse(instantOrThrow(readFileSync(file, 'utf8').trim())) }
    return read.shown + (Date.now() - Math.round(writtenAt))
  }
}

/**
 * A clock set to an instant as the process started (epoch milliseconds), or by a file that holds one and may be written again while
 * the shop is open; unset it runs with the machine's. Answers epoch milliseconds.
 */
export function clockSetTo(setTo: string | undefined, startedAt: number): () => number {
  if (!setTo) return Date.now
  if (!isTime(setTo)) return clockInFile(setTo)
  const offset = Date.parse(instantOrThrow(setTo)) - startedAt
  return () => Date.now() + offset
}

// The process, not this module: pages and routes are bundled apart and may load it at different moments. A thread is told.
const startedAt = Number(process.env.FERN_YARD_STARTED ?? Math.round(performance.timeOrigin))
const shown = clockSetTo(process.env.FERN_YARD_CLOCK, startedAt)

/**
 * The shop's clock. It runs with the machine's, unless `FERN_YARD_CLOCK` sets it: then the shop can be shown or tried at another
 * hour of another day.
 */
export function now(): Instant {
  return instantOf(new Date(shown()))
}
