import { depthOf, factorOf, type GroupStudy, priorOf } from '@/core/test-spot'
import type { Hardness } from '@/core/vehicle'
import { KIN } from '@/text/en/correction'
import { number } from '@/text/formats'
import { useRegion } from '@/ui/region'

const SIZE = { width: 560, left: 150, right: 18 }
const ROW = 28
const [LEAST, MOST] = [0.4, 2.2]
const TICKS = [0.5, 0.7, 1, 1.4, 2]

const x = (factor: number) => {
  const share = Math.log(Math.min(MOST, Math.max(LEAST, factor)) / LEAST) / Math.log(MOST / LEAST)
  return SIZE.left + share * (SIZE.width - SIZE.left - SIZE.right)
}

const carsText = (cars: number) => (cars === 1 ? 'one car' : `${cars} cars`)

/** How hard the paint is: as declared, with what other cars taught, with what was seen here. Each a band. */
export function GiveScale({ study, hardness }: { study: GroupStudy; hardness: Hardness }) {
  const region = useRegion()
  const { recall, attempts, give } = study
  const rows = [
    { name: `declared ${hardness}`, ...factorOf(priorOf(hardness)) },
    ...(recall.cars > 0 ? [{ name: `with ${carsText(recall.cars)} before`, ...factorOf(recall.give) }] : []),
    ...(attempts.length > 0
      ? [
          {
            name: `with ${attempts.length === 1 ? 'one try' : `${attempts.length} tries`} here`,
            ...factorOf(give),
          },
        ]
      : []),
  ]
  const { factor, low, high } = factorOf(give)
  const depth = depthOf(study)
  const height = rows.length * ROW + 34
  return (
    <section className="mt-5" aria-label="Paint hardness">
      <h2 className="text-xl">Paint hardness</h2>
      <svg
        viewBox={`0 0 ${SIZE.width} ${height}`}
        className="mt-1 w-full max-w-xl"
        role="img"
        aria-label={rows
          .map(
            (row) =>
              `${row.name}: ${number(region, row.factor, 2)}, between ${number(region, row.low, 2)} and ${number(region, row.high, 2)}`,
          )
          .join('; ')}
      >
        {TICKS.map((tick) => (
          <g key={tick}>
            <line x1={x(tick)} x2={x(tick)} y1={4} y2={height - 22} className="stroke-line" />
            <text x={x(tick)} y={height - 6} textAnchor="middle" fontSize={13} className="fill-ink-soft">
              {tick} ×
            </text>
          </g>
        ))}
        {rows.map((row, at) => {
          const y = 18 + at * ROW
          return (
            <g key={row.name}>
              <text x={0} y={y + 5} fontSize={14} className="fill-ink">
                {row.name}
              </text>
              <rect
                x={x(row.low)}
                width={x(row.high) - x(row.low)}
                y={y - 7}
                height={14}
                rx={7}
                className={at === rows.length - 1 ? 'fill-fern-soft' : 'fill-lichen-deep'}
              />
              <circle cx={x(row.factor)} cy={y} r={6} className="fill-fern stroke-sheet" strokeWidth={2} />
            </g>
          )
        })}
      </svg>
      <p className="text-sm text-ink-soft">
        The same passes remove about {number(region, factor, 2)} of what they would from medium-hard paint
        (likely range {number(region, low, 2)} to {number(region, high, 2)}).{' '}
        {recall.closest
          ? `The shop knows ${carsText(recall.closest.cars)} ${KIN[recall.closest.kinship.id]}${recall.cars > recall.closest.cars ? `, ${recall.cars} in all` : ''}.`
          : 'No car with paint like this has been recorded yet.'}{' '}
        Only paint depth read before and after moves it.
      </p>
      <p className="mt-2 text-sm text-ink-soft">
        {attempts.length === 0
          ? 'How deep its marks lie is taken as usual until a test spot has shown what is removed.'
          : `By what was removed at the test spots, its marks lie about ${number(region, depth.factor, 1)} times as deep as usual (likely range ${number(region, depth.factor * Math.exp(-depth.sd), 1)} to ${number(region, depth.factor * Math.exp(depth.sd), 1)}).`}{' '}
        The plan uses both figures.
      </p>
    </section>
  )
}
