import { readRectanglePath } from './index.js'

const corners = (topLeft: number, topRight: number, bottomRight: number, bottomLeft: number) => ({
  topLeft,
  topRight,
  bottomRight,
  bottomLeft,
})

test.each([
  ['sharp corners', 'M0 0H40V20H0Z', { width: 40, height: 20, corners: corners(0, 0, 0, 0) }],
  [
    'lines in the other direction',
    'M0 0L0 20L40 20L40 0Z',
    { width: 40, height: 20, corners: corners(0, 0, 0, 0) },
  ],
  [
    'arcs at two corners',
    'M3.5 0H41V37H3.5A3.5 3.5 0 0 1 0 33.5V3.5A3.5 3.5 0 0 1 3.5 0Z',
    { width: 41, height: 37, corners: corners(3.5, 0, 0, 3.5) },
  ],
  [
    'curves that stand for arcs',
    'M10 0H30C35.523 0 40 4.477 40 10V20H0V10C0 4.477 4.477 0 10 0Z',
    { width: 40, height: 20, corners: corners(10, 10, 0, 0) },
  ],
])('a path with %s is a rectangle', (_what, d, expected) => {
  expect(readRectanglePath(d)).toMatchObject(expected)
})

test.each([
  ['a slanted side', 'M0 0L40 2V20H0Z'],
  ['a notch', 'M0 0H40V20H20V10H0Z'],
  ['two outlines', 'M0 0H40V20H0ZM4 4H8V8H4Z'],
  ['an open end', 'M0 0H40V20'],
  ['an elliptical corner', 'M8 0H40V20H0V4A8 4 0 0 1 8 0Z'],
  ['a flat curve', 'M10 0H30C32 0 40 8 40 10V20H0V10C0 4.477 4.477 0 10 0Z'],
  ['no path at all', 'none'],
])('a path with %s is none', (_what, d) => {
  expect(readRectanglePath(d)).toBeUndefined()
})
