import type { RolePage } from '../page.js'
import { FIELD_ROLES, runKeyOf } from '../reading.js'
import { saidBy, walkViews, type View } from '../view.js'

const TITLE_PX = 40

const ticksIn = (page: RolePage, view: View): readonly View[] =>
  page.is(view, 'radio', 'checkbox')
    ? [view]
    : view.children.flatMap((child) => ticksIn(page, child))

/** Words that could say what the controls below them are about. */
const isTitle = (page: RolePage, text: View | undefined, below: number): text is View =>
  text?.node.layer.type === 'text' &&
  page.readings.get(text.key)?.names === undefined &&
  (page.roleOf(text) === undefined || page.is(text, 'label')) &&
  below - (text.y + text.height) <= TITLE_PX &&
  saidBy(text).length <= 80

type Run = { readonly from: number; readonly to: number; readonly ticks: readonly View[] }

/** The first run of children that hold nothing but radio buttons, or nothing but check boxes, and their words. */
const findRun = (
  page: RolePage,
  view: View,
  isOpen: (child: View) => boolean,
  grouped: ReadonlySet<View>,
): Run | undefined => {
  const { children } = view
  const own = children.map((child) =>
    isOpen(child) ? ticksIn(page, child).filter((tick) => !grouped.has(tick)) : [],
  )
  for (let from = 0; from < children.length; from++) {
    const [first] = own[from]!
    if (!first) continue
    const kind = page.roleOf(first)!
    let to = from
    while (to < children.length && own[to]!.length > 0 && own[to]!.every((t) => page.is(t, kind)))
      to++
    const ticks = own.slice(from, to).flat()
    if (ticks.length >= 2) return { from, to, ticks }
    from = Math.max(from, to - 1)
  }
  return undefined
}

/**
 * Radio buttons that stand together, and check boxes with words over them: as a whole container, or as neighbours in
 * one among other things.
 */
export const readGroups = (page: RolePage): void => {
  const grouped = new Set<View>()
  const ticks = page.holdersOf('radio', 'checkbox')
  // Something else is filled in or pressed there.
  const others = page.holdersOf(...FIELD_ROLES, 'button', 'slider', 'table')
  const isOpen = (child: View): boolean => ticks.has(child) && !others.has(child)
  const visit = (view: View): void => {
    if (!ticks.has(view)) return
    for (const child of view.children) visit(child)
    if (page.is(view, 'table', 'list', 'navigation', 'group', 'radiogroup')) return
    const run = findRun(page, view, isOpen, grouped)
    if (!run) return
    const things = view.children.slice(run.from, run.to)
    const before = view.children[run.from - 1]
    const above = siblingBefore(view)
    const title = isTitle(page, before, things[0]!.y)
      ? before
      : run.from === 0 && isTitle(page, above, view.y)
        ? above
        : undefined
    const areRadios = page.is(run.ticks[0]!, 'radio')
    if (!areRadios && !title) return
    const found = {
      role: areRadios ? 'radiogroup' : 'group',
      confidence: title ? 0.85 : 0.75,
      evidence: [
        areRadios ? 'radio buttons stand together' : 'check boxes stand together',
        ...(title ? ['words above say what they are about'] : []),
      ],
      ...(title ? { labelledBy: title.key } : {}),
    } as const
    const isWhole = things.length === view.children.length && page.roleOf(view) === undefined
    if (isWhole && view !== page.root) page.set(view, found)
    else page.setRun(things, found)
    const group = isWhole && view !== page.root ? view.key : runKeyOf(things[0]!.key)
    for (const tick of run.ticks) {
      grouped.add(tick)
      page.amend(tick, { group })
    }
  }
  visit(page.root)
}

const siblingBefore = (view: View): View | undefined => {
  const siblings = view.parent?.children ?? []
  return siblings[siblings.indexOf(view) - 1]
}

/** A picture with small words right below it. */
export const readFigures = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (page.roleOf(view) !== undefined) return page.roleOf(view) !== 'table'
    const [picture, caption, ...others] = view.children
    const isFigure =
      picture?.node.layer.type === 'image' &&
      picture.width >= 120 &&
      caption?.node.layer.type === 'text' &&
      others.length === 0 &&
      caption.node.layer.style.size <= 15 &&
      caption.y >= picture.y + picture.height - 1 &&
      caption.y - picture.y - picture.height <= 16 &&
      page.roleOf(caption) === undefined
    if (!isFigure) return true
    page.set(view, {
      role: 'figure',
      confidence: 0.75,
      evidence: ['a picture with small words right below it'],
      caption: caption.key,
    })
    return false
  })
}
