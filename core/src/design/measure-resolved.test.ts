import fc from 'fast-check'
import { design, document, frame, layer } from '../testing/design.js'
import { runs } from '../testing/runs.js'
import { childrenOf, type Layer } from './layer.js'
import { measureResolved } from './measure-resolved.js'
import { readDesign } from './read-design.js'
import { resolveInstances } from './resolve-instances.js'

type Json = Record<string, unknown>

/** Component sets of which each draws the next some times; the last draws a rectangle. */
const nested = (times: readonly number[]): Json[] =>
  times.map((count, i) => ({
    key: `set-${String(i)}`,
    name: `Set ${String(i)}`,
    properties: [{ kind: 'swap', name: 'Inside', default: `set-${String(times.length - 1)}` }],
    variants: [
      layer('component', `variant-${String(i)}`, {
        variant: {},
        children:
          i === times.length - 1
            ? [layer('rectangle', 'leaf')]
            : Array.from({ length: count }, (_, j) =>
                layer('instance', `in-${String(i)}-${String(j)}`, {
                  component: `set-${String(i + 1)}`,
                  // Every other one is whatever is put in.
                  ...(j % 2 === 1 ? { bind: { swap: 'Inside' } } : {}),
                }),
              ),
      }),
    ],
  }))

const screen = (...instances: Json[]): Json => frame('home', instances)

const countOf = (layers: readonly Layer[]): { layers: number; depth: number } =>
  layers.reduce(
    (sum, one) => {
      const inside = countOf(childrenOf(one))
      return {
        layers: sum.layers + 1 + inside.layers,
        depth: Math.max(sum.depth, 1 + inside.depth),
      }
    },
    { layers: 0, depth: 0 },
  )

test('it is as large as it turns out to be when it is resolved', () => {
  const props = fc.option(fc.nat({ max: 3 }), { nil: undefined })
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 4, maxLength: 4 }),
      fc.array(props, { minLength: 1, maxLength: 4 }),
      (times, put) => {
        const instances = put.map((set, i) =>
          layer('instance', `use-${String(i)}`, {
            component: 'set-0',
            // What is put in may not hold what it is put into.
            ...(set === undefined ? {} : { props: { Inside: 'set-3' } }),
          }),
        )
        const made = design([screen(...instances)], { components: nested(times) })
        const { layers, depth } = countOf(resolveInstances(made))
        expect(measureResolved(made, { layers: 1e6, depth: 100 })).toEqual({
          layers: layers + 1,
          depth: depth + 1,
        })
      },
    ),
    runs(60),
  )
})

test('a small file that grows beyond all limits is refused at once', () => {
  const components = nested(Array.from({ length: 12 }, () => 10))
  const file = document([screen(layer('instance', 'use', { component: 'set-0' }))], { components })
  expect(JSON.stringify(file).length).toBeLessThan(40_000)
  const read = readDesign(file)
  expect(read.ok).toBe(false)
  expect(read.notes.map(({ code, message }) => [code, message])).toEqual([
    [
      'intake/too-many-layers',
      '"design.json" has more than 100000 layers with what its components draw.',
    ],
  ])
})

test.each([300, 5000])('one that nests %s components is refused', (length) => {
  const components = nested(Array.from({ length }, () => 1))
  const read = readDesign(
    document([screen(layer('instance', 'use', { component: 'set-0' }))], { components }),
  )
  expect(read.notes.map(({ code }) => code)).toEqual(['intake/too-deep'])
})
