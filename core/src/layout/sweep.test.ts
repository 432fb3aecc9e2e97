import fc from 'fast-check'
import { sweepPairs } from './sweep.js'
import { runs } from '../testing/runs.js'

const thing = fc.record({
  y: fc.integer({ min: 0, max: 200 }),
  height: fc.integer({ min: 0, max: 60 }),
})

test('the sweep finds the pairs that comparing all with all finds, each once', () => {
  fc.assert(
    fc.property(
      fc.array(thing, { maxLength: 30 }),
      fc.integer({ min: 0, max: 3 }),
      (list, least) => {
        const things = list
          .map(({ y, height }, id) => ({ id, box: { x: 0, y, width: 1, height } }))
          .sort((a, b) => a.box.y - b.box.y || a.id - b.id)
        const all = things.flatMap((lower, i) =>
          things
            .slice(0, i)
            .filter((upper) => upper.box.y + upper.box.height > lower.box.y + least)
            .map((upper) => `${lower.id} ${upper.id}`),
        )
        const swept = [...sweepPairs(things, least)].map(
          ([lower, upper]) => `${lower.id} ${upper.id}`,
        )
        expect(swept.sort()).toEqual(all.sort())
      },
    ),
    runs(),
  )
})
