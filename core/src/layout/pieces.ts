import type { Design } from '../design/design.js'
import { growBox, growCorners, resolveCorners, type Box } from '../design/geometry.js'
import { childrenOf, isContainer, type ContainerLayer, type Layer } from '../design/layer.js'
import {
  asCroppedPicture,
  clipOf,
  cutShape,
  cuts,
  cutToSeen,
  isUnseen,
  joinClips,
} from './clips.js'
import { isPainted, isShown, isUnit } from './layer-kinds.js'

/** A layer that takes room in a container, in the container's coordinates. */
export type Piece = {
  readonly layer: Layer
  /** What it covers, with strokes that reach outside. */
  readonly box: Box
  /** Place in paint order. */
  readonly order: number
  /**
   * `surface`: a painted shape that may be the background of others; `block`: a container that is laid out
   * by itself.
   */
  readonly kind: 'text' | 'image' | 'graphic' | 'surface' | 'line' | 'block'
  /** Keys of layers whose paint it has taken over. */
  readonly absorbed: readonly string[]
}

/** A group or frame that only holds layers together: what it holds are the pieces from `from` up to `to`. */
export type Bundle = { readonly layer: Layer; readonly from: number; readonly to: number }

export type Pieces = { readonly pieces: readonly Piece[]; readonly bundles: readonly Bundle[] }

/**
 * A layer with its stroke inside: one that reaches outside makes the box larger. What is seen stays the
 * same, and the box says what it covers.
 */
const withStrokeInside = (layer: Layer, box: Box): { layer: Layer; box: Box } => {
  if (!('strokes' in layer) || layer.type === 'path' || layer.type === 'line') return { layer, box }
  const stroke = layer.strokes.at(-1)
  if (!stroke || typeof stroke.width !== 'number' || stroke.align === 'inside')
    return { layer, box }
  const by = stroke.align === 'centre' ? stroke.width / 2 : stroke.width
  const strokes = [...layer.strokes.slice(0, -1), { ...stroke, align: 'inside' as const }]
  const radius = 'radius' in layer ? { radius: growCorners(resolveCorners(layer.radius), by) } : {}
  return { layer: { ...layer, strokes, ...radius } as Layer, box: growBox(box, by) }
}

/** An upright line as the thin box it paints. */
const lineBox = (layer: Layer & { type: 'line' }, box: Box): Box => {
  const widths = layer.strokes.map(({ width }) =>
    typeof width === 'number' ? width : Math.max(...Object.values(width)),
  )
  const width = Math.max(0, ...widths)
  return box.height <= box.width
    ? { x: box.x, y: box.y - width / 2, width: box.width, height: width }
    : { x: box.x - width / 2, y: box.y, width, height: box.height }
}

/** The one layer a half transparent group holds; undefined when there are more. */
const seenThrough = (layer: ContainerLayer): Layer | undefined => {
  if (layer.type !== 'group' || layer.opacity === 1 || !isUnit(layer)) return undefined
  if (isUnit({ ...layer, opacity: 1 })) return undefined
  const [only, ...others] = layer.children.filter(isShown)
  return others.length === 0 ? only : undefined
}

const kindOf = (layer: Layer): Piece['kind'] =>
  layer.type === 'text' || layer.type === 'image' || layer.type === 'line' ? layer.type : 'surface'

/**
 * What a container holds, as a flat list in paint order. Groups and frames that only hold layers together
 * dissolve; a painted frame leaves its paint behind as a surface under its content. `units` stay whole, by key.
 */
export const collectPieces = (
  container: Layer,
  graphics: ReadonlySet<Layer>,
  assets: Design['assets'],
  units: ReadonlyMap<string, unknown> = new Map(),
): Pieces => {
  const pieces: Piece[] = []
  const bundles: Bundle[] = []
  const add = (layer: Layer, box: Box, kind: Piece['kind'], absorbed: string[] = []): void => {
    pieces.push({ layer, box, kind, order: pieces.length, absorbed })
  }
  const visit = (layer: Layer, left: number, top: number, clip: Box | undefined): void => {
    if (!isShown(layer)) return
    const box = { ...layer.box, x: layer.box.x + left, y: layer.box.y + top }
    if (isUnseen(layer, layer.type === 'line' ? lineBox(layer, box) : box, clip)) return
    if (graphics.has(layer)) return add(layer, box, 'graphic')
    if (!isContainer(layer)) {
      if (layer.type === 'line') return add(layer, lineBox(layer, box), 'line')
      const inside = withStrokeInside(layer, box)
      const seen = clip ? cutShape(inside.layer, inside.box, clip) : inside
      return add(seen.layer, seen.box, kindOf(layer))
    }
    const joined = joinClips(layer)
    const isCut = cuts(joined)
    const seen = isCut ? cutToSeen(joined) : joined
    const at = { ...seen.box, x: seen.box.x + left, y: seen.box.y + top }
    const cropped = isContainer(seen) ? asCroppedPicture(seen, assets) : undefined
    if (cropped) {
      const inside = withStrokeInside({ ...cropped, box: at }, at)
      return add(inside.layer, inside.box, 'image', [layer.key])
    }
    const only = seenThrough(layer)
    if (only) {
      const fainter = { ...only, opacity: only.opacity * layer.opacity }
      if (!graphics.has(only)) return visit(fainter, box.x, box.y, clip)
      const place = { ...only.box, x: only.box.x + box.x, y: only.box.y + box.y }
      return add(fainter, place, 'graphic')
    }
    if (isCut) {
      if (seen.type === 'line') return add(seen, lineBox(seen, at), 'line')
      return add(seen, at, isContainer(seen) ? 'block' : 'surface')
    }
    if (isUnit(layer) || units.has(layer.key)) return add(layer, box, 'block')
    const from = pieces.length
    if (layer.type !== 'group' && isPainted(layer)) {
      const bare = { ...layer, children: [], clip: layer.clip && layer.radius !== 0 }
      const inside = withStrokeInside(bare, box)
      add(inside.layer, inside.box, 'surface')
    }
    const within = clipOf(layer, box, clip)
    for (const child of layer.children) visit(child, box.x, box.y, within)
    if (pieces.length > from) bundles.push({ layer, from, to: pieces.length })
  }
  // The mask of a group is no content of it.
  const shown =
    container.type === 'group' && container.mask
      ? container.children.slice(1)
      : childrenOf(container)
  const clip = clipOf(container, { ...container.box, x: 0, y: 0 }, undefined)
  for (const child of shown) visit(child, 0, 0, clip)
  return { pieces, bundles }
}
