import type { Layer, TextLayer } from '../../design/layer.js'
import { walkLayers } from '../../design/walk.js'
import { readSvgText } from '../../testing/design.js'
import { createTableMeasure } from '../../text/measure.js'
import { adoptLeading } from './index.js'

const measure = createTableMeasure()
const line = (id: string, words: string, y: number, size = 16): string =>
  `<text id="${id}" x="20" y="${y}" font-family="Inter" font-size="${size}" fill="#112233">${words}</text>`
/** Two lines, 24 px apart. */
const PARAGRAPH =
  '<text id="note" font-family="Inter" font-size="16" fill="#112233">' +
  '<tspan x="20" y="40">Leave the slipway</tspan><tspan x="20" y="64">at low water</tspan></text>'

const readScreen = (inside: string): Layer => {
  const { design } = readSvgText(
    `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="400">${inside}</svg>`,
  )
  return design!.screens[0]!
}
const textIn = (root: Layer, key: string): TextLayer => {
  let found: Layer | undefined
  walkLayers(root, (layer) => {
    if (layer.key === key) found = layer
  })
  if (found?.type !== 'text') throw new Error(`no text ${key}`)
  return found
}
/** Where the letters of a text of one line stand. */
const baselineOf = ({ box, lines }: TextLayer): number => box.y + lines![0]!.baseline

test('a text of one line has the line height of texts in the same letters that have several', () => {
  const screen = readScreen(PARAGRAPH + line('one', 'Low water', 120))
  const before = textIn(screen, 'one')
  const after = textIn(adoptLeading(screen, measure), 'one')
  expect(before.style.lineHeight).toBeUndefined()
  expect(after.style.lineHeight).toBe(24)
  expect(after.box.height).toBe(24)
  expect(baselineOf(after)).toBeCloseTo(baselineOf(before))
})

test('letters of another size have it in proportion', () => {
  const screen = readScreen(PARAGRAPH + line('one', 'Low water', 120, 20))
  expect(textIn(adoptLeading(screen, measure), 'one').style.lineHeight).toBe(30)
})

test('where texts of several lines do not agree, the distances around a line decide', () => {
  const wider = PARAGRAPH.replace('"note"', '"other"')
    .replace('y="40"', 'y="240"')
    .replace('y="64"', 'y="272"')
  // 32 px high in a box with 8 px above and below it.
  const box = '<rect id="box" x="12" y="300" width="200" height="48" fill="#eef1ee"/>'
  const screen = readScreen(PARAGRAPH + wider + box + line('one', 'Low water', 330))
  const after = textIn(adoptLeading(screen, measure), 'one')
  expect([24, 32]).toContain(after.style.lineHeight)
  expect((48 - after.style.lineHeight!) % 8).toBe(0)
})

test('without any text of several lines, a line height is chosen with which distances are whole', () => {
  // Lines of 20 px, in letters of 14 px, with room on the scale above and below them.
  const tops = [12, 16, 20, 24]
  const rows = tops.map(
    (top, i) =>
      `<rect id="row-${i}" x="0" y="${i * 60}" width="300" height="${top + 28}" fill="#eef1ee"/>` +
      line(`text-${i}`, 'Low water', i * 60 + top + 15, 14),
  )
  const after = adoptLeading(readScreen(rows.join('')), measure)
  for (const [i] of tops.entries()) expect(textIn(after, `text-${i}`).style.lineHeight).toBe(20)
})

test('a line with no room for it stays as it is', () => {
  const edge = '<rect id="chip" x="12" y="104" width="120" height="21" fill="#eef1ee"/>'
  const near = line('next', 'High water', 160)
  const screen = readScreen(PARAGRAPH + edge + line('one', 'Low water', 120) + near)
  const after = adoptLeading(screen, measure)
  expect(textIn(after, 'one').style.lineHeight).toBeUndefined()
  expect(textIn(after, 'next').style.lineHeight).toBe(24)
})
