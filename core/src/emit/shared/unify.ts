import { isClass, type MarkupElement, type MarkupNode } from './markup.js'

/** Things of one kind laid over each other: what each has at this place. */
export type Overlay = {
  /** By the number of the thing; undefined where it has nothing here. */
  readonly cells: readonly (MarkupNode | undefined)[]
  readonly children: readonly Overlay[]
}

export const classesOf = (element: MarkupElement): readonly string[] => {
  const own = element.attributes.find(isClass)
  return own?.kind === 'text' ? own.text.split(' ').filter(Boolean) : []
}

/** How well two nodes would stand at one place of a template; 0: not at all. */
const fit = (a: MarkupNode, b: MarkupNode): number => {
  if (a.kind === 'text' && b.kind === 'text') return 1
  if (a.kind !== 'element' || b.kind !== 'element') return 0
  if (a.tag !== b.tag || a.content !== b.content || a.part !== b.part) return 0
  const [one, other] = [classesOf(a), new Set(classesOf(b))]
  const common = one.filter((name) => other.has(name)).length
  const all = one.length + other.size - common
  return 1 + (all === 0 ? 1 : common / all) + (a.children.length === b.children.length ? 0.25 : 0)
}

/** For each of the first the one of the second at its place, so that what fits is most; the others have none. */
const align = (
  first: readonly MarkupNode[],
  second: readonly MarkupNode[],
): readonly (readonly [number | undefined, number | undefined])[] => {
  const [n, m] = [first.length, second.length]
  const best = Array.from({ length: n + 1 }, () => new Array<number>(m + 1).fill(0))
  for (let i = n - 1; i >= 0; i--) {
    for (let j = m - 1; j >= 0; j--) {
      const own = fit(first[i]!, second[j]!)
      const both = own > 0 ? own + best[i + 1]![j + 1]! : -1
      best[i]![j] = Math.max(both, best[i + 1]![j]!, best[i]![j + 1]!)
    }
  }
  const pairs: [number | undefined, number | undefined][] = []
  let [i, j] = [0, 0]
  while (i < n || j < m) {
    const own = i < n && j < m ? fit(first[i]!, second[j]!) : 0
    if (own > 0 && best[i]![j] === own + best[i + 1]![j + 1]!) pairs.push([i++, j++])
    else if (i < n && (j >= m || best[i]![j] === best[i + 1]![j]!)) pairs.push([i++, undefined])
    else pairs.push([undefined, j++])
  }
  return pairs
}

type Column = { readonly model: MarkupNode; readonly cells: (MarkupNode | undefined)[] }

const columnsOf = (things: readonly (MarkupNode | undefined)[]): readonly Column[] => {
  const elements = things.map((thing) => (thing?.kind === 'element' ? thing : undefined))
  const widest = elements.reduce((a, b) =>
    (b?.children.length ?? -1) > (a?.children.length ?? -1) ? b : a,
  )
  let columns: Column[] = (widest?.children ?? []).map((model) => ({
    model,
    cells: things.map(() => undefined),
  }))
  elements.forEach((element, row) => {
    if (!element) return
    const pairs = align(
      columns.map(({ model }) => model),
      element.children,
    )
    columns = pairs.map(([at, own]) => {
      const node = own === undefined ? undefined : element.children[own]!
      const column = at === undefined ? undefined : columns[at]!
      const next = column ?? { model: node!, cells: things.map(() => undefined) }
      if (node) next.cells[row] = node
      return next
    })
  })
  return columns
}

/** Lays things over each other, from the outside in. Takes at least one that is there. */
export const overlay = (things: readonly (MarkupNode | undefined)[]): Overlay => ({
  cells: things,
  children: columnsOf(things).map(({ cells }) => overlay(cells)),
})
