import { UniqueNames } from '../text/names.js'
import { insideOf, mapChildren, type UiNode } from './nodes.js'

/** The id a node has by itself; what is shown and hidden keeps its own, since what presses it names that. */
const ownId = (node: UiNode): string | undefined =>
  node.type === 'control' ? node.id : node.when === undefined ? node.id : undefined

/** The name of a menu, at the panel that has it as its id. */
const menuOf = (node: UiNode): string | undefined => (node.type === 'box' ? node.menu : undefined)

/** All ids of a page. */
export const idsIn = (root: UiNode): ReadonlySet<string> =>
  new Set(
    [root, ...insideOf(root)]
      .flatMap((node) => [ownId(node), menuOf(node), node.type === 'control' ? undefined : node.id])
      .filter((id) => id !== undefined),
  )

/** Counts how often each name was met before. */
class Counter {
  private readonly counts = new Map<string, number>()
  next(name: string): number {
    const count = (this.counts.get(name) ?? 0) + 1
    this.counts.set(name, count)
    return count
  }
}

/**
 * A page on which no two elements have one id. What stands in unlike places at unlike widths is there once for each: the second
 * is `name-2`, and so are its label, what describes it and the button that shows it.
 */
export const withUniqueIds = (root: UiNode): UiNode => {
  const total = new Map<string, number>()
  for (const node of [root, ...insideOf(root)]) {
    for (const id of [ownId(node), menuOf(node)]) {
      if (id !== undefined) total.set(id, (total.get(id) ?? 0) + 1)
    }
  }
  if ([...total.values()].every((count) => count === 1)) return root
  // Radio buttons are known by the name of their group, which no other control may have.
  const groups = insideOf(root).flatMap((node) =>
    node.type === 'control' && node.group !== undefined ? [node.group] : [],
  )
  const free = new UniqueNames('-', [...total.keys(), ...groups])
  const names = new Map(
    [...total].map(([id, count]) => [
      id,
      [id, ...Array.from({ length: count - 1 }, () => free.take(id))],
    ]),
  )
  const owners = new Counter()
  const labels = new Counter()
  const descriptions = new Counter()
  const groupLabels = new Counter()
  const buttons = new Counter()
  const pick = (id: string, nth: number): string => {
    const all = names.get(id)
    return all?.[Math.min(nth, all.length) - 1] ?? id
  }
  const rename = (node: UiNode): UiNode => {
    const changed: Record<string, unknown> = {}
    const id = ownId(node)
    if (id !== undefined) changed['id'] = pick(id, owners.next(id))
    if ('labelFor' in node && node.labelFor !== undefined) {
      changed['labelFor'] = pick(node.labelFor, labels.next(node.labelFor))
    }
    if (node.type === 'control' && node.describedBy !== undefined) {
      changed['describedBy'] = pick(node.describedBy, descriptions.next(node.describedBy))
    }
    if (node.type === 'box' && node.labelledBy !== undefined) {
      changed['labelledBy'] = pick(node.labelledBy, groupLabels.next(node.labelledBy))
    }
    const menu = menuOf(node)
    if (menu !== undefined) changed['menu'] = pick(menu, owners.next(menu))
    if (node.type === 'menu-button') changed['menu'] = pick(node.menu, buttons.next(node.menu))
    const own = Object.entries(changed).some(
      ([key, value]) => (node as Readonly<Record<string, unknown>>)[key] !== value,
    )
      ? ({ ...node, ...changed } as UiNode)
      : node
    return mapChildren(own, rename)
  }
  return rename(root)
}
