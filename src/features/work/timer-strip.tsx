'use client'

import clsx from 'clsx'
import { useEffect, useRef } from 'react'
import { secondsLeft, timerText, workOn } from '@/core/card'
import { windowState } from '@/core/coating'
import type { PersonId } from '@/core/ids'
import { progressAt } from '@/core/job'
import { openedWindow } from '@/core/planning'
import { plusMinutes } from '@/core/time'
import { timerName } from '@/text/en/at-the-car'
import { stepTitle } from '@/text/en/step-names'
import { duration, moment } from '@/text/formats'
import type { Card } from './use-card'

/** A window is warned of when it closes within this many minutes (mem). */
const WARN_MINUTES = 60

/** Everything that runs: timers set by hand, the window of the next layer, the cure. Large, and heard when over. */
export function TimerStrip({ card, me }: { card: Card; me: PersonId }) {
  const { state, view, now } = card
  const running = view.live.plan.operations.flatMap(({ id: operation }) =>
    workOn(state, operation)
      .timers.filter(({ off }) => !off)
      .map((timer) => ({ operation, timer })),
  )
  const over = running.filter(({ timer }) => secondsLeft(timer, now) <= 0).map(({ timer }) => timer.id)
  useAlarm(over)
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
  if (running.length + windows.length + holds.length === 0) return null
  return (
    <ul aria-label="What runs" className="flex flex-wrap gap-3">
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

/** Beeps and shakes once for each timer that comes to its end while the card is open. */
function useAlarm(over: readonly string[]): void {
  const heard = useRef<Set<string> | undefined>(undefined)
  const ids = over.join(' ')
  useEffect(() => {
    const now = ids === '' ? [] : ids.split(' ')
    // What was over already when the card was opened is seen, not heard.
    if (heard.current && now.some((id) => !heard.current!.has(id))) ring()
    heard.current = new Set([...(heard.current ?? []), ...now])
  }, [ids])
}

function ring(): void {
  navigator.vibrate?.([300, 120, 300])
  try {
    const audio = new AudioContext()
    for (const [index, start] of [0, 0.35, 0.7].entries()) {
      const tone = audio.createOscillator()
      const gain = audio.createGain()
      tone.frequency.value = index === 2 ? 880 : 660
      gain.gain.value = 0.2
      tone.connect(gain).connect(audio.destination)
      tone.start(audio.currentTime + start)
      tone.stop(audio.currentTime + start + 0.22)
    }
  } catch {
    // A tablet without sound still shows it.
  }
}
