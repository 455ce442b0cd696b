'use client'

import clsx from 'clsx'
import type { KeyboardEvent } from 'react'
import { useMemo } from 'react'
import { type Backdrop, bodyPlan, type Panel, type Shape } from '@/core/vehicle'

/** How one panel is shown: its fill, what is written on it, and what a reader of the screen hears. */
export type PanelFace = {
  fill: string
  ink: string
  text: string
  label: string
  mark?: 'thin' | 'repainted' | 'unreadable'
}

type Props = {
  shape: Shape
  panels: readonly Panel[]
  faces: Readonly<Record<string, PanelFace>>
  selected?: string
  onSelect?: (panel: string) => void
  onType?: (key: string) => void
}

const BACKDROP: Record<Backdrop['kind'], string> = {
  shell: 'fill-lichen-deep',
  bed: 'fill-lichen stroke-lichen-deep',
  glass: 'fill-glass',
  wheel: 'fill-wheel',
  lamp: 'fill-sheet stroke-lichen-deep',
}
const behind = ({ kind }: Backdrop) => kind === 'shell' || kind === 'bed'

/** Walk order runs forward with → and ↓, back with ← and ↑. */
const STEP: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

export function neighbour(panels: readonly Panel[], selected: string | undefined, step: number): string {
  const at = panels.findIndex(({ id }) => id === selected)
  return panels[(at + step + panels.length) % panels.length]!.id
}

/**
 * The unfolded vehicle as a surface to work on: the same panels in the same places, by touch and by keyboard.
 * Arrows walk round the car; digits are handed on.
 */
export function BodyPlan({ shape, panels, faces, selected, onSelect, onType }: Props) {
  const plan = useMemo(() => bodyPlan(shape), [shape])
  const { x, y, width, height } = plan.viewBox
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEP[event.key]
    if (step !== undefined) {
      event.preventDefault()
      const next = neighbour(panels, selected, step)
      onSelect?.(next)
      // The focus walks with the choice, as in any group of radio buttons.
      event.currentTarget.querySelector<SVGGElement>(`[data-panel="${next}"]`)?.focus()
    } else if (/^\d$/.test(event.key)) {
      event.preventDefault()
      onType?.(event.key)
    }
  }
  // Mirror caps lie over the glass, everything else under it.
  const caps = panels.filter(({ id }) => id.startsWith('mirror'))
  const body = panels.filter(({ id }) => !id.startsWith('mirror'))
  const draw = (panel: Panel) => (
    <PanelShape
      key={panel.id}
      panel={panel}
      outline={plan.panels[panel.id]!}
      face={faces[panel.id]}
      selected={panel.id === selected}
      onSelect={onSelect}
    />
  )
  return (
    <div role="radiogroup" aria-label="Unfolded body plan, nose to the left" onKeyDown={onKeyDown}>
      <svg
        viewBox={`${x} ${y} ${width} ${height}`}
        className="block h-auto max-h-[max(30rem,calc(100dvh-15.5rem))] w-full select-none"
        role="none"
      >
        {plan.backdrop.filter(behind).map((part) => (
          <path key={part.path} d={part.path} className={BACKDROP[part.kind]} />
        ))}
        {body.map(draw)}
        {plan.backdrop
          .filter((part) => !behind(part))
          .map((part) => (
            <path
              key={part.path}
              d={part.path}
              className={clsx(BACKDROP[part.kind], 'pointer-events-none')}
            />
          ))}
        {caps.map(draw)}
      </svg>
    </div>
  )
}

function PanelShape({
  panel,
  outline,
  face,
  selected,
  onSelect,
}: {
  panel: Panel
  outline: { path: string; label: { x: number; y: number } }
  face: PanelFace | undefined
  selected: boolean
  onSelect: Props['onSelect']
}) {
  const small = panel.areaM2 < 0.2
  return (
    // biome-ignore lint/a11y/useSemanticElements: a radio input cannot be a shape in a drawing.
    <g
      role="radio"
      aria-checked={selected}
      aria-label={face?.label ?? panel.name}
      tabIndex={selected ? 0 : -1}
      data-panel={panel.id}
      className="cursor-pointer outline-none [&:focus-visible>path]:stroke-[4]"
      onClick={() => onSelect?.(panel.id)}
      onKeyDown={(event) => {
        if (event.key === ' ') onSelect?.(panel.id)
      }}
    >
      <title>{face?.label ?? panel.name}</title>
      <path
        d={outline.path}
        fill={face?.fill ?? 'var(--c-sheet)'}
        className={selected ? 'stroke-ink' : 'stroke-ink/55'}
        strokeWidth={selected ? 3.2 : 1}
        strokeLinejoin="round"
      />
      {face?.mark && (
        <path d={outline.path} fill={`url(#mark-${face.mark})`} className="pointer-events-none" />
      )}
      {face?.text && !small && (
        <text
          x={outline.label.x}
          y={outline.label.y}
          fill={face.ink}
          textAnchor="middle"
          dominantBaseline="central"
          className="pointer-events-none font-head font-semibold"
          fontSize={15}
        >
          {face.text}
        </text>
      )}
    </g>
  )
}

/** The car from above, small, for a place on the floor. */
export function CarFromAbove({ shape, className }: { shape: Shape; className?: string }) {
  const plan = bodyPlan(shape)
  const strip = ['front-bumper', 'bonnet', 'roof', 'tailgate', 'rear-bumper']
  const glass = plan.backdrop.filter(
    ({ path, kind }) =>
      (kind === 'glass' || kind === 'bed') &&
      /^M-?\d+(\.\d+)?,-?\d{1,2}(\.\d+)? /.test(path) &&
      Math.abs(Number(path.split(/[, ]/)[1])) < 80,
  )
  const { x, width } = plan.viewBox
  return (
    <svg viewBox={`${x} -92 ${width} 184`} className={className} aria-hidden="true">
      <rect x={x + 8} y={-78} width={width - 16} height={156} rx={46} className="fill-lichen-deep" />
      {glass.map((part) => (
        <path key={part.path} d={part.path} className={BACKDROP[part.kind]} />
      ))}
      {strip.map((id) => (
        <path
          key={id}
          d={plan.panels[id]!.path.split(' M')[0]}
          className="fill-fern-soft stroke-ink/50"
          strokeWidth={2}
        />
      ))}
    </svg>
  )
}
