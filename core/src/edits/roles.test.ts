import { design, frame, layer } from '../testing/design.js'
import type { Edit } from './edit.js'
import { applyEdits } from './index.js'

const apply = (...edits: Edit[]) =>
  applyEdits(
    design([frame('home', [layer('rectangle', 'bar'), layer('rectangle', 'lamp')])]),
    edits,
  )

test('layers are what a person says, until that is taken back', () => {
  const say: Edit = { kind: 'set-role', layers: ['bar', 'lamp'], role: 'button' }
  expect(apply(say).design.roles).toEqual({ bar: { role: 'button' }, lamp: { role: 'button' } })
  const back = apply(say, { kind: 'set-role', layers: ['lamp'], role: null })
  expect([back.design.roles, back.adrift]).toEqual([{ bar: { role: 'button' } }, []])
})

test('a heading has a level and a field what it takes', () => {
  expect(
    apply({ kind: 'set-role', layers: ['bar'], role: 'heading', level: 3 }).design.roles,
  ).toEqual({ bar: { role: 'heading', level: 3 } })
  const field: Edit = { kind: 'set-role', layers: ['bar'], role: 'textbox', input: 'tel' }
  expect(apply(field).design.roles).toEqual({ bar: { role: 'textbox', input: 'tel' } })
})

test('what is said of layers that are gone is adrift; of some that are gone holds for the others', () => {
  expect(apply({ kind: 'set-role', layers: ['gone'], role: 'link' }).adrift).toHaveLength(1)
  const some = apply({ kind: 'set-role', layers: ['gone', 'bar~'], role: 'list' })
  expect([some.design.roles, some.adrift]).toEqual([{ 'bar~': { role: 'list' } }, []])
})
