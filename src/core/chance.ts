/** Rounding forgives a chance that is this little below what it is called. */
const NEARLY = 0.005

/** A chance, 0–1, as it is said aloud: so many times in so many. */
export type SaidChance = readonly [times: number, of: number]

/** The greatest of what is said aloud that a chance, 0–1, reaches; no time in a hundred where it is less than one. */
export function chanceAsSaid(chance: number): SaidChance {
  const reached = chance + NEARLY
  if (reached >= 0.99) return [99, 100]
  if (reached >= 0.95) return [19, 20]
  const tenths = Math.floor(reached * 10)
  return tenths > 0 ? [tenths, 10] : [Math.floor(reached * 100), 100]
}

/** Whether one chance is said to be more than another. */
export function isSaidMore(one: number, other: number): boolean {
  const [a, b] = [chanceAsSaid(one), chanceAsSaid(other)]
  return a[0] * b[1] > b[0] * a[1]
}
