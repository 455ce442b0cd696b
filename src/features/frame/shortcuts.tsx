'use client'

import dynamic from 'next/dynamic'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'

const GO: Record<string, string> = {
  y: '/',
  t: '/intake',
  w: '/work',
  s: '/schedule',
  v: '/vehicles',
  a: '/aftercare',
  l: '/learning',
  k: '/stock',
  p: '/practice',
}

const ShortcutList = dynamic(() => import('./shortcut-list').then(({ ShortcutList: list }) => list), {
  ssr: false,
})

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]')

/** Keyboard shortcuts and the list of them on `?`. */
export function Shortcuts() {
  const [open, setOpen] = useState(false)
  const router = useRouter()
  useEffect(() => {
    let goes = false
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      const place = GO[event.key]
      if (event.key === '?') setOpen(true)
      else if (goes && place) router.push(place)
      goes = event.key === 'g'
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [router])
  return (
    <>
      <button
        type="button"
        aria-haspopup="dialog"
        className="hidden min-h-11 rounded px-3 text-sm underline decoration-ink-soft/40 underline-offset-4 hover:bg-lichen lg:block"
        onClick={() => setOpen(true)}
      >
        Shortcuts
      </button>
      {open && <ShortcutList onClosed={() => setOpen(false)} />}
    </>
  )
}
