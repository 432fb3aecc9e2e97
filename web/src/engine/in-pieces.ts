/** How long others wait for a piece, in ms. */
const PIECE_MS = 12

/** Lets messages in that have come meanwhile. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

/**
 * Does long work a little at a time. After each piece it lets go first whatever came meanwhile, and gives up with
 * nothing once its result is no longer wanted.
 */
export const inPieces = async <T>(
  work: Generator<void, T>,
  others: () => Promise<unknown>,
  isWanted: () => boolean,
): Promise<T | undefined> => {
  while (isWanted()) {
    const until = performance.now() + PIECE_MS
    do {
      const { done, value } = work.next()
      if (done) return value
    } while (performance.now() < until)
    await breathe()
    await others()
  }
  return undefined
}
