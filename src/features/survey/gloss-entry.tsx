'use client'

import { type KeyboardEvent, useState } from 'react'
import type { Answer } from '@/core/answer'
import { GLOSS_MAX_GU, glossWord, mean } from '@/core/survey'
import { number } from '@/text/formats'
import { readNumber } from '@/text/typed'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'

type Props = {
  panelName: string
  gloss: readonly number[]
  clarity: number | undefined
  readOnly: boolean
  onGloss: (values: number[]) => void
  onClarity: (value: number) => void
  /** Undefined where no meter is connected. */
  onMeter: (() => Promise<Answer<number[]>>) | undefined
}

/** Gloss at 60° from the meter or the keyboard, and how sharp a lamp's edge stands in the paint, 0–10. */
export function GlossEntry({ panelName, gloss, clarity, readOnly, onGloss, onClarity, onMeter }: Props) {
  const region = useRegion()
  const [text, setText] = useState('')
  const [error, setError] = useState<string>()
  const [asking, setAsking] = useState(false)
  const keep = () => {
    if (text.trim() === '') return
    const typed = readNumber(region, text)
    const value = typed.kind === 'number' ? typed.value : Number.NaN
    if (!(value >= 0 && value <= GLOSS_MAX_GU))
      return setError(`Type gloss units between 0 and ${GLOSS_MAX_GU}, such as 92.`)
    onGloss([...gloss, Math.round(value * 10) / 10])
    setText('')
    setError(undefined)
  }
  const ask = async () => {
    setAsking(true)
    if (!onMeter) return
    const answer = await onMeter()
    setAsking(false)
    if (answer.ok) onGloss([...gloss, ...answer.value])
    else if (answer.code === 'unreached')
      setError('The meter does not answer. Set it on the panel and ask again, or type its reading.')
    else setError(answer.message)
  }
  return (
    <section className="mt-3 border-t border-line pt-3" aria-label={`Gloss of ${panelName.toLowerCase()}`}>
      <p className="flex items-baseline justify-between gap-3">
        <span className="font-head font-semibold">Gloss at 60°</span>
        <span data-testid="gloss">
          {gloss.length > 0 ? (
            <>
              <strong>{number(region, mean(gloss), 1)} GU</strong>{' '}
              <span className="text-ink-soft">
                {glossWord(mean(gloss))}, {gloss.length} {gloss.length === 1 ? 'reading' : 'readings'}
              </span>
            </>
          ) : (
            <span className="text-ink-soft">not read</span>
          )}
        </span>
      </p>
      {!readOnly && (
        <div className="mt-2 flex gap-2">
          <input
            className="field"
            aria-label="Gloss reading, GU"
            aria-invalid={error ? true : undefined}
            inputMode="decimal"
            autoComplete="off"
            placeholder="GU"
            value={text}
            onChange={(event) => {
              setText(event.target.value)
              setError(undefined)
            }}
            onKeyDown={(event: KeyboardEvent) => {
              if (event.key === 'Enter') keep()
              if (event.key === 'Backspace' && text === '') onGloss(gloss.slice(0, -1))
            }}
          />
          {onMeter && (
            <Button look="outline" className="shrink-0" disabled={asking} onClick={() => void ask()}>
              From meter
            </Button>
          )}
        </div>
      )}
      {error && (
        <p role="alert" className="mt-1 text-sm font-semibold text-copper">
          {error}
        </p>
      )}
      <label className="mt-3 block">
        <span className="flex justify-between font-head text-sm font-semibold">
          Clarity of the reflection
          <span>{clarity === undefined ? 'not judged' : `${clarity} of 10`}</span>
        </span>
        <input
          type="range"
          min={0}
          max={10}
          step={1}
          className="h-11 w-full accent-fern"
          disabled={readOnly}
          value={clarity ?? 0}
          aria-valuetext={clarity === undefined ? 'not judged' : `${clarity} of 10`}
          onChange={(event) => onClarity(Number(event.target.value))}
        />
        <span className="flex justify-between text-xs text-ink-soft">
          <span>the lamp is a glow</span>
          <span>its edge is sharp</span>
        </span>
      </label>
    </section>
  )
}
