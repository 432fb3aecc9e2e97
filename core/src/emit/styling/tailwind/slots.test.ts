import fc from 'fast-check'
import { plainClasses, steppedClasses, valueSlot, variantOf, type Slot } from './slots.js'
import { runs } from '../../../testing/runs.js'

const flex: Slot = { slot: 'display', token: 'flex' }
const padding = (left: string, right: string, top: string, bottom: string): Slot[] => [
  valueSlot('pl', left),
  valueSlot('pr', right),
  valueSlot('pt', top),
  valueSlot('pb', bottom),
]
const steps = (...looks: (Slot[] | undefined)[]) =>
  steppedClasses(looks.map((slots, i) => ({ fromPx: [0, 640, 1024][i]!, slots }))).join(' ')

test.each([
  ['one for all sides', padding('4', '4', '4', '4'), 'p-4'],
  ['one for both axes', padding('4', '4', '2', '2'), 'px-4 py-2'],
  ['sides that differ', padding('4', '2', '0', '1'), 'pl-4 pr-2 pb-1'],
  [
    'what is there anyway is not said',
    [valueSlot('w', 'auto'), { slot: 'self', token: 'self-auto' }],
    '',
  ],
  ['a negative length', [valueSlot('ml', '-2'), valueSlot('mr', '-[3px]')], '-ml-2 mr-[-3px]'],
])('%s', (_what, slots, classes) => expect(plainClasses(slots).join(' ')).toBe(classes))

test('each width says only what is different from the narrower', () => {
  expect(
    steps(
      [flex, { slot: 'direction', token: 'flex-col' }, ...padding('4', '4', '4', '4')],
      [flex, { slot: 'direction', token: 'flex-row' }, ...padding('4', '4', '4', '4')],
      [flex, { slot: 'direction', token: 'flex-row' }, ...padding('10', '10', '4', '4')],
    ),
  ).toBe('flex flex-col p-4 sm:flex-row lg:px-10')
})

test('what a narrower width has and a wider has not is undone', () => {
  expect(steps([flex, valueSlot('pl', '4')], [flex, valueSlot('pl', '0')])).toBe(
    'flex pl-4 sm:pl-0',
  )
})

test.each([
  ['shown from a width on', [undefined, [flex]], 'hidden sm:flex'],
  ['not shown any more', [[flex], undefined], 'flex sm:hidden'],
  ['away in the middle', [[flex], undefined, [flex]], 'flex sm:hidden lg:flex'],
  ['a text shown again', [[], undefined, [{ slot: 'display', token: '' }]], 'sm:hidden lg:block'],
])('%s', (_what, looks, classes) => expect(steps(...looks)).toBe(classes))

test.each([
  [640, 'sm'],
  [768, 'md'],
  [900, 'min-[56.25rem]'],
])('from %d px on is %s', (px, variant) => expect(variantOf(px)).toBe(variant))

const NAMES = ['pl', 'pr', 'pt', 'pb', 'gap-x', 'gap-y', 'w', 'h']
const look = fc.record(
  Object.fromEntries(NAMES.map((name) => [name, fc.constantFrom('0', '1', '2')])) as Record<
    string,
    fc.Arbitrary<string>
  >,
)
const LONG: Record<string, readonly string[]> = {
  p: ['pl', 'pr', 'pt', 'pb'],
  px: ['pl', 'pr'],
  py: ['pt', 'pb'],
  gap: ['gap-x', 'gap-y'],
  size: ['w', 'h'],
}

test('a browser that applies the classes in order has every look at its width (property)', () => {
  fc.assert(
    fc.property(fc.array(look, { minLength: 1, maxLength: 3 }), (looks) => {
      const px = [0, 640, 1024]
      const classes = steppedClasses(
        looks.map((own, i) => ({
          fromPx: px[i]!,
          slots: NAMES.map((name) => valueSlot(name, own[name]!)),
        })),
      )
      const state: Record<string, string> = {}
      looks.forEach((own, i) => {
        const prefix = i === 0 ? '' : `${variantOf(px[i]!)}:`
        const here = classes.filter((c) =>
          prefix === '' ? !c.includes(':') : c.startsWith(prefix),
        )
        // Short hands come before what they stand for in the style sheet.
        const applied = here.map((c) => c.slice(prefix.length)).sort((a, b) => a.length - b.length)
        for (const name of applied) {
          const [, property, value] = /^(.*)-([^-]+)$/.exec(name)!
          for (const long of LONG[property!] ?? [property!]) state[long] = value!
        }
        for (const name of NAMES) {
          const initial = /^[pg]/.test(name) ? '0' : undefined
          expect(state[name] ?? initial).toBe(own[name])
        }
      })
    }),
    runs(),
  )
})
