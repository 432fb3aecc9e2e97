import { resolveSides, type Box } from '../design/geometry.js'
import { isText, type Draft } from './draft.js'
import type { LayoutNode } from './node.js'
import { solveFlow, type Measured } from './solve.js'

/** How far a box may come back from where it was drawn; the letters of a text may by a px. */
export type Tolerance = number
const TEXT_PX = 1.01
/** What is asked first, and what is taken as the jitter of a hand when nothing comes closer. */
export const EXACT_PX: Tolerance = 0.51
export const JITTER_PX: Tolerance = 1.01

const measuredOf = (draft: Draft, node: LayoutNode): Measured => ({
  node,
  widest: draft.natural.width,
  height: () => draft.natural.height ?? draft.node.box.height,
})

/** Where letters begin, are centred or end, in a box of some width. */
const holdOn = (box: Box, align: string): number =>
  align === 'centre' ? box.x + box.width / 2 : align === 'end' ? box.x + box.width : box.x

const isTextBack = (draft: Draft, node: LayoutNode, wanted: Box, got: Box): boolean => {
  const { layer } = node
  if (layer.type !== 'text') return false
  const align = node.textAlign ?? layer.align
  const isWrapped =
    !draft.range || (got.width > draft.range.least - 0.5 && got.width < draft.range.most)
  return (
    isWrapped &&
    got.width >= Math.min(wanted.width, draft.range?.least ?? wanted.width) - TEXT_PX &&
    Math.abs(holdOn(wanted, align) - holdOn(got, align)) <= TEXT_PX &&
    Math.abs(wanted.y - got.y) <= TEXT_PX
  )
}

const isBoxBack = (wanted: Box, got: Box, by: Tolerance): boolean =>
  Math.abs(wanted.x - got.x) <= by &&
  Math.abs(wanted.y - got.y) <= by &&
  Math.abs(wanted.width - got.width) <= by &&
  Math.abs(wanted.height - got.height) <= by

/** How high a reading's content with its padding is, when nothing makes it higher. */
export const contentHeight = (
  { node, natural }: Draft,
  drafts: readonly Draft[],
): number | undefined => {
  const { arrangement, box } = node
  if (arrangement.kind === 'free') return natural.height
  const children = node.children.slice(0, drafts.length)
  const solved = solveFlow(
    arrangement,
    children.map((child, i) => measuredOf(drafts[i]!, child)),
    drafts.map((draft) => draft.baseline),
    { width: box.width, height: undefined },
  )
  const bottoms = solved.map((at, i) => at.y + at.height + children[i]!.margin.bottom)
  return Math.max(0, ...bottoms) + resolveSides(arrangement.padding).bottom
}

/** Whether a reading, laid out again, gives every child the box it was drawn with. */
export const isProved = (
  { node }: Draft,
  drafts: readonly Draft[],
  tolerance: Tolerance,
): boolean => {
  const { arrangement, box } = node
  if (arrangement.kind === 'free') return true
  const children = node.children.slice(0, drafts.length)
  const solved = solveFlow(
    arrangement,
    children.map((child, i) => measuredOf(drafts[i]!, child)),
    drafts.map((draft) => draft.baseline),
    { width: box.width, height: box.height },
  )
  return drafts.every((draft, i) => {
    const drawn = draft.node.box
    const wanted = { ...drawn, x: drawn.x - box.x, y: drawn.y - box.y }
    return isText(draft)
      ? isTextBack(draft, children[i]!, wanted, solved[i]!)
      : isBoxBack(wanted, solved[i]!, tolerance)
  })
}
