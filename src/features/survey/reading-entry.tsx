'use client'

import { type KeyboardEvent, type RefObject, useEffect, useState } from 'react'
import type { PanelJudgement } from '@/core/survey'
import { filmUm } from '@/core/units'
import { Field } from '@/ui/field'

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
  // Typing is what this page is for, so the field takes the focus, but never away from someone walking on the plan.
  useEffect(() => {
    if (!document.activeElement?.closest('[role="radiogroup"]')) inputRef.current?.focus()
  }, [inputRef])
  if (judged.finding.kind === 'unreadable' || judged.finding.kind === 'film') return null

  const keep = () => {
    if (text.trim() === '') return onWalk(1)
    const value = Number(text.trim().replace(',', '.'))
    const film = filmUm(value)
    if (Number.isNaN(value)) setError(`“${text}” is not a number. Type a reading in µm, such as 104.`)
    else if (!film.ok)
      setError(`${value} µm cannot be. Plausible readings lie between 0 and ${film.error.maxUm} µm.`)
    else {
      onReading(Math.round(film.value * 10) / 10)
      setText('')
      setError(undefined)
    }
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
    <Field
      label={`Reading on ${judged.panel.name.toLowerCase()}, µm`}
      hint="Enter keeps it. An empty Enter walks on."
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
        }}
        onKeyDown={onKeyDown}
      />
    </Field>
  )
}
