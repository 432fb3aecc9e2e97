import { resolveSides } from '../../design/geometry.js'
import { walkNodes, type LayoutNode } from '../../layout/index.js'
import { createSolver } from '../../layout/flow/solver.js'
import { layer } from '../../testing/design.js'
import { findNode, inferredPage } from '../../testing/layout.js'
import { at, words } from '../../testing/page.js'
import { createTableMeasure } from '../../text/measure.js'
import { evenOut } from './index.js'

type Json = Record<string, unknown>
const measure = createTableMeasure()
const solver = createSolver(measure)
const paint = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })
const evened = (children: Json[]): LayoutNode =>
  evenOut(inferredPage(children, 600, 800), solver, measure)
const box = (key: string, y: number, height: number): Json =>
  layer('rectangle', key, { ...at(20, y, 560, height), ...paint('#eef1ee') })

/** All gaps, paddings and margins of a tree, in px. */
const lengthsIn = (root: LayoutNode): readonly number[] => {
  const found: number[] = []
  walkNodes(root, ({ arrangement, margin }) => {
    found.push(...Object.values(margin))
    if (arrangement.kind === 'free') return
    found.push(...Object.values(resolveSides(arrangement.padding)))
    if (arrangement.kind !== 'grid') found.push(arrangement.gap)
  })
  return found
}
const topOf = (root: LayoutNode, key: string): number =>
  solver.place(root, root.box.width).find(({ node }) => node.layer.key === key)!.box.y

test('distances with fractions become whole px, and steps of the scale that are near', () => {
  const tree = evened([
    box('a', 20.3, 60.2),
    words('title', 'Low water', 36.4, 36.7),
    box('b', 104.2, 60.1),
    words('other', 'High water', 36.2, 120.4),
  ])
  expect(lengthsIn(tree).filter((px) => !Number.isInteger(px))).toEqual([])
  expect(resolveSides((findNode(tree, 'a').arrangement as { padding: number }).padding).left).toBe(
    16,
  )
})

test('whole px off the scale are meant', () => {
  const tree = evened([box('a', 19, 60), box('b', 102, 60), box('c', 185, 60)])
  expect(lengthsIn(tree)).toContain(19)
  expect(lengthsIn(tree)).toContain(23)
})

test('a distance gives back what the ones before it were rounded by', () => {
  // Each box is 0.4 px further from the one before than a whole px says.
  const tops = [20, 90.4, 170.8, 251.2, 341.6]
  const tree = evened(tops.map((y, i) => box(`box-${i}`, y, [50, 60, 60, 70, 60][i]!)))
  tops.forEach((y, i) => expect(Math.abs(topOf(tree, `box-${i}`) - y)).toBeLessThanOrEqual(1))
})

test('a gap that would add up to a drift stays as it is', () => {
  const tops = Array.from({ length: 16 }, (_, i) => 20 + i * 40.35)
  const tree = evened(tops.map((y, i) => box(`box-${i}`, y, 32)))
  expect(Math.abs(topOf(tree, 'box-15') - tops[15]!)).toBeLessThanOrEqual(1.5)
})
