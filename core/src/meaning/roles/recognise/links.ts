import type { Link } from '../../../design/interaction.js'
import { findBody } from '../body.js'
import type { RolePage } from '../page.js'
import { inkOf } from '../paint.js'
import { FIELD_ROLES } from '../reading.js'
import { isPainted, isRound, saidBy, walkViews, type View } from '../view.js'

/** A link; that a box around the words is the link makes it larger to press. */
export const setLink = (page: RolePage, view: View, confidence: number, why: string): void => {
  page.set(view, { role: 'link', confidence, evidence: [why] })
}

const LONGEST_LINK = 48
const SIGN_PX = { least: 16, most: 72 }
/** Dates and amounts are set in a colour too. */
const FIGURES = /\d{4}|\d[.,:/]\d|^\d+\D{0,3}$/u

/** A mail address or a web address, and nothing else. */
const ADDRESS = /^[\p{L}\d._%+-]+@[\p{L}\d-]+(\.[\p{L}\d-]+)+$|^(https?:\/\/|www\.)\S+$/iu

/** Where words that are an address lead; undefined for other words. */
export const addressIn = (said: string): string | undefined => {
  const words = said.trim()
  if (!ADDRESS.test(words)) return undefined
  if (words.includes('@')) return `mailto:${words.toLowerCase()}`
  return /^www\./i.test(words) ? `https://${words}` : words
}

const leadsSomewhere = ({ kind }: Link): boolean =>
  kind === 'screen' || kind === 'address' || kind === 'section'

/** Links and buttons that the design, or a person, states. */
export const readStatedLinks = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    const { link } = view.node.layer
    if (!link) return true
    if (leadsSomewhere(link)) setLink(page, view, 0.98, 'the design says where it leads')
    else {
      const evidence = ['what pressing it does is said']
      page.set(view, { role: 'button', confidence: 0.98, evidence })
      if (link.kind === 'submit') page.amend(view, { submits: true })
    }
    return false
  })
}

/** Links by their looks: short words that are underlined or set in a colour of their own. */
export const readLinks = (page: RolePage): void => {
  const body = findBody(page.root)
  walkViews(page.root, (view) => {
    const { layer } = view.node
    const role = page.roleOf(view)
    if (role === 'link' || role === 'button') return false
    if (layer.type !== 'text' || role !== undefined) return true
    if (page.isWithin(view, ...FIELD_ROLES, 'label', 'columnheader')) return false
    const said = saidBy(view)
    if (addressIn(said) !== undefined) {
      setLink(page, view, 0.9, 'it is an address')
      return true
    }
    const isShort = said.length <= LONGEST_LINK && (layer.lines?.length ?? 1) === 1
    const isBody = layer.style.size <= body.size * 1.15
    if (!isShort || !isBody || !/\p{L}{2}/u.test(said)) return true
    const { color, isColored } = inkOf(view)
    const isUnderlined = layer.style.decoration === 'underline'
    if (FIGURES.test(said) && !isUnderlined) return true
    if (isUnderlined) setLink(page, view, 0.9, 'it is underlined')
    else if (isColored && color !== body.color && view.parent && !isPill(view.parent)) {
      setLink(page, view, 0.7, 'it is set in a colour that the text around it has not')
    }
    return true
  })
}

const isSign = (view: View): boolean =>
  view.texts.length === 0 &&
  view.marks.length > 0 &&
  Math.abs(view.width - view.height) <= 4 &&
  view.width >= SIGN_PX.least &&
  view.width <= SIGN_PX.most

/** Painted circles of one size in a row, whose signs did not come with the file. */
const areDiscs = (views: readonly View[]): boolean =>
  views.length >= 3 &&
  views.length <= 8 &&
  new Set(views.map((view) => Math.round(view.width))).size === 1 &&
  views.every(
    (view) =>
      view.texts.length === 0 &&
      Math.abs(view.width - view.height) <= 1 &&
      view.width >= 28 &&
      view.width <= SIGN_PX.most &&
      isRound(view) &&
      isPainted(view),
  )

/** Signs of other places: three or more alike in a row, each in a circle or square of its own. */
export const readSigns = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    const { children } = view
    const isRun =
      view.node.arrangement.kind === 'row' &&
      children.length >= 3 &&
      children.length <= 8 &&
      children.every(isSign) &&
      children.every((child) => child.children.length > 0 || child.node.isGraphic) &&
      new Set(children.map((child) => Math.round(child.width))).size === 1
    if (!isRun && !areDiscs(children)) return true
    for (const child of children) {
      setLink(page, child, isRun ? 0.7 : 0.6, 'it is one of a row of signs that are alike')
    }
    return false
  })
}

/** A small coloured box around a word: a tag or badge, which leads nowhere. */
const isPill = (box: View): boolean =>
  box.texts.length === 1 &&
  box.height <= 30 &&
  'fills' in box.node.layer &&
  box.node.layer.fills.length > 0
