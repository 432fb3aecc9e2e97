/** The seed of all properties, unless `TEST_SEED` says another; fast-check prints it when one fails. */
const seed = Number(process.env['TEST_SEED'] ?? 20261201)

/** A deep run tries ten times as much, a quick one a quarter. */
const times = process.env['TEST_DEEP'] ? 10 : process.env['TEST_QUICK'] ? 0.25 : 1

/** How a property is tried: about so many times, from the one seed. */
export const runs = (count = 100): { readonly numRuns: number; readonly seed: number } => ({
  numRuns: Math.max(1, Math.round(count * times)),
  seed,
})
