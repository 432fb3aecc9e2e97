import { isClass, type MarkupElement, type MarkupNode } from './markup.js'
import { classesOf, type Overlay } from './unify.js'

/**
 * A place in things of one kind: what each has there; `slot`: each has something of its own, that has little in common with
 * that of others; `items`: the places at which items of one list stand.
 */
export type Place =
  | { readonly kind: 'same'; readonly own: Overlay }
  | { readonly kind: 'slot'; readonly cells: Overlay['cells'] }
  | { readonly kind: 'items'; readonly columns: readonly Overlay[] }

export type PlaceOptions = {
  likenessOf(classes: string): string
  /** Whether an element is what a property of the design's component is about. */
  isProperty(element: MarkupElement): boolean
  /** Whether a person has said that what stands there is given. */
  isSlot(element: MarkupElement): boolean
}

/** Fewer items are things of their own. */
const LEAST_ITEMS = 3

/** An element that has words and a look, and nothing else. */
const isItem = (node: MarkupNode): node is MarkupElement =>
  node.kind === 'element' &&
  node.isUse !== true &&
  node.part === undefined &&
  node.attributes.every(isClass) &&
  node.children.length === 1 &&
  node.children[0]!.kind === 'text' &&
  !/^h[1-6]$/.test(node.tag)

/** The words of an item. */
export const wordsOf = (node: MarkupNode): string =>
  node.kind === 'element' && node.children[0]?.kind === 'text' ? node.children[0].text : ''

/** How items look, where all that stand at a place are items that look alike. */
const looksOf = ({ cells }: Overlay, { likenessOf }: PlaceOptions): string | undefined => {
  const looks = new Set<string>()
  for (const cell of cells) {
    if (!cell) continue
    if (!isItem(cell)) return undefined
    looks.add(`${cell.tag} ${likenessOf(classesOf(cell).join(' '))}`)
  }
  return looks.size === 1 ? [...looks][0] : undefined
}

/** Items that follow one another from a place on, where some things have more of them than others. */
const itemsFrom = (
  { cells, children }: Overlay,
  from: number,
  options: PlaceOptions,
): readonly Overlay[] => {
  const looks = looksOf(children[from]!, options)
  if (looks === undefined) return []
  let to = from + 1
  while (to < children.length && looksOf(children[to]!, options) === looks) to++
  const columns = children.slice(from, to)
  const isRagged = columns.some((column) => cells.some((cell, row) => cell && !column.cells[row]))
  const isNamed = columns.some((column) =>
    column.cells.some((cell) => cell?.kind === 'element' && options.isProperty(cell)),
  )
  return columns.length >= LEAST_ITEMS && isRagged && !isNamed ? columns : []
}

/** What stands at several places that follow one another, of which each thing has exactly one; nothing where that is not so. */
const alternativesFrom = (
  { cells, children }: Overlay,
  from: number,
): { readonly cells: Overlay['cells']; readonly count: number } | undefined => {
  const merged: (MarkupNode | undefined)[] = cells.map(() => undefined)
  for (let to = from; to < children.length; to++) {
    const own = children[to]!.cells
    if (own.some((cell, row) => cell !== undefined && merged[row] !== undefined)) return undefined
    own.forEach((cell, row) => (merged[row] ??= cell))
    const isWhole = cells.every((cell, row) => !cell || merged[row] !== undefined)
    if (isWhole) return to > from ? { cells: merged, count: to - from + 1 } : undefined
  }
  return undefined
}

/** So much of what stands in things must be in all of them, or each has something of its own there. */
const COMMON_SHARE = 0.5

/** Things that stand at one place, but have hardly anything in common. */
const areDifferent = ({ cells, children }: Overlay): boolean => {
  if (children.length < 2 || cells.some((cell) => cell?.kind !== 'element')) return false
  const common = children.filter((child) => child.cells.every((cell) => cell !== undefined))
  return common.length < COMMON_SHARE * children.length
}

/** The places in things that are laid over each other. */
export const placesIn = (own: Overlay, options: PlaceOptions): readonly Place[] => {
  const places: Place[] = []
  for (let at = 0; at < own.children.length;) {
    const child = own.children[at]!
    const columns = itemsFrom(own, at, options)
    const alternatives = columns.length > 0 ? undefined : alternativesFrom(own, at)
    const isSaid = child.cells.some((cell) => cell?.kind === 'element' && options.isSlot(cell))
    if (columns.length > 0) places.push({ kind: 'items', columns })
    else if (alternatives) places.push({ kind: 'slot', cells: alternatives.cells })
    else if (isSaid || areDifferent(child)) places.push({ kind: 'slot', cells: child.cells })
    else places.push({ kind: 'same', own: child })
    at += Math.max(1, columns.length, alternatives?.count ?? 0)
  }
  return places
}
