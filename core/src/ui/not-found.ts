import { NO_SIDES } from '../design/geometry.js'
import { resolveSides } from '../design/geometry.js'
import type { TextStyle } from '../design/text.js'
import { textsIn } from './describe-page.js'
import type { UiBox, UiNode, UiPage, UiStyle, UiText } from './nodes.js'
import { onlyChild, PLAIN_LOOK } from './plain-style.js'
import type { Phrases } from './phrases.js'

/** The key of the page that is shown for an address that is none. */
export const NOT_FOUND = '~not-found'

const SIDE_PX = 24
const GAP_PX = 16

const inColumn = (): UiStyle => ({
  ...PLAIN_LOOK,
  place: onlyChild('column', 'stretch'),
  width: { sizing: 'stretch', px: 0 },
  height: { sizing: 'fit', px: 0 },
  limits: {},
  arrange: { kind: 'none' },
})

type Type = { readonly textStyle: TextStyle; readonly tokens: UiStyle['tokens'] }

const typeOf = ({ textStyle, style }: UiText): Type => ({ textStyle, tokens: style.tokens })

const text = (id: string, words: string, type: Type, rest: Partial<UiText>): UiText => ({
  type: 'text',
  layer: `${NOT_FOUND}-${id}`,
  name: id,
  textStyle: type.textStyle,
  align: 'start',
  wraps: true,
  runs: [{ kind: 'text', text: words, style: {} }],
  style: { ...inColumn(), tokens: type.tokens },
  ...rest,
})

const findHead = (node: UiNode): UiBox | undefined => {
  if (node.type !== 'box') return undefined
  if (node.shared === 'banner') return node
  for (const child of node.children) {
    const found = findHead(child)
    if (found) return found
  }
  return undefined
}

/** The page for addresses that are none, in the look of the first page; undefined where that has no texts. */
export const buildNotFound = (first: UiPage, phrases: Phrases): UiPage | undefined => {
  const { root } = first
  const texts = textsIn(root)
  const title = texts.find((one) => one.level === 1) ?? texts[0]
  const body = texts.find((one) => one.level === undefined && !one.link && one.wraps) ?? title
  if (root.type !== 'box' || !title || !body) return undefined
  const head = findHead(root)
  const main: UiBox = {
    type: 'box',
    role: 'main',
    layer: `${NOT_FOUND}-main`,
    name: 'Main',
    style: {
      ...inColumn(),
      arrange: {
        kind: 'column',
        gap: GAP_PX,
        padding: resolveSides(SIDE_PX),
        align: 'start',
        distribute: 'start',
        wrap: false,
      },
    },
    children: [
      text('title', phrases.notFound, typeOf(title), { level: 1 }),
      text('help', phrases.notFoundHelp, typeOf(body), {}),
      text('home', phrases.home, typeOf(body), {
        link: { kind: 'page', page: first.key },
        textStyle: { ...body.textStyle, decoration: 'underline' },
      }),
    ],
  }
  const children: UiNode[] = []
  if (head) {
    const place = { ...onlyChild('column', 'stretch'), margin: NO_SIDES }
    children.push({ ...head, style: { ...head.style, place } })
  }
  const { contentMax: _held, ...style } = root.style
  const page: UiBox = {
    type: 'box',
    layer: NOT_FOUND,
    name: phrases.notFound,
    style: {
      ...style,
      arrange: {
        kind: 'column',
        gap: 0,
        padding: 0,
        align: 'stretch',
        distribute: 'start',
        wrap: false,
      },
    },
    children: [...children, main],
  }
  return {
    key: NOT_FOUND,
    artboards: [],
    widths: first.widths,
    name: phrases.notFound,
    root: page,
    widthPx: first.widthPx,
    heightPx: 400,
  }
}
