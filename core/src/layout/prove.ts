import type { Box } from '../design/geometry.js'
import { isText, type Draft } from './draft.js'
import type { LayoutNode } from './node.js'
import { contentHeight, solveFlow, type Measured } from './solve.js'

/** How far a box may come back from where it was drawn, in px; the letters of a text may by a px. */
const TEXT_PX = 1.01
/** What is asked first, and what is taken as the jitter of a hand when nothing comes closer. */
const EXACT_PX = 0.51
const JITTER_PX = 1.01

/** How well a reading gives the drawing back. */
type Proof = 'exact' | 'jitter'

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
    got.width >=
      Math.min(wanted.width, draft.range?.least ?? wanted.width) -
        Math.max(TEXT_PX, draft.doubt ?? 0) &&
    Math.abs(holdOn(wanted, align) - holdOn(got, align)) <= TEXT_PX &&
    Math.abs(wanted.y - got.y) <= TEXT_PX
  )
}

const distance = (wanted: Box, got: Box): number =>
  Math.max(
    Math.abs(wanted.x - got.x),
    Math.abs(wanted.y - got.y),
    Math.abs(wanted.width - got.width),
    Math.abs(wanted.height - got.height),
  )

/** Where a reading puts the drafts; undefined when it leaves them at their coordinates. */
const solve = ({ node }: Draft, drafts: readonly Draft[], height?: number): Box[] | undefined => {
  const { arrangement, box } = node
  if (arrangement.kind === 'free') return undefined
  return solveFlow(
    arrangement,
    drafts.map((draft, i) => measuredOf(draft, node.children[i]!)),
    drafts.map((draft) => draft.baseline),
    { width: box.width, height },
  )
}

/** How high a reading's content with its padding is, when nothing makes it higher. */
const naturalHeight = (reading: Draft, drafts: readonly Draft[]): number | undefined => {
  const { arrangement, children } = reading.node
  const solved = solve(reading, drafts)
  if (!solved || arrangement.kind === 'free') return reading.natural.height
  return contentHeight(arrangement, solved, children)
}

/** Whether a reading, laid out again, gives every child the box it was drawn with; undefined when it does not. */
const prove = (reading: Draft, drafts: readonly Draft[]): Proof | undefined => {
  const { box, children } = reading.node
  const solved = solve(reading, drafts, box.height)
  if (!solved) return 'exact'
  let furthest = 0
  for (const [i, draft] of drafts.entries()) {
    const drawn = draft.node.box
    const wanted = { ...drawn, x: drawn.x - box.x, y: drawn.y - box.y }
    if (!isText(draft)) {
      // Room to spare need not be there.
      const lost = wanted.width - solved[i]!.width
      const room = Math.max(draft.spare ?? 0, draft.doubt ?? 0)
      const spared = lost > 0 ? Math.min(lost, room) : 0
      const needed = { ...wanted, width: wanted.width - spared }
      furthest = Math.max(furthest, distance(needed, solved[i]!))
    } else if (!isTextBack(draft, children[i]!, wanted, solved[i]!)) return undefined
  }
  if (furthest <= EXACT_PX) return 'exact'
  return furthest <= JITTER_PX ? 'jitter' : undefined
}

/**
 * A container as high as its content makes it. Where that differs from the drawing by no more than jitter the
 * box is corrected, so that the distances around it are measured from where it will end, and nothing drifts.
 */
const withContentHeight = (draft: Draft, height: number | undefined): Draft => {
  const { node } = draft
  const natural = { ...draft.natural, height }
  const isNear = height !== undefined && Math.abs(height - node.box.height) <= JITTER_PX
  return isNear
    ? { ...draft, natural, node: { ...node, box: { ...node.box, height } } }
    : { ...draft, natural }
}

/** A way to read drafts; undefined where it does not apply. */
export type Reading = () => Draft | undefined

/** The first reading that, laid out again, gives back the boxes exactly, else the first that nearly does. */
export const firstProved = (
  readings: readonly Reading[],
  drafts: readonly Draft[],
): Draft | undefined => {
  let proved: Draft | undefined
  for (const read of readings) {
    const reading = read()
    const proof = reading && prove(reading, drafts)
    if (proof === 'exact') {
      proved = reading
      break
    }
    if (proof) proved ??= reading
  }
  return proved && withContentHeight(proved, naturalHeight(proved, drafts))
}
