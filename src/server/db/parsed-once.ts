/** So many texts are remembered by each reader. */
const REMEMBERED = 500

/**
 * Reads stored text, the same text only once: plans and the set-up are read with every page and seldom change. What comes out is shared
 * by all who ask, and frozen. What cannot be read throws each time.
 */
export function parsedOnce<T>(parse: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>()
  return (text) => {
    const before = known.get(text)
    if (before !== undefined) {
      known.delete(text)
      known.set(text, before)
      return before
    }
    const parsed = frozen(parse(text))
    known.set(text, parsed)
    if (known.size > REMEMBERED) known.delete(known.keys().next().value!)
    return parsed
  }
}

function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value)
    for (const part of Object.values(value)) frozen(part)
  }
  return value
}
