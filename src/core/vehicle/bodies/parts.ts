import type { Backdrop, DrawnPanel } from './body'

/** A wheel with its rim, both of them the same place. */
export function wheel(end: 'front' | 'rear', x: number, y: number, radius: number): Backdrop[] {
  const circle = (r: number) =>
    `M${x - r},${y} A${r},${r} 0 1 1 ${x + r},${y} A${r},${r} 0 1 1 ${x - r},${y} Z`
  return [
    { kind: 'wheel', place: `wheel-${end}`, path: circle(radius) },
    { kind: 'rim', place: `wheel-${end}`, path: circle(radius * 0.58) },
  ]
}

export const mirrorCap = (areaM2: number, x: number, y: number): DrawnPanel => ({
  areaM2,
  path: `M${x - 10},${y + 5} Q${x - 12},${y - 6} ${x + 2},${y - 7} Q${x + 11},${y - 6} ${x + 10},${y + 5} Z`,
  label: [x, y],
})
