import { controlsIn, sendersIn } from './forms.js'
import { isPressed } from './menus.js'
import { mapChildren, type UiBox, type UiNode } from './nodes.js'

// A page has one tree for all widths: what is right at each width may stand in something else at another. Parsers of HTML mend
// what must not stand where it does by moving or leaving out elements, and the layout with them.

type Item = NonNullable<UiNode['item']>
type Parent = UiBox['role'] | Item | undefined

const TABLE_PARTS: ReadonlySet<Item> = new Set([
  'rowgroup',
  'row',
  'rowspacer',
  'cell',
  'columnheader',
])

const CELLS: ReadonlySet<Item> = new Set(['cell', 'columnheader'])

/** What may stand in each part of a table. */
const INSIDE: Readonly<Partial<Record<NonNullable<Parent>, ReadonlySet<Item>>>> = {
  table: new Set(['rowgroup', 'row', 'rowspacer']),
  rowgroup: new Set(['row', 'rowspacer']),
  row: CELLS,
}

const parentOf = (box: UiBox): Parent => box.role ?? box.item

/** Whether a table and everything in it is built of rows and cells alone. */
const isWholeTable = (box: UiBox): boolean => {
  const parent = parentOf(box)
  const allowed = box.columns === undefined ? parent && INSIDE[parent] : CELLS
  if (!allowed) return true
  return box.children.every(
    (child) =>
      child.item !== undefined &&
      allowed.has(child.item) &&
      (child.type !== 'box' || isWholeTable(child)),
  )
}

const withoutItem = <T extends UiNode>({ item: _item, ...node }: T): T => node as unknown as T
const withoutRole = ({ role: _role, columns: _columns, ...box }: UiBox): UiBox => box

/** A table that is none at some width, as boxes. */
const withoutTable = (box: UiBox): UiBox => {
  const own = box.role === 'table' ? withoutRole(box) : box
  return {
    ...own,
    children: own.children.map((child) => {
      if (child.item === undefined || !TABLE_PARTS.has(child.item)) return child
      const bare = withoutItem(child)
      return bare.type === 'box' ? withoutTable(bare) : bare
    }),
  }
}

type Around = {
  readonly parent: Parent
  readonly isInForm: boolean
  readonly isInTable: boolean
  readonly isInPressed: boolean
}

/** What a link or a button holds is pressed with it, and labels nothing. */
const withoutLabel = (node: UiNode): UiNode => {
  if (!('labelFor' in node) || node.labelFor === undefined) return node
  const { labelFor: _labelFor, ...bare } = node
  return bare as UiNode
}

/** Whether a node takes what a person does: a click, or what is typed. */
const isInteractive = (node: UiNode): boolean =>
  node.type === 'control' || node.type === 'menu-button' || isPressed(node)

const holdsInteractive = (box: UiBox): boolean =>
  box.children.some(
    (child) => isInteractive(child) || (child.type === 'box' && holdsInteractive(child)),
  )

/** What holds a link, a button or a field is none itself: the one inside is pressed. */
const withoutPress = (box: UiBox): UiBox => {
  const { link: _link, act: _act, ...rest } = box
  return box.role === 'button' ? withoutRole(rest) : rest
}

/** A label around its control needs not name it, and around several it is none. */
const settleLabel = (box: UiBox): UiBox => {
  const controls = controlsIn(box).length
  if (box.role !== 'label' || controls === 0) return box
  const { labelFor: _labelFor, ...rest } = box
  return controls > 1 ? withoutRole(rest) : rest
}

const settle = (given: UiNode, around: Around): UiNode => {
  const { parent, isInForm, isInTable, isInPressed } = around
  const node = isInPressed ? withoutLabel(given) : given
  const isLost =
    node.item !== undefined &&
    ((TABLE_PARTS.has(node.item) && !isInTable) ||
      ((node.item === 'listitem' || node.item === 'spacer') && parent !== 'list'))
  const bare = isLost ? withoutItem(node) : node
  if (bare.type !== 'box') return bare
  const own = settleLabel(isPressed(bare) && holdsInteractive(bare) ? withoutPress(bare) : bare)
  const isForm = own.role === 'form' || own.role === 'search'
  // Nobody can send a form without a button.
  const isNoForm = isForm && (isInForm || (own.role === 'form' && sendersIn(own).length === 0))
  const plain = isNoForm ? withoutRole(own) : own
  const box = plain.role === 'table' && !isWholeTable(plain) ? withoutTable(plain) : plain
  const inside: Around = {
    parent: parentOf(box),
    isInForm: isInForm || (isForm && !isNoForm),
    isInTable: box.role === 'table' || (isInTable && box.item !== undefined),
    isInPressed: isInPressed || box.role === 'button' || box.link !== undefined,
  }
  return mapChildren(box, (child) => settle(child, inside))
}

/**
 * A page on which nothing stands where its element must not stand: no form in a form, no cell outside of a table, no button in a
 * link.
 */
export const settleNesting = (root: UiNode): UiNode =>
  settle(root, { parent: undefined, isInForm: false, isInTable: false, isInPressed: false })
