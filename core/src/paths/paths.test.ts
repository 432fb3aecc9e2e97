import fc from 'fast-check'
import { uniteBoxes } from '../design/geometry.js'
import { boundsOfParts, parsePath, printPath, transformPath } from './index.js'
import { runs } from '../testing/runs.js'

const print = (d: string): string => printPath(parsePath(d)!)
const boxOf = (d: string) => uniteBoxes(boundsOfParts(parsePath(d)!))

test.each([
  ['relative commands', 'm10 10h5v5h-5z', 'M10 10H15V15H10z'],
  ['numbers without spaces', 'M.5.5-1-1L1e1-2E-1', 'M0.5 0.5L-1 -1L10 -0.2'],
  ['flags without spaces', 'M0 0a5 5 0 0110 0', 'M0 0A5 5 0 0 1 10 0'],
  ['more points after a move', 'm1 1 2 2 3 3', 'M1 1L3 3L6 6'],
  ['a new start after the end', 'm5 5h5zm1 1h1', 'M5 5H10zM6 6H7'],
  [
    'smooth curves',
    'M0 0c0 5 5 5 5 0s5-5 5 0q1 1 2 0t2 0',
    'M0 0C0 5 5 5 5 0S10 -5 10 0Q11 1 12 0T14 0',
  ],
])('%s become absolute', (_what, d, absolute) => {
  expect(print(d)).toBe(absolute)
})

test('data is read up to its first error, and nothing without a start', () => {
  expect(print('M0 0L5 5L8 x')).toBe('M0 0L5 5')
  expect(print('M0 0L5 5 7')).toBe('M0 0L5 5')
  expect(parsePath('L5 5')).toBeUndefined()
  expect(parsePath('')).toBeUndefined()
})

test.each([
  ['lines', 'M1 2H11V22', { x: 1, y: 2, width: 10, height: 20 }],
  ['a curve that bulges', 'M0 0C0 40 30 40 30 0', { x: 0, y: 0, width: 30, height: 30 }],
  ['a quadratic curve', 'M0 0Q10 20 20 0', { x: 0, y: 0, width: 20, height: 10 }],
  ['a mirrored curve', 'M0 0Q10 20 20 0T40 0', { x: 0, y: -10, width: 40, height: 20 }],
  ['half a circle', 'M0 0A10 10 0 0 1 20 0', { x: 0, y: -10, width: 20, height: 10 }],
  ['an arc with radii too small', 'M0 0A1 1 0 0 0 20 0', { x: 0, y: 0, width: 20, height: 10 }],
])('the box of %s', (_what, d, box) => {
  const found = boxOf(d)
  for (const key of ['x', 'y', 'width', 'height'] as const)
    expect(found[key]).toBeCloseTo(box[key], 3)
})

const number = fc.integer({ min: -200, max: 200 })
const command = fc.oneof(
  fc.tuple(number, number).map(([x, y]) => `L${x} ${y}`),
  number.map((x) => `H${x}`),
  number.map((y) => `v${y}`),
  fc.array(number, { minLength: 6, maxLength: 6 }).map((n) => `c${n.join(' ')}`),
  fc.array(number, { minLength: 4, maxLength: 4 }).map((n) => `S${n.join(' ')}`),
  fc.array(number, { minLength: 4, maxLength: 4 }).map((n) => `q${n.join(' ')}`),
  fc.tuple(number, number).map(([x, y]) => `t${x} ${y}`),
  fc
    .tuple(
      fc.integer({ min: 30, max: 90 }),
      fc.integer({ min: 30, max: 90 }),
      number,
      fc.boolean(),
      fc.boolean(),
      number,
      number,
    )
    .map(
      ([rx, ry, deg, large, sweep, x, y]) =>
        `a${rx} ${ry} ${deg} ${Number(large)}${Number(sweep)}${x} ${y}`,
    ),
)
const data = fc.array(command, { minLength: 1, maxLength: 8 }).map((c) => `M3 4${c.join('')}z`)

test('a printed path reads back as the same', () => {
  fc.assert(
    fc.property(data, (d) => expect(print(print(d))).toBe(print(d))),
    runs(),
  )
})

test('moving and scaling moves and scales the box; a full turn changes nothing', () => {
  fc.assert(
    fc.property(data, fc.integer({ min: 1, max: 4 }), number, (d, s, by) => {
      const path = parsePath(d)!
      const before = uniteBoxes(boundsOfParts(path))
      const after = uniteBoxes(boundsOfParts(transformPath(path, [s, 0, 0, s, by, -by])))
      expect(after.x).toBeCloseTo(before.x * s + by, 2)
      expect(after.height).toBeCloseTo(before.height * s, 2)
      const quarter = [0, 1, -1, 0, 0, 0] as const
      let turned = path
      for (let i = 0; i < 4; i++) turned = transformPath(turned, quarter)
      const back = uniteBoxes(boundsOfParts(turned))
      expect(back.x).toBeCloseTo(before.x, 2)
      expect(back.width).toBeCloseTo(before.width, 2)
    }),
    runs(),
  )
})
