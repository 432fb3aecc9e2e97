/** Something that two people changed each in their own way: where it is, and what either made of it. */
export type Conflict = { readonly path: string; readonly mine: unknown; readonly theirs: unknown }
export type Merged<T> = { readonly value: T; readonly conflicts: readonly Conflict[] }

/** What elements of a list are called: those of one name are the same. Undefined for a list that is one value. */
export type KeyOf = (element: unknown) => string | undefined

type Fields = Readonly<Record<string, unknown>>

const isObject = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const fieldsOf = (...all: readonly Fields[]): readonly string[] => [
  ...new Set(all.flatMap((one) => Object.keys(one))),
]

/** Whether two JSON values are the same; a field that is undefined is as good as none. */
const isSame = (a: unknown, b: unknown): boolean => {
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((one, i) => isSame(one, b[i]))
  if (isObject(a) && isObject(b)) return fieldsOf(a, b).every((field) => isSame(a[field], b[field]))
  return Object.is(a, b)
}

/** A list as fields, in its order; undefined where its elements have no names, or not each its own. */
const byKey = (
  list: readonly unknown[],
  keyOf: KeyOf,
): ReadonlyMap<string, unknown> | undefined => {
  const found = new Map<string, unknown>()
  for (const one of list) {
    const key = keyOf(one)
    if (key === undefined || found.has(key)) return undefined
    found.set(key, one)
  }
  return found
}

/**
 * Brings together what two made of the same JSON value: fields of objects, and elements of lists that have names, each by
 * itself. What only one of them changed is as that one made it. What both changed is a conflict; `prefer` tells whose it is.
 */
export const mergeThree = <T>(
  base: T,
  mine: T,
  theirs: T,
  prefer: 'mine' | 'theirs' = 'mine',
  keyOf: KeyOf = () => undefined,
): Merged<T> => {
  const conflicts: Conflict[] = []

  const lists = (
    before: readonly unknown[],
    own: readonly unknown[],
    other: readonly unknown[],
    path: string,
  ): readonly unknown[] | undefined => {
    const [a, b, c] = [before, own, other].map((list) => byKey(list, keyOf))
    if (!a || !b || !c) return undefined
    // Where the order was changed here it holds; what the other has more comes after.
    const isMoved = !isSame(
      [...b.keys()].filter((key) => a.has(key)),
      [...a.keys()].filter((key) => b.has(key)),
    )
    const [first, second] = isMoved ? [b, c] : [c, b]
    return [...new Set([...first.keys(), ...second.keys()])].flatMap((key) => {
      const value = merge(a.get(key), b.get(key), c.get(key), `${path} ${key}`.trim())
      return value === undefined ? [] : [value]
    })
  }

  const merge = (before: unknown, own: unknown, other: unknown, path: string): unknown => {
    if (isSame(own, other) || isSame(before, other)) return own
    if (isSame(before, own)) return other
    if (isObject(own) && isObject(other) && (isObject(before) || before === undefined)) {
      const fields = fieldsOf(before ?? {}, own, other).flatMap((field) => {
        const value = merge(
          before?.[field],
          own[field],
          other[field],
          path ? `${path}.${field}` : field,
        )
        return value === undefined ? [] : [[field, value] as const]
      })
      return Object.fromEntries(fields)
    }
    if (Array.isArray(own) && Array.isArray(other)) {
      const together = lists(Array.isArray(before) ? before : [], own, other, path)
      if (together) return together
    }
    conflicts.push({ path, mine: own, theirs: other })
    return prefer === 'mine' ? own : other
  }

  return { value: merge(base, mine, theirs, '') as T, conflicts }
}
