import type { Design } from './design.js'
import type { Box } from './geometry.js'
import { childrenOf, isContainer, type ContainerLayer, type Layer } from './layer.js'

/** Visits a layer and everything inside it, parents first, in paint order. */
export const walkLayers = (
  layer: Layer,
  visit: (layer: Layer, parent: Layer | undefined, depth: number) => void,
): void => {
  const step = (current: Layer, parent: Layer | undefined, depth: number): void => {
    visit(current, parent, depth)
    for (const child of childrenOf(current)) step(child, current, depth + 1)
  }
  step(layer, undefined, 0)
}

/** Everything that is drawn in a design: its screens, and the drawings of its components. */
export const drawingsOf = (design: Design): Layer[] => [
  ...design.screens,
  ...design.components.flatMap((set) => set.variants),
]

/** Visits every layer of every screen. */
export const walkScreens = (
  design: Design,
  visit: (layer: Layer, parent: Layer | undefined, depth: number) => void,
): void => {
  for (const screen of design.screens) walkLayers(screen, visit)
}

/** The layer with this key in any screen. */
export const findLayer = (design: Design, key: string): Layer | undefined => {
  let found: Layer | undefined
  walkScreens(design, (layer) => {
    if (layer.key === key) found = layer
  })
  return found
}

/** Every layer of a screen with its box in the screen's coordinates; rotation is not applied. */
export const measureBoxes = (screen: Layer): Map<string, Box> => {
  const boxes = new Map<string, Box>()
  const step = (layer: Layer, left: number, top: number): void => {
    boxes.set(layer.key, { ...layer.box, x: left, y: top })
    for (const child of childrenOf(layer)) step(child, left + child.box.x, top + child.box.y)
  }
  step(screen, 0, 0)
  return boxes
}

/** A container with other layers in it; the same object where `change` changes, adds and removes none of them. */
export const mapChildren = <T extends ContainerLayer>(
  layer: T,
  change: (child: Layer) => Layer | undefined,
): T => {
  const children: Layer[] = []
  let changed = false
  for (const child of layer.children) {
    const next = change(child)
    if (next !== child) changed = true
    if (next) children.push(next)
  }
  return changed ? { ...layer, children } : layer
}

/**
 * Replaces layers from the bottom up. `change` returns the same layer to keep it, another to replace it,
 * or undefined to remove it. Untouched parts stay the same objects, so `===` means "nothing changed".
 */
export const mapLayers = <T extends Layer>(
  layer: T,
  change: (layer: Layer) => Layer | undefined,
): Layer | undefined =>
  change(isContainer(layer) ? mapChildren(layer, (child) => mapLayers(child, change)) : layer)
