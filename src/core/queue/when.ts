/**
 * When something happened at a tablet, though its clock is wrong, is set right in between, and stands still in its sleep.
 *
 * A tablet has two clocks: the one on its wall, which goes on in sleep but may be set, and the one of its open page, which
 * cannot be set but stands still in sleep and begins anew with every page. Neither alone can be believed; the shop's time,
 * heard before and after, tells which of them was right in between. All in milliseconds.
 */

/** What the tablet's clocks showed at a moment; `session` names the page whose clock `mono` is. */
export type Reading = { wall: number; mono: number; session: string }

/** The shop's time as it was heard, with what the tablet showed then. */
export type Heard = Reading & { shop: number }

/** Clocks that differ by less are one: a network takes its time, and wall clocks drift, ms. */
const SAME_MS = 60_000

/**
 * How long before `now` a reading was taken, ms; never less than nothing. `last` is when the shop was heard before the reading: it is
 * for whoever asks to know that nothing read earlier is among what is asked about.
 */
export function agoMs(read: Reading, now: Heard, last?: Heard): number {
  const byWall = now.wall - read.wall
  const byMono = read.session === now.session ? now.mono - read.mono : undefined
  const ago = choose(byWall, byMono, now, last)
  const most = last ? now.shop - last.shop : Number.POSITIVE_INFINITY
  return Math.max(0, Math.min(ago, most))
}

function choose(byWall: number, byMono: number | undefined, now: Heard, last: Heard | undefined): number {
  if (byMono === undefined) return byWall
  if (!last) return byMono
  const really = now.shop - last.shop
  if (Math.abs(now.wall - last.wall - really) <= SAME_MS) return byWall
  return byMono
}

/** The shop's time now, as well as the tablet knows it. */
export function shopTime(now: Reading, last: Heard): number {
  return now.session === last.session && now.mono - last.mono > now.wall - last.wall + SAME_MS
    ? last.shop + (now.mono - last.mono)
    : last.shop + (now.wall - last.wall)
}
