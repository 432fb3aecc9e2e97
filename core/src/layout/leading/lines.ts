import type { Box } from '../../design/geometry.js'
import { childrenOf, type Layer, type TextLayer } from '../../design/layer.js'
import { measureBoxes } from '../../design/walk.js'
import { endOn, overlapOn } from '../axis.js'

/** Things are looked up by the bands of this height that they reach into, in px. */
const BAND_PX = 64
/** Things that are further away than so many bands say nothing of a line. */
const MOST_BANDS = 4
/** The part of the letters that nothing reaches into, however tight lines are set: above and below the baseline, by size. */
const CORE = { above: 0.7, below: 0.15 }

/** Something with an edge that is seen. */
export type Edge = { readonly layer: Layer; readonly box: Box; readonly line?: Line }

/** A text of one line, the height of which the file does not say. */
export type Line = {
  readonly layer: TextLayer
  /** Where it stands on the page, as high as the font makes a line. */
  readonly box: Box
  /** Where its letters stand on the page. */
  readonly baseline: number
  above?: Neighbour
  below?: Neighbour
}

/** The nearest edge on one side of a line; `holds`: of something behind the line, which holds it. */
export type Neighbour = Edge & { readonly holds: boolean }

/** The edge that a line below, or in it, stands under. */
export const topOf = ({ box, holds }: Neighbour): number => (holds ? box.y : endOn(box, 'y'))
/** The edge that a line above, or in it, stands over. */
export const bottomOf = ({ box, holds }: Neighbour): number => (holds ? endOn(box, 'y') : box.y)

const isOneLine = ({ style, lines, runs }: TextLayer): boolean =>
  style.lineHeight === undefined &&
  lines?.length === 1 &&
  runs.every((run) => run.style.size === undefined)

/** Everything that has an edge that is seen, in paint order; containers that only hold things have none. */
const edgesIn = (root: Layer): readonly Edge[] => {
  const boxes = measureBoxes(root)
  const found: Edge[] = []
  const visit = (layer: Layer): void => {
    if (!layer.visible) return
    const inside = childrenOf(layer)
    const isBare =
      layer !== root &&
      inside.length > 0 &&
      !('fills' in layer && layer.fills.length + layer.strokes.length > 0)
    if (!isBare) {
      const box = boxes.get(layer.key)!
      const line =
        layer.type === 'text' && isOneLine(layer)
          ? { layer, box, baseline: box.y + layer.lines![0]!.baseline }
          : undefined
      found.push({ layer, box, ...(line ? { line } : {}) })
    }
    inside.forEach(visit)
  }
  visit(root)
  return found
}

/** What no other thing reaches into. */
const coreOf = ({ layer, box, line }: Edge): Box => {
  if (!line || layer.type !== 'text') return box
  const { size } = layer.style
  const y = line.baseline - size * CORE.above
  return { ...box, y, height: size * (CORE.above + CORE.below) }
}

const bandsOf = ({ y, height }: Box): readonly number[] => {
  const [first, last] = [Math.floor(y / BAND_PX), Math.floor((y + height) / BAND_PX)]
  return Array.from({ length: last - first + 1 }, (_, i) => first + i)
}

/** Things by the bands they reach into. */
class Bands {
  private readonly bands = new Map<number, Edge[]>()

  constructor(edges: readonly Edge[]) {
    for (const edge of edges) {
      for (const band of bandsOf(edge.box)) {
        const known = this.bands.get(band)
        if (known) known.push(edge)
        else this.bands.set(band, [edge])
      }
    }
  }

  /** What reaches into the bands of a box, and into some more above and below. */
  near(box: Box): ReadonlySet<Edge> {
    const reach = BAND_PX * MOST_BANDS
    const wide = { ...box, y: box.y - reach, height: box.height + 2 * reach }
    return new Set(bandsOf(wide).flatMap((band) => this.bands.get(band) ?? []))
  }
}

/** The texts of one line on a page, each with the nearest edge above and below it. */
export const findLines = (root: Layer): { lines: readonly Line[]; edges: readonly Edge[] } => {
  const edges = edgesIn(root)
  const bands = new Bands(edges)
  const lines: Line[] = []
  for (const own of edges) {
    const { line } = own
    if (!line) continue
    lines.push(line)
    const core = coreOf(own)
    const [top, bottom] = [core.y, endOn(core, 'y')]
    let [highest, lowest] = [-Infinity, Infinity]
    for (const edge of bands.near(own.box)) {
      if (edge === own || overlapOn(edge.box, own.box, 'x') <= 0) continue
      const other = coreOf(edge)
      const [from, to] = [other.y, endOn(other, 'y')]
      const holds = from <= top && to >= bottom
      const [over, under] = holds ? [from, to] : [to, from]
      if (over <= top && over > highest) {
        highest = over
        line.above = { ...edge, holds }
      }
      if (under >= bottom && under < lowest) {
        lowest = under
        line.below = { ...edge, holds }
      }
    }
  }
  return { lines, edges }
}
