import {
  addSides,
  resolveSides,
  roundPx,
  subtractSides,
  type Sides,
} from '../../design/geometry.js'
import { mean } from '../../math/statistics.js'
import { borderOf, type LayoutNode } from '../../layout/index.js'
import { isStated, type Cell } from './cells.js'

/** Numbers of things that are built alike differ by so much without meaning it, in px. */
export const NEAR_PX = 1.01

export const SIDES = ['top', 'right', 'bottom', 'left'] as const

/** A distance that may be evened out; where along, its sum over many things matters. */
type Distance = { readonly px: number; readonly isAlong: boolean }

const sidesOf = (sides: Sides): readonly Distance[] =>
  SIDES.map((side) => ({ px: sides[side], isAlong: side === 'top' || side === 'bottom' }))

const toSides = ([top, right, bottom, left]: readonly number[]): Sides => ({
  top: top!,
  right: right!,
  bottom: bottom!,
  left: left!,
})

/** The room below what is in a thing; none of what has it stated, or has no arrangement. */
export const bottomOf = ({ node }: Cell): number =>
  node.arrangement.kind === 'free' || isStated(node)
    ? 0
    : resolveSides(node.arrangement.padding).bottom

export const across = (px: number): Distance => ({ px, isAlong: false })
const along = (px: number): Distance => ({ px, isAlong: true })

/** The distances of a node, in an order that is the same for all nodes that are arranged alike. */
export const distancesOf = (
  { node, isStated: isHeld }: Cell,
  isRoot: boolean,
): readonly Distance[] => {
  const { arrangement, margin } = node
  const own = isRoot || isHeld ? [] : sidesOf(margin)
  if (arrangement.kind === 'free' || isStated(node)) return own
  const padding = sidesOf(subtractSides(resolveSides(arrangement.padding), borderOf(node.layer)))
  if (arrangement.kind === 'grid') {
    // Shares of columns are left alone: the rows of a table have them in common.
    return [...own, ...padding, across(arrangement.columnGap), along(arrangement.rowGap)]
  }
  return [
    ...own,
    ...padding,
    arrangement.kind === 'row' ? across(arrangement.gap) : along(arrangement.gap),
  ]
}

/** The node with other distances, in the order in which they were given. */
export const withDistances = (cell: Cell, isRoot: boolean, px: readonly number[]): LayoutNode => {
  const { node, isStated: isHeld } = cell
  const { arrangement } = node
  const ownCount = isRoot || isHeld ? 0 : SIDES.length
  const placed = ownCount === 0 ? node : { ...node, margin: toSides(px) }
  if (arrangement.kind === 'free' || isStated(node)) return placed
  const padding = addSides(toSides(px.slice(ownCount)), borderOf(node.layer))
  const [first, second] = px.slice(ownCount + SIDES.length)
  if (arrangement.kind !== 'grid')
    return { ...placed, arrangement: { ...arrangement, padding, gap: first! } }
  return {
    ...placed,
    arrangement: { ...arrangement, padding, columnGap: first!, rowGap: second! },
  }
}

/** What some distances that are nearly one are meant to be; `common`: the one that most of them are. */
const meantBy = (values: readonly number[], common: number, isAlong: boolean): number => {
  const share = values.filter((value) => value === common).length / values.length
  if (Number.isInteger(common) && (!isAlong || share > 0.5)) return common
  const middle = mean(values)
  const whole = Math.round(middle)
  const mayRound = isAlong
    ? Math.abs(middle - whole) <= 0.05
    : values.every((value) => Math.abs(value - whole) <= 0.5)
  return mayRound ? whole : roundPx(middle)
}

/** What distances are meant to be, each as the usual one that is near it; what means something stays apart. */
export const meant = (distances: readonly Distance[]): readonly number[] => {
  const counts = new Map<number, number>()
  for (const { px } of distances) counts.set(px, (counts.get(px) ?? 0) + 1)
  if (counts.size === 1) return distances.map(({ px }) => px)
  const sizes = [...counts.keys()].sort((a, b) => a - b)
  const near = new Map<number, readonly number[]>()
  let [from, to] = [0, 0]
  for (const px of sizes) {
    while (px - sizes[from]! > NEAR_PX) from++
    while (to < sizes.length && sizes[to]! - px <= NEAR_PX) to++
    near.set(px, sizes.slice(from, to))
  }
  // What has most around it; a whole px is more likely meant than a fraction.
  const weights = new Map(
    sizes.map((px) => {
      const own = counts.get(px)! * (Number.isInteger(px) ? 1 : 0.5)
      return [px, near.get(px)!.reduce((sum, other) => sum + counts.get(other)!, own)]
    }),
  )
  const result = new Map<number, number>()
  for (const common of sizes.sort((a, b) => weights.get(b)! - weights.get(a)! || a - b)) {
    if (result.has(common)) continue
    // Nobody is off by a whole px.
    const isOff = (px: number): boolean =>
      px === common || !Number.isInteger(px) || !Number.isInteger(common)
    const own = near.get(common)!.filter((px) => !result.has(px) && isOff(px))
    const all = own.flatMap((px) => new Array<number>(counts.get(px)!).fill(px))
    const px = own.length === 1 ? common : meantBy(all, common, distances[0]!.isAlong)
    for (const one of own) result.set(one, px)
  }
  return distances.map(({ px }) => result.get(px)!)
}
