'use client'

import { useState } from 'react'
import type { LearnedOf, PaceChange, Period } from '@/core/learning'
import type { Region } from '@/core/region'
import { dayIn } from '@/core/time'
import { acceptLearned, dropLearned } from '@/server/learning/learning-actions'
import { percent, shortDay } from '@/text/formats'
import { Button } from '@/ui/button'
import { ScrollStrip } from '@/ui/scroll-strip'
import { useAction } from '@/ui/use-action'
import { Whisker } from './whisker'

export type LearnedRow = {
  key: string
  name: string
  /** Jobs or cars behind it. */
  seen: number
  factor: number
  low: number
  high: number
  current: number
  worthAccepting: boolean
  /** What else stands beside it. */
  aside?: string
}

type Props = {
  of: LearnedOf
  rows: readonly LearnedRow[]
  /** Headings, and what a factor of 1 is called. */
  words: { label: string; name: string; seen: string; aside?: string; asTable: string }
  nameOf: (key: string) => string
  changes: readonly PaceChange[]
  months: Period
  region: Region
}

/** Factors learned against a table of the shop, and the manager’s word on each: nothing changes by itself. */
export function LearnedTable({ of, rows, words, nameOf, changes, months, region }: Props) {
  const worth = rows.filter(({ worthAccepting }) => worthAccepting)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(worth.map(({ key }) => key)))
  const { run, pending, refusal, isDone } = useAction()
  const against = (factor: number) =>
    Math.abs(factor - 1) < 0.005
      ? words.asTable
      : `${factor > 1 ? '+' : '−'}${percent(region, Math.round(Math.abs(factor - 1) * 100))}`
  const toggle = (key: string) => {
    const next = new Set(chosen)
    if (!next.delete(key)) next.add(key)
    setChosen(next)
  }
  const accepted = worth.filter(({ key }) => chosen.has(key))
  return (
    <>
      <ScrollStrip label={words.label} className="mt-3">
        <table className="w-full text-[15px]">
          <thead>
            <tr className="text-left text-sm text-ink-soft">
              <th className="py-1 font-normal">{words.name}</th>
              <th className="py-1 text-right font-normal">{words.seen}</th>
              {words.aside && <th className="py-1 pl-4 text-right font-normal">{words.aside}</th>}
              <th className="py-1 text-right font-normal">In use</th>
              <th className="py-1 pl-4 font-normal">Learned, with likely range</th>
              <th className="py-1 text-right font-normal">Take over</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ key, name, seen, aside, factor, low, high, current, worthAccepting }) => (
              <tr key={key} className="border-t border-line">
                <th className="py-1 pr-3 text-left font-normal">{name}</th>
                <td className="text-right">{seen}</td>
                {words.aside && <td className="pl-4 text-right whitespace-nowrap">{aside}</td>}
                <td className="text-right whitespace-nowrap">
                  {against(current)}
                  {current !== 1 && (
                    <Button look="quiet" disabled={pending} onClick={() => run(dropLearned, { of, key })}>
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
                      <strong>{against(factor)}</strong>
                      <input
                        type="checkbox"
                        className="size-6 shrink-0 accent-fern"
                        aria-label={`Take over ${name}`}
                        checked={chosen.has(key)}
                        onChange={() => toggle(key)}
                      />
                    </label>
                  ) : (
                    <span className="inline-flex min-h-11 items-center text-ink-soft">{against(factor)}</span>
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
            run(acceptLearned, { of, months, shown: accepted.map(({ key, factor }) => ({ key, factor })) })
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
                {shortDay(region, dayIn(region.timezone, at))}: {nameOf(key)} from {against(before)} to{' '}
                {against(after)}
                {jobs > 0 && `, after ${jobs} jobs`}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}
