'use client'

import clsx from 'clsx'
import { useState } from 'react'
import {
  type CoatSection,
  type CoatStage,
  coatSections,
  coatStageOf,
  flashState,
  nextFor,
  nextStage,
  workOn,
} from '@/core/card'
import { panelsOfVehicle } from '@/core/vehicle'
import { staffPanel } from '@/text/en/staff-panels'
import { BodyPlan, type PanelFace } from '@/ui/body-plan'
import { Button } from '@/ui/button'
import type { Photos } from '../photos/use-photos'
import { flashWords } from './flash-words'
import { outsideFace } from './outside-face'
import { PanelPhotos } from './panel-photos'
import type { StepProps } from './use-card'

const STAGE_WORDS: Record<CoatStage, string> = {
  bare: 'bare',
  wet: 'applied, flashing',
  level: 'levelled',
  good: 'checked',
}
/** What a touch says of a section that stands there. */
const SAY: Record<Exclude<CoatStage, 'bare'>, string> = {
  wet: 'Applied',
  level: 'Levelled',
  good: 'Buffed and checked',
}
const STAGES: readonly CoatStage[] = ['bare', 'wet', 'level', 'good']

/**
 * A coat section by section: applied, levelled, buffed and looked at with the lamp, each said by a button. What flashes is timed by the air
 * of the bay, every section by itself.
 */
export function CoatPanels({ card, operation, me, album }: StepProps & { album: Photos }) {
  const { view, state, now } = card
  const { region } = view
  const [selected, setSelected] = useState<string>()
  const work = workOn(state, operation.id)
  const all = panelsOfVehicle(view.job)
  const { coat, tasks } = view.sheets[operation.id]!
  const sections = coatSections(work, tasks)
  const begun = state.progress[operation.id]?.kind === 'started'
  const own = sections.filter(({ panel }) => panel === selected)
  const panel = all.find(({ id }) => id === selected && own.length > 0)
  const count = (stage: CoatStage) => sections.filter((section) => coatStageOf(section) === stage).length
  const nameOf = (id: string) => view.people.find((person) => person.id === id)?.name ?? id
  const say = ({ panel: id, section }: CoatSection, stage: CoatStage) => {
    if (begun) card.add(me, { kind: 'coat', operation: operation.id, panel: id, section, stage })
  }
  const sayNext = (stage: CoatStage) => {
    const next = nextFor(own, stage)
    if (next) say(next, stage)
  }
  const wet = sections.flatMap((section) =>
    section.known?.stage === 'wet' && coat
      ? [{ section, where: flashState(section.known.at, coat.flash, now) }]
      : [],
  )
  const toCheck = sections.filter((section) => coatStageOf(section) === 'level')
  const named = ({ panel: id, section, of }: CoatSection) =>
    `${staffPanel(region, id)}${of > 1 ? ` ${section} of ${of}` : ''}`
  return (
    <div className="mt-5 border-t border-line pt-4">
      <p className="text-lg">
        <strong>
          {count('good')} of {sections.length} sections checked
        </strong>
        , {count('level')} levelled, {count('wet')} flashing. {!begun && 'Begin the layer first.'}
        {begun && !panel && 'Tap the panel you coat.'}
      </p>
      {coat && <Towels used={work.towels} {...coat.towels} />}
      <BodyPlan
        shape={view.job.shape}
        panels={all}
        faces={Object.fromEntries(
          all.map(({ id }): [string, PanelFace] => {
            const of = sections.filter((section) => section.panel === id)
            return [
              id,
              of.length > 0 ? coatFace(staffPanel(region, id), of) : outsideFace(staffPanel(region, id)),
            ]
          }),
        )}
        {...(selected ? { selected } : {})}
        onSelect={setSelected}
        onType={(key) => {
          const stage = STAGES[Number(key)]
          if (stage && stage !== 'bare') sayNext(stage)
        }}
      />
      {wet.length > 0 && (
        <ul aria-label="Flashing" className="mt-2 flex flex-wrap gap-2">
          {wet.map(({ section, where }) => (
            <li key={`${section.panel}/${section.section}`}>
              <button
                type="button"
                onClick={() => say(section, 'level')}
                className={clsx(
                  'flex min-h-14 flex-col items-start justify-center rounded border-2 px-3 text-left',
                  where.kind === 'wait'
                    ? 'border-line bg-sheet'
                    : where.kind === 'level-now'
                      ? 'border-fern bg-fern text-on-fern'
                      : 'border-copper bg-copper-soft text-copper',
                )}
              >
                <span className="text-sm">
                  {named(section)}, {nameOf(section.known!.by)}
                </span>
                <span className="font-head text-xl font-bold">{flashWords(where)}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {toCheck.length > 0 && (
        <ul aria-label="To buff and check" className="mt-2 flex flex-wrap gap-2">
          {toCheck.map((section) => (
            <li key={`${section.panel}/${section.section}`}>
              <Button look="outline" disabled={!begun} onClick={() => say(section, 'good')}>
                {named(section)}: buffed and checked
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex justify-end">
        <Button
          look="outline"
          disabled={!begun}
          onClick={() => card.add(me, { kind: 'towel', operation: operation.id })}
        >
          Fresh towel
        </Button>
      </div>
      {panel && (
        <section aria-label={staffPanel(region, panel.id)} className="mt-2 space-y-2">
          <strong className="font-head text-lg">{staffPanel(region, panel.id)}</strong>
          <ol className="flex flex-wrap gap-2" aria-label="Its sections">
            {own.map((section) => (
              <li key={section.section}>
                <SectionCell section={section} begun={begun} onSay={(stage) => say(section, stage)} />
              </li>
            ))}
          </ol>
          <div className="flex flex-wrap gap-2">
            {(['wet', 'level', 'good'] as const).map((stage) => (
              <Button
                key={stage}
                look="outline"
                className="min-h-14 px-6"
                disabled={!begun || !nextFor(own, stage)}
                onClick={() => sayNext(stage)}
              >
                {SAY[stage]}
              </Button>
            ))}
            <Button
              look="quiet"
              disabled={!begun || own.every((section) => coatStageOf(section) === 'bare')}
              onClick={() => {
                const last = own.findLast((section) => coatStageOf(section) !== 'bare')
                if (last) say(last, STAGES[STAGES.indexOf(coatStageOf(last)) - 1]!)
              }}
            >
              Not yet
            </Button>
          </div>
          <PanelPhotos
            key={panel.id}
            album={album}
            panel={panel}
            marks={view.atPanels?.[panel.id]?.marks.map(({ kind }) => kind)}
          />
        </section>
      )}
    </div>
  )
}

/** What the layer takes of clean towels against what there is, and what has gone into the wash. */
function Towels({ used, planned, clean }: { used: number; planned: number; clean: number }) {
  const short = planned - used - clean
  return (
    <p className={clsx('mt-1', short > 0 ? 'text-copper' : 'text-ink-soft')} data-testid="towels">
      Towels: {used} used of {planned} (two a section), {clean} clean on the shelf.
      {short > 0 && ` ${short} too few: wash some first.`}
    </p>
  )
}

function SectionCell({
  section,
  begun,
  onSay,
}: {
  section: CoatSection
  begun: boolean
  onSay: (stage: CoatStage) => void
}) {
  const stage = coatStageOf(section)
  const next = nextStage(section)
  const { fill, ink } = FACE[stage]
  return (
    <button
      type="button"
      disabled={!begun || !next}
      onClick={() => next && onSay(next)}
      aria-label={`Section ${section.section}: ${STAGE_WORDS[stage]}`}
      className="grid size-14 place-items-center rounded border border-ink-soft/60 font-head text-xl font-bold"
      style={{ background: fill, color: ink }}
    >
      {stage === 'good' ? '✓' : section.section}
    </button>
  )
}

const FACE: Record<CoatStage, Pick<PanelFace, 'fill' | 'ink' | 'text'>> = {
  bare: { fill: 'var(--c-sheet)', ink: 'var(--c-ink-soft)', text: '' },
  wet: { fill: 'var(--c-copper-soft)', ink: 'var(--c-copper)', text: 'wet' },
  level: { fill: 'var(--c-lichen)', ink: 'var(--c-ink)', text: 'level' },
  good: { fill: 'var(--c-fern)', ink: 'var(--c-on-fern)', text: '✓' },
}

/** A panel shows what is most urgent on it: what flashes, else how far it is. */
function coatFace(name: string, sections: readonly CoatSection[]): PanelFace {
  const good = sections.filter((section) => coatStageOf(section) === 'good').length
  const stages = sections.map(coatStageOf)
  const stage: CoatStage = stages.includes('wet')
    ? 'wet'
    : good === sections.length
      ? 'good'
      : stages.some((each) => each !== 'bare')
        ? 'level'
        : 'bare'
  const text =
    stage === 'bare' || stage === 'good' || sections.length === 1
      ? FACE[stage].text
      : `${good}/${sections.length}`
  const words = sections.length === 1 ? STAGE_WORDS[stage] : `${good} of ${sections.length} sections checked`
  return { ...FACE[stage], text, label: `${name}: ${words}` }
}
