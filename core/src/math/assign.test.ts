import fc from 'fast-check'
import { assignMost } from './assign.js'
import { runs } from '../testing/runs.js'

const worthOf = (
  worth: readonly (readonly number[])[],
  pairs: readonly (number | undefined)[],
): number =>
  pairs.reduce<number>((sum, at, row) => sum + (at === undefined ? 0 : worth[row]![at]!), 0)

/** The best of all ways, by trying them. */
const best = (
  worth: readonly (readonly number[])[],
  row = 0,
  taken: ReadonlySet<number> = new Set(),
): number => {
  if (row === worth.length) return 0
  const skipped = best(worth, row + 1, taken)
  return worth[row]!.reduce(
    (most, own, at) =>
      taken.has(at) ? most : Math.max(most, own + best(worth, row + 1, new Set([...taken, at]))),
    skipped,
  )
}

const matrix = fc
  .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }))
  .chain(([rows, columns]) =>
    fc.array(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: columns, maxLength: columns }), {
      minLength: rows,
      maxLength: rows,
    }),
  )

test('no other pairs are worth more, and none is given twice', () => {
  fc.assert(
    fc.property(matrix, (worth) => {
      const pairs = assignMost(worth)
      const used = pairs.filter((at) => at !== undefined)
      expect(new Set(used).size).toBe(used.length)
      expect(worthOf(worth, pairs)).toBe(best(worth))
    }),
    runs(),
  )
})

test('what is worth nothing is no pair', () => {
  expect(
    assignMost([
      [0, 0],
      [0, 3],
    ]),
  ).toEqual([undefined, 1])
  expect(assignMost([])).toEqual([])
})
