import type { LayoutNode } from '../layout/index.js'
import type { TextMeasure } from '../text/measure.js'
import { adaptTree, type AdaptedReading } from './adapt.js'
import { createComfort } from './comfort.js'
import { applyDifferences } from './differences.js'
import { prepareTree, type SaidWidths } from './prepare.js'
import { mapNodes } from './tree.js'
import type { WidthReading } from './reading.js'
import { createSolver, type Solver } from './solver.js'

/** A tree as it is from a width of the window on, in px, up to the next. */
export type Step = { readonly fromPx: number; readonly root: LayoutNode }

export type Spread = {
  /** From narrow to wide; the first begins at 0. */
  readonly steps: readonly Step[]
  readonly readings: readonly WidthReading[]
}

/** The widths at which a page changes when nothing else is said, in px: those the styling has names for. */
export const USUAL_BREAKPOINTS: readonly number[] = [640, 768, 1024, 1280, 1536]

/** Readings of one layer and kind at several steps are one: it holds below the widest of them. */
export const joinReadings = (
  steps: readonly {
    readonly belowPx: number | undefined
    readonly readings: readonly AdaptedReading[]
  }[],
): WidthReading[] => {
  const joined = new Map<string, WidthReading>()
  // The widest step comes first: where it begins to hold is what matters.
  for (const { belowPx, readings } of [...steps].reverse()) {
    for (const reading of readings) {
      const id = `${reading.kind} ${reading.layer}`
      const known = joined.get(id)
      if (!known) joined.set(id, { ...reading, ...(belowPx === undefined ? {} : { belowPx }) })
      else if (known.value !== reading.value && !known.value.includes(reading.value)) {
        joined.set(id, { ...known, value: `${known.value}, then ${reading.value}` })
      }
    }
  }
  return [...joined.values()]
}

/** What holds at every width. */
const heldReadings = (root: LayoutNode): WidthReading[] => {
  const readings: WidthReading[] = []
  const visit = (node: LayoutNode): void => {
    if (node.contentMax !== undefined) {
      const said = node.widths?.contentMax !== undefined
      readings.push({
        layer: node.layer.key,
        kind: 'hold',
        value: `content at most ${Math.round(node.contentMax)} px wide, centred`,
        evidence: said ? 'said by hand' : 'even room on both sides of the page',
        confidence: said ? 1 : 0.8,
        isRuling: said,
      })
    }
    node.children.forEach(visit)
  }
  visit(root)
  return readings
}

type Options = {
  readonly measure: TextMeasure
  /** It fills the window; else it is one layer, converted by itself. */
  readonly isScreen: boolean
  /** Widths at which it may change, in px. */
  readonly breakpoints: readonly number[]
  /** What a person has said. */
  readonly said?: SaidWidths | undefined
}

/** Widths from which on something is as a person has said, in px. */
const saidWidths = (said: SaidWidths, least: number): number[] =>
  Object.values(said)
    .flatMap(({ at = [] }) =>
      at.flatMap(({ from, below }) => [from, ...(below === undefined ? [] : [below])]),
    )
    .filter((px) => px > least)

/** The tree of one artboard at every width from `fromPx` to its own, and beyond. */
export const spreadTree = (
  tree: LayoutNode,
  { measure, isScreen, breakpoints, said = {} }: Options,
  {
    fromPx = 0,
    beforePx = Infinity,
  }: { readonly fromPx?: number; readonly beforePx?: number } = {},
  solver: Solver = createSolver(measure),
): Spread => {
  const prepared = prepareTree(tree, solver, isScreen, said)
  if (!isScreen) return { steps: [{ fromPx, root: prepared }], readings: [] }
  const own = tree.box.width
  const comfort = createComfort(solver)
  const words = new Map<LayoutNode, boolean>()
  const narrower = [
    ...new Set(
      [fromPx, ...breakpoints, ...saidWidths(said, 0)].filter((px) => px >= fromPx && px < own),
    ),
  ].sort((a, b) => a - b)
  const adapted = narrower.map((px) => ({
    fromPx: px,
    ...adaptTree(prepared, { solver, comfort, fromPx: px, drawnPx: own, words }),
  }))
  // Beyond its own width an artboard is as drawn, but for what a person has said.
  const wider = [
    ...new Set([own, ...breakpoints.filter((px) => px > own), ...saidWidths(said, own)]),
  ]
  const drawn = wider
    .filter((px) => px >= fromPx && px < beforePx)
    .sort((a, b) => a - b)
    .map((px) => ({
      fromPx: px,
      root:
        words.size === 0 && Object.keys(said).length === 0
          ? prepared
          : mapNodes(prepared, (node) => applyDifferences(node, px)),
    }))
  const steps = [...adapted.map(({ fromPx: px, root }) => ({ fromPx: px, root })), ...drawn]
  const readings = joinReadings(
    adapted.map((step, i) => ({ belowPx: narrower[i + 1] ?? own, readings: step.readings })),
  )
  return { steps, readings: [...heldReadings(prepared), ...readings] }
}
