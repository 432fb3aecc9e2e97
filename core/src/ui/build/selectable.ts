import type { UiNode, UiState } from '../nodes.js'
import type { BuildContext } from './context.js'

const isChosen = (node: UiNode): boolean =>
  'act' in node && node.act?.kind === 'tab' && node.act.startsShown

const partsOf = (node: UiNode): readonly UiNode[] => ('children' in node ? node.children : [])

/** Whether two things are built alike: what differs is how they look and what they say. */
const areBuiltAlike = (a: UiNode, b: UiNode): boolean => {
  const parts = partsOf(b)
  return (
    a.type === b.type &&
    partsOf(a).length === parts.length &&
    partsOf(a).every((part, i) => areBuiltAlike(part, parts[i]!))
  )
}

/** A node in the paint of another: fills, lines, shadows, and the colour and weight of its words. */
const inPaintOf = (node: UiNode, other: UiNode): UiNode => {
  const { fills, corners, effects, opacity, border } = other.style
  const { border: _own, ...bare } = node.style
  const style = {
    ...bare,
    fills,
    corners,
    effects,
    opacity,
    tokens: { ...node.style.tokens, ...other.style.tokens },
    ...(border ? { border } : {}),
  }
  if (node.type !== 'text' || other.type !== 'text') return { ...node, style } as UiNode
  const { color, decoration, weight } = other.textStyle
  return { ...node, style, textStyle: { ...node.textStyle, color, decoration, weight } }
}

/** A node that is drawn as `rest` and, while what it stands in is chosen, as `chosen`. */
const withLooks = (node: UiNode, rest: UiNode, chosen: UiNode, of: UiState['of']): UiNode => {
  const resting = inPaintOf(node, rest)
  const look = inPaintOf(node, chosen)
  const state: UiState = {
    state: 'selected',
    of,
    isWithin: false,
    node: 'children' in look ? ({ ...look, children: [] } as UiNode) : look,
  }
  const own = {
    ...resting,
    states: [...(node.states ?? []), state],
    ...(of === 'self' && partsOf(node).length > 0 ? { isOwner: true } : {}),
  } as UiNode
  if (!('children' in own)) return own
  const children = own.children.map((child, i) =>
    withLooks(child, partsOf(rest)[i]!, partsOf(chosen)[i]!, 'owner'),
  )
  return { ...own, children } as UiNode
}

/**
 * Tabs of which any may be chosen: each looks as the others do, and as the one that is drawn chosen while it is
 * chosen. Where that one is built differently they stay as drawn, and that is said.
 */
export const selectable = (
  { account }: BuildContext,
  tabs: readonly UiNode[],
): readonly UiNode[] => {
  const chosen = tabs.find(isChosen)
  const rest = tabs.find((tab) => tab !== chosen)
  if (!chosen || !rest) return tabs
  if (!tabs.every((tab) => areBuiltAlike(tab, chosen))) {
    const why = 'the chosen tab is built differently from the others, which keep their look'
    account.approximated(chosen.layer, 'state', why)
    return tabs
  }
  return tabs.map((tab) => withLooks(tab, rest, chosen, 'self'))
}
