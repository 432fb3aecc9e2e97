import { uniteBoxes, type Box } from '../design/geometry.js'
import { endOn, sizeOn, startOn, type Axis } from './axis.js'
import { cutBands, type Item } from './bands.js'
import { addToColumns, chooseColumns, columnsOf, type River } from './columns-first.js'
import { signItems } from './signature.js'

/** How the contents of a container stand to each other. */
export type Block =
  | { readonly kind: 'item'; readonly item: Item; readonly box: Box }
  | {
      readonly kind: 'row' | 'column'
      readonly parts: readonly Block[]
      readonly box: Box
      /** Reaches from edge to edge of its container and up to its neighbours: a section of a page. */
      readonly isSection?: boolean
    }
  /** Nothing separates them: they stay where they are. */
  | { readonly kind: 'free'; readonly items: readonly Item[]; readonly box: Box }

const boxOf = (items: readonly Item[]): Box => uniteBoxes(items.map((item) => item.box))

const itemsIn = (block: Block): readonly Item[] =>
  block.kind === 'item'
    ? [block.item]
    : block.kind === 'free'
      ? block.items
      : block.parts.flatMap(itemsIn)

const signOf = (block: Block): string =>
  block.kind === 'item' ? signItems([block.item]) : `${block.kind}(${signItems(itemsIn(block))})`

const line = (kind: 'row' | 'column', parts: readonly Block[]): Block => {
  if (parts.length === 1) return parts[0]!
  // A row in a row says nothing: its parts stand in the outer one.
  const box = uniteBoxes(parts.map((part) => part.box))
  return { kind, parts, box }
}

const axisOf = (kind: 'row' | 'column'): Axis => (kind === 'row' ? 'x' : 'y')

const gapsOf = (parts: readonly Block[], axis: Axis): number[] =>
  parts.slice(1).map((part, i) => startOn(part.box, axis) - endOn(parts[i]!.box, axis))

const LONGEST_PERIOD = 6
// Inside a repeated group things stand closer than the groups do, by at least this many px.
const CLOSER_PX = 1.5

/**
 * Groups what repeats: title, text, title, text with less room inside than between becomes two groups.
 * `[start, end)` is the stretch that repeats and `period` the number of parts in one group.
 */
const findRepeat = (
  signs: readonly string[],
  gaps: readonly number[],
): { start: number; end: number; period: number } | undefined => {
  let best: { start: number; end: number; period: number } | undefined
  for (let period = 2; period <= Math.min(LONGEST_PERIOD, Math.floor(signs.length / 2)); period++) {
    for (let start = 0; start + 2 * period <= signs.length; start++) {
      let end = start + period
      while (end < signs.length && signs[end] === signs[end - period]) end++
      const groups = Math.floor((end - start) / period)
      if (groups < 2) continue
      const stop = start + groups * period
      let widestInside = -Infinity
      let closestBetween = Infinity
      for (let i = start; i < stop - 1; i++) {
        const isBetween = (i + 1 - start) % period === 0
        if (isBetween) closestBetween = Math.min(closestBetween, gaps[i]!)
        else widestInside = Math.max(widestInside, gaps[i]!)
      }
      if (widestInside + CLOSER_PX > closestBetween) continue
      if (!best || stop - start > best.end - best.start) best = { start, end: stop, period }
      start = stop - period
    }
    if (best && best.end - best.start === signs.length) break
  }
  return best
}

const groupRepeats = (parts: readonly Block[], kind: 'row' | 'column'): readonly Block[] => {
  if (parts.length < 4) return parts
  const signs = parts.map(signOf)
  const repeat = findRepeat(signs, gapsOf(parts, axisOf(kind)))
  if (!repeat) return parts
  const { start, end, period } = repeat
  const groups: Block[] = []
  for (let i = start; i < end; i += period) groups.push(line(kind, parts.slice(i, i + period)))
  return [
    ...groupRepeats(parts.slice(0, start), kind),
    ...groups,
    ...groupRepeats(parts.slice(end), kind),
  ]
}

type Run = { readonly rows: readonly Item[][]; readonly columns: readonly River[] }

/** The longest run of rows from `from` on that leave the same columns free. */
const findRun = (
  rows: readonly Item[][],
  extents: readonly (readonly River[])[],
  from: number,
): Run | undefined => {
  let columns = extents[from]!
  let to = from + 1
  for (; to < rows.length; to++) {
    const next = addToColumns(columns, extents[to]!)
    if (!next) break
    columns = next
  }
  const isOneWide = extents.slice(from, to).every((parts) => parts.length < 2)
  if (columns.length < 2 || to - from < 2 || isOneWide) return undefined
  return { rows: rows.slice(from, to), columns }
}

/** Only the leading rows that have something in every column. */
const completeStart = (rows: readonly Item[][], extents: readonly (readonly River[])[]): Run | undefined => {
  const count = extents[0]!.length
  if (count < 2) return undefined
  let columns: readonly River[] = extents[0]!
  let to = 1
  for (; to < rows.length; to++) {
    if (extents[to]!.length !== count) break
    const next = addToColumns(columns, extents[to]!)
    if (next?.length !== count) break
    columns = next
  }
  return to < 2 ? undefined : { rows: rows.slice(0, to), columns }
}

/** Runs of rows that are better read as columns side by side become one part each. */
const joinColumns = (rows: readonly Item[][]): Block[] => {
  const extents = rows.map(columnsOf)
  const parts: Block[] = []
  for (let i = 0; i < rows.length;) {
    const complete = completeStart(rows.slice(i), extents.slice(i))
    const runs = [findRun(rows, extents, i), complete].filter((run) => run !== undefined)
    const chosen = runs.find((run) => chooseColumns(run.rows, run.columns).columnsFirst)
    if (chosen) {
      const items = chosen.rows.flat()
      parts.push(line('row', groupRepeats(cutBands(items, 'x').map(arrange), 'row')))
      i += chosen.rows.length
      continue
    }
    // Rows of a table belong together as rows; none of them needs to be asked again.
    const settled = complete?.rows.length ?? 1
    for (const row of rows.slice(i, i + settled)) parts.push(arrange(row))
    i += settled
  }
  return parts
}

/** Reads how things stand to each other from their places alone. */
export const arrange = (items: readonly Item[]): Block => {
  if (items.length === 1) return { kind: 'item', item: items[0]!, box: items[0]!.box }
  const rows = cutBands(items, 'y')
  if (rows.length > 1) return line('column', groupRepeats(joinColumns(rows), 'column'))
  const columns = cutBands(items, 'x')
  if (columns.length > 1) return line('row', groupRepeats(columns.map(arrange), 'row'))
  return { kind: 'free', items, box: boxOf(items) }
}

// What is nearly as wide as its container reaches from edge to edge.
const EDGE_PX = 2
const LEAST_INSET_PX = 16

/**
 * Between parts that reach from edge to edge of a page, what stands loose is a section of its own, with the
 * room around it as its padding.
 */
const findSections = (parts: readonly Block[], bounds: Box): readonly Block[] => {
  const isFull = ({ box }: Block): boolean =>
    box.x <= bounds.x + EDGE_PX && endOn(box, 'x') >= endOn(bounds, 'x') - EDGE_PX
  const isHigh = (part: Block): boolean => isFull(part) && sizeOn(part.box, 'y') > 8
  if (!parts.some(isHigh)) return parts
  const sections: Block[] = []
  let loose: Block[] = []
  const close = (next: number): void => {
    if (loose.length === 0) return
    const inset = Math.min(
      ...loose.flatMap(({ box }) => [box.x - bounds.x, endOn(bounds, 'x') - endOn(box, 'x')]),
    )
    if (loose.length < 2 || inset < LEAST_INSET_PX) sections.push(...loose)
    else {
      const last = sections.at(-1)
      const from = last ? endOn(last.box, 'y') : bounds.y
      const box = { x: bounds.x, y: from, width: bounds.width, height: next - from }
      sections.push({ kind: 'column', parts: loose, box, isSection: true })
    }
    loose = []
  }
  for (const part of parts) {
    if (isFull(part)) {
      close(part.box.y)
      sections.push(part)
    } else loose.push(part)
  }
  close(endOn(uniteBoxes(loose.map((part) => part.box)), 'y'))
  return sections
}

/** Reads how the contents of a container stand, whose box is `bounds`. */
export const arrangeContainer = (items: readonly Item[], bounds: Box): Block => {
  const block = arrange(items)
  if (block.kind !== 'column') return block
  const parts = findSections(block.parts, bounds)
  return parts === block.parts ? block : { ...block, parts }
}
