import type { Edit } from '@unimorph/core'
import { createKnownEdits } from './known-edits'

const hide = (layer: string): Edit => ({ kind: 'hide', layer, hidden: true })

test('copies of edits are the objects that came before, as far as they are the same', () => {
  const known = createKnownEdits()
  const first = known([hide('a'), hide('b')])
  const second = known([hide('a'), hide('c'), hide('b')])
  expect(second).toEqual([hide('a'), hide('c'), hide('b')])
  expect(second.map((edit) => first.includes(edit))).toEqual([true, false, false])
  expect(known([hide('a'), hide('c')])).toEqual(second.slice(0, 2))
  expect(known([])).toEqual([])
})
