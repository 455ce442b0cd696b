import clsx from 'clsx'

/** A leaf that is open, begun or done. */
export function Tick({ state, hold }: { state: 'open' | 'started' | 'done'; hold: boolean }) {
  return (
    <svg viewBox="0 0 24 24" className="mt-0.5 size-6 shrink-0" role="img" aria-label={state}>
      <path
        d="M3,21 C2,9 9,3 21,3 C21,15 15,22 3,21 Z"
        className={clsx(
          state === 'done'
            ? 'fill-fern stroke-fern'
            : hold
              ? 'fill-sheet stroke-copper'
              : state === 'started'
                ? 'fill-fern-soft stroke-fern'
                : 'fill-sheet stroke-ink-soft',
        )}
        strokeWidth="2"
      />
      {state === 'done' && (
        <path d="M8,13 l3,3 l6,-7" className="fill-none stroke-on-fern" strokeWidth="2.4" />
      )}
    </svg>
  )
}
