import { spread } from '../../../math/statistics.js'
import { areAlike } from '../../../meaning/structure/alike.js'
import type { LintKind } from '../kind.js'
import { inLines, wereInLine } from '../laid-out.js'

const SAME_PX = 2
const APART_PX = 12

export const uneven: LintKind = {
  title: 'Alike, and unlike here',
  why: 'Things that were drawn alike differ in width or do not stand in line.',
  find: ({ all }) =>
    all.flatMap(({ children }) => {
      const things = children.filter(({ node }) => node.placement.kind !== 'overlay')
      if (things.length < 2 || !wereInLine(things) || things.some((t) => t.children.length === 0))
        return []
      if (!areAlike(things.map(({ node }) => node))) return []
      const drawn = things.map((thing) => thing.drawn!)
      const wereAlike =
        spread(drawn.map((box) => box.width)) <= SAME_PX &&
        spread(drawn.map((box) => box.y)) <= SAME_PX
      if (!wereAlike) return []
      return inLines(things)
        .flatMap((line) => {
          const off = Math.max(
            spread(things.map(({ box }) => box.width)),
            spread(line.map(({ box }) => box.y)),
          )
          return off > APART_PX ? [{ at: line[0]!, amount: off }] : []
        })
        .slice(0, 1)
    }),
}
