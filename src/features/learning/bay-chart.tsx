import type { Learned } from '@/core/learning'
import type { Region } from '@/core/region'
import { percent } from '@/text/formats'
import { monthLabel } from './chart-parts'

type Bays = Learned['bays']

/** Of the hours in which somebody was here, those in which a car stood there: 0 to 1. */
function shareUsed(bays: Bays): number {
  const open = bays.reduce((sum, { openHours }) => sum + openHours, 0)
  return open > 0 ? bays.reduce((sum, { usedHours }) => sum + usedHours, 0) / open : 0
}

const shareText = (region: Region, share: number) => percent(region, 100 * share)

const ROW = { width: 480, height: 44 }

/** What a full bar stands for: rows are compared with each other, so all have one scale. */
const SCALES = [0.1, 0.25, 0.5, 0.75, 1]

/** Which bay stood emptiest, in a sentence: rent is paid for it all the same. */
function emptiest(region: Region, shares: readonly { name: string; share: number }[]): string {
  const least = shares.toSorted((a, b) => a.share - b.share)[0]
  if (!least || shares.length < 2) return ''
  return least.share < 0.005
    ? `${least.name} stood empty.`
    : `${least.name} stood emptiest, ${shareText(region, 1 - least.share)} of the time.`
}

/** How full each bay was, a row of months for each: what stands empty shows at a glance. */
export function BayChart({ bays, region }: { bays: Bays; region: Region }) {
  const places = [...new Map(bays.map(({ place, name }) => [place, name]))]
  const months = [...new Set(bays.map(({ month }) => month))]
  const step = ROW.width / months.length
  const most = bays.reduce((fullest, bay) => Math.max(fullest, shareUsed([bay])), 0)
  const scale = SCALES.find((each) => most <= each) ?? 1
  const shares = places.map(([place, name]) => ({
    name,
    share: shareUsed(bays.filter((bay) => bay.place === place)),
  }))
  return (
    <>
      <p>
        <strong>{emptiest(region, shares)}</strong> Of the hours somebody was here, those in which a car stood
        in the bay. A car that cures keeps its bay; visits and cars that are still here are not counted.
      </p>
      <ul className="mt-3 space-y-3">
        {places.map(([place, name]) => {
          const own = bays.filter((bay) => bay.place === place)
          return (
            <li key={place}>
              <div className="flex items-baseline justify-between">
                <span className="font-head font-semibold">{name}</span>
                <span>{shareText(region, shareUsed(own))}</span>
              </div>
              <svg
                viewBox={`0 0 ${ROW.width} ${ROW.height}`}
                preserveAspectRatio="none"
                className="h-11 w-full"
                aria-hidden
              >
                {own.map((bay, at) => {
                  const filled = (shareUsed([bay]) / scale) * ROW.height
                  const bar = { x: at * step + 0.5, width: step - 1 }
                  return (
                    <g key={bay.month}>
                      <title>{`${name}, ${monthLabel(region, bay.month)}: ${shareText(region, shareUsed([bay]))}`}</title>
                      <rect {...bar} y={0} height={ROW.height} className="fill-lichen" />
                      <rect {...bar} y={ROW.height - filled} height={filled} className="fill-fern" />
                    </g>
                  )
                })}
              </svg>
            </li>
          )
        })}
      </ul>
      <p className="mt-1 flex justify-between text-sm text-ink-soft">
        <span>{monthLabel(region, months[0]!)}</span>
        <span>each bar a month, full height {shareText(region, scale)}</span>
        <span>{monthLabel(region, months.at(-1)!)}</span>
      </p>
    </>
  )
}
