import type { Method, MethodKey } from '@/core/correction'

/** Stronger methods are darker; their names and µm stand beside, so that no colour speaks alone. `methods` are mildest first. */
export function methodColour(
  { key }: { key: MethodKey },
  methods: readonly Pick<Method, 'key' | 'steps'>[],
): string {
  const working = methods.filter(({ steps }) => steps.length > 0)
  const at = working.findIndex((method) => method.key === key)
  const share = (at + 1) / Math.max(1, working.length)
  return at < 0
    ? 'var(--c-sheet)'
    : `color-mix(in oklab, var(--c-fern) ${Math.round(10 + 60 * share)}%, var(--c-sheet))`
}
