import { NO_SIDES } from '../design/geometry.js'
import { resolveCorners } from '../design/geometry.js'
import type { UiPlace, UiStyle } from './nodes.js'

/** How a box looks that looks like nothing. */
export const PLAIN_LOOK = {
  fills: [],
  corners: resolveCorners(0),
  effects: [],
  opacity: 1,
  blend: 'normal',
  rotationDeg: 0,
  clip: false,
  bleedPx: 0,
  tokens: {},
} as const satisfies Partial<UiStyle>

/** The place of the only thing in a box. */
export const onlyChild = (parent: 'row' | 'column', align: 'centre' | 'stretch'): UiPlace => ({
  kind: 'flow',
  parent,
  columns: 1,
  rows: 1,
  align,
  margin: NO_SIDES,
  isPushed: false,
})
