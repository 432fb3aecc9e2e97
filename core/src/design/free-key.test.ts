import { freeKey } from './free-key.js'

test.each([
  ['card', [], 'card'],
  ['card', ['card'], 'card-2'],
  ['card', ['card', 'card-2', 'card-4'], 'card-3'],
])('%s beside %j is %s', (wanted, taken, key) => {
  expect(freeKey(wanted, new Set(taken))).toBe(key)
})
