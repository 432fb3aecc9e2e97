import Yoga, {
  Align,
  Direction,
  Display,
  FlexDirection,
  Gutter,
  Justify,
  MeasureMode,
  PositionType,
  Wrap,
  Edge,
  type Node,
} from 'yoga-layout'
import {
  createTableMeasure,
  isContainer,
  readDesign,
  resolveInstances,
  type Box,
  type Layer,
} from '@unimorph/core'
import type { Draft } from './build.js'

type Want = { width?: number; height?: number }

const measure = createTableMeasure()

const ALIGN = {
  start: Align.FlexStart,
  centre: Align.Center,
  end: Align.FlexEnd,
  stretch: Align.Stretch,
  baseline: Align.Baseline,
} as const
const JUSTIFY = {
  start: Justify.FlexStart,
  centre: Justify.Center,
  end: Justify.FlexEnd,
  between: Justify.SpaceBetween,
} as const

/** Width and height of a text at most `limit` wide. */
const measureText = (layer: Layer & { type: 'text' }, limit: number) => {
  const words = layer.runs
    .map((r) => r.text)
    .join('')
    .split(' ')
  const lineHeight = layer.style.lineHeight ?? measure.line(layer.style).normalPx
  const lines: string[] = ['']
  for (const word of words) {
    const longer = lines.at(-1) === '' ? word : `${lines.at(-1)} ${word}`
    if (measure.width(longer, layer.style) <= limit + 0.01) lines[lines.length - 1] = longer
    else lines.push(word)
  }
  const width = Math.max(...lines.map((l) => measure.width(l, layer.style)))
  return { width: Math.ceil(width), height: lines.length * lineHeight }
}

const createHidden = (): Node => {
  const node = Yoga.Node.create()
  node.setDisplay(Display.None)
  return node
}

const createNode = (
  layer: Layer,
  parent: Layer | undefined,
  wants: ReadonlyMap<string, Want>,
): Node => {
  const node = Yoga.Node.create()
  const want = wants.get(layer.key) ?? wants.get(layer.key.split('/').at(-1)!) ?? {}
  const isInRow = parent && 'layout' in parent && parent.layout?.kind === 'row'
  if (layer.sizing.width === 'fixed') node.setWidth(want.width)
  if (layer.sizing.height === 'fixed') node.setHeight(want.height)
  const stretchesAlong = isInRow
    ? layer.sizing.width === 'stretch'
    : layer.sizing.height === 'stretch'
  const stretchesAcross = isInRow
    ? layer.sizing.height === 'stretch'
    : layer.sizing.width === 'stretch'
  if (stretchesAlong) {
    node.setFlexGrow(1)
    node.setFlexBasis(0)
  }
  if (stretchesAcross) node.setAlignSelf(Align.Stretch)
  if (layer.type === 'text') {
    node.setMeasureFunc((width, mode) =>
      measureText(layer, mode === MeasureMode.Undefined ? Infinity : width),
    )
  }
  if (layer.flow === 'out') {
    node.setPositionType(PositionType.Absolute)
    node.setPosition(Edge.Left, layer.box.x)
    node.setPosition(Edge.Top, layer.box.y)
  }
  if (layer.type === 'frame' && layer.layout && layer.layout.kind !== 'grid') {
    const { kind, gap, padding, align, distribute, wrap } = layer.layout
    node.setFlexDirection(kind === 'row' ? FlexDirection.Row : FlexDirection.Column)
    node.setGap(Gutter.All, gap)
    node.setAlignItems(ALIGN[align])
    node.setJustifyContent(JUSTIFY[distribute])
    if (wrap) node.setFlexWrap(Wrap.Wrap)
    const p =
      typeof padding === 'number'
        ? { top: padding, right: padding, bottom: padding, left: padding }
        : padding
    node.setPadding(Edge.Top, p.top)
    node.setPadding(Edge.Right, p.right)
    node.setPadding(Edge.Bottom, p.bottom)
    node.setPadding(Edge.Left, p.left)
  }
  if (isContainer(layer)) {
    layer.children.forEach((child, i) => {
      if (child.visible) node.insertChild(createNode(child, layer, wants), i)
      else node.insertChild(createHidden(), i)
    })
  }
  return node
}

const readBoxes = (layer: Layer, node: Node, boxes: Map<string, Box>): void => {
  const { left, top, width, height } = node.getComputedLayout()
  boxes.set(layer.key, { x: left, y: top, width, height })
  if (isContainer(layer) && layer.visible)
    layer.children.forEach((child, i) => readBoxes(child, node.getChild(i), boxes))
}

const layOutRoot = (root: Layer, wants: ReadonlyMap<string, Want>): Map<string, Box> => {
  const node = createNode(root, undefined, wants)
  node.calculateLayout(undefined, undefined, Direction.LTR)
  const boxes = new Map<string, Box>()
  readBoxes(root, node, boxes)
  node.freeRecursive()
  return boxes
}

const collectWants = (draft: Draft, wants: Map<string, Want>): void => {
  if (draft['want']) wants.set(draft.key, draft['want'] as Want)
  draft.children?.forEach((child) => collectWants(child, wants))
}

const strip = (draft: Draft): Draft => {
  const { want: _want, children, ...rest } = draft
  return { ...rest, ...(children ? { children: children.map(strip) } : {}) } as Draft
}

const place = (draft: Draft, boxes: ReadonlyMap<string, Box>, origin: Box | undefined): Draft => {
  const box = boxes.get(draft.key)
  const placed = { ...draft, box: origin ?? box ?? draft['box'] } as Draft
  if (draft.children) placed.children = draft.children.map((c) => place(c, boxes, undefined))
  if (draft.type === 'instance') {
    const inside = [...boxes].filter(([key]) => key.startsWith(`${draft.key}/`))
    placed['boxes'] = Object.fromEntries(
      inside.map(([key, b]) => [key.slice(draft.key.length + 1), b]),
    )
  }
  return placed
}

type Document = {
  screens: Draft[]
  components: { variants: Draft[] }[]
} & Record<string, unknown>

/** Fills in every box of a document by its stated auto layout. */
export const layOut = (document: Document): unknown => {
  const wants = new Map<string, Want>()
  document.screens.forEach((s) => collectWants(s, wants))
  document.components.forEach((set) => set.variants.forEach((v) => collectWants(v, wants)))
  const bare = {
    ...document,
    screens: document.screens.map(strip),
    components: document.components.map((set) => ({ ...set, variants: set.variants.map(strip) })),
  }
  const read = readDesign(bare)
  if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
  const boxes = new Map<string, Box>()
  for (const screen of resolveInstances(read.value)) {
    for (const [key, box] of layOutRoot(screen, wants)) boxes.set(key, box)
  }
  for (const set of read.value.components) {
    for (const variant of set.variants) {
      const frame = { ...variant, type: 'frame' } as unknown as Layer
      for (const [key, box] of layOutRoot(frame, wants)) boxes.set(key, box)
    }
  }
  let left = 0
  const screens = bare.screens.map((screen) => {
    const { width, height } = boxes.get(screen.key)!
    const placed = place(screen, boxes, { x: left, y: 0, width, height })
    left += width + 80
    return placed
  })
  const components = bare.components.map((set) => ({
    ...set,
    variants: set.variants.map((v) => place(v, boxes, undefined)),
  }))
  return { ...bare, screens, components }
}
