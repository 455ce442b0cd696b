'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback } from 'react'
import type { Learned } from '@/core/learning'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { useRegion } from '@/ui/region'
import { barOptions, monthLabel } from './chart-parts'

/** Cars finished by their promise, and those that were not, month by month. */
export function OnTimeChart({ months }: { months: Learned['onTime'] }) {
  const region = useRegion()
  const cars = months.reduce((sum, each) => sum + each.cars, 0)
  const kept = months.reduce((sum, each) => sum + each.onTime, 0)
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => {
      const options = barOptions('cars')
      return {
        type: 'bar',
        data: {
          labels: months.map(({ month }) => monthLabel(region, month)),
          datasets: [
            {
              label: 'By the promise',
              data: months.map(({ onTime }) => onTime),
              backgroundColor: ink('fern'),
              stack: 'cars',
            },
            {
              label: 'Late',
              data: months.map(({ cars: all, onTime }) => all - onTime),
              backgroundColor: ink('copper'),
              stack: 'cars',
            },
          ],
        },
        options,
      }
    },
    [months, region],
  )
  return (
    <>
      <p>
        <strong>{cars > 0 ? Math.round((100 * kept) / cars) : 0}%</strong> of {cars} cars were finished by the
        hour that was promised.
      </p>
      <ChartCanvas
        label={months.map(({ month, cars: all, onTime }) => `${month}: ${onTime} of ${all}`).join(', ')}
        className="mt-2 h-60"
        draw={draw}
      />
    </>
  )
}
