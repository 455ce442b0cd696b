/** The member of `list` a stored text names. Throws on any other: the database then holds what we never wrote. */
export function oneOf<T extends string>(list: readonly T[], value: string): T {
  const found = list.find((candidate) => candidate === value)
  if (!found) throw new Error(`the database holds an unknown value “${value}”`)
  return found
}
