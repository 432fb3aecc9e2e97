export const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/** The middle one; of an even number, the upper of the two. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

/** How far the least and the greatest are apart; of no values, less than anything. */
export const spread = (values: readonly number[]): number =>
  Math.max(...values) - Math.min(...values)

/** The one that stands there most often, the first of equals; undefined of none. */
export const mostCommon = <T>(values: readonly T[]): T | undefined => {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0]
}

/** How much each value is greater than the one before it. */
export const steps = (values: readonly number[]): number[] =>
  values.slice(1).map((value, i) => value - values[i]!)
