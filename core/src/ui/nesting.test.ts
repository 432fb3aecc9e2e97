import { NO_SIDES } from '../design/geometry.js'
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
const send = box('send', { role: 'button', submits: true })
const field: UiNode = {
  type: 'control',
  control: 'text',
  id: 'find',
  layer: 'f',
  name: 'f',
  style,
  textTokens: {},
  padding: NO_SIDES,
}

test.each<[string, UiBox, string]>([
  [
    'a form in a form is a box',
    box('a', {
      role: 'form',
      children: [send, box('b', { children: [box('c', { role: 'form' })] })],
    }),
    'form(button() box(box()))',
  ],
  [
    'forms beside each other are forms',
    box('a', {
      children: [box('b', { role: 'form', children: [send] }), box('c', { role: 'search' })],
    }),
    'box(form(button()) search())',
  ],
  [
    'a form that nothing sends is a box',
    box('a', { role: 'form', children: [box('b', { children: [field] })] }),
    'box(box(box()))',
  ],
  [
    'a button that holds a field is a box',
    box('a', { role: 'button', children: [box('b', { children: [field] })] }),
    'box(box(box()))',
  ],
  [
    'a label around two controls is a box',
    box('a', { role: 'label', labelFor: 'find', children: [field, field] }),
    'box(box() box())',
  ],
  [
    'a label around its control stays one',
    box('a', { role: 'label', labelFor: 'find', children: [field] }),
    'label(box())',
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
  const right = box('a', {
    children: [table([row([cell])]), box('f', { role: 'form', children: [send] })],
  })
  expect(settleNesting(right)).toBe(right)
})

test('a link that holds a link leads nowhere itself', () => {
  const link = { kind: 'nowhere', id: 'tides' } as const
  const outer = box('a', { link, children: [box('b', { link })] })
  const settled = settleNesting(outer)
  expect(settled).not.toHaveProperty('link')
  expect(settled).toHaveProperty('children.0.link', link)
})

test('a label around its control does not name it a second time', () => {
  const label = box('a', { role: 'label', labelFor: 'find', children: [field] })
  expect(settleNesting(label)).not.toHaveProperty('labelFor')
})
