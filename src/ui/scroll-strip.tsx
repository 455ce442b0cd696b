import type { ReactNode } from 'react'

/** A strip that scrolls sideways, by wheel, finger and keyboard. */
export function ScrollStrip({
  label,
  className,
  children,
}: {
  label: string
  className?: string
  children: ReactNode
}) {
  return (
    <section
      className={`overflow-x-auto ${className ?? ''}`}
      aria-label={label}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard.
      tabIndex={0}
    >
      {children}
    </section>
  )
}
