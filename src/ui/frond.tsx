import clsx from 'clsx'

/** One operation of a job as the frond shows it. `share` is how far it has come, 0–1. */
export type Leaflet = {
  id: string
  title: string
  kind: 'work' | 'hold'
  minutes: number
  share: number
  /** A window opens on the stem before this leaflet: a layer that may start neither early nor late. */
  window?: boolean
}

const LEAF = 'M0,0 C7,-9 22,-9 30,0 C22,9 7,9 0,0 Z'

/** Bigger work, bigger leaf, within what the eye can still compare. */
function leafScale(minutes: number): number {
  return Math.min(1.2, Math.max(0.5, Math.sqrt(minutes / 300)))
}

export function frondSummary(leaflets: readonly Leaflet[]): string {
  const done = leaflets.filter(({ share }) => share >= 1).length
  const current = leaflets.find(({ share }) => share < 1)
  return `${done} of ${leaflets.length} steps done${current ? `, at: ${current.title}` : ''}`
}

/**
 * A job as a frond: a stem in time, a leaflet for each operation on alternating sides, filled for work and outlined
 * for waiting, a bracket on the stem for a window. The tip stays curled until all is done.
 */
export function Frond({
  leaflets,
  height = 64,
  className,
  silent = false,
}: {
  leaflets: readonly Leaflet[]
  height?: number
  className?: string
  /** An ornament: on a paper in the customer’s language, where its steps are told in words beside it. */
  silent?: boolean
}) {
  if (leaflets.length === 0) return null
  const step = 27
  const width = leaflets.length * step + 44
  const middle = 40
  const allDone = leaflets.every(({ share }) => share >= 1)
  const grown = leaflets.filter(({ share }) => share >= 1).length * step + 8
  return (
    <svg
      role="img"
      aria-label={frondSummary(leaflets)}
      aria-hidden={silent}
      viewBox={`0 0 ${width} 80`}
      height={height}
      preserveAspectRatio="xMinYMid"
      className={clsx('max-w-full', className)}
    >
      <path
        d={`M2,${middle + 1} Q${width / 2},${middle - 2} ${width - 26},${middle}`}
        className="fill-none stroke-lichen-deep"
        strokeWidth={3}
      />
      <path
        d={`M2,${middle} L${grown},${middle}`}
        className="fill-none stroke-fern"
        strokeWidth={3}
        strokeLinecap="round"
      />
      <path
        d={
          allDone
            ? `M${width - 27},${middle} L${width - 6},${middle - 4}`
            : `M${width - 27},${middle} c12,-1 18,-9 12,-15 c-6,-5 -13,1 -9,6 c2,3 6,1 5,-2`
        }
        className={clsx('fill-none', allDone ? 'stroke-fern' : 'stroke-lichen-deep')}
        strokeWidth={3}
        strokeLinecap="round"
      />
      {leaflets.map((leaflet, index) => (
        <LeafletShape
          key={leaflet.id}
          leaflet={leaflet}
          x={12 + index * step}
          y={middle}
          up={index % 2 === 0}
        />
      ))}
    </svg>
  )
}

function LeafletShape({ leaflet, x, y, up }: { leaflet: Leaflet; x: number; y: number; up: boolean }) {
  const scale = leafScale(leaflet.minutes)
  const clip = `M-2,-12 L${leaflet.share * 30},-12 L${leaflet.share * 30},12 L-2,12 Z`
  const hold = leaflet.kind === 'hold'
  const clipId = `leaf-${leaflet.id}-${Math.round(leaflet.share * 100)}`
  return (
    <g transform={`translate(${x},${y})`}>
      <title>{leaflet.title}</title>
      {leaflet.window && <path d="M-8,-7 h-5 v14 h5" className="fill-none stroke-copper" strokeWidth={2.5} />}
      <g transform={`rotate(${up ? -56 : 56}) scale(${scale})`}>
        {hold ? (
          <>
            <path
              d={LEAF}
              className={clsx('fill-sheet', leaflet.share >= 1 ? 'stroke-fern' : 'stroke-copper')}
              strokeWidth={2.5}
            />
            {leaflet.share > 0 && (
              <path
                d={`M3,0 L${3 + leaflet.share * 22},0`}
                className={leaflet.share >= 1 ? 'stroke-fern' : 'stroke-copper'}
                strokeWidth={2.5}
              />
            )}
          </>
        ) : (
          <>
            <path d={LEAF} className="fill-lichen stroke-fern" strokeWidth={1.6} />
            {leaflet.share > 0 && (
              <>
                <clipPath id={clipId}>
                  <path d={clip} />
                </clipPath>
                <path
                  d={LEAF}
                  className="fill-fern"
                  clipPath={leaflet.share < 1 ? `url(#${clipId})` : undefined}
                />
              </>
            )}
          </>
        )}
      </g>
    </g>
  )
}
