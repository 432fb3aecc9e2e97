import { roundPx } from '../../design/geometry.js'
import type { TextLayer } from '../../design/layer.js'
import { baselineOffset, type LineMetrics, type TextMeasure } from '../../text/measure.js'
import type { Edge, Line } from './lines.js'

/** Values that lengths have, each with what it costs to say one, in bits: what lies on a scale is said in few. */
const SCALES: readonly (readonly [stepPx: number, bits: number])[] = [
  [4, 2],
  [2, 4],
  [1, 6],
]
const NOTHING_BITS = 1
const FRACTION_BITS = 12
/** Files round edges to whole px, or do not; a length is off by so much (standard deviation). */
const ERROR_PX = 0.15

/** What it costs to say a length, in bits: its value on a scale and how far it is off (minimum description length). */
export const lengthBits = (px: number): number => {
  const offBits = (by: number): number => (by / ERROR_PX) ** 2 * (Math.LOG2E / 2)
  const scaled = SCALES.map(
    ([step, bits]) => bits + offBits(px - Math.max(1, Math.round(px / step)) * step),
  )
  return Math.min(FRACTION_BITS, NOTHING_BITS + offBits(px), ...scaled)
}
/** A line may reach over an edge by what rounding makes of it. */
export const TOUCH_PX = 0.5
/** What it costs where a line does not fit into its room. */
const NO_ROOM_BITS = 20
/** Room above and below that differs by no more is that of a thing in the middle. */
const MIDDLE_PX = 1.01

/** Line heights that style sheets use, as shares of the size. */
const RATIOS: readonly number[] = [
  1,
  1.1,
  1.2,
  1.25,
  4 / 3,
  1.3,
  1.375,
  1.4,
  10 / 7,
  1.5,
  1.6,
  1.625,
  1.7,
  1.75,
  1.8,
  2,
]
/** What it costs to say that a text has the line height expected of it, one that others of the page have, or any other, in bits. */
const EXPECTED_BITS = 1
const KNOWN_BITS = 7
const OTHER_BITS = 12
/** Rounds in which kinds of text look at each other's line heights. */
const ROUNDS = 2

export const kindOf = ({ style }: TextLayer): string =>
  `${style.family} ${style.size} ${style.weight} ${style.italic}`

/** Lines of one kind that stand alike between what is above and below them. */
type Place = {
  readonly line: Line
  readonly weight: number
}

/** Texts in the same letters. */
export type Kind = {
  readonly style: TextLayer['style']
  readonly metrics: LineMetrics
  readonly places: readonly Place[]
  /** In px. */
  height: number
}

const placeKey = ({ baseline, above, below }: Line): string => {
  const sideKey = (edge: Line['above'], y: number | undefined): string =>
    edge === undefined
      ? ''
      : edge.line
        ? `${kindOf(edge.line.layer)} ${Math.round(baseline - edge.line.baseline)}`
        : `${edge.holds} ${Math.round(baseline - y!)}`
  return `${sideKey(above, above && topOf(above))}|${sideKey(below, below && bottomOf(below))}`
}

const topOf = ({ box, holds }: NonNullable<Line['above']>): number =>
  holds ? box.y : box.y + box.height
const bottomOf = ({ box, holds }: NonNullable<Line['below']>): number =>
  holds ? box.y + box.height : box.y

const toPlaces = (lines: readonly Line[]): readonly Place[] => {
  const groups = new Map<string, { line: Line; count: number }>()
  for (const line of lines) {
    const key = placeKey(line)
    const known = groups.get(key)
    if (known) known.count++
    else groups.set(key, { line, count: 1 })
  }
  // What is repeated is written once, and still seen more often.
  return [...groups.values()].map(({ line, count }) => ({ line, weight: 1, count }))
}

/** The texts of one line, by the letters they are set in. */
export const findKinds = (
  lines: readonly Line[],
  measure: TextMeasure,
): ReadonlyMap<string, Kind> => {
  const groups = new Map<string, Line[]>()
  for (const line of lines) {
    const key = kindOf(line.layer)
    const known = groups.get(key)
    if (known) known.push(line)
    else groups.set(key, [line])
  }
  return new Map(
    [...groups].map(([key, own]) => {
      const { style } = own[0]!.layer
      const metrics = measure.line(style)
      const places = toPlaces(own)
      return [key, { style, metrics, places, height: metrics.normalPx }]
    }),
  )
}

/** How much room there is above and below a line of some height. */
const roomAround = (
  { baseline, above, below }: Line,
  { metrics }: Kind,
  height: number,
  kinds: ReadonlyMap<string, Kind>,
): { above?: number; below?: number } => {
  const spanOf = ({ line, box }: Edge): readonly [number, number] => {
    const kind = line && kinds.get(kindOf(line.layer))
    if (!kind) return [box.y, box.y + box.height]
    const top = line.baseline - baselineOffset(kind.metrics, kind.height)
    return [top, top + kind.height]
  }
  const top = baseline - baselineOffset(metrics, height)
  return {
    ...(above ? { above: top - spanOf(above)[above.holds ? 0 : 1] } : {}),
    ...(below ? { below: spanOf(below)[below.holds ? 1 : 0] - (top + height) } : {}),
  }
}

const placeBits = (line: Line, kind: Kind, height: number, kinds: ReadonlyMap<string, Kind>) => {
  const { above, below } = roomAround(line, kind, height, kinds)
  if (Math.min(above ?? 0, below ?? 0) < -TOUCH_PX) return NO_ROOM_BITS
  const isCentred =
    line.above?.holds === true &&
    line.below?.holds === true &&
    Math.abs(above! - below!) <= MIDDLE_PX
  const bits = [above, below].map((px) => (px === undefined ? 0 : lengthBits(px)))
  return isCentred ? Math.min(...bits) + 1 : bits[0]! + bits[1]!
}

/**
 * Chooses the line heights of all kinds of text: for each the one with which it and the distances around its lines are
 * said in the fewest bits (minimum description length). `fixed`: kinds of which the line height is known; `expected`: what
 * texts of a size have, as a share of it; `known`: what other texts of the page have.
 */
export const chooseHeights = (
  kinds: ReadonlyMap<string, Kind>,
  fixed: ReadonlySet<Kind>,
  expected: (style: Kind['style']) => number,
  known: readonly number[],
): void => {
  const open = [...kinds.values()].filter((kind) => !fixed.has(kind))
  for (const kind of open) kind.height = roundPx(expected(kind.style) * kind.style.size)
  for (let round = 0; round < ROUNDS; round++) {
    for (const kind of open) {
      const bits = new Map<number, number>()
      const { size } = kind.style
      for (const ratio of RATIOS) bits.set(roundPx(ratio * size), OTHER_BITS)
      bits.set(kind.metrics.normalPx, OTHER_BITS)
      for (const ratio of known) bits.set(roundPx(ratio * size), KNOWN_BITS)
      bits.set(roundPx(expected(kind.style) * size), EXPECTED_BITS)
      let fewest = Infinity
      for (const [height, own] of bits) {
        const all = kind.places.reduce(
          (sum, { line, weight }) => sum + weight * placeBits(line, kind, height, kinds),
          own,
        )
        if (all < fewest - 1e-6) [kind.height, fewest] = [height, all]
      }
    }
  }
}
