import { walkNodes, type LayoutNode } from '../layout/index.js'
import { adaptTree, type AdaptedReading } from './adapt.js'
import { findPeers } from './peers.js'
import { createComfort } from './comfort.js'
import { applyDifferences } from './differences.js'
import type { SaidWidths } from './prepare.js'
import { mapNodes } from '../layout/flow/tree.js'
import type { WidthReading } from './reading.js'
import type { Solver } from '../layout/flow/solver.js'

/** A tree as it is from a width of the window on, in px, up to the next. */
export type Step = { readonly fromPx: number; readonly root: LayoutNode }

export type Spread = {
  /** From narrow to wide; the first begins at 0. */
  readonly steps: readonly Step[]
  readonly readings: readonly WidthReading[]
}

/** Readings of one layer and kind at several steps are one: it holds below the widest of them. */
const joinReadings = (
  steps: readonly {
    readonly belowPx: number
    readonly readings: readonly AdaptedReading[]
  }[],
): WidthReading[] => {
  const joined = new Map<string, WidthReading>()
  // The widest step comes first: where it begins to hold is what matters.
  for (const { belowPx, readings } of [...steps].reverse()) {
    for (const reading of readings) {
      const id = `${reading.kind} ${reading.layer}`
      const known = joined.get(id)
      if (!known) joined.set(id, { ...reading, belowPx })
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
  walkNodes(root, (node) => {
    if (node.contentMax === undefined) return
    const said = node.widths?.contentMax !== undefined
    readings.push({
      layer: node.layer.key,
      kind: 'hold',
      value: `content at most ${Math.round(node.contentMax)} px wide, centred`,
      evidence: said ? 'said by hand' : 'even room on both sides of the page',
      confidence: said ? 1 : 0.8,
      isRuling: said,
    })
  })
  return readings
}

type Options = {
  readonly solver: Solver
  /** Widths at which it may change, in px. */
  readonly breakpoints: readonly number[]
  /** What a person has said. */
  readonly said: SaidWidths
}

/** The windows an artboard is for: from `fromPx` on and below `beforePx`. */
export type Range = { readonly fromPx: number; readonly beforePx: number }

/** Widths from which on something is as a person has said, in px. */
const saidWidths = (said: SaidWidths): number[] =>
  Object.values(said).flatMap(({ at = [] }) =>
    at.flatMap(({ from, below }) => (below === undefined ? [from] : [from, below])),
  )

const inOrder = (widths: readonly number[]): number[] => [...new Set(widths)].sort((a, b) => a - b)

/** The prepared tree of one artboard in all the windows it is for, narrower and wider than itself. */
export const spreadTree = (
  prepared: LayoutNode,
  { solver, breakpoints, said }: Options,
  { fromPx, beforePx }: Range,
): Spread => {
  const own = prepared.box.width
  const comfort = createComfort(solver)
  const words = new Map<LayoutNode, boolean>()
  const peers = findPeers(prepared)
  const changes = [...breakpoints, ...saidWidths(said)]
  const narrower = inOrder([fromPx, ...changes].filter((px) => px >= fromPx && px < own))
  const adapted = narrower.map((px) => ({
    fromPx: px,
    ...adaptTree(prepared, { solver, comfort, fromPx: px, drawnPx: own, words, peers }),
  }))
  // Beyond its own width an artboard is as drawn, but for what a person has said.
  const wider = inOrder([own, ...changes.filter((px) => px > own)])
    .filter((px) => px >= fromPx && px < beforePx)
    .map((px) => ({ fromPx: px, root: mapNodes(prepared, (node) => applyDifferences(node, px)) }))
  const steps = [...adapted.map(({ fromPx: px, root }) => ({ fromPx: px, root })), ...wider]
  const readings = joinReadings(
    adapted.map((step, i) => ({ belowPx: narrower[i + 1] ?? own, readings: step.readings })),
  )
  return {
    // A tree that is the one before it says nothing new.
    steps: steps.filter((step, i) => step.root !== steps[i - 1]?.root),
    readings: [...heldReadings(prepared), ...readings],
  }
}
