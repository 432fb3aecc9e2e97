import fc from 'fast-check'
import { cutCorners, intersect, type Box } from './geometry.js'
import { runs } from '../testing/runs.js'

const box = (x: number, y: number, width: number, height: number): Box => ({ x, y, width, height })
const round = (radius: number) => ({
  topLeft: radius,
  topRight: radius,
  bottomRight: radius,
  bottomLeft: radius,
})

describe('the part of a box that lies in another', () => {
  const side = fc.integer({ min: -50, max: 50 })
  const size = fc.integer({ min: 0, max: 60 })
  const boxes = fc.record({ x: side, y: side, width: size, height: size })

  test('is the same from both sides, and lies in both', () => {
    fc.assert(
      fc.property(boxes, boxes, (a, b) => {
        const part = intersect(a, b)
        expect(part).toEqual(intersect(b, a))
        if (part.width === 0 || part.height === 0) return
        for (const whole of [a, b]) {
          expect(part.x).toBeGreaterThanOrEqual(whole.x)
          expect(part.y).toBeGreaterThanOrEqual(whole.y)
          expect(part.x + part.width).toBeLessThanOrEqual(whole.x + whole.width)
          expect(part.y + part.height).toBeLessThanOrEqual(whole.y + whole.height)
        }
      }),
      runs(200),
    )
  })

  test('has no extent where they are apart', () => {
    expect(intersect(box(0, 0, 10, 10), box(20, 0, 10, 10))).toMatchObject({ width: 0 })
  })
})

describe('the corners of a part of a rounded box', () => {
  const whole = box(0, 0, 100, 60)

  test.each<[string, Box, ReturnType<typeof cutCorners>]>([
    ['all of it', whole, round(12)],
    ['the left half', box(0, 0, 50, 60), { ...round(0), topLeft: 12, bottomLeft: 12 }],
    ['a strip at the top', box(0, 0, 100, 20), { ...round(0), topLeft: 12, topRight: 12 }],
    ['the middle', box(20, 20, 40, 20), round(0)],
    ['a part that ends inside a round corner', box(4, 0, 60, 60), undefined],
  ])('%s', (_name, part, expected) => {
    expect(cutCorners(whole, round(12), part)).toEqual(expected)
  })
})
