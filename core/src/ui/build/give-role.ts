import { NO_SIDES } from '../../design/geometry.js'
import type { RoleReading } from '../../meaning/roles/index.js'
import { wordsOf, textsIn } from '../describe-page.js'
import { insideOf, type UiBox, type UiControl, type UiNode } from '../nodes.js'
import { onlyChild, PLAIN_LOOK } from '../plain-style.js'
import { asMenu } from '../menus.js'
import type { BuildContext } from './context.js'
import { asDescriptions, withItems } from './items.js'
import { asGroup, asList } from './list.js'
import { selectable } from './selectable.js'
import { asItem, wrapNode } from './wrap.js'

const CELL_ROLES = ['rowgroup', 'row', 'columnheader', 'cell'] as const
/** What else stands in a table or a row: parsers of HTML move anything out of a table that is no row, row group or cell. */
const asPartOfTable = (child: UiNode, isRow: boolean): UiNode => {
  const isKnown = CELL_ROLES.some((role) => role === child.item)
  if (isKnown || child.style.place.kind === 'absolute') return child
  if (isRow) return asItem(child, 'cell')
  return textsIn(child).length === 0
    ? asItem(child, 'rowspacer')
    : wrapNode(asItem(child, 'cell'), { item: 'row' })
}

/** A box of a table, with what is in it as rows or cells. */
const withCells = (context: BuildContext, box: UiBox, { role, columns }: RoleReading): UiBox => ({
  ...box,
  ...(box.style.arrange.kind === 'grid' && columns ? { columns } : {}),
  children: withItems(context, box, CELL_ROLES).map((child) =>
    asPartOfTable(child, role === 'row'),
  ),
})

/**
 * A row that shows and hides what stands below it. The distance between the two is part of what is hidden: how a gap is
 * kept in a disclosure, browsers do not agree.
 */
const asDisclosure = (context: BuildContext, box: UiBox, reading: RoleReading): UiBox => {
  const { group, isOn } = reading
  const siblings = [...context.roles.values()].filter((one) => one.group === group)
  const isExclusive = group !== undefined && siblings.filter((one) => one.isOn).length === 1
  const common = {
    role: 'disclosure',
    ...(isOn ? { isOpen: true } : {}),
    ...(isExclusive ? { oneOf: context.ids.of(group) } : {}),
  } as const
  const [head, ...body] = box.children
  const { arrange } = box.style
  if (!isOn || !head || arrange.kind !== 'column') {
    context.account.approximated(box.layer, 'disclosure', 'what it opens was not drawn')
    return wrapNode(asItem(box, 'summary'), common)
  }
  const inner: UiBox = {
    type: 'box',
    layer: `${box.layer}~body`,
    name: box.name,
    style: {
      ...PLAIN_LOOK,
      place: onlyChild('column', 'stretch'),
      width: { sizing: 'stretch', px: box.style.width.px },
      height: { sizing: 'fit', px: 0 },
      limits: {},
      arrange: { ...arrange, padding: { ...NO_SIDES, top: arrange.gap } },
    },
    children: body,
  }
  return {
    ...box,
    ...common,
    style: { ...box.style, arrange: { ...arrange, gap: 0 } },
    children: [asItem(head, 'summary'), inner],
  }
}

/** A box as the label of a file chooser, which is there for the keyboard and readers, and not seen. */
const asFileChooser = (context: BuildContext, box: UiBox, reading: RoleReading): UiBox => {
  const id = context.ids.of(box.layer)
  context.account.approximated(
    box.layer,
    'file chooser',
    'the name of a file that was chosen is not shown',
  )
  const control: UiControl = {
    type: 'control',
    layer: `${box.layer}~file`,
    name: box.name,
    control: 'file',
    id,
    ...(reading.isRequired ? { isRequired: true } : {}),
    ...(reading.describedBy === undefined
      ? {}
      : { describedBy: context.ids.of(reading.describedBy) }),
    textTokens: {},
    padding: NO_SIDES,
    style: {
      ...PLAIN_LOOK,
      place: {
        kind: 'absolute',
        x: { edge: 'start', px: 0, hold: 'start' },
        y: { edge: 'start', px: 0, hold: 'start' },
        isUnder: false,
      },
      width: { sizing: 'fixed', px: 1 },
      height: { sizing: 'fixed', px: 1 },
      limits: {},
      arrange: { kind: 'none' },
    },
  }
  return { ...box, role: 'label', labelFor: id, children: [...box.children, control] }
}

/** What a dialog is called: by its heading, else by its name. */
const titleOf = (box: UiBox): string => {
  const heading = textsIn(box).find((text) => text.level !== undefined)
  return heading ? wordsOf(heading) : box.name
}

/** A box as what it was read to be; its children as items, where it is a list or table. */
export const giveRole = (
  context: BuildContext,
  box: UiBox,
  reading: RoleReading | undefined,
): UiBox => {
  switch (reading?.role) {
    case 'alert':
    case 'article':
    case 'banner':
    case 'contentinfo':
    case 'complementary':
    case 'form':
    case 'main':
    case 'search':
    case 'status':
      return { ...box, role: reading.role }
    case 'dialog':
      return { ...box, role: 'dialog', label: titleOf(box) || 'Dialog' }
    case 'spinbutton':
      return { ...box, role: 'group' }
    case 'file':
      return asFileChooser(context, box, reading)
    case 'tablist':
      return { ...box, role: 'tablist', children: selectable(context, box.children) }
    case 'menu':
      return { ...asMenu(box), role: 'menu', label: box.name || 'Menu' }
    case 'descriptionlist':
      return asDescriptions(context, box)
    case 'disclosure':
      return asDisclosure(context, box, reading)
    case 'group':
    case 'radiogroup':
      return asGroup(context, box, reading)
    case 'figure':
      return {
        ...box,
        role: 'figure',
        children: box.children.map((child) =>
          child.layer === reading.caption ? asItem(child, 'caption') : child,
        ),
      }
    case 'progressbar':
      return {
        ...box,
        role: 'progressbar',
        percent: reading.percent ?? 0,
        label: box.name || 'Progress',
      }
    case 'list':
      return asList(context, box, reading)
    case 'navigation': {
      const isList = (child: UiNode): boolean => child.type === 'box' && child.role === 'list'
      const isOfLinks = box.children.some((child) => 'link' in child && child.link !== undefined)
      // Links in groups have a list in each.
      if (box.children.some(isList) || (!isOfLinks && insideOf(box).some(isList))) {
        return { ...box, role: 'navigation' }
      }
      const { menu, ...list } = asList(context, box, reading)
      return wrapNode(list, { role: 'navigation', ...(menu === undefined ? {} : { menu }) })
    }
    case 'table':
      return { ...withCells(context, box, reading), role: 'table' }
    case 'rowgroup':
    case 'row':
      return withCells(context, box, reading)
    default:
      return box
  }
}
