import { bodyOf, type Shape } from '@/core/vehicle'
import { BACKDROP } from './backdrop'

/** The car from above, small, for a place on the floor. */
export function CarFromAbove({ shape, className }: { shape: Shape; className?: string }) {
  const { from, to, centre, centreBackdrop } = bodyOf(shape)
  return (
    <svg viewBox={`${from - 10} -96 ${to - from + 20} 192`} className={className} aria-hidden="true">
      <rect x={from - 2} y={-78} width={to - from + 4} height={156} rx={46} className="fill-lichen-deep" />
      {Object.values(centre).map(({ path }) => (
        <path key={path} d={path} className="fill-fern-soft stroke-ink/50" strokeWidth={2} />
      ))}
      {centreBackdrop
        .filter(({ kind }) => kind !== 'shell')
        .map(({ path, kind }) => (
          <path key={path} d={path} className={BACKDROP[kind]} />
        ))}
    </svg>
  )
}
