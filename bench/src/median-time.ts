/** The median of some numbers; of an even number, the upper of the two in the middle. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

/** How long some work takes, in ms: the median of several runs. */
export const medianTime = async (runs: number, work: () => unknown): Promise<number> => {
  const times: number[] = []
  for (let i = 0; i < runs; i++) {
    const start = performance.now()
    await work()
    times.push(performance.now() - start)
  }
  return median(times)
}
