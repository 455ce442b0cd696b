'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback } from 'react'
import type { Learned } from '@/core/learning'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { barOptions, round1 } from './chart-parts'

/** Millilitres of each product a car, as planned and as poured. */
export function ProductChart({ products }: { products: Learned['products'] }) {
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => ({
      type: 'bar',
      data: {
        labels: products.map(({ name }) => name),
        datasets: [
          {
            label: 'Planned',
            data: products.map(({ plannedMl }) => round1(plannedMl)),
            backgroundColor: ink('fern-soft'),
          },
          {
            label: 'Poured',
            data: products.map(({ ml }) => round1(ml)),
            backgroundColor: products.map(({ plannedMl, ml }) =>
              ml > plannedMl * 1.1 ? ink('copper') : ink('fern'),
            ),
          },
        ],
      },
      options: barOptions('ml a car', true),
    }),
    [products],
  )
  if (products.length === 0) return <p className="text-ink-soft">No bottle has been used by its label yet.</p>
  const said = products
    .map(({ name, plannedMl, ml }) => `${name}: ${round1(plannedMl)} ml planned, ${round1(ml)} poured`)
    .join('; ')
  return <ChartCanvas label={said} className="h-72" draw={draw} />
}
