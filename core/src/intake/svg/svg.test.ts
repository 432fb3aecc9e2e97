import { readSvgText, svgLayers } from '../../testing/design.js'
import { createTableMeasure } from '../../text/measure.js'

test.each([
  ['id="Card_x2F_Big"', 'Card/Big'],
  ['id="Rectangle_12_2_"', 'Rectangle'],
  ['id="_12"', 'Rectangle'],
  ['id="a" data-name="Tide table 2"', 'Tide table'],
  ['xmlns:x="x" x:label="Kelp &amp; wrack" id="r1"', 'Kelp & wrack'],
])('%s names a layer', (attributes, name) => {
  expect(svgLayers(`<rect ${attributes} width="9" height="9"/>`).layers[0]).toMatchObject({ name })
})

test('a group is called what its title says', () => {
  const { layers } = svgLayers(
    '<g id="g3"><title>Tide card</title><rect width="9" height="9"/></g>',
  )
  expect(layers[0]).toMatchObject({ name: 'Tide card' })
})

describe('shapes and transforms', () => {
  test('a rectangle keeps its box, radius, fill and stroke', () => {
    const { layers } = svgLayers(
      '<rect id="Card" x="10" y="20" width="80" height="40" rx="8" fill="rgb(255 0 0 / 50%)" stroke="#00f" stroke-width="2" stroke-dasharray="4 2"/>',
    )
    expect(layers[0]).toMatchObject({
      type: 'rectangle',
      name: 'Card',
      box: { x: 10, y: 20, width: 80, height: 40 },
      radius: 8,
      fills: [{ kind: 'solid', color: '#ff000080' }],
      strokes: [{ width: 2, dash: [4, 2], paint: { color: '#0000ff' } }],
    })
  })

  test.each([
    [
      'translate and scale',
      'transform="translate(10 5) scale(2)"',
      { x: 12, y: 7, width: 20, height: 10 },
      0,
    ],
    ['a matrix', 'transform="matrix(2 0 0 3 4 5)"', { x: 6, y: 8, width: 20, height: 15 }, 0],
    ['a mirror', 'transform="scale(-1 1)"', { x: -11, y: 1, width: 10, height: 5 }, 0],
    [
      'a turn about a point',
      'transform="rotate(90 6 3.5)"',
      { x: 1, y: 1, width: 10, height: 5 },
      90,
    ],
  ])('resolves %s to a box and a rotation', (_what, transform, box, rotationDeg) => {
    const { layers } = svgLayers(`<rect x="1" y="1" width="10" height="5" ${transform}/>`)
    expect(layers[0]).toMatchObject({ box, rotationDeg })
  })

  test('a text upside down is turned, and a mirrored one is noted', () => {
    const words = (transform: string) =>
      svgLayers(`<text x="9" y="20" transform="${transform}">Up</text>`)
    expect(words('rotate(180)').layers[0]).toMatchObject({ type: 'text', rotationDeg: 180 })
    expect(words('scale(-1 1)').notes.map((n) => n.code)).toEqual(['intake/effect-skipped'])
  })

  test('a skewed rectangle becomes a path that draws the same', () => {
    const { layers } = svgLayers('<rect width="10" height="10" transform="skewX(45)"/>')
    expect(layers[0]).toMatchObject({ type: 'path', box: { x: 0, y: 0, width: 20, height: 10 } })
  })

  test('paths, polygons and lines are cut off from their place', () => {
    const { layers } = svgLayers(
      '<path d="M10 10h20v10z"/><polygon points="0,0 10,0 5,8"/><line x1="5" y1="50" x2="95" y2="50" stroke="red"/>',
    )
    expect(layers).toMatchObject([
      {
        type: 'path',
        box: { x: 10, y: 10, width: 20, height: 10 },
        paths: [{ d: 'M0 0H20V10z' }],
      },
      { type: 'path', box: { x: 0, y: 0, width: 10, height: 8 } },
      {
        type: 'line',
        box: { x: 5, y: 50, width: 90, height: 0 },
        from: { x: 0, y: 0 },
        to: { x: 90, y: 0 },
      },
    ])
  })

  test('a line that slants by less than anyone sees is straight; others slant', () => {
    const { layers } = svgLayers(
      '<line x1="5" y1="50.1" x2="95" y2="49.7" stroke="red"/><line x1="5" y1="10" x2="95" y2="14" stroke="red"/>',
    )
    expect(layers[0]).toMatchObject({
      box: { x: 5, y: 49.9, width: 90, height: 0 },
      from: { x: 0, y: 0 },
      to: { x: 90, y: 0 },
    })
    expect(layers[1]).toMatchObject({ box: { height: 4 }, to: { x: 90, y: 4 } })
  })

  test('groups hold their layers relative to themselves', () => {
    const { layers } = svgLayers(
      '<g id="Row" opacity="0.5" transform="translate(10 10)"><rect x="5" y="5" width="10" height="10"/><circle cx="30" cy="10" r="5"/></g>',
    )
    expect(layers[0]).toMatchObject({
      type: 'group',
      opacity: 0.5,
      box: { x: 15, y: 15, width: 30, height: 10 },
      children: [
        { box: { x: 0, y: 0 } },
        { type: 'ellipse', box: { x: 20, y: 0, width: 10, height: 10 } },
      ],
    })
  })

  test('nested svg elements fit their view box into their place', () => {
    const { layers } = svgLayers(
      '<svg x="10" y="10" width="50" height="20" viewBox="0 0 10 10"><rect width="10" height="10"/></svg>',
    )
    expect(layers[0]).toMatchObject({ box: { x: 25, y: 10, width: 20, height: 20 } })
  })

  test('the view box of the file scales everything', () => {
    const { layers } = svgLayers(
      '<rect width="10" height="10"/>',
      'width="200" height="100" viewBox="0 0 20 10"',
    )
    expect(layers[0]!.box).toEqual({ x: 0, y: 0, width: 100, height: 100 })
  })

  test('use shows a symbol, and one that contains itself is left out with a note', () => {
    const { layers, notes } = svgLayers(
      '<defs><symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><g id="loop"><rect width="1" height="1"/><use href="#loop"/></g></defs>' +
        '<use href="#s" x="5" y="5" width="20" height="20"/><use href="#loop"/>',
    )
    expect(layers[0]!.box).toEqual({ x: 5, y: 5, width: 20, height: 20 })
    expect(notes.map((n) => n.code)).toContain('intake/use-cycle')
  })
})

describe('paint and effects', () => {
  test('style attributes win over presentation attributes and are inherited', () => {
    const { layers } = svgLayers(
      '<g fill="red" style="fill: lime"><rect width="1" height="1"/></g>',
    )
    expect(layers[0]).toMatchObject({ children: [{ fills: [{ color: '#00ff00' }] }] })
  })

  test('gradients take stops and units from the ones they refer to', () => {
    const { layers } = svgLayers(
      '<defs><linearGradient id="a"><stop stop-color="#fff"/><stop offset="50%" stop-color="#000" stop-opacity="0.5"/></linearGradient>' +
        '<linearGradient id="b" href="#a" gradientUnits="userSpaceOnUse" x1="10" y1="0" x2="60" y2="0"/></defs>' +
        '<rect x="10" width="100" height="10" fill="url(#b)"/>',
    )
    expect(layers[0]).toMatchObject({
      fills: [
        {
          kind: 'linear',
          from: { x: 0, y: 0 },
          to: { x: 0.5, y: 0 },
          stops: [
            { offset: 0, color: '#ffffff' },
            { offset: 0.5, color: '#00000080' },
          ],
        },
      ],
    })
  })

  test('a round clip over a picture becomes a radius', () => {
    const { layers, notes } = svgLayers(
      '<defs><clipPath id="c"><rect x="10" y="10" width="40" height="40" rx="20"/></clipPath></defs>' +
        '<image x="10" y="10" width="40" height="40" clip-path="url(#c)" href="data:image/png;base64,AAAA"/>',
    )
    expect(layers[0]).toMatchObject({ type: 'image', radius: 20 })
    expect(notes).toEqual([])
  })

  test.each([
    ['inside', 'x="10.5" y="10.5" width="79" height="39" rx="7.5" stroke-width="1"'],
    ['outside', 'x="9" y="9" width="82" height="42" rx="9" stroke-width="2"'],
    ['centre', 'x="10" y="10" width="80" height="40" rx="8" stroke-width="4"'],
  ])('a stroke %s that was exported as a second shape belongs to the first', (align, line) => {
    const { layers } = svgLayers(
      `<rect id="Card" x="10" y="10" width="80" height="40" rx="8" fill="white"/><rect ${line} fill="none" stroke="red"/>`,
    )
    expect(layers).toMatchObject([{ name: 'Card', strokes: [{ align }] }])
    expect(layers).toHaveLength(1)
  })

  test('a line that does not follow the edge stays a shape of its own', () => {
    const { layers } = svgLayers(
      '<rect width="80" height="40" fill="white"/><rect x="4" y="4" width="72" height="32" fill="none" stroke="red"/>',
    )
    expect(layers).toHaveLength(2)
  })

  test('drop shadows are read, other filter steps are noted', () => {
    const { layers, notes } = svgLayers(
      '<defs><filter id="f"><feDropShadow dx="0" dy="4" stdDeviation="6" flood-opacity="0.25"/><feTurbulence/></filter></defs>' +
        '<rect id="Box" width="10" height="10" filter="url(#f)"/>',
    )
    expect(layers[0]!.effects).toEqual([
      { kind: 'shadow', inset: false, x: 0, y: 4, blur: 12, spread: 0, color: '#00000040' },
    ])
    expect(notes.map((n) => n.code)).toEqual(['intake/effect-skipped'])
  })
})

const INTER = {
  family: 'Inter',
  weight: 400,
  size: 16,
  letterSpacing: 0,
  case: 'as-typed',
} as const

describe('text', () => {
  const textOf = (inside: string) => {
    const layer = svgLayers(inside, 'width="800" height="400"').layers[0]!
    if (layer.type !== 'text') throw new Error('expected a text')
    return { ...layer, text: layer.runs.map((r) => r.text).join('') }
  }
  const lines = (...rows: [number, string][]): string =>
    `<text font-family="Inter" font-size="16">${rows
      .map(([x, row], i) => `<tspan x="${x}" y="${20 + i * 24}">${row}</tspan>`)
      .join('')}</text>`

  test('a line that ends although the next word had room is a paragraph of its own', () => {
    const { text, lines: drawn } = textOf(
      lines(
        [0, 'Low water.'],
        [0, 'The strandline is free for two hours, then the'],
        [0, 'sea comes back.'],
      ),
    )
    expect(text).toBe('Low water.\nThe strandline is free for two hours, then the sea comes back.')
    expect(drawn!.map((l) => text.slice(l.start, l.end))).toEqual([
      'Low water.',
      'The strandline is free for two hours, then the',
      'sea comes back.',
    ])
  })

  test.each([
    ['start', 0],
    ['centre', 0.5],
    ['end', 1],
  ] as const)('lines that each state their start are aligned to the %s', (align, share) => {
    const rows = ['What the sea left', 'is counted and put back where', 'it was found']
    const measure = createTableMeasure()
    const placed = rows.map((row): [number, string] => [
      300 - measure.width(row, INTER) * share,
      row,
    ])
    expect(textOf(lines(...placed)).align).toBe(align)
  })

  test('centred lines tell how wide an unknown font is', () => {
    // In this font everything is 5 % narrower than measured: the middles still fall together at 300.
    const rows = ['What the sea left', 'is counted and put back where', 'it was found']
    const measure = createTableMeasure()
    const placed = rows.map((row): [number, string] => [
      300 - (measure.width(row, { ...INTER, family: 'Shingle Sans' }) * 0.95) / 2,
      row,
    ])
    const { box } = textOf(lines(...placed).replace('Inter', 'Shingle Sans'))
    expect(box.x + box.width / 2).toBeCloseTo(300, 1)
  })

  test('a space that was cut away between two styles is put back, before words and not before marks', () => {
    const width = createTableMeasure().width('created by', INTER)
    const { runs } = textOf(
      `<text font-family="Inter" font-size="16"><tspan x="0" y="20">created by</tspan><tspan x="${width + 3}" y="20" text-decoration="underline">Start</tspan><tspan x="${width + 42}" y="20">.</tspan></text>`,
    )
    expect(runs.map((r) => r.text)).toEqual(['created by ', 'Start', '.'])
  })

  test('letter spacing in em, and spacing given by a place for every letter', () => {
    expect(
      textOf('<text y="20" font-size="20" letter-spacing="-0.02em">Tide</text>').style
        .letterSpacing,
    ).toBe(-0.4)
    expect(textOf('<text y="20" dx="0 2 2 2" font-size="20">Tide</text>').style.letterSpacing).toBe(
      2,
    )
  })

  test('the place of a text may be its middle or top', () => {
    const y = (baseline: string): number =>
      textOf(`<text y="100" font-size="20" dominant-baseline="${baseline}">Tide</text>`).box.y
    expect(y('auto')).toBeLessThan(y('central'))
    expect(y('central')).toBeLessThan(y('hanging'))
  })

  test('a stated line height is kept for a single line', () => {
    expect(textOf('<text y="20" style="font:600 20px/1.5 Inter">Tide</text>').style).toMatchObject({
      family: 'Inter',
      weight: 600,
      size: 20,
      lineHeight: 30,
    })
  })

  const read = (inside: string) =>
    svgLayers(`<g font-family="Liberation Sans" font-size="20">${inside}</g>`).layers[0]!
  const first = (inside: string) => {
    const group = read(inside)
    return 'children' in group ? group.children[0]! : group
  }

  test('the box is placed so that the baseline stays where it was', () => {
    // Liberation Sans at 20 px: ascent 18, descent 4, normal line 22.66 px.
    const layer = first('<text x="10" y="50">Hello</text>')
    expect(layer).toMatchObject({
      type: 'text',
      runs: [{ text: 'Hello' }],
      lines: [{ start: 0, end: 5, x: 0, baseline: 18 }],
    })
    expect(read('<text x="10" y="50">Hello</text>').box).toMatchObject({ x: 10, y: 32 })
  })

  test('lines become one text with its line height', () => {
    const layer = first(
      '<text><tspan x="0" y="20">One two</tspan><tspan x="0" y="50">three</tspan></text>',
    )
    expect(layer).toMatchObject({
      style: { lineHeight: 30 },
      runs: [{ text: 'One two three' }],
      lines: [
        { start: 0, end: 7 },
        { start: 8, end: 13 },
      ],
    })
  })

  test('pieces of a line join, with a space where there was a gap', () => {
    const layer = first(
      '<text><tspan x="0" y="20" font-weight="700">Total</tspan><tspan x="58" y="20">12</tspan><tspan x="80.2" y="20">kg</tspan></text>',
    )
    expect(layer).toMatchObject({
      style: { weight: 700 },
      runs: [
        { text: 'Total', style: {} },
        { text: ' 12kg', style: { weight: 400 } },
      ],
    })
  })

  test('anchors give the alignment', () => {
    const layer = first('<text x="100" y="20" text-anchor="middle">Mid</text>')
    expect(layer).toMatchObject({ align: 'centre' })
    const group = read('<text x="100" y="20" text-anchor="middle">Mid</text>')
    expect(group.box.x + group.box.width / 2).toBeCloseTo(100, 1)
  })

  test('white space is indentation unless the file says otherwise', () => {
    expect(first('<text y="20">\n   A   b\n  </text>')).toMatchObject({ runs: [{ text: 'A b' }] })
    expect(first('<text y="20" xml:space="preserve">A  b</text>')).toMatchObject({
      runs: [{ text: 'A  b' }],
    })
  })
})

describe('names and keys', () => {
  test('ids become names without exporters’ escapes and counters', () => {
    const { layers } = svgLayers(
      '<rect id="Sea_x20_view_2" width="1" height="1"/><rect id="Card 12" width="1" height="1"/><rect data-name="Real" id="x" width="1" height="1"/>',
    )
    expect(layers.map((l) => l.name)).toEqual(['Sea view', 'Card', 'Real'])
  })

  test('keys are unique and the same at every reading', () => {
    const inside =
      '<rect id="a" width="1" height="1"/><g><rect id="a" width="1" height="1"/><rect width="1" height="1"/></g>'
    const once = svgLayers(inside)
    expect(svgLayers(inside).design).toEqual(once.design)
    const keys = JSON.stringify(once.design).match(/"key":"[^"]+"/g)!
    expect(new Set(keys).size).toBe(keys.length)
  })
})

describe('dangerous files', () => {
  test('scripts, handlers and foreign content are dropped and noted', () => {
    const { design, notes } = svgLayers(
      '<script>alert(1)</script><rect width="1" height="1" onclick="alert(2)"/><foreignObject/>',
    )
    expect(JSON.stringify(design)).not.toContain('alert')
    expect(notes.filter((n) => n.code === 'intake/script-dropped')).toHaveLength(3)
  })

  const withEntities = (declarations: string, inside: string) =>
    readSvgText(
      `<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd" [${declarations}]>
      <svg xmlns="http://www.w3.org/2000/svg" width="200" height="100">${inside}</svg>`,
    )
  const note = '<text x="0" y="20" font-size="16">&note;</text>'

  test.each([
    ['that stand for others', '<!ENTITY a "aaaa"><!ENTITY note "&a;&a;">', note],
    ['of a file', '<!ENTITY note SYSTEM "file:///etc/passwd">', note],
    ['of an address', '<!ENTITY note PUBLIC "tide" "http://harbour.example/tide">', note],
    [
      'of the declaration itself',
      '<!ENTITY % more SYSTEM "http://harbour.example/more.dtd"> %more;',
      note,
    ],
    ['that stand for markup', '<!ENTITY note "<script>alert(1)</script>">', note],
    ['that stand for markup by numbers', '<!ENTITY note "&#60;script&#x3e;">', note],
    ['that are long', `<!ENTITY note "${'a'.repeat(2000)}">`, note],
    ['that together are long', `<!ENTITY note "${'a'.repeat(900)}">`, note.repeat(2000)],
  ])('entities %s are refused before they are expanded', (_what, declarations, inside) => {
    expect(withEntities(declarations, inside).notes.map((n) => n.code)).toEqual([
      'intake/entities-refused',
    ])
  })

  test('entities that stand for a short text are that text, as programs write namespaces', () => {
    const { design } = readSvgText(
      `<!DOCTYPE svg [<!ENTITY ns_svg "http://www.w3.org/2000/svg"><!ENTITY note 'Low &#x2192; high > 2 m'><!ENTITY note "again">]>
      <svg xmlns="&ns_svg;" width="200" height="100">${note}</svg>`,
    )
    expect(design?.screens[0]?.children).toMatchObject([
      { type: 'text', runs: [{ text: 'Low → high > 2 m' }] },
    ])
  })

  test('a tree of uses that grows without end stops at the layer limit', () => {
    const levels = Array.from(
      { length: 20 },
      (_, i) => `<g id="u${i + 1}">${`<use href="#u${i}"/>`.repeat(10)}</g>`,
    )
    const svg = `<svg xmlns="http://www.w3.org/2000/svg"><defs><rect id="u0" width="1" height="1"/>${levels.join('')}</defs><use href="#u20"/></svg>`
    expect(readSvgText(svg).notes.map((n) => n.code)).toEqual(['intake/too-many-layers'])
  })

  test('nesting that would exhaust the stack is refused', () => {
    const svg = `<svg xmlns="http://www.w3.org/2000/svg">${'<g>'.repeat(20_000)}${'</g>'.repeat(20_000)}</svg>`
    expect(readSvgText(svg).notes.map((n) => n.code)).toEqual(['intake/too-deep'])
  })

  test.each(['1e30', 'NaN', 'calc(1px)', '-5'])(
    'a rectangle %s wide is left out with a note',
    (width) => {
      const { layers, notes } = svgLayers(
        `<rect id="Wild" width="${width}" height="5"/><rect width="1" height="1"/>`,
      )
      expect(layers).toHaveLength(1)
      expect(notes).toMatchObject([{ code: 'intake/number-refused', where: { layer: 'wild' } }])
    },
  )

  test('of a filter that gives nothing but a shadow, the layer itself is not seen', () => {
    const { layers, notes } = svgLayers(
      '<defs><filter id="f"><feOffset in="SourceAlpha" dy="3"/><feGaussianBlur stdDeviation="2"/><feColorMatrix values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0.2 0"/></filter></defs>' +
        '<rect width="80" height="40" rx="6" fill="#000" filter="url(#f)"/>',
    )
    expect(notes).toEqual([])
    expect(layers[0]).toMatchObject({ fills: [], effects: [{ kind: 'shadow', y: 3, blur: 4 }] })
  })

  test('a shape without a width or a height is not drawn', () => {
    const { layers, notes } = svgLayers(
      '<rect width="0" height="0" fill="#fff" stroke="#000"/><ellipse rx="4" ry="0"/><rect id="Box" width="9" height="9"/>',
    )
    expect(layers.map(({ name }) => name)).toEqual(['Box'])
    expect(notes).toEqual([])
  })
})

describe('lines of a text', () => {
  const lines = (...all: readonly (readonly [x: number, y: number, words: string])[]) =>
    svgLayers(
      `<text font-family="Liberation Mono" font-size="10">${all
        .map(([x, y, words]) => `<tspan x="${x}" y="${y}">${words}</tspan>`)
        .join('')}</text>`,
    ).layers[0]

  test('lines of code stay lines, moved in by as many spaces as they were', () => {
    expect(lines([0, 20, 'tide {'], [12, 36, 'ebb'], [12, 52, 'flow'], [0, 68, '}'])).toMatchObject(
      {
        runs: [{ text: 'tide {\n\u00a0\u00a0ebb\n\u00a0\u00a0flow\n}' }],
      },
    )
  })

  test('a line that was left empty stays', () => {
    expect(lines([0, 20, 'marsh'], [0, 36, 'heron'], [0, 68, 'pier'])).toMatchObject({
      style: { lineHeight: 16 },
      runs: [{ text: expect.stringMatching(/heron\n\npier$/) as string }],
    })
  })

  test('raised letters belong to the line they follow', () => {
    expect(lines([0, 20, 'depth in m'], [61, 16, '2'])).toMatchObject({
      lines: [{ start: 0 }],
      runs: [{ text: expect.stringMatching(/^depth in m ?2$/) as string }],
    })
  })
})
