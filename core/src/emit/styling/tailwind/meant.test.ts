import { plainStyle as style } from '../../../testing/ui.js'
import type { UiNode, UiText } from '../../../ui/nodes.js'
import { meantSlots } from './meant.js'

const text = (rest: Partial<UiText>, weight = 400): UiText =>
  ({ type: 'text', style, align: 'start', wraps: true, textStyle: { weight }, ...rest }) as UiText
const tokensOf = (node: UiNode): readonly string[] => meantSlots(node, []).map(({ token }) => token)

test('words of a head cell begin where its column does, and are as bold as drawn', () => {
  expect(tokensOf(text({ item: 'columnheader' }))).toEqual(['text-start', 'font-normal'])
  expect(tokensOf(text({ item: 'columnheader' }, 600))).toEqual(['text-start'])
  expect(tokensOf(text({ item: 'columnheader', align: 'centre' }, 600))).toEqual([])
})

test('other words say nothing of it', () => {
  expect(tokensOf(text({ item: 'cell' }))).toEqual([])
  expect(tokensOf(text({}))).toEqual([])
})
