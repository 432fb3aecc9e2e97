/**
 * The pairs of rows and columns that are worth most together, each row and each column at most once; the column of each
 * row, or undefined where none is worth anything. After Kuhn and Munkres, with potentials, in O(n³); of pairs of one
 * worth the earlier ones.
 *
 * @param worth rows of one length, values from 0
 */
export const assign = (worth: readonly (readonly number[])[]): readonly (number | undefined)[] => {
  const rows = worth.length
  const columns = worth[0]?.length ?? 0
  const size = Math.max(rows, columns)
  if (size === 0) return []
  const cost = (row: number, column: number): number => -(worth[row]?.[column] ?? 0)
  // Arrays from 1, as the method is usually written: 0 stands for no row and no column.
  const ofRow = new Array<number>(size + 1).fill(0)
  const ofColumn = new Array<number>(size + 1).fill(0)
  const rowAt = new Array<number>(size + 1).fill(0)
  const way = new Array<number>(size + 1).fill(0)
  for (let row = 1; row <= size; row++) {
    rowAt[0] = row
    let column = 0
    const least = new Array<number>(size + 1).fill(Infinity)
    const isUsed = new Array<boolean>(size + 1).fill(false)
    do {
      isUsed[column] = true
      const current = rowAt[column]!
      let delta = Infinity
      let next = 0
      for (let other = 1; other <= size; other++) {
        if (isUsed[other]) continue
        const reduced = cost(current - 1, other - 1) - ofRow[current]! - ofColumn[other]!
        if (reduced < least[other]!) {
          least[other] = reduced
          way[other] = column
        }
        if (least[other]! < delta) {
          delta = least[other]!
          next = other
        }
      }
      for (let other = 0; other <= size; other++) {
        if (isUsed[other]) {
          ofRow[rowAt[other]!]! += delta
          ofColumn[other]! -= delta
        } else least[other]! -= delta
      }
      column = next
    } while (rowAt[column] !== 0)
    do {
      const before = way[column]!
      rowAt[column] = rowAt[before]!
      column = before
    } while (column !== 0)
  }
  const found = new Array<number | undefined>(rows).fill(undefined)
  for (let column = 1; column <= columns; column++) {
    const row = rowAt[column]! - 1
    if (row >= 0 && row < rows && worth[row]![column - 1]! > 0) found[row] = column - 1
  }
  return found
}
