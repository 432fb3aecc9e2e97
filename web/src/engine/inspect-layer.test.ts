import { readDesign, type Layer } from '@unimorph/core'
import { inspectLayer } from './inspect-layer'
import { summarisePixels } from './look-at-picture'

const box = (x: number, y: number, width = 50, height = 20) => ({ x, y, width, height })
const layer = (key: string, rest: object) => ({ type: 'rectangle', key, name: key, ...rest })

const screens = (): readonly Layer[] => {
  const read = readDesign({
    format: 'unimorph-design',
    version: 2,
    tokens: [{ name: 'ink', type: 'color', values: { default: '#112233' } }],
    screens: [
      {
        type: 'frame',
        key: 'home',
        name: 'Home',
        box: box(500, 0, 400, 300),
        children: [
          layer('left', { box: box(10, 100) }),
          layer('above', { box: box(100, 20) }),
          {
            type: 'text',
            key: 'title',
            name: 'Title',
            box: box(100, 100),
            style: { family: 'Inter', size: 16, lineHeight: 24, weight: 600, color: '#112233' },
            runs: [{ text: 'Low ' }, { text: 'water', style: { color: '#ff0000' } }],
            tokens: { 'style.color': 'ink' },
          },
          layer('hidden', { box: box(160, 100), visible: false }),
        ],
      },
    ],
  })
  if (!read.ok) throw new Error(read.notes[0]!.message)
  return read.value.screens
}
const draw = (): string => '<svg><path fill="#112233"/></svg>'

test('distances go to the nearest visible neighbour, else to the edge of the parent', () => {
  const details = inspectLayer(screens(), 'title', draw)!
  expect(details.distances).toEqual([
    { side: 'left', px: 40, to: 'left', isNeighbour: true },
    { side: 'right', px: 250, to: 'Home', isNeighbour: false },
    { side: 'top', px: 60, to: 'above', isNeighbour: true },
    { side: 'bottom', px: 180, to: 'Home', isNeighbour: false },
  ])
})

test('colours come with their tokens, the text with its style', () => {
  const details = inspectLayer(screens(), 'title', draw)!
  expect(details.colors).toEqual([
    { field: 'Colour', color: '#112233', token: 'ink' },
    { field: 'Part colour', color: '#ff0000' },
  ])
  expect(details.text).toEqual({ content: 'Low water', style: 'Inter · 600 · 16/24' })
  expect(details.files).toEqual(['svg', 'svg-current-color'])
})

test('a screen has no neighbours, and what is not there no details', () => {
  expect(inspectLayer(screens(), 'home', draw)!.distances).toEqual([])
  expect(inspectLayer(screens(), 'gone', draw)).toBeUndefined()
})

test('a picture has the colour most of its pixels have', () => {
  const pixels = (...list: number[][]) => Uint8ClampedArray.from(list.flat())
  const red = [200, 10, 10, 255]
  expect(summarisePixels(pixels(red, [202, 11, 12, 255], [0, 0, 255, 255]))).toEqual({
    transparent: false,
    color: '#c90b0b',
  })
  expect(summarisePixels(pixels(red, [0, 0, 0, 0]))).toEqual({
    transparent: true,
    color: '#c80a0a',
  })
  // Black is a colour as well.
  expect(summarisePixels(pixels([0, 0, 0, 255], [0, 0, 0, 255], red)).color).toBe('#000000')
})
