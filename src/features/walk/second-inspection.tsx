'use client'

import type { ReactNode } from 'react'
import { type NotedDefect, type PanelJudgement, type SurveyRecord, withAgain } from '@/core/survey'
import type { Panel } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { Button, ButtonLink } from '@/ui/button'
import { useRegion } from '@/ui/region'
import { DefectEditor } from '../survey/defect-editor'

type Change = (change: (before: SurveyRecord) => SurveyRecord) => void

type Props = {
  data: SurveyRecord
  judged: PanelJudgement
  panels: readonly Panel[]
  closed: boolean
  at: { x: number; y: number } | undefined
  onChange: Change
  children: ReactNode
}

const WORDS = { nothing: 'Looked at again: nothing new.', nothingFound: 'Looked at again: nothing new' }

/** What shows under the lamps once the car is washed and masked, beside what was agreed on: a round of its own. */
export function SecondInspection({ data, judged, panels, closed, at, onChange, children }: Props) {
  const region = useRegion()
  const { panel } = judged
  const found = data.found[panel.id] ?? []
  const put = (before: SurveyRecord, defects: Record<string, NotedDefect[]>): SurveyRecord => ({
    ...withAgain(before, Object.keys(defects)),
    found: { ...before.found, ...defects },
  })
  return (
    <DefectEditor
      key={panel.id}
      title={`${staffPanel(region, panel.id)}, second inspection`}
      judged={judged}
      defects={found}
      done={data.again.includes(panel.id)}
      after={data.defects[panel.id]?.length ?? 0}
      words={WORDS}
      readOnly={closed}
      at={at}
      others={panels.filter(({ id }) => id !== panel.id)}
      onChange={(defects) => onChange((before) => put(before, { [panel.id]: defects }))}
      onAlso={(defect, also) =>
        onChange((before) =>
          put(before, Object.fromEntries(also.map((id) => [id, [...(before.found[id] ?? []), defect]]))),
        )
      }
      onInspected={(done) =>
        onChange((before) =>
          done
            ? withAgain(before, [panel.id])
            : { ...before, again: before.again.filter((id) => id !== panel.id) },
        )
      }
    >
      {children}
    </DefectEditor>
  )
}

/** How far the second inspection is, and what it has found; the rest can be said in one touch. */
export function SecondStanding({
  data,
  panels,
  closed,
  quoteHref,
  onSelect,
  onChange,
}: {
  data: SurveyRecord
  panels: readonly Panel[]
  closed: boolean
  /** Where what it found becomes a change of what was agreed. */
  quoteHref: string
  onSelect: (panel: string) => void
  onChange: Change
}) {
  const region = useRegion()
  const left = panels.filter(({ id }) => !data.again.includes(id))
  const marks = Object.values(data.found).flat().length
  return (
    <section className="sheet p-4" aria-label="Second inspection">
      <h2 className="flex items-baseline justify-between text-lg">
        Second inspection
        <span className="text-sm font-normal text-ink-soft">
          {panels.length - left.length} of {panels.length} panels, {marks} new{' '}
          {marks === 1 ? 'mark' : 'marks'}
        </span>
      </h2>
      <p className="text-sm text-ink-soft">
        After wash and masking, under the lamps. What it finds goes to the customer before it is worked on.
      </p>
      {marks > 0 && !closed && (
        <ButtonLink look="outline" className="mt-3" href={quoteHref}>
          Put it to the customer
        </ButtonLink>
      )}
      {left.length > 0 && !closed && (
        <>
          <div className="mt-2 flex flex-wrap gap-1.5">
            {left.map(({ id }) => (
              <button
                key={id}
                type="button"
                className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-3 text-[15px] hover:bg-lichen"
                onClick={() => onSelect(id)}
              >
                {staffPanel(region, id)}
              </button>
            ))}
          </div>
          <Button
            look="outline"
            className="mt-3"
            onClick={() =>
              onChange((before) =>
                withAgain(
                  before,
                  left.map(({ id }) => id),
                ),
              )
            }
          >
            {left.length === 1 ? 'Nothing new on it' : `Nothing new on these ${left.length}`}
          </Button>
        </>
      )}
    </section>
  )
}
