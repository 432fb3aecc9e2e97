import { findLists, type ListOptions } from './lists.js'
import { code, text, type MarkupElement, type MarkupNode } from './markup.js'
import { UniqueNames } from '../../text/names.js'

const element = (
  tag: string,
  layer: string,
  children: readonly (MarkupNode | string)[],
  rest: Partial<MarkupElement> = {},
): MarkupElement => ({
  kind: 'element',
  tag,
  layer,
  content: children.some((child) => typeof child === 'string') ? 'text' : 'blocks',
  attributes: [],
  children: children.map((child) =>
    typeof child === 'string' ? { kind: 'text', text: child } : child,
  ),
  ...rest,
})

const options = (holdsClasses = true): ListOptions => {
  const names = new UniqueNames('')
  const types = new UniqueNames('')
  return {
    likenessOf: (classes) => classes.replace('nowrap', '').trim(),
    holdsClasses,
    nameOf: (layer) => layer.replace(/-\d+$/, ''),
    takeName: (wanted) => names.take(wanted),
    takeType: (wanted) => types.take(wanted),
  }
}

const sighting = (i: number, species: string, isRare = false): MarkupElement =>
  element('div', `sighting-${i}`, [
    element('p', `species-${i}`, [species]),
    ...(isRare ? [element('span', `rare-${i}`, ['Rare'])] : []),
    element('p', `time-${i}`, [`0${i}:12`]),
  ])
const list = (...things: MarkupElement[]): MarkupElement =>
  element('div', 'recent', [element('h2', 'title', ['Recent sightings']), ...things])

test('things that are alike become one template and a list of what they say', () => {
  const { markup, lists } = findLists(
    list(sighting(1, 'Cuttlebone'), sighting(2, 'Sea beans', true), sighting(3, 'Float')),
    options(),
  )
  expect(lists).toEqual([
    {
      name: 'recentSightings',
      item: 'sighting',
      type: 'Sighting',
      fields: [
        { name: 'species', kind: 'text', isOptional: false },
        { name: 'hasRare', kind: 'flag', isOptional: true },
        { name: 'time', kind: 'text', isOptional: false },
      ],
      rows: [
        { layer: 'sighting-1', values: ['Cuttlebone', undefined, '01:12'] },
        { layer: 'sighting-2', values: ['Sea beans', true, '02:12'] },
        { layer: 'sighting-3', values: ['Float', undefined, '03:12'] },
      ],
    },
  ])
  const [heading, loop] = markup.children
  expect(heading).toMatchObject({ tag: 'h2' })
  expect(loop).toMatchObject({ kind: 'loop', list: 'recentSightings', key: 'sighting.species' })
  expect(JSON.stringify(loop)).toContain('"condition":"sighting.hasRare"')
})

test('pictures and addresses are fields; what nothing tells apart is told by its place', () => {
  const card = (i: number): MarkupElement =>
    element('li', `card-${i}`, [
      element('a', `link-${i}`, ['More'], { attributes: [text('href', `/card-${i}`)] }),
      element('img', `picture-${i}`, [], {
        attributes: [code('src', `shore${i}`), text('alt', '')],
      }),
    ])
  const { markup, lists } = findLists(
    element('ul', 'cards', [card(1), card(2), card(3)]),
    options(),
  )
  expect(lists[0]!.fields.map(({ name, kind }) => [name, kind])).toEqual([
    ['address', 'text'],
    ['picture', 'code'],
  ])
  expect(markup.children[0]).toMatchObject({ kind: 'loop', list: 'cards', item: 'card' })
})

test.each([
  ['two of a kind', list(sighting(1, 'a'), sighting(2, 'b'))],
  [
    'things of other elements',
    list(sighting(1, 'a'), element('div', 'x', [element('b', 'y', ['z'])]), sighting(2, 'b')),
  ],
  [
    'things with ids of their own',
    element(
      'div',
      'fields',
      [1, 2, 3].map((i) =>
        element('div', `field-${i}`, [
          element('input', `input-${i}`, [], { attributes: [text('id', `f${i}`)] }),
          element('p', `p-${i}`, [`Field ${i}`]),
        ]),
      ),
    ),
  ],
  ['things that are the same', list(...[1, 1, 1].map((i) => sighting(i, 'Float')))],
])('%s stay as they are', (_what, markup) => {
  expect(findLists(markup, options())).toEqual({ markup, lists: [] })
})

test('uses that stand otherwise are no list where data cannot say how', () => {
  const uses = ['mt-1', 'mt-2', 'mt-3'].map((place, i) =>
    element('Sighting', `sighting-${i}`, [], {
      isUse: true,
      attributes: [text('species', `${i}`), text('class', place)],
    }),
  )
  expect(findLists(list(...uses), options()).lists).toHaveLength(1)
  expect(findLists(list(...uses), options(false)).lists).toHaveLength(0)
})
