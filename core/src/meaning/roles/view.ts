import { resolveCorners } from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import { isInFlow } from '../../layout/flow/solver.js'
import { textOf } from '../../text/wrap.js'

/** A node with its place on the page and what is in it, in px. */
export type View = {
  readonly node: LayoutNode
  readonly key: string
  readonly parent: View | undefined
  readonly children: readonly View[]
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  /** Words of the name a person gave it; texts and containers that were made up have none. */
  readonly words: ReadonlySet<string>
  /** The texts in it, in order. */
  readonly texts: readonly View[]
  /** Drawings and pictures in it, in order. */
  readonly marks: readonly View[]
}

const NO_WORDS: ReadonlySet<string> = new Set()
/** Names stay as they are through most edits. */
const inNames = new WeakMap<Layer, ReadonlySet<string>>()

const wordsOf = ({ layer }: LayoutNode): ReadonlySet<string> => {
  if (layer.type === 'text' || layer.key.endsWith('~')) return NO_WORDS
  const known = inNames.get(layer) ?? wordsIn(layer)
  inNames.set(layer, known)
  return known
}

const wordsIn = (layer: Layer): ReadonlySet<string> => {
  const spaced = layer.name.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
  return new Set(
    spaced
      .toLowerCase()
      .split(/[^\p{L}]+/u)
      .filter(Boolean),
  )
}

/** Drawings: what has no text in it and nothing to arrange. */
const isMark = ({ layer, children, isGraphic }: LayoutNode): boolean =>
  layer.type !== 'text' &&
  children.length === 0 &&
  (isGraphic || !['rectangle', 'frame', 'group'].includes(layer.type))

/** The views of a tree, each with its place on the page. */
export const viewTree = (root: LayoutNode): View => {
  const visit = (node: LayoutNode, parent: View | undefined, x: number, y: number): View => {
    const children: View[] = []
    const texts: View[] = []
    const marks: View[] = []
    const { width, height } = node.box
    const words = wordsOf(node)
    const key = node.layer.key
    const view: View = { node, key, parent, children, x, y, width, height, words, texts, marks }
    if (node.layer.type === 'text') texts.push(view)
    else if (isMark(node)) marks.push(view)
    for (const child of node.children) {
      const inner = visit(child, view, x + child.box.x, y + child.box.y)
      children.push(inner)
      texts.push(...inner.texts)
      marks.push(...inner.marks)
    }
    return view
  }
  return visit(root, undefined, 0, 0)
}

/** Visits a view and everything in it, parents first; `visit` says whether to go on inside. */
export const walkViews = (view: View, visit: (view: View) => boolean | void): void => {
  if (visit(view) === false) return
  for (const child of view.children) walkViews(child, visit)
}

/** What stands in the flow of a view. */
export const flowOf = (view: View): readonly View[] =>
  view.children.filter((child) => isInFlow(child.node))

/** Room between two things that stand side by side, in px; negative where one reaches over the other. */
export const roomBetween = (a: View, b: View): number =>
  Math.max(b.x - a.x - a.width, a.x - b.x - b.width)

/** Whether two things have a part of their height in common. */
export const isInLine = (a: View, b: View): boolean => a.y < b.y + b.height && a.y + a.height > b.y

/** Views are made anew for each page; many recognisers ask what they say. */
const said = new WeakMap<View, string>()

/** The words a view shows. */
export const saidBy = (view: View): string => {
  const known = said.get(view)
  if (known !== undefined) return known
  const words = view.texts
    .map(({ node: { layer } }) => (layer.type === 'text' ? textOf(layer) : ''))
    .join(' ')
    .replace(/\s+/g, ' ')
    .trim()
  said.set(view, words)
  return words
}

/** What stands beside a view in its parent, itself not counted. */
export const siblingsOf = (view: View): readonly View[] =>
  view.parent?.children.filter((other) => other !== view) ?? []

/** Whether it has a fill or a line of its own. */
export const isPainted = ({ node: { layer } }: View): boolean =>
  ('fills' in layer && layer.fills.length > 0) || ('strokes' in layer && layer.strokes.length > 0)

const radiusOf = ({ node: { layer } }: View): number =>
  layer.type === 'ellipse'
    ? Infinity
    : 'radius' in layer
      ? Math.min(...Object.values(resolveCorners(layer.radius)))
      : 0

/** Whether it is a circle, or a box with half circles at its ends. */
export const isRound = (view: View): boolean =>
  radiusOf(view) >= Math.min(view.width, view.height) / 2 - 1
