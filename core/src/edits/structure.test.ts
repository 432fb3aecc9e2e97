import fc from 'fast-check'
import type { Design } from '../design/design.js'
import { measureBoxes, walkLayers } from '../design/walk.js'
import { design, frame, layer, text } from '../testing/design.js'
import { applyEdits, type Edited } from './index.js'
import type { Edit } from './edit.js'
import { runs } from '../testing/runs.js'

type Json = Record<string, unknown>
const at = (x: number, y: number, width = 20, height = 20): Json => ({
  box: { x, y, width, height },
})
const white = { kind: 'solid', color: '#ffffff' }

/** A screen with a card and a loose list beside it. */
const made = (): Design =>
  design(
    [
      frame('home', [
        layer('rectangle', 'card', { ...at(10, 10, 100, 80), fills: [white] }),
        text('title', 'Low water', at(20, 20, 60, 24)),
        layer('group', 'pair', {
          ...at(150, 40, 100, 50),
          children: [text('a', 'Gull', at(0, 0, 40, 24)), text('b', 'Tern', at(0, 26, 40, 24))],
        }),
        layer('image', 'photo', { asset: 'sea', ...at(200, 150, 100, 100) }),
      ]),
    ],
    { assets: { sea: { name: 'sea.png', mime: 'image/png', data: 'AA==' } } },
  )

const edit = (...edits: Edit[]): Edited => applyEdits(made(), edits)
/** `home(card pair(a b))` */
const tree = ({ design: { screens } }: Edited): string => {
  const show = (l: Design['screens'][number]['children'][number]): string =>
    'children' in l && l.children.length > 0 ? `${l.key}(${l.children.map(show).join(' ')})` : l.key
  return show(screens[0]!)
}
const boxes = ({ design: { screens } }: Edited) => measureBoxes(screens[0]!)

test('grouping puts layers of any depth into a container where the first of them was', () => {
  const edited = edit({ kind: 'group', layers: ['title', 'a'], as: 'column', key: 'g' })
  expect(tree(edited)).toBe('home(card g(title a) pair(b) photo)')
  expect(edited.design.screens[0]!.children[1]).toMatchObject({
    type: 'frame',
    arrange: 'column',
    box: { x: 20, y: 20, width: 170, height: 44 },
  })
})

test.each([
  ['layers that lie over each other', { layers: ['card', 'title'], as: 'row', key: 'g' }],
  ['a layer and one inside it', { layers: ['pair', 'a'], as: 'row', key: 'g' }],
  ['a key that is taken', { layers: ['title', 'a'], as: 'row', key: 'pair' }],
  ['a layer that is not there', { layers: ['title', 'gone'], as: 'row', key: 'g' }],
] as const)('%s are not grouped, and the edit is kept as adrift', (_what, rest) => {
  const group: Edit = { kind: 'group', ...rest, layers: [...rest.layers] }
  const edited = edit(group)
  expect(edited.adrift).toEqual([group])
  expect(edited.design).toEqual(made())
})

test('force groups what lies over each other, and an overlay needs none', () => {
  const layers = ['card', 'title']
  expect(tree(edit({ kind: 'group', layers, as: 'row', key: 'g', force: true }))).toContain(
    'g(card',
  )
  expect(tree(edit({ kind: 'group', layers, as: 'overlay', key: 'g' }))).toContain('g(card title)')
})

test('taking a container apart leaves its content in place, and its paint as a rectangle', () => {
  expect(tree(edit({ kind: 'split', layer: 'pair' }))).toBe('home(card title a b photo)')
  const twice = edit(
    { kind: 'enclose', layer: 'card', layers: ['title'] },
    { kind: 'split', layer: 'card' },
  )
  expect(tree(twice)).toBe('home(card title pair(a b) photo)')
  expect(twice.design.screens[0]!.children[0]).toMatchObject({ type: 'rectangle', fills: [white] })
})

test('a rectangle becomes the container of what lies on it', () => {
  const edited = edit({ kind: 'enclose', layer: 'card', layers: ['title'] })
  expect(tree(edited)).toBe('home(card(title) pair(a b) photo)')
  expect(edited.design.screens[0]!.children[0]).toMatchObject({
    type: 'frame',
    fills: [white],
    children: [{ box: { x: 10, y: 10 } }],
  })
})

test('a layer moves into another container and stays where it is on the screen', () => {
  const edited = edit({ kind: 'move', layer: 'title', into: 'pair', index: 1 })
  expect(tree(edited)).toBe('home(card pair(a title b) photo)')
  expect(boxes(edited).get('title')).toEqual(boxes(edit()).get('title'))
  expect(edit({ kind: 'move', layer: 'pair', into: 'a' }).adrift).toHaveLength(1)
})

test('a picture is cropped without changing what is left of it', () => {
  const box = { x: 220, y: 160, width: 40, height: 30 }
  const edited = edit({ kind: 'crop', layer: 'photo', box, key: 'crop' })
  expect(tree(edited)).toBe('home(card title pair(a b) crop(photo))')
  expect(edited.design.screens[0]!.children[3]).toMatchObject({ clip: true, box })
  expect(boxes(edited).get('photo')).toEqual(boxes(edit()).get('photo'))
})

test('layers become one graphic, of vectors or of dots', () => {
  const layers = ['card', 'title']
  const drawing = edit({ kind: 'make-graphic', layers, key: 'd' })
  expect(drawing.design.screens[0]!.children[0]).toMatchObject({ type: 'group', isGraphic: true })
  const picture = { mime: 'image/png', data: 'AA==', width: 200, height: 160 } as const
  const dots = edit({ kind: 'make-graphic', layers, key: 'd', picture })
  expect(dots.design.screens[0]!.children[0]).toMatchObject({ type: 'image', asset: 'd-picture' })
  expect(dots.design.assets['d-picture']).toMatchObject({ mime: 'image/png', width: 200 })
})

test.each<[Edit, string, Json]>([
  [
    { kind: 'set-box', layer: 'a', box: { x: 1, y: 2, width: 3, height: 4 } },
    'a',
    { box: { x: 1 } },
  ],
  [
    { kind: 'set-sizing', layer: 'a', width: 'stretch' },
    'a',
    { sizing: { width: 'stretch', height: 'fit' } },
  ],
  [{ kind: 'set-flow', layer: 'a', flow: 'out' }, 'a', { flow: 'out' }],
  [
    { kind: 'set-constraints', layer: 'a', vertical: 'end' },
    'a',
    { constraints: { horizontal: 'start', vertical: 'end' } },
  ],
  [{ kind: 'read-as', layer: 'home', as: 'grid' }, 'home', { arrange: 'grid' }],
  [
    { kind: 'set-value', layer: 'card', path: 'fills.0.color', value: '#000000' },
    'card',
    { fills: [{ color: '#000000' }] },
  ],
  [{ kind: 'set-value', layer: 'a', path: 'style.size', value: 20 }, 'a', { style: { size: 20 } }],
])('%j', (change, key, expected) => {
  const edited = edit(change)
  expect(edited.adrift).toEqual([])
  let found: unknown
  walkLayers(edited.design.screens[0]!, (l) => void (l.key === key && (found = l)))
  expect(found).toMatchObject(expected)
  // Once more, it changes nothing.
  expect(applyEdits(edited.design, [change]).design).toEqual(edited.design)
})

test('auto layout replaces how a frame is read, and can be taken away', () => {
  const layout = {
    kind: 'row',
    gap: 8,
    padding: 0,
    align: 'start',
    distribute: 'start',
    wrap: false,
  }
  const set: Edit = { kind: 'set-layout', layer: 'home', layout: layout as never }
  const read: Edit = { kind: 'read-as', layer: 'home', as: 'row' }
  const both = edit(read, set).design.screens[0]!
  expect(both.layout).toEqual(layout)
  expect(both.arrange).toBeUndefined()
  expect(edit(set, read).adrift).toEqual([read])
  expect(
    edit(set, { kind: 'set-layout', layer: 'home', layout: null }).design.screens[0]!.layout,
  ).toBeUndefined()
})

test('edits made together are one, and those of them that do not apply are reported', () => {
  const gone = { kind: 'remove', layer: 'gone' } as const
  const edited = edit({
    kind: 'together',
    label: 'Mend',
    edits: [{ kind: 'split', layer: 'pair' }, gone],
  })
  expect(tree(edited)).toBe('home(card title a b photo)')
  expect(edited.adrift).toEqual([gone])
})

test('grouping, enclosing and moving never move anything on the screen', () => {
  const keys = ['card', 'title', 'a', 'b', 'photo']
  fc.assert(
    fc.property(
      fc.array(
        fc.oneof(
          fc.record({
            kind: fc.constant('group' as const),
            layers: fc.subarray(keys, { minLength: 1 }),
            as: fc.constantFrom('row', 'column', 'grid', 'overlay'),
            key: fc.constantFrom('g1', 'g2', 'g3'),
            force: fc.constant(true),
          }),
          fc.record({
            kind: fc.constant('enclose' as const),
            layer: fc.constant('card'),
            layers: fc.subarray(['title', 'a', 'b'], { minLength: 1 }),
          }),
          fc.record({
            kind: fc.constant('move' as const),
            layer: fc.constantFrom(...keys),
            into: fc.constantFrom('home', 'pair', 'g1', 'card'),
          }),
          fc.record({ kind: fc.constant('split' as const), layer: fc.constantFrom('pair', 'g1') }),
        ),
        { maxLength: 5 },
      ),
      (edits) => {
        const before = boxes(edit())
        const after = boxes(edit(...(edits as Edit[])))
        for (const key of keys) {
          const [a, b] = [before.get(key)!, after.get(key)!]
          expect(b).toBeDefined()
          expect(Math.abs(a.x - b.x)).toBeLessThan(0.02)
          expect(Math.abs(a.y - b.y)).toBeLessThan(0.02)
          expect([b.width, b.height]).toEqual([a.width, a.height])
        }
      },
    ),
    runs(),
  )
})
