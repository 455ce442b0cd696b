'use client'

import { useMemo, useState } from 'react'
import type { Job } from '@/core/job'
import type { Photo } from '@/core/photo'
import type { StoredSurvey } from '@/core/survey'
import {
  allDefects,
  type Judging,
  judgeRecord,
  type Removal,
  takenByPanel,
  uninspected,
  withDefects,
  withInspected,
} from '@/core/survey'
import { PART_IDS, panelsOf, partPanel, placesOf } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { inspectedPlace } from '@/text/en/step-names'
import { BodyPlan, type PlanPoint } from '@/ui/body-plan'
import { ButtonLink } from '@/ui/button'
import { useRegion } from '@/ui/region'
import { PhotoStrip } from '../photos/photo-strip'
import { usePhotos } from '../photos/use-photos'
import { DefectEditor } from '../survey/defect-editor'
import { Hatches } from '../survey/hatches'
import { SaveNote } from '../survey/save-note'
import { useSurvey } from '../survey/use-survey'
import { VehicleGrade } from '../survey/vehicle-grade'
import { Belongings, Missed } from './beside-the-car'
import { MoreParts } from './more-parts'
import { PanelFactsForm } from './panel-facts-form'
import { PlaceEditor } from './place-editor'
import { SecondInspection, SecondStanding } from './second-inspection'
import { StillToInspect } from './still-to-inspect'
import { absentFace, conditionFace, pinsOf, placeFace } from './walk-faces'

type Props = {
  job: Job
  judging: Judging
  stored: StoredSurvey
  ledger: readonly Removal[]
  photos: readonly Photo[]
  /** The first inspection is closed: what was agreed rests on it. */
  agreed: boolean
}

/** Round the car with a lamp: touch where something is, say what it is, photograph it. */
export function WalkScreen({ job, judging, stored, ledger, photos, agreed }: Props) {
  const { vehicle } = job
  const panels = useMemo(
    () => [
      ...panelsOf(vehicle.shape),
      ...PART_IDS.filter((id) => vehicle.panelFacts?.[id]?.present).map(partPanel),
    ],
    [vehicle.shape, vehicle.panelFacts],
  )
  const places = useMemo(() => placesOf(vehicle.shape), [vehicle.shape])
  const { data, state, change, settle } = useSurvey(job.id, stored)
  const album = usePhotos(job.id, photos)
  const region = useRegion()
  const [selected, setSelected] = useState(panels[0]!.id)
  const [touched, setTouched] = useState<PlanPoint>()
  const readOnly = agreed || job.handedOverAt !== undefined
  // What was agreed rests on the first inspection; the work begins with another.
  const second = agreed
  const taken = useMemo(() => takenByPanel(ledger), [ledger])
  const judgement = useMemo(() => judgeRecord(vehicle, judging, data, taken), [vehicle, judging, data, taken])
  const faces = useMemo(
    () =>
      Object.fromEntries([
        ...panels.map((panel) => [panel.id, absentFace(region, panel)] as const),
        ...judgement.panels.map((judged) => [judged.panel.id, conditionFace(region, judged)] as const),
        ...places.map((place) => [place.id, placeFace(region, place, data.places)] as const),
      ]),
    [region, judgement, panels, places, data.places],
  )
  const select = (id: string, at?: PlanPoint) => {
    setSelected(id)
    setTouched(at)
  }
  const nameOf = (id: string) => inspectedPlace(region, id)
  const judged = judgement.panels.find(({ panel }) => panel.id === selected)
  const place = places.find(({ id }) => id === selected)
  const noted = Object.values(allDefects(data)).flat().length + Object.values(data.places).flat().length
  const pins = pinsOf(allDefects(data), panels)
  const strip = (
    <PhotoStrip
      key={`photos-${selected}`}
      album={album}
      place={selected}
      placeName={nameOf(selected)}
      // Until the second inspection is done, nothing has been worked.
      phase={agreed && !(second && data.again.length < judgement.panels.length) ? 'after' : 'before'}
      readOnly={job.handedOverAt !== undefined}
      marks={[...(allDefects(data)[selected] ?? []), ...(data.places[selected] ?? [])].map(
        ({ kind }) => kind,
      )}
    />
  )
  return (
    <div className="grid gap-5 p-5 lg:grid-cols-[minmax(0,1fr)_25rem] lg:grid-rows-[auto_1fr]">
      <section aria-label="Walk round the car">
        <div className="mb-2 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <VehicleGrade grade={judgement.grade} />
          <p className="text-sm text-ink-soft">
            {noted} {noted === 1 ? 'mark' : 'marks'} recorded, {album.photos.length}{' '}
            {album.photos.length === 1 ? 'photo' : 'photos'}
          </p>
          <div className="ml-auto">
            <SaveNote state={state} settle={settle} nameOf={nameOf} />
          </div>
        </div>
        <Hatches />
        <div className="max-lg:[&_svg]:max-h-[31rem]">
          <BodyPlan
            shape={vehicle.shape}
            panels={panels}
            faces={faces}
            places={places}
            pins={
              touched && judged && job.handedOverAt === undefined
                ? [...pins, { ...touched, id: 'touched', label: '+', held: false }]
                : pins
            }
            selected={selected}
            onSelect={select}
          />
        </div>
        <div className="mt-3 flex flex-wrap gap-2">
          {places
            .filter(({ drawn }) => !drawn)
            .map(({ id, name }) => (
              <button
                key={id}
                type="button"
                aria-pressed={selected === id}
                className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-3 text-[15px] hover:bg-lichen aria-pressed:border-fern aria-pressed:ring-2 aria-pressed:ring-fern"
                onClick={() => select(id)}
              >
                {name}
                {(data.places[id]?.length ?? 0) > 0 && ` · ${data.places[id]!.length} recorded`}
              </button>
            ))}
        </div>
        {!readOnly && <MoreParts vehicle={vehicle} onAdded={select} />}
      </section>
      <aside className="space-y-4 lg:col-start-2 lg:row-span-2 lg:row-start-1">
        {second && (
          <SecondStanding
            data={data}
            panels={judgement.panels.map(({ panel }) => panel)}
            closed={job.handedOverAt !== undefined}
            quoteHref={`/jobs/${job.id}/quote?change=found`}
            onSelect={select}
            onChange={change}
          />
        )}
        {second && judged && (
          <SecondInspection
            data={data}
            judged={judged}
            panels={panels}
            closed={job.handedOverAt !== undefined}
            at={touched}
            onChange={(made) => {
              setTouched(undefined)
              change(made)
            }}
          >
            {strip}
          </SecondInspection>
        )}
        {judged && (
          <DefectEditor
            key={selected}
            title={staffPanel(region, judged.panel.id)}
            judged={judged}
            defects={data.defects[selected] ?? []}
            readOnly={readOnly}
            at={touched}
            others={panels.filter(({ id }) => id !== selected)}
            onAlso={(defect, also) =>
              change((before) => ({
                ...withInspected(before, also),
                defects: {
                  ...before.defects,
                  ...Object.fromEntries(also.map((id) => [id, [...(before.defects[id] ?? []), defect]])),
                },
              }))
            }
            onChange={(defects) => {
              setTouched(undefined)
              change((before) => withDefects(before, selected, defects))
            }}
            onInspected={(inspected) =>
              change((before) =>
                inspected
                  ? withInspected(before, [selected])
                  : { ...before, inspected: before.inspected.filter((panel) => panel !== selected) },
              )
            }
          >
            <label className="mt-3 flex min-h-11 items-center gap-3 border-t border-line pt-3 text-[15px]">
              <input
                type="checkbox"
                className="size-6 shrink-0 accent-fern"
                disabled={readOnly}
                checked={data.films.includes(selected)}
                onChange={() =>
                  change((before) => ({
                    ...before,
                    films: before.films.includes(selected)
                      ? before.films.filter((panel) => panel !== selected)
                      : [...before.films, selected],
                  }))
                }
              />
              This panel has film on it (PPF or wrap)
            </label>
            <PanelFactsForm
              key={`facts-${selected}`}
              vehicle={vehicle}
              panels={panels}
              panel={panels.find(({ id }) => id === selected)!}
              readOnly={readOnly}
            />
            {!second && strip}
          </DefectEditor>
        )}
        {!judged && !place && (
          <section className="sheet p-4" aria-label={staffPanel(region, selected)}>
            <h2 className="text-xl">{staffPanel(region, selected)}</h2>
            <p className="text-ink-soft">Not there, or no paint on it: it is not inspected and not worked.</p>
            <PanelFactsForm
              key={`facts-${selected}`}
              vehicle={vehicle}
              panels={panels}
              panel={panels.find(({ id }) => id === selected)!}
              readOnly={readOnly}
            />
          </section>
        )}
        {place && (
          <PlaceEditor
            key={selected}
            place={place}
            defects={data.places[selected] ?? []}
            readOnly={readOnly}
            onChange={(defects) =>
              change((before) => ({ ...before, places: { ...before.places, [selected]: defects } }))
            }
          >
            {strip}
          </PlaceEditor>
        )}
      </aside>
      {/* Below the car on a desk, below the panel on a tablet. */}
      <div className="space-y-4 lg:col-start-1 lg:row-start-2">
        {!readOnly && (
          <StillToInspect
            panels={uninspected(judgement.panels)}
            onSelect={select}
            onNothingFound={(found) => change((before) => withInspected(before, found))}
          />
        )}
        <Missed
          looked={data.looked}
          readOnly={readOnly}
          onChange={(looked) => change((before) => ({ ...before, looked }))}
        />
        <Belongings job={job} />
        <div className="flex flex-wrap justify-end gap-2">
          <ButtonLink look="outline" href={`/jobs/${job.id}/wash`}>
            Next: wash
          </ButtonLink>
          <ButtonLink href={`/jobs/${job.id}/survey`}>Measure the paint</ButtonLink>
        </div>
      </div>
    </div>
  )
}
