import { standLikeLetters } from './outlined-text.js'
import { svgLayers } from '../testing/design.js'

const letter = (x: number, width: number, height = 10): string =>
  `M${x} ${20 - height}l${width} 1v${height - 1}h${-width}z`
const word = [letter(0, 7, 14), letter(9, 8), letter(19, 3, 14), letter(24, 8), letter(34, 6)].join(
  '',
)
const codes = (inside: string): string[] => svgLayers(inside).notes.map((n) => n.code)

test('letters of a line in one path are reported, with the layer', () => {
  const { notes } = svgLayers(`<path id="Heading" d="${word}"/>`)
  expect(notes).toMatchObject([
    { code: 'intake/text-as-outlines', severity: 'warning', where: { layer: 'heading' } },
  ])
})

test('so is a group with one path a letter', () => {
  const letters = word
    .split(/(?=M)/)
    .map((d) => `<path d="${d}"/>`)
    .join('')
  expect(codes(`<g>${letters}</g>`)).toEqual(['intake/text-as-outlines'])
})

test.each([
  ['dots in a row', [0, 12, 24, 36, 48].map((x) => letter(x, 4, 4)).join('')],
  ['bars of a chart', [4, 30, 18, 8, 25].map((h, i) => letter(i * 12, 8, h)).join('')],
  ['an icon of a few parts', 'M0 0h10v10h-10zM4 4h2v2h-2zM20 8h5v5h-5zM3 30h4v4h-4z'],
  ['too few letters', letter(0, 7) + letter(9, 4)],
])('%s are no text', (_what, d) => {
  expect(codes(`<path d="${d}"/>`)).toEqual([])
})

test('a hole belongs to the letter around it, and outlined strokes are none', () => {
  expect(codes(`<path d="${word}M1 10h2v2h-2z"/>`)).toEqual(['intake/text-as-outlines'])
  expect(codes(`<path d="${word}" fill="none" stroke="red"/>`)).toEqual([])
})

test('boxes far apart do not stand like letters', () => {
  const boxes = [0, 60, 120, 180].map((x, i) => ({ x, y: 0, width: 5 + 2 * i, height: 10 }))
  expect(standLikeLetters(boxes)).toBe(false)
})
