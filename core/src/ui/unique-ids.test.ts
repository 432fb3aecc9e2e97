import type { UiBox, UiControl, UiNode, UiText } from './nodes.js'
import { plainStyle as style } from '../testing/ui.js'
import { withKnownReferences } from './known-references.js'
import { withUniqueIds } from './unique-ids.js'

const common = { layer: 'l', name: 'n', style }
const control = (id: string, describedBy?: string): UiControl =>
  ({ type: 'control', ...common, control: 'text', id, describedBy }) as unknown as UiControl
const text = (rest: Partial<UiText>): UiText => ({ type: 'text', ...common, ...rest }) as UiText
const page = (children: readonly UiNode[]): UiBox => ({ type: 'box', ...common, children })

const idsOf = (node: UiNode): unknown[] => {
  const { id, labelFor, describedBy } = node as {
    id?: string
    labelFor?: string
    describedBy?: string
  }
  const own = [id, labelFor && `for ${labelFor}`, describedBy && `by ${describedBy}`]
  return [...own.filter(Boolean), ...('children' in node ? node.children.flatMap(idsOf) : [])]
}

test('the second of two fields has an id of its own, and so have its label and its help', () => {
  const copy = [text({ labelFor: 'port' }), control('port', 'port-help'), text({ id: 'port-help' })]
  expect(idsOf(withUniqueIds(page([...copy, page(copy)])))).toEqual([
    'for port',
    'port',
    'by port-help',
    'port-help',
    'for port-2',
    'port-2',
    'by port-help-2',
    'port-help-2',
  ])
})

test('a name that is taken is not given again', () => {
  const ids = idsOf(withUniqueIds(page([control('a'), control('a-2'), control('a')])))
  expect(ids).toEqual(['a', 'a-2', 'a-3'])
})

test('what is shown and hidden keeps the id that what shows it names', () => {
  const shown = text({
    id: 'more',
    when: { kind: 'pressed' } as unknown as NonNullable<UiText['when']>,
  })
  expect(idsOf(withUniqueIds(page([shown, shown])))).toEqual(['more', 'more'])
})

test('what names an element that is not there names none', () => {
  const shown = page([control('port', 'port-help'), text({ labelFor: 'quay' })])
  expect(idsOf(withKnownReferences(shown))).toEqual(['port'])
  const whole = page([control('port', 'port-help'), text({ id: 'port-help' })])
  expect(withKnownReferences(whole)).toBe(whole)
})

test('a page whose ids are all different is the same object', () => {
  const one = page([control('a'), control('b')])
  expect(withUniqueIds(one)).toBe(one)
})
