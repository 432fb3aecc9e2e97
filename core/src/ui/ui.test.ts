import { design, frame, layer, text } from '../testing/design.js'
import { buildUi } from './index.js'
import type { UiNode } from './nodes.js'

type Json = Record<string, unknown>

const assets = { sea: { name: 'sea.png', mime: 'image/png', data: 'AAAA' } }

const build = (children: Json[], rest: Json = {}) => {
  const made = design([frame('home', children, rest)], { assets })
  return buildUi(made, made.screens)
}
const inside = (children: Json[], rest: Json = {}): readonly UiNode[] => {
  const { root } = build(children, rest).pages[0]!
  return root.type === 'box' ? root.children : []
}
const accounts = (children: Json[]): (string | undefined)[][] =>
  build(children)
    .notes.filter((n) => n.code.startsWith('account/') && n.code !== 'account/font-missing')
    .map((n) => [n.code, n.where.layer, n.where.path])

const solid = (color: string): Json => ({ kind: 'solid', color })
const gradient: Json = {
  kind: 'linear',
  from: { x: 0, y: 0 },
  to: { x: 1, y: 0 },
  stops: [
    { offset: 0, color: '#ff0000' },
    { offset: 1, color: '#0000ff' },
  ],
}

describe('what is not carried over exactly is put into the account', () => {
  test.each([
    [
      'a second stroke',
      { strokes: [{ paint: solid('#000000') }, { paint: solid('#ffffff') }] },
      ['account/lost', 'stroke'],
    ],
    ['a gradient stroke', { strokes: [{ paint: gradient }] }, ['account/approximated', 'stroke']],
    [
      'a picture as stroke',
      { strokes: [{ paint: { kind: 'image', asset: 'sea' } }] },
      ['account/lost', 'stroke'],
    ],
    [
      'dashes',
      { strokes: [{ paint: solid('#000000'), dash: [3] }] },
      ['account/approximated', 'dash'],
    ],
  ])('%s', (_what, rest, [code, path]) => {
    expect(accounts([layer('rectangle', 'r', rest)])).toEqual([[code, 'r', path]])
  })

  test('a link inside a link, and one to a screen that is not converted', () => {
    const link = { link: { kind: 'address', url: 'https://tidewrack.example' } }
    expect(accounts([frame('f', [text('t', 'x', link)], link)])).toEqual([
      ['account/lost', 't', 'link'],
    ])
    const made = design([
      frame('a', [text('t', 'x', { link: { kind: 'screen', screen: 'b' } })]),
      frame('b', []),
    ])
    const { notes } = buildUi(made, made.screens.slice(0, 1))
    expect(notes.map((n) => n.code)).toContain('account/lost')
  })

  test('nothing else is', () => {
    expect(
      accounts([
        layer('rectangle', 'r', {
          fills: [gradient],
          strokes: [{ paint: solid('#000000') }],
          radius: 4,
        }),
      ]),
    ).toEqual([])
  })
})

test('fonts the result needs are named with their weights', () => {
  const bold = text('b', 'x', { runs: [{ text: 'x' }, { text: 'y', style: { weight: 700 } }] })
  expect(
    build([bold])
      .notes.filter((n) => n.code === 'account/font-missing')
      .map((n) => n.message),
  ).toEqual([expect.stringContaining('Inter (400, 700)')])
})

describe('the title', () => {
  const sized = (key: string, words: string, size: number): Json =>
    text(key, words, { style: { family: 'Inter', size, color: '#000000' } })
  const titles = (children: Json[]): string[] =>
    inside(children).flatMap((n) => (n.type === 'text' && n.level === 1 ? [n.layer] : []))

  test('is the first of the largest texts that is made of words', () => {
    expect(
      titles([
        { ...sized('figure', '84 kg', 60), box: { x: 0, y: 0, width: 200, height: 70 } },
        { ...sized('a', 'On the shore', 32), box: { x: 0, y: 80, width: 200, height: 40 } },
        { ...sized('b', 'Elsewhere', 32), box: { x: 0, y: 130, width: 150, height: 40 } },
      ]),
    ).toEqual(['a'])
  })
  test('is missing where all text is small', () => {
    expect(titles([sized('a', 'Terms apply', 12)])).toEqual([])
  })
})

describe('pictures', () => {
  const withFill = (fill: Json, children: Json[]): UiNode =>
    inside([frame('f', children, { fills: [solid('#ffffff'), fill] }), apart])[0]!
  const apart = text('apart', 'x', { box: { x: 0, y: 350, width: 9, height: 9 } })

  test('as a fill are a background of the content', () => {
    const picture = { kind: 'image', asset: 'sea' }
    expect(withFill(picture, [text('t', 'x')])).toMatchObject({
      type: 'box',
      style: { fills: [{ kind: 'solid' }, { kind: 'picture', fit: 'cover' }] },
      children: [{ type: 'text' }],
    })
  })

  test('half seen through as a fill are a picture behind the content', () => {
    const picture = { kind: 'image', asset: 'sea', opacity: 0.5 }
    expect(withFill(picture, [text('t', 'x')])).toMatchObject({
      style: { fills: [{ kind: 'solid' }] },
      children: [
        { type: 'image', alt: '', style: { opacity: 0.5, width: { sizing: 'stretch' } } },
        { type: 'text' },
      ],
    })
  })

  test('as the only fill of an empty shape are a picture', () => {
    const [picture] = inside([
      layer('rectangle', 'r', { fills: [{ kind: 'image', asset: 'sea' }] }),
      apart,
    ])
    expect(picture).toMatchObject({ type: 'image', fit: 'cover', alt: '' })
  })

  test('shown twice are one file, and equal drawings too', () => {
    const path = { paths: [{ d: 'M0 0h9v9z' }], fills: [solid('#000000')] }
    const { assets: files } = build([
      layer('image', 'i', { asset: 'sea' }),
      layer('image', 'j', { asset: 'sea' }),
      layer('path', 'p', path),
      layer('path', 'q', path),
    ])
    expect(files.map((f) => f.content.kind)).toEqual(['bytes', 'svg'])
  })
})

test('a stroke that reaches outside is a border of a larger box; around stated auto layout an outline', () => {
  const strokes = [{ paint: solid('#000000'), width: 2, align: 'centre' }]
  const [shape, box] = inside([
    layer('rectangle', 'r', { strokes, radius: 4, box: { x: 10, y: 10, width: 20, height: 20 } }),
    frame('f', [text('t', 'x')], {
      strokes,
      layout: { kind: 'row' },
      box: { x: 10, y: 100, width: 200, height: 50 },
    }),
  ])
  expect(shape!.style).toMatchObject({
    width: { px: 22 },
    corners: { topLeft: 5 },
    border: { kind: 'border', widths: { top: 2 } },
  })
  expect(box!.style.border).toMatchObject({ kind: 'outline', offsetPx: -1 })
})

test('a linked box without text gets its name from the layer', () => {
  const [box] = inside([
    frame('f', [layer('ellipse', 'e')], {
      name: 'Close',
      link: { kind: 'address', url: '/close' },
    }),
  ])
  expect(box).toMatchObject({ label: 'Close', link: { kind: 'address', url: '/close' } })
})
