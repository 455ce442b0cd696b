/** What the code on a bottle’s label says: short, and nobody else’s. */

const FORM = /^fern-yard:bottle:(\d+)$/

export const labelText = (code: number) => `fern-yard:bottle:${code}`

/** The number of the bottle whose label was read; undefined for any other code. */
export function codeOfLabel(text: string): number | undefined {
  const found = FORM.exec(text)
  return found ? Number(found[1]) : undefined
}
