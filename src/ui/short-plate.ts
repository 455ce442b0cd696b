/** A plate where there is little room: what comes after its first group, which most cars of a place share; the whole of it otherwise. */
export function shortPlate(plate: string): string {
  return plate.trim().replace(/^\S+\s+(?=\S)/, '')
}
