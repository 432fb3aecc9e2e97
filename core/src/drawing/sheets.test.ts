import type { Design, Screen } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { mapLayers } from '../design/walk.js'
import { applyEdits } from '../edits/index.js'
import { design, frame, layer, text } from '../testing/design.js'
import { drawLayer } from './index.js'
import { createSheetDrawer } from './sheets.js'

type Json = Record<string, unknown>

const NO_FONTS: never[] = []
const box = (x: number, y: number) => ({ x, y, width: 200, height: 100 })

const many = (name: string, count: number): Json[] =>
  Array.from({ length: count }, (_, i) => text(`${name}${i}`, `${name} ${i}`))
const list = (name: string, rest: Json = {}): Json => frame(name, many(name, 70), rest)
const fill = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })

const draw = (made: Design, drawer = createSheetDrawer()): readonly string[] =>
  drawer(resolveInstances(made)[0]!, { assets: made.assets, fonts: NO_FONTS })

/** What is drawn, in the order in which it is painted. */
const painted = (svg: string): readonly string[] =>
  svg.match(/<(?:rect|ellipse|path|line|image)[^>]*|>[^<]+(?=<\/text>)/g) ?? []

test('a screen that holds much is drawn on several sheets, in the order in which it is painted', () => {
  const made = design([
    frame(
      'home',
      [
        list('first'),
        layer('rectangle', 'r', fill('#ff0000')),
        layer('ellipse', 'e', fill('#00ff00')),
        list('second'),
      ],
      fill('#0000ff'),
    ),
  ])
  const sheets = draw(made)
  expect(sheets).toHaveLength(2)
  expect(sheets[0]).toContain('#0000ff')
  expect(sheets[0]).toContain('first 7')
  expect(sheets[1]).toContain('#ff0000')
  expect(sheets[1]).toContain('second 7')
  const whole = drawLayer(made.screens[0]!, { assets: {} })
  expect(sheets.flatMap(painted)).toEqual(painted(whole))
  expect(sheets.every((svg) => svg.includes('width="400" height="300"'))).toBe(true)
})

test('a container that holds all is drawn in pieces too: what is behind, what is in it where it lies, and its border', () => {
  const border = [{ paint: { kind: 'solid', color: '#123456' }, width: 2, align: 'inside' }]
  const inside = [list('first', { box: box(7, 9) }), list('second')]
  const wrapper = frame('all', inside, { ...fill('#abcdef'), strokes: border, box: box(30, 40) })
  const made = design([frame('home', [wrapper])])
  const sheets = draw(made)
  expect(sheets).toHaveLength(3)
  expect(sheets[0]).toContain('#abcdef')
  expect(sheets[0]).toContain('<g transform="translate(30 40)">')
  expect(sheets[0]).toContain('<g transform="translate(7 9)">')
  expect(sheets[2]).toContain('#123456')
  expect(sheets.flatMap(painted)).toEqual(painted(drawLayer(made.screens[0]!, { assets: {} })))
})

test.each([
  ['fades', { opacity: 0.5 }],
  ['is in front of others as one, blurred', { effects: [{ kind: 'blur', radius: 2 }] }],
  ['throws a shadow', { effects: [{ kind: 'shadow', x: 0, y: 1, blur: 2, color: '#000000' }] }],
])('a container that %s is drawn as a whole', (_, rest) => {
  const wrapper = frame('all', [list('first'), list('second')], rest)
  expect(draw(design([frame('home', [wrapper])]))).toHaveLength(1)
})

test('what is mixed with what lies behind it is on one sheet with that', () => {
  const mixed = layer('rectangle', 'r', { ...fill('#ff0000'), blend: 'multiply' })
  expect(draw(design([frame('home', [list('first'), list('second'), mixed])]))).toHaveLength(1)
})

test('a container that cuts off what is in it does so on each sheet', () => {
  const inside = [list('first'), list('second')]
  const round = frame('all', inside, { radius: 12, clip: true, rotationDeg: 5 })
  const sheets = draw(design([frame('home', [round])]))
  expect(sheets).toHaveLength(2)
  for (const svg of sheets) {
    expect(svg).toMatch(/<clipPath id="(\w+)"><rect width="\d+" height="\d+" rx="12"\/>/)
    expect(svg).toContain('rotate(5 ')
  }
})

test('a screen that holds much and shows none of it has no sheets', () => {
  const hidden = [list('first'), list('second')].map((one) => ({ ...one, visible: false }))
  expect(draw(design([frame('home', hidden)]))).toEqual([])
})

test('an edit draws the sheet that it changes, and no other', () => {
  const read = design([
    frame('home', [list('first'), list('second'), layer('rectangle', 'r', fill('#ff0000'))]),
  ])
  // How opaque a text is is asked when it is drawn.
  const asked = new Set<string>()
  const watched = (one: Layer): Layer =>
    Object.defineProperty({ ...one }, 'opacity', {
      enumerable: true,
      get: () => {
        asked.add(one.key)
        return 1
      },
    })
  const screen = mapLayers(read.screens[0]!, (one) => (one.type === 'text' ? watched(one) : one))
  const made = { ...read, screens: [screen as Screen] }
  const drawer = createSheetDrawer()
  const before = draw(made, drawer)
  asked.clear()
  const hidden = applyEdits(made, [{ kind: 'hide', layer: 'second3', hidden: true }]).design
  const after = draw(hidden, drawer)
  expect(asked).not.toContain('first3')
  expect(asked).toContain('second4')
  expect(after.map((svg, i) => svg === before[i])).toEqual([true, false, true])
  expect(after[1]).not.toContain('second 3<')
  expect(after).toEqual(draw(hidden))
})

test('a sheet is drawn anew where what it is in has changed', () => {
  const made = design([frame('home', [list('first'), list('second')])])
  const drawer = createSheetDrawer()
  draw(made, drawer)
  const box = { x: 0, y: 0, width: 500, height: 300 }
  const wider = applyEdits(made, [{ kind: 'set-box', layer: 'home', box }]).design
  expect(draw(wider, drawer)).toEqual(draw(wider))
  expect(draw(wider, drawer)[1]).toContain('width="500"')
})
