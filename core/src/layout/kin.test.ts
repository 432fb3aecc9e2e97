import fc from 'fast-check'
import { resolveInstances } from '../design/resolve-instances.js'
import { design, frame } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import { box, inColor, solid } from '../testing/roles.js'
import { createTableMeasure } from '../text/measure.js'
import { inferLayout, walkNodes, type LayoutNode } from './index.js'
import { runs } from '../testing/runs.js'

type Json = Record<string, unknown>

const PAGE = { ...at(0, 0, 1280, 1200), ...solid('#ffffff') }
const measure = createTableMeasure()
const infer = (children: Json[]): LayoutNode =>
  inferLayout(resolveInstances(design([frame('page', children, PAGE)]))[0]!, {
    measure,
    assets: {},
  })

const find = (root: LayoutNode, key: string): LayoutNode => {
  let found: LayoutNode | undefined
  walkNodes(root, (node) => {
    if (node.layer.key === key) found ??= node
  })
  if (!found) throw new Error(`no node ${key}`)
  return found
}

const keysOf = (root: LayoutNode): string[] => {
  const keys: string[] = []
  walkNodes(root, (node) => keys.push(node.layer.key))
  return keys
}

type Has = { readonly dot?: boolean; readonly badge?: boolean; readonly width?: number }

/** A card with two lines, a dot before and a badge after them where it has some. */
const card = (key: string, x: number, y: number, { dot, badge, width = 360 }: Has): Json[] => [
  box(key, at(x, y, width, 92), { ...solid('#f4f1ea'), radius: 8 }),
  ...(dot
    ? [box(`${key}-dot`, at(x + 16, y + 40, 12, 12), { ...solid('#1b3a2f'), radius: 6 })]
    : []),
  words(`${key}-name`, 'Low Saltern', x + 40, y + 16, 20),
  words(`${key}-line`, 'Rope and floats', x + 40, y + 54, 14),
  ...(badge
    ? [
        box(`${key}-badge`, at(x + width - 76, y + 34, 60, 24), {
          ...solid('#f3d9cc'),
          radius: 12,
        }),
        inColor('#8a3a1a', `${key}-rare`, 'Rare', x + width - 59, y + 37, 12),
      ]
    : []),
]

/** What a box is like, but for where it stands. */
const layoutOf = (node: LayoutNode): unknown => [
  node.arrangement,
  node.children.map((child) => [child.layer.name, child.margin, child.sizing, child.isPushed]),
]

describe('boxes of one kind', () => {
  test('are laid out alike though only some have something at their side', () => {
    const root = infer([
      ...card('a', 48, 40, { dot: true, badge: true }),
      ...card('b', 48, 148, { dot: true }),
      ...card('c', 48, 256, { dot: true, badge: true }),
    ])
    const [a, b, c] = ['a', 'b', 'c'].map((key) => find(root, key))
    expect(a!.arrangement).toMatchObject({ kind: 'row', align: 'centre' })
    expect(b!.arrangement).toEqual(a!.arrangement)
    expect(c!.arrangement).toEqual(a!.arrangement)
    expect(b!.children).toHaveLength(a!.children.length - 1)
    expect(b!.children[1]!.arrangement).toEqual(a!.children[1]!.arrangement)
  })

  test('are not, where one is of another size', () => {
    const root = infer([
      ...card('a', 48, 40, { badge: true }),
      ...card('b', 48, 148, { width: 480 }),
    ])
    expect(find(root, 'a').arrangement.kind).toBe('row')
    expect(find(root, 'b').arrangement.kind).toBe('column')
  })

  test('nothing of what is missing is left in the layout, and every layer is in it once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ dot: fc.boolean(), badge: fc.boolean() }), {
          minLength: 2,
          maxLength: 6,
        }),
        (all) => {
          const layers = all.flatMap((has, i) => card(`c${i}`, 48, 40 + i * 108, has))
          const keys = keysOf(infer(layers))
          expect(keys.filter((key) => key.includes('missing'))).toEqual([])
          const drawn = keys.filter((key) => !key.endsWith('~') && key !== 'page')
          expect([...drawn].sort()).toEqual(layers.map((one) => one['key']).sort())
        },
      ),
      runs(),
    )
  })

  test('lose nothing, whatever the layers of a file are called', () => {
    const hostile = card('b', 48, 148, { badge: true }).map((one) =>
      one['key'] === 'b-badge' ? { ...one, key: 'b-badge~missing' } : one,
    )
    const keys = keysOf(infer([...card('a', 48, 40, { dot: true, badge: true }), ...hostile]))
    for (const one of hostile) expect(keys).toContain(one['key'])
  })

  test('stay where they were drawn, whatever others have', () => {
    const alone = infer(card('b', 48, 148, { dot: true }))
    const among = infer([
      ...card('a', 48, 40, { dot: true, badge: true }),
      ...card('b', 48, 148, { dot: true }),
    ])
    const placeOf = (root: LayoutNode, key: string): unknown => {
      let [x, y] = [0, 0]
      const look = (node: LayoutNode, left: number, top: number): void => {
        const [ownX, ownY] = [left + node.box.x, top + node.box.y]
        if (node.layer.key === key) [x, y] = [ownX, ownY]
        node.children.forEach((child) => look(child, ownX, ownY))
      }
      look(root, 0, 0)
      return [x, y]
    }
    for (const key of ['b', 'b-dot', 'b-name', 'b-line']) {
      expect(placeOf(among, key)).toEqual(placeOf(alone, key))
    }
  })
})

describe('what stands beside lines', () => {
  test('a sign in the middle of two lines is beside both, not between them', () => {
    const root = infer(card('a', 48, 40, { dot: true }))
    expect(layoutOf(find(root, 'a'))).toEqual([
      expect.objectContaining({ kind: 'row', gap: 12, align: 'centre', distribute: 'start' }),
      [expect.anything(), expect.anything()],
    ])
    expect(find(root, 'a').children.map(({ layer }) => layer.key)).toEqual(['a-dot', 'a-name~'])
  })

  test('cards with a badge at their end are rows of their own, and no table', () => {
    const root = infer(
      ['a', 'b', 'c'].flatMap((key, i) => [
        box(key, at(48, 40 + i * 72, 360, 56), { ...solid('#f4f1ea'), radius: 8 }),
        words(`${key}-name`, ['Low Saltern', 'Gannet', 'Kelp Pier'][i]!, 64, 56 + i * 72, 16),
        box(`${key}-badge`, at(332, 56 + i * 72, 60, 24), { ...solid('#f3d9cc'), radius: 12 }),
      ]),
    )
    for (const key of ['a', 'b', 'c']) {
      expect(find(root, key).arrangement).toMatchObject({ kind: 'row', distribute: 'between' })
    }
  })

  test('a box as wide as its content with much room between two things holds them at its ends', () => {
    const root = infer([
      box('a', at(48, 40, 300, 56), { ...solid('#f4f1ea'), radius: 8 }),
      words('a-name', 'Low Saltern', 64, 56, 16),
      box('a-badge', at(272, 56, 60, 24), { ...solid('#f3d9cc'), radius: 12 }),
      words('other', 'Beside the first card', 900, 56, 16),
    ])
    expect(find(root, 'a').arrangement).toMatchObject({ distribute: 'between' })
  })
})
