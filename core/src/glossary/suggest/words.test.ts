import fc from 'fast-check'
import { compareNames } from './words.js'
import { runs } from '../../testing/runs.js'

test.each([
  ['Button', 'Btn'],
  ['Button', 'PrimaryAction'],
  ['text field', 'TextInput'],
  ['Description', 'desc'],
  ['isDisabled', 'disabled'],
  ['Sizes', 'size'],
  ['Help', 'helperText'],
])('%s and %s are alike', (a, b) => {
  expect(compareNames(a, b)).toBeGreaterThanOrEqual(0.5)
})

test.each([
  ['Button', 'Avatar'],
  ['Tide table', 'SightingRow'],
  ['Label', 'onClick'],
])('%s and %s are not', (a, b) => {
  expect(compareNames(a, b)).toBeLessThan(0.4)
})

test('it does not matter which comes first, and a name is like itself', () => {
  const name = fc.stringMatching(/^[A-Z][a-z]{1,8}([A-Z][a-z]{1,8}){0,2}$/)
  fc.assert(
    fc.property(name, name, (a, b) => {
      expect(compareNames(a, b)).toBeCloseTo(compareNames(b, a))
      expect(compareNames(a, a)).toBe(1)
    }),
    runs(),
  )
})
