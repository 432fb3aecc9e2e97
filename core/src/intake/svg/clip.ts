import { roundBox, roundPx, type Box } from '../../design/geometry.js'
import type { FrameLayer, Layer } from '../../design/layer.js'
import { notes } from '../../notes/catalogue.js'
import { adopt, createFrame } from './base.js'
import { multiply, parseTransform, placeBox, IDENTITY, type Matrix } from './matrix.js'
import { readShape } from './shapes.js'
import type { Style } from './style.js'
import type { SvgContext } from './context.js'
import { isElement, localName } from './xml.js'

/** A clip that a box can do: a rectangle, perhaps with round corners, on the screen. */
export type BoxClip = { readonly box: Box; readonly radius: number }

/** Reads `clip-path` when it is one upright rectangle or circle; undefined when it is anything else. */
export const readBoxClip = (
  context: SvgContext,
  reference: string,
  matrix: Matrix,
): BoxClip | undefined => {
  const clip = context.findReference(reference)
  if (!clip || localName(clip.name) !== 'clipPath') return undefined
  if (clip.attributes['clipPathUnits'] === 'objectBoundingBox') return undefined
  const shapes = clip.children.filter(isElement)
  const only = shapes[0]
  if (shapes.length !== 1 || !only) return undefined
  const own = parseTransform(only.attributes['transform'] ?? '') ?? IDENTITY
  const outer = parseTransform(clip.attributes['transform'] ?? '') ?? IDENTITY
  const shape = readShape(localName(only.name), only, { width: 0, height: 0 })
  if (!shape || (shape.kind !== 'rectangle' && shape.kind !== 'ellipse')) return undefined
  const placed = placeBox(multiply(matrix, multiply(outer, own)), shape.box)
  if (placed.kind !== 'aligned') return undefined
  if (shape.kind === 'ellipse') {
    return { box: placed.box, radius: Math.max(placed.box.width, placed.box.height) / 2 }
  }
  return {
    box: placed.box,
    radius: Math.max(shape.rx * placed.scaleX, shape.ry * placed.scaleY) || 0,
  }
}

const wrapInClip = (layer: Layer, clip: BoxClip): FrameLayer =>
  createFrame({
    key: `${layer.key}-clip`,
    name: layer.name,
    box: roundBox(clip.box),
    visible: layer.visible,
    radius: roundPx(clip.radius),
    children: adopt([layer], clip.box),
  })

const covers = (outer: Box, inner: Box): boolean =>
  Math.abs(outer.x - inner.x) < 0.5 &&
  Math.abs(outer.y - inner.y) < 0.5 &&
  Math.abs(outer.width - inner.width) < 0.5 &&
  Math.abs(outer.height - inner.height) < 0.5

/** Applies `clip-path` and notes what cannot be kept of it and of `mask`. */
export const applyClip = (
  context: SvgContext,
  layer: Layer,
  style: Style,
  matrix: Matrix,
): Layer => {
  if (style.mask && style.mask !== 'none') {
    context.notes.push(notes.effectSkipped(context.file, layer.key, 'mask'))
  }
  const reference = style['clip-path']
  if (!reference || reference === 'none') return layer
  const clip = readBoxClip(context, reference, matrix)
  if (!clip) {
    context.notes.push(notes.effectSkipped(context.file, layer.key, 'clip path'))
    return layer
  }
  if (layer.type === 'image' && covers(clip.box, layer.box))
    return { ...layer, radius: roundPx(clip.radius) }
  if (layer.type === 'group' && layer.rotationDeg === 0) {
    const box = roundBox(clip.box)
    const { type: _group, ...rest } = layer
    const back = layer.children.map((c) => ({
      ...c,
      box: { ...c.box, x: c.box.x + layer.box.x, y: c.box.y + layer.box.y },
    }))
    return {
      ...rest,
      type: 'frame',
      box,
      fills: [],
      strokes: [],
      radius: roundPx(clip.radius),
      clip: true,
      children: adopt(back as Layer[], box),
    }
  }
  return wrapInClip(layer, clip)
}
