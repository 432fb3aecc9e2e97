import type { EmittedFile } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'
import { boxBetween, findLayerAt, findLayersIn } from './hit-test'
import { clampZoom, stepZoom } from './stage-store'
import { findAncestors, initiallyOpen, NO_FILTER, visibleRows } from './outline-rows'
import { buildBundleFiles, buildHtmlPreview, buildAppPreview } from './preview-html'
import { findLayerAtOffset, findThread } from './threads'

const row = (key: string, depth: number, rest: Partial<LayerRow> = {}): LayerRow => ({
  key,
  name: key,
  type: 'frame',
  depth,
  childCount: 0,
  screen: 'home',
  box: { x: 0, y: 0, width: 100, height: 100 },
  visible: true,
  editable: true,
  ...rest,
})

// home > (card > (title, icon > path)), footer
const layers = [
  row('home', 0, { childCount: 2 }),
  row('card', 1, { childCount: 2, box: { x: 10, y: 10, width: 50, height: 50 } }),
  row('title', 2, {
    type: 'text',
    text: 'Low water',
    box: { x: 12, y: 12, width: 20, height: 10 },
  }),
  row('icon', 2, { type: 'group', childCount: 1 }),
  row('path', 3, { type: 'path', visible: false }),
  row('footer', 1),
]
const keys = (rows: readonly LayerRow[]): string[] => rows.map((r) => r.key)

describe('outline', () => {
  test('shows what is open', () => {
    expect(keys(visibleRows(layers, initiallyOpen(layers), NO_FILTER))).toEqual([
      'home',
      'card',
      'title',
      'icon',
      'footer',
    ])
    expect(keys(visibleRows(layers, new Set(['home']), NO_FILTER))).toEqual([
      'home',
      'card',
      'footer',
    ])
    expect(keys(visibleRows(layers, new Set(), NO_FILTER))).toEqual(['home'])
  })

  test.each([
    ['a name', 'foot', ['home', 'footer']],
    ['a kind', 'path', ['home', 'card', 'icon', 'path']],
    ['a text, in any case', 'LOW W', ['home', 'card', 'title']],
    ['nothing there', 'zzz', []],
  ])('finds %s with the layers around it, whatever is folded', (_what, query, found) => {
    expect(keys(visibleRows(layers, new Set(), { ...NO_FILTER, query }))).toEqual(found)
  })

  test('shows one kind, or only what is hidden', () => {
    const kind = { ...NO_FILTER, kind: 'text' } as const
    expect(keys(visibleRows(layers, new Set(), kind))).toEqual(['home', 'card', 'title'])
    const hidden = { ...NO_FILTER, onlyHidden: true }
    expect(keys(visibleRows(layers, new Set(), hidden))).toEqual(['home', 'card', 'icon', 'path'])
    expect(keys(visibleRows(layers, new Set(), { ...hidden, kind: 'text' }))).toEqual([])
  })

  test('knows the way to a layer', () => {
    expect(keys(findAncestors(layers, 4))).toEqual(['home', 'card', 'icon'])
  })
})

describe('pointing at the design', () => {
  test('a frame picks what lies wholly inside it, and of a layer with its inside only the layer', () => {
    const area = (x: number, y: number, size: number) => ({ x, y, width: size, height: size })
    expect(keys(findLayersIn(layers, 'home', area(5, 5, 60)))).toEqual(['card'])
    expect(keys(findLayersIn(layers, 'home', area(11, 11, 30)))).toEqual(['title'])
    expect(keys(findLayersIn(layers, 'home', area(-5, -5, 300)))).toEqual(['card', 'footer'])
    expect(keys(findLayersIn(layers, 'other', area(-5, -5, 300)))).toEqual([])
  })

  test('a frame may be drawn in any direction', () => {
    expect(boxBetween({ x: 30, y: 5 }, { x: 10, y: 25 })).toEqual({
      x: 10,
      y: 5,
      width: 20,
      height: 20,
    })
  })

  test('the scale goes in steps and stays within bounds', () => {
    expect(stepZoom(0.5, 1)).toBe(0.75)
    expect(stepZoom(0.6, -1)).toBe(0.5)
    expect(stepZoom(8, 1)).toBe(8)
    expect(clampZoom(0.0001)).toBe(0.05)
  })

  test('finds the innermost visible layer', () => {
    const boxed = layers.map((l) =>
      l.key === 'icon' || l.key === 'footer'
        ? { ...l, box: { x: 90, y: 90, width: 5, height: 5 } }
        : l,
    )
    expect(findLayerAt(boxed, 'home', 15, 15)?.key).toBe('title')
    expect(findLayerAt(boxed, 'home', 55, 55)?.key).toBe('card')
    expect(findLayerAt(boxed, 'other', 15, 15)).toBeUndefined()
    expect(findLayerAt(boxed, 'home', 500, 5)).toBeUndefined()
  })
})

const file = (path: string, text: string, spans: EmittedFile['spans'] = []): EmittedFile => ({
  path,
  content: { kind: 'text', text },
  spans,
})

describe('threads', () => {
  const page = file('index.html', '<main><div><p>x</p></div></main>', [
    { layer: 'title', start: 11, end: 19 },
    { layer: 'card', start: 6, end: 25 },
    { layer: 'home', start: 0, end: 32 },
  ])

  test('lead from code to the innermost layer', () => {
    expect(findLayerAtOffset(page, 14)).toBe('title')
    expect(findLayerAtOffset(page, 8)).toBe('card')
    expect(findLayerAtOffset(page, 40)).toBeUndefined()
  })

  test('lead from a layer to its code', () => {
    expect(findThread([page], layers, 'card')).toEqual({
      path: 'index.html',
      spans: [{ layer: 'card', start: 6, end: 25 }],
    })
  })

  test('a layer without code of its own leads to what is inside it, else to what is around it', () => {
    const onlyTitle = { ...page, spans: page.spans.slice(0, 1) }
    expect(findThread([onlyTitle], layers, 'card')?.spans[0]!.layer).toBe('title')
    expect(findThread([page], layers, 'path')?.spans[0]!.layer).toBe('card')
    expect(findThread([page], layers, 'unknown')).toBeUndefined()
  })
})

describe('previews', () => {
  const running = (files: EmittedFile[]) => ({
    target: 'html' as const,
    files,
    pages: { home: { path: 'index.html', route: '/' } },
    components: [],
    css: '.a{} </style><script>',
  })

  test('a page carries its style sheet, its pictures and the bridge', () => {
    const html = buildHtmlPreview(
      running([
        file(
          'index.html',
          '<html><head><link rel="icon" href="favicon.svg" /><link rel="stylesheet" href="styles.css" /></head><body><img src="assets/a.svg" /></body></html>',
        ),
        file('assets/a.svg', '<svg/>'),
      ]),
      'home',
    )!
    expect(html).toContain('<style>.a{} <\\/style>')
    expect(html).toContain('src="data:image/svg+xml,%3Csvg%2F%3E"')
    // The frame may load nothing.
    expect(html).not.toContain('favicon')
    expect(html.match(/<script>/g)).toHaveLength(2)
  })

  test('a bundle cannot end its script element', () => {
    const html = buildAppPreview(running([]), { script: 'a="</script><b>"', runtimes: [] }, 'home')
    expect(html).toContain('a="<\\/script><b>"')
  })

  test('build errors are shown as text', () => {
    expect(buildAppPreview(running([]), { errors: ['<b>"x"'] }, 'home')).toContain(
      '<li>&lt;b&gt;"x"</li>',
    )
  })

  test('only sources go to the bundler', () => {
    expect(
      buildBundleFiles(running([file('src/App.tsx', 'x'), file('package.json', '{}')])),
    ).toEqual([{ path: 'src/App.tsx', encoding: 'text', content: 'x' }])
  })
})
