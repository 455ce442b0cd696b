'use client'

import clsx from 'clsx'
import type { FlashState } from '@/core/card'
import { coatSections, flashState, secondsLeft, timerText, workOn } from '@/core/card'
import { windowState } from '@/core/coating'
import type { PersonId } from '@/core/ids'
import { progressAt } from '@/core/job'
import { openedWindow } from '@/core/planning'
import { plusMinutes } from '@/core/time'
import { timerName } from '@/text/en/at-the-car'
import { staffPanel } from '@/text/en/staff-panels'
import { stepTitle } from '@/text/en/step-names'
import { duration, moment } from '@/text/formats'
import { useAlarm, useLitScreen, useSilent } from './alarm'
import { flashWords } from './flash-words'
import type { Card } from './use-card'

/** A window is warned of when it closes within this many minutes (mem). */
const WARN_MINUTES = 60

type Wet = {
  id: string
  by: PersonId
  where: FlashState
  words: string
  /** Of another car than this one. */
  plate?: string
}

/** Sections of this car that flash. */
function wetSections({ view, state, now }: Card): Wet[] {
  return view.live.plan.operations.flatMap(({ id: operation }): Wet[] => {
    const sheet = view.sheets[operation]
    if (!sheet?.coat || state.progress[operation]?.kind !== 'started') return []
    const { flash } = sheet.coat
    return coatSections(workOn(state, operation), sheet.tasks).flatMap(({ panel, section, known }): Wet[] =>
      known?.stage === 'wet'
        ? [
            {
              id: `${operation}/${panel}/${section}`,
              by: known.by,
              where: flashState(known.at, flash, now),
              words: panel,
            },
          ]
        : [],
    )
  })
}

/** What whoever holds this tablet has flashing on other cars. */
const wetElsewhere = ({ view, now }: Card): Wet[] =>
  (view.wetElsewhere ?? []).map(({ plate, panel, section, at, by, flash }) => ({
    id: `${plate}/${panel}/${section}`.replaceAll(' ', '_'),
    by,
    where: flashState(at, flash, now),
    words: staffPanel(view.region, panel),
    plate,
  }))

/** Everything that runs: timers set by hand, the window of the next layer, the cure. Large, and heard when over. */
export function TimerStrip({ card, me }: { card: Card; me: PersonId }) {
  const { state, view, now } = card
  const running = view.live.plan.operations.flatMap(({ id: operation }) =>
    workOn(state, operation)
      .timers.filter(({ off }) => !off)
      .map((timer) => ({ operation, timer })),
  )
  const over = running.filter(({ timer }) => secondsLeft(timer, now) <= 0).map(({ timer }) => timer.id)
  const wet = wetSections(card)
  const mine = [...wet, ...wetElsewhere(card)].filter(({ by }) => by === me)
  const dueNow = mine.filter(({ where }) => where.kind !== 'wait').map(({ id }) => id)
  useAlarm([...over, ...dueNow])
  useLitScreen(mine.length > 0)
  const isSilent = useSilent(running.length + mine.length > 0)
  const elsewhere = mine.filter(({ plate }) => plate !== undefined)
  const live = { ...view.live, progress: state.progress }
  const windows = live.plan.operations.flatMap((operation) => {
    if (progressAt(live, operation, now).kind !== 'open') return []
    const window = openedWindow(live, operation, now)
    return window ? [{ operation, window, state: windowState(window, now) }] : []
  })
  const holds = live.plan.operations.flatMap((operation) => {
    const progress = progressAt(live, operation, now)
    return operation.mode === 'unattended' && progress.kind === 'started'
      ? [{ operation, until: plusMinutes(progress.at, operation.minutes) }]
      : []
  })
  if (running.length + windows.length + holds.length + elsewhere.length === 0 && !isSilent) return null
  return (
    <ul aria-label="What runs" className="flex flex-wrap gap-3">
      {isSilent && (
        <li className="flex min-h-16 items-center rounded-md border-2 border-copper bg-copper-soft px-4 text-copper">
          This tablet makes no sound. Touch it once, and see that its volume is up.
        </li>
      )}
      {elsewhere.map(({ id, plate, words, where }) => (
        <li
          key={id}
          data-testid="wet-elsewhere"
          className={clsx(
            'flex min-h-16 flex-col justify-center rounded-md border-2 px-4 py-1',
            where.kind === 'wait' ? 'border-line bg-sheet' : 'border-copper bg-copper-soft text-copper',
          )}
        >
          <span className="text-sm">
            {plate}, {words}
          </span>
          <span className="font-head text-xl font-bold">{flashWords(where)}</span>
        </li>
      ))}
      {running.map(({ operation, timer }) => {
        const left = secondsLeft(timer, now)
        return (
          <li key={timer.id}>
            <button
              type="button"
              className={clsx(
                'sheet flex min-h-16 items-center gap-4 px-4 text-left',
                left <= 0 && 'border-2 border-copper bg-copper-soft',
              )}
              onClick={() => card.add(me, { kind: 'timer-off', operation, timer: timer.id })}
            >
              <span className={clsx('font-head text-4xl font-bold', left <= 0 && 'text-copper')}>
                {timerText(left)}
              </span>
              <span>
                {timerName(timer.label)}
                <span className="block text-sm text-ink-soft">
                  {left > 0 ? 'runs; tap to end it' : 'is over; tap when seen to'}
                </span>
              </span>
            </button>
          </li>
        )
      })}
      {windows.map(({ operation, window, state: where }) => (
        <li
          key={operation.id}
          data-testid={`window-${operation.id}`}
          className={clsx(
            'flex min-h-16 flex-col justify-center rounded-md border-2 px-4 py-1',
            where.kind === 'open' && where.closesInMinutes > WARN_MINUTES
              ? 'border-fern bg-sheet'
              : 'border-copper bg-copper-soft text-copper',
          )}
        >
          <span className="text-sm">{stepTitle(view.region, operation.title)}</span>
          <span className="font-head text-xl font-bold">
            {where.kind === 'not-yet'
              ? `opens in ${duration(view.region, Math.ceil(where.opensInMinutes))}`
              : where.kind === 'open'
                ? `closes in ${duration(view.region, Math.floor(where.closesInMinutes))}, ${moment(view.region, window.closes, now)}`
                : `closed ${moment(view.region, window.closes, now)}`}
          </span>
        </li>
      ))}
      {holds.map(({ operation, until }) => (
        <li
          key={operation.id}
          className="flex min-h-16 flex-col justify-center rounded-md border-2 border-copper bg-sheet px-4 py-1 text-copper"
        >
          <span className="text-sm">{stepTitle(view.region, operation.title)}</span>
          <span className="font-head text-xl font-bold">until {moment(view.region, until, now)}</span>
        </li>
      ))}
    </ul>
  )
}
