import dynamic from 'next/dynamic'
import type { ComponentType } from 'react'

/**
 * A part of a page that comes when it is asked for. Where the network is away and the browser has not kept it, that is
 * said in its place: the rest of the page must go on. `keeps` is the height it takes at least, so that nothing moves under a finger
 * when it comes.
 */
export function later<P>(load: () => Promise<ComponentType<P>>, keeps?: string): ComponentType<P> {
  return dynamic(() => load().catch((): ComponentType<P> => NotHere), {
    ssr: false,
    ...(keeps ? { loading: () => <div style={{ height: keeps }} /> } : {}),
  })
}

function NotHere() {
  return <p className="py-2 text-copper">This part needs the network. Reload the page when it is back.</p>
}
