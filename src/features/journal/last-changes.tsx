import clsx from 'clsx'

/** A change of a record, in words. */
export type ChangeSeen = {
  who: string
  at: string
  changes: readonly { name: string; before: string; after: string }[]
}

/** Who changed a record last, from what to what; earlier changes open below. */
export function LastChanges({
  seen: [last, ...earlier],
  className,
}: {
  seen: readonly ChangeSeen[]
  className: string
}) {
  if (!last) return null
  return (
    <aside
      aria-label="Last changed"
      className={clsx('no-print mx-auto px-5 pb-6 text-sm text-ink-soft', className)}
    >
      <Change {...last} />
      {earlier.length > 0 && (
        <details>
          <summary className="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4">
            Earlier changes
          </summary>
          <ol className="space-y-1">
            {earlier.map((each, at) => (
              <li key={at}>
                <Change {...each} />
              </li>
            ))}
          </ol>
        </details>
      )}
    </aside>
  )
}

function Change({ who, at, changes }: ChangeSeen) {
  return (
    <>
      <p>
        Changed by <b className="font-semibold text-ink">{who}</b>, {at}
      </p>
      <ul className="ml-4">
        {changes.map(({ name, before, after }, each) => (
          <li key={each}>
            {name}: {before} → {after}
          </li>
        ))}
      </ul>
    </>
  )
}
