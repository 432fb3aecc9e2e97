import type { Sides } from '../../design/geometry.js'
import type { UiBorder } from '../../ui/nodes.js'

/** The room between a box's border and its content, in px: a border takes room inside the box, which stated padding does not know of. */
export const paddingInside = (padding: Sides, border: UiBorder | undefined): Sides => {
  if (border?.kind !== 'border') return padding
  const { widths } = border
  return {
    top: Math.max(0, padding.top - widths.top),
    right: Math.max(0, padding.right - widths.right),
    bottom: Math.max(0, padding.bottom - widths.bottom),
    left: Math.max(0, padding.left - widths.left),
  }
}
