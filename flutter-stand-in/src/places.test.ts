import { convert, readFiles } from '@unimorph/core'
import type { Box } from './box.js'
import { layOutScreen } from './lay-out-app.js'
import { readProgram } from './program.js'
import type { Syntax } from './syntax.js'
import { createDartParser } from './testing.js'

// Where the words of a design stand in the app that is made of it.

type Json = Record<string, unknown>

let parse: (code: string) => Syntax
beforeAll(async () => {
  parse = await createDartParser()
})

const text = (key: string, more: Json = {}): Json => ({
  type: 'text',
  key,
  name: key,
  box: { x: 0, y: 0, width: 80, height: 24 },
  style: { family: 'Inter', size: 16, lineHeight: 24, color: '#112233' },
  runs: [{ text: key }],
  sizing: { width: 'fit', height: 'fit' },
  ...more,
})

const frame = (key: string, children: readonly Json[], more: Json = {}): Json => ({
  type: 'frame',
  key,
  name: key,
  box: { x: 0, y: 0, width: 400, height: 300 },
  layout: { kind: 'column' },
  children,
  ...more,
})

/** Where each text begins, in px, in a window as wide as the screen. */
const placesOf = (name: string, source: string): Record<string, [number, number]> => {
  const intake = readFiles([{ name, bytes: new TextEncoder().encode(source) }])
  if (!intake.design) throw new Error(JSON.stringify(intake.notes))
  const result = convert(intake.design, [], { target: 'flutter' })
  if (!result.ok) throw new Error(JSON.stringify(result.notes))
  const files = result.value.files.flatMap(({ path, content }) =>
    /^lib\/(?!shared).*\.dart$/.test(path) && content.kind === 'text' ? [parse(content.text)] : [],
  )
  const places: Record<string, [number, number]> = {}
  const look = (box: Box, x: number, y: number): void => {
    const words = box.paint?.lines?.flatMap(({ pieces }) => pieces.map((piece) => piece.text))
    if (words) places[words.join('')] = [x, y]
    for (const child of box.children) look(child.box, x + child.x, y + child.y)
  }
  look(layOutScreen(readProgram(files), 'Home', 400), 0, 0)
  return places
}

const placesIn = (children: readonly Json[], more: Json = {}): Record<string, [number, number]> =>
  placesOf(
    'home.json',
    JSON.stringify({
      format: 'unimorph-design',
      version: 1,
      name: 'Case',
      screens: [frame('home', children, { name: 'Home', ...more })],
    }),
  )

const over = (key: string, x: number, y: number): Json =>
  text(key, { flow: 'out', box: { x, y, width: 80, height: 24 } })

test('what lies over its neighbours is placed from the edges of the box, not from its padding', () => {
  const places = placesIn([text('Tide'), over('New', 60, 6)], {
    layout: { kind: 'row', padding: 24 },
  })
  expect(places).toEqual({ Tide: [24, 24], New: [60, 6] })
})

test('a border takes none of the room inside twice', () => {
  const places = placesIn([
    frame('card', [text('Tide')], {
      layout: { kind: 'column', padding: 20 },
      strokes: [{ paint: { kind: 'solid', color: '#112233' }, width: 2, align: 'inside' }],
      sizing: { width: 'stretch', height: 'fit' },
    }),
    text('Ebb'),
  ])
  expect(places).toEqual({ Tide: [20, 20], Ebb: [0, 64] })
})

test('what a column stretches keeps to its own limit', () => {
  const places = placesIn(
    [
      text('Words that go on in the next line', {
        sizing: { width: 'stretch', height: 'fit' },
        limits: { maxWidth: 160 },
      }),
      text('Ebb'),
    ],
    { layout: { kind: 'column', align: 'stretch' } },
  )
  expect(places['Ebb']![1]).toBeGreaterThanOrEqual(48)
})

test('what is pulled back by more than its own size pulls what follows', () => {
  const words = (key: string, y: number): string =>
    `<text x="40" y="${String(y)}" font-family="Inter" font-size="16" fill="#112233">${key}</text>`
  const places = placesOf(
    'home.svg',
    `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300"><rect width="400" height="300" fill="#fff"/>
    ${words('Tide', 60)}<rect x="40" y="90" width="60" height="1" fill="#aaaaaa"/><rect x="40" y="90" width="60" height="4" fill="#cc3300"/>
    ${words('Ebb', 130)}</svg>`,
  )
  expect(Math.round(places['Ebb']![1] - places['Tide']![1])).toBe(70)
})
