'use client'

import { useDeferredValue, useMemo, useRef, useState } from 'react'
import type { JobId } from '@/core/ids'
import { agreementCloses, type EarlierVisit, type JobKind } from '@/core/job'
import type { Devices } from '@/core/shop'
import type { StoredSurvey } from '@/core/survey'
import {
  doubtful,
  type Judging,
  judgeRecord,
  type Phase,
  type Reading,
  type Removal,
  takenByPanel,
  withDefects,
  withoutMark,
} from '@/core/survey'
import type { Vehicle } from '@/core/vehicle'
import { panelsOfVehicle } from '@/core/vehicle'
import type { GaugeEvent } from '@/devices/film-gauge'
import { readGloss } from '@/server/survey/survey-actions'
import { staffPanel } from '@/text/en/staff-panels'
import { unitSign } from '@/text/formats'
import { BodyPlan, neighbour } from '@/ui/body-plan'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'
import { reach } from '@/ui/use-action'
import { DefectEditor } from './defect-editor'
import { Distribution } from './distribution'
import { GaugeNotes, mishapOf } from './gauge-notes'
import { GlossEntry } from './gloss-entry'
import { Hatches } from './hatches'
import { HowFarRead } from './how-far-read'
import { ImportReadings } from './import-readings'
import { Legend } from './legend'
import { facesOf } from './panel-face'
import { PanelReadings } from './panel-readings'
import { PanelSheet } from './panel-sheet'
import { ReadingEntry } from './reading-entry'
import { RoundStrip } from './round-strip'
import { RoundSwitch, type Shown } from './round-switch'
import { hasReadings, type Round, roundsOf } from './rounds'
import { SaveNote } from './save-note'
import { isReadable, marksOn, SpotMarks } from './spot-marks'
import { useGauge } from './use-gauge'
import { useSurvey } from './use-survey'
import { VehicleGrade } from './vehicle-grade'
import { WhereNext } from './where-next'
import { WholeCar } from './whole-car'

type Props = {
  jobId: JobId
  vehicle: Vehicle
  judging: Judging
  devices: Pick<Devices, 'filmGauge' | 'glossMeter'>
  stored: StoredSurvey
  ledger: readonly Removal[]
  earlier: readonly EarlierVisit[]
  kind: JobKind
  agreed: boolean
  handedOver: boolean
}

/** Measuring and grading on the body plan. */
export function SurveyScreen(props: Props) {
  const region = useRegion()
  const { jobId, vehicle, judging, devices, stored, ledger, earlier, kind, agreed, handedOver } = props
  const closed = handedOver || (agreed && agreementCloses(kind))
  const panels = useMemo(() => panelsOfVehicle(vehicle), [vehicle.shape, vehicle.panelFacts, vehicle])
  const { data, state, change, settle } = useSurvey(jobId, stored)
  const [selected, setSelected] = useState(
    () => (panels.find(({ id }) => !stored.films.includes(id)) ?? panels[0]!).id,
  )
  const [shown, setShown] = useState<Shown>({ kind: 'round', id: 'before' })
  const [mishaps, setMishaps] = useState<string[]>([])
  const [atMarks, setAtMarks] = useState(true)
  const entry = useRef<HTMLInputElement>(null)
  const taken = useMemo(() => takenByPanel(ledger), [ledger])
  const judgement = useMemo(() => judgeRecord(vehicle, judging, data, taken), [vehicle, judging, data, taken])
  // A reading shows at once where it was typed; chart and table follow when there is time.
  const later = useDeferredValue(judgement)
  const mayMeasureAfter = agreed && !handedOver
  const rounds = useMemo(
    () => roundsOf(region, data, earlier, mayMeasureAfter),
    [region, data, earlier, mayMeasureAfter],
  )
  const read = useMemo(() => rounds.filter(hasReadings), [rounds])
  const round: Round | undefined =
    shown.kind === 'round' ? rounds.find(({ id }) => id === shown.id) : undefined
  const phase: Phase = shown.kind === 'round' && shown.id === 'after' ? 'after' : 'before'
  const open =
    (phase === 'after' ? mayMeasureAfter : !closed) && (round === undefined ? false : round.id === phase)
  const faces = useMemo(
    () => facesOf(region, judgement.panels, shown, rounds, data.marked, round),
    [region, judgement, shown, rounds, data.marked, round],
  )
  const judged = judgement.panels.find(({ panel }) => panel.id === selected)!
  const pins = open ? marksOn(vehicle.shape, judged.panel) : []
  const inRound = round?.measured ?? data.before
  const setReadings = (panel: string, edit: (values: Reading[]) => Reading[]) =>
    change((before) => ({
      ...before,
      [phase]: {
        ...before[phase],
        readings: { ...before[phase].readings, [panel]: edit(before[phase].readings[panel] ?? []) },
      },
      // What is read after the work is read at the marks, unless somebody says otherwise.
      marked:
        phase === 'after' && atMarks && !before.marked.includes(panel)
          ? [...before.marked, panel]
          : before.marked,
    }))
  const nameOf = (id: string) => staffPanel(region, id)
  const onGauge = (event: GaugeEvent) => {
    const panel = panels.find(({ id }) => id === event.panel)
    if (!panel) return
    const mishap = mishapOf(region, event, panel)
    if (mishap !== undefined) return setMishaps((before) => [mishap, ...before])
    if (event.kind !== 'reading') return
    setSelected(event.panel)
    setReadings(event.panel, (values) => [...values, { um: event.filmUm }])
  }
  const gauge = useGauge(jobId, onGauge)
  const questions = panels.filter(({ id }) => doubtful(data[phase].readings[id] ?? []).length > 0)
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
  const startGauge = () => {
    setMishaps([])
    gauge.start(selected, phase)
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 p-5 lg:grid-cols-[minmax(0,1fr)_25rem] lg:grid-rows-[auto_1fr]">
      <section aria-label="Body plan">
        <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
          <VehicleGrade grade={judgement.grade} />
          <HowFarRead judgement={judgement} />
          <div className="ml-auto flex flex-wrap items-center justify-end gap-2">
            <SaveNote state={state} settle={settle} nameOf={nameOf} />
            {open && judgement.read.of > 0 && (
              <>
                <ImportReadings
                  panels={panels}
                  onTake={(readings, how) =>
                    change((before) => ({
                      ...before,
                      [phase]: {
                        ...before[phase],
                        readings: {
                          ...before[phase].readings,
                          ...Object.fromEntries(
                            Object.entries(readings).map(([id, values]) => [
                              id,
                              [
                                ...(how === 'add' ? (before[phase].readings[id] ?? []) : []),
                                ...values.map((um) => ({ um: Math.round(um * 10) / 10 })),
                              ],
                            ]),
                          ),
                        },
                      },
                    }))
                  }
                />
                {devices.filmGauge !== 'none' && (
                  <Button
                    look={gauge.running ? 'outline' : 'solid'}
                    onClick={gauge.running ? gauge.stop : startGauge}
                  >
                    {gauge.running ? 'Stop the gauge' : 'Read from gauge'}
                  </Button>
                )}
              </>
            )}
          </div>
        </div>
        {rounds.length > 1 && (
          <RoundSwitch rounds={rounds} comparable={read.length > 1} shown={shown} onShow={setShown} />
        )}
        {gauge.fault && (
          <p role="alert" className="mb-2 text-copper">
            {gauge.fault}
          </p>
        )}
        <GaugeNotes questions={questions} mishaps={mishaps} onSelect={setSelected} />
        <Hatches />
        <div className="max-lg:[&_svg]:max-h-[31rem]">
          <BodyPlan
            shape={vehicle.shape}
            panels={panels}
            // The numbers of the spots take the place of the mean, which stands beside the drawing.
            faces={pins.length > 0 ? { ...faces, [selected]: { ...faces[selected]!, text: '' } } : faces}
            selected={selected}
            pins={pins}
            onSelect={setSelected}
            onType={typeInto}
          />
        </div>
        {shown.kind === 'difference' ? (
          <p className="mt-2 text-sm text-ink-soft">
            What was removed between “{read[0]!.name}” and “{read.at(-1)!.name}”, {unitSign(region, 'depth')}.
            Darker is more; what stands in brackets is within the error of the readings.
          </p>
        ) : (
          <Legend />
        )}
      </section>
      <aside className="space-y-4 lg:row-span-2">
        <PanelSheet
          judged={judged}
          ledger={ledger}
          below={
            <>
              <RoundStrip panel={selected} rounds={rounds} marked={data.marked} />
              <GlossEntry
                key={`gloss-${selected}-${phase}`}
                panelName={staffPanel(region, judged.panel.id)}
                gloss={inRound.gloss[selected] ?? []}
                clarity={inRound.clarity[selected]}
                readOnly={!open}
                onMeter={
                  devices.glossMeter === 'none'
                    ? undefined
                    : () => reach(readGloss({ jobId, panel: selected, phase }))
                }
                onGloss={(values) =>
                  change((before) => ({
                    ...before,
                    [phase]: { ...before[phase], gloss: { ...before[phase].gloss, [selected]: values } },
                  }))
                }
                onClarity={(value) =>
                  change((before) => ({
                    ...before,
                    [phase]: { ...before[phase], clarity: { ...before[phase].clarity, [selected]: value } },
                  }))
                }
              />
            </>
          }
        >
          {open && (
            <ReadingEntry
              key={`${selected}-${phase}`}
              inputRef={entry}
              judged={judged}
              onReading={(filmUm) => setReadings(selected, (values) => [...values, { um: filmUm }])}
              onUndo={() => setReadings(selected, (values) => values.slice(0, -1))}
              onWalk={walk}
            />
          )}
          {open && isReadable(judged) && (
            <SpotMarks
              phase={phase}
              atMarks={phase === 'after' ? atMarks : true}
              onAtMarks={(yes) => {
                setAtMarks(yes)
                if (!yes) change((before) => withoutMark(before, selected))
              }}
            />
          )}
          <PanelReadings
            panel={judged.panel}
            readings={inRound.readings[selected] ?? []}
            {...(open ? { onChange: (next: Reading[]) => setReadings(selected, () => next) } : {})}
          />
        </PanelSheet>
        <DefectEditor
          key={selected}
          title="Defects"
          judged={judged}
          defects={data.defects[selected] ?? []}
          readOnly={closed}
          onChange={(defects) => change((before) => withDefects(before, selected, defects))}
        />
        <WhereNext jobId={jobId} kind={kind} agreed={agreed} />
      </aside>
      <div>
        <Distribution judgement={later} />
        <WholeCar judgement={later} taken={taken} selected={selected} onSelect={setSelected} />
      </div>
    </div>
  )
}
