import { design, frame, text } from '../testing/design.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { convert } from '../convert.js'
import { buildUi } from './index.js'
import type { UiBox, UiNode } from './nodes.js'

type Json = Record<string, unknown>

const HEAD = { kind: 'row', gap: 24, padding: 16, align: 'centre', distribute: 'between' }
const link = (key: string, words: string, to: string, isCurrent: boolean): Json =>
  text(key, words, {
    link: { kind: 'screen', screen: to },
    style: {
      family: 'Inter',
      size: 16,
      lineHeight: 24,
      weight: isCurrent ? 700 : 400,
      color: isCurrent ? '#112233' : '#667788',
    },
  })

const screen = (key: string, more: Json = {}): Json =>
  frame(
    key,
    [
      frame(
        `${key}-head`,
        [
          text(`${key}-brand`, 'Tidewrack'),
          frame(
            `${key}-links`,
            [
              link(`${key}-to-home`, 'Today', 'home', key === 'home'),
              link(`${key}-to-rota`, 'Rota', 'rota', key === 'rota'),
              link(`${key}-to-log`, 'Log', 'log', key === 'log'),
            ],
            { layout: { kind: 'row', gap: 24 }, sizing: { width: 'fit', height: 'fit' } },
          ),
        ],
        {
          layout: HEAD,
          name: 'Header',
          box: { x: 0, y: 0, width: 1280, height: 56 },
          sizing: { width: 'stretch', height: 'fit' },
          fills: [{ kind: 'solid', color: '#ffffff' }],
          ...more,
        },
      ),
      text(`${key}-title`, `This is ${key}`, {
        style: { family: 'Inter', size: 32, lineHeight: 40, weight: 700, color: '#112233' },
      }),
    ],
    {
      name: key,
      box: { x: 0, y: 0, width: 1280, height: 700 },
      layout: { kind: 'column', gap: 24 },
    },
  )

const build = (...screens: Json[]) => {
  const made = design(screens)
  return { made, project: buildUi(made, resolveInstances(made)) }
}
const sharedIn = (node: UiNode): UiBox[] =>
  node.type === 'box' && node.shared
    ? [node]
    : 'children' in node
      ? node.children.flatMap(sharedIn)
      : []
const find = (node: UiNode, layer: string): UiNode | undefined => {
  if (node.layer === layer && node.type === 'text') return node
  if (!('children' in node)) return undefined
  for (const child of node.children) {
    const found = find(child, layer)
    if (found) return found
  }
  return undefined
}

test('a head that all screens have is one part, and the page that is shown is a state of its links', () => {
  const { project } = build(screen('home'), screen('rota'), screen('log'))
  for (const page of project.pages) {
    const [head] = sharedIn(page.root)
    expect(head).toMatchObject({ shared: 'banner', layer: `${page.key}-head` })
    const own = find(page.root, `${page.key}-to-${page.key}`)!
    // It rests as the other pages draw it.
    expect(own).toMatchObject({ textStyle: { weight: 400, color: '#667788' } })
    expect(own.states).toMatchObject([
      { state: 'current', of: 'self', node: { textStyle: { weight: 700, color: '#112233' } } },
    ])
  }
})

test('a head of another make is no part of it', () => {
  const { project } = build(
    screen('home'),
    screen('rota'),
    screen('log', { fills: [{ kind: 'solid', color: '#000000' }] }),
  )
  expect(project.pages.map(({ root }) => sharedIn(root).length)).toEqual([1, 1, 0])
})

test('in React the part is written once; in pages the link to the page itself says so', () => {
  const { made } = build(screen('home'), screen('rota'), screen('log'))
  const react = convert(made, [], { target: 'react' })
  if (!react.ok) throw new Error('not converted')
  const paths = react.value.files.map((file) => file.path)
  expect(paths.filter((path) => path.startsWith('src/components/'))).toEqual([
    'src/components/SiteHeader.tsx',
  ])
  const html = convert(made, [], { target: 'html' })
  if (!html.ok) throw new Error('not converted')
  const rota = html.value.files.find((file) => file.path === 'rota.html')!.content
  const current = /<a[^>]*aria-current="page"[^>]*>/g
  expect(rota.kind === 'text' ? rota.text.match(current) : []).toHaveLength(1)
})

test('a project of several pages has one for addresses that are none, in its own look', () => {
  const { project } = build(screen('home'), screen('rota'), screen('log'))
  expect(sharedIn(project.notFound!.root)).toHaveLength(1)
  const alone = build(frame('home', [text('title', 'Tides')]))
  expect(alone.project.notFound).toBeUndefined()
})
