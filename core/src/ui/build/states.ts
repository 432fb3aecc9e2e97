import type { Layer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import { CONTROL_ROLES } from '../../meaning/roles/index.js'
import type { StateName } from '../../design/states.js'
import type { UiNode, UiState, UiStyle } from '../nodes.js'
import { isSameValue } from '../same-value.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildStyle } from './style.js'

/** Parts of a style that a state may change without moving anything. */
const LOOKS = ['fills', 'border', 'corners', 'effects', 'opacity', 'blend'] as const

/** A layer with the paint of another, and everything else its own. */
const repainted = (layer: Layer, other: Layer): Layer => {
  const paint: Record<string, unknown> = {
    opacity: other.opacity,
    blend: other.blend,
    effects: other.effects,
    tokens: other.tokens,
  }
  for (const field of ['fills', 'strokes', 'radius']) {
    if (field in layer && field in other) paint[field] = (other as Record<string, unknown>)[field]
  }
  return { ...layer, ...paint } as Layer
}

/** The look of a node with what differs between two layers changed; undefined when nothing does. */
const restyled = (style: UiStyle, rest: UiStyle, other: UiStyle): UiStyle | undefined => {
  const changed = LOOKS.filter((look) => !isSameValue(rest[look], other[look]))
  if (changed.length === 0) return undefined
  const looks = Object.fromEntries(changed.map((look) => [look, other[look]]))
  return { ...style, ...looks, tokens: other.tokens } as UiStyle
}

/** The colour and decoration of a text in another state; letters stay as large as they are. */
const retyped = (node: UiNode, other: Layer): UiNode | undefined => {
  if (node.type !== 'text' || other.type !== 'text') return undefined
  const { color, decoration } = other.style
  if (color === node.textStyle.color && decoration === node.textStyle.decoration) return undefined
  const tokens = { ...node.style.tokens }
  const token = other.tokens?.['style.color']
  if (token === undefined) delete tokens['style.color']
  else tokens['style.color'] = token
  return {
    ...node,
    textStyle: { ...node.textStyle, color, decoration },
    style: { ...node.style, tokens },
  }
}

/** What of a drawn state cannot be shown: another size or other words need another layout. */
const noteLost = (
  { account }: BuildContext,
  layer: Layer,
  other: Layer,
  state: StateName,
): void => {
  const { width, height } = layer.box
  const isMoved = Math.abs(other.box.width - width) > 1 || Math.abs(other.box.height - height) > 1
  if (isMoved && layer.type !== 'text') {
    account.approximated(layer.key, 'state', `the size it has in the state ${state} is not carried`)
  }
}

const isActing = (node: UiNode): boolean =>
  node.type === 'control' ||
  (node.type === 'box' && (node.role === 'button' || node.link !== undefined)) ||
  (node.type === 'text' && (node.isButton === true || node.link !== undefined))

/** Whether what an instance became is pressed or filled in itself. */
const acts = ({ roles }: BuildContext, owner: string): boolean => {
  const role = roles.get(owner)?.role
  return role === 'link' || role === 'button' || CONTROL_ROLES.some((one) => one === role)
}

/**
 * Adds the states that are drawn of a node's component. `owner` is the key of the instance the layer stands in, or
 * its own.
 */
export const withStates = (
  context: BuildContext,
  layout: LayoutNode,
  around: Surroundings,
  node: UiNode,
): UiNode => {
  const { layer } = layout
  const owner = context.ownerOf(layer.key)
  if (owner === undefined || layout.isGraphic) return node
  // A control with signs over it stands in a box that looks like nothing.
  const [first] = node.type === 'box' ? node.children : []
  if (node.type === 'box' && first?.type === 'control' && first.layer === layer.key) {
    const control = withStates(context, layout, around, first)
    return { ...node, children: [control, ...node.children.slice(1)] }
  }
  const isOwner = owner === layer.key
  const isOwn = isOwner || node.type === 'control'
  const rest = buildStyle(context, layout, around)
  const states = context.statesOf(owner).flatMap(({ state, layers }): UiState[] => {
    const other = layers.get(layer.key)
    // A link cannot be in a state in which it leads nowhere.
    const isLink = context.roles.get(owner)?.role === 'link'
    if (!other || (state === 'disabled' && isLink)) return []
    noteLost(context, layer, other, state)
    const painted = buildStyle(context, { ...layout, layer: repainted(layer, other) }, around)
    const style = restyled(node.style, rest, painted)
    const typed = retyped(node, other)
    if (!style && !typed) return []
    const look = { ...(typed ?? node), ...(style ? { style } : {}) } as UiNode
    return [
      {
        state,
        of: isOwn ? 'self' : 'owner',
        isWithin: isOwn ? !isActing(node) : !acts(context, owner),
        node: 'children' in look ? { ...look, children: [] } : look,
      },
    ]
  })
  return {
    ...node,
    ...(states.length > 0 ? { states } : {}),
    ...(isOwner && context.statesOf(owner).length > 0 ? { isOwner: true } : {}),
  }
}
