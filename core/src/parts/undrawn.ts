import type { ComponentSet } from '../design/design.js'
import { findStateProperty } from '../design/states.js'

/** More are not counted one by one. */
const MOST_COMBINATIONS = 400

type Combination = Readonly<Record<string, string>>

/**
 * The combinations of variant values that a component set has no drawing of, states aside: code that takes the
 * properties one by one accepts them all the same. Empty when there are none, or too many to tell.
 */
export const findUndrawn = (set: ComponentSet): readonly Combination[] => {
  const state = findStateProperty(set)?.name
  const properties = set.properties.flatMap((property) =>
    property.kind === 'variant' && property.name !== state ? [property] : [],
  )
  const count = properties.reduce((product, { values }) => product * values.length, 1)
  if (properties.length < 2 || count > MOST_COMBINATIONS) return []
  const drawn = new Set(
    set.variants.map(({ variant }) =>
      JSON.stringify(properties.map(({ name, default: usual }) => variant[name] ?? usual)),
    ),
  )
  const all = properties.reduce<readonly (readonly string[])[]>(
    (rows, { values }) => rows.flatMap((row) => values.map((value) => [...row, value])),
    [[]],
  )
  return all
    .filter((row) => !drawn.has(JSON.stringify(row)))
    .map((row) => Object.fromEntries(properties.map(({ name }, i) => [name, row[i]!])))
}
