import { Worker } from 'node:worker_threads'
import { faultFacts, log } from '../log'
import { Beside, entryOf, type Hears, type Helper, helperEnvironment, type Told } from './beside'

function thread({ told, ended }: Hears): Helper {
  const worker = new Worker(entryOf('compute-thread'), { env: helperEnvironment() })
  worker.on('message', (answer: Told) => told(answer))
  worker.on('error', (error) => log.error({ thread: 'compute', ...faultFacts(error) }))
  worker.on('exit', ended)
  return {
    ask: (asked) => worker.postMessage(asked),
    end: () => worker.terminate(),
    hold: (isNeeded) => (isNeeded ? worker.ref() : worker.unref()),
  }
}

/** A thread that computes beside the one that answers pages. */
export const computeThread = (given: { patienceMs?: number } = {}) => new Beside(thread, given)
