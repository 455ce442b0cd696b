import { countedUm, mean, meanFilm, questionOf, spreadOf } from '@/core/survey'
import { DIFFERENCE_QUESTION } from '@/text/en/survey'
import { figure, measured } from '@/text/formats'
import { useRegion } from '@/ui/region'
import { changeOf, type Round } from './rounds'

const WIDTH = 340
const LABEL = 0
const ROW = 34

/** One panel through the rounds: every reading a dot on one scale, the mean a bar with its standard error. */
export function RoundStrip({
  panel,
  rounds,
  marked,
}: {
  panel: string
  rounds: readonly Round[]
  /** Panels whose last round was read at the spots of the first. */
  marked: readonly string[]
}) {
  const region = useRegion()
  const rows = rounds.flatMap(({ id, name, measured: read }) => {
    const values = countedUm(read.readings[panel] ?? [])
    return values.length > 0 ? [{ id, name, values }] : []
  })
  if (rows.length < 2) return null
  const all = rows.flatMap(({ values }) => values)
  const [low, high] = [Math.min(...all) - 2, Math.max(...all) + 2]
  const x = (um: number) => LABEL + 8 + ((um - low) / (high - low)) * (WIDTH - LABEL - 16)
  const change = changeOf(panel, rounds, marked)
  const question = change && questionOf(change)
  return (
    <figure className="mt-3 border-t border-line pt-3">
      <figcaption className="font-head text-[15px] font-semibold">
        Before and after compared
        {change && (
          <span className="block font-text text-sm font-normal text-ink-soft">
            {measured(region, 'depth', Math.abs(change.removedUm), 1)}{' '}
            {change.removedUm >= 0 ? 'less' : 'more'} than at first, ±{' '}
            {figure(region, 'depth', change.uncertaintyUm, 1)}
            {change.sameSpots ? ', at the same spots' : ', at other spots'}
          </span>
        )}
        {question && (
          <span role="alert" className="block font-text text-[15px] font-semibold text-copper">
            {DIFFERENCE_QUESTION[question]}
          </span>
        )}
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${rows.length * ROW + 16}`}
        className="mt-1 w-full max-w-md"
        role="img"
        aria-label={rows
          .map(({ name, values }) => `${name}: mean ${measured(region, 'depth', mean(values), 1)}`)
          .join('; ')}
      >
        {rows.map(({ id, name, values }, row) => {
          const y = row * ROW + 24
          const centre = mean(values)
          const error = meanFilm(values, spreadOf([{ [panel]: values }]))!.uncertaintyUm
          return (
            <g key={id}>
              <text x={8} y={y - 11} className="fill-ink-soft" fontSize={11}>
                {name}
              </text>
              <text
                x={WIDTH - 8}
                y={y - 11}
                textAnchor="end"
                className="fill-ink font-semibold"
                fontSize={11}
              >
                {measured(region, 'depth', centre, 1)}
              </text>
              <line x1={8} x2={WIDTH - 8} y1={y} y2={y} className="stroke-line" />
              <rect
                x={x(centre - error)}
                y={y - 7}
                width={Math.max(2, x(centre + error) - x(centre - error))}
                height={14}
                className="fill-fern-soft"
              />
              <line
                x1={x(centre)}
                x2={x(centre)}
                y1={y - 7}
                y2={y + 7}
                className="stroke-fern"
                strokeWidth={2}
              />
              {values.map((um, at) => (
                <circle key={at} cx={x(um)} cy={y} r={2.6} className="fill-ink" fillOpacity={0.55} />
              ))}
            </g>
          )
        })}
        <text x={8} y={rows.length * ROW + 13} className="fill-ink-soft" fontSize={10}>
          {measured(region, 'depth', low)}
        </text>
        <text
          x={WIDTH - 8}
          y={rows.length * ROW + 13}
          textAnchor="end"
          className="fill-ink-soft"
          fontSize={10}
        >
          {measured(region, 'depth', high)}
        </text>
      </svg>
    </figure>
  )
}
