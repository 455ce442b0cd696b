'use client'

import { useMemo, useRef, useState } from 'react'
import { judge, type School } from '@/core/survey'
import { panelsOf } from '@/core/vehicle'
import type { Vehicle } from '@/server/job-store'
import type { StoredSurvey } from '@/server/survey-store'
import { BodyPlan, neighbour } from '@/ui/body-plan'
import { Button, ButtonLink } from '@/ui/button'
import { FILM_LEGEND_UM, filmColour, filmInk } from '@/ui/film-scale'
import { DefectEditor } from './defect-editor'
import { panelFace } from './panel-face'
import { PanelSheet } from './panel-sheet'
import { ReadingEntry } from './reading-entry'
import { useGauge } from './use-gauge'
import { type SaveState, useSurvey } from './use-survey'

type Props = { jobId: string; vehicle: Vehicle; school: School; stored: StoredSurvey; agreed: boolean }

/** Measuring and grading on the body plan. */
export function SurveyScreen({ jobId, vehicle, school, stored, agreed }: Props) {
  const panels = useMemo(() => panelsOf(vehicle.shape), [vehicle.shape])
  const { data, state, change, settle } = useSurvey(jobId, stored)
  const [selected, setSelected] = useState(panels[0]!.id)
  const entry = useRef<HTMLInputElement>(null)
  const judgement = useMemo(
    () =>
      judge({
        panels,
        paintSystem: vehicle.paintSystem,
        school,
        readings: data.readings,
        defects: data.defects,
      }),
    [panels, vehicle.paintSystem, school, data],
  )
  const faces = useMemo(
    () => Object.fromEntries(judgement.panels.map((judged) => [judged.panel.id, panelFace(judged)])),
    [judgement],
  )
  const judged = judgement.panels.find(({ panel }) => panel.id === selected)!
  const setReadings = (panel: string, edit: (values: number[]) => number[]) =>
    change((before) => ({
      ...before,
      readings: { ...before.readings, [panel]: edit(before.readings[panel] ?? []) },
    }))
  const gauge = useGauge(jobId, (panel, filmUm) => {
    setSelected(panel)
    setReadings(panel, (values) => [...values, filmUm])
  })
  /** From the field for readings one walks on to the next panel that can be read. */
  const walk = (step: number) => {
    const readable = judgement.panels
      .filter(({ finding }) => finding.kind !== 'unreadable' && finding.kind !== 'film')
      .map(({ panel }) => panel)
    setSelected(neighbour(readable, selected, step))
  }
  const typeInto = (key: string) => {
    const field = entry.current
    if (!field) return
    field.focus()
    field.setRangeText(key, field.value.length, field.value.length, 'end')
    field.dispatchEvent(new Event('input', { bubbles: true }))
  }
  return (
    <div className="grid gap-5 p-5 lg:grid-cols-[minmax(0,1fr)_25rem]">
      <section aria-label="Body plan">
        <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
          <p className="flex items-baseline gap-2" data-testid="vehicle-grade">
            <span className="font-head text-4xl font-bold">{judgement.letter}</span>
            <span className="text-lg">{judgement.index.toFixed(0)}</span>
            <span className="text-sm text-ink-soft">condition</span>
          </p>
          <p className="text-sm text-ink-soft">
            {judgement.baseline ? (
              <>
                Own film level{' '}
                <strong className="text-ink">{judgement.baseline.medianUm.toFixed(0)} µm</strong>, from{' '}
                {judgement.baseline.panels} panels
              </>
            ) : (
              'No film level yet: read at least two metal panels'
            )}
            <br />
            {judgement.read.panels} of {judgement.read.of} metal panels read
          </p>
          <div className="ml-auto flex items-center gap-3">
            <SaveNote state={state} onSettle={settle} />
            {!agreed && (
              <Button look="outline" onClick={gauge.running ? gauge.stop : () => gauge.start(selected)}>
                {gauge.running ? 'Stop the gauge' : 'Read from gauge'}
              </Button>
            )}
          </div>
        </div>
        {gauge.fault && (
          <p role="alert" className="mb-2 text-copper">
            {gauge.fault}
          </p>
        )}
        <Hatches />
        <BodyPlan
          shape={vehicle.shape}
          panels={panels}
          faces={faces}
          selected={selected}
          onSelect={setSelected}
          onType={typeInto}
        />
        <Legend />
      </section>
      <aside className="space-y-4">
        <PanelSheet
          judged={judged}
          readings={data.readings[selected] ?? []}
          onRemove={
            agreed
              ? undefined
              : (index) => setReadings(selected, (values) => values.filter((_, at) => at !== index))
          }
        >
          {!agreed && (
            <ReadingEntry
              key={selected}
              inputRef={entry}
              judged={judged}
              onReading={(filmUm) => setReadings(selected, (values) => [...values, filmUm])}
              onUndo={() => setReadings(selected, (values) => values.slice(0, -1))}
              onWalk={walk}
            />
          )}
        </PanelSheet>
        <DefectEditor
          key={selected}
          condition={judged.condition}
          readOnly={agreed}
          onChange={(defects) =>
            change((before) => ({ ...before, defects: { ...before.defects, [selected]: defects } }))
          }
        />
        <div className="flex justify-end">
          <ButtonLink href={`/jobs/${jobId}/plan`}>{agreed ? 'To the plan' : 'To the packages'}</ButtonLink>
        </div>
      </aside>
    </div>
  )
}

function SaveNote({
  state,
  onSettle,
}: {
  state: SaveState
  onSettle: (choice: 'mine' | 'theirs', theirs: StoredSurvey) => void
}) {
  switch (state.kind) {
    case 'kept':
      return (
        <p className="text-sm text-ink-soft" role="status">
          Kept
        </p>
      )
    case 'keeping':
      return (
        <p className="text-sm text-ink-soft" role="status">
          Keeping…
        </p>
      )
    case 'refused':
      return (
        <p className="max-w-72 text-sm text-copper" role="alert">
          {state.message}
        </p>
      )
    case 'elsewhere':
      return (
        <div role="alert" className="max-w-sm text-sm text-copper">
          Someone else has changed this survey.
          <span className="mt-1 flex gap-2">
            <Button look="outline" onClick={() => onSettle('theirs', state.theirs)}>
              Take theirs
            </Button>
            <Button look="outline" onClick={() => onSettle('mine', state.theirs)}>
              Keep mine
            </Button>
          </span>
        </div>
      )
  }
}

/** Hatching says thin and repainted without colour. */
function Hatches() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        <pattern
          id="mark-thin"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0,0 V9" stroke="var(--c-copper)" strokeWidth="3" />
        </pattern>
        <pattern id="mark-repainted" width="8" height="8" patternUnits="userSpaceOnUse">
          <circle cx="2" cy="2" r="1.1" fill="#f7f6ec" />
        </pattern>
        <pattern
          id="mark-unreadable"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M0,0 V7" stroke="var(--c-lichen-deep)" strokeWidth="2" />
        </pattern>
      </defs>
    </svg>
  )
}

function Legend() {
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2 text-sm text-ink-soft">
      <span className="flex">
        {FILM_LEGEND_UM.map((um) => (
          <span key={um} className="px-2 py-0.5" style={{ background: filmColour(um), color: filmInk(um) }}>
            {um}
          </span>
        ))}
      </span>
      <span>µm, panel median</span>
      <Swatch mark="thin" label="thin" />
      <Swatch mark="repainted" fill={filmColour(230)} label="repainted" />
      <Swatch mark="unreadable" label="plastic, cannot be read" />
    </div>
  )
}

function Swatch({ mark, fill, label }: { mark: string; fill?: string; label: string }) {
  return (
    <span className="flex items-center gap-1.5">
      <svg width="22" height="16" aria-hidden="true">
        {fill && <rect width="22" height="16" fill={fill} />}
        <rect width="22" height="16" fill={`url(#mark-${mark})`} />
      </svg>
      {label}
    </span>
  )
}
