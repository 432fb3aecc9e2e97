import { isInFlow } from '../../layout/flow/solver.js'
import type { LayoutNode } from '../../layout/index.js'
import { roundPx, type Sides } from '../../design/geometry.js'
import { isStated, type Cell } from './cells.js'
import { distancesOf, SIDES, withDistances } from './distances.js'
import type { Change } from './trial.js'

/** Lengths are drawn on a scale of so many px, when they are nearer to it than this. */
const SCALE_PX = 4
const NEAR_SCALE_PX = 0.75
/** What adds up over the gaps of a container before its gap stays as it was drawn, in px. */
const MOST_SUM_PX = 0.75
/** A whole px is meant, and gives way only when what is before it has moved by more. */
const MOST_CARRY_PX = 0.5

/** The length that is meant by one that is drawn; `carry`: by how much what is before it is short of where it was drawn. */
const snap = (px: number, carry = 0): number => {
  const isWhole = Number.isInteger(px)
  if (isWhole && Math.abs(carry) <= MOST_CARRY_PX) return px
  const wanted = px + carry
  const scaled = Math.round(wanted / SCALE_PX) * SCALE_PX
  return (!isWhole && Math.abs(scaled - wanted) <= NEAR_SCALE_PX ? scaled : Math.round(wanted)) || 0
}

type Side = keyof Sides

/** A gap that is there so many times, between things that have grown by so much altogether, and give back as much. */
const snapGap = (px: number, times: number, grown: number): number => {
  if (times <= 0) return snap(px)
  const wanted = Math.max(0, px - grown / times)
  const whole = snap(Math.abs(wanted - px) * times <= MOST_SUM_PX ? px : roundPx(wanted))
  return Math.abs(whole - wanted) * times <= MOST_SUM_PX ? whole : roundPx(wanted)
}

/** A column that is narrower keeps its share to the fraction, in px. */
const LEAST_TRACK_PX = 16

/** The change that makes what a thing is limited to, and the columns it has, whole px; none where they are. */
export const wholeLimits = (cell: Cell): readonly Change[] => {
  const { node } = cell
  const { limits, arrangement } = node
  const tracks = arrangement.kind === 'grid' ? arrangement.tracks : undefined
  const isWide = tracks?.every((px) => px >= LEAST_TRACK_PX)
  if ([...Object.values(limits), ...(isWide ? tracks! : [])].every(Number.isInteger)) return []
  const changed: LayoutNode = {
    ...node,
    limits: Object.fromEntries(
      Object.entries(limits).map(([side, px]) => [side, Math.round(px)]),
    ) as LayoutNode['limits'],
    ...(arrangement.kind === 'grid' && tracks && isWide
      ? { arrangement: { ...arrangement, tracks: tracks.map(Math.round) } }
      : {}),
  }
  return [[cell, changed]]
}

/**
 * A container and what is in it with distances in whole px, on the scale where they are near it. Along its direction each
 * makes good what those before it are off, so that nothing drifts. `grown`: how much larger each of what is in it has become
 * along the direction.
 */
export const snapDistances = (cell: Cell, grown: (child: Cell) => number): readonly Change[] => {
  const { arrangement } = cell.node
  if (arrangement.kind === 'free' || isStated(cell.node)) return []
  const own = distancesOf(cell, true).map(({ px }) => px)
  const flowing = cell.children.filter(({ node }) => isInFlow(node))
  const isGrid = arrangement.kind === 'grid'
  const [before, after]: readonly Side[] =
    arrangement.kind === 'row' ? ['left', 'right'] : ['top', 'bottom']
  const sideAt = (side: Side): number => SIDES.indexOf(side)
  const changes: Change[] = []
  const padding = own.slice(0, SIDES.length).map((px) => snap(px))
  const gaps = own.slice(SIDES.length)
  const inRow = isGrid ? arrangement.columns : flowing.length
  const grownBefore = isGrid
    ? 0
    : flowing.slice(0, -1).reduce((sum, child) => sum + grown(child), 0)
  const snapped = [
    snapGap(gaps[0]!, inRow - 1, grownBefore),
    ...(isGrid ? [snapGap(gaps[1]!, Math.ceil(flowing.length / inRow) - 1, 0)] : []),
  ]
  let carry = isGrid ? 0 : own[sideAt(before!)]! - padding[sideAt(before!)]!
  flowing.forEach((child, i) => {
    if (!isGrid && i > 0) carry += gaps[0]! - snapped[0]!
    const all = distancesOf(child, false).map(({ px }) => px)
    const margins = all.slice(0, child.isStated ? 0 : SIDES.length)
    const meant = margins.map((px, at) => {
      if (px === 0) return 0
      const isAlong = !isGrid && (SIDES[at] === before || SIDES[at] === after)
      if (!isAlong) return snap(px)
      const whole = snap(px, carry)
      carry += px - whole
      return whole
    })
    if (meant.some((px, at) => px !== margins[at])) {
      const px = [...meant, ...all.slice(SIDES.length)]
      changes.push([child, withDistances(child, false, px)])
    }
    if (!isGrid) carry -= grown(child)
  })
  if (!isGrid) {
    const last = own[sideAt(after!)]!
    padding[sideAt(after!)] = last === 0 ? 0 : snap(last, carry)
  }
  const all = [...padding, ...snapped]
  if (all.some((px, at) => px !== own[at])) changes.push([cell, withDistances(cell, true, all)])
  return changes
}
