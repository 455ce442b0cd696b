'use client'

import { type ReactNode, useEffect, useRef } from 'react'

/** A strip that scrolls sideways, by wheel, finger and keyboard. */
export function ScrollStrip({
  label,
  className,
  opensAt = 0,
  children,
}: {
  label: string
  /** How far from its beginning it opens, px. */
  opensAt?: number
  className?: string
  children: ReactNode
}) {
  const strip = useRef<HTMLElement>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, where it opens; then it is where somebody scrolled it to.
  useEffect(() => {
    if (strip.current) strip.current.scrollLeft = opensAt
  }, [])
  return (
    <section
      ref={strip}
      className={`overflow-x-auto ${className ?? ''}`}
      aria-label={label}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard.
      tabIndex={0}
    >
      {children}
    </section>
  )
}
