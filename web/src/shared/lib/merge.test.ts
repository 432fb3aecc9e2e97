import fc from 'fast-check'
import { mergeThree, type KeyOf } from './merge'

const settings = { target: 'react', styling: 'tailwind', code: { quotes: 'single', width: 100 } }
const named: KeyOf = (one) => (one as { name?: string }).name

test('what each changed is kept, also inside of an object', () => {
  const mine = { ...settings, target: 'vue', code: { ...settings.code, quotes: 'double' } }
  const theirs = { ...settings, styling: 'css', code: { ...settings.code, width: 80 } }
  expect(mergeThree(settings, mine, theirs)).toEqual({
    value: { target: 'vue', styling: 'css', code: { quotes: 'double', width: 80 } },
    conflicts: [],
  })
})

test('what both changed is told, and taken from the one that is preferred', () => {
  const mine = { ...settings, target: 'vue' }
  const theirs = { ...settings, target: 'angular' }
  const conflicts = [{ path: 'target', mine: 'vue', theirs: 'angular' }]
  expect(mergeThree(settings, mine, theirs)).toEqual({ value: mine, conflicts })
  expect(mergeThree(settings, mine, theirs, 'theirs')).toEqual({ value: theirs, conflicts })
})

test('a field that one took away stays away, unless the other changed it', () => {
  const mine = { target: 'react', styling: 'tailwind' }
  const theirs = { ...settings, target: 'vue' }
  expect(mergeThree<object>(settings, mine, theirs).value).toEqual({
    target: 'vue',
    styling: 'tailwind',
  })
  const changed = { ...settings, code: { quotes: 'double' } }
  expect(mergeThree<object>(settings, mine, changed).conflicts).toEqual([
    { path: 'code', mine: undefined, theirs: { quotes: 'double' } },
  ])
})

test('elements of a list that have names are brought together by them', () => {
  const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((name) => ({ name, props: {} })) as [
    object,
    object,
    object,
    object,
  ]
  const mine = [a, { ...b, props: { x: 1 } }, c]
  const theirs = [b, d]
  expect(mergeThree([a, b], mine, theirs, 'mine', named)).toEqual({
    value: [{ name: 'b', props: { x: 1 } }, d, c],
    conflicts: [],
  })
  expect(mergeThree([a, b], [b, a], [a, b, d], 'mine', named).value).toEqual([b, a, d])
  // Without names a list is one value.
  expect(mergeThree([1], [1, 2], [1, 3]).conflicts).toHaveLength(1)
})

const value = fc.record(
  {
    a: fc.integer({ min: 0, max: 3 }),
    b: fc.record({ c: fc.boolean(), d: fc.constantFrom('x', 'y') }, { requiredKeys: [] }),
    e: fc.array(fc.integer({ min: 0, max: 2 }), { maxLength: 3 }),
  },
  { requiredKeys: [] },
)

test('who changed nothing gets what the other made; the order of the two makes no difference but in conflicts', () => {
  fc.assert(
    fc.property(value, value, value, (base, mine, theirs) => {
      expect(mergeThree(base, base, theirs)).toEqual({ value: theirs, conflicts: [] })
      expect(mergeThree(base, mine, base)).toEqual({ value: mine, conflicts: [] })
      expect(mergeThree(base, mine, theirs, 'mine').value).toEqual(
        mergeThree(base, theirs, mine, 'theirs').value,
      )
    }),
  )
})
