import type { PlanBackdrop } from '@/core/vehicle'

/** How what stands round the panels is painted. */
export const BACKDROP: Record<PlanBackdrop['kind'], string> = {
  shell: 'fill-lichen-deep',
  bed: 'fill-lichen stroke-lichen-deep',
  glass: 'fill-glass',
  wheel: 'fill-wheel',
  rim: 'fill-glass',
  lamp: 'fill-sheet stroke-lichen-deep',
  fabric: 'fill-wheel',
  line: 'fill-none stroke-ink/35',
}

/** The shell lies under the panels; glass, wheels and lamps over them. */
export const behind = ({ kind }: PlanBackdrop) => kind === 'shell' || kind === 'bed'
