import { bytes, document, frame, layer, readSvgText } from '../testing/design.js'
import { readDesign } from '../design/read-design.js'
import { strToU8, zipSync, type Zippable } from 'fflate'
import { readFiles } from './index.js'
import { MAX_FILE_BYTES } from './input-file.js'

const codes = (name: string, content: Uint8Array | string) => {
  const { design, notes } = readFiles([
    { name, bytes: typeof content === 'string' ? bytes(content) : content },
  ])
  return { hasDesign: design !== undefined, codes: notes.map((n) => n.code) }
}

describe('bad files get a note and no design', () => {
  test.each([
    ['an empty file', 'a.svg', '', 'intake/empty-file'],
    ['white space', 'a.svg', ' \n ', 'intake/empty-file'],
    ['something else', 'a.txt', 'hello', 'intake/unknown-format'],
    ['bytes that are no text', 'a.svg', Uint8Array.from([0xff, 0xfe, 0x00]), 'intake/not-text'],
    ['broken XML', 'a.svg', '<svg><g></svg>', 'intake/broken-xml'],
    ['another XML language', 'a.svg', '<html></html>', 'intake/not-svg'],
    [
      'an SVG without a drawing',
      'a.svg',
      '<svg xmlns="http://www.w3.org/2000/svg"><defs/></svg>',
      'intake/nothing-drawn',
    ],
    [
      'an SVG of impossible size',
      'a.svg',
      '<svg width="1e40" height="1"><rect width="1" height="1"/></svg>',
      'intake/number-refused',
    ],
    ['broken JSON', 'a.json', '{"format":', 'intake/broken-json'],
    ['a JSON list', 'a.json', '[]', 'design/invalid'],
  ])('%s', (_what, name, content, code) => {
    expect(codes(name, content)).toEqual({
      hasDesign: false,
      codes: expect.arrayContaining([code]) as string[],
    })
  })

  test('a file that is too large is not even decoded', () => {
    expect(codes('big.svg', new Uint8Array(MAX_FILE_BYTES + 1))).toEqual({
      hasDesign: false,
      codes: ['intake/file-too-large'],
    })
  })

  test('broken XML is located by line and column', () => {
    const [note] = readSvgText('<svg>\n<g>\n</svg>').notes
    expect(note).toMatchObject({
      code: 'intake/broken-xml',
      where: { file: 'test.svg', path: expect.stringMatching(/^line 3, column \d+$/) as string },
    })
  })
})

test('a bad file among good ones stops only itself', () => {
  const good = '<svg xmlns="http://www.w3.org/2000/svg"><rect width="1" height="1"/></svg>'
  const { design, notes } = readFiles([
    { name: 'one.svg', bytes: bytes(good) },
    { name: 'bad.svg', bytes: bytes('<svg') },
    { name: 'two.svg', bytes: bytes(good) },
  ])
  expect(design!.screens.map((s) => s.name)).toEqual(['one', 'two'])
  expect(notes).toMatchObject([{ code: 'intake/broken-xml', where: { file: 'bad.svg' } }])
})

test('screens of several files keep keys of their own', () => {
  const file = document([frame('home', [layer('rectangle', 'r')])])
  const { design } = readFiles([
    { name: 'a.json', bytes: bytes(JSON.stringify(file)) },
    { name: 'b.json', bytes: bytes(JSON.stringify(file)) },
  ])
  expect(design!.screens.map((s) => [s.key, s.children[0]!.key])).toEqual([
    ['home', 'r'],
    ['2/home', '2/r'],
  ])
})

test('everything in a second file that names something else still does', () => {
  const file = document(
    [
      frame('home', [
        layer('instance', 'use', {
          component: 'Slot',
          props: { Icon: 'Dot', Label: 'Dot' },
          boxes: { inner: { x: 1, y: 2, width: 3, height: 4 } },
        }),
        layer('rectangle', 'r', { strokes: [{ paint: { kind: 'image', asset: 'sea' } }] }),
      ]),
    ],
    {
      assets: { sea: { name: 'sea.png', mime: 'image/png', data: '' } },
      components: [
        {
          key: 'Slot',
          name: 'Slot',
          properties: [
            { kind: 'swap', name: 'Icon', default: 'Dot' },
            { kind: 'text', name: 'Label', default: 'x' },
          ],
          variants: [
            layer('component', 'slot', {
              children: [layer('instance', 'inner', { component: 'Dot', bind: { swap: 'Icon' } })],
            }),
          ],
        },
        { key: 'Dot', name: 'Dot', variants: [layer('component', 'dot')] },
      ],
    },
  )
  const content = bytes(JSON.stringify(file))
  const { design } = readFiles(['a.json', 'b.json'].map((name) => ({ name, bytes: content })))
  const second = design!.screens[1]!
  expect(second.children).toMatchObject([
    { component: '2/Slot', props: { Icon: '2/Dot', Label: 'Dot' }, boxes: { '2/inner': { x: 1 } } },
    { strokes: [{ paint: { asset: '2/sea' } }] },
  ])
  expect(design!.components[2]!.properties[0]).toMatchObject({ default: '2/Dot' })
  expect(readDesign(JSON.parse(JSON.stringify(design))).notes).toEqual([])
})

test('a token that two files give different values is kept as the first has it, and noted', () => {
  const file = (px: number) => ({
    name: `${px}.json`,
    bytes: bytes(
      JSON.stringify(
        document([frame('home', [])], {
          tokens: [{ name: 'space.m', type: 'space', values: { default: px } }],
        }),
      ),
    ),
  })
  const { design, notes } = readFiles([file(16), file(16), file(12)])
  expect(design!.tokens).toMatchObject([{ values: { default: 16 } }])
  expect(notes).toMatchObject([{ code: 'intake/token-conflict', where: { file: '12.json' } }])
})

// The header of a PNG of 48 x 32 px.
const PNG = Uint8Array.from(
  Buffer.from('89504e470d0a1a0a0000000d494844520000003000000020080200000000000000', 'hex'),
)

describe('archives', () => {
  const SVG = '<svg xmlns="http://www.w3.org/2000/svg"><rect width="9" height="9"/></svg>'
  const read = (entries: Zippable) => readFiles([{ name: 'all.zip', bytes: zipSync(entries) }])

  test('designs, pictures and fonts in one are taken out of their folders', () => {
    const image = SVG.replace('<rect', '<image href="img/sea.png"/><rect')
    const { design, fonts, notes } = read({
      screens: { 'home.svg': strToU8(image), img: { 'sea.png': PNG } },
      'fonts/Inter.woff2': Uint8Array.from([1]),
      '__MACOSX/x': Uint8Array.from([1]),
      'read me.txt': strToU8('hello'),
    })
    expect(design!.screens.map((s) => s.name)).toEqual(['home'])
    expect(Object.keys(design!.assets)).toEqual(['sea'])
    expect(fonts.map((f) => f.name)).toEqual(['fonts/Inter.woff2'])
    expect(notes.map((n) => n.code)).toEqual(['intake/zip-skipped'])
  })

  test.each([
    ['a name that climbs out', { '../../etc/home.svg': strToU8(SVG) }, 'intake/zip-path'],
    ['an absolute name', { '/etc/home.svg': strToU8(SVG) }, 'intake/zip-path'],
    ['a file that swells', { 'a.svg': new Uint8Array(5_000_000) }, 'intake/zip-too-large'],
    [
      'too many files',
      Object.fromEntries(Array.from({ length: 2001 }, (_, i) => [`${i}.svg`, strToU8('')])),
      'intake/zip-too-many',
    ],
  ])('%s is refused before anything is unpacked', (_what, entries, code) => {
    const { design, notes } = read(entries as Zippable)
    expect(design).toBeUndefined()
    expect(notes.map((n) => n.code)).toEqual([code])
  })

  test('a broken one says so', () => {
    const broken = zipSync({ 'a.svg': strToU8(SVG) }).slice(0, 40)
    const { notes } = readFiles([{ name: 'all.zip', bytes: broken }])
    expect(notes.map((n) => n.code)).toEqual(['intake/zip-broken'])
  })
})

test('files without a design among them are named', () => {
  const { notes } = readFiles([{ name: 'sea.png', bytes: PNG }])
  expect(notes.map((n) => n.message)).toEqual(['There is no design in "sea.png".'])
})

describe('token files beside a design', () => {
  const TOKENS = (color: string) =>
    bytes(JSON.stringify({ ink: { $type: 'color', $value: color } }))
  const design = { name: 'a.json', bytes: bytes(JSON.stringify(document([frame('home', [])]))) }

  test('become its tokens, one file a mode', () => {
    const { design: read, notes } = readFiles([
      design,
      { name: 'tokens.light.json', bytes: TOKENS('#111111') },
      { name: 'tokens.dark.json', bytes: TOKENS('#eeeeee') },
    ])
    expect(notes).toEqual([])
    expect(read!.modes).toEqual(['light', 'dark'])
    expect(read!.tokens).toEqual([
      { name: 'ink', type: 'color', values: { light: '#111111', dark: '#eeeeee' } },
    ])
  })

  test('alone they are no design', () => {
    const { notes } = readFiles([{ name: 'tokens.json', bytes: TOKENS('#111111') }])
    expect(notes.map((n) => n.code)).toEqual(['tokens/without-design'])
  })
})

describe('pictures', () => {
  const svg = (href: string) =>
    `<svg xmlns="http://www.w3.org/2000/svg"><image id="Photo" width="9" height="9" href="${href}"/></svg>`

  test('one beside the file is taken in', () => {
    const { design, notes } = readFiles([
      { name: 'a.svg', bytes: bytes(svg('img/sea.png')) },
      { name: 'sea.png', bytes: PNG },
    ])
    expect(design!.assets).toEqual({
      sea: {
        name: 'sea.png',
        mime: 'image/png',
        width: 48,
        height: 32,
        data: Buffer.from(PNG).toString('base64'),
      },
    })
    expect(notes).toEqual([])
  })

  test('one that is not what its name promises is left out, with a note', () => {
    const { notes } = readFiles([
      { name: 'a.svg', bytes: bytes(svg('sea.png')) },
      { name: 'sea.png', bytes: Uint8Array.from([1, 2, 3]) },
    ])
    expect(notes.map((n) => n.code)).toEqual(['intake/picture-broken', 'intake/image-missing'])
  })

  test('one that did not come along leaves a grey box and a note', () => {
    const { design, notes } = readSvgText(svg('sea.png'))
    expect(design!.screens[0]!.children[0]).toMatchObject({
      type: 'rectangle',
      fills: [{ color: '#d9d9d9' }],
    })
    expect(notes).toMatchObject([{ code: 'intake/image-missing', where: { layer: 'photo' } }])
  })

  test('kinds that are no pictures are refused', () => {
    expect(readSvgText(svg('data:text/html,hi')).notes.map((n) => n.code)).toEqual([
      'intake/image-refused',
    ])
  })

  test('the same picture is kept once', () => {
    const twice = svg('data:image/png;base64,AAAA').replace(
      '</svg>',
      '<image width="5" height="5" href="data:image/png;base64,AAAA"/></svg>',
    )
    expect(Object.keys(readSvgText(twice).design!.assets)).toHaveLength(1)
  })
})
