import { drawingOf, type Shape } from '@/core/vehicle'

/** A car from its left, as one tells body shapes apart. */
export function SideView({ shape, className }: { shape: Shape; className?: string }) {
  const drawing = drawingOf(shape)
  const [shell, ...rest] = drawing.flankBackdrop
  return (
    <svg viewBox={`0 -4 ${drawing.to - 50} ${drawing.height + 8}`} className={className} aria-hidden="true">
      <path d={shell!.path} className="fill-fern-soft stroke-ink/60" strokeWidth={2} />
      {Object.values(drawing.flank).map(({ path }) => (
        <path key={path} d={path} className="fill-fern-soft stroke-ink/40" strokeWidth={1.5} />
      ))}
      {rest.map(({ kind, path }) => (
        <path
          key={path}
          d={path}
          className={kind === 'wheel' ? 'fill-wheel' : kind === 'glass' ? 'fill-glass' : 'fill-sheet'}
        />
      ))}
    </svg>
  )
}
