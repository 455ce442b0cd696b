'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback, useMemo, useState } from 'react'
import type { Learned } from '@/core/learning'
import { panelsOf, SHAPES } from '@/core/vehicle'
import { workName } from '@/text/en/learning'
import { percent } from '@/text/formats'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { useMethodNames } from '../method-names'
import { barOptions } from './chart-parts'

const NAMES = new Map(SHAPES.flatMap((shape) => panelsOf(shape).map(({ id, name }) => [id, name] as const)))
/** A panel seen on fewer jobs says little. */
const LEAST_JOBS = 2

/** How much longer, or less, than planned each panel takes, for one kind of work. */
export function PanelChart({ panels }: { panels: Learned['panels'] }) {
  const { methods } = useMethodNames()
  const region = useRegion()
  const kinds = [...new Map(panels.map(({ key }) => [key, workName(key, methods)]))]
  const [kind, setKind] = useState(kinds[0]?.[0])
  const own = useMemo(
    () =>
      panels
        .filter(({ key, jobs }) => key === kind && jobs >= LEAST_JOBS)
        .map((each) => ({ ...each, more: (each.actualMinutes / each.plannedMinutes - 1) * 100 }))
        .sort((a, b) => b.more - a.more),
    [panels, kind],
  )
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => ({
      type: 'bar',
      data: {
        labels: own.map(({ panel }) => NAMES.get(panel) ?? panel),
        datasets: [
          {
            label: 'Against the plan',
            data: own.map(({ more }) => Math.round(more)),
            backgroundColor: own.map(({ more }) => (more > 8 ? ink('copper') : ink('fern'))),
            barThickness: 16,
          },
        ],
      },
      options: {
        ...barOptions('% against the plan', false),
        plugins: { legend: { display: false } },
      },
    }),
    [own],
  )
  if (kinds.length === 0)
    return (
      <p className="text-ink-soft">
        Sections ticked at the car show which panels take longer than the table says. None were ticked yet.
      </p>
    )
  const [most] = own
  return (
    <>
      <div className="max-w-sm">
        <Field label="Kind of work">
          <select className="field" value={kind} onChange={(event) => setKind(event.target.value)}>
            {kinds.map(([key, name]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </select>
        </Field>
      </div>
      {most && (
        <p className="mt-2">
          {NAMES.get(most.panel) ?? most.panel} takes most: {percent(region, Math.round(Math.abs(most.more)))}{' '}
          {most.more >= 0 ? 'longer' : 'less'} than planned, over {most.jobs} cars.
        </p>
      )}
      <ChartCanvas
        label={own
          .map(({ panel, more }) => `${NAMES.get(panel) ?? panel} ${percent(region, Math.round(more))}`)
          .join(', ')}
        className="mt-2 h-72"
        draw={draw}
      />
    </>
  )
}
