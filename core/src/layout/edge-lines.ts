import { NO_SIDES } from '../design/geometry.js'
import { roundPx, type Box, type Sides } from '../design/geometry.js'
import type { LineLayer } from '../design/layer.js'
import type { Stroke } from '../design/paint.js'
import { endOn } from './axis.js'
import type { Piece } from './pieces.js'

/** A line this close to an edge, and this much shorter, is drawn as the edge. */
const NEAR_PX = 1.51

export type EdgeLines = { readonly top?: Piece; readonly bottom?: Piece }

const isLevel = ({ kind, box }: Piece): boolean => kind === 'line' && box.width > box.height

const spans = (line: Box, box: Box): boolean =>
  Math.abs(line.x - box.x) <= NEAR_PX && Math.abs(endOn(line, 'x') - endOn(box, 'x')) <= NEAR_PX

/** Among the pieces on a surface, the lines that run along its upper and its lower edge. */
export const findEdgeLines = (box: Box, pieces: readonly Piece[]): EdgeLines => {
  const along = pieces.filter((piece) => isLevel(piece) && spans(piece.box, box))
  const top = along.find((line) => Math.abs(line.box.y + line.box.height / 2 - box.y) <= NEAR_PX)
  const bottom = along.find(
    (line) =>
      line !== top && Math.abs(line.box.y + line.box.height / 2 - endOn(box, 'y')) <= NEAR_PX,
  )
  return { ...(top ? { top } : {}), ...(bottom ? { bottom } : {}) }
}

const strokeOf = (line: Piece): Stroke | undefined => {
  const { layer } = line
  const stroke = layer.type === 'line' ? layer.strokes.at(-1) : undefined
  const isPlain = layer.opacity === 1 && layer.blend === 'normal' && layer.effects.length === 0
  return isPlain && stroke?.dash.length === 0 && stroke.paint.kind === 'solid' ? stroke : undefined
}

/** Lines along the edges as one border; undefined when a border cannot look like them. */
export const borderFromLines = ({ top, bottom }: EdgeLines): Stroke | undefined => {
  const first = top ?? bottom
  const stroke = first && strokeOf(first)
  if (!first || !stroke) return undefined
  if (top && bottom) {
    const other = strokeOf(bottom)
    if (!other || JSON.stringify(other.paint) !== JSON.stringify(stroke.paint)) return undefined
  }
  const width: Sides = {
    ...NO_SIDES,
    top: top ? roundPx(top.box.height) : 0,
    bottom: bottom ? roundPx(bottom.box.height) : 0,
  }
  return { ...stroke, width, align: 'inside' }
}

/** A box that reaches over the lines along its edges. */
export const withEdges = (box: Box, { top, bottom }: EdgeLines): Box => {
  const from = top ? top.box.y : box.y
  const to = bottom ? endOn(bottom.box, 'y') : endOn(box, 'y')
  return { ...box, y: from, height: to - from }
}

/** The tokens of a line's colour, as those of the border it becomes. */
export const tokensOfLines = ({ top, bottom }: EdgeLines): LineLayer['tokens'] => {
  const own = (top ?? bottom)?.layer.tokens?.['strokes.0.paint.color']
  return own ? { 'strokes.0.paint.color': own } : undefined
}
