import { uniteBoxes } from '../design/geometry.js'
import { areaOf, endOn, overlapOn } from './axis.js'
import { doOverlap, type Item } from './bands.js'
import { isOpaque, type Nest } from './nest.js'
import { sweepPairs } from './sweep.js'

/** A surface that takes at least this share of all the room is the page, not a message over it. */
const PAGE_SHARE = 0.5

/** Whether words are hidden by what was painted over them: a message or a menu over the page. */
const hidesWords = (
  { nest: { piece } }: Item,
  { nest: { piece: words } }: Item,
  pageArea: number,
): boolean =>
  words.kind === 'text' &&
  piece.kind === 'surface' &&
  piece.order > words.order &&
  isOpaque(piece) &&
  areaOf(piece.box) < PAGE_SHARE * pageArea

/** Of two things that overlap, the one that lies over the other: much smaller, else painted later. */
const isOver = (a: Item, b: Item, pageArea: number): boolean => {
  if (hidesWords(a, b, pageArea)) return true
  if (hidesWords(b, a, pageArea)) return false
  const [areaA, areaB] = [areaOf(a.box), areaOf(b.box)]
  if (areaA < areaB * 0.8) return true
  if (areaB < areaA * 0.8) return false
  return a.nest.piece.order > b.nest.piece.order
}

/** Pairs that overlap. */
const findPairs = (items: readonly Item[]): [over: Item, under: Item][] => {
  const sorted = [...items].sort(
    (a, b) => a.box.y - b.box.y || a.box.x - b.box.x || a.nest.piece.order - b.nest.piece.order,
  )
  const pageArea = areaOf(uniteBoxes(items.map(({ box }) => box)))
  return [...sweepPairs(sorted)].flatMap(([item, other]): [Item, Item][] =>
    doOverlap(item, other) ? [isOver(item, other, pageArea) ? [item, other] : [other, item]] : [],
  )
}

/** An overlay belongs to what it overlaps when at least this much of it lies there. */
const BELONGS_SHARE = 0.25

/** An overlay that reaches this far beyond both sides of a thing belongs to the container of both. */
const BEYOND_PX = 8

const belongsTo = (over: Item, under: Item): boolean => {
  const isWider =
    over.box.x < under.box.x - BEYOND_PX && endOn(over.box, 'x') > endOn(under.box, 'x') + BEYOND_PX
  const shared = overlapOn(over.box, under.box, 'x') * overlapOn(over.box, under.box, 'y')
  return !isWider && shared >= BELONGS_SHARE * areaOf(over.box)
}

export type Separated = {
  /** What can stand side by side, with its overlays. */
  readonly items: readonly Item[]
  /** Overlays of the container as a whole. */
  readonly overlays: readonly Nest[]
}

/**
 * Takes what overlaps others on purpose out of the flow: a badge on a corner belongs to what it lies on,
 * and what lies between things belongs to their container.
 */
export const separateOverlaps = (items: readonly Item[]): Separated => {
  const pairs = findPairs(items)
  if (pairs.length === 0) return { items, overlays: [] }
  const below = new Map<Item, Item[]>()
  for (const [over, under] of pairs) {
    const all = below.get(over)
    if (all) all.push(under)
    else below.set(over, [under])
  }
  const ground = (item: Item, depth = 0): Item | undefined => {
    const under = below.get(item)
    if (!under) return item
    if (under.length !== 1 || !belongsTo(item, under[0]!) || depth > 20) return undefined
    return ground(under[0]!, depth + 1)
  }
  const overlays: Nest[] = []
  const onItems = new Map<Item, Nest[]>()
  for (const item of items) {
    if (!below.has(item)) continue
    const base = ground(item)
    if (!base || base === item) overlays.push(item.nest)
    else onItems.set(base, [...(onItems.get(base) ?? []), item.nest])
  }
  return {
    items: items
      .filter((item) => !below.has(item))
      .map((item) => {
        const own = onItems.get(item)
        return own ? { ...item, overlays: own } : item
      }),
    overlays,
  }
}
