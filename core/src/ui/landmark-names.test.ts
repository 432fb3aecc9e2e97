import { plainStyle as style } from '../testing/ui.js'
import { withLandmarkNames } from './landmark-names.js'
import { insideOf, type UiBox, type UiNode } from './nodes.js'

const box = (layer: string, rest: Partial<UiBox> = {}): UiBox => ({
  type: 'box',
  layer,
  name: layer,
  style,
  children: [],
  ...rest,
})

const words = (said: string): UiNode => ({
  type: 'text',
  layer: said,
  name: said,
  style,
  textStyle: {
    family: 'Inter',
    size: 16,
    weight: 400,
    color: '#112233',
    letterSpacing: 0,
    case: 'as-typed',
  } as never,
  align: 'start',
  wraps: true,
  runs: [{ kind: 'text', text: said, style: {} }],
})

const navigation = (layer: string, labels: readonly string[], rest: Partial<UiBox> = {}): UiBox =>
  box(layer, { role: 'navigation', children: labels.map(words), ...rest })

const labelsOf = (root: UiNode): readonly (readonly [string, string | undefined])[] =>
  insideOf(withLandmarkNames(root)).flatMap((node) =>
    node.type === 'box' && node.role !== undefined ? [[node.layer, node.label] as const] : [],
  )

test('a landmark that is the only one of its kind needs no name', () => {
  const page = box('page', { children: [navigation('links', ['Tides', 'Walks'])] })
  expect(withLandmarkNames(page)).toBe(page)
})

test('several are named by where they stand, what they say and the title before them', () => {
  const page = box('page', {
    children: [
      box('head', { role: 'banner', children: [navigation('links', ['Tides', 'Walks'])] }),
      navigation('way', ['Home', 'Tides'], { isOrdered: true }),
      box('column', {
        children: [words('Places'), navigation('places', ['Kelp Pier', 'Saltern'])],
      }),
      navigation('pages', ['1', '2', '3']),
      box('foot', { role: 'contentinfo', children: [navigation('about', ['Imprint'])] }),
    ],
  })
  expect(labelsOf(page)).toEqual([
    ['head', undefined],
    ['links', 'Main'],
    ['way', 'Breadcrumb'],
    ['places', 'Places'],
    ['pages', 'Pages'],
    ['foot', undefined],
    ['about', 'Footer'],
  ])
})

test('no two have one name', () => {
  const page = box('page', { children: ['a', 'b', 'c'].map((key) => navigation(key, ['Tides'])) })
  const names = labelsOf(page).map(([, label]) => label)
  expect(new Set(names).size).toBe(3)
})

test('a page has one head', () => {
  const page = box('page', {
    children: [box('wide', { role: 'banner' }), box('narrow', { role: 'banner' })],
  })
  expect(labelsOf(page)).toEqual([['wide', undefined]])
})
