'use client'

import { useState } from 'react'
import { offered, PANEL_GROUPS, type PanelGroup, panelGroup } from '@/core/correction'
import type { JobId, PersonId } from '@/core/ids'
import type { Photo } from '@/core/photo'
import type { SpotNews } from '@/core/planning'
import type { VehicleJudgement } from '@/core/survey'
import type { KeptAttempt } from '@/core/test-spot'
import { adviceFor, type StudyInput, studyGroup } from '@/core/test-spot'
import { dayIn, type Instant } from '@/core/time'
import type { Vehicle } from '@/core/vehicle'
import { GROUP, methodTitle, spotWhy, titleOf, wordOf } from '@/text/en/correction'
import { FORBIDDEN } from '@/text/en/forbidden'
import { staffPanel, staffPanelName } from '@/text/en/staff-panels'
import { BodyPlan, type PanelFace } from '@/ui/body-plan'
import { useRegion } from '@/ui/region'
import { usePhotos } from '../photos/use-photos'
import { AttemptForm } from './attempt-form'
import { AttemptList } from './attempt-list'
import { GiveScale } from './give-scale'
import { ladderFor, panelToTry } from './ladder'
import { OnThisJob } from './on-this-job'
import { StepsDone } from './steps-done'

type Props = {
  jobId: JobId
  vehicle: Vehicle
  judgement: VehicleJudgement
  study: Omit<StudyInput, 'attempts'> & { attempts: readonly KeptAttempt[] }
  photos: readonly Photo[]
  now: Instant
  readOnly: boolean
  news?: SpotNews | undefined
  people: readonly { id: PersonId; name: string }[]
}

const GROUP_FILL: Record<PanelGroup, string> = {
  'metal-original': 'var(--c-sheet)',
  'metal-repainted': 'color-mix(in oklab, var(--c-bracken) 45%, var(--c-sheet))',
  plastic: 'color-mix(in oklab, var(--c-fern) 30%, var(--c-sheet))',
  gelcoat: 'color-mix(in oklab, var(--c-fern) 12%, var(--c-sheet))',
  'gloss-plastic': 'color-mix(in oklab, var(--c-ink) 22%, var(--c-sheet))',
  other: 'var(--c-lichen-deep)',
}

/** The test spots of a car: what was tried, what is tried next and why, and what the shop remembers of paint like it. */
export function SpotsScreen({
  jobId,
  vehicle,
  judgement,
  study,
  photos,
  now,
  readOnly,
  news,
  people,
}: Props) {
  const region = useRegion()
  const album = usePhotos(jobId, photos)
  const present = PANEL_GROUPS.filter((group) =>
    judgement.panels.some((judged) => panelGroup(judged) === group),
  )
  const first = panelToTry(judgement, present[0]!)!
  const [selected, setSelected] = useState(first.panel.id)
  const judged = judgement.panels.find(({ panel }) => panel.id === selected) ?? first
  const group = panelGroup(judged)
  const studied = studyGroup(group, study)
  const { open, forbidden } = ladderFor(judged, studied, offered(study.methods), dayIn(region.timezone, now))
  const { start, recipe } = studied.recall
  const remembered = start && recipe ? { process: start.process, steps: recipe } : undefined
  const advice = adviceFor(
    studied,
    offered(study.methods).filter(({ key }) => open.some(({ method }) => method.key === key)),
  )
  const attempts = study.attempts.filter((attempt) => attempt.group === group)
  const number = (each: PanelGroup) => String(present.indexOf(each) + 1)
  const faces = Object.fromEntries(
    judgement.panels.map((panel): [string, PanelFace] => {
      const of = panelGroup(panel)
      return [
        panel.panel.id,
        {
          fill: GROUP_FILL[of],
          ink: 'var(--c-ink)',
          text: number(of),
          label: `${staffPanel(region, panel.panel.id)}: ${GROUP[of].name}`,
        },
      ]
    }),
  )
  return (
    <div className="grid gap-6 p-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div>
        <h1 className="text-2xl">Test spots</h1>
        <p className="text-ink-soft">
          Tape off a test section on a flat panel. Start with the mildest pad and polish, panel wipe, check
          under the lamp and record the result.
        </p>
        <div className="mt-3 [&_svg]:max-h-[20rem]">
          <BodyPlan
            shape={vehicle.shape}
            panels={judgement.panels.map(({ panel }) => panel)}
            faces={faces}
            selected={selected}
            onSelect={setSelected}
          />
        </div>
        <ul className="mt-3 grid gap-1.5 sm:grid-cols-2" aria-label="Groups of panels">
          {present.map((each) => {
            const own = studyGroup(each, study)
            return (
              <li key={each}>
                <button
                  type="button"
                  aria-pressed={each === group}
                  className="flex min-h-11 w-full items-start gap-3 rounded border border-ink-soft/40 px-3 py-1.5 text-left text-[15px] hover:bg-lichen aria-pressed:border-fern aria-pressed:ring-2 aria-pressed:ring-fern"
                  onClick={() => setSelected(panelToTry(judgement, each)!.panel.id)}
                >
                  <span
                    className="mt-0.5 grid size-6 shrink-0 place-items-center rounded border border-ink-soft font-head text-sm font-bold text-ink"
                    style={{ background: GROUP_FILL[each] }}
                  >
                    {number(each)}
                  </span>
                  <span>
                    <span className="block font-head font-semibold">{GROUP[each].name}</span>
                    <span className="block text-sm text-ink-soft">
                      {own.settled
                        ? `${titleOf(study.methods, own.settled.key)} was enough`
                        : own.attempts.length > 0
                          ? `${own.attempts.length} tried, not settled`
                          : GROUP[each].means}
                    </span>
                  </span>
                </button>
              </li>
            )
          })}
        </ul>
        <GiveScale study={studied} hardness={vehicle.hardness} />
      </div>
      <div>
        {news && <OnThisJob jobId={jobId} news={news} methods={study.methods} people={people} now={now} />}
        <section className="sheet border-l-4 border-l-fern p-4" aria-label="What to try next">
          <p className="eyebrow">{GROUP[group].name}</p>
          <h2 className="text-xl">
            {advice.kind === 'try'
              ? `Next: ${wordOf(study.methods, advice.process)}${advice.gently ? ', more gently' : ''}`
              : advice.kind === 'settled'
                ? `Settled: ${wordOf(study.methods, advice.process)}`
                : 'Leave these panels'}
          </h2>
          <p className="mt-1">{spotWhy(advice.why, study.methods)}</p>
          {remembered && advice.kind === 'try' && (
            <>
              <p className="mt-2 text-sm font-semibold">
                How {wordOf(study.methods, remembered.process)} was done there
              </p>
              <StepsDone steps={remembered.steps} />
            </>
          )}
          {forbidden.length > 0 && (
            <details className="mt-1 text-sm">
              <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
                Not allowed on the {staffPanelName(region, judged.panel.id)}, and why
              </summary>
              <ul>
                {forbidden.map(({ method, broken }) => (
                  <li key={method.key} className="text-ink-soft">
                    <strong className="text-copper">{methodTitle(method)}:</strong> {FORBIDDEN[broken[0]!.id]}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </section>
        <AttemptList jobId={jobId} attempts={attempts} now={now} readOnly={readOnly} />
        {!readOnly && open.length > 0 && (
          <AttemptForm
            key={`${group} ${attempts.length}`}
            jobId={jobId}
            judged={judged}
            group={group}
            open={open}
            {...(remembered ? { remembered } : {})}
            proposed={advice.kind === 'end' ? open[0]!.method.key : advice.process}
            album={album}
          />
        )}
      </div>
    </div>
  )
}
