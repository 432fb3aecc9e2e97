import { textsIn } from '../../../layout/flow/tree.js'
import type { LintKind } from '../kind.js'
import { wereInLine } from '../laid-out.js'

/** Side matter takes no more than this share of a row as drawn, and the main part no less than that. */
const SIDE_SHARE = 0.34
const MAIN_SHARE = 0.5
/** A picture beside words may well stand above them; this many texts are side matter. */
const LEAST_TEXTS = 4
/** The main part may begin this much lower than drawn, in px. */
const LOWER_PX = 400

export const buried: LintKind = {
  title: 'Buried below side matter',
  why: 'The main part stood beside it, and begins far below it here.',
  find: ({ all }) =>
    all.flatMap(({ children, drawn }) => {
      const things = children.filter(({ node }) => node.placement.kind !== 'overlay')
      if (!drawn || things.length < 2 || !wereInLine(things)) return []
      const side = things[0]!
      const main = things.find((thing) => thing.drawn!.width >= MAIN_SHARE * drawn.width)
      if (!main || main === side || side.drawn!.width > SIDE_SHARE * drawn.width) return []
      const lower = main.box.y - side.box.y - (main.drawn!.y - side.drawn!.y)
      return lower >= LOWER_PX && textsIn(side.node).length >= LEAST_TEXTS
        ? [{ at: main, amount: lower }]
        : []
    }),
}
