import { findNavigation } from '../../structure/navigation.js'
import type { RolePage } from '../page.js'
import { flowOf, isPainted, saidBy, walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'
import { setLink } from './links.js'

const SEPARATOR = /^[/›»>·|→⟩]$/u
const LEAST_LINKS = 3
/** A column of links at the side of a page is no wider, in px. */
const SIDE_PX = 320
const LABEL_PX = 40
/** A picture that stands for the place is no larger, in px. */
const BRAND_PX = 220

/** One short line of words, with a sign at most. */
export const isLabel = (view: View): boolean => {
  const [text, ...others] = view.texts
  if (!text || others.length > 0 || view.height > LABEL_PX + 24) return false
  const { layer } = text.node
  const said = saidBy(view)
  return (
    layer.type === 'text' &&
    layer.style.size <= 20 &&
    (layer.lines?.length ?? 1) === 1 &&
    text.height <= LABEL_PX &&
    said.length <= 32 &&
    /[\p{L}\p{N}]/u.test(said)
  )
}

const setItems = (page: RolePage, list: View, items: readonly View[], why: string): void => {
  for (const item of items) {
    if (page.roleOf(item) === undefined) setLink(page, item, 0.9, why)
  }
  page.set(list, { role: 'navigation', confidence: 0.88, evidence: [why] })
}

/** Links that stand among other things are navigation all the same. */
const setRunOfLinks = (page: RolePage, items: readonly View[], why: string): void => {
  for (const item of items) setLink(page, item, 0.85, why)
  page.setRun(items, { role: 'navigation', confidence: 0.85, evidence: [why] })
}

/** A sign between two steps of a way is no larger, in px; the way is no lower on the page. */
const STEP_SIGN_PX = 16
const WAY_PX = 400

type Way = { readonly steps: readonly View[]; readonly signs: readonly View[] }

const isStepSign = (view: View): boolean =>
  view.texts.length === 0 &&
  view.marks.length > 0 &&
  Math.max(view.width, view.height) <= STEP_SIGN_PX

/** A way that is drawn with small signs between its steps: beside them, or each but the last ends with one. */
const drawnWay = (view: View): Way | undefined => {
  if (view.y > WAY_PX || view.height > LABEL_PX || isPainted(view)) return undefined
  const flow = flowOf(view)
  const steps = flow.filter((one) => one.texts.length > 0)
  if (steps.length < 2 || !steps.every((step) => isLabel(step) && !isPainted(step)))
    return undefined
  const isBetween =
    flow.length === 2 * steps.length - 1 &&
    flow.every((one, i) => (i % 2 === 0 ? steps.includes(one) : isStepSign(one)))
  if (isBetween) return { steps, signs: flow.filter((one) => !steps.includes(one)) }
  const endsWithSign = (step: View): boolean =>
    step.marks.length > 0 &&
    step.marks.every(
      (mark) => isStepSign(mark) && mark.x >= step.texts[0]!.x + step.texts[0]!.width,
    )
  const isWay =
    flow.length === steps.length &&
    steps.slice(0, -1).every(endsWithSign) &&
    steps.at(-1)!.marks.length === 0
  return isWay ? { steps, signs: [] } : undefined
}

/** Says what the steps of a way and the signs between them are; gives what the whole is. */
const setWay = (page: RolePage, { steps, signs }: Way, confidence: number, kind: string) => {
  // The last is the page itself; what stands between them is only to be seen.
  for (const step of steps.slice(0, -1)) {
    setLink(page, step, confidence, 'it is part of the way to this page')
  }
  for (const sign of signs) {
    page.set(sign, { role: 'separator', confidence, evidence: ['it stands between links'] })
  }
  const evidence = [`short words stand in a row with ${kind} between them`]
  return { role: 'navigation', confidence, evidence, isOrdered: true } as const
}

/** Home / Admin / Dashboard: the way to this page. */
const readBreadcrumb = (page: RolePage, view: View): boolean => {
  if (view.node.arrangement.kind !== 'row') return false
  const drawn = drawnWay(view)
  if (drawn) return page.set(view, setWay(page, drawn, 0.85, 'small signs'))
  const signs = view.children.filter((child) => SEPARATOR.test(saidBy(child)))
  if (signs.length === 0) return false
  const last = view.children.indexOf(signs.at(-1)!)
  const items = view.children
    .slice(0, last + 2)
    .filter((child) => !signs.includes(child) && isLabel(child))
  const isWay = items.length === signs.length + 1
  if (!isWay && !isNamed(view.words, 'breadcrumb')) return false
  const found = setWay(page, { steps: items, signs }, 0.9, 'signs')
  const run = view.children.slice(view.children.indexOf(items[0]!), last + 2)
  if (run.length === view.children.length || !isWay) return page.set(view, found)
  page.setRun(run, found)
  return true
}

/** The name or sign of the place: it leads to the first page. */
const isBrand = (view: View): boolean =>
  view.texts.length === 0
    ? view.height <= BRAND_PX && view.marks.length === 1
    : view.height <= 72 && view.texts.length <= 2

/** The name of the place beside its links leads to the first page. */
const readBrand = (page: RolePage, links: View, others: readonly View[]): void => {
  for (const brand of others.filter((one) => isBrand(one) && one.x < links.x).slice(0, 1)) {
    setLink(page, brand, 0.85, 'it is the name of the place, beside the navigation')
    page.amend(brand, { leadsHome: true })
  }
}

const holdsButton = (page: RolePage, view: View): boolean =>
  page.is(view, 'button') || view.children.some((child) => holdsButton(page, child))

const readHead = (page: RolePage, view: View): void => {
  const found = findNavigation(view.node, view.y, view.width / page.root.width)
  if (!found) return
  const flow = flowOf(view)
  const run = flow.slice(found.from, found.to)
  // What pressing something does may be said: buttons lead nowhere.
  if (run.some((item) => holdsButton(page, item))) return
  const why = 'it is one of a run of short words in the head of the page'
  const [only] = run
  if (run.length === 1 && only && only.children.length > 1) {
    setItems(page, only, only.children, why)
    readBrand(
      page,
      only,
      flow.filter((other) => other !== only),
    )
  } else if (run.length === flow.length) setItems(page, view, run, why)
  else setRunOfLinks(page, run, why)
}

/** Narrower pages have nothing at their sides, in px. */
const WIDE_PX = 700

const isAtSide = (page: RolePage, view: View): boolean =>
  page.root.width >= WIDE_PX &&
  view.width <= Math.min(SIDE_PX, page.root.width * 0.3) &&
  (view.x <= page.root.width * 0.06 || view.x + view.width >= page.root.width * 0.94)

/** It stands for the pages between two numbers, and leads to none. */
const ELLIPSIS = /^(…|\.{3})$/u

/** Numbers of pages in a row of small boxes. */
const readPagination = (page: RolePage, view: View): boolean => {
  const { children } = view
  const { arrangement } = view.node
  const isRow =
    arrangement.kind === 'row' ||
    (arrangement.kind === 'grid' && arrangement.columns === children.length)
  if (!isRow || children.length < 3 || children.length > 14) return false
  const isPage = (child: View): boolean => isLabel(child) || ELLIPSIS.test(saidBy(child))
  if (!children.every((child) => isPage(child) && child.width <= 120)) return false
  const numbers = children.map((child) => Number(saidBy(child))).filter(Number.isInteger)
  const isRun = numbers.length >= 2 && numbers.every((n, i) => i === 0 || n > numbers[i - 1]!)
  if (!isRun || numbers.length < children.length - 4) return false
  const why = 'numbers of pages stand in a row'
  for (const child of children.filter(isLabel)) setLink(page, child, 0.9, why)
  return page.set(view, { role: 'navigation', confidence: 0.9, evidence: [why] })
}

/** A column of short words at the side of a wide page. */
const readSide = (page: RolePage, view: View): void => {
  if (view.node.arrangement.kind !== 'column' || !isAtSide(page, view)) return
  if (view.y > 400) return
  const labels = view.children.filter(isLabel)
  if (labels.length < LEAST_LINKS + 1 || labels.length < view.children.length * 0.7) return
  const isTitle = (label: View): boolean => /^[^\p{Ll}]+$/u.test(saidBy(label))
  const links = labels.some((label) => !isTitle(label))
    ? labels.filter((label) => !isTitle(label))
    : labels
  const why = 'it is one of a column of short words at the side of the page'
  setItems(page, view, links, why)
  // A picture or name of the place above the links is no item of their list.
  const from = view.children.indexOf(labels[0]!)
  const isRun = labels.every((label, i) => view.children[from + i] === label)
  if (isRun && labels.length < view.children.length) {
    page.setRun(labels, { role: 'list', confidence: 0.85, evidence: [why] })
    for (const sign of view.children.slice(0, from).filter(isBrand)) {
      setLink(page, sign, 0.65, 'it is the sign of the place, above the navigation')
      page.amend(sign, { leadsHome: true })
    }
  }
}

/** A rail is at least so high, of the page and in px. */
const RAIL = { share: 0.4, px: 400 }
/** So many of the words in a rail are its links. */
const LINKS_SHARE = 0.5

/** A line of words with a sign before it. */
const isSigned = (view: View): boolean => {
  const [text] = view.texts
  return (
    isLabel(view) &&
    text !== undefined &&
    view.marks.some((mark) => mark !== view && mark.x < text.x)
  )
}

/** The lines of words with a sign in a rail, however deep they stand: the outermost box of each. */
const signedIn = (view: View): View[] =>
  view.children.flatMap((child) => (isSigned(child) ? [child] : signedIn(child)))

/** A rail: a high column with a ground of its own at the side of a page, whose links stand in groups. */
const readRail = (page: RolePage, view: View): boolean => {
  if (!isAtSide(page, view) || !isPainted(view)) return false
  if (view.height < Math.max(RAIL.px, page.root.height * RAIL.share)) return false
  const links = signedIn(view)
  if (links.length < LEAST_LINKS + 2 || links.length < view.texts.length * LINKS_SHARE) return false
  const why = 'it is one of many short words in a rail at the side of the page'
  for (const link of links) if (page.roleOf(link) === undefined) setLink(page, link, 0.85, why)
  return page.set(view, { role: 'navigation', confidence: 0.85, evidence: [why] })
}

/** Navigation: in the head, at the side, and the way to this page. */
export const readNavigation = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (page.isWithin(view, 'navigation', 'table')) return false
    if (readBreadcrumb(page, view) || readPagination(page, view)) return false
    readHead(page, view)
    readSide(page, view)
    if (page.roleOf(view) === undefined) readRail(page, view)
    return true
  })
}
