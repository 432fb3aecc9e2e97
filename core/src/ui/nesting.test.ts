import { settleNesting } from './nesting.js'
import type { UiBox, UiNode } from './nodes.js'
import { plainStyle as style } from '../testing/ui.js'

const box = (layer: string, rest: Partial<UiBox> = {}): UiBox => ({
  type: 'box',
  layer,
  name: layer,
  style,
  children: [],
  ...rest,
})

/** `form(form())`: what every box is, and what is in it. */
const say = (node: UiNode): string => {
  const children = 'children' in node ? node.children : []
  const role = 'role' in node ? node.role : undefined
  return `${node.item ?? role ?? 'box'}(${children.map(say).join(' ')})`
}

const table = (rows: readonly UiNode[]): UiBox => box('t', { role: 'table', children: rows })
const row = (children: readonly UiNode[]): UiBox => box('r', { item: 'row', children })
const cell = box('c', { item: 'cell' })

test.each<[string, UiBox, string]>([
  [
    'a form in a form is a box',
    box('a', { role: 'form', children: [box('b', { children: [box('c', { role: 'form' })] })] }),
    'form(box(box()))',
  ],
  [
    'forms beside each other are forms',
    box('a', { children: [box('b', { role: 'form' }), box('c', { role: 'search' })] }),
    'box(form() search())',
  ],
  ['a table of rows of cells is one', table([row([cell, cell])]), 'table(row(cell() cell()))'],
  [
    'a table with something between its rows that is no row is none',
    table([row([cell]), box('x'), row([cell])]),
    'box(box(box()) box() box(box()))',
  ],
  [
    'a row with something that is no cell makes the table none',
    table([row([cell, box('x')])]),
    'box(box(box() box()))',
  ],
  [
    'rows and cells outside of a table are boxes',
    box('a', { children: [row([cell])] }),
    'box(box(box()))',
  ],
  [
    'an item outside of a list is a box',
    box('a', { children: [box('b', { item: 'listitem' })] }),
    'box(box())',
  ],
  [
    'an item in a list stays one',
    box('a', { role: 'list', children: [box('b', { item: 'listitem' })] }),
    'list(listitem())',
  ],
])('%s', (_name, given, expected) => {
  expect(say(settleNesting(given))).toBe(expected)
})

test('a label in a button labels nothing', () => {
  const label = box('l', { role: 'label', labelFor: 'x' })
  const settled = settleNesting(box('b', { role: 'button', children: [label] })) as UiBox
  expect(settled.children[0]).not.toHaveProperty('labelFor')
  expect(settleNesting(label)).toBe(label)
})

test('what is right is the same object', () => {
  const right = box('a', { children: [table([row([cell])]), box('f', { role: 'form' })] })
  expect(settleNesting(right)).toBe(right)
})
