/** What stands behind the question mark of an address, by its names; whoever types it may write anything, and a name more than once. */
export type Search = Promise<Record<string, string | string[] | undefined>>

/** Of a name that stands there more than once, the first. */
export async function askedOnce<Name extends string>(search: Search): Promise<Partial<Record<Name, string>>> {
  const once: Partial<Record<string, string>> = {}
  for (const [name, value] of Object.entries(await search)) {
    const [first] = [value].flat()
    if (first !== undefined) once[name] = first
  }
  return once
}
