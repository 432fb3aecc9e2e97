import { createNeeds } from './component-needs.js'
import {
  code,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'
import type { PartComponent } from '../shared/prop.js'
import { createSeen, isWords, wordsGiven } from '../shared/seen-words.js'
import type { BuiltUnit } from './units.js'

const element = (
  tag: string,
  attributes: readonly Attribute[],
  ...children: MarkupNode[]
): MarkupElement => ({ kind: 'element', tag, attributes, content: 'blocks', children })
const value = (name: string): MarkupNode => ({ kind: 'expression', code: name })
const part = (tag: string, markup: MarkupElement): PartComponent => ({
  id: tag,
  name: tag,
  tag,
  props: [],
  looks: [],
  markup,
  example: element(tag, []),
  uses: [],
})
const unit = (
  name: string,
  markup: MarkupElement,
  does: Partial<BuiltUnit['own']> = {},
): BuiltUnit =>
  ({ unit: { name }, markup, own: { forms: new Set(), navigates: false, ...does } }) as BuiltUnit

const SIGN = part('Sign', element('b', [text('title', 'a sign')], value('words')))
const CARD = part(
  'Card',
  element(
    'article',
    [code('alt', 'about')],
    element('h2', [], value('title')),
    element('Sign', [code('words', 'label'), code('tone', 'tone')]),
    { kind: 'when', condition: 'hint', content: element('p', [], value('hint')) },
    { kind: 'when', condition: 'isNew && !isOld', content: element('p', [], value('news')) },
    {
      kind: 'loop',
      list: 'rows',
      item: 'row',
      key: undefined,
      template: element('li', [code('id', 'row.id')], value('row.name')),
    },
    {
      kind: 'loop',
      list: 'tags',
      item: 'tag',
      key: 'tag',
      template: element('li', [], value('tag')),
    },
  ),
)

test('only what is certain to be seen as words counts', () => {
  const seen = createSeen([CARD, SIGN])
  expect([...seen('Card')].sort()).toEqual(['hint', 'label', 'rows.name', 'tags', 'title'])
  expect(seen('Nothing')).toEqual(new Set())
})

test('words of all that is given come in its order, once seen', () => {
  const given: Attribute[] = [
    text('title', 'Gull'),
    text('news', 'Today'),
    { name: 'tags', kind: 'list', texts: ['Bird', 'Shore'] },
    {
      name: 'rows',
      kind: 'records',
      fields: ['id', 'name'],
      rows: [
        ['1', 'Kelp'],
        ['2', 'Rope'],
      ],
    },
  ]
  expect(wordsGiven(given, createSeen([CARD, SIGN])('Card'))).toEqual([
    'Gull',
    'Bird',
    'Shore',
    'Kelp',
    'Rope',
  ])
})

test('components that stand in each other are looked at once', () => {
  const loop = part('Loop', element('div', [], value('a'), element('Loop', [code('a', 'b')])))
  expect(createSeen([loop])('Loop')).toContain('a')
  const needs = createNeeds([], [loop], {
    routerTags: new Set(['Link']),
    fieldAttributes: new Set(),
  })
  expect(needs.isRouted('Loop')).toBe(false)
})

test('white space that pages write otherwise is in no words', () => {
  expect(['Gull', 'Two words', '', ' a', 'a  b', 'a\nb', 'a\u00a0b'].map(isWords)).toEqual([
    true,
    true,
    false,
    false,
    false,
    false,
    false,
  ])
})

describe('what a component needs around it', () => {
  const field = part('Field', element('input', [code('control', 'name')]))
  const pair = part(
    'Pair',
    element(
      'div',
      [],
      element('Field', [text('name', 'from')]),
      element('Field', [code('name', 'to')]),
    ),
  )
  const many = part(
    'Many',
    element('ul', [], {
      kind: 'loop',
      list: 'rows',
      item: 'row',
      key: undefined,
      template: element('Field', [code('name', 'row.name')]),
    }),
  )
  const home = unit('Home', element('main', [], element('Pair', [text('to', 'b')])), {
    forms: new Set(['form']),
  })
  const away = unit('Away', element('main', [], element('Bar', [])))
  const bar = unit('Bar', element('nav', [], element('Link', [])))
  const needs = createNeeds([home, away, bar], [field, pair, many], {
    routerTags: new Set(['Link']),
    fieldAttributes: new Set(['control']),
  })

  test('controls of a form elsewhere, by the names they are given', () => {
    expect(needs.fieldsOf('Field', [text('name', 'what')])).toEqual(['what'])
    expect(needs.fieldsOf('Pair', [text('to', 'b')])).toEqual(['from', 'b'])
  })
  test('none where it has the form itself', () => {
    expect(needs.fieldsOf('Home', [])).toEqual([])
  })
  test('it cannot be told where things in a list have controls, or nothing is given', () => {
    expect(needs.fieldsOf('Many', [])).toBeUndefined()
    expect(needs.fieldsOf('Field', [])).toBeUndefined()
  })
  test('a router, where a link stands in it or in what stands in it', () => {
    expect(['Home', 'Away', 'Bar'].map((name) => needs.isRouted(name))).toEqual([false, true, true])
  })
})
