import type { WidthDifference } from '../design/widths.js'
import type { LayoutNode } from '../layout/index.js'
import { scaleText } from './shrink.js'

const applies = ({ from, below }: WidthDifference, windowPx: number): boolean =>
  from <= windowPx && (below === undefined || windowPx < below)

const sized = (
  node: LayoutNode,
  axis: 'width' | 'height',
  value: WidthDifference['width'],
): LayoutNode => {
  if (value === undefined) return node
  if (typeof value !== 'number') return { ...node, sizing: { ...node.sizing, [axis]: value } }
  return {
    ...node,
    sizing: { ...node.sizing, [axis]: 'fixed' },
    box: { ...node.box, [axis]: value },
  }
}

const arranged = (node: LayoutNode, difference: WidthDifference): LayoutNode => {
  const { arrangement } = node
  const { direction, columns, gap, padding } = difference
  if (arrangement.kind === 'free') return node
  const inset = padding === undefined ? {} : { padding }
  if (columns !== undefined) {
    const own = arrangement.kind === 'grid' ? arrangement.columnGap : arrangement.gap
    return {
      ...node,
      arrangement: {
        kind: 'grid',
        columns,
        columnGap: gap ?? own,
        rowGap: gap ?? own,
        padding: arrangement.padding,
        align: arrangement.align === 'baseline' ? 'start' : arrangement.align,
        ...inset,
      },
    }
  }
  if (arrangement.kind === 'grid') {
    if (direction === undefined) {
      const gaps = gap === undefined ? {} : { columnGap: gap, rowGap: gap }
      return { ...node, arrangement: { ...arrangement, ...gaps, ...inset } }
    }
    const line = {
      gap: gap ?? arrangement.columnGap,
      padding: arrangement.padding,
      align: arrangement.align,
      distribute: 'start' as const,
      wrap: false,
    }
    return { ...node, arrangement: { kind: direction, ...line, ...inset } }
  }
  const kind = direction ?? arrangement.kind
  const gaps = gap === undefined ? {} : { gap }
  return { ...node, arrangement: { ...arrangement, kind, ...gaps, ...inset } }
}

const typed = (node: LayoutNode, fontSize: number | undefined): LayoutNode =>
  fontSize === undefined || node.layer.type !== 'text'
    ? node
    : { ...node, layer: scaleText(node.layer, fontSize) }

/** The difference a person has said for this width; later ones win. */
const differenceAt = (node: LayoutNode, windowPx: number): WidthDifference | undefined => {
  const at = node.widths?.at?.filter((difference) => applies(difference, windowPx)) ?? []
  return at.length === 0 ? undefined : Object.assign({}, ...at)
}

/** A node as a person has said it is from this width of the window on. */
export const applyDifferences = (node: LayoutNode, windowPx: number): LayoutNode => {
  const difference = differenceAt(node, windowPx)
  if (!difference) return node
  const { hidden, order, fontSize, width, height } = difference
  const own = typed(arranged(node, difference), fontSize)
  return {
    ...sized(sized(own, 'width', width), 'height', height),
    ...(hidden === undefined ? {} : { isHidden: hidden }),
    ...(order === undefined ? {} : { order }),
  }
}
