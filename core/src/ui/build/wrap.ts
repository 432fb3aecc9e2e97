import { stackedPlainly } from '../../layout/index.js'
import type { UiBox, UiNode, UiStyle } from '../nodes.js'
import { onlyChild, PLAIN_LOOK } from '../plain-style.js'

/** A box without a look in the place of a style. */
const bareStyle = (style: UiStyle): UiStyle => ({
  ...PLAIN_LOOK,
  place: style.place,
  width: style.width,
  height: style.height,
  limits: style.limits,
  arrange: stackedPlainly('stretch'),
  ...(style.fitsParent ? { fitsParent: style.fitsParent } : {}),
  ...(style.folds ? { folds: style.folds } : {}),
  bleedPx: style.bleedPx,
})

/** As large as the box around it, in whose column it stands. */
const filling = ({ folds: _folds, fitsParent: _fits, ...style }: UiStyle): UiStyle => ({
  ...style,
  place: onlyChild('column', 'stretch'),
  width: { ...style.width, sizing: 'stretch' },
  height: {
    ...style.height,
    sizing:
      style.height.sizing === 'fit' && style.limits.minHeight === undefined ? 'fit' : 'stretch',
  },
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
