import { roundPx } from '../../design/geometry.js'
import type { TextLayer } from '../../design/layer.js'
import { baselineOffset, type LineMetrics, type TextMeasure } from '../../text/measure.js'
import type { Expected } from './expected.js'
import { topOf, bottomOf, type Edge, type Line } from './lines.js'
import { lengthBits, TOUCH_PX } from './price.js'

/** What it costs where a line does not fit into its room, in bits. */
const NO_ROOM_BITS = 20
/** Room above and below that differs by no more is that of a thing in the middle, in px. */
const MIDDLE_PX = 1.01
/** Line heights that style sheets use, as shares of the size. */
const RATIOS: readonly number[] = [
  ...[1, 1.1, 1.2, 1.25, 1.3, 4 / 3, 1.375, 1.4, 10 / 7],
  ...[1.5, 1.6, 1.625, 1.7, 1.75, 1.8, 2],
]
/** What it costs to say that a text has the line height expected of it, one that others have, or any other, in bits. */
const EXPECTED_BITS = 1
const KNOWN_BITS = 7
const OTHER_BITS = 12
/** Rounds in which kinds of text look at each other's line heights. */
const ROUNDS = 2

/** Texts in the same letters have one line height. */
export const kindOf = ({ style }: TextLayer): string =>
  `${style.family} ${style.size} ${style.weight} ${style.italic}`

export type Kind = {
  readonly style: TextLayer['style']
  readonly metrics: LineMetrics
  /** One line of each place between neighbours that such lines have. */
  readonly lines: readonly Line[]
  /** How high a line is, in px; as chosen so far. */
  height: number
}

/** Lines that stand alike between their neighbours tell the same. */
const placeOf = ({ baseline, above, below }: Line): string => {
  const sideOf = (edge: Edge | undefined, y: number): string =>
    edge?.line
      ? `${kindOf(edge.line.layer)} ${Math.round(baseline - edge.line.baseline)}`
      : String(Math.round(baseline - y))
  return `${above ? sideOf(above, topOf(above)) : ''}|${below ? sideOf(below, bottomOf(below)) : ''}`
}

/** The texts of one line, by the letters they are set in. */
export const findKinds = (
  lines: readonly Line[],
  measure: TextMeasure,
): ReadonlyMap<string, Kind> => {
  const groups = new Map<string, Map<string, Line>>()
  for (const line of lines) {
    const key = kindOf(line.layer)
    const places = groups.get(key) ?? new Map<string, Line>()
    groups.set(key, places)
    const place = placeOf(line)
    if (!places.has(place)) places.set(place, line)
  }
  return new Map(
    [...groups].map(([key, places]) => {
      const own = [...places.values()]
      const { style } = own[0]!.layer
      const metrics = measure.line(style)
      return [key, { style, metrics, lines: own, height: metrics.normalPx }]
    }),
  )
}

/** Where a line of some height begins and ends on the page. */
export const spanOf = (
  { baseline }: Line,
  { metrics }: Kind,
  height: number,
): readonly [top: number, bottom: number] => {
  const top = baseline - baselineOffset(metrics, height)
  return [top, top + height]
}

const lineBits = (
  line: Line,
  kind: Kind,
  height: number,
  kinds: ReadonlyMap<string, Kind>,
): number => {
  const edgeOf = (edge: Edge, side: 0 | 1, y: number): number => {
    const other = edge.line && kinds.get(kindOf(edge.line.layer))
    return other ? spanOf(edge.line!, other, other.height)[side] : y
  }
  const { above, below } = line
  const [top, bottom] = spanOf(line, kind, height)
  const over = above && top - edgeOf(above, 1, topOf(above))
  const under = below && edgeOf(below, 0, bottomOf(below)) - bottom
  if (Math.min(over ?? 0, under ?? 0) < -TOUCH_PX) return NO_ROOM_BITS
  const [overBits, underBits] = [over, under].map((px) => (px === undefined ? 0 : lengthBits(px)))
  const isCentred = above?.holds && below?.holds && Math.abs(over! - under!) <= MIDDLE_PX
  return isCentred ? Math.min(overBits!, underBits!) + 1 : overBits! + underBits!
}

/** The heights that a line may have, with what it costs to say each. */
const candidatesOf = (
  { style, metrics }: Kind,
  { ratioOf, known }: Expected,
): ReadonlyMap<number, number> => {
  const heightBy = (ratio: number): number => roundPx(ratio * style.size)
  return new Map([
    ...RATIOS.map((ratio): [number, number] => [heightBy(ratio), OTHER_BITS]),
    [metrics.normalPx, OTHER_BITS],
    ...known.map((ratio): [number, number] => [heightBy(ratio), KNOWN_BITS]),
    [heightBy(ratioOf(style)), EXPECTED_BITS],
  ])
}

/**
 * Chooses the line heights of some kinds of text: for each the one with which it and the distances around its lines are said
 * in the fewest bits (minimum description length; Rissanen, 1978). `kinds`: these and those whose line height is known.
 */
export const chooseHeights = (
  open: readonly Kind[],
  kinds: ReadonlyMap<string, Kind>,
  expected: Expected,
): void => {
  for (const kind of open) {
    kind.height = roundPx(expected.ratioOf(kind.style) * kind.style.size)
  }
  for (let round = 0; round < ROUNDS; round++) {
    for (const kind of open) {
      let fewest = Infinity
      for (const [height, own] of candidatesOf(kind, expected)) {
        const bits = kind.lines.reduce(
          (sum, line) => sum + lineBits(line, kind, height, kinds),
          own,
        )
        if (bits < fewest) [kind.height, fewest] = [height, bits]
      }
    }
  }
}
