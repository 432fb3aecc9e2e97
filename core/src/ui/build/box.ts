import type { LayoutNode } from '../../layout/index.js'
import type { UiBox, UiNode, UiStyle } from '../nodes.js'
import type { BuildChild, BuildContext, Surroundings } from './context.js'
import { buildFillImage } from './image.js'
import { buildAct, buildLink } from './link.js'
import { drawBackground } from './graphic.js'
import { giveRole } from './give-role.js'
import { holdLists } from './list.js'
import { buildStyle, growByOutline, isOwnPicture } from './style.js'

const hasText = (node: UiNode): boolean =>
  node.type === 'text' ||
  (node.type === 'image' && node.alt !== '') ||
  (node.type === 'box' && node.children.some(hasText))

/** Whether a field takes the width of the box around it, right in it or in boxes that do so too. */
const takesWidth = (node: UiNode): boolean => {
  const { place, width } = node.style
  if (place.kind !== 'flow' || width.sizing !== 'stretch') return false
  return node.type === 'control' || (node.type === 'box' && node.children.some(takesWidth))
}

/** A field is as wide as a browser makes it, not as its words are: around one, a box has the width it was drawn with. */
const withOwnWidth = (style: UiStyle, children: readonly UiNode[]): UiStyle =>
  style.width.sizing === 'fit' && children.some(takesWidth)
    ? { ...style, width: { ...style.width, sizing: 'fixed' }, fitsParent: true }
    : style

/** A frame, group or shape as a box with what is inside it; `buildChild` builds that. */
export const buildBox = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
  buildChild: BuildChild,
): UiNode => {
  const { layer } = node
  if (layer.type === 'group' && layer.mask) {
    const why = 'the text inside stays text, and a box cannot be masked; all of it is shown'
    context.account.lost(layer.key, 'mask', why)
  }
  const reading = context.roles.get(layer.key)
  const link = buildLink(context, layer, around)
  const act = buildAct(context, layer, around)
  const isButton = (reading?.role === 'button' || act !== undefined) && !link && !around.isInLink
  const own = buildStyle(context, node, around)
  const base = node.isGraphic ? drawBackground(context, layer, own) : own
  const images =
    'fills' in layer ? layer.fills.filter((p) => p.kind === 'image').filter(isOwnPicture) : []
  const isLeaf = node.children.length === 0 && images.length === 0
  const style = isLeaf ? growByOutline(base) : base
  const inside: Surroundings = {
    parent: node,
    border: style.border,
    // What a label holds is pressed with it.
    isInLink: around.isInLink || link !== undefined || isButton || reading?.role === 'file',
    ...(reading?.role === 'table' || (reading?.role === 'rowgroup' && around.isInTable)
      ? { isInTable: true }
      : {}),
  }
  const children = [
    ...images.map((paint) => {
      const { border: _b, ...bare } = style
      return buildFillImage(context, layer, paint, bare)
    }),
    ...node.children.map((child) => buildChild(context, child, inside)),
  ]
  const acts = link !== undefined || isButton
  const box: UiBox = {
    type: 'box',
    layer: layer.key,
    name: context.nameOf(layer),
    ...(link ? { link } : {}),
    ...(isButton ? { role: 'button', ...(reading?.submits ? { submits: true } : {}) } : {}),
    ...(act ? { act } : {}),
    // Where nothing folds it is no menu.
    ...(node.menu?.is === 'panel' && node.folds ? { menu: context.menuId(node.menu.key) } : {}),
    ...(acts && !children.some(hasText)
      ? { label: context.nameOf(layer) || (link ? 'Link' : 'Button') }
      : {}),
    style: withOwnWidth(
      images.length > 0 && style.arrange.kind === 'none'
        ? { ...style, arrange: { kind: 'free' } }
        : style,
      children,
    ),
    children,
  }
  if (acts || around.isInLink) return box
  // Cells outside a table mean nothing: at another width the rows may stand elsewhere.
  const isPart = reading?.role === 'rowgroup' || reading?.role === 'row'
  const meant = isPart && !around.isInTable ? undefined : reading
  return giveRole(context, holdLists(context, box), meant)
}
