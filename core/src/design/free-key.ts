/** The wanted key, or the first of `wanted-2`, `wanted-3` … that is not taken. */
export const freeKey = (
  wanted: string,
  taken: { readonly has: (key: string) => boolean },
): string => {
  let key = wanted
  for (let n = 2; taken.has(key); n++) key = `${wanted}-${n}`
  return key
}
