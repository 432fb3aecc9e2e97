/**
 * A pure function of two objects that remembers what it has made of them, for as long as both are there: designs differ by an
 * edit and share what that does not touch, and so need not be measured again.
 */
export const remember = <A extends object, B extends object, R>(
  make: (a: A, b: B) => R,
): ((a: A, b: B) => R) => {
  const made = new WeakMap<A, WeakMap<B, { readonly value: R }>>()
  return (a, b) => {
    const ofA = made.get(a) ?? new WeakMap<B, { readonly value: R }>()
    const known = ofA.get(b)
    if (known) return known.value
    const value = make(a, b)
    ofA.set(b, { value })
    made.set(a, ofA)
    return value
  }
}
