/** Whether a path is one of a kind of address: `:x` stands for one part of it, `*` at the end for all the rest. */
export function fits(parts: readonly string[], pattern: readonly string[]): boolean {
  const rest = pattern.at(-1) === '*'
  if (rest ? parts.length < pattern.length : parts.length !== pattern.length) return false
  return pattern.every(
    (part, at) => part === '*' || (part.startsWith(':') ? parts[at] !== '' : part === parts[at]),
  )
}

/** Whether a path is among the addresses that are closed to somebody: told to their screens instead of the list of all there are. */
export const isClosed = (path: string, closed: readonly string[]): boolean => {
  const parts = path.split('/')
  return closed.some((pattern) => fits(parts, pattern.split('/')))
}
