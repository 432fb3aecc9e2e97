/**
 * The assignment of rows to columns with the least total cost: for each row the column it gets, or -1. Rows and
 * columns may be of different number. Kuhn's and Munkres' method with potentials, n² · m
 * (Jonker and Volgenant 1987 describe the shortest augmenting paths used here).
 */
export const assign = (cost: readonly (readonly number[])[]): number[] => {
  const rows = cost.length
  const columns = cost[0]?.length ?? 0
  if (rows === 0 || columns === 0) return cost.map(() => -1)
  if (rows > columns) {
    const turned = assign(Array.from({ length: columns }, (_, j) => cost.map((row) => row[j]!)))
    const result = new Array<number>(rows).fill(-1)
    turned.forEach((row, column) => {
      if (row >= 0) result[row] = column
    })
    return result
  }
  // Index 0 stands for "none"; rows and columns are counted from 1.
  const u = new Float64Array(rows + 1)
  const v = new Float64Array(columns + 1)
  const rowOf = new Int32Array(columns + 1)
  const way = new Int32Array(columns + 1)
  for (let i = 1; i <= rows; i++) {
    rowOf[0] = i
    let j0 = 0
    const least = new Float64Array(columns + 1).fill(Infinity)
    const used = new Uint8Array(columns + 1)
    do {
      used[j0] = 1
      const i0 = rowOf[j0]!
      let delta = Infinity
      let j1 = 0
      for (let j = 1; j <= columns; j++) {
        if (used[j]) continue
        const reduced = cost[i0 - 1]![j - 1]! - u[i0]! - v[j]!
        if (reduced < least[j]!) {
          least[j] = reduced
          way[j] = j0
        }
        if (least[j]! < delta) {
          delta = least[j]!
          j1 = j
        }
      }
      for (let j = 0; j <= columns; j++) {
        if (used[j]) {
          u[rowOf[j]!] = u[rowOf[j]!]! + delta
          v[j] = v[j]! - delta
        } else least[j] = least[j]! - delta
      }
      j0 = j1
    } while (rowOf[j0] !== 0)
    do {
      const j1 = way[j0]!
      rowOf[j0] = rowOf[j1]!
      j0 = j1
    } while (j0 !== 0)
  }
  const result = new Array<number>(rows).fill(-1)
  for (let j = 1; j <= columns; j++) if (rowOf[j]! > 0) result[rowOf[j]! - 1] = j - 1
  return result
}

/**
 * The pairs of rows and columns that are worth most together, each row and each column at most once; the column of each
 * row, or undefined where none is worth anything.
 *
 * @param worth rows of one length, values from 0
 */
export const assignMost = (
  worth: readonly (readonly number[])[],
): readonly (number | undefined)[] =>
  assign(worth.map((row) => row.map((value) => -value))).map((column, row) =>
    column >= 0 && worth[row]![column]! > 0 ? column : undefined,
  )
