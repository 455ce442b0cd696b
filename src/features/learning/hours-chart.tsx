'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback, useMemo } from 'react'
import type { Learned } from '@/core/learning'
import { workName } from '@/text/en/learning'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { useMethodNames } from '../method-names'
import { barOptions, round1 } from './chart-parts'

/** Kinds of work in one picture: those that take most of the year. */
const SHOWN = 10

/** Hours by kind of work, as planned and as they were. */
export function HoursChart({ work }: { work: Learned['work'] }) {
  const { methods } = useMethodNames()
  const shown = useMemo(() => work.slice(0, SHOWN), [work])
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => ({
      type: 'bar',
      data: {
        labels: shown.map(({ key }) => workName(key, methods)),
        datasets: [
          {
            label: 'Planned',
            data: shown.map(({ plannedMinutes }) => round1(plannedMinutes / 60)),
            backgroundColor: ink('fern-soft'),
          },
          {
            label: 'Real',
            data: shown.map(({ actualMinutes }) => round1(actualMinutes / 60)),
            backgroundColor: shown.map(({ plannedMinutes, actualMinutes }) =>
              actualMinutes > plannedMinutes * 1.08 ? ink('copper') : ink('fern'),
            ),
          },
        ],
      },
      options: barOptions('hours', true),
    }),
    [shown, methods],
  )
  const said = shown
    .map(
      ({ key, plannedMinutes, actualMinutes }) =>
        `${workName(key, methods)} ${round1(plannedMinutes / 60)} planned, ${round1(actualMinutes / 60)} real`,
    )
    .join('; ')
  return <ChartCanvas label={`Hours: ${said}.`} className="h-96" draw={draw} />
}
