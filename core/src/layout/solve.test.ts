import fc from 'fast-check'
import {
  Align,
  Direction,
  Edge,
  FlexDirection,
  Gutter,
  Justify,
  loadYoga,
  type Node,
  type Yoga,
} from 'yoga-layout/load'
import type { Box } from '../design/geometry.js'
import { draftNode } from './draft.js'
import type { LayoutNode } from './node.js'
import { solveFlow, type Measured } from './solve.js'
import { plainFrame } from './draft.js'
import { runs } from '../testing/runs.js'

// The same trees are laid out by another implementation of flexible boxes.

const ALIGN = {
  start: Align.FlexStart,
  centre: Align.Center,
  end: Align.FlexEnd,
  stretch: Align.Stretch,
} as const
const JUSTIFY = {
  start: Justify.FlexStart,
  centre: Justify.Center,
  end: Justify.FlexEnd,
  between: Justify.SpaceBetween,
} as const

type Child = {
  readonly width: number
  readonly height: number
  readonly grows: boolean
  readonly across: boolean
  readonly margin: number
  readonly self: keyof typeof ALIGN | undefined
  readonly most: number | undefined
}

const child = fc.record<Child>({
  width: fc.integer({ min: 1, max: 40 }),
  height: fc.integer({ min: 1, max: 40 }),
  grows: fc.boolean(),
  across: fc.boolean(),
  margin: fc.integer({ min: 0, max: 10 }),
  self: fc.option(fc.constantFrom('start', 'centre', 'end'), { nil: undefined }),
  most: fc.option(fc.integer({ min: 20, max: 60 }), { nil: undefined }),
})

const flow = fc.record({
  kind: fc.constantFrom('row' as const, 'column' as const),
  gap: fc.integer({ min: 0, max: 12 }),
  padding: fc.integer({ min: 0, max: 12 }),
  align: fc.constantFrom('start' as const, 'centre' as const, 'end' as const),
  distribute: fc.constantFrom(
    'start' as const,
    'centre' as const,
    'end' as const,
    'between' as const,
  ),
})
type Flow = Parameters<typeof solveFlow>[0]

let yoga: Yoga
beforeAll(async () => {
  yoga = await loadYoga()
})

const WIDTH = 600
const HEIGHT = 500

const toNode = (c: Child, kind: 'row' | 'column'): LayoutNode =>
  draftNode(
    plainFrame('c', '', { x: 0, y: 0, width: c.width, height: c.height }),
    { x: 0, y: 0, width: c.width, height: c.height },
    {
      sizing: {
        width: kind === 'row' && c.grows ? 'stretch' : 'fixed',
        height: kind === 'row' && c.across ? 'stretch' : 'fixed',
      },
      margin: { top: c.margin, right: c.margin, bottom: c.margin, left: c.margin },
      limits: kind === 'row' && c.grows && c.most ? { maxWidth: c.most } : {},
      ...(c.self ? { self: c.self } : {}),
    },
  )

const byOurs = (children: readonly Child[], f: { kind: 'row' | 'column' } & object): Box[] => {
  const measured = children.map((c): Measured => ({
    node: toNode(c, f.kind),
    widest: c.width,
    height: () => c.height,
  }))
  const arrangement = { ...f, wrap: false } as Flow
  return solveFlow(arrangement, measured, [], { width: WIDTH, height: HEIGHT })
}

const byYoga = (
  children: readonly Child[],
  f: {
    kind: 'row' | 'column'
    gap: number
    padding: number
    align: keyof typeof ALIGN
    distribute: keyof typeof JUSTIFY
  },
): Box[] => {
  const root = yoga.Node.create()
  root.setWidth(WIDTH)
  root.setHeight(HEIGHT)
  root.setFlexDirection(f.kind === 'row' ? FlexDirection.Row : FlexDirection.Column)
  root.setGap(Gutter.All, f.gap)
  root.setPadding(Edge.All, f.padding)
  root.setAlignItems(ALIGN[f.align])
  root.setJustifyContent(JUSTIFY[f.distribute])
  const nodes = children.map((c, i): Node => {
    const node = yoga.Node.create()
    node.setMargin(Edge.All, c.margin)
    if (c.self) node.setAlignSelf(ALIGN[c.self])
    const isRow = f.kind === 'row'
    if (isRow && c.grows) {
      node.setFlexGrow(1)
      node.setFlexBasis(0)
      if (c.most) node.setMaxWidth(c.most)
    } else node.setWidth(c.width)
    if (isRow && c.across) node.setAlignSelf(Align.Stretch)
    else node.setHeight(c.height)
    root.insertChild(node, i)
    return node
  })
  root.calculateLayout(WIDTH, HEIGHT, Direction.LTR)
  const boxes = nodes.map((node) => {
    const { left, top, width, height } = node.getComputedLayout()
    return { x: left, y: top, width, height }
  })
  root.freeRecursive()
  return boxes
}

test('rows and columns are laid out like another solver lays them out', () => {
  fc.assert(
    fc.property(fc.array(child, { minLength: 1, maxLength: 6 }), flow, (children, f) => {
      const [ours, theirs] = [byOurs(children, f), byYoga(children, f)]
      ours.forEach((box, i) => {
        // The other one rounds to whole px.
        for (const side of ['x', 'y', 'width', 'height'] as const) {
          expect(Math.abs(box[side] - theirs[i]![side])).toBeLessThanOrEqual(1)
        }
      })
    }),
    runs(300),
  )
})

const fixed = (width: number, height: number, rest: Partial<LayoutNode> = {}): Measured => ({
  node: draftNode(
    plainFrame('c', '', { x: 0, y: 0, width, height }),
    { x: 0, y: 0, width, height },
    rest,
  ),
  widest: width,
  height: () => height,
})

test('the columns of a grid share the room as they say, and rows are as high as their highest cell', () => {
  const stretch = { sizing: { width: 'stretch', height: 'stretch' } } as const
  const cells = [20, 40, 10].map((height) => fixed(10, height, stretch))
  const grid = { kind: 'grid', columns: 2, columnGap: 10, rowGap: 5, padding: 0 } as const
  expect(
    solveFlow({ ...grid, tracks: [1, 3], align: 'stretch' }, cells, [], {
      width: 410,
      height: undefined,
    }),
  ).toEqual([
    { x: 0, y: 0, width: 100, height: 40 },
    { x: 110, y: 0, width: 300, height: 40 },
    { x: 0, y: 45, width: 100, height: 10 },
  ])
})

test('what is pushed takes the free room before it, and baselines are set level', () => {
  const row = {
    kind: 'row',
    gap: 10,
    padding: 0,
    align: 'baseline',
    distribute: 'start',
    wrap: false,
  } as const
  const children = [fixed(50, 40), fixed(30, 20, { isPushed: true })]
  expect(solveFlow(row, children, [30, 14], { width: 200, height: undefined })).toEqual([
    { x: 0, y: 0, width: 50, height: 40 },
    { x: 170, y: 16, width: 30, height: 20 },
  ])
})
