import { bodyOf, type Shape } from '@/core/vehicle'
import { BACKDROP } from './backdrop'

/** A car from its left, as one tells body shapes apart. */
export function SideView({ shape, className }: { shape: Shape; className?: string }) {
  const { length, height, flank, flankBackdrop } = bodyOf(shape)
  const [shell, ...rest] = flankBackdrop
  return (
    <svg viewBox={`0 -6 ${length + 4} ${height + 10}`} className={className} aria-hidden="true">
      <path d={shell!.path} className="fill-fern-soft stroke-ink/60" strokeWidth={2} />
      {Object.values(flank).map(({ path }) => (
        <path key={path} d={path} className="fill-fern-soft stroke-ink/40" strokeWidth={1.5} />
      ))}
      {rest.map(({ kind, path }) => (
        <path key={path} d={path} className={BACKDROP[kind]} />
      ))}
    </svg>
  )
}
