import { roundPx, type Box } from '../design/geometry.js'
import { mean } from '../math/statistics.js'
import { endOn } from './axis.js'
import { isHeldByContent, isShape, isText, shellNode, type Draft, type Shell } from './draft.js'
import type { LayoutNode } from './node.js'
import { EVEN_PX, isEven } from './spacing.js'

/** A row that breaks is given this much room to spare, so that rounding does not break it earlier. */
const MOST_SPARE_PX = 4

/** Things of one kind in lines that break where the width ends, such as tags. */
export type WrapReading = {
  readonly gap: number
  readonly lineGap: number
  /** The width at which the lines break as they are drawn. */
  readonly width: number
}

/** Boxes that stand under each other in columns of unlike widths are cells of a table. */
const areCells = ([first, ...others]: readonly (readonly Box[])[]): boolean =>
  first !== undefined &&
  first.length >= 3 &&
  !isEven(first.map((box) => box.width)) &&
  others.every(
    (row) => row.length === first.length && row.every((box, i) => isEven([box.x, first[i]!.x])),
  )

/** Whether rows of boxes are one row that wraps: each next box would not have fitted where the row before ends. */
export const findWrap = (rows: readonly (readonly Box[])[]): WrapReading | undefined => {
  const [first] = rows
  if (!first || rows.length < 2 || first.length < 2 || areCells(rows)) return undefined
  const all = rows.flat()
  const gaps = rows.flatMap((row) => row.slice(1).map((box, i) => box.x - endOn(row[i]!, 'x')))
  const lineGaps = rows.slice(1).map((row, i) => row[0]!.y - endOn(rows[i]![0]!, 'y'))
  const isRegular =
    isEven(all.map((box) => box.height)) &&
    isEven(rows.map((row) => row[0]!.x)) &&
    rows.every((row) => isEven(row.map((box) => box.y))) &&
    isEven(gaps) &&
    isEven(lineGaps)
  if (!isRegular || gaps[0]! < 0 || lineGaps[0]! < 0) return undefined
  const left = first[0]!.x
  const ends = rows.map((row) => endOn(row.at(-1)!, 'x'))
  const widest = Math.max(...ends) - left
  // Lines that break end anywhere; those that all end at one edge are drawn to fill it.
  if (ends.filter((end) => left + widest - end <= EVEN_PX).length > 1) return undefined
  const needed = rows
    .slice(1)
    .map((row, i) => endOn(rows[i]!.at(-1)!, 'x') - left + gaps[0]! + row[0]!.width)
  const spare = Math.min(...needed) - widest
  if (spare <= 1) return undefined
  return {
    gap: roundPx(mean(gaps)),
    lineGap: roundPx(mean(lineGaps)),
    width: roundPx(widest + Math.min(MOST_SPARE_PX, spare / 2)),
  }
}

/** Things in lines that break as a row that wraps. The drafts are in reading order. */
export const fitWrap = (
  drafts: readonly Draft[],
  { gap, lineGap, width }: WrapReading,
  shell: Shell,
): Draft | undefined => {
  // In a box of its own the lines break at its edge, which has to leave them this room.
  if (shell.isPadded) return undefined
  const box = { ...shell.box, width }
  const children = drafts.map((draft): LayoutNode => {
    const { node } = draft
    const isOwn = isHeldByContent(draft)
    return {
      ...node,
      sizing: { width: isOwn ? 'fit' : 'fixed', height: isShape(node) ? 'fixed' : 'fit' },
      ...(isText(draft) && !draft.range ? { keepsLines: true } : {}),
    }
  })
  return {
    node: {
      ...shellNode({ ...shell, box }),
      arrangement: {
        kind: 'row',
        gap,
        lineGap,
        padding: 0,
        align: 'start',
        distribute: 'start',
        wrap: true,
      },
      children,
    },
    natural: { width: undefined, height: box.height },
  }
}
