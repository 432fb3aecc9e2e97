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
