import type { Box } from '../design/geometry.js'
import { overlapOn } from '../layout/axis.js'
import type { TextMeasure } from '../text/measure.js'
import { createSolver, shownOf, type Placed } from '../layout/flow/solver.js'
import { finish } from './finish.js'
import type { Step } from './spread.js'
import { NARROWEST_PX, WIDEST_PX } from './window.js'

/** Something that does not hold between two widths of the window, in px, both included. */
export type Break = {
  readonly kind: 'overflow' | 'overlap' | 'cut'
  /** Key of the layer at fault. */
  readonly layer: string
  readonly fromPx: number
  readonly toPx: number
  /** The worst of it, in px. */
  readonly px: number
}

/** Less than this is nobody's fault, in px. */
const SLACK_PX = 1

/** By how much two boxes lie over one another, in px; negative where they do not. */
const reach = (a: Box, b: Box): number => Math.min(overlapOn(a, b, 'x'), overlapOn(a, b, 'y'))

type Fault = Pick<Break, 'kind' | 'layer' | 'px'>

/** What is wrong on a page this wide, where its boxes have been found. */
const findFaults = (placed: readonly Placed[], windowPx: number): Fault[] => {
  const faults: Fault[] = []
  const scrolling = new Set<Placed['node']>()
  const clips = new Map<Placed['node'], Box>()
  const siblings = new Map<Placed['node'], Placed[]>()
  for (const item of shownOf(placed)) {
    const { node, parent, box } = item
    if (node.scrolls || (parent && scrolling.has(parent))) scrolling.add(node)
    const isClipping = 'clip' in node.layer && node.layer.clip
    const clip = parent ? clips.get(parent) : undefined
    if (isClipping) clips.set(node, box)
    else if (clip) clips.set(node, clip)
    // What reaches out at its start cannot even be scrolled to.
    const over = Math.max(box.x + box.width - windowPx, node.placement.kind === 'flow' ? -box.x : 0)
    const isInScroll = parent !== undefined && scrolling.has(parent)
    if (over > SLACK_PX && !isInScroll && !clip) {
      faults.push({ kind: 'overflow', layer: node.layer.key, px: over })
    }
    if (clip && node.layer.type === 'text') {
      const right = box.x + box.width - (clip.x + clip.width)
      const below = box.y + box.height - (clip.y + clip.height)
      const px = Math.max(right, below)
      if (px > 2 && !isInScroll) faults.push({ kind: 'cut', layer: node.layer.key, px })
    }
    if (!parent || node.placement.kind === 'overlay') continue
    // Things in a flow stand beside one another, unless one of them was drawn over the other.
    const list = siblings.get(parent) ?? []
    siblings.set(parent, list)
    for (const other of list.slice(-3)) {
      const px = reach(other.box, box)
      const drawn = reach(other.node.box, node.box)
      if (px > 2 && px > drawn + 1) faults.push({ kind: 'overlap', layer: node.layer.key, px })
    }
    list.push(item)
  }
  // Of things inside one another that reach out, the innermost is at fault.
  const overflowing = new Set(
    faults.filter((fault) => fault.kind === 'overflow').map((fault) => fault.layer),
  )
  const holding = new Set(
    placed
      .filter(({ node, parent }) => parent && overflowing.has(node.layer.key))
      .map(({ parent }) => parent!.layer.key),
  )
  return faults.filter((fault) => fault.kind !== 'overflow' || !holding.has(fault.layer))
}

export type SweepOptions = {
  readonly measure: TextMeasure
  readonly fromPx?: number
  readonly toPx?: number
  readonly stepPx?: number
}

/**
 * Lays a page out at every width from 320 to 2560 px and tells where something reaches out of the window, lies over
 * its neighbour or is cut off. The same fault at widths in a row is one break. It stops after each width, so that
 * whoever asks can do something else in between.
 */
export function* sweepWidths(
  steps: readonly Step[],
  { measure, fromPx = NARROWEST_PX, toPx = WIDEST_PX, stepPx = 8 }: SweepOptions,
): Generator<void, readonly Break[]> {
  const solver = createSolver(measure)
  const breaks: Break[] = []
  let open = new Map<string, Break>()
  for (let width = fromPx; width <= toPx; width += stepPx) {
    const step = steps.findLast((s) => s.fromPx <= width)
    const next = new Map<string, Break>()
    if (step) {
      for (const { kind, layer, px } of findFaults(solver.place(step.root, width), width)) {
        const id = `${kind} ${layer}`
        const known = open.get(id) ?? next.get(id)
        next.set(id, {
          kind,
          layer,
          fromPx: known?.fromPx ?? width,
          toPx: width,
          px: Math.round(Math.max(px, known?.px ?? 0)),
        })
      }
    }
    for (const [id, ended] of open) if (!next.has(id)) breaks.push(ended)
    open = next
    yield
  }
  return [...breaks, ...open.values()].sort(
    (a, b) => a.fromPx - b.fromPx || (a.layer < b.layer ? -1 : 1),
  )
}

/** All breaks of a page, found at once. */
export const sweepPage = (steps: readonly Step[], options: SweepOptions): readonly Break[] =>
  finish(sweepWidths(steps, options))
