import type { Box } from '../../design/geometry.js'
import { overlapOn } from '../../layout/axis.js'
import type { LayoutNode } from '../../layout/index.js'
import { shownOf, type Solver } from '../../layout/flow/solver.js'

/** A node that is shown at some width, with its place there and where it was drawn; in px, from the page's corner. */
export type Seen = {
  readonly node: LayoutNode
  readonly box: Box
  /** Absent: it was not shown as drawn, such as the button of a menu. */
  readonly drawn: Box | undefined
  readonly parent: Seen | undefined
  readonly children: readonly Seen[]
}

/** A page at a width, beside the same page as drawn. */
export type LaidOut = {
  readonly windowPx: number
  readonly drawnPx: number
  /** Parents before what is in them. */
  readonly all: readonly Seen[]
  readonly solver: Solver
}

/** Where everything that is shown was drawn, by the key of its layer. */
export const drawnBoxes = (drawn: LayoutNode, solver: Solver): ReadonlyMap<string, Box> =>
  new Map(
    shownOf(solver.place(drawn, drawn.box.width)).map(({ node, box }) => [node.layer.key, box]),
  )

/** Lays a page out at a width of the window, in px. */
export const layOut = (
  root: LayoutNode,
  windowPx: number,
  drawnPx: number,
  drawn: ReadonlyMap<string, Box>,
  solver: Solver,
): LaidOut => {
  const seen = new Map<LayoutNode, Seen & { readonly children: Seen[] }>()
  for (const { node, parent, box } of shownOf(solver.place(root, windowPx))) {
    const above = parent && seen.get(parent)
    const own = { node, box, drawn: drawn.get(node.layer.key), parent: above, children: [] }
    above?.children.push(own)
    seen.set(node, own)
  }
  return { windowPx, drawnPx, all: [...seen.values()], solver }
}

export const isText = ({ node }: Seen): boolean => node.layer.type === 'text'

/** Whether it is paint alone: a picture, a drawing, a shape. */
export const isPaint = ({ node }: Seen): boolean =>
  node.layer.type !== 'text' && (node.children.length === 0 || node.isGraphic)

/** Whether something has a ground or an edge of its own. */
export const hasGround = ({ node: { layer } }: Seen): boolean =>
  ('fills' in layer && layer.fills.length > 0) || ('strokes' in layer && layer.strokes.length > 0)

/** By how much two boxes stand side by side, or one over the other, in px; negative where they do not. */
export const shareLine = (a: Box, b: Box): number => overlapOn(a, b, 'y')
export const shareColumn = (a: Box, b: Box): number => overlapOn(a, b, 'x')

/** Whether all of these stood in one line as drawn. */
export const wereInLine = (things: readonly Seen[]): boolean =>
  things.every(({ drawn }, i) => {
    const before = things[i - 1]?.drawn
    return (
      drawn !== undefined && (i === 0 || (before !== undefined && shareLine(drawn, before) > 0))
    )
  })

/** Things in the lines they stand in, from the top. */
export const inLines = (things: readonly Seen[]): readonly (readonly Seen[])[] => {
  const lines: Seen[][] = []
  for (const thing of [...things].sort((a, b) => a.box.y - b.box.y)) {
    const line = lines.at(-1)
    if (line && shareLine(line[0]!.box, thing.box) > 0) line.push(thing)
    else lines.push([thing])
  }
  return lines
}
