import { design, frame, layer, text } from '../testing/design.js'
import { drawLayer } from './index.js'

type Json = Record<string, unknown>

const draw = (child: Json, rest: Json = {}, options: { keys?: boolean } = {}): string => {
  const made = design([frame('home', [child])], rest)
  return drawLayer(made.screens[0]!, { assets: made.assets, ...options })
}
const solid = (color: string) => [{ kind: 'solid', color }]
const stroke = (align: string, width: unknown = 4) => [
  { paint: { kind: 'solid', color: '#000000' }, width, align },
]

test('a drawing shows the layer’s box', () => {
  expect(draw(layer('rectangle', 'r'))).toContain(
    '<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300" viewBox="0 0 400 300">',
  )
})

test('what is hidden is not drawn, and keys only on demand', () => {
  expect(draw(layer('rectangle', 'r', { visible: false, fills: solid('#ff0000') }))).not.toContain(
    '#ff0000',
  )
  expect(draw(layer('rectangle', 'r'))).not.toContain('data-key')
  expect(draw(layer('rectangle', 'r'), {}, { keys: true })).toContain('data-key="r"')
})

test.each([
  ['inside', '<rect width="96" height="36" transform="translate(2 2)"'],
  ['centre', '<rect width="100" height="40"'],
  ['outside', '<rect width="104" height="44" transform="translate(-2 -2)"'],
])('a stroke %s lies there', (align, outline) => {
  expect(draw(layer('rectangle', 'r', { strokes: stroke(align) }))).toContain(outline)
})

test('sides of different width are bars', () => {
  const drawn = draw(
    layer('rectangle', 'r', {
      strokes: stroke('inside', { top: 0, right: 0, bottom: 3, left: 0 }),
    }),
  )
  expect(drawn).toContain('<rect y="37" width="100" height="3" fill="#000000"/>')
})

test('corners of different radius are a path, equal ones a rounded rectangle', () => {
  expect(draw(layer('rectangle', 'r', { fills: solid('#ff0000'), radius: 8 }))).toContain('rx="8"')
  const mixed = { topLeft: 8, topRight: 0, bottomRight: 0, bottomLeft: 0 }
  expect(draw(layer('rectangle', 'r', { fills: solid('#ff0000'), radius: mixed }))).toContain(
    '<path d="M8 0',
  )
})

test('transparent colours are split for older readers', () => {
  expect(draw(layer('rectangle', 'r', { fills: solid('#ff000080') }))).toMatch(
    /fill="#ff0000" fill-opacity="0.502"/,
  )
})

test('rotation, opacity, blending and shadows stand on the layer', () => {
  const drawn = draw(
    layer('rectangle', 'r', {
      rotationDeg: 45,
      opacity: 0.5,
      blend: 'multiply',
      effects: [{ kind: 'shadow', x: 0, y: 2, blur: 8, color: '#00000040' }],
    }),
  )
  expect(drawn).toContain('rotate(45 50 20)')
  expect(drawn).toContain('opacity="0.5"')
  expect(drawn).toContain('mix-blend-mode:multiply')
  expect(drawn).toContain('<feOffset in="SourceAlpha" dx="0" dy="2" result="moved"/>')
  expect(drawn).toContain('<feGaussianBlur in="moved" stdDeviation="4" result="blurred"/>')
  expect(drawn).toContain('<feFlood flood-color="#000000" flood-opacity="0.251" result="color"/>')
})

test('the first of several shadows lies on top, inner ones over the layer', () => {
  const shadow = (inset: boolean): Record<string, unknown> => ({
    kind: 'shadow',
    inset,
    x: 0,
    y: 2,
    blur: 8,
    color: '#000000',
  })
  const effects = [shadow(false), shadow(true), shadow(false)]
  expect(draw(layer('rectangle', 'r', { effects }))).toContain(
    '<feMerge><feMergeNode in="shadow2"/><feMergeNode in="shadow0"/>' +
      '<feMergeNode in="SourceGraphic"/><feMergeNode in="shadow1"/></feMerge>',
  )
})

test('the first child of a masking group is seen only through what it lets show', () => {
  const fills = solid('#000000')
  const children = [layer('ellipse', 'hole', { fills }), layer('rectangle', 'r', { fills })]
  const drawn = draw(layer('group', 'g', { mask: 'outline', children }))
  expect(drawn).toMatch(/<mask id="d\d+"[^>]*style="mask-type:alpha"><g><ellipse/)
  expect(drawn).toMatch(/<g mask="url\(#d\d+\)"><g><rect/)
})

test('a clipping frame cuts its children, and a picture with a radius is round', () => {
  const clipped = frame('f', [layer('ellipse', 'e')], { clip: true, radius: 12 })
  expect(draw(clipped)).toMatch(
    /<clipPath id="d\d+"><rect width="400" height="300" rx="12"\/><\/clipPath>/,
  )
  const assets = { a: { name: 'a.png', mime: 'image/png', data: 'AAAA' } }
  const picture = draw(layer('image', 'i', { asset: 'a', radius: 20 }), { assets })
  expect(picture).toContain('href="data:image/png;base64,AAAA"')
  expect(picture).toContain('preserveAspectRatio="xMidYMid slice"')
})

describe('text', () => {
  const lines = (drawn: string): [number, string][] =>
    [...drawn.matchAll(/<text x="[^"]*" y="([^"]*)"[^>]*>([^<]*)</g)].map(([, y, t]) => [
      Number(y),
      t!,
    ])

  test('wraps at its box and keeps breaks the author made', () => {
    const child = text('t', 'one two three\nfour', {
      sizing: { width: 'fixed', height: 'fit' },
      box: { x: 0, y: 0, width: 72, height: 96 },
    })
    expect(lines(draw(child)).map(([, t]) => t)).toEqual(['one two', 'three', 'four'])
  })

  test('lines stand a line height apart, on whole pixels as in a browser', () => {
    const child = text('t', 'a\nb', {
      style: { family: 'Liberation Sans', size: 20, lineHeight: 31, color: '#000000' },
    })
    // Ascent 18, descent 4: (31 - 22) / 2 rounded down, plus 18.
    expect(lines(draw(child)).map(([y]) => y)).toEqual([22, 53])
  })

  test.each([
    ['end', 100 - 20],
    ['centre', 50 - 10],
  ])('aligned to the %s', (align, x) => {
    const child = text('t', 'xx', {
      align,
      sizing: { width: 'fixed', height: 'fit' },
      style: { family: 'Liberation Mono', size: 16.66, color: '#000000' },
    })
    const [, drawnX] = /<text x="([^"]*)"/.exec(draw(child))!
    expect(Number(drawnX)).toBeCloseTo(x, 0)
  })
})
