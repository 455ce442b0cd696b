'use client'

import clsx from 'clsx'
import Link from 'next/link'
import { useEffect, useState } from 'react'
import {
  CHECKLISTS,
  type CheckItem,
  PAUSE_REASONS,
  PAUSE_WORDS,
  pausedNow,
  TIMER_PRESETS,
  timerText,
  WHEEL_CHECKS,
  workOn,
} from '@/core/card'
import { progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { openedWindow } from '@/core/planning'
import type { Instant } from '@/core/time'
import { Button } from '@/ui/button'
import { duration, moment } from '@/ui/when'
import type { Photos } from '../photos/use-photos'
import { windowText } from '../window-text'
import { Air } from './air'
import { AskReason } from './ask-reason'
import { CoatLogForm } from './coat-log'
import { CoatPanels } from './coat-panels'
import { later } from './later'
import { MachineRecipes } from './machine-recipes'
import { Sections } from './sections'
import { type Card, sinceLastAct } from './use-card'
import { WashLines } from './wash-lines'

const RecordForm = later(() => import('./record-form').then(({ RecordForm: form }) => form))

type Props = { card: Card; operation: PlannedOperation; me: string; isNext: boolean; album: Photos }

/** The step at hand, large: how, with what care, how far it is, and what happens now. */
export function StepPanel({ card, operation, me, isNext, album }: Props) {
  const { view, state, now } = card
  const live = { ...view.live, progress: state.progress }
  const progress = progressAt(live, operation, now)
  const planned = view.live.published.find((placed) => placed.operation === operation.id)
  const sheet = view.sheets[operation.id]
  const window = openedWindow(live, operation, now)
  const work = workOn(state, operation.id)
  const at = (instant: Instant) => moment(view.zone, instant, now)
  const rests = pausedNow(work)
  return (
    <section className="sheet p-5" aria-label={operation.title}>
      <p className="eyebrow">
        {progress.kind === 'started'
          ? `Begun ${at(progress.at)}`
          : progress.kind === 'done'
            ? `Done ${at(progress.to)}`
            : isNext
              ? 'Next'
              : 'Later'}
        {planned && `, planned ${at(planned.start)} to ${at(planned.end)}`}
      </p>
      <h1 className="mt-1 text-4xl">{operation.title}</h1>
      <p className="mt-1 text-lg text-ink-soft">
        about {duration(operation.minutes)}
        {rests && ` · rests since ${at(rests.from)}: ${PAUSE_WORDS[rests.reason].toLowerCase()}`}
      </p>
      {window && progress.kind === 'open' && (
        <p
          className="mt-4 rounded bg-copper-soft px-4 py-3 text-xl font-semibold text-copper"
          data-testid="window"
        >
          {windowText(window, { zone: view.zone, now })}
        </p>
      )}
      {sheet?.coat && progress.kind !== 'done' && (
        <Air
          coat={sheet.coat}
          zone={view.zone}
          now={now}
          {...(window && progress.kind === 'open' && now > window.closes ? { closed: window.closes } : {})}
        />
      )}
      {progress.kind !== 'done' && (
        <Actions
          card={card}
          operation={operation}
          me={me}
          against={[
            ...(window && progress.kind === 'open' && now > window.closes
              ? [
                  `The window for this layer closed ${at(window.closes)}: read the data sheet before recoating.`,
                ]
              : []),
            ...(isBlocked(card, operation) ? ['The air says no. Wait, dry or warm the bay first.'] : []),
          ]}
        />
      )}
      {sheet?.recipe && <p className="mt-4 text-lg leading-relaxed">{sheet.recipe}</p>}
      {operation.kind === 'wash' && <WashLines job={view.job.id} lines={view.wash} />}
      {operation.kind === 'look' && view.job.kind === 'visit' && (
        <p className="mt-2">
          <Link
            href={`/jobs/${view.job.id}/visit`}
            className="inline-flex min-h-11 items-center font-semibold"
          >
            The look, panel by panel
          </Link>
        </p>
      )}
      {operation.kind === 'finish' && (
        <p className="mt-2">
          <Link
            href={`/jobs/${view.job.id}/finish`}
            className="inline-flex min-h-11 items-center font-semibold"
          >
            The last look, panel by panel, by somebody else
          </Link>
        </p>
      )}
      {sheet && sheet.machines.length > 0 && (
        <MachineRecipes recipes={sheet.machines} shape={view.job.shape} />
      )}
      {sheet?.caution && (
        <p className="mt-4 border-l-4 border-copper pl-4 leading-relaxed">{sheet.caution}</p>
      )}
      <Checklist card={card} operation={operation} me={me} />
      <Presets card={card} operation={operation} me={me} />
      {sheet && sheet.tasks.length > 0 && operation.kind === 'layer' && (
        <CoatPanels card={card} operation={operation} me={me} album={album} />
      )}
      {sheet && sheet.tasks.length > 0 && operation.kind !== 'layer' && (
        <Sections card={card} operation={operation} me={me} album={album} />
      )}
      {progress.kind !== 'done' && <Afterwards card={card} operation={operation} me={me} />}
    </section>
  )
}

/** A step that was done at another time; the form comes when it is asked for. */
function Afterwards({ card, operation, me }: Omit<Props, 'isNext' | 'album'>) {
  const [open, setOpen] = useState(false)
  return (
    <details
      className="mt-5 border-t border-line pt-3"
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="min-h-11 py-2 font-head font-semibold underline decoration-ink-soft/50 underline-offset-4">
        It was at another time
      </summary>
      {open && <RecordForm card={card} operation={operation} me={me} />}
    </details>
  )
}

/** The air of the bay forbids this coat. */
function isBlocked({ view }: Card, operation: PlannedOperation): boolean {
  return (view.sheets[operation.id]?.coat?.outlook.breaches.length ?? 0) > 0
}

function Actions({
  card,
  operation,
  me,
  against,
}: {
  card: Card
  operation: PlannedOperation
  me: string
  /** What speaks against beginning it now. */
  against: readonly string[]
}) {
  const { view, state, now } = card
  const [asking, setAsking] = useState<'pause' | 'coat' | 'begin' | 'done'>()
  const ready = useReady()
  const progress = progressAt({ ...view.live, progress: state.progress }, operation, now)
  const rests = pausedNow(workOn(state, operation.id))
  const id = operation.id
  const large = 'min-h-14 px-7 text-lg'
  if (progress.kind === 'open')
    return (
      <div className="mt-5 flex flex-wrap items-center gap-3">
        {asking === 'begin' ? (
          <AskReason
            words="Begin all the same"
            onReason={(despite) => card.add(me, { kind: 'begin', operation: id, despite })}
            onLeave={() => setAsking(undefined)}
          >
            {against.map((words) => (
              <p key={words}>{words}</p>
            ))}
          </AskReason>
        ) : (
          <Button
            className={large}
            look={against.length > 0 ? 'outline' : 'solid'}
            // The second of two quick taps on “Done” must not begin what comes next.
            disabled={!ready}
            onClick={() => {
              if (against.length > 0) setAsking('begin')
              else card.add(me, { kind: 'begin', operation: id })
            }}
          >
            {against.length > 0 ? 'Begin all the same' : 'Begin now'}
          </Button>
        )}
        {asking !== 'begin' && against.length > 0 && <p className="text-copper">{against[0]}</p>}
      </div>
    )
  const left = leftOpen(card, operation)
  const finish = (despite?: string) =>
    coat ? setAsking('coat') : card.add(me, { kind: 'done', operation: id, ...(despite ? { despite } : {}) })
  const coat = view.sheets[id]?.coat
  return (
    <div className="mt-5 space-y-4">
      <div className="flex flex-wrap gap-3">
        {rests ? (
          <Button
            look="outline"
            className={large}
            onClick={() => card.add(me, { kind: 'resume', operation: id })}
          >
            Go on
          </Button>
        ) : (
          <Button
            look="outline"
            className={large}
            aria-expanded={asking === 'pause'}
            onClick={() => setAsking(asking === 'pause' ? undefined : 'pause')}
          >
            Pause
          </Button>
        )}
        <Button
          className={large}
          aria-expanded={coat ? asking === 'coat' : undefined}
          onClick={() => {
            if (asking === 'coat') setAsking(undefined)
            else if (left.length > 0 && asking !== 'done') setAsking('done')
            else finish()
          }}
        >
          {operation.kind === 'layer' ? 'The layer is on' : 'Done'}
        </Button>
      </div>
      {asking === 'pause' && (
        <ul aria-label="Why it rests" className="flex flex-wrap gap-2">
          {PAUSE_REASONS.map((reason) => (
            <li key={reason}>
              <Button
                look="outline"
                onClick={() => {
                  card.add(me, { kind: 'pause', operation: id, reason })
                  setAsking(undefined)
                }}
              >
                {PAUSE_WORDS[reason]}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {asking === 'done' && (
        <div role="alert" className="rounded border-2 border-copper p-4">
          <p className="text-copper">Still open: {left.join('; ')}.</p>
          <div className="mt-3 flex flex-wrap gap-3">
            <Button className={large} look="outline" onClick={() => finish(`open: ${left.join('; ')}`)}>
              Done all the same
            </Button>
            <Button className={large} onClick={() => setAsking(undefined)}>
              Not yet
            </Button>
          </div>
        </div>
      )}
      {asking === 'coat' && coat && (
        <CoatLogForm
          coat={coat}
          isLayer={operation.kind === 'layer'}
          onDone={(log) => card.add(me, { kind: 'done', operation: id, coat: log })}
        />
      )}
    </div>
  )
}

/** So long after an act the buttons of the step that comes up do nothing: a second tap was meant for the one before, ms. */
const SETTLE_MS = 600

function useReady(): boolean {
  const [ready, setReady] = useState(() => sinceLastAct() > SETTLE_MS)
  useEffect(() => {
    if (ready) return undefined
    const timer = setTimeout(() => setReady(true), SETTLE_MS)
    return () => clearTimeout(timer)
  }, [ready])
  return ready
}

/** What the card still asks for on a step that is about to be called done. */
function leftOpen({ view, state }: Card, operation: PlannedOperation): string[] {
  const work = workOn(state, operation.id)
  const tasks = view.sheets[operation.id]?.tasks ?? []
  const total = tasks.reduce((sum, { sections }) => sum + sections, 0)
  const done = tasks.reduce(
    (sum, { panel, sections }) => sum + Math.min(work.sections[panel]?.done ?? 0, sections),
    0,
  )
  const levelled = tasks.filter(({ panel }) => work.coats[panel]?.stage === 'level').length
  const isLayer = operation.kind === 'layer'
  const unchecked = checksOf(view, operation).filter(({ id }) => !work.checks[id])
  const short = new Set(work.short.map(({ panel }) => panel)).size
  return [
    ...(!isLayer && total > done ? [`${total - done} of ${total} sections`] : []),
    ...(isLayer && tasks.length > levelled ? [`${tasks.length - levelled} panels not levelled`] : []),
    ...(unchecked.length > 0
      ? [`${unchecked.length} ${unchecked.length === 1 ? 'thing' : 'things'} not to be forgotten`]
      : []),
    ...(short > 0 ? [`${short} ${short === 1 ? 'panel' : 'panels'} not good enough yet`] : []),
  ]
}

function checksOf(view: Card['view'], operation: PlannedOperation): readonly CheckItem[] {
  const wheelsOff = view.live.plan.operations.some(({ extra }) => extra === 'wheels-off')
  return operation.kind === 'finish' && wheelsOff
    ? [...CHECKLISTS.finish, ...WHEEL_CHECKS]
    : CHECKLISTS[operation.kind]
}

function Checklist({ card, operation, me }: Omit<Props, 'isNext' | 'album'>) {
  const items = checksOf(card.view, operation)
  const { checks } = workOn(card.state, operation.id)
  if (items.length === 0) return null
  return (
    <ul aria-label="Not to be forgotten" className="mt-4">
      {items.map(({ id, text }) => (
        <li key={id}>
          <label className="flex min-h-11 items-center gap-3 border-t border-line py-1.5 text-lg">
            <input
              type="checkbox"
              className="size-6 shrink-0 accent-fern"
              checked={checks[id] ?? false}
              onChange={({ target }) =>
                card.add(me, { kind: 'check', operation: operation.id, item: id, checked: target.checked })
              }
            />
            <span className={clsx(checks[id] && 'text-ink-soft')}>{text}</span>
          </label>
        </li>
      ))}
    </ul>
  )
}

/** Waits of this step that one may start by touch. */
function Presets({ card, operation, me }: Omit<Props, 'isNext' | 'album'>) {
  const presets = TIMER_PRESETS[operation.kind]
  const begun = card.state.progress[operation.id]?.kind === 'started'
  if (presets.length === 0 || !begun) return null
  return (
    <ul aria-label="Timers of this step" className="mt-4 flex flex-wrap gap-2">
      {presets.map(({ label, seconds, note }) => (
        <li key={label}>
          <Button
            look="outline"
            className="flex-col items-start !gap-0 text-left"
            onClick={() => card.add(me, { kind: 'timer', operation: operation.id, label, seconds })}
          >
            <span>
              {label} {timerText(seconds)}
            </span>
            <span className="text-xs font-normal text-ink-soft">{note}</span>
          </Button>
        </li>
      ))}
    </ul>
  )
}
