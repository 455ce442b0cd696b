import dynamic from 'next/dynamic'
import type { ComponentType } from 'react'

/**
 * A part of the card that comes when it is asked for. Where the network is away and the browser has not kept it, that is
 * said in its place: the rest of the card must go on.
 */
export function later<P>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  return dynamic(() => load().catch((): ComponentType<P> => NotHere), { ssr: false })
}

function NotHere() {
  return <p className="py-2 text-copper">This part needs the network. Load the card again when it is back.</p>
}

/** Fetches those parts once the card stands, so that a tablet that goes away has them. */
export function fetchTheRest(): void {
  const parts = [
    () => import('./coat-log'),
    () => import('./high-spots'),
    () => import('./record-form'),
    () => import('./another-process'),
    () => import('./take-back-dialog'),
    () => import('../photos/photo-strip'),
  ]
  for (const part of parts) void part().catch(() => undefined)
}
