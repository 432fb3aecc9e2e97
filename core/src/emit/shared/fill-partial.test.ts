import type { CodeComponent, Literal, PartialNode } from '../../codebase/codebase.js'
import { fillPartial, rootOf } from './fill-partial.js'
import type { MarkupNode } from './markup.js'

const partial: PartialNode[] = [
  {
    kind: 'element',
    tag: 'aside',
    attributes: [
      {
        name: 'class',
        texts: [
          'notice notice--',
          { value: 'tone' },
          ' ',
          { when: 'closes', is: true, texts: ['closes'] },
        ],
      },
      { name: 'hidden', texts: [{ value: 'closes' }] },
      { name: 'title', texts: [{ value: 'hint' }] },
      { name: 'href', texts: [{ value: 'to' }] },
    ],
    nodes: [
      { kind: 'text', texts: [' '] },
      {
        kind: 'when',
        when: 'heading',
        is: true,
        nodes: [{ kind: 'text', texts: [{ value: 'heading' }, ': '] }],
      },
      { kind: 'slot', name: 'children' },
      { kind: 'when', when: 'children', is: false, nodes: [{ kind: 'text', texts: ['nothing'] }] },
    ],
  },
]
const component: CodeComponent = {
  id: 'notice.html#default',
  name: 'Notice',
  framework: 'html',
  exported: 'default',
  partial,
  uses: 0,
  props: [
    {
      name: 'tone',
      type: { kind: 'string', text: 'string' },
      as: 'prop',
      isRequired: false,
      standard: 'quiet',
    },
  ],
}
const fill = (values: Record<string, Literal>, children: readonly MarkupNode[] = []) =>
  rootOf(
    fillPartial(component, {
      values: new Map(Object.entries(values)),
      places: new Map([['children', children]]),
    }),
  )!

test('what is not given is as it is when nothing is said, or not there', () => {
  const { attributes, children } = fill({})
  expect(attributes).toEqual([
    { name: 'class', kind: 'text', text: '', kept: 'notice notice--quiet' },
  ])
  expect(children).toEqual([{ kind: 'text', text: 'nothing' }])
})

test('texts, flags and what is shown stand in their places', () => {
  const shown: MarkupNode = {
    kind: 'element',
    tag: 'b',
    content: 'text',
    attributes: [],
    children: [{ kind: 'text', text: 'Ebb' }],
  }
  const { attributes, children, content } = fill(
    { tone: 'urgent', closes: true, hint: 'a "word"', heading: '<Tide> {{x}}' },
    [shown],
  )
  expect(attributes).toEqual([
    { name: 'class', kind: 'text', text: '', kept: 'notice notice--urgent closes' },
    { name: 'hidden', kind: 'text', text: '' },
    { name: 'title', kind: 'text', text: 'a "word"' },
  ])
  // Words are words, whatever they look like; the printer writes them as such.
  expect(children).toEqual([{ kind: 'text', text: '<Tide> {{x}}: ' }, shown])
  expect(content).toBe('text')
})

test('a flag that is off is no attribute', () => {
  expect(fill({ closes: false }).attributes.map(({ name }) => name)).toEqual(['class'])
})

test.each([
  ['javascript:alert(1)', undefined],
  [' java\nscript:alert(1)', undefined],
  ['data:text/html,x', undefined],
  ['https://tidewrack.example/', 'https://tidewrack.example/'],
  ['log.html#top', 'log.html#top'],
])('words that lead somewhere are an address or nothing: %j', (to, expected) => {
  const found = fill({ to }).attributes.find(({ name }) => name === 'href')
  expect(found?.kind === 'text' ? found.text : undefined).toBe(expected)
})
