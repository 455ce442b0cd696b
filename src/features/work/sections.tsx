'use client'

import { useState } from 'react'
import { type PanelTask, paceOf, padState, pausedMinutes, workOn } from '@/core/card'
import type { PlannedOperation } from '@/core/offer'
import { minutesBetween } from '@/core/time'
import { panelsOfVehicle } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { duration, number } from '@/text/formats'
import { BodyPlan, type PanelFace } from '@/ui/body-plan'
import { Button } from '@/ui/button'
import { later } from '@/ui/later'
import type { Photos } from '../photos/use-photos'
import { outsideFace } from './outside-face'
import { PanelPhotos } from './panel-photos'
import type { Card, StepProps } from './use-card'

// It needs the shop in any case, so it may come from there when a panel is in hand.
const AnotherProcess = later(() => import('./another-process').then(({ AnotherProcess: dialog }) => dialog))

// Only dull paint has a gloss to reach.
const GlossNow = later(() => import('./gloss-now').then(({ GlossNow: reading }) => reading))

type Props = StepProps & { album: Photos }

// Facts are read when a panel is in hand.
const PanelAtHand = later(() => import('./panel-at-hand').then(({ PanelAtHand: facts }) => facts))

const notHere = (process: string | undefined) =>
  process === undefined || process === 'leave'
    ? 'Not polished, as agreed.'
    : 'Its method has nothing to do in this step.'

const PAD_WORDS = {
  good: 'Pad is good',
  'clean-it': 'Clean the pad',
  'change-it': 'Change the pad: it is hot and loaded',
} as const

/** The body plan to look at, and to say below how many sections are worked. Pace, finish and pad follow. */
export function Sections({ card, operation, me, album }: Props) {
  const { view, state } = card
  const [selected, setSelected] = useState<string>()
  const work = workOn(state, operation.id)
  const progress = state.progress[operation.id]
  const tasks = new Map(view.sheets[operation.id]!.tasks.map((task) => [task.panel, task]))
  const panels = panelsOfVehicle(view.job)
  const doneOf = (panel: string) => Math.min(work.sections[panel]?.done ?? 0, tasks.get(panel)?.sections ?? 0)
  /** Says how many more are worked than were: two tablets add up. */
  const say = (panel: string, done: number) => {
    const of = tasks.get(panel)?.sections ?? 0
    const count = Math.max(0, Math.min(of, done)) - doneOf(panel)
    if (count !== 0) card.add(me, { kind: 'section', operation: operation.id, panel, count, of })
  }
  const begun = progress !== undefined && progress.kind !== 'open'
  const faces = Object.fromEntries(
    panels.map((panel): [string, PanelFace] => [
      panel.id,
      sectionFace(staffPanel(view.region, panel.id), tasks.get(panel.id), doneOf(panel.id)),
    ]),
  )
  const total = [...tasks.values()].reduce((sum, { sections }) => sum + sections, 0)
  const done = [...tasks.keys()].reduce((sum, panel) => sum + doneOf(panel), 0)
  const worked = workedMinutes(card, operation)
  const pace = paceOf({
    sectionsTotal: total,
    sectionsDone: done,
    workedMinutes: worked,
    plannedMinutes: operation.minutes,
  })
  const pad = padState(work.pad)
  const panel = panels.find(({ id }) => id === selected)
  const task = selected ? tasks.get(selected) : undefined
  const waits = panel !== undefined && (view.waits?.includes(panel.id) ?? false)
  const isShort = (id: string) => work.short.some((short) => short.panel === id)
  const { gloss } = view.sheets[operation.id]!
  const isMachine = view.sheets[operation.id]!.machines.length > 0
  return (
    <div className="mt-5 border-t border-line pt-4">
      <p className="text-lg" data-testid="pace">
        <strong>
          {done} of {total} {total === 1 ? 'section' : 'sections'}
        </strong>
        {progress?.kind === 'started' && done > 0 && pace && pace.minutesLeft > 0 && (
          <>
            , {number(view.region, pace.minutesPerSection, 1)} min each, planned{' '}
            {number(view.region, pace.plannedPerSection, 1)}. At this pace about{' '}
            {duration(view.region, Math.round(pace.minutesLeft))} of work is left
          </>
        )}
        .
        {begun
          ? progress?.kind === 'started' && !selected && ' Tap the panel you work on.'
          : ' Begin the step, then tap a panel and say how much of it is worked.'}
      </p>
      <BodyPlan
        shape={view.job.shape}
        panels={panels}
        faces={faces}
        {...(selected ? { selected } : {})}
        onSelect={setSelected}
        onType={(key) => {
          if (task && begun) say(task.panel, Number(key))
        }}
      />
      {panel && (
        <div className="mt-2 flex flex-wrap items-center gap-2" data-testid="panel-bar">
          <strong className="mr-2 font-head text-lg">
            {staffPanel(view.region, panel.id)}
            {task ? ` ${doneOf(panel.id)} of ${task.sections}` : ': not part of this step'}
          </strong>
          {task && begun && waits && (
            <p className="w-full font-semibold text-copper">
              It waits for the customer’s yes to the other method. Go on with the others meanwhile.
            </p>
          )}
          {task && begun && !waits && (
            <>
              <Button look="outline" onClick={() => say(panel.id, doneOf(panel.id) - 1)}>
                One less
              </Button>
              <Button look="outline" onClick={() => say(panel.id, doneOf(panel.id) + 1)}>
                One more
              </Button>
              <Button look="outline" onClick={() => say(panel.id, task.sections)}>
                Whole panel
              </Button>
              <Button
                look="outline"
                onClick={() =>
                  card.add(
                    me,
                    isShort(panel.id)
                      ? { kind: 'short-off', operation: operation.id, panel: panel.id }
                      : { kind: 'short', operation: operation.id, panel: panel.id, note: '' },
                  )
                }
              >
                {isShort(panel.id) ? 'Good enough now' : 'Mark for rework'}
              </Button>
            </>
          )}
          {task && begun && gloss?.panels.includes(panel.id) && (
            <GlossNow
              key={`gloss-${panel.id}`}
              targetGu={gloss.targetGu}
              gu={work.gloss[panel.id]}
              onRead={(gu) => card.add(me, { kind: 'gloss', operation: operation.id, panel: panel.id, gu })}
            />
          )}
          {task && isMachine && (
            <AnotherProcess
              key={`other-${panel.id}`}
              job={view.job.id}
              panel={panel}
              current={view.processes[panel.id] ?? 'leave'}
              now={card.now}
              onChange={(changed, process, reason) => {
                for (const id of changed)
                  card.add(me, { kind: 'process', operation: operation.id, panel: id, process, reason })
              }}
            />
          )}
          {(panel.substrate === 'plastic' || panel.difficulty === 'intricate') && isMachine && (
            <p className="w-full text-copper">
              {panel.substrate === 'plastic'
                ? 'Plastic: it heats first. Hand on it, light pressure.'
                : 'Tight panel: the small machine, never dwell on an edge.'}
            </p>
          )}
        </div>
      )}
      {panel && view.atPanels?.[panel.id] && (
        <PanelAtHand
          key={`at-${panel.id}`}
          at={view.atPanels[panel.id]!}
          why={task ? undefined : notHere(view.processes[panel.id])}
          recipes={view.sheets[operation.id]!.machines.filter(({ panels: own }) => own.includes(panel.id))}
        />
      )}
      {panel && (
        <PanelPhotos
          key={`photos-${panel.id}`}
          album={album}
          panel={panel}
          marks={view.atPanels?.[panel.id]?.marks.map(({ kind }) => kind)}
        />
      )}
      {work.short.length > 0 && (
        <p className="mt-2 text-copper">
          Marked for rework:{' '}
          {[...new Set(work.short.map((short) => staffPanel(view.region, short.panel)))].join(', ')}.
        </p>
      )}
      {isMachine && progress?.kind === 'started' && (
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <p className={pad === 'good' ? 'text-ink-soft' : 'font-semibold text-copper'} data-testid="pad">
            {PAD_WORDS[pad]}, {work.pad.sinceCleaned} since cleaned, pad {work.pad.fresh + 1} of this step.
            {pad !== 'good' && ' Hand on the panel: a hot one is a warning.'}
          </p>
          <Button
            look="outline"
            onClick={() => card.add(me, { kind: 'pad', operation: operation.id, what: 'cleaned' })}
          >
            Pad cleaned
          </Button>
          <Button
            look="outline"
            onClick={() => card.add(me, { kind: 'pad', operation: operation.id, what: 'fresh' })}
          >
            Fresh pad
          </Button>
        </div>
      )}
    </div>
  )
}

/** Minutes worked until now: what the shop counted, and what has passed at the car since. */
function workedMinutes({ view, state, now }: Card, { id }: PlannedOperation): number {
  const progress = state.progress[id]
  if (progress?.kind !== 'started') return 0
  const counted = view.sheets[id]?.workedMinutes
  const since = counted === undefined ? progress.at : view.now
  const passed = minutesBetween(since, now) - pausedMinutes(workOn(state, id), since, now)
  return Math.max(0, (counted ?? 0) + passed)
}

function sectionFace(name: string, task: PanelTask | undefined, done: number): PanelFace {
  if (!task) return outsideFace(name)
  const share = done / task.sections
  return {
    fill: `color-mix(in oklab, var(--c-fern) ${Math.round(share * 100)}%, var(--c-sheet))`,
    ink: share > 0.5 ? 'var(--c-on-fern)' : 'var(--c-ink)',
    text: task.sections > 1 ? `${done}/${task.sections}` : done > 0 ? '✓' : '',
    label: `${name}: ${done} of ${task.sections} sections done`,
  }
}
