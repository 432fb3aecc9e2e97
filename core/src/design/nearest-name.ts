/** Edits between two words (insert, remove, replace); gives up above `limit`. Source: Wagner and Fischer 1974. */
const distance = (a: string, b: string, limit: number): number => {
  if (Math.abs(a.length - b.length) > limit) return limit + 1
  let previous = Array.from({ length: b.length + 1 }, (_, i) => i)
  for (let i = 1; i <= a.length; i++) {
    const current = [i]
    for (let j = 1; j <= b.length; j++) {
      const change = previous[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1)
      current.push(Math.min(previous[j]! + 1, current[j - 1]! + 1, change))
    }
    previous = current
  }
  return previous[b.length]!
}

/** The known name a mistyped one probably meant, if one is close enough. */
export const findNearestName = (wanted: string, known: Iterable<string>): string | undefined => {
  const limit = Math.max(1, Math.floor(wanted.length / 3))
  let best: string | undefined
  let bestDistance = limit + 1
  for (const name of known) {
    const d = distance(wanted.toLowerCase(), name.toLowerCase(), limit)
    if (d < bestDistance) [best, bestDistance] = [name, d]
  }
  return best
}
