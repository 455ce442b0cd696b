/**
 * Colour of a film build: a scale of even steps in OKLCH lightness, pale straw for thin, fern for a factory film,
 * deep water for a thick one. Numbers stand beside it everywhere.
 */
const STOPS = [
  { um: 60, l: 0.93, c: 0.07, h: 95 },
  { um: 100, l: 0.83, c: 0.09, h: 125 },
  { um: 140, l: 0.74, c: 0.09, h: 150 },
  { um: 200, l: 0.65, c: 0.085, h: 185 },
  { um: 300, l: 0.44, c: 0.08, h: 225 },
  { um: 420, l: 0.32, c: 0.075, h: 270 },
] as const

export const FILM_LEGEND_UM = [60, 80, 100, 120, 150, 200, 300, 400] as const

function between(um: number) {
  const at = Math.min(Math.max(um, STOPS[0].um), STOPS.at(-1)!.um)
  const upper = Math.max(
    1,
    STOPS.findIndex((stop) => stop.um >= at),
  )
  const [low, high] = [STOPS[upper - 1]!, STOPS[upper]!]
  const share = (at - low.um) / (high.um - low.um)
  const mix = (a: number, b: number) => a + (b - a) * share
  return { l: mix(low.l, high.l), c: mix(low.c, high.c), h: mix(low.h, high.h) }
}

export function filmColour(um: number): string {
  const { l, c, h } = between(um)
  return `oklch(${l.toFixed(3)} ${c.toFixed(3)} ${h.toFixed(1)})`
}

/** Dark or light writing, whichever can be read on the colour of `um`. */
export function filmInk(um: number): string {
  return between(um).l > 0.57 ? '#14261c' : '#f7f6ec'
}
