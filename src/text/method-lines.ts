import type { MethodKey } from '@/core/correction'
import { alike, type MethodChange } from '@/core/planning'
import type { Region } from '@/core/region'
import { list } from './formats'
import { title } from './title'

/** Methods that were changed at the car, those of one kind and reason together: which panels get which, and the words of whoever chose it. */
export const methodLines = (
  region: Region,
  methods: readonly MethodChange[],
  words: { panel: (id: string) => string; method: (key: MethodKey) => string },
): { what: string; reason: string }[] =>
  alike(methods).map(({ panels, process, reason }) => ({
    what: `${title(region, list(region, panels.map(words.panel)))}: ${words.method(process)}`,
    reason,
  }))
