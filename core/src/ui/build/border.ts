import { withOpacity } from '../../design/color.js'
import { resolveSides } from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import type { Stroke } from '../../design/paint.js'
import type { Account } from '../account.js'
import type { UiBorder } from '../nodes.js'

const colorOf = (account: Account, layer: Layer, { paint }: Stroke): string | undefined => {
  if (paint.kind === 'solid') return withOpacity(paint.color, paint.opacity)
  if (paint.kind === 'image') {
    account.lost(layer.key, 'stroke', 'a picture cannot be drawn as a border')
    return undefined
  }
  account.approximated(layer.key, 'stroke', 'the gradient is drawn in its first colour')
  return paint.stops[0]!.color
}

/** The stroke of a box as a border inside it, or as an outline where it reaches outside. */
export const buildBorder = (account: Account, layer: Layer): UiBorder | undefined => {
  if (!('strokes' in layer) || layer.strokes.length === 0) return undefined
  const stroke = layer.strokes.at(-1)!
  if (layer.strokes.length > 1) {
    account.lost(layer.key, 'stroke', 'a box has one border; only the topmost stroke is kept')
  }
  const color = colorOf(account, layer, stroke)
  if (!color) return undefined
  const widths = resolveSides(stroke.width)
  const dashed = stroke.dash.length > 0
  if (dashed) account.approximated(layer.key, 'dash', "the browser's own dash lengths are used")
  const isUniform = typeof stroke.width === 'number'
  const kind = stroke.align === 'inside' || !isUniform ? 'border' : 'outline'
  if (!isUniform && stroke.align !== 'inside') {
    account.approximated(layer.key, 'stroke', 'sides of different width are drawn inside the box')
  }
  return { widths, color, dashed, kind, offsetPx: stroke.align === 'centre' ? -widths.top / 2 : 0 }
}
