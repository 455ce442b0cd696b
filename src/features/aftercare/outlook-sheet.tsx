'use client'

import { useState } from 'react'
import { panelsOf, type Shape } from '@/core/vehicle'
import { WATER_WORDS } from '@/text/en/aftercare'
import { monthYear, shortDay } from '@/text/formats'
import { BodyPlan } from '@/ui/body-plan'
import { useRegion, useToday } from '@/ui/region'
import { Hatches } from '../survey/hatches'
import { OutlookChart } from './outlook-chart'
import { holdsWord, type OutlookView, outlookFaces } from './outlook-view'

type Props = { shape: Shape; views: readonly OutlookView[] }

/** How the protection stands, by surface: until when it should hold, the curve with its band, and every panel. */
export function OutlookSheet({ shape, views }: Props) {
  const region = useRegion()
  const today = useToday()
  const [at, setAt] = useState(0)
  const view = views[Math.min(at, views.length - 1)]!
  return (
    <div>
      {views.length > 1 && (
        <div className="mb-3 flex gap-1.5" role="tablist" aria-label="Surface">
          {views.map(({ surface, name }, index) => (
            <button
              key={surface}
              type="button"
              role="tab"
              aria-selected={index === at}
              onClick={() => setAt(index)}
              className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-3 aria-selected:border-fern aria-selected:bg-fern aria-selected:text-on-fern"
            >
              {name}
            </button>
          ))}
        </div>
      )}
      <p className="text-lg" data-testid="outlook">
        {view.products} of {shortDay(region, view.laidOn)}.{' '}
        <strong>
          {view.goodUntil.mid < today ? 'Probably worn off since' : 'Likely good until'}{' '}
          {monthYear(region, view.goodUntil.mid)}
        </strong>
        {view.goodUntil.low !== view.goodUntil.high && (
          <>
            {' '}
            (between {monthYear(region, view.goodUntil.low)} and {monthYear(region, view.goodUntil.high)})
          </>
        )}
        .
      </p>
      <OutlookChart view={view} />
      {view.surface === 'paint' && <PanelOutlook shape={shape} view={view} />}
    </div>
  )
}

function PanelOutlook({ shape, view }: { shape: Shape; view: OutlookView }) {
  const region = useRegion()
  const [selected, setSelected] = useState(view.units.find(({ failsAlone }) => failsAlone)?.id ?? 'bonnet')
  const unit = view.units.find(({ id }) => id === selected)
  return (
    <div className="mt-4">
      <h3 className="text-lg">Panel by panel: how likely it still holds, %</h3>
      <BodyPlan
        shape={shape}
        panels={panelsOf(shape)}
        faces={outlookFaces(region, view)}
        selected={selected}
        onSelect={setSelected}
      >
        <Hatches />
      </BodyPlan>
      {unit && (
        <p className="mt-1" aria-live="polite">
          <strong>{unit.name}</strong>
          {unit.water
            ? `, last inspected: ${WATER_WORDS[unit.water].name.toLowerCase()}.`
            : ', not inspected yet.'}{' '}
          {holdsWord(unit.holds) === 'gone'
            ? `Probably failed${unit.failsAlone ? ', the only panel that has' : ''}.`
            : `Likely good until ${monthYear(region, unit.goodUntil.mid)} (${monthYear(region, unit.goodUntil.low)} to ${monthYear(region, unit.goodUntil.high)}).`}
        </p>
      )}
    </div>
  )
}
