'use client'

import { useEffect, useRef, useState } from 'react'
import type { Setup } from '@/core/shop'
import type { Instant } from '@/core/time'
import {
  BUSIER,
  type Busier,
  costPerWeek,
  LIVES,
  PATIENCE_DAYS,
  type Question,
  type ShopTrial,
} from '@/core/what-if'
import { keepTrial, whatToTry } from '@/server/what-if/what-if-actions'
import { demandText } from '@/text/en/what-if'
import { currencySign, percent } from '@/text/formats'
import { amountText, minorOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { Refused } from '@/ui/refused'
import { reach, useAction } from '@/ui/use-action'
import { ShopCrumb } from '../shop/shop-crumb'
import { ChangeForm, changeOf, firstTyped } from './change-form'
import { TrialCard } from './trial-card'
import { type Trying, tryChange } from './try-change'

type Found = Parameters<typeof keepTrial>[0]['input']

type Props = { setup: Setup; trials: readonly ShopTrial[]; now: Instant }

/** A change of the shop is tried before it is paid for: what it would buy stands beside what it costs. */
export function WhatIfScreen({ setup, trials, now }: Props) {
  const { region } = setup
  const [typed, setTyped] = useState(() => firstTyped(setup))
  const [busier, setBusier] = useState<Busier>(1)
  /** What it costs a week where the manager knows better than the shop’s figures. */
  const [ownCost, setOwnCost] = useState<string>()
  const [share, setShare] = useState<number>()
  const [message, setMessage] = useState('')
  /** The comparison under way; `cancel` is there once there is something to break off. */
  const trying = useRef<{ cancel?: Trying['cancel'] } | undefined>(undefined)
  const { run, pending, refusal, errorAt, clear } = useAction()
  /** What was found and is not in the shop’s list yet: the line may have been down. */
  const [unkept, setUnkept] = useState<Found>()
  const change = changeOf(setup, typed)
  const cost = ownCost ?? (change ? amountText(region, costPerWeek(setup, change)) : '')

  const keep = (trial: Found) => {
    setUnkept(trial)
    run(keepTrial, trial, () => setUnkept(undefined))
  }

  const start = async (question: Question) => {
    const weeklyCents = minorOf(region, cost)
    if (!Number.isFinite(weeklyCents)) return setMessage('Type what it costs a week, or 0.')
    clear()
    setUnkept(undefined)
    setMessage('')
    setShare(0)
    const own: NonNullable<typeof trying.current> = {}
    trying.current = own
    const isOver = () => trying.current !== own
    try {
      const told = await reach(whatToTry(null))
      if (isOver()) return
      if (!told.ok) return setMessage(told.message)
      const { found, cancel: end } = tryChange(told.value, question, (next) => isOver() || setShare(next))
      own.cancel = end
      const result = await found
      if (result && !isOver()) keep({ ...question, weeklyCents, bought: result })
    } catch {
      if (!isOver()) setMessage('The comparison has failed. Nothing was changed; try again.')
    } finally {
      if (!isOver()) {
        trying.current = undefined
        setShare(undefined)
      }
    }
  }

  const cancel = () => {
    trying.current?.cancel?.()
    trying.current = undefined
    setShare(undefined)
  }

  // Whoever goes to another page no longer waits for it.
  useEffect(
    () => () => {
      trying.current?.cancel?.()
      trying.current = undefined
    },
    [],
  )

  return (
    <div className="mx-auto max-w-6xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">What would it buy?</h1>
      <p className="mt-1 max-w-prose">
        Try a change before you pay for it. What is booked is re-planned for the shop as it would be, and the
        past year is lived through again, day by day, {LIVES} times with good and bad luck. Nothing of the
        shop is changed.
      </p>
      <div className="mt-5 grid items-start gap-6 xl:grid-cols-[22rem_1fr]">
        <section className="sheet space-y-4 p-4" aria-label="A change">
          <ChangeForm
            setup={setup}
            typed={typed}
            onChange={(next) => {
              setTyped(next)
              setOwnCost(undefined)
              clear()
            }}
          />
          <Field
            label={`Costs a week, ${currencySign(region)}`}
            hint="By what hours and bays cost you, as set on Learning. Type what you know better."
            {...errorAt('weeklyCents')}
          >
            <NumberInput value={cost} onChange={setOwnCost} />
          </Field>
          <Field
            label="Demand of the year"
            hint={`Whoever would wait more than ${PATIENCE_DAYS} days for the car goes elsewhere.`}
          >
            <select
              className="field"
              value={busier}
              onChange={({ target }) => setBusier(Number(target.value) as Busier)}
            >
              {BUSIER.map((times) => (
                <option key={times} value={times}>
                  {demandText(times)}
                </option>
              ))}
            </select>
          </Field>
          {share === undefined ? (
            <Button disabled={!change} onClick={() => change && start({ change, busier })}>
              Try it
            </Button>
          ) : (
            <div className="flex items-center gap-3">
              <progress
                className="h-2 min-w-0 flex-1 appearance-none overflow-hidden rounded bg-line [&::-webkit-progress-bar]:bg-line [&::-webkit-progress-value]:bg-fern [&::-moz-progress-bar]:bg-fern"
                max={1}
                value={share}
                aria-label="Trying"
              />
              <span className="w-10 text-right tabular-nums">{percent(region, Math.floor(100 * share))}</span>
              <Button look="quiet" onClick={cancel}>
                Cancel
              </Button>
            </div>
          )}
          {!change && <p className="text-sm text-ink-soft">This would change nothing.</p>}
          <p role="status">{message}</p>
          <Refused refusal={refusal?.field === 'weeklyCents' ? undefined : refusal} />
          {refusal && unkept && (
            <Button look="outline" disabled={pending} onClick={() => keep(unkept)}>
              Save what was found
            </Button>
          )}
        </section>
        <div className="space-y-5">
          {trials.length === 0 && (
            <p className="rounded bg-lichen/60 p-6 text-lg">
              What you try stands here, one change beside the other, until you remove it. It takes about half
              a minute.
            </p>
          )}
          {trials.map((trial) => (
            <TrialCard key={trial.id} trial={trial} region={region} now={now} />
          ))}
        </div>
      </div>
    </div>
  )
}
