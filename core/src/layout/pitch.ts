import { roundPx, type Box } from '../design/geometry.js'
import { mean, steps } from '../math/statistics.js'
import { endOn, middleOn } from './axis.js'
import { EVEN_PX, isEven } from './spacing.js'

/** Widest gap between columns that is one, and not a column left empty. */
const WIDEST_GAP_PX = 64
/** Gaps in the order they are tried where nothing says how wide they are. */
const LIKELY_GAPS_PX = [24, 32, 16, 48, 0]

export type Pitch = { readonly cells: readonly Box[]; readonly gap: number }

const toCells = (boxes: readonly Box[], from: number, width: number, gap: number): Pitch => ({
  gap: roundPx(gap),
  cells: boxes.map((box, i) => ({ ...box, x: from + i * (width + gap), width })),
})

/**
 * Columns of one width whose content is narrower: their contents begin, or are centred, at even distances.
 * `room` is what they stand in; columns that begin at its padding end at the same distance on the other side.
 */
export const findPitch = (boxes: readonly Box[], room: Box): Pitch | undefined => {
  const count = boxes.length
  if (count < 2) return undefined
  const starts = boxes.map((box) => box.x)
  const inset = starts[0]! - room.x
  const whole = room.width - 2 * inset
  const pitch = mean(steps(starts))
  if (isEven(steps(starts)) && whole > 0) {
    const gap = count * pitch - whole
    const width = pitch - gap
    const holds = boxes.every((box) => box.width <= width + 1)
    if (gap >= -EVEN_PX && gap <= WIDEST_GAP_PX && holds) {
      return toCells(boxes, starts[0]!, width, Math.max(0, gap))
    }
  }
  const middles = boxes.map((box) => middleOn(box, 'x'))
  const between = mean(steps(middles))
  if (count < 3 || !isEven(steps(middles))) return undefined
  const widest = Math.max(...boxes.map((box) => box.width))
  for (const gap of LIKELY_GAPS_PX) {
    const width = between - gap
    const from = middles[0]! - width / 2
    const isInside = from >= room.x - 1 && from + count * between - gap <= endOn(room, 'x') + 1
    if (width >= widest && isInside) return toCells(boxes, from, width, gap)
  }
  return undefined
}
