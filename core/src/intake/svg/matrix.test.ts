import fc from 'fast-check'
import {
  multiply,
  parseTransform,
  placeBox,
  scaleOf,
  transformPoint,
  type Matrix,
} from './matrix.js'

const point = fc.record({
  x: fc.integer({ min: -500, max: 500 }),
  y: fc.integer({ min: -500, max: 500 }),
})
const number = fc.integer({ min: -90, max: 90 })
const step = fc.oneof(
  fc.tuple(number, number).map(([x, y]) => `translate(${x} ${y})`),
  fc.constantFrom(
    'scale(2)',
    'scale(0.5 3)',
    'rotate(30)',
    'rotate(-75 10 20)',
    'skewX(20)',
    'matrix(1 2 -3 4 5 6)',
  ),
)
const list = fc.array(step, { maxLength: 4 })
const close = (a: { x: number; y: number }, b: { x: number; y: number }): void => {
  expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(1e-6 * (1 + Math.hypot(a.x, a.y)))
}

test('a list of transforms is each in turn, the last first (seed 5)', () => {
  fc.assert(
    fc.property(list, list, point, (outer, inner, p) => {
      const [a, b] = [parseTransform(outer.join(' '))!, parseTransform(inner.join(','))!]
      const both = parseTransform([...outer, ...inner].join(' '))!
      close(transformPoint(both, p), transformPoint(a, transformPoint(b, p)))
      close(transformPoint(multiply(a, b), p), transformPoint(both, p))
    }),
    { seed: 5 },
  )
})

test('a placed box has its corners where the transform puts them (seed 6)', () => {
  const size = fc.integer({ min: 1, max: 300 })
  const box = fc.record({ x: number, y: number, width: size, height: size })
  const turns = fc.array(
    fc.constantFrom('translate(7 -3)', 'scale(2)', 'rotate(33)', 'rotate(90)', 'scale(1.5)'),
    { maxLength: 4 },
  )
  fc.assert(
    fc.property(turns, box, (transforms, own) => {
      const matrix: Matrix = parseTransform(transforms.join(' '))!
      const placed = placeBox(matrix, own)
      if (placed.kind === 'skewed') throw new Error('turning and scaling evenly never skews')
      const { box, kind } = placed
      const angle = kind === 'rotated' ? (placed.rotationDeg * Math.PI) / 180 : 0
      const centre = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
      const [dx, dy] = [-box.width / 2, -box.height / 2]
      const corner = {
        x: centre.x + dx * Math.cos(angle) - dy * Math.sin(angle),
        y: centre.y + dx * Math.sin(angle) + dy * Math.cos(angle),
      }
      const wanted = transformPoint(matrix, own)
      expect(Math.hypot(corner.x - wanted.x, corner.y - wanted.y)).toBeLessThan(0.05)
      expect(box.width).toBeCloseTo(own.width * scaleOf(matrix), 6)
    }),
    { seed: 6 },
  )
})

test.each(['rotate()', 'scale(x)', 'matrix(1 2 3)', 'translate(1e999)'])(
  '%s is no usable transform or does nothing',
  (text) => {
    const matrix = parseTransform(text)
    if (matrix) expect(transformPoint(matrix, { x: 3, y: 4 })).toEqual({ x: 3, y: 4 })
  },
)
