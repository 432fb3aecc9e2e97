import { uniteBoxes, type Box } from '../design/geometry.js'
import type { Arrange } from '../design/layout.js'
import { mean, spread } from '../math/statistics.js'
import { endOn, startOn, type Axis } from './axis.js'
import { comparePlace, cutBands, type Item } from './bands.js'
import { isLevelLine, itemsIn, type Block } from './block.js'
import {
  addToColumns,
  chooseColumns,
  columnsOf,
  findDoubt,
  isLabelledList,
  type River,
} from './columns-first.js'
import { findGrid } from './fit-grid.js'
import { findWrap } from './fit-wrap.js'
import type { Doubt } from './node.js'
import { cutParts, saidParts, type SaidGroup, type SaidPart } from './said-groups.js'
import { findSections } from './sections.js'
import { signItems } from './signature.js'

const boxOf = (items: readonly Item[]): Box => uniteBoxes(items.map((item) => item.box))

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
/** Things of one kind stand in groups where these are so many times further apart than what is in them. */
const APART_TIMES = 1.5
/** Distances inside of groups that repeat are one distance when they differ by no more, in px or in shares of it. */
const EVEN_INSIDE_PX = 8
const EVEN_INSIDE_SHARE = 0.35

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
      // Things of one kind are one run, unless they clearly stand in pairs.
      const areOneKind = new Set(signs.slice(start, start + period)).size === 1
      if (areOneKind && widestInside * APART_TIMES > closestBetween) continue
      // What belongs together stands equally close each time; cells of a table stand where their columns begin.
      const insideAt = (nth: number): readonly number[] =>
        Array.from({ length: groups }, (_, group) => gaps[start + group * period + nth]!)
      const areEqual = Array.from({ length: period - 1 }, (_, nth) => insideAt(nth)).every(
        (own) => spread(own) <= Math.max(EVEN_INSIDE_PX, EVEN_INSIDE_SHARE * mean(own)),
      )
      if (!areEqual) continue
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

/** The parts of a row; one thing is a row of one. */
const cellsIn = (part: Block): readonly Block[] | undefined =>
  part.kind === 'row' ? part.parts : part.kind === 'item' ? [part] : undefined

/** Rows one under the other that `find` reads as one thing become one part, as many of them as it can be. */
const joinRows = <R>(
  parts: readonly Block[],
  cellsIn: (part: Block) => readonly Block[] | undefined,
  find: (rows: readonly (readonly Box[])[]) => R | undefined,
  toBlock: (
    reading: R,
    whole: { parts: readonly Block[]; box: Box; rows: readonly Block[] },
  ) => Block,
): readonly Block[] => {
  const joined: Block[] = []
  for (let i = 0; i < parts.length;) {
    let best: { count: number; reading: R } | undefined
    const rows: (readonly Block[])[] = []
    for (const part of parts.slice(i)) {
      const cells = cellsIn(part)
      if (!cells) break
      rows.push(cells)
      const reading = find(rows.map((row) => row.map((cell) => cell.box)))
      if (reading) best = { count: rows.length, reading }
      else if (rows.length > 1) break
    }
    if (!best) {
      joined.push(parts[i++]!)
      continue
    }
    const cells = rows.slice(0, best.count).flat()
    const box = uniteBoxes(cells.map((cell) => cell.box))
    joined.push(toBlock(best.reading, { parts: cells, box, rows: parts.slice(i, i + best.count) }))
    i += best.count
  }
  return joined
}

/** Rows whose cells form a grid become one part. */
const joinGrids = (parts: readonly Block[]): readonly Block[] =>
  joinRows(parts, cellsIn, findGrid, (grid, whole) => ({ kind: 'grid', grid, ...whole }))

/** What wraps is small; larger boxes in rows are cards. */
const MOST_TAG_PX = 64

/** A box with something in it, as tags are; loose words in rows are more likely a table. */
const isBoxed = (block: Block): boolean =>
  block.kind === 'item' && block.item.nest.content.length > 0 && block.box.height <= MOST_TAG_PX

const tagsIn = (part: Block): readonly Block[] | undefined => {
  const cells = cellsIn(part)
  return cells?.every(isBoxed) ? cells : undefined
}

/** Rows of things of one kind that are one row which breaks at the edge become one part. */
const joinWraps = (parts: readonly Block[]): readonly Block[] =>
  joinRows(parts, tagsIn, findWrap, (wrap, whole) => ({ kind: 'wrap', wrap, ...whole }))

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
const completeStart = (
  rows: readonly Item[][],
  extents: readonly (readonly River[])[],
): Run | undefined => {
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

/** Reads how some of the things stand to each other. */
type ArrangePart = (items: readonly Item[]) => Block

/** Each label with all that stands beside and under it, up to the next label. */
const arrangeEntries = ({ rows, columns }: Run, arrangePart: ArrangePart): Block[] => {
  const edge = (columns[0]!.to + columns[1]!.from) / 2
  const entries: { label: Item[]; content: Item[] }[] = []
  for (const row of rows) {
    const label = row.filter((item) => item.box.x < edge)
    const content = row.filter((item) => item.box.x >= edge)
    const last = entries.at(-1)
    if (label.length > 0 || !last) entries.push({ label, content })
    else last.content.push(...content)
  }
  return entries.map(({ label, content }) => {
    const parts = [label, content].filter((items) => items.length > 0).map(arrangePart)
    return line('row', parts)
  })
}

const withDoubt = (block: Block, doubt: Doubt | undefined): Block =>
  doubt && (block.kind === 'row' || block.kind === 'column') ? { ...block, doubt } : block

/** Runs of rows that are better read as columns side by side become one part each. */
const joinColumns = (
  rows: readonly Item[][],
  arrangePart: ArrangePart,
  groups: readonly SaidGroup[],
): Block[] => {
  const extents = rows.map(columnsOf)
  const parts: Block[] = []
  for (let i = 0; i < rows.length;) {
    const complete = completeStart(rows.slice(i), extents.slice(i))
    const runs = [findRun(rows, extents, i), complete].filter((run) => run !== undefined)
    const [longest] = runs
    const said =
      longest && longest.rows.length < rows.length && arrangeAsSaid(longest.rows.flat(), groups)
    if (said) {
      parts.push(...(said.kind === 'column' ? said.parts : [said]))
      i += longest.rows.length
      continue
    }
    const choices = runs.map((run) => chooseColumns(run.rows, run.columns))
    const index = choices.findIndex((choice) => choice.columnsFirst)
    const chosen = runs[index]
    const labelled = runs.find((run) => isLabelledList(run.rows, run.columns))
    if (labelled) {
      parts.push(...arrangeEntries(labelled, arrangePart))
      i += labelled.rows.length
      continue
    }
    if (chosen) {
      const items = chosen.rows.flat()
      const row = line('row', groupRepeats(cutBands(items, 'x').map(arrangePart), 'row'))
      parts.push(withDoubt(row, findDoubt(chosen.rows, chosen.columns, choices[index]!)))
      i += chosen.rows.length
      continue
    }
    // Rows of a table belong together as rows; none of them needs to be asked again.
    const settled = complete?.rows.length ?? 1
    const asRows = rows.slice(i, i + settled).map(arrangePart)
    const doubt =
      complete && findDoubt(complete.rows, complete.columns, choices[runs.indexOf(complete)]!)
    parts.push(withDoubt(asRows[0]!, doubt), ...asRows.slice(1))
    i += settled
  }
  return parts
}

/**
 * Columns beside something tall that are one list: entries with what belongs to each on the same line. Cut
 * along the tall thing they fell apart.
 */
const joinLists = (columns: readonly Item[][]): Item[][] => {
  if (columns.length < 3) return [...columns]
  const joined: Item[][] = [columns[0]!]
  for (const column of columns.slice(1)) {
    const both = [...joined.at(-1)!, ...column]
    const rows = cutBands(both, 'y')
    const extents = rows.map(columnsOf)
    const shared = extents.filter((row) => row.length > 1).length
    const rivers = extents.reduce<readonly River[] | undefined>(
      (all, row) => all && (addToColumns(all, row) ?? (all.length > 1 ? undefined : all)),
      extents[0],
    )
    const isList =
      rows.length > 2 &&
      shared > 1 &&
      rivers?.length === 2 &&
      !chooseColumns(rows, rivers).columnsFirst
    if (isList) joined[joined.length - 1] = both
    else joined.push(column)
  }
  return joined
}

const toColumn = (parts: readonly Block[]): Block => {
  const joined = groupRepeats(joinWraps(joinGrids(parts)), 'column')
  const box = uniteBoxes(joined.map((part) => part.box))
  return line('column', findSections(joined, box, isLevelLine))
}

/** A band of parts as the file groups them: side by side, or one. Undefined where no straight line parts them. */
const arrangeBand = (
  band: readonly SaidPart[],
  groups: readonly SaidGroup[],
): Block | undefined => {
  if (band.length === 1) return arrange(band[0]!.items, groups)
  const columns = cutParts(band, 'x')
  if (columns.length === 1) return undefined
  const parts = columns.map((column) => arrangeSaid(column, groups))
  return parts.includes(undefined) ? undefined : line('row', parts as readonly Block[])
}

/** Things in the rows and columns of the groups that the file puts them in; what stands in no group is read between them. */
const arrangeSaid = (
  parts: readonly SaidPart[],
  groups: readonly SaidGroup[],
): Block | undefined => {
  const bands = cutParts(parts, 'y')
  if (bands.length === 1) return arrangeBand(bands[0]!, groups)
  const blocks: Block[] = []
  let loose: Item[] = []
  const closeLoose = (): void => {
    if (loose.length === 0) return
    const block = arrange(loose, groups)
    blocks.push(...(block.kind === 'column' ? block.parts : [block]))
    loose = []
  }
  for (const band of bands) {
    if (band.every(({ isGroup }) => !isGroup)) {
      loose.push(...band.flatMap(({ items }) => items))
      continue
    }
    closeLoose()
    const block = arrangeBand(band, groups)
    if (!block) return undefined
    blocks.push(block)
  }
  closeLoose()
  return toColumn(blocks)
}

const arrangeAsSaid = (items: readonly Item[], groups: readonly SaidGroup[]): Block | undefined => {
  const parts = saidParts(items, groups)
  return parts && arrangeSaid(parts, groups)
}

/** Reads how things stand to each other: as the groups of the file part them, and from their places. */
export const arrange = (items: readonly Item[], groups: readonly SaidGroup[] = []): Block => {
  if (items.length === 1) return { kind: 'item', item: items[0]!, box: items[0]!.box }
  const arrangePart: ArrangePart = (part) => arrange(part, groups)
  const rows = cutBands(items, 'y')
  const columns = cutBands(items, 'x')
  // Where both cuts are possible the file may say which is meant.
  if (rows.length > 1 && columns.length > 1) {
    const said = arrangeAsSaid(items, groups)
    if (said) return said
  }
  if (rows.length > 1) return toColumn(joinColumns(rows, arrangePart, groups))
  if (columns.length > 1) {
    return line('row', groupRepeats(joinLists(columns).map(arrangePart), 'row'))
  }
  return { kind: 'free', items, box: boxOf(items) }
}

/** The contents of a container in the arrangement a person has said, each thing a part of its own. */
export const arrangeAs = (items: readonly Item[], arrange: Arrange): Block => {
  const box = boxOf(items)
  if (arrange === 'overlay') return { kind: 'free', items, box }
  const toPart = (item: Item): Block => ({ kind: 'item', item, box: item.box })
  if (arrange === 'grid') {
    const rows = cutBands(items, 'y').map((row) =>
      line('row', [...row].sort(comparePlace('x')).map(toPart)),
    )
    return line('column', joinWraps(joinGrids(rows)))
  }
  const axis = axisOf(arrange)
  const parts = [...items].sort(comparePlace(axis)).map(toPart)
  return parts.length === 1 ? parts[0]! : { kind: arrange, parts, box }
}

const isNoText = (part: Block): boolean =>
  part.kind !== 'item' || part.item.nest.piece.kind !== 'text'

/** Reads how the contents of a container stand, whose box is `bounds`. */
export const arrangeContainer = (
  items: readonly Item[],
  bounds: Box,
  groups: readonly SaidGroup[],
): Block => {
  const block = arrange(items, groups)
  if (block.kind !== 'column') return block
  const parts = findSections(block.parts, bounds, isNoText)
  return parts === block.parts ? block : { ...block, parts }
}
