'use client'

import { useSyncExternalStore } from 'react'
import { Button } from '@/ui/button'

const READ_KEY = 'fern-yard.plain-http-read'

const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

/** Whether this browser keeps no pages, and nobody at this tablet has read so yet. */
function isNew(): boolean {
  if ('serviceWorker' in navigator) return false
  try {
    return localStorage.getItem(READ_KEY) === null
  } catch {
    // What cannot be remembered is said each time.
    return true
  }
}

function read(): void {
  try {
    localStorage.setItem(READ_KEY, 'yes')
  } catch {}
  for (const listener of listeners) listener()
}

/** Said once on each tablet: on plain http a browser keeps no pages to open without a network. */
export function PlainHttpNote() {
  if (!useSyncExternalStore(subscribe, isNew, () => false)) return null
  return (
    <aside
      aria-label="Without a network"
      className="mb-4 flex flex-wrap items-center justify-between gap-3 rounded border-l-4 border-fern bg-lichen px-4 py-3"
    >
      <p className="max-w-prose">
        This tablet reaches the shop over http, where a browser keeps no pages. An open card works on without
        a network and sends everything later; but no other card can be opened until the network is back. Over
        https it can.
      </p>
      <Button look="outline" onClick={read}>
        I have read it
      </Button>
    </aside>
  )
}
