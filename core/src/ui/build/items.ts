import type { UiBox, UiNode } from '../nodes.js'
import type { BuildContext } from './context.js'
import { asItem } from './wrap.js'

const PAIR_ROLES = ['term', 'definition'] as const

/** What is in a box as the items its readings say it is. */
export const withItems = <Item extends NonNullable<UiNode['item']>>(
  { roles }: BuildContext,
  box: UiBox,
  kinds: readonly Item[],
): readonly UiNode[] =>
  box.children.map((child) => {
    const role = roles.get(child.layer)?.role
    const item = kinds.find((one) => one === role)
    return item ? asItem(child, item) : child
  })

/** Terms and what is said of them, right in the list or in pairs. */
export const asDescriptions = (context: BuildContext, box: UiBox): UiBox => ({
  ...box,
  role: 'descriptionlist',
  children: withItems(context, box, PAIR_ROLES).map((child) =>
    child.type === 'box' && !child.role
      ? { ...child, children: withItems(context, child, PAIR_ROLES) }
      : child,
  ),
})
