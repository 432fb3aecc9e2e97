import fc from 'fast-check'
import { design, document, frame, layer, text } from '../testing/design.js'
import { buildJsonSchema, MAX_DEPTH, readDesign } from './read-design.js'
import { writeDesign } from './write-design.js'
import { runs } from '../testing/runs.js'

const errors = (value: unknown) => {
  const read = readDesign(value)
  return read.ok ? [] : read.notes.map((n) => ({ code: n.code, path: n.where.path }))
}

describe('readDesign', () => {
  test('fills in what a person need not write', () => {
    const read = design([frame('home', [layer('rectangle', 'r')])])
    expect(read.screens[0]!.children[0]).toMatchObject({
      visible: true,
      opacity: 1,
      fills: [],
      radius: 0,
    })
  })

  test.each([
    [
      'a missing field',
      { ...layer('rectangle', 'r'), box: undefined },
      'screens[0].children[0].box',
    ],
    [
      'a number out of range',
      layer('rectangle', 'r', { opacity: 2 }),
      'screens[0].children[0].opacity',
    ],
    [
      'a huge number',
      layer('rectangle', 'r', { box: { x: 0, y: 0, width: 1e12, height: 1 } }),
      'screens[0].children[0].box.width',
    ],
    [
      'a colour in another syntax',
      layer('rectangle', 'r', { fills: [{ kind: 'solid', color: 'red' }] }),
      'screens[0].children[0].fills[0].color',
    ],
    ['an unknown field', layer('rectangle', 'r', { colour: '#000000' }), 'screens[0].children[0]'],
    ['an unknown kind of layer', layer('blob', 'r'), 'screens[0].children[0].type'],
    [
      'a line of a text without its start',
      text('t', 'x', { lines: [{ end: 1, x: 0, baseline: 9 }] }),
      'screens[0].children[0].lines[0].start',
    ],
  ])('names the path of %s', (_what, child, path) => {
    expect(errors(document([frame('home', [child])]))).toContainEqual({
      code: 'design/invalid',
      path,
    })
  })

  test('quotes the file, the path and the value that stands there', () => {
    const read = readDesign(
      document([frame('home', [layer('rectangle', 'r', { opacity: 2 })])]),
      'a.json',
    )
    expect(read.notes[0]!.message).toMatch(
      /^"a\.json", screens\[0\]\.children\[0\]\.opacity: 2: too big/,
    )
    const missing = readDesign(document([{ type: 'frame', key: 'x' }]), 'a.json')
    expect(missing.notes[0]!.message).toBe('"a.json", screens[0].box: it is missing.')
  })

  test('refuses a document without screens, of another format or of a newer version', () => {
    expect(errors(document([]))).toContainEqual({ code: 'design/invalid', path: 'screens' })
    expect(errors({ ...document([frame('home', [])]), format: 'x' })).toContainEqual({
      code: 'design/invalid',
      path: 'format',
    })
    expect(errors({ ...document([frame('home', [])]), version: 99 })).toEqual([
      { code: 'design/newer-version', path: 'version' },
    ])
  })

  test.each([null, 7, 'x', []])('refuses %p', (value) => {
    expect(errors(value).length).toBeGreaterThan(0)
  })

  test('finds two layers with one key', () => {
    expect(
      errors(document([frame('home', [layer('rectangle', 'a'), layer('ellipse', 'a')])])),
    ).toEqual([{ code: 'design/duplicate-key', path: 'screens[0].children[1]' }])
  })

  test('finds names that lead nowhere and offers the nearest', () => {
    const read = readDesign(
      document(
        [
          frame('home', [
            layer('image', 'i', { asset: 'phto' }),
            layer('rectangle', 'r', { link: { kind: 'screen', screen: 'hom' } }),
          ]),
        ],
        { assets: { photo: { name: 'photo.png', mime: 'image/png', data: '' } } },
      ),
    )
    expect(read.ok).toBe(false)
    expect(read.notes.map((n) => n.message)).toEqual([
      expect.stringContaining('did you mean "photo"?'),
      expect.stringContaining('did you mean "home"?'),
    ])
  })

  test('finds components and aliases that lead back to themselves', () => {
    const set = (key: string, inner: string) => ({
      key,
      name: key,
      variants: [
        layer('component', `${key}-drawing`, {
          children: [layer('instance', `${key}-i`, { component: inner })],
        }),
      ],
    })
    expect(
      errors(document([frame('home', [])], { components: [set('A', 'B'), set('B', 'A')] })),
    ).toEqual([{ code: 'design/cycle', path: 'components' }])
    const token = (name: string, to: string) => ({
      name,
      type: 'space',
      values: { default: `{${to}}` },
    })
    expect(
      errors(document([frame('home', [])], { tokens: [token('a', 'b'), token('b', 'a')] })),
    ).toEqual([{ code: 'design/cycle', path: 'tokens' }])
  })

  test('finds swaps that lead nowhere, or round in a circle', () => {
    const slot = (given: string) => ({
      components: [
        {
          key: 'Slot',
          name: 'Slot',
          properties: [{ kind: 'swap', name: 'Icon', default: 'Dot' }],
          variants: [
            layer('component', 'slot', {
              children: [layer('instance', 'inner', { component: 'Dot', bind: { swap: 'Icon' } })],
            }),
          ],
        },
        { key: 'Dot', name: 'Dot', variants: [layer('component', 'dot')] },
      ],
      screens: [
        frame('home', [layer('instance', 'use', { component: 'Slot', props: { Icon: given } })]),
      ],
    })
    const check = (given: string) => {
      const { screens, components } = slot(given)
      return errors(document(screens, { components }))
    }
    expect(check('Dot')).toEqual([])
    expect(check('Dott')).toEqual([
      { code: 'design/unknown-reference', path: 'components["Slot.Icon"]' },
    ])
    expect(check('Slot')).toEqual([{ code: 'design/cycle', path: 'components' }])
  })

  test('refuses nesting that would exhaust the stack', () => {
    let deep = layer('rectangle', 'last')
    for (let i = 0; i < MAX_DEPTH * 40; i++) deep = frame(`f${i}`, [deep])
    expect(errors(document([deep]))).toEqual([{ code: 'intake/too-deep', path: undefined }])
  })
})

const color = fc.stringMatching(/^#[0-9a-f]{6}$/)
const length = fc.integer({ min: 0, max: 5000 })
const box = fc.record({
  x: fc.integer({ min: -500, max: 5000 }),
  y: length,
  width: length,
  height: length,
})
const paint = fc.oneof(
  fc.record({ kind: fc.constant('solid'), color, opacity: fc.constantFrom(0, 0.5, 1) }),
  fc.record({
    kind: fc.constant('linear'),
    from: fc.record({ x: fc.constant(0), y: fc.constant(0) }),
    to: fc.record({ x: fc.constant(1), y: fc.constant(0.5) }),
    stops: fc.tuple(color, color).map(([a, b]) => [
      { offset: 0, color: a },
      { offset: 1, color: b },
    ]),
  }),
  fc.record({
    kind: fc.constant('radial'),
    centre: fc.record({ x: fc.constant(0.5), y: fc.constant(0.5) }),
    radius: fc.record({ x: fc.constant(0), y: fc.constant(0) }),
    rotationDeg: fc.constantFrom(0, 30),
    focus: fc.constantFrom(undefined, { x: 0, y: 1 }),
    stops: fc.tuple(color, color).map(([a, b]) => [
      { offset: 0, color: a },
      { offset: 1, color: b },
    ]),
  }),
)
const styleDifference = fc.record(
  { italic: fc.boolean(), weight: fc.constantFrom(400, 700), letterSpacing: fc.constantFrom(0, 1) },
  { requiredKeys: [] },
)
const leaf = fc.oneof(
  fc.record({
    type: fc.constantFrom('rectangle', 'ellipse'),
    box,
    fills: fc.array(paint, { maxLength: 2 }),
    opacity: fc.constantFrom(0, 0.3, 1),
    visible: fc.boolean(),
  }),
  fc.record({
    type: fc.constant('text'),
    box,
    style: fc.record({
      family: fc.constant('Inter'),
      size: fc.constantFrom(12, 16),
      color,
      italic: fc.boolean(),
    }),
    runs: fc.array(fc.record({ text: fc.string(), style: styleDifference }), {
      minLength: 1,
      maxLength: 3,
    }),
    effects: fc.constantFrom(
      [],
      [{ kind: 'shadow', x: 0, y: 1, blur: 2, color: '#000000' }],
      [{ kind: 'blur', radius: 0 }],
    ),
  }),
)
const node: fc.Arbitrary<Record<string, unknown>> = fc.letrec<{ node: Record<string, unknown> }>(
  (tie) => ({
    node: fc.oneof(
      { maxDepth: 3 },
      leaf as fc.Arbitrary<Record<string, unknown>>,
      fc.record({
        type: fc.constant('frame'),
        box,
        layout: fc.constantFrom(
          undefined,
          { kind: 'row', gap: 4, padding: 0 },
          { kind: 'grid', columns: 3 },
        ),
        clip: fc.boolean(),
        children: fc.array(tie('node'), { maxLength: 3 }),
      }) as fc.Arbitrary<Record<string, unknown>>,
      fc.record({
        type: fc.constant('group'),
        box,
        mask: fc.constantFrom(undefined, 'outline', 'alpha', 'luminance'),
        children: fc.array(tie('node'), { maxLength: 3 }),
      }) as fc.Arbitrary<Record<string, unknown>>,
    ),
  }),
).node

/** Keys by position: the generator need not care. */
const withKeys = (layer: Record<string, unknown>, key: string): Record<string, unknown> => ({
  ...layer,
  key,
  ...(Array.isArray(layer['children'])
    ? {
        children: (layer['children'] as Record<string, unknown>[]).map((c, i) =>
          withKeys(c, `${key}.${i}`),
        ),
      }
    : {}),
})

test('writing and reading a design gives the same design (seed 4)', () => {
  fc.assert(
    fc.property(fc.array(node, { maxLength: 4 }), (children) => {
      const made = design([
        withKeys({ type: 'frame', box: { x: 0, y: 0, width: 9, height: 9 }, children }, 's'),
      ])
      const written = JSON.parse(JSON.stringify(writeDesign(made))) as unknown
      const back = readDesign(written)
      expect(back.ok && back.value).toEqual(made)
    }),
    runs(200),
  )
})

test('the JSON Schema describes layers that hold layers', () => {
  const schema = JSON.stringify(buildJsonSchema())
  for (const type of [
    'frame',
    'group',
    'text',
    'rectangle',
    'ellipse',
    'line',
    'path',
    'image',
    'component',
    'instance',
  ]) {
    expect(schema).toContain(`"const":"${type}"`)
  }
})

test('a document of an older version is brought to the newest, and is not changed itself', () => {
  const old = document([frame('home', [])], { version: 1 })
  const before = JSON.stringify(old)
  const read = readDesign(old)
  expect(read.ok && read.value.version).toBe(2)
  expect(JSON.stringify(old)).toBe(before)
  expect(errors({ ...old, version: 3 })).toEqual([
    { code: 'design/newer-version', path: 'version' },
  ])
  expect(errors({ ...old, version: 0 })).toContainEqual({ code: 'design/invalid', path: 'version' })
})

test('artboards name screens that are there', () => {
  const screens = [frame('home', []), frame('phone', [])]
  const made = document(screens, { artboards: [{ screens: ['home', 'fone'] }] })
  expect(errors(made)).toEqual([
    { code: 'design/unknown-reference', path: 'artboards[0].screens[1]' },
  ])
})

test('a document with more faults than can be gathered has the first of them', () => {
  const children = Array.from({ length: 90_000 }, (_, i) => ({
    type: 'text',
    key: `t${i}`,
    box: {},
  }))
  const said = errors(document([{ ...frame('home', []), children }]))
  expect(said[0]).toEqual({ code: 'design/invalid', path: 'screens[0].children[0].box.x' })
  // Where only later ones have faults, the document is refused all the same.
  const sound = Array.from({ length: 200 }, (_, i) => layer('rectangle', `r${i}`))
  expect(
    errors(document([{ ...frame('home', []), children: [...sound, ...children] }])),
  ).toHaveLength(1)
})

test('a long chain of components is read, and a long circle of them is told', () => {
  const count = 20_000
  const set = (i: number, to: number | undefined) => ({
    key: `c${i}`,
    name: `C${i}`,
    variants: [
      {
        type: 'component',
        key: `v${i}`,
        box: { x: 0, y: 0, width: 9, height: 9 },
        children:
          to === undefined
            ? []
            : [
                {
                  type: 'instance',
                  key: `i${i}`,
                  box: { x: 0, y: 0, width: 9, height: 9 },
                  component: `c${to}`,
                },
              ],
      },
    ],
  })
  const chain = (last: number | undefined) =>
    document([frame('home', [])], {
      components: Array.from({ length: count }, (_, i) => set(i, i + 1 < count ? i + 1 : last)),
    })
  expect(errors(chain(undefined))).toEqual([])
  expect(errors(chain(0)).map(({ code }) => code)).toEqual(['design/cycle'])
})
