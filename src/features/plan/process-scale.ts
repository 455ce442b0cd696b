import { PROCESS_KEYS, type ProcessKey } from '@/core/correction'

/** Stronger processes are darker; their names and µm stand beside, so that no colour speaks alone. */
export function processColour(key: ProcessKey): string {
  const share = PROCESS_KEYS.indexOf(key) / (PROCESS_KEYS.length - 1)
  return share === 0
    ? 'var(--c-sheet)'
    : `color-mix(in oklab, var(--c-fern) ${Math.round(14 + 56 * share)}%, var(--c-sheet))`
}
