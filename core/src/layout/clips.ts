import type { Design } from '../design/design.js'
import {
  cutCorners,
  intersect,
  mapCorners,
  resolveCorners,
  simplifyCorners,
  uniteBoxes,
  type Box,
} from '../design/geometry.js'
import {
  childrenOf,
  type ContainerLayer,
  type FrameLayer,
  type ImageLayer,
  type Layer,
  type LineLayer,
  type RectangleLayer,
} from '../design/layer.js'
import { isPainted, isShown, isUnit } from './layer-kinds.js'

// What of layers is seen where frames and screens cut them off.

/** Whether something inside sticks out of a container that clips it, or fills its rounded corners. */
export const cuts = (layer: ContainerLayer): boolean => {
  if (!('clip' in layer) || !layer.clip) return false
  const { width, height } = layer.box
  const reachesOut = (inside: Layer, left: number, top: number): boolean => {
    if (!isShown(inside)) return false
    const { box } = inside
    const [x, y] = [left + box.x, top + box.y]
    const sticksOut =
      x < -0.5 || y < -0.5 || x + box.width > width + 0.5 || y + box.height > height + 0.5
    return sticksOut || childrenOf(inside).some((child) => reachesOut(child, x, y))
  }
  return layer.children.some((child) => reachesOut(child, 0, 0))
}

/** A picture reaches the edges of what it is cut off by, give or take this. */
const CUT_PX = 1
/** A picture that is drawn so much larger than it takes to cover its frame is shown a little smaller instead. */
const MOST_ZOOM = 1.05

/** Which part of a side is seen: 0 its beginning, 1 its end. */
const focusOn = (start: number, size: number, room: number): number =>
  size - room <= CUT_PX ? 0.5 : Math.min(1, Math.max(0, -start / (size - room)))

/**
 * A frame that does nothing but cut off one picture, which is about as wide or as high as the frame: the picture, covering
 * the frame. Undefined when it is anything else.
 */
export const asCroppedPicture = (
  layer: ContainerLayer,
  assets: Design['assets'],
): ImageLayer | undefined => {
  if (layer.type !== 'frame' || !layer.clip || layer.layout || layer.fills.length > 0)
    return undefined
  const [only, ...others] = layer.children.filter(isShown)
  if (
    only?.type !== 'image' ||
    others.length > 0 ||
    only.rotationDeg !== 0 ||
    layer.rotationDeg !== 0
  )
    return undefined
  const { x, y, width, height } = only.box
  const room = layer.box
  const sides = [x, y, room.width - x - width, room.height - y - height]
  const isCovering = sides.every((side) => side <= CUT_PX)
  // As large as it is drawn, or nearly: what covers its box is never larger than it has to be.
  const zoom = Math.min(width / room.width, height / room.height)
  const isFitted = zoom <= MOST_ZOOM
  const asset = assets[only.asset]
  const isWhole = asset?.width !== undefined && asset.height !== undefined
  const ratio = isWhole ? asset.width! / asset.height! : width / height
  const isTrue = only.fit === 'cover' || Math.abs(width / height / ratio - 1) < 0.02
  if (!isCovering || !isFitted || !isTrue) return undefined
  const focus = { x: focusOn(x, width, room.width), y: focusOn(y, height, room.height) }
  const isCentred = Math.abs(focus.x - 0.5) < 0.01 && Math.abs(focus.y - 0.5) < 0.01
  return {
    ...only,
    fit: 'cover',
    ...(isCentred ? {} : { focus: { x: roundShare(focus.x), y: roundShare(focus.y) } }),
    radius: layer.radius,
    strokes: layer.strokes,
    effects: layer.effects,
    opacity: only.opacity * layer.opacity,
    ...(layer.link ? { link: layer.link } : {}),
    ...(layer.hover ? { hover: layer.hover } : {}),
    ...(layer.entrance ? { entrance: layer.entrance } : {}),
  }
}

const roundShare = (share: number): number => Math.round(share * 1000) / 1000

/** A plain shape can be drawn as large as it is seen. */
const isCuttable = (layer: Layer): layer is RectangleLayer | LineLayer =>
  layer.rotationDeg === 0 &&
  layer.effects.length === 0 &&
  ((layer.type === 'line' && (layer.box.width === 0 || layer.box.height === 0)) ||
    (layer.type === 'rectangle' &&
      layer.radius === 0 &&
      layer.strokes.length === 0 &&
      layer.fills.every((fill) => fill.kind === 'solid')))

/** A frame that does nothing but clip. */
const isBareClip = (layer: Layer): layer is FrameLayer =>
  layer.type === 'frame' && layer.clip && !isPainted(layer) && !isUnit(layer)

const movedBy = (layer: Layer, x: number, y: number): Layer => ({
  ...layer,
  box: { ...layer.box, x: layer.box.x + x, y: layer.box.y + y },
})

/** Frames that clip one right inside the other as one that does what they do together. */
export const joinClips = (layer: ContainerLayer): ContainerLayer =>
  isBareClip(layer) ? joinBareClips(layer) : layer

const joinBareClips = (layer: FrameLayer): FrameLayer => {
  const [only, ...others] = layer.children.filter(isShown)
  if (!only || others.length > 0 || !isBareClip(only)) return layer
  const inner = joinBareClips(only)
  const whole = { ...layer.box, x: 0, y: 0 }
  const seen = intersect(inner.box, whole)
  const outside = cutCorners(whole, resolveCorners(layer.radius), seen)
  const inside = cutCorners(inner.box, resolveCorners(inner.radius), seen)
  if (!outside || !inside) return layer
  const radius = mapCorners(outside, (own, corner) => Math.max(own, inside[corner]))
  const [x, y] = [inner.box.x - seen.x, inner.box.y - seen.y]
  return {
    ...layer,
    box: { ...seen, x: layer.box.x + seen.x, y: layer.box.y + seen.y },
    radius: simplifyCorners(radius),
    children: inner.children.map((child) => movedBy(child, x, y)),
  }
}

/**
 * A frame that does nothing but clip, made as small as what is seen of its content; around a plain shape, the
 * seen part of the shape. Other containers stay as they are.
 */
export const cutToSeen = (layer: ContainerLayer): Layer => {
  if (!isBareClip(layer)) return layer
  const shown = layer.children.filter(isShown)
  const whole = { ...layer.box, x: 0, y: 0 }
  const seen = intersect(uniteBoxes(shown.map((child) => child.box)), whole)
  const corners = cutCorners(whole, resolveCorners(layer.radius), seen)
  if (!corners) return layer
  const radius = simplifyCorners(corners)
  const box = { ...seen, x: layer.box.x + seen.x, y: layer.box.y + seen.y }
  const [only, ...others] = shown
  if (only && others.length === 0 && isCuttable(only)) {
    if (only.type === 'rectangle') return { ...only, box, radius }
    const isFlat = only.box.height === 0
    return {
      ...only,
      box,
      from: { x: 0, y: 0 },
      to: isFlat ? { x: box.width, y: 0 } : { x: 0, y: box.height },
    }
  }
  return { ...layer, box, radius, children: shown.map((child) => movedBy(child, -seen.x, -seen.y)) }
}

/** How far effects reach out of a layer, in px: a blur to about its radius. */
const effectReach = ({ effects }: Layer): number =>
  Math.max(
    0,
    ...effects.map((effect) =>
      effect.kind === 'shadow'
        ? Math.max(Math.abs(effect.x), Math.abs(effect.y)) + effect.blur + effect.spread
        : effect.radius,
    ),
  )

/** A layer of which less than this is seen along an axis is left out, in px. */
const SEEN_PX = 1

/** Whether less than a px of a layer is seen. A turned layer may reach out of its box: it counts as seen. */
export const isUnseen = (layer: Layer, box: Box, clip: Box | undefined): boolean => {
  if (!clip || layer.rotationDeg !== 0) return false
  const by = effectReach(layer)
  const seen = (start: number, size: number, from: number, room: number): boolean =>
    Math.min(start + size + by, from + room) - Math.max(start - by, from) >=
    Math.min(SEEN_PX, size) - 0.01
  return (
    !seen(box.x, box.width, clip.x, clip.width) || !seen(box.y, box.height, clip.y, clip.height)
  )
}

/** Where what is in a layer can be seen. */
export const clipOf = (layer: Layer, box: Box, around: Box | undefined): Box | undefined => {
  if (!('clip' in layer) || !layer.clip) return around
  return around ? intersect(box, around) : box
}

/** A shape of one colour that reaches out of where it is seen, as large as it is seen. */
export const cutShape = (layer: Layer, box: Box, clip: Box): { layer: Layer; box: Box } => {
  const isPlain =
    layer.type === 'rectangle' &&
    layer.rotationDeg === 0 &&
    layer.fills.every((fill) => fill.kind === 'solid')
  if (!isPlain) return { layer, box }
  const seen = intersect(box, clip)
  const corners = cutCorners(box, resolveCorners(layer.radius), seen)
  return corners
    ? { layer: { ...layer, radius: simplifyCorners(corners) }, box: seen }
    : { layer, box }
}
