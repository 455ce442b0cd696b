import { expose } from 'comlink'
import { type Busier, type Ground, type ShopChange, type ShopRuns, shopRuns } from '@/core/what-if'

/** Lives through one side of a comparison beside the page. It is broken off by ending the worker. */

const TOLD_EVERY_MS = 150

const trier = {
  /** What the shop comes to, as it is or with a change. `onProgress` is told the share that is done, 0–1. */
  runs(
    ground: Ground,
    busier: Busier,
    change: ShopChange | undefined,
    onProgress: (share: number) => void,
  ): ShopRuns {
    const runs = shopRuns(ground, busier, change)
    let told = 0
    for (;;) {
      const next = runs.next()
      if (next.done) return next.value
      if (performance.now() < told + TOLD_EVERY_MS) continue
      told = performance.now()
      onProgress(next.value)
    }
  },
}

export type Trier = typeof trier
expose(trier)
