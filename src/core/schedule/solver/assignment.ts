/**
 * The least total of an assignment of rows to columns, one each (Hungarian method with potentials; Kuhn 1955, in the
 * form of Jonker and Volgenant 1987). `costs` is square, entries finite; the cube of its size in time.
 */
export function leastAssignment(costs: readonly (readonly number[])[]): number {
  const size = costs.length
  const rowPotential = new Array<number>(size + 1).fill(0)
  const columnPotential = new Array<number>(size + 1).fill(0)
  /** The row that holds each column; column 0 is the one a new row enters by. */
  const rowOf = new Array<number>(size + 1).fill(0)
  for (let row = 1; row <= size; row++) {
    const least = new Array<number>(size + 1).fill(Number.POSITIVE_INFINITY)
    const cameFrom = new Array<number>(size + 1).fill(0)
    const seen = new Array<boolean>(size + 1).fill(false)
    let column = 0
    rowOf[0] = row
    do {
      seen[column] = true
      const at = rowOf[column]!
      let step = Number.POSITIVE_INFINITY
      let next = 0
      for (let to = 1; to <= size; to++) {
        if (seen[to]) continue
        const reduced = costs[at - 1]![to - 1]! - rowPotential[at]! - columnPotential[to]!
        if (reduced < least[to]!) {
          least[to] = reduced
          cameFrom[to] = column
        }
        if (least[to]! < step) {
          step = least[to]!
          next = to
        }
      }
      for (let to = 0; to <= size; to++) {
        if (seen[to]) {
          rowPotential[rowOf[to]!]! += step
          columnPotential[to]! -= step
        } else least[to]! -= step
      }
      column = next
    } while (rowOf[column] !== 0)
    while (column !== 0) {
      const before = cameFrom[column]!
      rowOf[column] = rowOf[before]!
      column = before
    }
  }
  let total = 0
  for (let column = 1; column <= size; column++) total += costs[rowOf[column]! - 1]![column - 1]!
  return total
}
