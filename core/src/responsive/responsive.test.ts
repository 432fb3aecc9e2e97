import fc from 'fast-check'
import { resolveInstances } from '../design/resolve-instances.js'
import { inferLayout, walkNodes, type LayoutNode } from '../layout/index.js'
import { design, frame, layer, text } from '../testing/design.js'
import { findNode } from '../testing/layout.js'
import { arbitraryPage, at, words } from '../testing/page.js'
import { createTableMeasure } from '../text/measure.js'
import { composeScreen, sweepPage, type Screen } from './index.js'
import { createSolver } from '../layout/flow/solver.js'
import { runs } from '../testing/runs.js'

type Json = Record<string, unknown>
const measure = createTableMeasure()
const white = { fills: [{ kind: 'solid', color: '#ffffff' }] }

const compose = (
  screens: Json[],
  rest: Partial<Parameters<typeof composeScreen>[1]> = {},
): Screen =>
  composeScreen(
    resolveInstances(design(screens)).map((root) => inferLayout(root, { measure, assets: {} })),
    { measure, assets: {}, isScreen: true, ...rest },
  )

const keysOf = (root: LayoutNode): string[] => {
  const keys: string[] = []
  walkNodes(root, (node) => keys.push(node.layer.key))
  return keys
}
const atWidth = ({ steps }: Screen, px: number): LayoutNode =>
  steps.findLast((step) => step.fromPx <= px)!.root

const page = (children: Json[], width = 1280, height = 800, rest: Json = {}): Json =>
  frame('page', children, { ...at(0, 0, width, height), ...white, ...rest })

/** A row whose second child stands 4 px from its first. */
const joinFirst = (row: LayoutNode): LayoutNode => ({
  ...row,
  children: row.children.map((child, i) =>
    i === 1 ? { ...child, margin: { ...child.margin, left: -36 } } : child,
  ),
})

const card = (i: number, x: number, y: number, width = 280): Json[] => [
  layer('rectangle', `card-${i}`, { ...at(x, y, width, 120), ...white }),
  words(`title-${i}`, `Stretch ${i}`, x + 16, y + 16, 20),
  words(`body-${i}`, 'Walked twice this week', x + 16, y + 60),
]

/** A card in which a name stands before a badge at the end. */
const entry = (i: number, name: string, y: number): Json[] => [
  layer('rectangle', `entry-${i}`, { ...at(32, y, 420, 72), ...white, radius: 8 }),
  words(`name-${i}`, name, 48, y + 18, 24),
  layer('rectangle', `badge-${i}`, {
    ...at(356, y + 24, 80, 24),
    fills: [{ kind: 'solid', color: '#f3d9cc' }],
    radius: 12,
  }),
]

test('entries of one kind give way alike, as the longest of them needs it', () => {
  const names = ['Kelp', 'Beachcombersnight', 'Gannet']
  const ground = { fills: [{ kind: 'solid', color: '#e8f0ec' }] }
  const made = compose([
    page(
      names.flatMap((name, i) => entry(i, name, 40 + i * 88)),
      1280,
      400,
      ground,
    ),
  ])
  const narrow = atWidth(made, 320)
  const arrangements = names.map((_, i) => findNode(narrow, `entry-${i}`).arrangement)
  expect(arrangements[1]).not.toEqual(findNode(atWidth(made, 1280), 'entry-1').arrangement)
  expect(arrangements[0]).toEqual(arrangements[1])
  expect(arrangements[2]).toEqual(arrangements[1])
})

describe('one artboard at every width', () => {
  const cards = compose([
    page(
      [0, 1, 2, 3].flatMap((i) => card(i, 32 + i * 308, 40)),
      1280,
      240,
    ),
  ])

  test('cards that are alike keep to columns, as many as fit', () => {
    const columnsAt = (px: number): number | string => {
      const node =
        atWidth(cards, px).children.find((n) => n.children.length === 4) ?? atWidth(cards, px)
      return node.arrangement.kind === 'grid' ? node.arrangement.columns : node.arrangement.kind
    }
    expect([
      columnsAt(1280) === 4 || columnsAt(1280) === 'row',
      columnsAt(700),
      columnsAt(320),
    ]).toEqual([true, 2, 1])
    expect(cards.readings).toContainEqual(
      expect.objectContaining({ kind: 'columns', value: expect.stringContaining('4 columns') }),
    )
  })

  test('nothing breaks from 320 to 2560 px', () => {
    expect(sweepPage(cards.steps, { measure })).toEqual([])
  })

  test('the artboard itself stays as it was drawn', () => {
    const drawn = inferLayout(
      resolveInstances(
        design([
          page(
            [0, 1, 2, 3].flatMap((i) => card(i, 32 + i * 308, 40)),
            1280,
            240,
          ),
        ]),
      )[0]!,
      { measure, assets: {} },
    )
    expect(keysOf(atWidth(cards, 1280))).toEqual(keysOf(drawn))
  })

  const ENTRIES = [
    ['Stretch', 'Walker', 'Last seen', 'Tide', 'Sightings'],
    ['Gannet Spit', 'Ona', 'Saturday morning', 'low', '12'],
    ['Low Saltern', 'Ruben and Ida', 'Friday', 'high', '7'],
    ['Pilot’s Cove', 'Maud', 'A week ago', 'low', '27'],
  ]
  const table = (): Json => {
    const cell = (row: number, column: number): Json =>
      words(
        `cell-${row}-${column}`,
        ENTRIES[row]![column]!,
        [40, 310, 520, 880, 1030][column]!,
        40 + row * 48,
      )
    const rows = [0, 1, 2, 3].flatMap((row) => [
      ...[0, 1, 2, 3, 4].map((column) => cell(row, column)),
      layer('rectangle', `rule-${row}`, { ...at(40, 76 + row * 48, 1200, 1), ...white }),
    ])
    return page(rows, 1280, 300)
  }

  test('a table keeps its columns and scrolls in its own box', () => {
    const screen = compose([table()])
    expect(screen.readings.map((r) => r.kind)).toContain('scroll')
    let scrolling = 0
    walkNodes(atWidth(screen, 320), (node) => void (node.scrolls && scrolling++))
    expect(scrolling).toBe(1)
    expect(sweepPage(screen.steps, { measure }).filter((b) => b.kind === 'overflow')).toEqual([])
  })

  const head = (): Json[] => [
    words('brand', 'Tidewrack', 40, 24, 24),
    ...['Today', 'Log a sighting', 'Species', 'Rota', 'How to walk'].map((label, i) =>
      words(`link-${i}`, label, 640 + i * 130, 30),
    ),
  ]

  test('navigation in the head folds behind a button where it does not fit', () => {
    const screen = compose([page([...head(), words('title', 'Today on the shore', 40, 120, 32)])])
    const narrow = atWidth(screen, 320)
    const menus: string[] = []
    walkNodes(narrow, (node) => void (node.menu && menus.push(node.menu.is)))
    expect(menus).toEqual(['button', 'panel'])
    // The links are all in the panel.
    const panel = findNode(
      narrow,
      screen.readings.find((r) => r.kind === 'fold')!.layer === 'x' ? '' : 'link-0',
    )
    expect(panel.layer.type).toBe('text')
    walkNodes(atWidth(screen, 1280), (node) => expect(node.folds).toBeUndefined())
    expect(sweepPage(screen.steps, { measure })).toEqual([])
  })

  test('display type and room shrink by steps; running text does not', () => {
    const screen = compose([
      page([
        words('title', 'Goose barnacles', 160, 120, 64),
        words('intro', 'Seen today', 160, 260),
      ]),
    ])
    const sizeAt = (key: string, px: number): number => {
      const { layer: own } = findNode(atWidth(screen, px), key)
      return own.type === 'text' ? own.style.size : 0
    }
    const sizes = [320, 800, 1280].map((px) => sizeAt('title', px))
    expect(sizes[2]).toBe(64)
    expect(sizes[0]).toBeLessThan(sizes[1]!)
    expect(sizes[1]).toBeLessThan(64)
    expect([320, 800, 1280].map((px) => sizeAt('intro', px))).toEqual([16, 16, 16])
  })

  test('even room on both sides is content held to a width', () => {
    const screen = compose([
      page([
        ...[0, 1, 2].flatMap((i) => card(i, 140 + i * 344, 40, 312)),
        layer('rectangle', 'wide', { ...at(140, 200, 1000, 80), ...white }),
      ]),
    ])
    const hold = screen.readings.find((r) => r.kind === 'hold')
    expect(hold).toMatchObject({ value: 'content at most 1000 px wide, centred' })
  })

  test('what stood close together stays so where the gaps of its row shrink', () => {
    const row = (kind: string) => ({
      ...at(0, 0, 1280, 80),
      layout: { kind, gap: 40, padding: 24, align: 'centre' },
      sizing: { width: 'stretch', height: 'fit' },
    })
    const labels = ['Wrack', 'line', 'Gulls', 'Terns', 'Seals', 'Crabs', 'Weather', 'Tides']
    const children = labels.map((label, i) => words(`w${i}`, label, 0, 0, 20))
    const [root] = resolveInstances(design([page([frame('row', children, row('row'))], 1280, 200)]))
    const tree = inferLayout(root!, { measure, assets: {} })
    const close = { ...tree, children: tree.children.map(joinFirst) }
    const said = { row: { giveWay: 'wrap' as const }, 'w0~': { giveWay: 'wrap' as const } }
    const joined = composeScreen([close], { measure, assets: {}, isScreen: true, said })
    let holder: LayoutNode | undefined
    walkNodes(atWidth(joined, 320), (node) => {
      if (node.children[0]?.layer.key === 'w0') holder = node
    })
    const { arrangement, children: shown } = holder!
    if (arrangement.kind !== 'row') throw new Error(arrangement.kind)
    expect(arrangement.gap).toBeLessThan(40)
    expect(arrangement.gap + shown[1]!.margin.left).toBe(4)
    expect(shown[2]!.margin.left).toBe(0)
    expect(sweepPage(joined.steps, { measure })).toEqual([])
  })

  test('a word too long for the narrowest window breaks rather than reach out', () => {
    const screen = compose([
      page([words('word', 'Strandlinienbeobachtungsprotokollbuch', 40, 40, 20)], 1280, 200),
    ])
    expect(sweepPage(screen.steps, { measure })).toEqual([])
  })
})

test('pages of loose layers hold at every width (seed 3)', () => {
  fc.assert(
    fc.property(arbitraryPage, (drawn) => {
      const screen = compose([drawn])
      const overflow = sweepPage(screen.steps, { measure, stepPx: 40 }).filter(
        (found) => found.kind === 'overflow',
      )
      expect(overflow).toEqual([])
    }),
    runs(60),
  )
})

test('getting ready for other widths changes nothing at the drawn one (seed 4)', () => {
  const solver = createSolver(measure)
  const placesAt = (root: LayoutNode): Record<string, string> =>
    Object.fromEntries(
      solver
        .place({ ...root, sizing: { ...root.sizing, width: 'stretch' } }, 1280)
        .filter(({ node }) => node.children.length === 0)
        .map(({ node, box }) => [
          node.layer.key,
          [box.x, box.y, box.width].map(Math.round).join(' '),
        ]),
    )
  fc.assert(
    fc.property(arbitraryPage, (drawn) => {
      const tree = inferLayout(resolveInstances(design([drawn]))[0]!, { measure, assets: {} })
      const ready = composeScreen([tree], { measure, assets: {}, isScreen: true })
      expect(placesAt(atWidth(ready, 1280))).toEqual(placesAt(tree))
    }),
    runs(80),
  )
})

describe('what a person says', () => {
  const row = page(
    [
      frame(
        'row',
        [0, 1, 2].map((i) =>
          frame(`box-${i}`, [words(`label-${i}`, 'Walked twice this week', 16, 16)], {
            ...at(i * 400, 0, 384, 56),
            layout: { kind: 'column', padding: 16 },
            sizing: { width: 'stretch', height: 'fit' },
            ...white,
          }),
        ),
        {
          ...at(40, 40, 1200, 56),
          layout: { kind: 'row', gap: 16 },
          sizing: { width: 'stretch', height: 'fit' },
        },
      ),
    ],
    1280,
    200,
    { layout: { kind: 'column', padding: 40 } },
  )
  const arrangementAt = (screen: Screen, px: number): string =>
    findNode(atWidth(screen, px), 'row').arrangement.kind

  test('a way to give way is taken instead of the one that was read', () => {
    expect(arrangementAt(compose([row]), 320)).toBe('grid')
    const stacked = compose([row], { said: { row: { giveWay: 'stack' } } })
    expect(arrangementAt(stacked, 320)).toBe('column')
    expect(stacked.readings.find((r) => r.layer === 'row')).toMatchObject({
      kind: 'stack',
      isRuling: true,
      confidence: 1,
    })
    expect(arrangementAt(compose([row], { said: { row: { giveWay: 'keep' } } }), 320)).toBe('row')
  })

  test('a difference holds from its width on and below the other', () => {
    const screen = compose([row], {
      said: { row: { at: [{ from: 700, below: 900, gap: 4, direction: 'column' }] } },
    })
    expect([600, 700, 899, 900, 1280].map((px) => arrangementAt(screen, px))).toEqual([
      arrangementAt(compose([row]), 600),
      'column',
      'column',
      arrangementAt(compose([row]), 900),
      'row',
    ])
  })

  test('a difference at every width also holds beyond the artboard', () => {
    const screen = compose([row], { said: { 'box-1': { at: [{ from: 0, hidden: true }] } } })
    for (const { root } of screen.steps) expect(findNode(root, 'box-1').isHidden).toBe(true)
  })

  test('content is held to a width, or let go', () => {
    const screen = compose([row], { said: { page: { contentMax: 960 } } })
    expect(atWidth(screen, 1280).contentMax).toBe(960)
    expect(screen.readings.find((r) => r.kind === 'hold')).toMatchObject({ isRuling: true })
  })

  test('changes come only at the chosen widths', () => {
    const { steps } = compose([row], { breakpoints: [700] })
    expect(steps.map((step) => step.fromPx)).toEqual([0, 700, 1280])
  })
})

describe('several artboards', () => {
  const wide = frame(
    'wide',
    [...card(0, 40, 40), ...card(1, 360, 40), words('only-wide', 'Seen on wide windows', 700, 60)],
    {
      ...at(0, 0, 1280, 240),
      ...white,
    },
  )
  const renamed = (cards: Json[]): Json[] =>
    cards.map((one) => ({ ...one, key: `n-${one['key'] as string}` }))
  const narrow = frame(
    'narrow',
    [
      ...renamed([...card(0, 16, 16), ...card(1, 16, 160)]),
      words('only-narrow', 'Swipe for more', 16, 300),
    ],
    { ...at(0, 0, 390, 360), ...white },
  )
  const screen = compose([wide, narrow])

  test('layers that are the same have the key of the widest at all widths', () => {
    for (const px of [390, 1280]) {
      const keys = keysOf(atWidth(screen, px))
      for (const key of ['card-0', 'title-0', 'body-1']) expect(keys).toContain(key)
    }
  })

  test('what is on one artboard only is there at its widths only', () => {
    const has = (key: string): boolean[] =>
      [390, 1280].map((px) => keysOf(atWidth(screen, px)).includes(key))
    expect(has('only-wide')).toEqual([false, true])
    expect(has('only-narrow')).toEqual([true, false])
  })

  test('nothing is there twice', () => {
    for (const { root } of screen.steps) {
      const keys = keysOf(root)
      expect(new Set(keys).size).toBe(keys.length)
    }
  })

  test('the wider takes over where it holds, not later than at its own width', () => {
    const from = screen.steps.find(({ root }) => keysOf(root).includes('only-wide'))!.fromPx
    expect(from).toBeGreaterThan(390)
    expect(from).toBeLessThanOrEqual(1280)
    expect(sweepPage(screen.steps, { measure }).filter((b) => b.kind === 'overflow')).toEqual([])
  })

  test('the same artboard twice is one tree without differences', () => {
    const same = compose([
      wide,
      { ...wide, key: 'again', children: renamed(wide['children'] as Json[]) },
    ])
    expect(keysOf(atWidth(same, 1280))).toEqual(keysOf(same.steps.at(-1)!.root))
    expect(
      Object.values(same.matches)[0]!.every(
        (match) => `n-${match.base}` === match.other || match.base === 'wide',
      ),
    ).toBe(true)
  })
})

describe('the sweep', () => {
  test('tells the widths at which something reaches out, and which layer', () => {
    const fixed = page(
      [frame('bar', [], { ...at(0, 0, 700, 40), ...white, limits: { minWidth: 700 } })],
      1280,
      100,
      { layout: { kind: 'column' } },
    )
    const screen = compose([fixed], { breakpoints: [] })
    const breaks = sweepPage(screen.steps, { measure, stepPx: 20 })
    expect(breaks).toMatchObject([{ kind: 'overflow', layer: 'bar', fromPx: 320, toPx: 680 }])
  })

  test('text that a box of fixed height cuts off', () => {
    const cut = page(
      [
        frame(
          'clip',
          [
            text(
              'long',
              'Three stretches still need somebody to walk them before the tide turns again',
              { ...at(0, 0, 600, 24), sizing: { width: 'stretch', height: 'fit' } },
            ),
          ],
          {
            ...at(0, 0, 1280, 30),
            clip: true,
            layout: { kind: 'column' },
            sizing: { width: 'stretch', height: 'fixed' },
          },
        ),
      ],
      1280,
      100,
      { layout: { kind: 'column' } },
    )
    const breaks = sweepPage(compose([cut]).steps, { measure })
    expect(breaks).toMatchObject([{ kind: 'cut', layer: 'long', fromPx: 320 }])
  })
})

describe('a rail at the side of a page', () => {
  const labels = ['Tides', 'Walks', 'People', 'Post', 'Boats', 'Gear']
  const dark = { fills: [{ kind: 'solid', color: '#123a33' }] }
  const screen = compose([
    page([
      layer('rectangle', 'rail', { ...at(0, 0, 240, 800), ...dark }),
      layer('rectangle', 'sign', { ...at(24, 20, 32, 32), ...white, radius: 8 }),
      words('brand', 'Tidewrack', 68, 24, 16),
      ...labels.map((label, i) => words(label, label, 24, 96 + i * 44, 16)),
      words('title', 'Tides this week', 280, 32, 32),
      layer('rectangle', 'chart', {
        ...at(280, 104, 960, 400),
        fills: [{ kind: 'solid', color: '#ccddee' }],
      }),
    ]),
  ])
  const solver = createSolver(measure)
  const boxAt = (px: number, key: string) =>
    solver.place(atWidth(screen, px), px).find(({ node }) => node.layer.key === key)?.box

  test('stands beside the main part where there is room', () => {
    expect(boxAt(1280, 'title')).toMatchObject({ x: 280, y: 32 })
    expect(findNode(atWidth(screen, 1280), 'rail').folds).toBeUndefined()
    expect(boxAt(1024, 'rail')!.width).toBe(240)
    expect(boxAt(1024, 'title')!.x).toBe(280)
  })

  test('becomes a drawer as wide as the rail, behind a button in a bar', () => {
    const rail = findNode(atWidth(screen, 390), 'rail')
    expect(rail).toMatchObject({
      folds: { topPx: 60, color: '#123a33' },
      limits: { maxWidth: 240 },
    })
    const bar = findNode(atWidth(screen, 390), 'rail~bar')
    expect(keysOf(bar)).toEqual(expect.arrayContaining(['brand', 'sign', 'rail~menu']))
    expect(keysOf(rail)).not.toContain('brand')
    expect(boxAt(390, 'title')!.y).toBeLessThan(160)
    expect(screen.readings).toContainEqual(
      expect.objectContaining({ kind: 'fold', value: 'folds behind a menu button' }),
    )
  })

  test('nothing breaks at any width', () => {
    expect(sweepPage(screen.steps, { measure })).toEqual([])
  })
})

describe('a title and an action above cards', () => {
  const screen = compose([
    page(
      [
        words('title', 'Today on the shore', 32, 32, 28),
        layer('rectangle', 'action', {
          ...at(1120, 32, 128, 40),
          fills: [{ kind: 'solid', color: '#123a33' }],
          radius: 8,
        }),
        words('log', 'Log a find', 1140, 40, 14),
        ...[0, 1, 2, 3].flatMap((i) => card(i, 32 + i * 308, 92, 292)),
        // One of the cards has more to say.
        words('rare', 'Rare', 48 + 308, 168, 12),
      ],
      1280,
      260,
    ),
  ])
  const solver = createSolver(measure)
  const boxAt = (px: number, key: string) =>
    solver.place(atWidth(screen, px), px).find(({ node }) => node.layer.key === key)!.box

  test('stay together, above all of the cards', () => {
    const bottom = (px: number, key: string): number => boxAt(px, key).y + boxAt(px, key).height
    for (const px of [1280, 768]) {
      const cards = [0, 1, 2, 3].map((i) => boxAt(px, `card-${i}`).y)
      expect(Math.max(bottom(px, 'title'), bottom(px, 'action'))).toBeLessThanOrEqual(
        Math.min(...cards),
      )
    }
  })

  test('the cards keep to columns of one width, though one of them differs inside', () => {
    const boxes = [0, 1, 2, 3].map((i) => boxAt(640, `card-${i}`))
    expect(new Set(boxes.map(({ y }) => Math.round(y))).size).toBeLessThanOrEqual(2)
    expect(new Set(boxes.map(({ width }) => Math.round(width))).size).toBe(1)
  })
})

describe('the tools of a head', () => {
  const tool = (key: string, x: number, y = 20): Json =>
    layer('rectangle', key, {
      ...at(x, y, 24, 24),
      fills: [{ kind: 'solid', color: '#123a33' }],
      radius: 12,
    })
  const screen = compose([
    page([
      layer('rectangle', 'head', {
        ...at(0, 0, 1280, 64),
        fills: [{ kind: 'solid', color: '#e8f0ec' }],
      }),
      words('brand', 'Tidewrack', 32, 20, 16),
      layer('rectangle', 'search', { ...at(700, 12, 280, 40), ...white }),
      words('find', 'Find a walk', 716, 20, 16),
      tool('bell', 1060),
      tool('post', 1100),
      tool('face', 1140),
      words('name', 'Ona Farrow', 1160, 20, 16),
      words('title', 'Tides this week', 32, 120, 32),
    ]),
  ])

  test('keep their sizes and go on in the next line', () => {
    const placed = createSolver(measure).place(atWidth(screen, 390), 390)
    const boxOf = (key: string) => placed.find(({ node }) => node.layer.key === key)!.box
    expect(boxOf('face')).toMatchObject({ width: 24, height: 24 })
    expect(boxOf('search').width).toBeGreaterThan(200)
    const lines = new Set(['bell', 'post', 'face'].map((key) => boxOf(key).y))
    expect(lines.size).toBeLessThan(3)
  })
})
