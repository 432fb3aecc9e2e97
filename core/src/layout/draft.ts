import { NO_SIDES } from '../design/geometry.js'
import { INFERRED } from '../design/node-key.js'
import { resolveSides, roundPx, type Box, type Sides } from '../design/geometry.js'
import { PLAIN_LAYER } from '../design/plain-layer.js'
import type { FrameLayer, Layer } from '../design/layer.js'
import { type LayoutNode, type Limits } from './node.js'
import type { WidthRange } from './text-width.js'

/** A node in the making: its box is still in the container's coordinates, its place not yet decided. */
export type Draft = {
  readonly node: LayoutNode
  /** As large as its content needs, in px; undefined along an axis where only the parent can say. */
  readonly natural: { readonly width: number | undefined; readonly height: number | undefined }
  /**
   * Its children take the width it has, so that it needs a width of its own: shapes ask for no width (`shape`), pictures for
   * that of their file, whatever stands beside them (`picture`).
   */
  readonly hollow?: 'shape' | 'picture' | undefined
  /** Room at its end that was not drawn and keeps rounding from breaking a text, in px. */
  readonly spare?: number
  /** How far it may end from where it is measured to end, since its font is not at hand, in px. */
  readonly doubt?: number
  /** For texts of several lines: the widths that keep them. */
  readonly range?: WidthRange
  /** Where the first line's letters stand, from the top, in px. For texts. */
  readonly baseline?: number
}

export const draftNode = (layer: Layer, box: Box, rest: Partial<LayoutNode> = {}): LayoutNode => ({
  layer,
  absorbed: [],
  box,
  placement: { kind: 'flow' },
  arrangement: { kind: 'free' },
  sizing: { width: 'fixed', height: 'fixed' },
  limits: layer.limits ?? {},
  margin: NO_SIDES,
  isPushed: false,
  keepsLines: false,
  isGraphic: false,
  children: [],
  ...rest,
})

/** A draft of something that is as large as it is drawn. */
export const draftShape = (layer: Layer, box: Box, rest: Partial<LayoutNode> = {}): Draft => ({
  node: draftNode(layer, box, rest),
  natural: { width: box.width, height: box.height },
})

/** What a container is made of before it is known how it arranges its content. */
export type Shell = {
  readonly layer: Layer
  readonly absorbed: readonly string[]
  readonly box: Box
  /** It has a look of its own, so the room between its edge and its content is padding. */
  readonly isPadded: boolean
  /** It reaches as far as its siblings together do: free room inside is meant. */
  readonly fills: boolean
}

/** Widths of the border inside a shell's box, in px: content cannot stand on it. */
export const borderOf = (layer: Layer | undefined): Sides => {
  const stroke =
    layer && 'strokes' in layer && layer.type !== 'path' ? layer.strokes.at(-1) : undefined
  return stroke?.align === 'inside' ? resolveSides(stroke.width) : NO_SIDES
}

/** The part of a shell that content can take. */
export const insideOf = (layer: Layer | undefined, box: Box): Box => {
  const { top, right, bottom, left } = borderOf(layer)
  return {
    x: box.x + left,
    y: box.y + top,
    width: box.width - left - right,
    height: box.height - top - bottom,
  }
}

/** The frame of a container that stands for no layer of the file. */
export const inferredFrame = (first: Draft, name: string): FrameLayer =>
  plainFrame(`${first.node.layer.key}${INFERRED}`, name, first.node.box)

export const plainFrame = (key: string, name: string, box: Box): FrameLayer => ({
  type: 'frame',
  key,
  name,
  box,
  ...PLAIN_LAYER,
  fills: [],
  strokes: [],
  radius: 0,
  clip: false,
  children: [],
})

export const isText = ({ node }: Draft): boolean => node.layer.type === 'text'

/** Whether a draft, left alone along the axis, is as large as drawn. */
export const fitsItself = ({ node, natural }: Draft, axis: 'width' | 'height'): boolean =>
  natural[axis] !== undefined && Math.abs(natural[axis] - node.box[axis]) <= 0.51

/** Shapes, pictures, drawings, and boxes whose content does not flow, are as large as they are drawn. */
export const isShape = (node: LayoutNode): boolean =>
  node.layer.type !== 'text' && node.arrangement.kind === 'free'

/** Pictures nothing lies on. */
export const isPicture = (node: LayoutNode): boolean => node.layer.type === 'image' && isShape(node)

/** Whether content of its own keeps it as wide as it is drawn, where nothing else says how wide it is. */
export const isHeldByContent = (draft: Draft): boolean =>
  !isShape(draft.node) &&
  draft.hollow === undefined &&
  (isText(draft) || fitsItself(draft, 'width'))

/** Keeps a box that is drawn higher than its content makes it as high as that. */
export const keepHeight = ({ node, natural }: Draft): Limits => {
  const isShort =
    natural.height !== undefined && natural.height < node.box.height - 0.5 && !isShape(node)
  return isShort ? { minHeight: roundPx(node.box.height) } : {}
}

export const shellNode = ({ layer, absorbed, box }: Shell): LayoutNode =>
  draftNode(layer, box, { absorbed })
