'use client'

import { Chart, type ChartConfiguration } from 'chart.js/auto'
import clsx from 'clsx'
import { useEffect, useRef } from 'react'

/** The colours of the theme as they are now; a canvas knows no CSS variables. */
export type Ink = (name: string) => string

type Props = { label: string; className?: string; draw: (ink: Ink) => ChartConfiguration }

/** A chart on a canvas, in the colours and the face of the app. `label` says in words what it shows. */
export function ChartCanvas({ label, className, draw }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const style = getComputedStyle(document.documentElement)
    const ink: Ink = (name) => style.getPropertyValue(`--c-${name}`).trim()
    Chart.defaults.font.family = style.getPropertyValue('--font-text') || 'sans-serif'
    Chart.defaults.font.size = 13
    Chart.defaults.color = ink('ink-soft')
    Chart.defaults.borderColor = ink('line')
    Chart.defaults.animation = false
    const chart = new Chart(canvas.current!, draw(ink))
    return () => chart.destroy()
  }, [draw])
  return (
    // A canvas keeps the width it was drawn in; it must not hold the page to it when the window becomes narrower.
    <div className={clsx('relative overflow-hidden [contain:inline-size]', className)}>
      <canvas ref={canvas} role="img" aria-label={label} />
    </div>
  )
}
