import fc from 'fast-check'
import { design, frame, layer } from '../testing/design.js'
import { findLayer } from '../design/walk.js'
import type { Edit } from './edit.js'
import { applyEdits } from './index.js'

const made = () =>
  design([frame('home', [frame('card', [layer('rectangle', 'bar')])]), frame('list', [])])

test('edits change only their layer; the rest stays the same object', () => {
  const before = made()
  const { design: after } = applyEdits(before, [{ kind: 'rename', layer: 'bar', name: 'Rule' }])
  expect(findLayer(after, 'bar')).toMatchObject({ name: 'Rule' })
  expect(after.screens[1]).toBe(before.screens[1])
  expect(before).toEqual(made())
})

test('hiding, showing and removing', () => {
  const hidden = applyEdits(made(), [{ kind: 'hide', layer: 'bar', hidden: true }])
  expect(findLayer(hidden.design, 'bar')).toMatchObject({ visible: false })
  const removed = applyEdits(made(), [{ kind: 'remove', layer: 'card' }])
  expect(findLayer(removed.design, 'bar')).toBeUndefined()
})

test('an edit without its layer is adrift: kept, reported, without effect', () => {
  const edit: Edit = { kind: 'rename', layer: 'gone', name: 'x' }
  const result = applyEdits(made(), [edit])
  expect(result.adrift).toEqual([edit])
  expect(result.notes).toMatchObject([{ code: 'edits/adrift', where: { layer: 'gone' } }])
  expect(result.design).toEqual(made())
})

test('the last screen is never removed', () => {
  const result = applyEdits(made(), [
    { kind: 'remove', layer: 'home' },
    { kind: 'remove', layer: 'list' },
  ])
  expect(result.design.screens.map((s) => s.key)).toEqual(['list'])
  expect(result.adrift).toHaveLength(1)
})

const key = fc.constantFrom('home', 'card', 'bar', 'list', 'gone')
const edit: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ kind: fc.constant('hide' as const), layer: key, hidden: fc.boolean() }),
  fc.record({ kind: fc.constant('remove' as const), layer: key }),
  fc.record({
    kind: fc.constant('rename' as const),
    layer: key,
    name: fc.string({ minLength: 1, maxLength: 5 }),
  }),
)

test('undoing the last edit is replaying the others (seed 11)', () => {
  fc.assert(
    fc.property(fc.array(edit, { minLength: 1, maxLength: 8 }), (edits) => {
      const others = edits.slice(0, -1)
      const step = applyEdits(applyEdits(made(), others).design, edits.slice(-1)).design
      expect(applyEdits(made(), edits).design).toEqual(step)
    }),
    { seed: 11 },
  )
})

test('edits that were made before are not made again, however many are undone and done (seed 12)', () => {
  fc.assert(
    fc.property(
      fc.array(edit, { minLength: 1, maxLength: 12 }),
      fc.array(fc.nat(12), { minLength: 1, maxLength: 20 }),
      (edits, lengths) => {
        const one = made()
        for (const length of lengths) {
          const some = edits.slice(0, length)
          expect(applyEdits(one, some)).toEqual(applyEdits(made(), some))
          expect(applyEdits(one, some).design).toBe(applyEdits(one, some).design)
        }
      },
    ),
    { seed: 12 },
  )
})

test('one more edit begins where the others ended, and the last is undone to what was there', () => {
  const one = made()
  const edits: Edit[] = [
    { kind: 'hide', layer: 'bar', hidden: true },
    { kind: 'remove', layer: 'gone' },
    { kind: 'rename', layer: 'list', name: 'All' },
  ]
  const two = applyEdits(one, edits.slice(0, 2))
  const three = applyEdits(one, edits)
  expect(findLayer(three.design, 'card')).toBe(findLayer(two.design, 'card'))
  expect(three.adrift).toEqual([edits[1]])
  expect(applyEdits(one, edits.slice(0, 2)).design).toBe(two.design)
  // Copies are other edits, whatever they say.
  const copies = applyEdits(one, structuredClone(edits))
  expect(copies.design).toEqual(three.design)
  expect(copies.design).not.toBe(three.design)
})
