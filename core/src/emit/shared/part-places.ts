import type { MarkupElement, MarkupNode } from './markup.js'
import { itemsFrom, type ItemOptions, type Items } from './part-items.js'
import type { Overlay } from './unify.js'

/**
 * A place in things of one kind: what each has there; `slot`: each has something of its own, that has little in common with
 * that of others; `items`: items of one list, of which some things have more than others.
 */
export type Place =
  | { readonly kind: 'same'; readonly own: Overlay }
  | { readonly kind: 'slot'; readonly cells: Overlay['cells'] }
  | { readonly kind: 'items'; readonly items: Items }

export type PlaceOptions = ItemOptions & {
  /** Whether a person has said that what stands there is given. */
  isSlot(element: MarkupElement): boolean
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
    const items = itemsFrom(own, at, options)
    const alternatives = items ? undefined : alternativesFrom(own, at)
    const isSaid = child.cells.some((cell) => cell?.kind === 'element' && options.isSlot(cell))
    if (items) places.push({ kind: 'items', items })
    else if (alternatives) places.push({ kind: 'slot', cells: alternatives.cells })
    else if (isSaid || areDifferent(child)) places.push({ kind: 'slot', cells: child.cells })
    else places.push({ kind: 'same', own: child })
    at += items?.columns.length ?? alternatives?.count ?? 1
  }
  return places
}
