'use client'

import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import { contactAngle, DROP_MOST_MM } from '@/core/aftercare'
import { ANGLE_ERROR_WORDS } from '@/text/en/aftercare'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'

type Props = { degrees: number | undefined; onAngle: (degrees: number) => void }

/** The contact angle of a small drop: height and width typed, or read off a photograph taken from the side. */
export function DropAngle({ degrees, onAngle }: Props) {
  const [height, setHeight] = useState('')
  const [base, setBase] = useState('')
  const [photo, setPhoto] = useState<string>()
  const [refusal, setRefusal] = useState<string>()
  useEffect(() => () => (photo ? URL.revokeObjectURL(photo) : undefined), [photo])
  const typedAngle = contactAngle(numberOf(height), numberOf(base))
  const use = () => {
    if (!typedAngle.ok) return setRefusal(ANGLE_ERROR_WORDS[typedAngle.error.code])
    setRefusal(undefined)
    onAngle(Math.round(typedAngle.value.degrees * 10) / 10)
  }
  return (
    <details>
      <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
        Contact angle of a drop{degrees === undefined ? '' : `: ${degrees.toFixed(0)}°`}
      </summary>
      <div className="mt-2 rounded bg-lichen/60 p-4">
        <p className="max-w-prose">
          A drop of {DROP_MOST_MM} mm or less, seen exactly from the side. A fresh coating holds it at about
          110°, bare clear at about 60° (remembered figures).
        </p>
        <div className="mt-3 grid items-end gap-3 sm:grid-cols-[1fr_1fr_auto]">
          <Field label="Height of the drop" {...(refusal ? { error: refusal } : {})}>
            <NumberInput value={height} onChange={(text) => setHeight(text)} />
          </Field>
          <Field label="Width at its foot, same unit">
            <NumberInput value={base} onChange={(text) => setBase(text)} />
          </Field>
          <Button look="outline" onClick={use}>
            {typedAngle.ok
              ? `Take ${typedAngle.value.degrees.toFixed(0)}° ± ${typedAngle.value.uncertaintyDegrees.toFixed(0)}°`
              : 'Use this angle'}
          </Button>
        </div>
        <label className="mt-3 inline-flex min-h-11 cursor-pointer items-center rounded border border-ink/60 bg-sheet px-4 font-head text-[15px] font-semibold hover:bg-lichen focus-within:outline-3 focus-within:outline-fern">
          Measure it on a photograph
          <input
            type="file"
            accept="image/*"
            capture="environment"
            className="sr-only"
            onChange={(event) => {
              const [file] = event.target.files ?? []
              if (file) setPhoto(URL.createObjectURL(file))
            }}
          />
        </label>
        {photo && (
          <DropPhoto
            src={photo}
            onMeasure={(h, d) => {
              setHeight(h.toFixed(1))
              setBase(d.toFixed(1))
              setRefusal(undefined)
            }}
          />
        )}
      </div>
    </details>
  )
}

type Mark = 'left' | 'right' | 'top'
type Points = Record<Mark, { x: number; y: number }>

const START: Points = { left: { x: 35, y: 62 }, right: { x: 65, y: 62 }, top: { x: 50, y: 42 } }
const MARK_NAME: Record<Mark, string> = {
  left: 'Left end of the drop',
  right: 'Right end of the drop',
  top: 'Top of the drop',
}
const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-0.5, 0],
  ArrowRight: [0.5, 0],
  ArrowUp: [0, -0.5],
  ArrowDown: [0, 0.5],
}

/** Height over the base line and width of it, in shares of the picture; the line may lie askew. */
export function heightAndBase({ left, right, top }: Points): { height: number; base: number } {
  const [dx, dy] = [right.x - left.x, right.y - left.y]
  const base = Math.hypot(dx, dy)
  const height = base === 0 ? 0 : Math.abs(dx * (top.y - left.y) - dy * (top.x - left.x)) / base
  return { height, base }
}

/** Three marks on the photograph: both ends of the drop where it stands, and its top. */
function DropPhoto({ src, onMeasure }: { src: string; onMeasure: (height: number, base: number) => void }) {
  const [points, setPoints] = useState(START)
  const [ratio, setRatio] = useState(0.75)
  const svg = useRef<SVGSVGElement>(null)
  const held = useRef<Mark>(undefined)
  const tall = 100 * ratio
  const move = (mark: Mark, x: number, y: number) => {
    const kept = { x: Math.min(100, Math.max(0, x)), y: Math.min(tall, Math.max(0, y)) }
    const next = { ...points, [mark]: kept }
    setPoints(next)
    const { height, base } = heightAndBase(next)
    onMeasure(height, base)
  }
  const onPointerMove = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect()
    if (!held.current || !box) return
    const scale = 100 / box.width
    move(held.current, (event.clientX - box.left) * scale, (event.clientY - box.top) * scale)
  }
  return (
    <div className="relative mt-3 max-w-lg touch-none select-none">
      {/* biome-ignore lint/performance/noImgElement: a photograph that never leaves the tablet */}
      <img
        src={src}
        alt="The drop from the side"
        className="block w-full rounded"
        onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) =>
          setRatio(naturalHeight / naturalWidth)
        }
      />
      <svg
        ref={svg}
        viewBox={`0 0 100 ${tall}`}
        className="absolute inset-0 size-full"
        aria-label="Marks on the drop"
        onPointerMove={onPointerMove}
        onPointerUp={() => {
          held.current = undefined
        }}
      >
        <path
          d={`M${points.left.x},${points.left.y} L${points.right.x},${points.right.y}`}
          className="stroke-copper"
          strokeWidth={0.6}
        />
        {(Object.keys(points) as Mark[]).map((mark) => (
          <circle
            key={mark}
            role="slider"
            tabIndex={0}
            aria-label={MARK_NAME[mark]}
            aria-valuenow={Math.round(points[mark].x)}
            aria-valuetext={`${points[mark].x.toFixed(1)}, ${points[mark].y.toFixed(1)}`}
            cx={points[mark].x}
            cy={points[mark].y}
            r={3.2}
            className="cursor-grab fill-copper/50 stroke-sheet"
            strokeWidth={0.7}
            onPointerDown={(event) => {
              held.current = mark
              svg.current?.setPointerCapture(event.pointerId)
            }}
            onKeyDown={(event: KeyboardEvent) => {
              const step = KEYS[event.key]
              if (!step) return
              event.preventDefault()
              move(mark, points[mark].x + step[0], points[mark].y + step[1])
            }}
          />
        ))}
      </svg>
    </div>
  )
}
