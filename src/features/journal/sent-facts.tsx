/** What was sent with an action, as a list of names and values; folded until it is opened. */

const MOST_FACTS = 40
const MOST_LETTERS = 120

type Fact = { name: string; value: string }

/** Every value with the way to it, as in `price › cents`; ids of what is already named beside are left out. */
function factsOf(value: unknown, way: readonly string[] = []): Fact[] {
  if (value === null || value === undefined || value === '') return []
  if (typeof value === 'object')
    return Object.entries(value).flatMap(([name, each]) =>
      ['jobId', 'job', 'vehicleId', 'version', 'key'].includes(name)
        ? []
        : factsOf(each, Array.isArray(value) ? way : [...way, spaced(name)]),
    )
  return [{ name: way.join(' › '), value: String(value).slice(0, MOST_LETTERS) }]
}

/** `weightMinutes` as `weight minutes`. */
const spaced = (name: string) => name.replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()

function read(sent: string): unknown {
  try {
    return JSON.parse(sent)
  } catch {
    return undefined
  }
}

export function SentFacts({ sent }: { sent: string }) {
  const facts = factsOf(read(sent)).slice(0, MOST_FACTS)
  if (facts.length === 0) return null
  return (
    <details className="mt-0.5">
      <summary className="inline-flex min-h-9 cursor-pointer items-center text-sm text-ink-soft underline underline-offset-4">
        what exactly
      </summary>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 text-sm">
        {facts.map(({ name, value }, at) => (
          <div key={at} className="contents">
            <dt className="text-ink-soft">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </details>
  )
}
