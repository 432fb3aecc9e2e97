import { splitColor } from '../../design/color.js'
import {
  containsBox,
  isSameBox,
  resolveCorners,
  roundBox,
  roundPx,
  uniteBoxes,
  type Box,
} from '../../design/geometry.js'
import { isContainer, type FrameLayer, type GroupLayer, type Layer } from '../../design/layer.js'
import { walkLayers } from '../../design/walk.js'
import { notes } from '../../notes/catalogue.js'
import { adopt, createFrame, createPlain } from './base.js'
import type { Surroundings, SvgContext } from './context.js'
import { multiply, parseTransform, IDENTITY, type Matrix } from './matrix.js'
import { inheritable, type Style } from './style.js'
import { isElement, localName, type XmlElement } from './xml.js'

type ReadElement = (
  context: SvgContext,
  element: XmlElement,
  around: Surroundings,
) => Layer | undefined

/** A clip that a box can do: an upright rectangle, perhaps with round corners, on the screen. */
type BoxClip = { readonly box: Box; readonly radius: FrameLayer['radius'] }

/** What limits a layer: shapes on the screen, and what of them counts. */
type Limit = { readonly kind: NonNullable<GroupLayer['mask']>; readonly shapes: readonly Layer[] }

/** Transform from the limit's own coordinates to the screen. */
const matrixOf = (element: XmlElement, units: string, layer: Layer, matrix: Matrix): Matrix => {
  const own = parseTransform(element.attributes['transform'] ?? '') ?? IDENTITY
  const { x, y, width, height } = layer.box
  const outer: Matrix =
    element.attributes[units] === 'objectBoundingBox' ? [width, 0, 0, height, x, y] : matrix
  return multiply(outer, own)
}

const isWhite = (color: string): boolean => /^#f[c-f]f[c-f]f[c-f]/.test(color)

/** Whether every shape lets everything inside it through: only its outline counts. */
const isSolid = (shapes: readonly Layer[], needsWhite: boolean): boolean => {
  let solid = true
  for (const shape of shapes) {
    walkLayers(shape, (layer) => {
      if (!layer.visible) return
      if (layer.opacity < 1 || layer.effects.length > 0 || layer.blend !== 'normal') solid = false
      if ('strokes' in layer && layer.strokes.length > 0) solid = false
      if (layer.type === 'group') {
        if (layer.mask) solid = false
        return
      }
      if (layer.type === 'frame' && layer.fills.length === 0) return
      const fill = 'fills' in layer ? layer.fills[0] : undefined
      const isOpaque =
        fill?.kind === 'solid' && fill.opacity === 1 && splitColor(fill.color).opacity === 1
      if (!isOpaque || (needsWhite && !isWhite(fill.color))) solid = false
    })
  }
  return solid
}

/** Reads what `clip-path` refers to: the union of its shapes, whatever their paint. */
const readClipPath = (
  context: SvgContext,
  clip: XmlElement,
  layer: Layer,
  around: Surroundings,
  matrix: Matrix,
  read: ReadElement,
): Limit => {
  const inside: Surroundings = {
    ...around,
    style: inheritable(context.resolveStyle(clip, {})),
    matrix: matrixOf(clip, 'clipPathUnits', layer, matrix),
    isOutline: true,
    expanding: [...around.expanding, clip],
  }
  const shapes = clip.children.filter(isElement).flatMap((c) => read(context, c, inside) ?? [])
  return { kind: 'outline', shapes }
}

const readMask = (
  context: SvgContext,
  mask: XmlElement,
  layer: Layer,
  around: Surroundings,
  matrix: Matrix,
  read: ReadElement,
): Limit => {
  const style = context.resolveStyle(mask, {})
  const inside: Surroundings = {
    ...around,
    style: inheritable(style),
    matrix: matrixOf(mask, 'maskContentUnits', layer, matrix),
    expanding: [...around.expanding, mask],
  }
  const shapes = mask.children.filter(isElement).flatMap((c) => read(context, c, inside) ?? [])
  const kind = style['mask-type'] === 'alpha' ? 'alpha' : 'luminance'
  return { kind: isSolid(shapes, kind === 'luminance') ? 'outline' : kind, shapes }
}

/** The box a limit stands for, when it is one upright rectangle or circle. */
const toBoxClip = ({ kind, shapes }: Limit): BoxClip | undefined => {
  const only = shapes[0]
  if (kind !== 'outline' || shapes.length !== 1 || !only || only.rotationDeg !== 0) return undefined
  if (only.type === 'rectangle') return { box: only.box, radius: only.radius }
  if (only.type === 'group' && !only.mask && only.children.length === 1) {
    const inner = only.children[0]!
    const { x, y } = only.box
    const box = { ...inner.box, x: inner.box.x + x, y: inner.box.y + y }
    return toBoxClip({ kind, shapes: [{ ...inner, box }] })
  }
  const { width, height } = only.box
  if (only.type !== 'ellipse' || Math.abs(width - height) > 0.1) return undefined
  return { box: only.box, radius: roundPx(width / 2) }
}

/** Whether a clip cuts nothing off a layer. */
const holds = ({ box, radius }: BoxClip, layer: Layer): boolean => {
  const isPlain =
    !isContainer(layer) &&
    layer.rotationDeg === 0 &&
    layer.effects.length === 0 &&
    !('strokes' in layer && layer.strokes.length > 0)
  return (
    isPlain &&
    Object.values(resolveCorners(radius)).every((r) => r === 0) &&
    containsBox(box, layer.box, 0.01)
  )
}

/** The children of a group in the coordinates of the screen. */
const release = (group: GroupLayer): Layer[] =>
  group.children.map((child) => ({
    ...child,
    box: { ...child.box, x: child.box.x + group.box.x, y: child.box.y + group.box.y },
  }))

/** A group whose look is only that of its children: a limit on it can become its own. */
const isOpenGroup = (layer: Layer): layer is GroupLayer =>
  layer.type === 'group' && !layer.mask && layer.rotationDeg === 0 && layer.effects.length === 0

const clipToBox = (context: SvgContext, layer: Layer, clip: BoxClip): Layer => {
  if (holds(clip, layer)) return layer
  const isUncut = layer.rotationDeg === 0 && layer.effects.length === 0
  if (layer.type === 'image' && isUncut && isSameBox(clip.box, layer.box, 0.5)) {
    return { ...layer, radius: clip.radius }
  }
  const box = roundBox(clip.box)
  if (isOpenGroup(layer)) {
    const { type: _group, children: _children, mask: _mask, ...rest } = layer
    return {
      ...rest,
      type: 'frame',
      box,
      fills: [],
      strokes: [],
      radius: clip.radius,
      clip: true,
      children: adopt(release(layer), box),
    }
  }
  return createFrame({
    key: context.createKey(`${layer.key}-clip`),
    name: layer.name,
    box,
    visible: layer.visible,
    radius: clip.radius,
    children: adopt([layer], box),
  })
}

const maskBy = (context: SvgContext, layer: Layer, { kind, shapes }: Limit): Layer => {
  const box = roundBox(uniteBoxes(shapes.map((s) => s.box)))
  const shape: Layer =
    shapes.length === 1
      ? shapes[0]!
      : {
          ...createPlain(context.createKey(`${layer.key}-mask`), 'Mask'),
          type: 'group',
          box,
          children: adopt(shapes, box),
        }
  if (isOpenGroup(layer)) {
    return { ...layer, mask: kind, children: adopt([shape, ...release(layer)], layer.box) }
  }
  const { opacity, blend, visible, link } = layer
  const inner = { ...layer, opacity: 1, blend: 'normal', visible: true } as Layer
  return {
    ...createPlain(context.createKey(`${layer.key}-masked`), layer.name),
    opacity,
    blend,
    visible,
    ...(link ? { link } : {}),
    type: 'group',
    mask: kind,
    box: layer.box,
    children: adopt([shape, inner], layer.box),
  }
}

const limitBy = (context: SvgContext, layer: Layer, limit: Limit): Layer => {
  // Nothing to see through: the drawing shows nothing of the layer either.
  if (limit.shapes.length === 0) return { ...layer, visible: false }
  const clip = toBoxClip(limit)
  return clip ? clipToBox(context, layer, clip) : maskBy(context, layer, limit)
}

/** `inset(4px 8px round 6px)` on a layer's box; undefined for other shapes. */
const readInset = (value: string, layer: Layer, scale: number): BoxClip | undefined => {
  const [, list = '', round = '0'] =
    /^inset\(\s*([^)]*?)(?:\s+round\s+([\d.]+)(?:px)?)?\s*\)$/.exec(value) ?? []
  const sides = list.split(/\s+/).filter(Boolean).map(Number.parseFloat)
  if (sides.length === 0 || sides.some((v) => !Number.isFinite(v)) || list.includes('%'))
    return undefined
  const [top = 0, right = top, bottom = top, left = right] = sides.map((v) => v * scale)
  const { x, y, width, height } = layer.box
  return {
    box: { x: x + left, y: y + top, width: width - left - right, height: height - top - bottom },
    radius: roundPx(Number.parseFloat(round) * scale),
  }
}

/**
 * Applies `clip-path` and `mask`: a round clip on a picture becomes its radius, a rectangle becomes a frame
 * that clips, and anything else a group whose first child says what is seen.
 */
export const applyClip = (
  context: SvgContext,
  layer: Layer,
  style: Style,
  around: Surroundings,
  matrix: Matrix,
  scale: number,
  read: ReadElement,
): Layer => {
  let limited = layer
  for (const [property, kind] of [
    ['clip-path', 'clipPath'],
    ['mask', 'mask'],
  ] as const) {
    const value = style[property]
    if (!value || value === 'none') continue
    const inset = property === 'clip-path' ? readInset(value, layer, scale) : undefined
    if (inset) {
      limited = clipToBox(context, limited, inset)
      continue
    }
    const target = context.findReference(value)
    // A reference that leads nowhere limits nothing (CSS Masking 1, 5).
    if (!target && value.startsWith('url(')) continue
    if (!target || localName(target.name) !== kind || around.expanding.includes(target)) {
      const what = property === 'mask' ? 'mask' : 'clip path'
      context.notes.push(notes.effectSkipped(context.file, layer.key, what))
      continue
    }
    const readLimit = property === 'mask' ? readMask : readClipPath
    limited = limitBy(context, limited, readLimit(context, target, layer, around, matrix, read))
    // A limit may be limited itself.
    const own = context.resolveStyle(target, {})
    if (own[property] && own[property] !== 'none') {
      const inside = { ...around, expanding: [...around.expanding, target] }
      limited = applyClip(
        context,
        limited,
        { [property]: own[property] },
        inside,
        matrix,
        scale,
        read,
      )
    }
  }
  return limited
}
