import { containsBox, type Box } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'

/** The layer at a point of a screen: the last drawn of those that cover it, children before parents. */
export const findLayerAt = (
  layers: readonly LayerRow[],
  screen: string,
  x: number,
  y: number,
): LayerRow | undefined =>
  layers.findLast(
    ({ box, screen: on, visible }) =>
      on === screen &&
      visible &&
      x >= box.x &&
      y >= box.y &&
      x <= box.x + Math.max(box.width, 4) &&
      y <= box.y + Math.max(box.height, 4),
  )

/** The layers that lie wholly inside an area of a screen; of a layer and what is in it, only the layer. */
export const findLayersIn = (
  layers: readonly LayerRow[],
  screen: string,
  area: Box,
): LayerRow[] => {
  const found: LayerRow[] = []
  let insideOf = Infinity
  for (const layer of layers) {
    if (layer.screen !== screen || !layer.visible || layer.depth === 0) continue
    if (layer.depth > insideOf) continue
    insideOf = Infinity
    if (!containsBox(area, layer.box)) continue
    found.push(layer)
    insideOf = layer.depth
  }
  return found
}

/** The box between two points, whichever way it was drawn. */
export const boxBetween = (
  a: { readonly x: number; readonly y: number },
  b: { readonly x: number; readonly y: number },
): Box => ({
  x: Math.min(a.x, b.x),
  y: Math.min(a.y, b.y),
  width: Math.abs(a.x - b.x),
  height: Math.abs(a.y - b.y),
})
