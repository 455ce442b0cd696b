import pino from 'pino'
import { noteFault } from './health/faults'

/**
 * The shop's log: one line a request that wrote and one a fault, as JSON on standard output. It holds names of actions, times
 * and ids, never what was typed: no names, no plates, no telephone numbers. `FERN_YARD_LOG` sets the level (`info`; `silent`
 * for none).
 */
export const log = pino({
  level: process.env.FERN_YARD_LOG ?? 'info',
  base: undefined,
  hooks: {
    logMethod(given, method, level) {
      if (level >= pino.levels.values.error!) noteFault(given[0])
      method.apply(this, given)
    },
  },
})

/** What may be told of a fault: its kind and where it arose. Its message may hold what somebody typed. */
export function faultFacts(error: unknown): { fault: string; at: string } {
  if (!(error instanceof Error)) return { fault: typeof error, at: '' }
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line))
  return {
    fault: error.name,
    at: frames
      .slice(0, 4)
      .map((line) => line.trim())
      .join(' < '),
  }
}
