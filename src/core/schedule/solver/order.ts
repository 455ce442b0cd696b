/** One operation after another, by index, with the least and the most between them, minutes; `behind` is the room of the first. */
export type ModelLink = { from: number; to: number; min: number; max: number; behind: number }

/** The operations in an order in which none comes before what it follows; undefined where links run in a circle. */
export function topologicalOrder(count: number, links: readonly ModelLink[]): number[] | undefined {
  const waiting = Array.from({ length: count }, (_, to) => links.filter((link) => link.to === to).length)
  const order: number[] = []
  const taken = new Set<number>()
  while (order.length < count) {
    const next = waiting.findIndex((open, index) => open === 0 && !taken.has(index))
    if (next < 0) return undefined
    taken.add(next)
    order.push(next)
    for (const link of links) if (link.from === next) waiting[link.to]!--
  }
  return order
}

/** Which operations lie before which along the links. */
export function reachable(count: number, links: readonly ModelLink[], order: readonly number[]): boolean[][] {
  const after = Array.from({ length: count }, () => new Array<boolean>(count).fill(false))
  for (const index of order.toReversed())
    for (const link of links)
      if (link.from === index) {
        after[index]![link.to] = true
        for (let other = 0; other < count; other++) if (after[link.to]![other]) after[index]![other] = true
      }
  return after
}

/** Some operations, with those of them that no other of them comes before, and those behind which no other comes. */
export function endsOf(
  operations: number[],
  links: readonly ModelLink[],
): { operations: number[]; heads: number[]; tails: number[] } {
  const inside = links.filter(({ from, to }) => operations.includes(from) && operations.includes(to))
  return {
    operations,
    heads: operations.filter((index) => !inside.some(({ to }) => to === index)),
    tails: operations.filter((index) => !inside.some(({ from }) => from === index)),
  }
}
