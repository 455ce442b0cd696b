import type { Interval } from '../contract/intervals'

/**
 * When so many jobs can be done at the soonest, if all that counts is the work they ask of one resource: any number of
 * people or places taken together as one, whose speed is how many of them are there. Preemptive shortest remaining work
 * first finishes at least as many jobs by any minute as any schedule (Schrage 1968), so these times are never too late.
 */

export type Demand = { release: number; work: number; tail: number }

/** How many units are there in each stretch of time, without overlap, in order. */
type Supply = readonly (Interval & { units: number })[]

export function supplyOf(intervals: readonly Interval[]): Supply {
  const edges = intervals
    .flatMap(({ from, to }) => [
      { at: from, by: 1 },
      { at: to, by: -1 },
    ])
    .sort((a, b) => a.at - b.at)
  const supply: (Interval & { units: number })[] = []
  let units = 0
  for (const [index, { at, by }] of edges.entries()) {
    units += by
    const to = edges[index + 1]?.at ?? at
    if (to > at && units > 0) supply.push({ from: at, to, units })
  }
  return supply
}

/** The k-th entry is a minute before which k + 1 of the demands cannot be met; infinite where supply runs out. */
export function completions(demands: readonly Demand[], supply: Supply): number[] {
  const waiting = demands.filter(({ work }) => work > 0).sort((a, b) => a.release - b.release)
  const done = demands.filter(({ work }) => work <= 0).map(({ release }) => release)
  const open: number[] = []
  let next = 0
  for (const { from, to, units } of supply) {
    let now = from
    while (now < to) {
      while (next < waiting.length && waiting[next]!.release <= now) open.push(waiting[next++]!.work)
      const arrival = waiting[next]?.release ?? Number.POSITIVE_INFINITY
      if (open.length === 0) {
        now = Math.min(to, arrival)
        continue
      }
      let shortest = 0
      for (let at = 1; at < open.length; at++) if (open[at]! < open[shortest]!) shortest = at
      const until = Math.min(to, arrival, now + open[shortest]! / units)
      open[shortest]! -= (until - now) * units
      now = until
      if (open[shortest]! <= 1e-6) {
        open.splice(shortest, 1)
        done.push(now)
      }
    }
  }
  const tail = Math.min(...demands.map((demand) => demand.tail))
  while (done.length < demands.length) done.push(Number.POSITIVE_INFINITY)
  return done.sort((a, b) => a - b).map((minute) => minute + tail)
}
