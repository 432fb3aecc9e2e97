export const WORDS =
  'tide wrack kelp spit groyne slipway strand shingle ebb flood neap buoy lantern harbour'.split(
    ' ',
  )
export const COLORS = ['#1f3038', '#55656b', '#2c664b', '#9c3f28', '#d9d2c3']

/** Small linear congruential generator: the same input at every run, and no run-time randomness. */
export const createCounter = (seed: number) => {
  let state = seed
  return (below: number): number => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648
    return state % below
  }
}
