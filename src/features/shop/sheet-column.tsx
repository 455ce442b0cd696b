'use client'

import { type ReactNode, useEffect, useRef } from 'react'

/**
 * The form beside a long list: where another entry is opened while its top is out of sight, it is brought into sight, on a phone
 * below the list as well.
 */
export function SheetColumn({ opened, children }: { opened: string | undefined; children: ReactNode }) {
  const column = useRef<HTMLDivElement>(null)
  const before = useRef(opened)
  useEffect(() => {
    if (before.current === opened) return
    before.current = opened
    const top = column.current?.getBoundingClientRect().top ?? 0
    if (top < 0 || top > window.innerHeight / 2) column.current?.scrollIntoView({ block: 'start' })
  }, [opened])
  return (
    <div ref={column} className="min-w-0 scroll-mt-4">
      {children}
    </div>
  )
}

/** A list beside a form keeps its place while the form is scrolled, and scrolls by itself where it is long. */
export const BESIDE =
  'md:sticky md:top-4 md:max-h-[calc(100dvh-6.5rem)] md:self-start md:overflow-y-auto md:pr-1'
