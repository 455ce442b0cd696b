'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback, useMemo } from 'react'
import type { Learned } from '@/server/learning'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { barOptions, monthName } from './chart-parts'

const INKS = ['fern', 'fern-soft', 'bracken', 'ink-soft', 'copper'] as const

/** Hours cars stood in each bay, by the month they went home in. */
export function BayChart({ bays }: { bays: Learned['bays'] }) {
  const { months, places } = useMemo(
    () => ({
      months: [...new Set(bays.map(({ month }) => month))],
      places: [...new Map(bays.map(({ place, name }) => [place, name]))],
    }),
    [bays],
  )
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => ({
      type: 'bar',
      data: {
        labels: months.map(monthName),
        datasets: places.map(([place, name], at) => ({
          label: name,
          data: months.map((month) =>
            Math.round(bays.find((each) => each.month === month && each.place === place)?.hours ?? 0),
          ),
          backgroundColor: ink(INKS[at % INKS.length]!),
          stack: 'bays',
        })),
      },
      options: barOptions('hours'),
    }),
    [bays, months, places],
  )
  const said = places
    .map(([place, name]) => {
      const hours = bays.filter((each) => each.place === place).reduce((sum, each) => sum + each.hours, 0)
      return `${name} ${Math.round(hours)} h`
    })
    .join(', ')
  return (
    <>
      <p>In all: {said}. Nights and waits count: a car that cures keeps its bay.</p>
      <ChartCanvas label={said} className="mt-2 h-60" draw={draw} />
    </>
  )
}
