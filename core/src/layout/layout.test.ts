import { design, frame, layer, text } from '../testing/design.js'
import { inferLayout, type LayoutNode } from './index.js'

type Json = Record<string, unknown>

const infer = (children: Json[], rest: Json = {}): LayoutNode =>
  inferLayout(design([frame('home', children, rest)]).screens[0]!)

/** `key@x,y` for coordinates, `key>row` for the flow, with children in brackets. */
const describeNode = ({ layer, placement, isGraphic, children }: LayoutNode): string => {
  const place =
    placement.kind === 'flow' ? `>${placement.parent}` : `@${placement.x},${placement.y}`
  const inside = children.length > 0 ? `(${children.map(describeNode).join(' ')})` : ''
  return `${layer.key}${place}${isGraphic ? '*' : ''}${inside}`
}
const children = (node: LayoutNode): string => node.children.map(describeNode).join(' ')
const at = (x: number, y: number): Json => ({ box: { x, y, width: 20, height: 20 } })
const group = (key: string, inner: Json[], rest: Json = {}): Json =>
  layer('group', key, { children: inner, ...rest })
const path = (key: string, rest: Json = {}): Json =>
  layer('path', key, { paths: [{ d: 'M0 0h9' }], ...rest })

test('stated auto layout places children in the flow, unless they are taken out of it', () => {
  const node = infer([text('a', 'x'), text('b', 'x', { flow: 'out', ...at(5, 6) })], {
    layout: { kind: 'row' },
  })
  expect(children(node)).toBe('a>row b@5,6')
})

test('groups without effect dissolve, to any depth, and their content keeps its place', () => {
  const node = infer([
    group('outer', [group('inner', [text('t', 'x', at(1, 2))], at(10, 20))], at(100, 200)),
  ])
  expect(children(node)).toBe('t@111,222')
})

test.each([
  ['opacity', { opacity: 0.5 }],
  ['blending', { blend: 'multiply' }],
  ['rotation', { rotationDeg: 10 }],
  ['an effect', { effects: [{ kind: 'blur', radius: 2 }] }],
  ['a link', { link: { kind: 'address', url: 'https://tidewrack.example' } }],
])('a group with %s stays', (_what, rest) => {
  expect(children(infer([group('g', [text('t', 'x')], rest)]))).toBe('g@0,0(t@0,0)')
})

test('a group in the flow stays one thing', () => {
  expect(children(infer([group('g', [text('t', 'x')])], { layout: { kind: 'column' } }))).toBe(
    'g>column(t@0,0)',
  )
})

test('what is hidden or fully transparent is left out with everything inside', () => {
  expect(
    children(
      infer([
        frame('f', [text('t', 'x')], { visible: false }),
        layer('rectangle', 'r', { opacity: 0 }),
      ]),
    ),
  ).toBe('')
})

describe('graphics', () => {
  test('a path is one, and so is a group of nothing but vectors with a path among them', () => {
    expect(
      children(
        infer([
          path('p'),
          group(
            'icon',
            [path('a'), layer('ellipse', 'b'), group('g', [layer('rectangle', 'c')])],
            at(3, 4),
          ),
        ]),
      ),
    ).toBe('p@0,0* icon@3,4*')
  })

  test('groups with text or pictures, or of plain boxes only, are not', () => {
    expect(children(infer([group('card', [path('a'), text('t', 'x')])]))).toBe('a@0,0* t@0,0')
    expect(
      children(infer([group('boxes', [layer('rectangle', 'a'), layer('ellipse', 'b')])])),
    ).toBe('a@0,0 b@0,0')
  })

  test('an upright line is a box, a slanted or dashed one a graphic', () => {
    const stroke = { paint: { kind: 'solid', color: '#000000' } }
    const line = (key: string, to: Json, rest: Json = {}): Json =>
      layer('line', key, { from: { x: 0, y: 0 }, to, strokes: [{ ...stroke, ...rest }] })
    const node = infer([
      line('flat', { x: 9, y: 0 }),
      line('slanted', { x: 9, y: 5 }),
      line('dashed', { x: 9, y: 0 }, { dash: [2] }),
    ])
    expect(children(node)).toBe('flat@0,0 slanted@0,0* dashed@0,0*')
  })
})
