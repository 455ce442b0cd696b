import clsx from 'clsx'
import type { Region } from '@/core/region'
import { type Compared, FIGURES, type Figure, type Spread } from '@/core/what-if'
import { FIGURE_NAME, figureText, VERDICT_NAME, type Verdict, verdictOf } from '@/text/en/what-if'

/** The figures of a shop as it is and as it would be, each as far as luck moves it: eight runs of ten lie within a bar. */

const VERDICT_INK: Record<Verdict, string> = {
  better: 'text-fern font-semibold',
  worse: 'text-copper font-semibold',
  same: 'text-ink-soft',
}

export function FigureRows({ figures, region }: { figures: Record<Figure, Compared>; region: Region }) {
  return (
    <ul className="space-y-3">
      {FIGURES.map((figure) => {
        const found = figures[figure]
        const verdict = verdictOf(figure, found)
        const [before, after] = [found.before, found.after].map(({ mean }) =>
          figureText(region, figure, mean),
        )
        return (
          <li key={figure}>
            <div className="flex items-baseline justify-between gap-3">
              <span className="font-head font-semibold">{FIGURE_NAME[figure]}</span>
              <span className={clsx('shrink-0 text-sm', VERDICT_INK[verdict])}>{VERDICT_NAME[verdict]}</span>
            </div>
            <div className="grid grid-cols-[1fr_auto] items-center gap-x-3">
              <Bars found={found} verdict={verdict} most={figure === 'kept' ? 1 : undefined} />
              <p className="w-32 text-right tabular-nums">
                <span className="text-ink-soft">{before}</span> <span aria-hidden>→</span>
                <span className="sr-only"> becomes </span> <strong>{after}</strong>
              </p>
            </div>
          </li>
        )
      })}
    </ul>
  )
}

/** What the bars and leaves of the rows stand for. */
export function FigureLegend() {
  return (
    <p className="flex flex-wrap items-center gap-x-4 text-sm text-ink-soft">
      <span className="flex items-center gap-1.5">
        <span aria-hidden className={clsx('size-3 bg-ink-soft', LEAF)} /> as it is
      </span>
      <span className="flex items-center gap-1.5">
        <span aria-hidden className={clsx('size-3 bg-fern', LEAF)} /> with the change
      </span>
      <span className="flex items-center gap-1.5">
        <span aria-hidden className="h-3 w-8 rounded-full bg-fern/35" /> as far as luck moves it, eight times
        in ten
      </span>
    </p>
  )
}

const LEAF = 'rounded-[0_70%_0_70%]'

/** Beyond what any run comes to there is so much room. */
const ROOM = 1.08

/** Both from nothing on one scale: above as it is, below with the change. */
function Bars({ found, verdict, most }: { found: Compared; verdict: Verdict; most: number | undefined }) {
  const top = most ?? Math.max(found.before.high, found.after.high) * ROOM
  const at = (value: number) => `${top > 0 ? (100 * Math.max(0, value)) / top : 0}%`
  return (
    <div className="relative h-9 border-l border-ink-soft/50" aria-hidden>
      <Bar spread={found.before} at={at} className="top-1" ink="bg-ink-soft/30" mark="bg-ink-soft" />
      <Bar
        spread={found.after}
        at={at}
        className="top-5"
        ink={verdict === 'worse' ? 'bg-copper/35' : 'bg-fern/35'}
        mark={verdict === 'worse' ? 'bg-copper' : 'bg-fern'}
      />
    </div>
  )
}

type BarProps = {
  spread: Spread
  at: (value: number) => string
  className: string
  ink: string
  mark: string
}

function Bar({ spread: { mean, low, high }, at, className, ink, mark }: BarProps) {
  return (
    <>
      <span
        className={clsx('absolute left-0 h-px translate-y-[5px] bg-line', className)}
        style={{ width: at(mean) }}
      />
      <span
        className={clsx('absolute h-3 rounded-full', className, ink)}
        style={{ left: at(low), width: `calc(${at(high)} - ${at(low)})`, minWidth: '2px' }}
      />
      <span
        className={clsx('absolute size-3 -translate-x-1/2', LEAF, className, mark)}
        style={{ left: at(mean) }}
      />
    </>
  )
}
