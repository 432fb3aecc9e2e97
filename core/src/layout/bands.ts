import type { Box } from '../design/geometry.js'
import { endOn, overlapOn, sizeOn, startOn, type Axis } from './axis.js'
import type { Nest } from './nest.js'

/** One thing to be arranged: a piece with its content, and what lies over it out of the flow. */
export type Item = { readonly box: Box; readonly nest: Nest; readonly overlays: readonly Nest[] }

/** A thing that nothing lies over yet. */
export const toItem = (nest: Nest): Item => ({ box: nest.piece.box, nest, overlays: [] })

// The letters of a line take about this much of its height: lines of text may overlap by the rest.
const LINE_SLACK_SHARE = 0.3
const TEXT_SLACK_X = { share: 0.03, mostPx: 8 }
const BOX_SLACK = { share: 0.2, mostPx: 4 }
/** Edges that meet within a px do not overlap. */
export const EDGE_PX = 1.01

const slackOf = ({ nest: { piece }, box }: Item, axis: Axis): number => {
  if (piece.layer.type !== 'text') {
    return Math.min(BOX_SLACK.mostPx, sizeOn(box, axis) * BOX_SLACK.share)
  }
  if (axis === 'x')
    return Math.min(TEXT_SLACK_X.mostPx, Math.max(2, box.width * TEXT_SLACK_X.share))
  const lines = piece.layer.lines?.length ?? 1
  return (box.height / lines) * LINE_SLACK_SHARE
}

/** By so much of the smaller, things may overlap and still be apart; less where they stand beside one another anyway. */
const OVERLAP_SHARE = 0.5
const BESIDE_SHARE = 0.3

/** By how many px two things may overlap and still stand side by side. */
const slackBetween = (a: Item, b: Item, axis: Axis): number => {
  const smaller = Math.min(sizeOn(a.box, axis), sizeOn(b.box, axis))
  const across = axis === 'x' ? 'y' : 'x'
  const share = overlapOn(a.box, b.box, across) > 0 ? OVERLAP_SHARE : BESIDE_SHARE
  const slack = Math.max(slackOf(a, axis), slackOf(b, axis))
  return Math.max(EDGE_PX, Math.min(slack, smaller * share))
}

/** Whether two things overlap by more than their small inaccuracies explain. */
export const doOverlap = (a: Item, b: Item): boolean =>
  overlapOn(a.box, b.box, 'x') > slackBetween(a, b, 'x') &&
  overlapOn(a.box, b.box, 'y') > slackBetween(a, b, 'y')

/** By place, so that the order in a file does not matter. */
export const comparePlace =
  (axis: Axis) =>
  (a: Item, b: Item): number =>
    startOn(a.box, axis) - startOn(b.box, axis) ||
    endOn(a.box, axis) - endOn(b.box, axis) ||
    a.box.x - b.box.x ||
    a.box.y - b.box.y ||
    a.nest.piece.order - b.nest.piece.order

/** Cuts things, which come in the order of their starts, apart wherever one begins where all before it have ended; `slack`: by how many px the two may overlap. */
export const cutApart = <T extends { readonly box: Box }>(
  things: readonly T[],
  axis: Axis,
  slack: (furthest: T, thing: T) => number,
): T[][] => {
  const bands: T[][] = []
  let furthest: T | undefined
  for (const thing of things) {
    const isApart =
      !furthest || startOn(thing.box, axis) >= endOn(furthest.box, axis) - slack(furthest, thing)
    if (isApart) bands.push([thing])
    else bands.at(-1)!.push(thing)
    if (isApart || endOn(thing.box, axis) > endOn(furthest!.box, axis)) furthest = thing
  }
  return bands
}

/** Cuts things apart wherever a straight line passes between them: along `y` into rows, along `x` into columns. */
export const cutBands = (items: readonly Item[], axis: Axis): Item[][] =>
  cutApart([...items].sort(comparePlace(axis)), axis, (furthest, item) =>
    slackBetween(furthest, item, axis),
  )
