import type { Layer } from '../design/layer.js'
import { childrenOf } from '../design/layer.js'
import type { AutoLayout } from '../design/layout.js'
import { findGraphics } from './find-graphics.js'

/** How a container arranges what is in it: by its stated auto layout, or not at all. */
export type Arrangement = AutoLayout | { readonly kind: 'free' }

/** How a layer gets its place: by its parent's arrangement, or by coordinates in its parent. */
export type Placement =
  | { readonly kind: 'flow'; readonly parent: 'row' | 'column' | 'grid' }
  | { readonly kind: 'coordinates'; readonly x: number; readonly y: number }

export type LayoutNode = {
  readonly layer: Layer
  readonly placement: Placement
  readonly arrangement: Arrangement
  /** The layer with everything in it is one drawing; it then has no children here. */
  readonly isGraphic: boolean
  readonly children: readonly LayoutNode[]
}

/** A group that neither changes how its content looks nor leads anywhere is only a note to the designer. */
const isTransparent = (layer: Layer): boolean =>
  layer.type === 'group' &&
  layer.mask === undefined &&
  layer.opacity === 1 &&
  layer.blend === 'normal' &&
  layer.rotationDeg === 0 &&
  layer.effects.length === 0 &&
  layer.link === undefined

const arrangementOf = (layer: Layer): Arrangement =>
  (layer.type === 'frame' || layer.type === 'component') && layer.layout
    ? layer.layout
    : { kind: 'free' }

/**
 * Takes a layer with its instances resolved, returns how each layer inside is placed and arranged.
 * Stated auto layout is taken as said; what has none is placed by coordinates. Hidden layers and groups
 * without effect are left out, their content moving up. Never changes how the design looks.
 */
export const inferLayout = (root: Layer): LayoutNode => {
  const graphics = findGraphics(root)

  const build = (layer: Layer, placement: Placement): LayoutNode => {
    if (graphics.has(layer)) {
      return { layer, placement, arrangement: { kind: 'free' }, isGraphic: true, children: [] }
    }
    const arrangement = arrangementOf(layer)
    // The mask of a group is no content of it.
    const shown = layer.type === 'group' && layer.mask ? layer.children.slice(1) : childrenOf(layer)
    const children = shown.flatMap((child) => place(child, arrangement, 0, 0))
    return { layer, placement, arrangement, isGraphic: false, children }
  }

  /** The nodes a child of a container becomes: one, none when hidden, several when a group dissolves. */
  const place = (layer: Layer, parent: Arrangement, left: number, top: number): LayoutNode[] => {
    if (!layer.visible || layer.opacity === 0) return []
    const x = layer.box.x + left
    const y = layer.box.y + top
    if (parent.kind !== 'free' && layer.flow === 'in') {
      return [build(layer, { kind: 'flow', parent: parent.kind })]
    }
    if (isTransparent(layer) && !graphics.has(layer)) {
      return childrenOf(layer).flatMap((child) => place(child, { kind: 'free' }, x, y))
    }
    return [build(layer, { kind: 'coordinates', x, y })]
  }

  return build(root, { kind: 'coordinates', x: 0, y: 0 })
}
