import { uniteBoxes, type Box } from '../design/geometry.js'
import { endOn } from './axis.js'
import { isLevelLine, type Block } from './block.js'
import { borderFromLines, withEdges } from './edge-lines.js'
import type { Piece } from './pieces.js'

// What is nearly as wide as its container reaches from edge to edge.
const EDGE_PX = 2
const LEAST_INSET_PX = 8

type Section = Extract<Block, { kind: 'row' | 'column' }>

const lineOf = (part: Block | undefined): Piece | undefined =>
  part && isLevelLine(part) && part.kind === 'item' ? part.item.nest.piece : undefined

/** A section with the lines above and below it as its border, if a border can look like them. */
const withBorder = (
  section: Section,
  above: Piece | undefined,
  below: Piece | undefined,
): Section => {
  const edges = { ...(above ? { top: above } : {}), ...(below ? { bottom: below } : {}) }
  return borderFromLines(edges)
    ? { ...section, edges, box: withEdges(section.box, edges) }
    : section
}

/** Lines between sections become borders: each of the section under it, the last of the one above it. */
const takeLines = (parts: readonly Block[]): readonly Block[] => {
  const isSection = (part: Block | undefined): part is Section =>
    part !== undefined && 'isSection' in part && part.isSection === true
  const taken = new Set<Block>()
  const bordered = parts.map((part, i) => {
    if (!isSection(part)) return part
    const above = lineOf(parts[i - 1])
    const below = isSection(parts[i + 2]) ? undefined : lineOf(parts[i + 1])
    const next = withBorder(part, above, below)
    if (next !== part) {
      if (above) taken.add(parts[i - 1]!)
      if (below) taken.add(parts[i + 1]!)
    }
    return next
  })
  return bordered.filter((part) => !taken.has(part))
}

/**
 * Between parts that reach from edge to edge of a page, what stands loose is a section of its own, with the
 * room around it as its padding.
 */
export const findSections = (
  parts: readonly Block[],
  bounds: Box,
  separates: (part: Block) => boolean,
): readonly Block[] => {
  const isFull = (part: Block): boolean =>
    separates(part) &&
    part.box.x <= bounds.x + EDGE_PX &&
    endOn(part.box, 'x') >= endOn(bounds, 'x') - EDGE_PX
  if (!parts.some(isFull)) return parts
  const sections: Block[] = []
  let loose: Block[] = []
  const close = (next: Block | undefined): void => {
    if (loose.length === 0) return
    const inset = Math.min(
      ...loose.flatMap(({ box }) => [box.x - bounds.x, endOn(bounds, 'x') - endOn(box, 'x')]),
    )
    const last = sections.at(-1)
    const from = last ? endOn(last.box, 'y') : bounds.y
    const to = next ? next.box.y : endOn(bounds, 'y')
    const box = { x: bounds.x, y: from, width: bounds.width, height: to - from }
    const [only] = loose
    const isBesideLine = lineOf(last) !== undefined || lineOf(next) !== undefined
    if (loose.length === 1 && (only!.kind === 'row' || only!.kind === 'column')) {
      const isSection = inset >= LEAST_INSET_PX || isBesideLine
      sections.push(isSection ? { ...only!, box, isSection } : only!)
    } else if (loose.length > 1 && inset >= LEAST_INSET_PX) {
      const inner = uniteBoxes(loose.map((part) => part.box))
      const parts = findSections(loose, inner, isLevelLine)
      sections.push({ kind: 'column', parts, box, isSection: true })
    } else sections.push(...loose)
    loose = []
  }
  for (const part of parts) {
    const isRow = part.kind === 'row' && lineOf(sections.at(-1)) !== undefined
    if (isFull(part) && !isRow) {
      close(part)
      sections.push(part)
    } else loose.push(part)
  }
  close(undefined)
  return takeLines(sections)
}
