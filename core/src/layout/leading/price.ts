/** Values that lengths have, each with what it costs to say one, in bits: what lies on a scale is said in few. */
const SCALES: readonly (readonly [stepPx: number, bits: number])[] = [
  [4, 2],
  [2, 4],
  [1, 6],
]
const NOTHING_BITS = 1
const FRACTION_BITS = 12
/** Programs round edges to whole px, or do not; a length is off by so much (standard deviation). */
const ERROR_PX = 0.15

/** A line may reach over an edge by what rounding makes of it. */
export const TOUCH_PX = 0.5

/** What it costs to say a length, in bits: its value on a scale, and how far the drawing is off it. */
export const lengthBits = (px: number): number => {
  const offBits = (by: number): number => (by / ERROR_PX) ** 2 * (Math.LOG2E / 2)
  const scaled = SCALES.map(
    ([step, bits]) => bits + offBits(px - Math.max(1, Math.round(px / step)) * step),
  )
  return Math.min(FRACTION_BITS, NOTHING_BITS + offBits(px), ...scaled)
}
