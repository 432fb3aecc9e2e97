import type { Box } from '../design/geometry.js'
import { endOn } from './axis.js'

/**
 * Pairs of things that stand at one height, by a sweep from top to bottom: the one that begins lower, and one
 * that reaches more than `least` px below where it begins. The things are sorted by their upper edges.
 */
export function* sweepPairs<T extends { readonly box: Box }>(
  things: readonly T[],
  least = 0,
): Generator<readonly [lower: T, upper: T]> {
  let active: T[] = []
  for (const thing of things) {
    active = active.filter((other) => endOn(other.box, 'y') > thing.box.y + least)
    for (const other of active) yield [thing, other]
    active.push(thing)
  }
}
