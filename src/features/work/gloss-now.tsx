'use client'

import { useState } from 'react'
import { GLOSS_MAX_GU } from '@/core/survey'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'

type Props = { targetGu: number; gu: number | undefined; onRead: (gu: number) => void }

/** Gloss after the step, read against what was agreed: go on, or stop. */
export function GlossNow({ targetGu, gu, onRead }: Props) {
  const [text, setText] = useState('')
  const value = Number(text.replace(',', '.'))
  const isFault = text !== '' && !(value >= 0 && value <= GLOSS_MAX_GU)
  const read = () => {
    if (text === '' || isFault) return
    onRead(value)
    setText('')
  }
  return (
    <form
      className="flex w-full flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        read()
      }}
    >
      <div className="w-40">
        <Field
          label="Gloss now, GU"
          {...(isFault ? { error: `Between 0 and ${GLOSS_MAX_GU}, such as 72.` } : {})}
        >
          <input
            className="field"
            inputMode="decimal"
            autoComplete="off"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </Field>
      </div>
      <Button look="outline" onClick={read}>
        Enter
      </Button>
      <p className="min-h-11 py-2 font-semibold" data-testid="gloss-now" aria-live="polite">
        {gu === undefined
          ? `Agreed: ${targetGu} GU. Read it after the step.`
          : gu >= targetGu
            ? `${gu} GU of ${targetGu}: reached. Stop here; spend no more paint.`
            : `${gu} GU of ${targetGu}: go on, as far as the paint can spare.`}
      </p>
    </form>
  )
}
