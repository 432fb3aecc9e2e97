import { NO_SIDES } from '../../design/geometry.js'
import { resolveInstances } from '../../design/resolve-instances.js'
import { mapNodes } from '../../layout/flow/tree.js'
import { inferLayout, type LayoutNode } from '../../layout/index.js'
import { design, frame, layer } from '../../testing/design.js'
import { at, words } from '../../testing/page.js'
import { createTableMeasure } from '../../text/measure.js'
import { composeScreen } from '../index.js'
import { lintPage, type LintKindId } from './index.js'

type Json = Record<string, unknown>
const measure = createTableMeasure()
const fill = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })
const LOREM =
  'Low water at Gannet Spit is an hour after that of the harbour, and the flats are dry for two hours on either side of it; walkers who set out late wait for the next one at the old saltern.'

const stated = (kind: 'row' | 'column', rest: Json = {}): Json => ({
  layout: { kind, gap: 16, padding: 0, align: 'start', distribute: 'start', wrap: false, ...rest },
})
const fills = { sizing: { width: 'stretch', height: 'fit' } }
const fits = { sizing: { width: 'fit', height: 'fit' } }

const page = (children: Json[], rest: Json = {}): LayoutNode => {
  const [root] = resolveInstances(
    design([
      frame('page', children, {
        ...at(0, 0, 1280, 900),
        ...fill('#ffffff'),
        ...stated('column', { padding: 32, align: 'stretch' }),
        ...rest,
      }),
    ]),
  )
  const drawn = inferLayout(root!, { measure, assets: {} })
  return { ...drawn, sizing: { ...drawn.sizing, width: 'stretch' } }
}

/** The kinds marked at a width where the page gives way by `change` below its own. */
const marksOf = (
  drawn: LayoutNode,
  atPx: number,
  change: (node: LayoutNode) => LayoutNode = (node) => node,
): readonly LintKindId[] =>
  lintPage(
    [
      { fromPx: 0, root: mapNodes(drawn, change) },
      { fromPx: 1280, root: drawn },
    ],
    measure,
    [atPx],
  ).map(({ kind }) => kind)

const on =
  (key: string, change: (node: LayoutNode) => Partial<LayoutNode>) => (node: LayoutNode) =>
    node.layer.key === key ? { ...node, ...change(node) } : node

const stackIt = ({ arrangement }: LayoutNode): Partial<LayoutNode> => ({
  arrangement: { ...arrangement, kind: 'column', align: 'start' } as LayoutNode['arrangement'],
})

const card = (i: number): Json =>
  frame(
    `card-${i}`,
    [words(`name-${i}`, `Walk ${i}`, 0, 0, 20), words(`when-${i}`, 'Friday', 0, 40)],
    {
      ...at(i * 300, 0, 280, 80),
      ...fill('#e8f0ec'),
      ...stated('column'),
      ...fills,
    },
  )

const cards = page([
  frame('cards', [0, 1, 2].map(card), { ...at(32, 32, 1216, 80), ...stated('row'), ...fills }),
])

test('cards in columns that leave one alone are marked', () => {
  const inColumns = (columns: number) =>
    on('cards', () => ({
      arrangement: { kind: 'grid', columns, columnGap: 16, rowGap: 16, padding: 0, align: 'start' },
    }))
  expect(marksOf(cards, 768, inColumns(2))).toEqual(['orphaned'])
  expect(marksOf(cards, 768, inColumns(3))).toEqual([])
  expect(marksOf(cards, 768, inColumns(1))).toEqual([])
})

test('cards of one width that become of several are marked', () => {
  const narrowFirst = on('card-0', ({ sizing }) => ({
    sizing: { ...sizing, width: 'fixed' },
    box: { x: 0, y: 0, width: 90, height: 80 },
  }))
  expect(marksOf(cards, 768, narrowFirst)).toContain('uneven')
})

test('a button across the window is marked on a tablet, not on a phone', () => {
  const drawn = page([
    frame('button', [words('label', 'Save the walk', 16, 8)], {
      ...at(32, 32, 140, 40),
      ...fill('#1f5f4f'),
      ...stated('column', { padding: 8 }),
      ...fits,
    }),
  ])
  const wide = on('button', ({ sizing }) => ({
    sizing: { ...sizing, width: 'stretch' },
    self: 'stretch',
  }))
  expect(marksOf(drawn, 768, wide)).toEqual(['stretched'])
  expect(marksOf(drawn, 390, wide)).toEqual([])
})

test('words in a column too narrow to read are marked, and lines too long to follow', () => {
  const drawn = page([
    frame('note', [{ ...words('body', LOREM, 0, 0), ...at(0, 0, 480, 72), ...fills }], {
      ...at(32, 32, 480, 72),
      ...stated('column', { align: 'stretch' }),
      sizing: { width: 'fixed', height: 'fit' },
    }),
  ])
  const width = (px: number) => on('note', ({ box }) => ({ box: { ...box, width: px } }))
  expect(marksOf(drawn, 390, width(120))).toEqual(['cramped'])
  expect(marksOf(drawn, 768, width(480))).toEqual([])
  expect(marksOf(drawn, 1024, width(900))).toEqual(['long-lines'])
})

test('tools one a line are marked where they would stand in one', () => {
  const drawn = page([
    frame(
      'tools',
      ['Tides', 'Walks', 'People', 'Post'].map((word, i) => words(word, word, i * 80, 0)),
      {
        ...at(32, 32, 1216, 24),
        ...stated('row'),
        ...fills,
      },
    ),
  ])
  expect(marksOf(drawn, 390, on('tools', stackIt))).toEqual(['strewn'])
  expect(marksOf(drawn, 390)).toEqual([])
})

const rail = frame(
  'rail',
  ['Tides', 'Walks', 'People', 'Post', 'Boats', 'Gear', 'Maps', 'Help'].map((word, i) =>
    words(word, word, 0, i * 60, 16),
  ),
  {
    ...at(0, 0, 240, 620),
    ...stated('column', { gap: 40 }),
    sizing: { width: 'fixed', height: 'fixed' },
  },
)
const withRail = page(
  [
    rail,
    frame(
      'main',
      [
        words('title', 'Tides this week', 0, 0, 32),
        layer('rectangle', 'chart', { ...at(0, 60, 900, 500), ...fill('#ccddee'), ...fills }),
      ],
      {
        ...at(260, 0, 980, 620),
        ...stated('column', { align: 'stretch' }),
        ...fills,
      },
    ),
  ],
  stated('row', { padding: 32 }),
)

test('a main part far below what stood beside it is marked', () => {
  expect(marksOf(withRail, 390, on('page', stackIt))).toContain('buried')
  expect(marksOf(withRail, 1024)).toEqual([])
})

test('room left empty beside a column is marked on a tablet, with what begins it', () => {
  const half = on('main', ({ sizing, box }) => ({
    sizing: { ...sizing, width: 'fixed' },
    box: { ...box, width: 80 },
  }))
  expect(marksOf(withRail, 768, half)).toContain('void')
})

test('what comes between a title and what it stands over is marked', () => {
  const drawn = page([
    frame(
      'columns',
      [
        frame('titles', [words('one', 'Walks', 0, 0, 28), words('two', 'Sightings', 0, 0, 28)], {
          ...at(0, 0, 1216, 42),
          ...stated('row', { gap: 500 }),
          ...fills,
        }),
        frame(
          'lists',
          [0, 1].map((i) =>
            layer('rectangle', `list-${i}`, {
              ...at(i * 570, 0, 400, 300),
              ...fill('#e8f0ec'),
              sizing: { width: 'fixed', height: 'fixed' },
            }),
          ),
          { ...at(0, 58, 1216, 300), ...stated('row', { gap: 100 }), ...fills },
        ),
      ],
      { ...at(32, 32, 1216, 358), ...stated('column', { align: 'stretch' }), ...fills },
    ),
  ])
  const apart = (node: LayoutNode): LayoutNode =>
    node.layer.key === 'titles' || node.layer.key === 'lists' ? { ...node, ...stackIt(node) } : node
  expect(marksOf(drawn, 390, apart)).toContain('parted')
  expect(marksOf(drawn, 1100)).not.toContain('parted')
})

test('words that run to the side of the window are marked, but not in a box that scrolls', () => {
  const drawn = page([{ ...words('body', LOREM, 32, 32), ...at(32, 32, 1216, 24), ...fills }])
  const bare = on('page', ({ arrangement }) => ({
    arrangement: { ...arrangement, padding: NO_SIDES } as LayoutNode['arrangement'],
  }))
  expect(marksOf(drawn, 390, bare)).toEqual(['edging'])
  const scrolled = (node: LayoutNode): LayoutNode => {
    const next = bare(node)
    return next.layer.key === 'page' ? { ...next, scrolls: true } : next
  }
  expect(marksOf(drawn, 390, scrolled)).toEqual([])
})

test('pictures too small to be seen are marked', () => {
  const drawn = page([
    layer('rectangle', 'photo', {
      ...at(32, 32, 600, 400),
      ...fill('#ccddee'),
      sizing: { width: 'fixed', height: 'fixed' },
    }),
  ])
  const small = on('photo', ({ box }) => ({ box: { ...box, width: 60, height: 40 } }))
  expect(marksOf(drawn, 390, small)).toEqual(['tiny'])
})

test('a page made by hand of good habits has no marks at any usual width', () => {
  const screen = composeScreen([withRail], { measure, assets: {}, isScreen: true })
  expect(lintPage(screen.steps, measure)).toEqual([])
})

test('faults close together are one mark, with every width at which it is seen', () => {
  const marks = lintPage(
    [
      {
        fromPx: 0,
        root: mapNodes(withRail, on('page', stackIt)),
      },
      { fromPx: 1280, root: withRail },
    ],
    measure,
    [360, 390],
  )
  expect(marks.find(({ kind }) => kind === 'buried')?.atPx).toEqual([360, 390])
})
