import { roundPx } from '../design/geometry.js'
import { mean, spread } from '../math/statistics.js'

/** Distances that differ by less than this are one distance, drawn inexactly. */
const JITTER_PX = 1
/** How far a layer may end up from where it was drawn. */
const DRIFT_PX = 0.5

/** Measures of a grid, a row that wraps or columns of one width agree when they differ by no more. */
export const EVEN_PX = 1.5

/** Whether places or sizes are meant to be the same. */
export const isEven = (values: readonly number[]): boolean => spread(values) <= EVEN_PX

const snap = (value: number): number => {
  const whole = Math.round(value)
  return Math.abs(whole - value) <= 0.25 ? whole : roundPx(value)
}

/** Whether distances are all one, each drawn a px off at most. */
const isJitter = (gaps: readonly number[]): boolean => spread(gaps) <= 2 * JITTER_PX

/** The gap most neighbours keep; the smallest when no two agree. */
const commonGap = (gaps: readonly number[]): number => {
  const sorted = gaps.filter((gap) => gap >= 0).sort((a, b) => a - b)
  if (sorted.length === 0) return 0
  if (isJitter(gaps)) return Math.max(0, snap(mean(gaps)))
  let best: readonly number[] = []
  for (let from = 0; from < sorted.length; from++) {
    let to = from
    while (to < sorted.length && sorted[to]! - sorted[from]! <= JITTER_PX) to++
    if (to - from > best.length) best = sorted.slice(from, to)
  }
  return snap(best[Math.floor(best.length / 2)]!)
}

export type Spacing = {
  readonly gap: number
  /** What each thing but the first keeps beyond the gap to the one before it. */
  readonly extra: readonly number[]
}

/** One gap for all and what single things differ by, so that none drifts from its place. */
export const findSpacing = (gaps: readonly number[], gap = commonGap(gaps)): Spacing => {
  let drift = 0
  const most = gaps.length > 1 && isJitter(gaps) ? JITTER_PX : DRIFT_PX
  const extra = gaps.map((own) => {
    drift += own - gap
    if (Math.abs(drift) <= most) return 0
    const margin = roundPx(drift)
    drift = 0
    return margin
  })
  return { gap, extra }
}
