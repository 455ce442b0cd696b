'use client'

import { useRouter } from 'next/navigation'
import { Dialog } from 'radix-ui'
import { useEffect, useState } from 'react'

const GO: Record<string, string> = {
  y: '/',
  t: '/intake',
  w: '/work',
  s: '/schedule',
  v: '/vehicles',
  k: '/stock',
  p: '/practice',
}

const LIST: [string, string][] = [
  ['g then y', 'Go to the yard'],
  ['g then t', 'Take a vehicle in'],
  ['g then w', 'Go to today’s work'],
  ['g then s', 'Go to the schedule'],
  ['g then v', 'Go to the vehicles'],
  ['g then k', 'Go to the stock'],
  ['g then p', 'Go to the practice panel'],
  ['?', 'This list'],
  ['Walk-round, survey: ← → ↑ ↓', 'Walk round the car, panel by panel'],
  ['Survey: 0–9', 'Start typing a reading for the panel'],
  ['Survey: Enter', 'Keep the reading'],
  ['Survey: Backspace', 'In an empty field, take the last reading back'],
]

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
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="hidden min-h-11 rounded px-3 text-sm underline decoration-ink-soft/40 underline-offset-4 hover:bg-lichen lg:block">
        Keys
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-ink/30" />
        <Dialog.Content
          className="sheet fixed top-1/2 left-1/2 w-[min(34rem,92vw)] -translate-x-1/2 -translate-y-1/2 p-6"
          aria-describedby={undefined}
        >
          <Dialog.Title className="mb-4 text-2xl">By keyboard</Dialog.Title>
          <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
            {LIST.map(([keys, what]) => (
              <div key={keys} className="contents">
                <dt className="font-semibold">{keys}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="mt-6 min-h-11 rounded border border-ink/60 px-4 font-head font-semibold">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
