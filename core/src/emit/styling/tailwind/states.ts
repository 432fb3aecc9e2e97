import type { StateName } from '../../../design/states.js'
import { STATES } from '../../../design/states.js'
import type { UiNode, UiState } from '../../../ui/nodes.js'
import { plainDifference, type Slot } from './slots.js'

type Variants = {
  /** Of the element itself, when it is pressed or filled in. */
  readonly acting: string
  /** Of a box around the control that has the state. */
  readonly within: string
}

/** What stands before the classes of a state. In something else that has the state, `group-` stands before that. */
const VARIANTS: Readonly<Record<StateName, Variants>> = {
  hover: { acting: 'hover', within: 'hover' },
  focus: { acting: 'focus-visible', within: 'has-focus-visible' },
  pressed: { acting: 'active', within: 'active' },
  selected: { acting: 'aria-selected', within: 'has-checked' },
  current: { acting: 'aria-[current=page]', within: 'has-aria-[current=page]' },
  invalid: { acting: 'aria-invalid', within: 'has-aria-invalid' },
  disabled: { acting: 'disabled', within: 'has-disabled' },
}

const variantOf = ({ state, of, isWithin, node }: UiState): string => {
  const { acting, within } = VARIANTS[state]
  const own = isWithin
    ? within
    : node.type === 'control' && state === 'selected'
      ? 'checked'
      : acting
  return of === 'owner' ? `group-${own}` : own
}

const REACTIONS: Readonly<Record<NonNullable<UiNode['reacts']>, readonly string[]>> = {
  darkens: ['hover:brightness-95', 'active:brightness-90'],
  fills: ['hover:bg-current/10', 'active:bg-current/15'],
  underlines: ['hover:underline'],
}

const reactionClasses = (node: UiNode): readonly string[] => {
  if (!node.reacts) return []
  const isUnderlined = node.type === 'text' && node.textStyle.decoration === 'underline'
  return isUnderlined ? ['hover:no-underline'] : REACTIONS[node.reacts]
}

/** The classes of the states of a node: what each changes of its look, in the order in which they win. */
export const stateClasses = (node: UiNode, slotsOf: (node: UiNode) => Slot[]): string[] => {
  const { states = [], isOwner, reacts } = node
  if (states.length === 0 && !isOwner && !reacts) return []
  const rest = states.length > 0 ? slotsOf(node) : []
  const drawn = [...states]
    .sort((a, b) => STATES.indexOf(a.state) - STATES.indexOf(b.state))
    .flatMap((state) => {
      const variant = variantOf(state)
      // What is in a node decides some of its slots, and is the same in every state.
      const look = 'children' in node ? { ...state.node, children: node.children } : state.node
      return plainDifference(rest, slotsOf(look as UiNode)).map((token) => `${variant}:${token}`)
    })
  return [...(isOwner ? ['group'] : []), ...drawn, ...reactionClasses(node)]
}
