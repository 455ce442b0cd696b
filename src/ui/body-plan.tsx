'use client'

import clsx from 'clsx'
import { type KeyboardEvent, type MouseEvent, type ReactNode, useMemo } from 'react'
import {
  bodyPlan,
  type Panel,
  type Place,
  type PlanBackdrop,
  type PlanOutline,
  type Shape,
} from '@/core/vehicle'
import { BACKDROP, behind } from './backdrop'

/** How one panel is shown: its fill, what is written on it, and what a reader of the screen hears. */
export type PanelFace = {
  fill: string
  ink: string
  text: string
  label: string
  mark?: 'thin' | 'repainted' | 'unreadable' | 'noted'
}

/** A point on the drawing, in its own centimetres. */
export type PlanPoint = { x: number; y: number }
export type PlanPin = PlanPoint & { id: string; label: string; held: boolean }

type Props = {
  shape: Shape
  panels: readonly Panel[]
  faces: Readonly<Record<string, PanelFace>>
  /** Wheels, glass, lights: given where they can be chosen too. */
  places?: readonly Place[]
  pins?: readonly PlanPin[]
  selected?: string
  onSelect?: (id: string, at?: PlanPoint) => void
  onType?: (key: string) => void
  children?: ReactNode
}

/** Walk order runs forward with → and ↓, back with ← and ↑. */
const STEP: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

export function neighbour(
  items: readonly { id: string }[],
  selected: string | undefined,
  step: number,
): string {
  const at = items.findIndex(({ id }) => id === selected)
  return items[(at + step + items.length) % items.length]!.id
}

/** Where the pointer is, in the drawing's own units. */
function pointIn(event: MouseEvent<SVGElement>): PlanPoint | undefined {
  const svg = event.currentTarget.ownerSVGElement
  const matrix = svg?.getScreenCTM()
  // A key press arrives as a click at 0, 0.
  if (!matrix || (event.clientX === 0 && event.clientY === 0)) return undefined
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return { x: Math.round(x), y: Math.round(y) }
}

/**
 * The unfolded vehicle as a surface to work on: the same panels in the same places, by touch and by keyboard.
 * Arrows walk round the car; digits are handed on.
 */
export function BodyPlan(props: Props) {
  const { shape, panels, faces, places = [], pins = [], selected, onSelect, onType, children } = props
  const plan = useMemo(() => bodyPlan(shape), [shape])
  const { x, y, width, height } = plan.viewBox
  const drawn = places.filter((place) => place.drawn)
  // Parts beside the drawing, such as pillars, stand under it as buttons of the same group.
  const beside = panels.filter(({ id }) => !plan.panels[id])
  const walk = [...panels, ...drawn]
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEP[event.key]
    if (step !== undefined) {
      event.preventDefault()
      const next = neighbour(walk, selected, step)
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
  // What is narrow lies on top: its margin for a finger reaches over its neighbours.
  const body = panels
    .filter(({ id }) => !id.startsWith('mirror') && plan.panels[id])
    .toSorted((a, b) => Number(isSmall(a)) - Number(isSmall(b)))
  const scenery = plan.backdrop.filter((part) => !behind(part) && !drawn.some(({ id }) => id === part.place))
  const tabStop = walk.some(({ id }) => id === selected) ? selected : walk[0]?.id
  const draw = (panel: Panel) => (
    <PanelShape
      key={panel.id}
      panel={panel}
      outline={plan.panels[panel.id]!}
      face={faces[panel.id]}
      selected={panel.id === selected}
      tabStop={panel.id === tabStop}
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
        {scenery.map((part) => (
          <path key={part.path} d={part.path} className={clsx(BACKDROP[part.kind], 'pointer-events-none')} />
        ))}
        {drawn.map((place) => (
          <PlaceShape
            key={place.id}
            place={place}
            parts={plan.backdrop.filter((part) => part.place === place.id)}
            face={faces[place.id]}
            selected={place.id === selected}
            tabStop={place.id === tabStop}
            onSelect={onSelect}
          />
        ))}
        {caps.map(draw)}
        {pins.map((pin) => (
          <g key={pin.id} className="pointer-events-none">
            <circle
              cx={pin.x}
              cy={pin.y}
              r={8.5}
              className={clsx(pin.held ? 'fill-copper' : 'fill-ink', 'stroke-sheet')}
              strokeWidth={1.5}
            />
            <text
              x={pin.x}
              y={pin.y}
              textAnchor="middle"
              dominantBaseline="central"
              className="fill-sheet font-head font-bold"
              fontSize={10.5}
            >
              {pin.label}
            </text>
          </g>
        ))}
        {children}
      </svg>
      {beside.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          {beside.map((panel) => (
            <BesidePart
              key={panel.id}
              panel={panel}
              face={faces[panel.id]}
              selected={panel.id === selected}
              tabStop={panel.id === tabStop}
              onSelect={onSelect}
            />
          ))}
        </div>
      )}
    </div>
  )
}

/** A part that is on no drawing: its name, its colour and what stands on it, as on a panel. */
function BesidePart({ panel, face, selected, tabStop, onSelect }: Chosen & { panel: Panel }) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: it is one of a group with the shapes of the drawing
    <button
      type="button"
      role="radio"
      aria-checked={selected}
      aria-label={face?.label ?? panel.name}
      tabIndex={tabStop ? 0 : -1}
      data-panel={panel.id}
      className="flex min-h-11 items-center gap-2 rounded border border-ink-soft/45 px-3 text-[15px] text-ink aria-checked:border-fern aria-checked:ring-2 aria-checked:ring-fern"
      style={{ background: face?.fill ?? 'var(--c-sheet)' }}
      onClick={() => onSelect?.(panel.id)}
    >
      {panel.name}
      {face?.text && <strong className="font-head">{face.text}</strong>}
    </button>
  )
}

type Chosen = {
  face: PanelFace | undefined
  selected: boolean
  tabStop: boolean
  onSelect: Props['onSelect']
}

function choosable(id: string, label: string, { selected, tabStop, onSelect }: Omit<Chosen, 'face'>) {
  return {
    role: 'radio',
    'aria-checked': selected,
    'aria-label': label,
    tabIndex: tabStop ? 0 : -1,
    'data-panel': id,
    className: 'cursor-pointer outline-none [&:focus-visible>path]:stroke-[4]',
    onClick: (event: MouseEvent<SVGGElement>) => onSelect?.(id, pointIn(event)),
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key !== ' ') return
      event.preventDefault()
      onSelect?.(id)
    },
  } as const
}

const isSmall = ({ areaM2 }: Panel) => areaM2 < 0.2

/** So far beside a narrow panel a finger still means it, in the drawing’s own units: sills and mirror caps come to 44 px. */
const FINGER = 36

function PanelShape({ panel, outline, ...chosen }: { panel: Panel; outline: PlanOutline } & Chosen) {
  const small = isSmall(panel)
  const { face, selected } = chosen
  const label = face?.label ?? panel.name
  return (
    <g {...choosable(panel.id, label, chosen)}>
      <title>{label}</title>
      {small && (
        <path
          d={outline.path}
          className="fill-none stroke-transparent"
          style={{ strokeWidth: FINGER }}
          pointerEvents="stroke"
        />
      )}
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

function PlaceShape({ place, parts, ...chosen }: { place: Place; parts: readonly PlanBackdrop[] } & Chosen) {
  const { face, selected } = chosen
  const label = face?.label ?? place.name
  return (
    <g {...choosable(place.id, label, chosen)}>
      <title>{label}</title>
      {parts.map((part) => (
        <path
          key={part.path}
          d={part.path}
          className={clsx(BACKDROP[part.kind], selected && 'stroke-ink')}
          strokeWidth={selected ? 3.2 : 1}
        />
      ))}
      {face?.mark &&
        parts.map((part) => (
          <path
            key={part.path}
            d={part.path}
            fill={`url(#mark-${face.mark})`}
            className="pointer-events-none"
          />
        ))}
    </g>
  )
}
