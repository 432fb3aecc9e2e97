import fc from 'fast-check'
import { lengthBits } from './price.js'

test('what lies on the scale costs less than what lies beside it', () => {
  expect(lengthBits(0)).toBeLessThan(lengthBits(16))
  expect(lengthBits(16)).toBeLessThan(lengthBits(18))
  expect(lengthBits(18)).toBeLessThan(lengthBits(17))
  expect(lengthBits(17)).toBeLessThan(lengthBits(17.37))
})

test('a length that rounding moved a little costs hardly more', () => {
  expect(lengthBits(16.1) - lengthBits(16)).toBeLessThan(1)
  expect(lengthBits(16.1)).toBeLessThan(lengthBits(16.2))
})

test('no length costs more than a fraction', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 2000, noNaN: true }), (px) => {
      expect(lengthBits(px)).toBeGreaterThan(0)
      expect(lengthBits(px)).toBeLessThanOrEqual(12)
    }),
  )
})
