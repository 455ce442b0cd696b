'use client'

import { type PointerEvent, useState } from 'react'
import type { Signature } from '@/core/survey'
import { Button } from '@/ui/button'

type Props = { value: Signature; error?: string | undefined; onChange: (strokes: Signature) => void }
type Stroke = Signature[number]

/** Height of the field as a share of its width; points are kept in shares of the width. */
const RATIO = 0.28
const round = (share: number) => Math.round(Math.min(1, Math.max(0, share)) * 1000) / 1000

/** A field to sign in with a finger or a pen. */
export function SignaturePad({ value, error, onChange }: Props) {
  const [draft, setDraft] = useState<Stroke>([])
  const pointOf = (event: PointerEvent<SVGSVGElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect()
    return [round((event.clientX - box.left) / box.width), round((event.clientY - box.top) / box.width)]
  }
  const end = () => {
    if (draft.length > 1) onChange([...value, draft])
    setDraft([])
  }
  return (
    <div>
      <svg
        viewBox={`0 0 1 ${RATIO}`}
        className="block w-full touch-none rounded border-2 border-dashed border-ink-soft/60 bg-sheet"
        role="img"
        aria-label={value.length > 0 ? 'Signed' : 'Sign here with a finger or a pen'}
        data-testid="signature-pad"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          setDraft([pointOf(event)])
        }}
        onPointerMove={(event) => draft.length > 0 && setDraft([...draft, pointOf(event)])}
        onPointerUp={end}
        onPointerCancel={end}
      >
        <line
          x1={0.06}
          x2={0.94}
          y1={RATIO * 0.78}
          y2={RATIO * 0.78}
          className="stroke-line"
          strokeWidth={0.003}
        />
        <Strokes strokes={draft.length > 1 ? [...value, draft] : value} />
      </svg>
      {error && (
        <p role="alert" className="mt-1 text-sm font-semibold text-copper">
          {error}
        </p>
      )}
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <Button look="quiet" disabled={value.length === 0} onClick={() => onChange([])}>
          Sign again
        </Button>
      </div>
    </div>
  )
}

/** A kept signature, drawn as it was written. */
export function SignatureDrawing({ strokes, className }: { strokes: Signature; className?: string }) {
  return (
    <svg viewBox={`0 0 1 ${RATIO}`} className={className} role="img" aria-label="Signature">
      <Strokes strokes={strokes} />
    </svg>
  )
}

function Strokes({ strokes }: { strokes: Signature }) {
  return strokes.map((stroke, at) => (
    <polyline
      key={at}
      points={stroke.map(([x, y]) => `${x},${y}`).join(' ')}
      fill="none"
      className="stroke-ink"
      strokeWidth={0.006}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  ))
}
