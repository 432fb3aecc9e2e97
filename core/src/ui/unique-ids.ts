import type { UiNode } from './nodes.js'

type Named = { readonly id: string; readonly node: UiNode }

/** The id a node has by itself; what is shown and hidden keeps its own, since what presses it names that. */
const ownId = (node: UiNode): string | undefined =>
  node.type === 'control' ? node.id : node.when === undefined ? node.id : undefined

const walk = (node: UiNode, visit: (node: UiNode) => void): void => {
  visit(node)
  if ('children' in node) for (const child of node.children) walk(child, visit)
}

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
 * is `name-2`, and so are its label and what describes it.
 */
export const withUniqueIds = (root: UiNode): UiNode => {
  const found: Named[] = []
  const total = new Map<string, number>()
  walk(root, (node) => {
    const id = ownId(node)
    if (id === undefined) return
    found.push({ id, node })
    total.set(id, (total.get(id) ?? 0) + 1)
  })
  const taken = new Set(total.keys())
  const names = new Map<string, readonly string[]>()
  for (const [id, count] of total) {
    const all = [id]
    for (let number = 2; all.length < count; number++) {
      const name = `${id}-${number}`
      if (taken.has(name)) continue
      taken.add(name)
      all.push(name)
    }
    names.set(id, all)
  }
  if (found.length === total.size) return root
  const owners = new Counter()
  const labels = new Counter()
  const descriptions = new Counter()
  const groups = new Counter()
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
      changed['labelledBy'] = pick(node.labelledBy, groups.next(node.labelledBy))
    }
    const own = Object.entries(changed).some(
      ([key, value]) => (node as Readonly<Record<string, unknown>>)[key] !== value,
    )
      ? ({ ...node, ...changed } as UiNode)
      : node
    if (!('children' in own)) return own
    const children = own.children.map(rename)
    return children.every((child, i) => child === own.children[i])
      ? own
      : ({ ...own, children } as UiNode)
  }
  return rename(root)
}
