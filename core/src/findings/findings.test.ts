import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { convert } from '../convert.js'
import type { Design } from '../design/design.js'
import { applyEdits } from '../edits/index.js'
import { readFiles } from '../intake/index.js'
import { design, frame, layer, text } from '../testing/design.js'
import { createTableMeasure } from '../text/measure.js'
import { findAll, FINDING_KINDS, keepsItsWord, mendAll, type Finding } from './index.js'
import { compareLook } from './look.js'

type Json = Record<string, unknown>
const measure = createTableMeasure()
const at = (x: number, y: number, width = 20, height = 20): Json => ({
  box: { x, y, width, height },
})
const paint = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })
const rectangle = (key: string, color: string, place: Json, rest: Json = {}): Json =>
  layer('rectangle', key, { name: `${key} box`, ...place, ...paint(color), ...rest })
const words = (key: string, content: string, place: Json, style: Json = {}): Json =>
  text(key, content, {
    ...place,
    name: content,
    style: { family: 'Inter', size: 16, lineHeight: 24, color: '#112233', ...style },
  })

const screen = (children: Json[], rest: Json = {}): Design =>
  design([frame('home', children, { ...paint('#ffffff'), name: 'Home page', ...rest })], {
    assets: {
      sea: { name: 'sea.png', mime: 'image/png', data: 'AA==', width: 4000, height: 3000 },
    },
  })
const find = (children: Json[], rest: Json = {}): readonly Finding[] =>
  findAll(screen(children, rest), measure).findings
const of = (kind: string, children: Json[], rest: Json = {}): readonly Finding[] =>
  find(children, rest).filter((finding) => finding.kind === kind)

const link = { link: { kind: 'address', url: 'https://tidewrack.example' } }
const calm = words('calm', 'Calm sea tonight', at(20, 250, 160, 24))

// Each kind with a design that has it, and the layers it must name.
const CASES: readonly [kind: string, children: Json[], layers: string[], rest?: Json][] = [
  [
    'covered',
    [words('under', 'Gone', at(40, 40, 40, 24)), rectangle('lid', '#eeeeee', at(20, 20, 200, 100))],
    ['under'],
  ],
  ['outside', [rectangle('far', '#eeeeee', at(900, 20)), calm], ['far']],
  ['empty', [layer('group', 'hollow', { name: 'Hollow', children: [] }), calm], ['hollow']],
  ['switched-off', [rectangle('off', '#eeeeee', at(20, 20), { visible: false }), calm], ['off']],
  [
    'needless-wrapper',
    [
      layer('group', 'wrap', {
        name: 'Wrap',
        ...at(20, 20, 60, 24),
        children: [words('in', 'Gull', at(0, 0, 60, 24))],
      }),
      calm,
    ],
    ['wrap'],
  ],
  [
    'wrong-box',
    [
      layer('group', 'wide', {
        name: 'Wide',
        ...at(20, 20, 200, 90),
        children: [words('a', 'Gull', at(0, 0, 60, 24)), words('b', 'Tern', at(0, 30, 60, 24))],
      }),
    ],
    ['wide'],
  ],
  [
    'small-overlap',
    [
      rectangle('a', '#eeeeee', at(20, 20, 100, 50)),
      rectangle('b', '#dddddd', at(20, 68, 100, 50)),
    ],
    ['b', 'a'],
  ],
  [
    'loose-vectors',
    [0, 8, 16].map((x) =>
      layer('path', `p${x}`, {
        name: `curl ${x}`,
        ...at(40 + x, 40, 10, 10),
        ...paint('#333333'),
        paths: [{ d: 'M0 0h9v4z' }],
      }),
    ),
    ['p0', 'p8', 'p16'],
  ],
  [
    'background',
    [
      rectangle('card', '#eeeeee', at(20, 20, 200, 100)),
      words('t', 'Low water', at(40, 40, 80, 24)),
      calm,
    ],
    ['card', 't'],
  ],
  [
    'floating',
    [
      words('a', 'Gull', at(20, 20, 40, 24)),
      words('b', 'Tern', at(90, 20, 40, 24)),
      words('c', 'Seen at the old pier', at(20, 80, 160, 24)),
    ],
    ['a', 'b'],
  ],
  [
    'fixed-text',
    [words('t', 'Gull', { ...at(0, 0, 180, 24), sizing: { width: 'fixed', height: 'fit' } })],
    ['t'],
    { layout: { kind: 'row' } },
  ],
  [
    'near-colors',
    [
      rectangle('a', '#336699', at(20, 20)),
      rectangle('b', '#336699', at(60, 20)),
      rectangle('c', '#346799', at(100, 20)),
    ],
    ['c'],
  ],
  [
    'near-text-sizes',
    [
      calm,
      words('b', 'Tern', at(20, 60, 40, 24)),
      words('c', 'Gull', at(20, 100, 40, 24), { size: 16.4 }),
    ],
    ['c'],
  ],
  [
    'near-radii',
    [
      rectangle('a', '#eeeeee', at(20, 20), { radius: 8 }),
      rectangle('b', '#eeeeee', at(60, 20), { radius: 8 }),
      rectangle('c', '#eeeeee', at(100, 20), { radius: 7.5 }),
    ],
    ['c'],
  ],
  [
    'idle-name',
    [
      words('t', 'Low water', at(20, 20, 80, 24)),
      rectangle('r', '#eeeeee', at(20, 80), { name: 'Rectangle 12' }),
    ],
    ['r'],
  ],
  [
    'large-picture',
    [layer('image', 'photo', { name: 'Shore', asset: 'sea', ...at(20, 20, 80, 60) }), calm],
    ['photo'],
  ],
  [
    'low-contrast',
    [words('faint', 'Low water', at(20, 20, 80, 24), { color: '#cccccc' })],
    ['faint'],
  ],
  ['small-text', [words('tiny', 'Low water', at(20, 20, 80, 24), { size: 9 })], ['tiny']],
  ['small-target', [rectangle('dot', '#333333', at(20, 20, 12, 12), link), calm], ['dot']],
]

test.each(CASES)(
  '%s is found, with the layers and the place',
  (kind, children, layers, rest = {}) => {
    const [finding, ...others] = of(kind, children, rest)
    expect(finding).toBeDefined()
    expect(others).toEqual([])
    expect(finding!.layers).toEqual(layers)
    expect(finding!.evidence.length).toBeGreaterThan(0)
    expect(finding!.screen).toBe('home')
  },
)

test.each(CASES)(
  'the remedy for %s ends it and keeps its word about the look',
  (kind, children, _layers, rest = {}) => {
    const made = screen(children, rest)
    const [finding] = findAll(made, measure).findings.filter((f) => f.kind === kind)
    const remedy = finding?.remedy
    if (!remedy) return
    const edited = applyEdits(made, remedy.edits)
    expect(edited.adrift).toEqual([])
    expect(keepsItsWord(made, edited.design, remedy)).toBe(true)
    const left = findAll(edited.design, measure).findings.filter((f) => f.id === finding!.id)
    expect(left).toEqual([])
  },
)

describe('readings that are nearly equal', () => {
  const cells = [0, 1, 2].flatMap((y) =>
    ['Gull', 'Tern'].map((bird, x) =>
      words(`c${y}${x}`, `${bird} ${y}`, at(20 + x * 90, 20 + y * 34, 56, 24)),
    ),
  )
  const made = screen(cells)
  const doubt = findAll(made, measure).findings.find((f) => f.kind === 'doubtful-reading')

  test('are offered both, with the order each has on a narrow screen', () => {
    expect(doubt?.choices?.map((choice) => choice.groups.map((group) => group.length))).toEqual([
      [2, 2, 2],
      [3, 3],
    ])
    expect(doubt?.choices?.filter((choice) => choice.isChosen)).toHaveLength(1)
  })

  test.each([
    ['rows', 0, ['c00', 'c01', 'c10', 'c11', 'c20', 'c21']],
    ['columns', 1, ['c00', 'c10', 'c20', 'c01', 'c11', 'c21']],
  ] as const)('as %s stay so once chosen, and nothing moves', (_kind, index, order) => {
    const { design: ruled, adrift } = applyEdits(made, [...doubt!.choices![index]!.edits])
    expect(adrift).toEqual([])
    expect(compareLook(made, ruled)).toMatchObject({ lost: [] })
    const after = findAll(ruled, measure).findings
    expect(after.filter((f) => f.kind === 'doubtful-reading' || f.kind === 'floating')).toEqual([])
    const result = convert(ruled, [], { target: 'html', marks: true })
    const page = result.ok ? result.value.files[0]!.content : undefined
    const keys = page?.kind === 'text' ? page.text.match(/data-layer="c\d\d"/g) : []
    expect(keys).toEqual(order.map((key) => `data-layer="${key}"`))
  })

  test('are not asked about where one is clearly better', () => {
    const apart = cells.map((cell, i) => ({
      ...cell,
      ...at(20 + (i % 2) * 90, 20 + Math.floor(i / 2) * 80, 56, 24),
    }))
    expect(of('doubtful-reading', apart)).toEqual([])
  })
})

test('a design with nothing to mend has no findings and the best grade', () => {
  const made = screen([words('title', 'Low water', at(20, 20, 80, 24))])
  const { findings, grades } = findAll(made, measure)
  expect(findings).toEqual([])
  expect(grades).toMatchObject([{ screen: 'home', points: 100, letter: 'A' }])
})

describe('the look', () => {
  const before = screen([
    rectangle('a', '#336699', at(20, 20)),
    rectangle('b', '#336699', at(30, 30)),
  ])
  const after = (...edits: Parameters<typeof applyEdits>[1]): Design =>
    applyEdits(before, edits).design

  test('is compared by place, colour and what lies over what', () => {
    const moved = after({
      kind: 'set-box',
      layer: 'a',
      box: { x: 23, y: 20, width: 20, height: 20 },
    })
    expect(compareLook(before, moved)).toMatchObject({ px: 3, deltaE: 0, lost: [] })
    const color = after({ kind: 'set-value', layer: 'a', path: 'fills.0.color', value: '#aa6699' })
    expect(compareLook(before, color).deltaE).toBeGreaterThan(10)
    expect(compareLook(before, after({ kind: 'remove', layer: 'b' })).lost).toEqual(['b'])
    const swapped = after({ kind: 'move', layer: 'a', into: 'home' })
    expect(compareLook(before, swapped).lost).toEqual(['b'])
  })

  test('a remedy that would change it more than it says is refused', () => {
    const [finding] = find([rectangle('a', '#336699', at(20, 20))])
    const remedy = { label: 'x', edits: [], isSafe: true, change: { px: 0, deltaE: 0 } }
    expect(finding).toBeUndefined()
    const moved = after({
      kind: 'set-box',
      layer: 'a',
      box: { x: 23, y: 20, width: 20, height: 20 },
    })
    expect(keepsItsWord(before, moved, remedy)).toBe(false)
    expect(keepsItsWord(before, moved, { ...remedy, change: { px: 3, deltaE: 0 } })).toBe(true)
  })
})

describe('the messy kiosk', () => {
  const kiosk = readFiles([
    {
      name: 'night-ferry-kiosk.svg',
      bytes: readFileSync(resolve(__dirname, '../../../demo/designs/night-ferry-kiosk.svg')),
    },
  ]).design!
  const all = mendAll(kiosk, measure, () => true)

  test('with all remedies is as good as a tidy file, and looks the same to a px', () => {
    const [before, after] = [
      findAll(kiosk, measure).grades[0]!,
      findAll(all.design, measure).grades[0]!,
    ]
    expect(before.letter).not.toBe('A')
    expect(after.letter).toBe('A')
    expect(after.points - before.points).toBeGreaterThan(25)
    const { px, lost } = compareLook(kiosk, all.design)
    expect(lost).toEqual([])
    expect(px).toBeLessThanOrEqual(6)
  })

  test('has no element out of the flow, and nothing left that a program could mend', () => {
    const result = convert(all.design, [], { target: 'html' })
    const page = result.ok ? result.value.files[0]!.content : undefined
    expect(page?.kind === 'text' && page.text).not.toMatch(/class="[^"]*\babsolute\b/)
    const left = findAll(all.design, measure).findings.filter((finding) => finding.remedy)
    expect(left).toEqual([])
  })

  test('the same edits give the same design again', () => {
    expect(applyEdits(kiosk, all.edits).design).toEqual(all.design)
    expect(mendAll(kiosk, measure, () => true).edits).toEqual(all.edits)
  })
})

test('every kind says what it is and why it matters', () => {
  for (const { id, title, why } of FINDING_KINDS) {
    expect(id).toMatch(/^[a-z-]+$/)
    expect(title.length + why.length).toBeGreaterThan(30)
  }
  expect(new Set(FINDING_KINDS.map((kind) => kind.id)).size).toBe(FINDING_KINDS.length)
})
