'use client'

import { type KeyboardEvent, type RefObject, useEffect, useState } from 'react'
import { inOtherUnit, type PanelJudgement } from '@/core/survey'
import { filmUm } from '@/core/units'
import { staffPanelName } from '@/text/en/staff-panels'
import { measured, unitSign } from '@/text/formats'
import { readQuantity } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'

type Props = {
  inputRef: RefObject<HTMLInputElement | null>
  judged: PanelJudgement
  onReading: (filmUm: number) => void
  onUndo: () => void
  onWalk: (step: number) => void
}

const WALK: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 }

/** One field for one reading after the other: Enter keeps it, an empty Enter or an arrow walks on. */
export function ReadingEntry({ inputRef, judged, onReading, onUndo, onWalk }: Props) {
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const [doubt, setDoubt] = useState<{ um: number; other: number }>()
  const region = useRegion()
  // Typing is what this page is for, so the field takes the focus, but never away from someone walking on the plan. It is
  // moved into view only for who asked for its panel: under a hand about to press a button, the page must not jump.
  useEffect(() => {
    const { activeElement, body } = document
    if (!activeElement?.closest('[role="radiogroup"]'))
      inputRef.current?.focus({ preventScroll: activeElement === body })
  }, [inputRef])
  if (judged.finding.kind === 'unreadable' || judged.finding.kind === 'film') return null

  const keep = () => {
    if (text.trim() === '') return onWalk(1)
    const typed = readQuantity(region, 'depth', text)
    if (typed.kind !== 'number')
      return setError(`“${text}” is not a number. Type a reading, such as ${measured(region, 'depth', 104)}.`)
    const film = filmUm(typed.value)
    if (!film.ok)
      return setError(
        `${measured(region, 'depth', typed.value)} cannot be. Plausible readings lie between 0 and ${measured(region, 'depth', film.error.maxUm)}.`,
      )
    const other = inOtherUnit(region.units.depth, film.value)
    if (other === undefined) take(film.value)
    else setDoubt({ um: film.value, other })
  }
  const take = (um: number) => {
    onReading(Math.round(um * 10) / 10)
    setText('')
    setError(undefined)
    setDoubt(undefined)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const step = WALK[event.key]
    if (event.key === 'Enter') {
      event.preventDefault()
      keep()
    } else if (step !== undefined && text === '') {
      event.preventDefault()
      onWalk(step)
    } else if (event.key === 'Backspace' && text === '') onUndo()
  }
  return (
    <>
      <Field
        label={`Reading on ${staffPanelName(region, judged.panel.id)}, ${unitSign(region, 'depth')}`}
        hint="Press Enter to save. Press Enter on an empty box for the next panel."
        error={error}
      >
        <input
          ref={inputRef}
          className="field text-2xl"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          onChange={(event) => {
            setText(event.target.value)
            setError(undefined)
            setDoubt(undefined)
          }}
          onKeyDown={onKeyDown}
        />
      </Field>
      {doubt && (
        <div
          role="alert"
          className="mt-2 flex flex-wrap items-center gap-2 text-sm font-semibold text-copper"
        >
          No paint reads {measured(region, 'depth', doubt.um, 1)}. Was the gauge set to{' '}
          {region.units.depth === 'um' ? 'mil' : 'µm'}?
          <Button onClick={() => take(doubt.other)}>Save {measured(region, 'depth', doubt.other)}</Button>
          <Button look="outline" onClick={() => take(doubt.um)}>
            Save {measured(region, 'depth', doubt.um, 1)}
          </Button>
        </div>
      )}
    </>
  )
}
