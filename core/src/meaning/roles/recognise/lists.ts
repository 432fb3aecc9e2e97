import { areAlike } from '../../../responsive/alike.js'
import type { RolePage } from '../page.js'
import { flowOf, saidBy, walkViews, type View } from '../view.js'
import { isLabel } from './navigation.js'

const BULLET = /^[•●▪■–—*·]\s|^\d{1,2}[.)]\s/u
const LEAST_ITEMS = 3

/** One line of words with a sign before it, or a row of a few words. */
const isItem = (view: View): boolean =>
  view.texts.length > 0 &&
  view.texts.length <= 3 &&
  view.height <= 96 &&
  view.texts.every((text) => saidBy(text).length <= 160)

/** Words that begin with a dot or a number. */
const isMarked = (view: View): boolean => BULLET.test(saidBy(view))

/** Lists: runs of links, lines with bullets, and rows that are alike. */
export const readLists = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    const role = page.roleOf(view)
    if (role !== undefined) return role !== 'table'
    const items = flowOf(view)
    if (items.length < LEAST_ITEMS || items.length !== view.children.length) return true
    const links = items.filter((item) => page.roleOf(item) === 'link' && isLabel(item))
    const areLinks = links.length === items.length
    const areMarked = items.every(isMarked)
    const isColumn = view.node.arrangement.kind === 'column'
    const areRows =
      isColumn &&
      areAlike(items.map((item) => item.node)) &&
      items.every(
        (item) => isItem(item) && item.marks.length > 0 && page.roleOf(item) === undefined,
      )
    if (!areLinks && !areMarked && !areRows) return true
    const why = areLinks
      ? 'links stand beside one another'
      : areMarked
        ? 'each line begins with a sign or a number'
        : 'rows that are alike stand under one another'
    page.set(view, { role: 'list', confidence: areRows ? 0.7 : 0.85, evidence: [why] })
    return true
  })
}
