import { layer } from '../testing/design.js'
import { inferredPage } from '../testing/layout.js'
import { at, words } from '../testing/page.js'
import type { LayoutNode } from './index.js'

type Json = Record<string, unknown>
const inferred = (children: Json[]): LayoutNode => inferredPage(children, 800, 600)
/** The tree as text, containers with their direction: `column(row(a b) c)`. */
const shapeOf = ({ layer: { key }, arrangement, children }: LayoutNode): string =>
  children.length === 0 ? key : `${arrangement.kind}(${children.map(shapeOf).join(' ')})`

const picture = (key: string, x: number, y: number): Json =>
  layer('rectangle', key, { ...at(x, y, 120, 80), fills: [{ kind: 'solid', color: '#c8d4cc' }] })
/** Two pictures with a word below each; both cuts are possible. */
const quarters = {
  a: picture('a', 40, 40),
  b: picture('b', 184, 40),
  one: words('one', 'Kelp', 40, 144),
  two: words('two', 'Whelks', 184, 144),
}
const around = (key: string, children: Json[]): Json => {
  const boxes = children.map(
    ({ box }) => box as { x: number; y: number; width: number; height: number },
  )
  const x = Math.min(...boxes.map((box) => box.x))
  const y = Math.min(...boxes.map((box) => box.y))
  const width = Math.max(...boxes.map((box) => box.x + box.width)) - x
  const height = Math.max(...boxes.map((box) => box.y + box.height)) - y
  return layer('group', key, {
    box: { x, y, width, height },
    children: children.map((child, i) => ({
      ...child,
      box: { ...boxes[i], x: boxes[i]!.x - x, y: boxes[i]!.y - y },
    })),
  })
}

test('where both cuts are possible, groups that are columns make columns', () => {
  const { a, b, one, two } = quarters
  const tree = inferred([around('left', [a, one]), around('right', [b, two])])
  expect(shapeOf(tree)).toContain('column(a one)')
  expect(shapeOf(tree)).toContain('column(b two)')
})

test('and groups that are rows make rows', () => {
  const { a, b, one, two } = quarters
  const tree = inferred([around('pictures', [a, b]), around('words', [one, two])])
  expect(shapeOf(tree)).toContain('(a b)')
  expect(shapeOf(inferred([a, b, one, two]))).not.toContain('(a b)')
})

test('a group that holds one of several things that are alike says nothing', () => {
  const card = (i: number): Json[] => [
    layer('rectangle', `card-${i}`, {
      ...at(40 + i * 220, 120, 200, 160),
      fills: [{ kind: 'solid', color: '#eef1ee' }],
    }),
    words(`name-${i}`, 'Kelp', 60 + i * 220, 140),
    words(`note-${i}`, 'Sold', 60 + i * 220, 180, 12),
  ]
  const title = words('title', 'Finds', 40, 40, 24)
  const plain = inferred([title, ...card(0), ...card(1), ...card(2)])
  const grouped = inferred([around('group', [title, ...card(0)]), ...card(1), ...card(2)])
  expect(shapeOf(grouped)).toBe(shapeOf(plain))
})
