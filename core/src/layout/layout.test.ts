import fc from 'fast-check'
import { resolveInstances } from '../design/resolve-instances.js'
import { design, frame, layer, svgLayers, text } from '../testing/design.js'
import { createTableMeasure } from '../text/measure.js'
import { inferLayout, walkNodes, type Anchor, type LayoutNode } from './index.js'
import { runs } from '../testing/runs.js'

type Json = Record<string, unknown>

const measure = createTableMeasure()
const options = { measure, assets: {} }
const infer = (children: Json[], rest: Json = {}): LayoutNode =>
  inferLayout(resolveInstances(design([frame('home', children, rest)]))[0]!, options)

const at = (x: number, y: number, width = 20, height = 20): Json => ({
  box: { x, y, width, height },
})
const white = { kind: 'solid', color: '#ffffff' }
const rectangle = (key: string, x: number, y: number, width: number, height: number): Json =>
  layer('rectangle', key, { ...at(x, y, width, height), fills: [white] })
const group = (key: string, inner: Json[], rest: Json = {}): Json =>
  layer('group', key, { children: inner, ...rest })
const path = (key: string, rest: Json = {}): Json =>
  layer('path', key, { paths: [{ d: 'M0 0h9v4z' }], fills: [white], ...rest })
const STYLE = {
  family: 'Inter',
  weight: 400,
  size: 16,
  lineHeight: 24,
  letterSpacing: 0,
  case: 'as-typed',
} as const
/** A line of text as wide as its words. */
const words = (key: string, content: string, x: number, y: number): Json =>
  text(key, content, at(x, y, Math.ceil(measure.width(content, STYLE)), 24))

const describeAnchor = (anchor: Anchor): string =>
  `${anchor.edge}${'px' in anchor ? anchor.px : ''}`

/** `key[kind gap](children)`, with what is said about size and place where it is not the usual. */
const describeNode = (node: LayoutNode): string => {
  const { arrangement: a, placement: p, children } = node
  const kind =
    a.kind === 'free'
      ? children.length > 0
        ? ' free'
        : ''
      : a.kind === 'grid'
        ? ` grid${a.columns}/${a.columnGap}/${a.rowGap}${a.tracks ? ` ${a.tracks.join('+')}` : ''}`
        : ` ${a.kind}${a.gap}${a.distribute === 'start' ? '' : ` ${a.distribute}`}`
  const place =
    p.kind === 'overlay'
      ? `!${describeAnchor(p.x)},${describeAnchor(p.y)}${p.isUnder ? ' under' : ''}`
      : ''
  const inside = children.length > 0 ? `(${children.map(describeNode).join(' ')})` : ''
  const sign = node.isGraphic ? '*' : node.isPushed ? '>' : ''
  return `${sign}${node.layer.key}${place}${kind}${inside}`
}
const read = (children: Json[], rest: Json = {}): string => describeNode(infer(children, rest))
const find = (node: LayoutNode, key: string): LayoutNode => {
  let found: LayoutNode | undefined
  walkNodes(node, (n) => {
    if (n.layer.key === key) found ??= n
  })
  if (!found) throw new Error(`no node ${key}`)
  return found
}

describe('what is stated', () => {
  test('auto layout is taken as said; what is taken out of it is anchored by the nearest edges', () => {
    const children = [text('a', 'x'), text('b', 'x', { flow: 'out', ...at(375, 6) })]
    expect(read(children, { layout: { kind: 'row', gap: 8 } })).toBe('home row8(a b!end5,start6)')
  })

  test('groups without effect dissolve, to any depth', () => {
    expect(
      read([
        group('outer', [group('inner', [words('t', 'x', 1, 2)], at(10, 20))], at(100, 200)),
        words('u', 'y', 111, 260),
      ]),
    ).toBe('home column14(t u)')
  })

  test.each([
    ['opacity', { opacity: 0.5 }],
    ['blending', { blend: 'multiply' }],
    ['rotation', { rotationDeg: 10 }],
    ['an effect', { effects: [{ kind: 'blur', radius: 2 }] }],
    ['a link', { link: { kind: 'address', url: 'https://tidewrack.example' } }],
  ])('a group with %s stays', (_what, rest) => {
    const inner = [words('t', 'x', 0, 0), words('u', 'y', 0, 30)]
    expect(read([group('g', inner, { ...at(0, 0, 20, 54), ...rest })])).toMatch(/g column6\(t u\)/)
  })

  test('what is hidden or fully transparent is left out with everything inside', () => {
    expect(
      read([
        frame('f', [text('t', 'x')], { visible: false }),
        layer('rectangle', 'r', { opacity: 0 }),
      ]),
    ).toBe('home')
  })
})

describe('graphics', () => {
  const icon = group(
    'icon',
    [path('a'), layer('ellipse', 'b'), group('g', [layer('rectangle', 'c')])],
    at(3, 60, 40, 40),
  )

  test('a path is one, and so is a group of nothing but vectors with a path among them', () => {
    expect(read([path('p', at(3, 4)), icon])).toBe('home column36(*p *icon)')
  })

  test('loose vectors that touch, painted one after the other, are one', () => {
    const loose = [0, 8, 16, 24].map((x) => path(`p${x}`, at(50 + x, 50, 10, 10)))
    const root = infer([...loose, words('t', 'Tide', 150, 44)])
    expect(describeNode(root)).toBe('home row66(*p0~ t)')
    expect(root.children[0]!.absorbed).toEqual(['p0', 'p8', 'p16', 'p24'])
  })

  test('groups with text or pictures, or of plain boxes only, are not', () => {
    const card = group('card', [path('a', at(0, 0)), words('t', 'x', 30, 0)], at(10, 10, 60, 24))
    expect(read([card])).toMatch(/row.*\(\*a t\)/)
  })
})

describe('backgrounds', () => {
  test('a shape under others is their container, to any depth', () => {
    expect(
      read([
        rectangle('page', 0, 0, 400, 300),
        rectangle('card', 20, 20, 360, 120),
        words('title', 'Low water', 44, 44),
        rectangle('button', 44, 88, 120, 36),
        words('label', 'Log it', 80, 94),
      ]),
    ).toBe('home column0(card column20(title button column0(label)))')
  })

  test('shapes in one place are one: the fill of one, the stroke of the other', () => {
    const outline = layer('rectangle', 'line', {
      ...at(10, 10, 100, 40),
      strokes: [{ paint: white, align: 'inside' }],
    })
    const root = infer([rectangle('fill', 10, 10, 100, 40), outline, words('t', 'x', 50, 18)])
    const box = find(root, 'fill')
    expect(box.absorbed).toEqual(['line'])
    expect(box.layer).toMatchObject({ fills: [white], strokes: [{ align: 'inside' }] })
  })

  test('lines along the edges of a background are its border', () => {
    const line = layer('line', 'rule', {
      ...at(20, 120, 200, 0),
      from: { x: 0, y: 0 },
      to: { x: 200, y: 0 },
      strokes: [{ paint: white }],
    })
    const root = infer([
      rectangle('bar', 20, 20, 200, 100),
      words('a', 'One', 40, 40),
      words('b', 'Two', 40, 70),
      line,
    ])
    expect(find(root, 'bar').layer).toMatchObject({ strokes: [{ width: { bottom: 1, top: 0 } }] })
  })

  test('a picture in a clipping frame of its own middle is a picture that covers it', () => {
    const picture = layer('image', 'photo', { asset: 'sea', fit: 'fill', ...at(-50, 0, 200, 100) })
    const made = design(
      [frame('home', [frame('crop', [picture], { ...at(40, 40, 100, 100), clip: true })])],
      {
        assets: { sea: { name: 'sea.png', mime: 'image/png', data: 'AA==', width: 2, height: 1 } },
      },
    )
    const root = inferLayout(made.screens[0]!, { measure, assets: made.assets })
    const node = find(root, 'photo')
    expect(node.layer).toMatchObject({ type: 'image', fit: 'cover' })
    expect(node.box).toMatchObject({ width: 100, height: 100 })
    expect(node.absorbed).toEqual(['crop'])
  })
})

describe('rows and columns', () => {
  test('even gaps are one gap; one that differs is a margin', () => {
    const column = infer([0, 40, 80, 140].map((y) => words(`t${y}`, 'Tide', 10, 10 + y)))
    expect(column.arrangement).toMatchObject({ kind: 'column', gap: 16 })
    expect(column.children.map((c) => c.margin.top)).toEqual([0, 0, 0, 20])
  })

  test('gaps that are off by one are one gap', () => {
    const column = infer([10, 50, 91, 130, 171].map((y) => words(`t${y}`, 'Tide', 10, y)))
    expect(column.arrangement).toMatchObject({ gap: 16 })
    expect(column.children.every((c) => Math.abs(c.margin.top) <= 1)).toBe(true)
  })

  test('one wide gap in a row is free room; of two things, between them', () => {
    const bar = (children: Json[]): string =>
      read([rectangle('bar', 0, 0, 400, 48), ...children], at(0, 0, 400, 48))
    const menu = [
      words('a', 'Rota', 240, 12),
      words('b', 'Log', 300, 12),
      words('c', 'Sheet', 339, 12),
    ]
    expect(bar([words('logo', 'Tidewrack', 16, 12), ...menu])).toMatch(
      /^home row\S*\(logo >a b c\)$/,
    )
    expect(bar([words('logo', 'Tidewrack', 16, 12), words('c', 'Sheet', 339, 12)])).toBe(
      'home row0 between(logo c)',
    )
  })

  test('things of one width side by side share the width', () => {
    const cards = [0, 130, 260].flatMap((x) => [
      rectangle(`card${x}`, 20 + x, 20, 100, 80),
      words(`t${x}`, 'Gull', 32 + x, 32),
    ])
    const root = infer(cards)
    expect(describeNode(root)).toContain('row30(card0')
    for (const key of ['card0', 'card130', 'card260']) {
      expect(find(root, key).sizing.width).toBe('stretch')
    }
  })

  test('cells in rows and columns are a grid, the last row may be shorter', () => {
    const cells = [0, 1, 2, 3, 4].flatMap((i) => {
      const [x, y] = [20 + (i % 3) * 120, 20 + Math.floor(i / 3) * 90]
      return [rectangle(`c${i}`, x, y, 100, 70), words(`t${i}`, 'Gull', x + 8, y + 8)]
    })
    expect(read(cells)).toContain('grid3/20/20(c0')
  })

  test('tags in lines that end where the next would not fit are a row that wraps', () => {
    const widths = [
      [80, 120, 60],
      [150, 70],
      [90, 110],
    ]
    const tags = widths.flatMap((row, y) => {
      let x = 20
      return row.flatMap((width, i) => {
        const tag = [
          rectangle(`tag${y}${i}`, x, 20 + y * 40, width, 32),
          words(`word${y}${i}`, 'Gull', x + 12, 24 + y * 40),
        ]
        x += width + 8
        return tag
      })
    })
    const root = infer([...tags, words('below', 'Low water', 20, 180)])
    const row = root.children[0]!
    expect(row.arrangement).toMatchObject({ kind: 'row', wrap: true, gap: 8, lineGap: 8 })
    expect(row.children).toHaveLength(7)
    expect(row.limits.maxWidth).toBeGreaterThanOrEqual(276)
  })

  test('columns of one kind of thing are read as columns, cells of a table as rows', () => {
    const kinds = (x: number): Json[] => [
      path(`p${x}`, at(x, 20)),
      words(`h${x}`, 'Tide', x, 50),
      text(`t${x}`, 'Low at ten', {
        ...at(x, 80, 80, 18),
        style: { family: 'Inter', size: 12, lineHeight: 18, color: '#112233' },
      }),
    ]
    expect(read([20, 140, 260].flatMap(kinds))).toMatch(/\(p20~ column.*p140~ column.*p260~ column/)
    const table = [0, 1, 2, 3].flatMap((y) =>
      ['Gull', 'Two', 'Low water'].map((cell, x) =>
        words(`r${y}c${x}`, y % 2 ? cell : `${cell} ${y}`, 20 + x * 120, 20 + y * 44),
      ),
    )
    expect(read(table)).toMatch(/column20\(r0c0~ grid3.*r1c0~ grid3.*r2c0~ grid3/)
  })

  test('what repeats with less room inside than between is grouped', () => {
    const list = [0, 1, 2].flatMap((i) => [
      text(`h${i}`, 'Gull', {
        ...at(20, 20 + i * 80, 40, 24),
        style: { family: 'Inter', size: 20, lineHeight: 24, color: '#112233' },
      }),
      words(`t${i}`, 'Seen at ten', 20, 48 + i * 80),
    ])
    expect(read(list)).toBe(
      'home column28(h0~ column4(h0 t0) h1~ column4(h1 t1) h2~ column4(h2 t2))',
    )
  })

  test('texts on one baseline are aligned by it', () => {
    const big = text('big', '12', {
      ...at(20, 20, 30, 48),
      style: { family: 'Inter', size: 32, lineHeight: 48, color: '#112233' },
    })
    const lineBase = (size: number, height: number): number => {
      const { ascentPx, descentPx } = measure.line({ family: 'Inter', size })
      return Math.floor((height - ascentPx - descentPx) / 2) + ascentPx
    }
    const small = words('small', 'kg', 60, 20 + lineBase(32, 48) - lineBase(16, 24))
    expect(infer([big, small]).arrangement).toMatchObject({ kind: 'row', align: 'baseline' })
  })
})

describe('overlays', () => {
  test('a badge on a corner belongs to what it lies on, anchored there', () => {
    const root = read([
      rectangle('card', 20, 20, 100, 100),
      words('t', 'Gull', 40, 60),
      rectangle('badge', 108, 12, 24, 24),
      words('other', 'Tide', 200, 60),
    ])
    expect(root).toContain('badge!end-12,start-8')
    expect(root).toContain('row')
  })

  test('what is painted first lies under the flow', () => {
    expect(
      read([
        path('blob', at(60, 10, 90, 60)),
        rectangle('card', 20, 20, 100, 160),
        words('t', 'Gull', 40, 60),
      ]),
    ).toMatch(/blob!\S+ under/)
  })
})

describe('texts', () => {
  const paragraph = (width: string): Json[] =>
    svgLayers(
      `<text id="p" font-family="Inter" font-size="16"><tspan x="20" y="40">Low water is at ten and</tspan><tspan x="20" y="64">the wind is light</tspan></text><rect id="wide" x="20" y="90" width="${width}" height="40"/>`,
      'width="800" height="400"',
    ).layers as unknown as Json[]

  test('stretch with their container where that keeps their lines, and are limited where not', () => {
    const nodeIn = (width: number): LayoutNode =>
      find(infer(paragraph(`${width}`), at(0, 0, width + 40, 300)), 'p')
    expect(nodeIn(200)).toMatchObject({ sizing: { width: 'stretch' }, limits: {} })
    const { limits } = nodeIn(360)
    const least = measure.width('Low water is at ten and', STYLE)
    expect(limits.maxWidth).toBeGreaterThan(least)
    expect(limits.maxWidth).toBeLessThan(measure.width('Low water is at ten and the', STYLE))
  })

  test('keep the lines drawn where no width would break them so', () => {
    const lines = [
      { start: 0, end: 3, x: 0, baseline: 17 },
      { start: 3, end: 8, x: 0, baseline: 41 },
    ]
    const torn = text('p', 'Lowwater', { ...at(20, 20, 50, 48), lines })
    expect(find(infer([torn]), 'p').keepsLines).toBe(true)
  })
})

describe('always', () => {
  const boxes = fc.uniqueArray(
    fc.record({ column: fc.nat({ max: 5 }), row: fc.nat({ max: 7 }), wide: fc.boolean() }),
    { minLength: 2, maxLength: 24, selector: ({ column, row }) => `${column} ${row}` },
  )
  type Cell = { column: number; row: number; wide: boolean }
  const toLayers = (cells: readonly Cell[], dx = 0, dy = 0): Json[] =>
    cells.map(({ column, row, wide }) =>
      words(
        `c${column}r${row}`,
        wide ? 'Herring' : 'Gull',
        20 + column * 90 + dx,
        20 + row * 40 + dy,
      ),
    )
  const screen = at(0, 0, 700, 500)
  /** A tree without the layers it was made from, whose order is what differs. */
  const bare = (node: LayoutNode): unknown => ({
    ...node,
    layer: node.layer.key,
    children: node.children.map(bare),
  })

  test('the order of layers that do not overlap changes nothing', () => {
    fc.assert(
      fc.property(boxes, fc.infiniteStream(fc.nat()), (cells, numbers) => {
        const shuffled = cells
          .map((cell) => ({ cell, by: numbers.next().value as number }))
          .sort((a, b) => a.by - b.by)
          .map(({ cell }) => cell)
        expect(bare(infer(toLayers(shuffled), screen))).toEqual(
          bare(infer(toLayers(cells), screen)),
        )
      }),
      runs(60),
    )
  })

  test('moving everything changes only the padding', () => {
    fc.assert(
      fc.property(boxes, fc.nat({ max: 60 }), fc.nat({ max: 60 }), (cells, dx, dy) => {
        const inside = (node: LayoutNode): unknown =>
          node.children.map((child) => describeNode(child))
        const still = infer([group('g', toLayers(cells), { ...screen, opacity: 0.5 })], screen)
        const moved = infer(
          [group('g', toLayers(cells), { ...at(dx, dy, 700, 500), opacity: 0.5 })],
          at(0, 0, 900, 700),
        )
        expect(inside(find(moved, 'g'))).toEqual(inside(find(still, 'g')))
      }),
      runs(60),
    )
  })

  test('every layer is somewhere, and nothing is a wrapper without work', () => {
    fc.assert(
      fc.property(boxes, (cells) => {
        const keys: string[] = []
        walkNodes(infer(toLayers(cells), screen), (node, parent) => {
          keys.push(node.layer.key)
          const isInferred = node.layer.key.endsWith('~')
          if (parent && isInferred) expect(node.children.length).toBeGreaterThan(1)
        })
        for (const { column, row } of cells) expect(keys).toContain(`c${column}r${row}`)
      }),
      runs(60),
    )
  })
})
