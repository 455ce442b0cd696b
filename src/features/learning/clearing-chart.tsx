'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback } from 'react'
import type { Learned } from '@/core/learning'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { useMethodNames } from '../method-names'
import { barOptions } from './chart-parts'

const percent = (share: number) => Math.round(share * 100)

/** Share of the marks that was to go, and that the inspector found gone, by process. */
export function ClearingChart({ clearing }: { clearing: Learned['clearing'] }) {
  const { title } = useMethodNames()
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => ({
      type: 'bar',
      data: {
        labels: clearing.map(({ process }) => title(process)),
        datasets: [
          {
            label: 'Promised',
            data: clearing.map(({ expected }) => percent(expected)),
            backgroundColor: ink('fern-soft'),
          },
          {
            label: 'Removed',
            data: clearing.map(({ reached }) => percent(reached)),
            backgroundColor: ink('fern'),
          },
        ],
      },
      options: barOptions('% of the marks', true),
    }),
    [clearing, title],
  )
  if (clearing.length === 0)
    return <p className="text-ink-soft">No final inspection has recorded how much was removed yet.</p>
  const said = clearing
    .map(
      ({ process, expected, reached }) =>
        `${title(process)}: ${percent(expected)}% promised, ${percent(reached)}% found`,
    )
    .join('; ')
  return <ChartCanvas label={said} className="h-72" draw={draw} />
}
