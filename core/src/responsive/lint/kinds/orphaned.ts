import { areAlike } from '../../../meaning/structure/alike.js'
import type { LintKind } from '../kind.js'
import { inLines, wereInLine } from '../laid-out.js'

const LEAST = 3
/** What fills its line stands there by intent. */
const FULL_SHARE = 0.75

export const orphaned: LintKind = {
  title: 'Left alone in its line',
  why: 'Of things that are alike, one stands alone in the last line.',
  find: ({ all }) =>
    all.flatMap((seen) => {
      const things = seen.children.filter(({ node }) => node.placement.kind !== 'overlay')
      if (things.length < LEAST || !wereInLine(things)) return []
      if (!areAlike(things.map(({ node }) => node)) || things.some((t) => t.children.length === 0))
        return []
      const lines = inLines(things)
      const last = lines.at(-1)!
      const [at] = last
      const isAlone = last.length === 1 && lines[0]!.length > 1
      const isFull = at!.box.width >= FULL_SHARE * seen.box.width
      return isAlone && !isFull ? [{ at: at!, amount: seen.box.width - at!.box.width }] : []
    }),
}
