import fc from 'fast-check'
import type { Token } from '../design/token.js'
import { applyEdits } from '../edits/index.js'
import { findLayer } from '../design/walk.js'
import { design, frame, layer, text } from '../testing/design.js'
import { proposeTokens } from './propose.js'
import { isTokenFile, readTokens } from './read-tokens.js'
import { writeTokens } from './write-tokens.js'
import { runs } from '../testing/runs.js'

const read = (document: unknown) => readTokens([{ name: 'tokens.json', document }])
const one = (token: Record<string, unknown>) => read({ group: { token } })

describe('reading', () => {
  test.each([
    ['a colour as text', { $type: 'color', $value: '#ABC' }, 'color', '#aabbcc'],
    [
      'a colour with parts',
      { $type: 'color', $value: { colorSpace: 'srgb', components: [1, 0, 0], alpha: 0.5 } },
      'color',
      '#ff000080',
    ],
    [
      'a colour of another space',
      { $type: 'color', $value: { colorSpace: 'hsl', components: [120, 100, 25] } },
      'color',
      '#008000',
    ],
    [
      'a length with its unit',
      { $type: 'dimension', $value: { value: 1.5, unit: 'rem' } },
      'space',
      24,
    ],
    ['a length as text', { $type: 'dimension', $value: '12px' }, 'space', 12],
    [
      'a shadow',
      {
        $type: 'shadow',
        $value: { color: '#00000080', offsetX: '0px', offsetY: '2px', blur: '8px', spread: '0px' },
      },
      'shadow',
      [{ kind: 'shadow', inset: false, x: 0, y: 2, blur: 8, spread: 0, color: '#00000080' }],
    ],
    [
      'a border',
      { $type: 'border', $value: { color: '#111', width: '2px', style: 'dashed' } },
      'border',
      { color: '#111111', width: 2, dashed: true },
    ],
    [
      'a type style',
      {
        $type: 'typography',
        $value: {
          fontFamily: ['Inter', 'Arial'],
          fontSize: '16px',
          fontWeight: 'semi-bold',
          lineHeight: 1.5,
          letterSpacing: '0px',
        },
      },
      'type',
      {
        family: 'Inter',
        weight: 600,
        italic: false,
        size: 16,
        lineHeight: 24,
        letterSpacing: 0,
        decoration: 'none',
        case: 'as-typed',
      },
    ],
  ])('%s', (_what, token, type, value) => {
    expect(one(token)).toMatchObject({
      notes: [],
      tokens: [{ name: 'group.token', type, values: { default: value } }],
    })
  })

  test('groups hand down their type, aliases stay aliases, also inside of composites', () => {
    const { tokens } = read({
      color: { $type: 'color', sea: { $value: '#2c664b' }, link: { $value: '{color.sea}' } },
      lift: {
        $type: 'shadow',
        $value: [
          { color: '{color.link}', offsetX: '0px', offsetY: '1px', blur: '2px', spread: '0px' },
        ],
      },
      $root: { $type: 'dimension', $value: '4px' },
    })
    expect(tokens).toMatchObject([
      { name: 'color.sea' },
      { name: 'color.link', values: { default: '{color.sea}' } },
      { name: 'lift', values: { default: [{ color: '#2c664b' }] } },
    ])
  })

  test('what has no place in a design is counted, what is broken named', () => {
    const { tokens, notes } = read({
      fast: { $type: 'duration', $value: { value: 100, unit: 'ms' } },
      slow: { $type: 'duration', $value: { value: 900, unit: 'ms' } },
      bad: { $type: 'color', $value: 'blurple' },
      lost: { $type: 'color', $value: '{no.where}' },
      loop: { $type: 'color', $value: '{loop}' },
    })
    expect(tokens).toEqual([])
    expect(notes.map((n) => n.message)).toEqual([
      'The token "bad" of "tokens.json" was left out: "blurple" is no colour.',
      'The token "lost" of "tokens.json" was left out: there is no token "no.where".',
      'The token "loop" of "tokens.json" was left out: its alias leads back to itself.',
      '2 tokens of the type "duration" in "tokens.json" have no place in a design and were left out.',
    ])
  })

  test('one file a mode, named by what the file names do not share', () => {
    const file = (name: string, value: string) => ({
      name,
      document: { ink: { $type: 'color', $value: value } },
    })
    expect(
      readTokens([file('brand.day.json', '#111'), file('brand.night.json', '#eee')]),
    ).toMatchObject({
      modes: ['day', 'night'],
      tokens: [{ values: { day: '#111111', night: '#eeeeee' } }],
    })
  })

  test('a design is no token file, nor is any other JSON', () => {
    expect(isTokenFile({ format: 'unimorph-design', a: { $value: 1 } })).toBe(false)
    expect(isTokenFile({ a: { b: 1 } })).toBe(false)
    expect(isTokenFile({ a: { b: { $value: 1 } } })).toBe(true)
  })
})

const hex = fc.stringMatching(/^#[0-9a-f]{6}([0-9a-e][0-9a-f])?$/)
const shadow = fc.record({
  kind: fc.constant('shadow'),
  inset: fc.boolean(),
  x: fc.integer({ min: -20, max: 20 }),
  y: fc.integer({ min: -20, max: 20 }),
  blur: fc.integer({ min: 0, max: 40 }),
  spread: fc.integer({ min: -9, max: 9 }),
  color: hex,
})
const value: Readonly<Record<string, fc.Arbitrary<unknown>>> = {
  color: hex,
  space: fc.integer({ min: 0, max: 400 }),
  radius: fc.integer({ min: 0, max: 400 }),
  shadow: fc.array(shadow, { minLength: 1, maxLength: 3 }),
  border: fc.record({ color: hex, width: fc.integer({ min: 0, max: 9 }), dashed: fc.boolean() }),
  type: fc.record({
    family: fc.constantFrom('Inter', 'Lora'),
    weight: fc.constantFrom(400, 600, 700),
    italic: fc.boolean(),
    size: fc.integer({ min: 8, max: 90 }),
    lineHeight: fc.integer({ min: 8, max: 120 }),
    letterSpacing: fc.constantFrom(0, -0.5, 1),
    decoration: fc.constant('none'),
    case: fc.constant('as-typed'),
  }),
}
const segment = fc.constantFrom('sea', 'kelp', 'radius', 'space', 'a', 'b')
const tokens = fc
  .uniqueArray(
    fc
      .tuple(
        fc.array(segment, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(...Object.keys(value)),
      )
      .chain(([path, type]) =>
        fc
          .tuple(value[type]!, value[type]!)
          .map(([light, dark]) => ({ name: path.join('.'), type, values: { light, dark } })),
      ),
    { selector: (t) => t.name, maxLength: 12 },
  )
  .map((list) => list as Token[])

test('what is exported reads back as it was, groups and tokens of one name among them', () => {
  fc.assert(
    fc.property(tokens, (list) => {
      const files = writeTokens({ modes: ['light', 'dark'], tokens: list }).map((f) => ({
        name: `tokens.${f.mode}.json`,
        document: JSON.parse(JSON.stringify(f.document)) as unknown,
      }))
      const back = readTokens(files)
      expect(back.notes).toEqual([])
      const byName = (all: readonly Token[]) => new Map(all.map((t) => [t.name, t]))
      expect(byName(back.tokens)).toEqual(byName(list))
    }),
    runs(),
  )
})

const solid = (color: string) => [{ kind: 'solid', color }]
const shore = () =>
  design([
    frame('home', [
      layer('rectangle', 'a', { fills: solid('#2c664b'), radius: 8 }),
      layer('rectangle', 'b', { fills: solid('#2d664b'), radius: 8 }),
      layer('rectangle', 'c', { fills: solid('#9c3f28') }),
      text('t', 'Low'),
      text('u', 'High'),
    ]),
  ])

describe('proposals', () => {
  test('what stands in several places, colours that look the same as one', () => {
    const proposals = proposeTokens(shore())
    expect(proposals.map((p) => [p.token.name, p.uses.map((u) => u.layer).join()])).toEqual([
      ['color.green-550', 'a,b'],
      ['color.blue-750', 't,u'],
      ['radius.8', 'a,b'],
      ['type.16-400', 't,u'],
    ])
  })

  test('accepted, they are gone from the proposals and stand in the design', () => {
    const before = shore()
    const additions = proposeTokens(before).map(({ token, uses }) => ({ token, uses: [...uses] }))
    const { design: after, adrift } = applyEdits(before, [{ kind: 'add-tokens', additions }])
    expect(adrift).toEqual([])
    expect(proposeTokens(after)).toEqual([])
    // The two greens nobody can tell apart are one now.
    expect(findLayer(after, 'b')).toMatchObject({
      fills: [{ color: '#2c664b' }],
      tokens: { 'fills.0.color': 'color.green-550', radius: 'radius.8' },
    })
  })
})

describe('edits of tokens', () => {
  const made = () =>
    design(
      [
        frame('home', [
          layer('rectangle', 'a', { fills: solid('#111111'), tokens: { 'fills.0.color': 'ink' } }),
          layer('rectangle', 'b', { fills: solid('#222222'), tokens: { 'fills.0.color': 'coal' } }),
        ]),
      ],
      {
        modes: ['light', 'dark'],
        tokens: [
          { name: 'ink', type: 'color', values: { light: '#111111', dark: '#eeeeee' } },
          { name: 'coal', type: 'color', values: { light: '#222222' } },
          { name: 'text', type: 'color', values: { light: '{coal}' } },
        ],
      },
    )
  const after = (edit: Parameters<typeof applyEdits>[1][number]) => applyEdits(made(), [edit])

  test('renaming one follows to layers and aliases', () => {
    const { design: renamed } = after({ kind: 'rename-token', token: 'coal', name: 'color.coal' })
    expect(findLayer(renamed, 'b')!.tokens).toEqual({ 'fills.0.color': 'color.coal' })
    expect(renamed.tokens[2]!.values).toEqual({ light: '{color.coal}' })
  })

  test('merging one into another changes what used it', () => {
    const { design: merged } = after({ kind: 'merge-token', token: 'coal', into: 'ink' })
    expect(merged.tokens.map((t) => t.name)).toEqual(['ink', 'text'])
    expect(findLayer(merged, 'b')).toMatchObject({
      fills: [{ color: '#111111' }],
      tokens: { 'fills.0.color': 'ink' },
    })
    expect(merged.tokens[1]!.values).toEqual({ light: '{ink}' })
  })

  test('removing one leaves the values', () => {
    const { design: removed } = after({ kind: 'remove-token', token: 'coal' })
    expect(findLayer(removed, 'b')).toMatchObject({ fills: [{ color: '#222222' }] })
    expect(findLayer(removed, 'b')!.tokens).toBeUndefined()
    expect(removed.tokens[1]!.values).toEqual({ light: '#222222' })
  })

  test('importing changes values of known names, adds others, and layers follow', () => {
    const { design: imported } = after({
      kind: 'import-tokens',
      modes: ['day', 'dark'],
      tokens: [
        { name: 'ink', type: 'color', values: { day: '#333333', dark: '#dddddd' } },
        { name: 'foam', type: 'color', values: { day: '#fefefe' } },
      ],
    })
    expect(imported.modes).toEqual(['light', 'dark'])
    expect(imported.tokens.map((t) => t.name)).toEqual(['ink', 'coal', 'text', 'foam'])
    expect(findLayer(imported, 'a')).toMatchObject({ fills: [{ color: '#333333' }] })
  })

  test.each([
    { kind: 'rename-token', token: 'gone', name: 'x' },
    { kind: 'rename-token', token: 'ink', name: 'coal' },
    { kind: 'merge-token', token: 'gone', into: 'ink' },
    { kind: 'remove-token', token: 'gone' },
    {
      kind: 'add-tokens',
      additions: [
        { token: { name: 'ink', type: 'color', values: { light: '#000000' } }, uses: [] },
      ],
    },
  ] as const)('one that does not fit is adrift: %j', (edit) => {
    const { design: same, adrift, notes } = after({ ...edit } as never)
    expect(adrift).toHaveLength(1)
    expect(notes[0]!.code).toBe('edits/adrift')
    expect(same).toEqual(made())
  })
})
