import { areAlike } from '../../structure/alike.js'
import type { RolePage } from '../page.js'
import { CONTROL_ROLES } from '../reading.js'
import { flowOf, saidBy, walkViews, type View } from '../view.js'
import { isLabel } from './navigation.js'

const BULLET = /^[•●▪■–—*·]\s|^\d{1,2}[.)]\s/u
const LEAST_ITEMS = 3
/** A dot before the words of an item is no larger, in px. */
const DOT_PX = 14

/** One line of words with a sign before it, or a row of a few words. */
const isItem = (view: View): boolean =>
  view.texts.length > 0 &&
  view.texts.length <= 3 &&
  view.height <= 96 &&
  view.texts.every((text) => saidBy(text).length <= 160)

/** A small dot or sign stands before its words. */
const hasDot = (view: View): boolean => {
  const [first, ...others] = view.children
  return (
    first !== undefined &&
    others.length > 0 &&
    first.texts.length === 0 &&
    first.width <= DOT_PX &&
    first.height <= DOT_PX
  )
}

/** Words that begin with a dot or a number. */
const isMarked = (view: View): boolean => BULLET.test(saidBy(view)) || hasDot(view)

type Kind = { readonly confidence: number; readonly why: string; is(view: View): boolean }

/** What may be an item of a list, the surest first. Neighbours of one kind are one list. */
const kindsIn = (
  page: RolePage,
  controls: ReadonlySet<View>,
  isColumn: boolean,
): readonly Kind[] => {
  const isFree = (view: View): boolean =>
    isItem(view) && page.roleOf(view) === undefined && !controls.has(view)
  return [
    {
      confidence: 0.85,
      why: 'links stand beside one another',
      is: (view) => page.roleOf(view) === 'link' && isLabel(view),
    },
    {
      confidence: 0.85,
      why: 'each line begins with a sign or a number',
      is: (view) => isFree(view) && isMarked(view),
    },
    {
      confidence: 0.7,
      why: 'rows that are alike stand under one another',
      is: (view) => isColumn && view.marks.length > 0 && isFree(view),
    },
  ]
}

/** The longest run of neighbours that are of one kind. */
const findRun = (items: readonly View[], kind: Kind): readonly View[] => {
  let best: readonly View[] = []
  for (let from = 0; from < items.length; from++) {
    let to = from
    while (to < items.length && kind.is(items[to]!)) to++
    if (to - from > best.length) best = items.slice(from, to)
    from = to
  }
  return best
}

const readList = (page: RolePage, controls: ReadonlySet<View>, view: View): void => {
  const { kind: arrangement } = view.node.arrangement
  const items = flowOf(view)
  if (items.length < LEAST_ITEMS || items.length !== view.children.length) return
  for (const kind of kindsIn(page, controls, arrangement === 'column')) {
    const run = findRun(items, kind)
    if (run.length < LEAST_ITEMS) continue
    if (kind.confidence < 0.8 && !areAlike(run.map((item) => item.node))) continue
    const found = { role: 'list', confidence: kind.confidence, evidence: [kind.why] } as const
    if (run.length === items.length && page.roleOf(view) === undefined) page.set(view, found)
    else if (run.length < items.length && (arrangement === 'row' || arrangement === 'column')) {
      page.setRun(run, found)
    }
    return
  }
}

/** Lists: runs of links, lines with bullets, and rows that are alike; alone in a container or among other things. */
export const readLists = (page: RolePage): void => {
  const controls = page.holdersOf(...CONTROL_ROLES, 'label', 'button', 'form')
  walkViews(page.root, (view) => {
    const role = page.roleOf(view)
    if (role === 'table' || role === 'link' || role === 'button') return false
    if (role !== 'navigation' && role !== 'list') readList(page, controls, view)
    return true
  })
}
