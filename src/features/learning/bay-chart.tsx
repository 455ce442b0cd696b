'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback, useMemo } from 'react'
import type { Learned } from '@/server/learning'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { barOptions, monthName } from './chart-parts'

const INKS = ['fern', 'bracken', 'fern-soft', 'copper', 'ink-soft'] as const

type Bays = Learned['bays']

/** Of the hours in which the shop was open, those in which a car stood there, percent. */
function percentUsed(bays: Bays): number {
  const open = bays.reduce((sum, { openHours }) => sum + openHours, 0)
  return open > 0 ? Math.round((100 * bays.reduce((sum, { usedHours }) => sum + usedHours, 0)) / open) : 0
}

/** How much of the opening hours each bay had a car in it, month by month. */
export function BayChart({ bays }: { bays: Bays }) {
  const { months, places } = useMemo(
    () => ({
      months: [...new Set(bays.map(({ month }) => month))],
      places: [...new Map(bays.map(({ place, name }) => [place, name]))].map(([place, name]) => ({
        name,
        own: bays.filter((bay) => bay.place === place),
      })),
    }),
    [bays],
  )
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => ({
      type: 'line',
      data: {
        labels: months.map(monthName),
        datasets: places.map(({ name, own }, at) => ({
          label: name,
          data: months.map((month) => percentUsed(own.filter((bay) => bay.month === month))),
          borderColor: ink(INKS[at % INKS.length]!),
          backgroundColor: ink(INKS[at % INKS.length]!),
          borderWidth: 2,
          pointRadius: 3,
          stepped: 'middle',
        })),
      },
      options: { ...barOptions('% of opening hours'), interaction: { mode: 'index', intersect: false } },
    }),
    [months, places],
  )
  const said = places.map(({ name, own }) => `${name} ${percentUsed(own)} %`).join(', ')
  return (
    <>
      <p>
        Of the hours we were open a car stood in: {said}. A car that cures keeps its bay; visits and cars that
        are still here are not counted.
      </p>
      <ChartCanvas label={said} className="mt-2 h-60" draw={draw} />
    </>
  )
}
