'use client'

import clsx from 'clsx'
import { useState } from 'react'
import { COAT_ORDER, type CoatStage, flashState, timerText, workOn } from '@/core/card'
import { panelsOfVehicle } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { BodyPlan, type PanelFace } from '@/ui/body-plan'
import { Button } from '@/ui/button'
import type { Photos } from '../photos/use-photos'
import { outsideFace } from './outside-face'
import { PanelPhotos } from './panel-photos'
import type { StepProps } from './use-card'

const STAGE_WORDS: Record<CoatStage, string> = { bare: 'bare', wet: 'applied, flashing', level: 'levelled' }

/** A coat panel by panel: applied, then levelled, each said by a button of its own. What flashes is timed by the air of the bay. */
export function CoatPanels({
  card,
  operation,
  me,
  album,
}: StepProps & {
  album: Photos
}) {
  const { view, state, now } = card
  const { region } = view
  const [selected, setSelected] = useState<string>()
  const work = workOn(state, operation.id)
  const all = panelsOfVehicle(view.job)
  const { coat, tasks } = view.sheets[operation.id]!
  // A repair coats some panels only; the others are drawn, and not for this step.
  const panels = all.filter(({ id }) => tasks.some((task) => task.panel === id))
  const begun = state.progress[operation.id]?.kind === 'started'
  const stageOf = (panel: string): CoatStage => work.coats[panel]?.stage ?? 'bare'
  const say = (panel: string, stage: CoatStage) => {
    if (begun) card.add(me, { kind: 'coat', operation: operation.id, panel, stage })
  }
  const wet = panels.flatMap((panel) => {
    const known = work.coats[panel.id]
    return known?.stage === 'wet' && coat ? [{ panel, where: flashState(known.at, coat.flash, now) }] : []
  })
  const level = panels.filter(({ id }) => stageOf(id) === 'level').length
  const panel = panels.find(({ id }) => id === selected)
  return (
    <div className="mt-5 border-t border-line pt-4">
      <p className="text-lg">
        <strong>
          {level} of {panels.length} panels levelled
        </strong>
        , {work.towels} towels changed.{' '}
        {begun
          ? 'Tap a panel, then say below that it is coated, and later that it is levelled.'
          : 'Begin the layer first.'}
      </p>
      {wet.length > 0 && (
        <ul aria-label="Flashing" className="mt-2 flex flex-wrap gap-2">
          {wet.map(({ panel: each, where }) => (
            <li key={each.id}>
              <button
                type="button"
                onClick={() => say(each.id, 'level')}
                className={clsx(
                  'flex min-h-14 flex-col items-start justify-center rounded border-2 px-3 text-left',
                  where.kind === 'wait'
                    ? 'border-line bg-sheet'
                    : where.kind === 'level-now'
                      ? 'border-fern bg-fern text-on-fern'
                      : 'border-copper bg-copper-soft text-copper',
                )}
              >
                <span className="text-sm">{staffPanel(region, each.id)}</span>
                <span className="font-head text-xl font-bold">
                  {where.kind === 'wait'
                    ? `wait ${timerText(where.secondsLeft)}`
                    : where.kind === 'level-now'
                      ? `level now, ${timerText(where.secondsLeft)}`
                      : `late by ${timerText(where.secondsOver)}`}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <BodyPlan
        shape={view.job.shape}
        panels={all}
        faces={Object.fromEntries(
          all.map(({ id }): [string, PanelFace] => [
            id,
            panels.some((own) => own.id === id)
              ? coatFace(staffPanel(region, id), stageOf(id))
              : outsideFace(staffPanel(region, id)),
          ]),
        )}
        {...(selected ? { selected } : {})}
        onSelect={setSelected}
        onType={(key) => {
          const stage = COAT_ORDER[Number(key)]
          if (panel && stage) say(panel.id, stage)
        }}
      />
      {panel && <PanelPhotos key={panel.id} album={album} panel={panel} />}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {panel && (
          <>
            <strong className="mr-2 font-head text-lg">
              {staffPanel(region, panel.id)}: {STAGE_WORDS[stageOf(panel.id)]}
            </strong>
            <Button look="outline" disabled={!begun} onClick={() => say(panel.id, 'wet')}>
              Applied
            </Button>
            <Button look="outline" disabled={!begun} onClick={() => say(panel.id, 'level')}>
              Levelled
            </Button>
            <Button look="quiet" disabled={!begun} onClick={() => say(panel.id, 'bare')}>
              Not yet
            </Button>
          </>
        )}
        <Button
          look="outline"
          className="ml-auto"
          disabled={!begun}
          onClick={() => card.add(me, { kind: 'towel', operation: operation.id })}
        >
          Fresh towel
        </Button>
      </div>
    </div>
  )
}

const FACE: Record<CoatStage, Pick<PanelFace, 'fill' | 'ink' | 'text'>> = {
  bare: { fill: 'var(--c-sheet)', ink: 'var(--c-ink-soft)', text: '' },
  wet: { fill: 'var(--c-copper-soft)', ink: 'var(--c-copper)', text: 'wet' },
  level: { fill: 'var(--c-fern)', ink: 'var(--c-on-fern)', text: '✓' },
}

function coatFace(name: string, stage: CoatStage): PanelFace {
  return { ...FACE[stage], label: `${name}: ${STAGE_WORDS[stage]}` }
}
