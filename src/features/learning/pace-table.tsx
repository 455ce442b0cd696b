'use client'

import { useState } from 'react'
import type { Learned, PaceChange, Period } from '@/core/learning'
import type { Region } from '@/core/region'
import { dayIn } from '@/core/time'
import { acceptPace, dropPace } from '@/server/learning/learning-actions'
import { workName } from '@/text/en/learning'
import { percent, shortDay } from '@/text/formats'
import { Button } from '@/ui/button'
import { ScrollStrip } from '@/ui/scroll-strip'
import { useAction } from '@/ui/use-action'
import { useMethodNames } from '../method-names'

type Props = { pace: Learned['pace']; changes: readonly PaceChange[]; months: Period; region: Region }

const againstTable = (region: Region, factor: number) =>
  Math.abs(factor - 1) < 0.005
    ? 'standard time'
    : `${factor > 1 ? '+' : '−'}${percent(region, Math.round(Math.abs(factor - 1) * 100))}`

/** What was learned of the table of minutes, and the manager’s word on it: nothing changes by itself. */
export function PaceTable({ pace, changes, months, region }: Props) {
  const { methods } = useMethodNames()
  const worth = pace.filter(({ worthAccepting }) => worthAccepting)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(worth.map(({ key }) => key)))
  const { run, pending, refusal, isDone } = useAction()
  const toggle = (key: string) => {
    const next = new Set(chosen)
    if (!next.delete(key)) next.add(key)
    setChosen(next)
  }
  const accepted = worth.filter(({ key }) => chosen.has(key))
  return (
    <>
      <p className="max-w-prose">
        Each factor stays close to the standard time until enough jobs show otherwise. Where one differs by
        more than chance, you may take it over; offers and schedules use it from then on.
      </p>
      <ScrollStrip label="How long each kind of work takes" className="mt-3">
        <table className="w-full text-[15px]">
          <thead>
            <tr className="text-left text-sm text-ink-soft">
              <th className="py-1 font-normal">Work</th>
              <th className="py-1 text-right font-normal">Jobs</th>
              <th className="py-1 text-right font-normal">In use</th>
              <th className="py-1 pl-4 font-normal">Learned, with likely range</th>
              <th className="py-1 text-right font-normal">Take over</th>
            </tr>
          </thead>
          <tbody>
            {pace.map(({ key, jobs, factor, low, high, current, worthAccepting }) => (
              <tr key={key} className="border-t border-line">
                <th className="py-1 pr-3 text-left font-normal">{workName(key, methods)}</th>
                <td className="text-right">{jobs}</td>
                <td className="text-right whitespace-nowrap">
                  {againstTable(region, current)}
                  {current !== 1 && (
                    <Button look="quiet" disabled={pending} onClick={() => run(dropPace, { key })}>
                      Back to the table
                    </Button>
                  )}
                </td>
                <td className="pl-4">
                  <Whisker factor={factor} low={low} high={high} current={current} />
                </td>
                <td className="text-right">
                  {worthAccepting ? (
                    <label className="inline-flex min-h-11 items-center gap-2 whitespace-nowrap">
                      <strong>{againstTable(region, factor)}</strong>
                      <input
                        type="checkbox"
                        className="size-6 accent-fern"
                        aria-label={`Take over ${workName(key, methods)}`}
                        checked={chosen.has(key)}
                        onChange={() => toggle(key)}
                      />
                    </label>
                  ) : (
                    <span className="inline-flex min-h-11 items-center text-ink-soft">
                      {againstTable(region, factor)}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollStrip>
      {worth.length > 0 && (
        <Button
          className="mt-3"
          disabled={pending || accepted.length === 0}
          onClick={() =>
            run(acceptPace, { months, shown: accepted.map(({ key, factor }) => ({ key, factor })) })
          }
        >
          Take over {accepted.length} {accepted.length === 1 ? 'change' : 'changes'}
        </Button>
      )}
      {isDone && (
        <p role="status" className="mt-2">
          Taken over. New offers use it. What is agreed stays as it is.
        </p>
      )}
      {refusal && (
        <p role="alert" className="mt-2 font-semibold text-copper">
          {refusal.message}
        </p>
      )}
      {changes.length > 0 && (
        <details className="mt-3">
          <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
            What was taken over before
          </summary>
          <ul className="text-[15px]">
            {changes.map(({ key, before, after, jobs, at }) => (
              <li key={`${key} ${at}`}>
                {shortDay(region, dayIn(region.timezone, at))}: {workName(key, methods)} from{' '}
                {againstTable(region, before)} to {againstTable(region, after)}
                {jobs > 0 && `, after ${jobs} jobs`}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}

/** From half the table to twice it, on a line of equal steps for equal factors. */
const REACH = Math.log(2)
const xOf = (factor: number) => 50 + (50 * Math.max(-REACH, Math.min(REACH, Math.log(factor)))) / REACH

type WhiskerProps = { factor: number; low: number; high: number; current: number }

function Whisker({ factor, low, high, current }: WhiskerProps) {
  return (
    <svg
      viewBox="0 0 100 14"
      className="block h-4 w-full min-w-40"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <path d="M0,7 H100" className="stroke-line" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      <path d="M50,1 V13" className="stroke-ink-soft" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      <path
        d={`M${xOf(low)},7 H${xOf(high)}`}
        className="stroke-fern"
        strokeWidth={5}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${xOf(factor)},0 V14`}
        className="stroke-fern"
        strokeWidth={3}
        vectorEffect="non-scaling-stroke"
      />
      {current !== 1 && (
        <path
          d={`M${xOf(current)},0 V14`}
          className="stroke-copper"
          strokeWidth={2}
          strokeDasharray="3 2"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  )
}
