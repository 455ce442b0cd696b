'use client'

import { toBayId, toOperationId, toPersonId } from '@/core/ids'
import type { Rearranged } from '@/core/schedule'
import { moveThere, setPinned } from '@/server/planning/move-actions'
import { stepTitle } from '@/text/en/step-names'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { UNREACHED, useAction } from '@/ui/use-action'
import type { BoardView } from '../board-view'
import { blockedText, type MoveNames, refusalText, wayText } from './move-text'
import { blockOf, SLOT_MINUTES, type Subject, stayOf, titleOf } from './subject'
import type { Moving } from './use-moving'
import { WayChances } from './way-chances'

const STEPS = [
  { name: 'A day earlier', minutes: -1440 },
  { name: '15 min earlier', minutes: -SLOT_MINUTES },
  { name: '15 min later', minutes: SLOT_MINUTES },
  { name: 'A day later', minutes: 1440 },
]

function namesOf(view: BoardView): MoveNames {
  const job = (id: string) => view.jobs.find((each) => each.id === id)
  const row = (id: string) => view.rows.find((each) => each.id === id)?.name ?? id
  return {
    region: view.timeline.region,
    now: view.now,
    plate: (id) => job(id)?.plate,
    operations: (id) => job(id)?.operations ?? [],
    place: row,
    person: row,
  }
}

/** What is in hand: where it lies, where it is wished, what that costs or which rule forbids it, and the ways to answer. */
export function MovePanel({ view, moving }: { view: BoardView; moving: Moving }) {
  const { subject, wish, mover } = moving
  const { run, pending, refusal } = useAction()
  if (!subject) return null
  const names = namesOf(view)
  const stay = stayOf(view, subject)
  const block = blockOf(view, subject)
  if (!stay || !block) return null
  const title = titleOf(view, subject)
  const pinnable =
    subject.kind === 'operation' ? [block] : stay.blocks.filter(({ state }) => state === 'open')
  const pinned = pinnable.length > 0 && pinnable.every((each) => each.pinned)
  const takeWay = (way: Rearranged) => {
    const from = mover.trial?.from
    if (!from) return
    const what = `${title}, ${stay.plate}, to ${moment(names.region, way.start, view.now)}`
    run(moveThere, { from, operations: way.operations, what })
  }
  return (
    <section
      aria-label="What is in hand"
      className="sheet sticky bottom-2 z-10 mt-3 border-2 border-fern px-4 py-3 shadow-lg print:hidden"
      onKeyDown={(event) => event.key === 'Escape' && moving.leave()}
    >
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-xl">
          {stay.plate}: {title}
        </h2>
        <p className="text-ink-soft">
          {block.state === 'open'
            ? `Planned for ${moment(names.region, block.start, view.now)}, ${names.place(block.place)}${block.people.length > 0 ? `, ${block.people.map(names.person).join(' and ')}` : ''}`
            : 'It has begun, and stays where it is.'}
        </p>
        <Button look="quiet" className="ml-auto" onClick={moving.leave}>
          Cancel move
        </Button>
      </div>
      {!moving.dragging && (
        <Controls view={view} moving={moving} subject={subject} names={names}>
          {pinnable.some(({ state }) => state === 'open') && (
            <Button
              look="outline"
              disabled={pending}
              onClick={() =>
                run(setPinned, {
                  job: subject.job,
                  operations: pinnable.map(({ operation }) => operation.id),
                  pinned: !pinned,
                })
              }
            >
              {pinned ? 'Unpin' : 'Pin it here'}
            </Button>
          )}
        </Controls>
      )}
      <div aria-live="polite" className="mt-2 min-h-12">
        {wish ? (
          <Outcome moving={moving} subject={subject} names={names} pending={pending} onTake={takeWay} />
        ) : (
          block.state === 'open' && (
            <p className="text-ink-soft">
              Drag it, or step it along here. {subject.kind === 'operation' && 'Green is where it may begin.'}
            </p>
          )
        )}
        <Refused refusal={refusal} />
      </div>
    </section>
  )
}

/** Steps in time, and what to take in hand, where and by whom. */
function Controls({
  view,
  moving,
  subject,
  names,
  children,
}: {
  view: BoardView
  moving: Moving
  subject: Subject
  names: MoveNames
  children: React.ReactNode
}) {
  const stay = stayOf(view, subject)
  const block = blockOf(view, subject)
  if (!stay || !block) return null
  const open = stay.blocks.filter(({ state }) => state === 'open')
  if (open.length === 0) return null
  const value = subject.kind === 'operation' ? subject.operation : ''
  const people = view.rows.filter(({ kind }) => kind === 'person')
  const places = view.rows.filter(({ kind }) => kind === 'place')
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <span className="flex items-center gap-2">
        <span aria-hidden className="font-head text-sm font-semibold">
          Move
        </span>
        <select
          aria-label="What to move"
          className="field w-auto"
          value={value}
          onChange={({ target }) =>
            moving.take(
              target.value === ''
                ? { kind: 'stay', job: subject.job, stay: stay.stayId }
                : { kind: 'operation', job: subject.job, operation: toOperationId(target.value) },
            )
          }
        >
          <option value="">All from here on</option>
          {open.map(({ operation }) => (
            <option key={operation.id} value={operation.id}>
              {stepTitle(view.timeline.region, operation.title)}
            </option>
          ))}
        </select>
      </span>
      {block.state === 'open' &&
        STEPS.map(({ name, minutes }) => (
          <Button key={name} look="outline" onClick={() => moving.shift(minutes)}>
            {name}
          </Button>
        ))}
      <span className="flex items-center gap-2">
        <span aria-hidden className="font-head text-sm font-semibold">
          in
        </span>
        <select
          aria-label="Where"
          className="field w-auto"
          value={moving.wish?.place ?? block.place}
          onChange={({ target }) => moving.ask({ place: toBayId(target.value) })}
        >
          {places.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </span>
      {subject.kind === 'operation' && block.people.length > 0 && (
        <span className="flex items-center gap-2">
          <span aria-hidden className="font-head text-sm font-semibold">
            by
          </span>
          <select
            aria-label="By whom"
            className="field w-auto"
            value={moving.wish?.person ?? block.people[0]}
            onChange={({ target }) => moving.ask({ person: toPersonId(target.value) })}
          >
            {people.map(({ id }) => (
              <option key={id} value={id}>
                {names.person(id)}
              </option>
            ))}
          </select>
        </span>
      )}
      {children}
    </div>
  )
}

/** What the wish comes to: its price and the ways to take it, or the rule against it and the nearest that is allowed. */
function Outcome({
  moving: { mover, ask, dragging },
  subject,
  names,
  pending,
  onTake,
}: {
  moving: Moving
  subject: Subject
  names: MoveNames
  pending: boolean
  onTake: (way: Rearranged) => void
}) {
  const { trial, blocked, failed } = mover
  const at = (way: Rearranged) => moment(names.region, way.start, names.now)
  if (failed) return <p className="text-copper">{UNREACHED.message}</p>
  if (blocked)
    return (
      <p className="text-copper">
        The current schedule cannot be met, so nothing can be moved. Re-plan first.{' '}
        {blocked[0] && blockedText(blocked[0], names)}
      </p>
    )
  if (!trial) return <p className="text-ink-soft">Trying it…</p>
  const { tried } = trial
  if (tried.kind === 'refused') {
    const { nearest } = tried
    const operation = subject.kind === 'operation' ? subject.operation : undefined
    return (
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <p className="max-w-prose font-semibold text-copper">
          {refusalText(tried.refusal, subject.job, operation, names)}
        </p>
        {nearest && !dragging && (
          <Button look="outline" onClick={() => ask({ start: nearest.start })}>
            Nearest allowed: {at(nearest)}
          </Button>
        )}
      </div>
    )
  }
  return (
    <ul className="space-y-2">
      {tried.ways.map((way, index) => (
        <li key={`${way.start} ${way.pushed.length}`} className="flex flex-wrap items-center gap-x-4 gap-y-1">
          {!dragging && (
            <Button
              look={index === 0 ? 'solid' : 'outline'}
              disabled={pending || way.changes.length === 0}
              onClick={() => onTake(way)}
            >
              {index === 0
                ? 'Move it to'
                : way.pushed.length > 0
                  ? 'Before the others,'
                  : 'Without moving anyone,'}{' '}
              {at(way)}
            </Button>
          )}
          <p className={way.lateMinutes > 0 ? 'max-w-prose text-copper' : 'max-w-prose'}>
            {wayText(way, subject.job, names).join(' ')}
            {!dragging && <WayChances way={way} chances={mover.chances} names={names} />}
          </p>
        </li>
      ))}
    </ul>
  )
}
