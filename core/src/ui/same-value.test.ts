import fc from 'fast-check'
import { isSameValue } from './same-value.js'
import { runs } from '../testing/runs.js'

const asJson = (value: unknown): string => JSON.stringify(value) ?? 'undefined'

test('is as the JSON of both, for data whose fields come in one order', () => {
  const data = fc.letrec((tie) => ({
    value: fc.oneof(
      { maxDepth: 3 },
      fc.constantFrom(0, 1, 'a', '', true, null),
      fc.array(tie('value'), { maxLength: 3 }),
      fc.record({ a: tie('value'), b: tie('value'), c: tie('value') }, { requiredKeys: [] }),
    ),
  })).value
  const ordered = (value: unknown): unknown =>
    typeof value !== 'object' || value === null
      ? value
      : Array.isArray(value)
        ? value.map(ordered)
        : Object.fromEntries(
            Object.entries(value)
              .sort(([a], [b]) => (a < b ? -1 : 1))
              .map(([key, one]) => [key, ordered(one)]),
          )
  fc.assert(
    fc.property(data, data, (a, b) => {
      expect(isSameValue(a, b)).toBe(asJson(ordered(a)) === asJson(ordered(b)))
      expect(isSameValue(a, structuredClone(a))).toBe(true)
    }),
    runs(),
  )
})

test('what is undefined is not there', () => {
  expect(isSameValue({ a: 1, b: undefined }, { a: 1 })).toBe(true)
  expect(isSameValue({ a: 1 }, { a: 1, b: undefined })).toBe(true)
  expect(isSameValue({ a: 1 }, { a: 1, b: 0 })).toBe(false)
  expect(isSameValue({}, [])).toBe(false)
  expect(isSameValue({}, undefined)).toBe(false)
})
