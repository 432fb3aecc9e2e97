import { inferredPage } from '../testing/layout.js'
import { words } from '../testing/page.js'
import type { LayoutNode } from './index.js'

type Json = Record<string, unknown>
const inferred = (children: Json[]): LayoutNode => inferredPage(children, 1200, 400)
const shapeOf = ({ layer: { key }, children }: LayoutNode): string =>
  children.length === 0 ? key : `(${children.map(shapeOf).join(' ')})`

/** Words one after another in a row, with a distance after each. */
const inRow = (gaps: readonly number[]): Json[] => {
  let x = 40
  return ['Kelp', 'Whelks', 'Sea glass', 'Driftwood', 'Rope', 'Floats']
    .slice(0, gaps.length + 1)
    .map((name, i) => {
      const one = words(`w${i}`, name, x, 40)
      x += (one['box'] as { width: number }).width + (gaps[i] ?? 0)
      return one
    })
}

test('cells of a row stand where their columns begin: they are no pairs', () => {
  expect(shapeOf(inferred(inRow([101, 238, 187, 240, 120])))).toBe('(w0 w1 w2 w3 w4 w5)')
})

test('things of one kind that stand nearly equally far apart are one run', () => {
  expect(shapeOf(inferred(inRow([62, 71, 64])))).toBe('(w0 w1 w2 w3)')
})

test('things that clearly stand in pairs are pairs', () => {
  expect(shapeOf(inferred(inRow([8, 48, 8, 48, 8])))).toBe('((w0 w1) (w2 w3) (w4 w5))')
})
