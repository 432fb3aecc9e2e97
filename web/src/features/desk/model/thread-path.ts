/** A rectangle of the window, in px. */
export type Rect = {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** What the thread joins, each with the lane it may be seen in. */
export type Anchors = {
  readonly row?: { readonly rect: Rect; readonly lane: Rect } | undefined
  readonly design?: { readonly rect: Rect; readonly lane: Rect } | undefined
  readonly result?: { readonly rect: Rect; readonly lane: Rect } | undefined
  readonly code?: { readonly rect: Rect; readonly lane: Rect } | undefined
}

type Anchor = Anchors[keyof Anchors]

const clamp = (value: number, least: number, most: number): number =>
  Math.min(Math.max(value, least), Math.max(least, most))

/** The part of an anchor that is seen in its lane; undefined when it is scrolled out of it. */
const seenOf = (anchor: Anchor): Rect | undefined => {
  if (!anchor) return undefined
  const { rect, lane } = anchor
  const seen = {
    left: clamp(rect.left, lane.left, lane.right),
    right: clamp(rect.right, lane.left, lane.right),
    top: clamp(rect.top, lane.top, lane.bottom),
    bottom: clamp(rect.bottom, lane.top, lane.bottom),
  }
  const isOut =
    rect.right < lane.left ||
    rect.left > lane.right ||
    rect.bottom < lane.top ||
    rect.top > lane.bottom
  return isOut ? undefined : seen
}

const middleOf = ({ top, bottom }: Rect): number => Math.round((top + bottom) / 2) + 0.5
/** It meets boxes at their upper corners, where it lies on no measure. */
const topOf = ({ top }: Rect): number => Math.round(top) + 0.5

/** How far from the edge of a lane the thread turns. */
const TURN_PX = 9

/** From one point to another on its right: level, upright at `turnX`, level again. */
const lead = (
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
  turnX: number,
): string => `M${from.x} ${from.y}H${turnX}V${to.y}H${to.x}`

const leftOf = (box: Rect) => ({ x: box.left, y: topOf(box) })
const rightOf = (box: Rect) => ({ x: box.right, y: topOf(box) })

/**
 * The thread as path data, one stretch for each pair of neighbours that can be seen: row to design, design to result, and the
 * rightmost box to the first line of its code.
 */
export const threadPaths = ({ row, design, result, code }: Anchors): readonly string[] => {
  const [rowSeen, designSeen, resultSeen, codeSeen] = [row, design, result, code].map(seenOf)
  const first = designSeen ?? resultSeen
  const isBeside = designSeen && resultSeen && resultSeen.left >= designSeen.right
  const last = isBeside || !designSeen ? resultSeen : designSeen
  const paths: string[] = []
  if (rowSeen && first) {
    const lane = (designSeen ? design : result)!.lane
    paths.push(
      lead({ x: row!.lane.right, y: middleOf(rowSeen) }, leftOf(first), lane.left + TURN_PX),
    )
  }
  if (isBeside) {
    paths.push(
      lead(
        rightOf(designSeen),
        leftOf(resultSeen),
        Math.round((designSeen.right + resultSeen.left) / 2) + 0.5,
      ),
    )
  }
  if (last && codeSeen) {
    const lane = (last === resultSeen ? result : design)!.lane
    paths.push(
      lead(rightOf(last), { x: code!.lane.left, y: middleOf(codeSeen) }, lane.right - TURN_PX),
    )
  }
  return paths
}
