'use client'

import { useState } from 'react'
import { type Eyes, type Handover, type InspectionItem, inspectionState, type Verdict } from '@/core/handover'
import type { JobId } from '@/core/ids'
import type { StepName } from '@/core/offer'
import type { Photo } from '@/core/photo'
import type { Shape } from '@/core/vehicle'
import { useCarAction } from '@/features/queue/use-car-action'
import { judgeItem } from '@/server/handover/handover-actions'
import { EASILY_MISSED_WORDS, isEasilyMissed } from '@/text/en/easily-missed'
import { inspectedPlace, stepTitle } from '@/text/en/step-names'
import { BodyPlan, type PanelFace } from '@/ui/body-plan'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { PhotoStrip } from '../photos/photo-strip'
import { usePhotos } from '../photos/use-photos'
import { EasilyMissed } from './easily-missed'
import { Known } from './known-verdict'

const JUDGE = { action: judgeItem, name: 'handover.judge-item', about: 'the final inspection' }
const OWN = [JUDGE]

type Props = {
  jobId: JobId
  shape: Shape
  items: readonly InspectionItem[]
  verdicts: readonly Verdict[]
  eyes: Eyes
  photos: readonly Photo[]
  people: { id: string; name: string }[]
  /** Places that are done again, with the steps it takes. */
  reworks: Handover['reworks']
  steps: { id: string; title: StepName }[]
  closed: boolean
}

/** What is said where everybody here has worked on this paint. */
const NOBODY_FRESH: Record<'manager' | 'rested', (isAnybody: boolean) => string> = {
  manager: () => 'Everybody else has worked on this paint: by the rule of this shop the manager looks.',
  rested: (isAnybody) =>
    isAnybody
      ? 'Everybody has worked on this paint; these have slept over it.'
      : 'Everybody has worked on this paint today. By the rule of this shop somebody looks at it tomorrow.',
}

/** What an inspector says of the marks on a panel, % gone. */
const CLEARED = [50, 70, 80, 90, 95, 100]

/** The final inspection, panel by panel and at what is easily missed, by somebody who did not do the work. */
export function Inspection({
  jobId,
  shape,
  items,
  verdicts,
  eyes: { people: allowed, because },
  photos,
  people,
  reworks,
  steps,
  closed,
}: Props) {
  const region = useRegion()
  const eyes = people.filter(({ id }) => allowed.some((each) => each === id))
  const album = usePhotos(jobId, photos)
  const [by, setBy] = useState<string | undefined>(eyes.length === 1 ? eyes[0]!.id : undefined)
  const [selected, setSelected] = useState(items[0]!.id)
  const [fault, setFault] = useState<{ note: string; sentTo: string }>()
  /** Why a fault that was only written down is none. */
  const [reason, setReason] = useState<string>()
  const [cleared, setCleared] = useState<number>()
  const { run, pending, refusal, errorAt, clear, notice } = useCarAction(OWN)
  const { open, passed, faults } = inspectionState(items, verdicts)
  const item = items.find(({ id }) => id === selected)!
  const known = verdicts.find((each) => each.item === selected)
  const again = reworks[selected] ?? []
  const isBeingDone = again.some(({ isDone }) => !isDone)
  const asksWhy = known?.verdict === 'fault' && !known.sentTo
  const choose = (id: string) => {
    setSelected(id)
    setFault(undefined)
    setReason(undefined)
    setCleared(undefined)
    clear()
  }
  const say = (verdict: 'good' | 'fault') =>
    run(
      JUDGE,
      {
        jobId,
        item: selected,
        verdict,
        note: (verdict === 'fault' ? fault?.note : reason) ?? '',
        ...(item.panel && cleared !== undefined ? { clearedPercent: cleared } : {}),
        ...(verdict === 'fault' && fault?.sentTo ? { sentTo: fault.sentTo } : {}),
        by: by ?? '',
      },
      () => choose(open.find(({ id }) => id !== selected)?.id ?? selected),
    )
  const panels = items.flatMap(({ panel }) => panel ?? [])
  const faces = Object.fromEntries(
    panels.map(({ id, name }): [string, PanelFace] => [
      id,
      verdictFace(
        name,
        verdicts.find((each) => each.item === id),
      ),
    ]),
  )
  return (
    <section className="sheet p-5" aria-label="Final inspection">
      <h1 className="text-3xl">Final inspection</h1>
      <p className="mt-1 text-lg" data-testid="inspection">
        {passed
          ? 'Everything is checked; no faults.'
          : `${items.length - open.length} of ${items.length} checked${faults.length > 0 ? `, ${faults.length} at fault` : ''}. Lamp from two sides, eye level along every panel.`}
      </p>
      {!closed && (
        <div className="mt-3">
          <Choice
            label={because === 'fresh' ? 'Inspector (must not have worked on this paint)' : 'Inspector'}
            options={eyes.map(({ id, name }) => ({ value: id, name }))}
            value={by}
            onChange={setBy}
          />
          {because !== 'fresh' && (
            <p className="mt-1 text-copper">{NOBODY_FRESH[because](eyes.length > 0)}</p>
          )}
        </div>
      )}
      <BodyPlan shape={shape} panels={panels} faces={faces} selected={selected} onSelect={choose} />
      <EasilyMissed items={items} verdicts={verdicts} selected={selected} onChoose={choose} />
      {!closed && (
        <div className="mt-4 border-t border-line pt-4">
          <p className="font-head text-2xl font-semibold">
            {inspectedPlace(region, item.id)}
            {isEasilyMissed(item.id) && (
              <span className="ml-3 font-text text-base font-normal">
                {EASILY_MISSED_WORDS[item.id](region).look}
              </span>
            )}
          </p>
          <Known verdict={known} again={again} />
          {item.panel && (
            <div className="mt-2">
              <Choice
                label="Marks removed, % (optional)"
                options={CLEARED.map((percent) => ({ value: percent, name: String(percent) }))}
                value={cleared}
                onChange={setCleared}
              />
            </div>
          )}
          {reason !== undefined && (
            <div className="mt-3 max-w-xl">
              <Field label="Why it is good now" {...errorAt('note')}>
                <input className="field" value={reason} onChange={({ target }) => setReason(target.value)} />
              </Field>
            </div>
          )}
          {fault && (
            <div className="mt-3 grid gap-3 sm:grid-cols-2">
              <Field label="What is wrong" {...errorAt('note')}>
                <input
                  className="field"
                  value={fault.note}
                  onChange={({ target }) => setFault({ ...fault, note: target.value })}
                />
              </Field>
              <Field label="Back to" {...errorAt('sentTo')}>
                <select
                  className="field"
                  value={fault.sentTo}
                  onChange={({ target }) => setFault({ ...fault, sentTo: target.value })}
                >
                  <option value="">Only written down</option>
                  {steps.map(({ id, title }) => (
                    <option key={id} value={id}>
                      {stepTitle(region, title)}
                    </option>
                  ))}
                </select>
              </Field>
            </div>
          )}
          {fault && (
            <PhotoStrip
              key={item.id}
              album={album}
              place={item.id}
              placeName={inspectedPlace(region, item.id)}
              phase="after"
              readOnly={false}
            />
          )}
          {notice && (
            <p role="status" className="mt-2 font-semibold">
              {notice}
            </p>
          )}
          {/* Who looks is chosen above the drawing: what is wrong with it is said where one has just touched. */}
          {(refusal?.field === '' || refusal?.field === 'by') && (
            <p role="alert" className="mt-2 font-semibold text-copper">
              {refusal.message}
            </p>
          )}
          <div className="mt-4 flex flex-wrap gap-3">
            {fault ? (
              <>
                <Button className="min-h-14 px-7 text-lg" disabled={pending} onClick={() => say('fault')}>
                  Save fault
                </Button>
                <Button look="outline" onClick={() => setFault(undefined)}>
                  Cancel
                </Button>
              </>
            ) : (
              <>
                <Button
                  className="min-h-14 px-10 text-lg"
                  disabled={pending || isBeingDone}
                  onClick={() => (asksWhy && reason === undefined ? setReason('') : say('good'))}
                >
                  {asksWhy ? 'Good after all' : 'Good'}
                </Button>
                <Button
                  look="outline"
                  className="min-h-14 px-7 text-lg"
                  onClick={() => {
                    setReason(undefined)
                    setFault({ note: '', sentTo: '' })
                  }}
                >
                  Report a fault
                </Button>
              </>
            )}
          </div>
        </div>
      )}
    </section>
  )
}

function verdictFace(name: string, verdict: Verdict | undefined): PanelFace {
  if (!verdict)
    return { fill: 'var(--c-sheet)', ink: 'var(--c-ink-soft)', text: '', label: `${name}: not yet checked` }
  return verdict.verdict === 'good'
    ? { fill: 'var(--c-fern-soft)', ink: 'var(--c-ink)', text: '✓', label: `${name}: good` }
    : { fill: 'var(--c-copper-soft)', ink: 'var(--c-copper)', text: '✗', label: `${name}: ${verdict.note}` }
}
