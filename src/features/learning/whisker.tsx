/** From half the table to twice it, on a line of equal steps for equal factors. */
const REACH = Math.log(2)
const xOf = (factor: number) => 50 + (50 * Math.max(-REACH, Math.min(REACH, Math.log(factor)))) / REACH

type Props = { factor: number; low: number; high: number; current: number }

/** What was learned with its likely range, the table in the middle, and what is in use where that is another. */
export function Whisker({ factor, low, high, current }: Props) {
  return (
    <svg
      viewBox="0 0 100 14"
      className="block h-4 w-full min-w-40"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <path d="M0,7 H100" className="stroke-line" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      <path d="M50,1 V13" className="stroke-ink-soft" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      <path
        d={`M${xOf(low)},7 H${xOf(high)}`}
        className="stroke-fern"
        strokeWidth={5}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${xOf(factor)},0 V14`}
        className="stroke-fern"
        strokeWidth={3}
        vectorEffect="non-scaling-stroke"
      />
      {current !== 1 && (
        <path
          d={`M${xOf(current)},0 V14`}
          className="stroke-copper"
          strokeWidth={2}
          strokeDasharray="3 2"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  )
}
