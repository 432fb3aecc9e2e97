/** Whether two pieces of plain data say the same; a field that is undefined is as one that is not there. */
export const isSameValue = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) || Array.isArray(b)) {
    return (
      Array.isArray(a) &&
      Array.isArray(b) &&
      a.length === b.length &&
      a.every((one, i) => isSameValue(one, b[i]))
    )
  }
  const [one, other] = [a, b] as [Record<string, unknown>, Record<string, unknown>]
  for (const key in one) if (!isSameValue(one[key], other[key])) return false
  for (const key in other) if (other[key] !== undefined && one[key] === undefined) return false
  return true
}
