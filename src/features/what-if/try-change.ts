import { proxy, releaseProxy, wrap } from 'comlink'
import {
  type Bought,
  bought,
  type Ground,
  type Question,
  type ShopChange,
  type ShopRuns,
} from '@/core/what-if'
import type { Trier } from '@/workers/what-if'

/** A comparison under way. `found` gives nothing where it was broken off. */
export type Trying = { found: Promise<Bought | undefined>; cancel: () => void }

/** Works both sides out, each in a worker of its own. `onProgress` is told the share of both that is done, 0–1. */
export function tryChange(
  ground: Ground,
  { change, busier }: Question,
  onProgress: (share: number) => void,
): Trying {
  const shares = [0, 0]
  const ends: (() => void)[] = []
  let cancel = () => {}
  const broken = new Promise<undefined>((resolve) => {
    cancel = () => resolve(undefined)
  })
  const side = (at: number, of: ShopChange | undefined): Promise<ShopRuns> => {
    const worker = new Worker(new URL('../../workers/what-if.ts', import.meta.url), { type: 'module' })
    const trier = wrap<Trier>(worker)
    ends.push(() => {
      trier[releaseProxy]()
      worker.terminate()
    })
    const tell = proxy((share: number) => {
      shares[at] = share
      onProgress((shares[0]! + shares[1]!) / 2)
    })
    const failed = new Promise<never>((_, reject) => {
      worker.onerror = () => reject(new Error('the comparison failed'))
    })
    return Promise.race([trier.runs(ground, busier, of, tell), failed])
  }
  const both = Promise.all([side(0, undefined), side(1, change)]).then(([before, after]) =>
    bought(before, after),
  )
  const found = Promise.race([both, broken]).finally(() => {
    for (const end of ends) end()
  })
  return { found, cancel: () => cancel() }
}
