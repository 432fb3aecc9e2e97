import { resolveCorners } from '../../design/geometry.js'
import type { UiBox, UiNode, UiStyle } from '../nodes.js'

const NO_MARGIN = { top: 0, right: 0, bottom: 0, left: 0 }

/** A box without a look in the place of a style. */
const bareStyle = (style: UiStyle): UiStyle => ({
  place: style.place,
  width: style.width,
  height: style.height,
  limits: style.limits,
  arrange: {
    kind: 'column',
    gap: 0,
    padding: 0,
    align: 'stretch',
    distribute: 'start',
    wrap: false,
  },
  ...(style.fitsParent ? { fitsParent: style.fitsParent } : {}),
  ...(style.folds ? { folds: style.folds } : {}),
  fills: [],
  corners: resolveCorners(0),
  effects: [],
  opacity: 1,
  blend: 'normal',
  rotationDeg: 0,
  clip: false,
  bleedPx: style.bleedPx,
  tokens: {},
})

/** As large as the box around it, in whose column it stands. */
const filling = ({ folds: _folds, fitsParent: _fits, ...style }: UiStyle): UiStyle => ({
  ...style,
  place: {
    kind: 'flow',
    parent: 'column',
    columns: 1,
    rows: 1,
    align: 'stretch',
    margin: NO_MARGIN,
    isPushed: false,
  },
  width: { ...style.width, sizing: 'stretch' },
  height: { ...style.height, sizing: style.height.sizing === 'fit' ? 'fit' : 'stretch' },
  limits: {},
  bleedPx: 0,
})

/** Puts a box around a node that has its place: for elements that mean something and look like nothing. */
export const wrapNode = (node: UiNode, rest: Partial<UiBox>): UiBox => {
  const { order, isHidden, ...inner } = node
  return {
    type: 'box',
    layer: node.layer,
    name: node.name,
    style: bareStyle(node.style),
    ...(order ? { order } : {}),
    ...(isHidden ? { isHidden } : {}),
    children: [{ ...inner, style: filling(node.style) } as UiNode],
    ...rest,
  }
}

/** A node as what it is in its list or table; what is something by itself stands inside. */
export const asItem = (node: UiNode, item: NonNullable<UiNode['item']>): UiNode => {
  if (node.type === 'text' && !node.isButton && !node.labelFor) return { ...node, item }
  if (node.type === 'box' && !node.link && !node.role && !node.menu) return { ...node, item }
  return wrapNode(node, { item })
}
