import { type ComponentType, useEffect, useState } from 'react'

type Part<P> = { load: () => Promise<ComponentType<P>>; kept?: ComponentType<P> }

/** A part of the card that comes when it is asked for. */
export function later<P extends object>(load: Part<P>['load']): ComponentType<P> {
  const part: Part<P> = { load }
  return (props) => <Later part={part} props={props} />
}

/**
 * Where the network is away and the browser has not kept a part, that is said in its place, and it can be tried again:
 * the rest of the card must go on.
 */
function Later<P extends object>({ part, props }: { part: Part<P>; props: P }) {
  const [Kept, setKept] = useState(() => part.kept)
  const [tries, setTries] = useState(1)
  const [failed, setFailed] = useState(0)
  useEffect(() => {
    part
      .load()
      .then((loaded) => {
        part.kept = loaded
        setKept(() => loaded)
      })
      .catch(() => setFailed(tries))
  }, [part, tries])
  if (Kept) return <Kept {...props} />
  return failed === tries ? <NotHere onAgain={() => setTries(tries + 1)} /> : null
}

function NotHere({ onAgain }: { onAgain: () => void }) {
  return (
    <p className="py-2 text-copper">
      This part needs the network.{' '}
      <button type="button" className="min-h-11 px-2 underline underline-offset-4" onClick={onAgain}>
        Try again
      </button>
    </p>
  )
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
