import { areAlike } from '../../structure/alike.js'
import type { RolePage } from '../page.js'
import { flowOf, isPainted, isRound, saidBy, siblingsOf, walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'

const LEAST = { width: 140, height: 90 }
const AVATAR_PX = { least: 20, most: 160 }
const BADGE_PX = 28
const LONGEST_BADGE = 20

const beginsWithPicture = (view: View): boolean => {
  const [first] = view.children
  if (!first) return false
  return (
    first.node.layer.type === 'image' || (first.children.length === 1 && beginsWithPicture(first))
  )
}

/** A part that could stand by itself: a ground or a picture of its own, a heading, and words about it. */
const isCard = (view: View, headings: ReadonlySet<View>): boolean =>
  view.width >= LEAST.width &&
  view.height >= LEAST.height &&
  view.texts.length >= 2 &&
  headings.has(view) &&
  (isPainted(view) || beginsWithPicture(view))

/** Cards: neighbours that are alike, each with a heading and a ground of its own. */
export const readCards = (page: RolePage): void => {
  const headings = page.holdersOf('heading')
  walkViews(page.root, (view) => {
    if (page.is(view, 'table', 'navigation', 'link', 'button')) return false
    const cards = flowOf(view).filter((child) => isCard(child, headings))
    if (cards.length < 2 || !areAlike(cards.map((card) => card.node))) return true
    for (const card of cards) {
      page.set(card, {
        role: 'article',
        confidence: 0.8,
        evidence: ['neighbours that are alike have each a heading and a ground of their own'],
      })
    }
    return true
  })
}

const isSquare = (view: View): boolean => Math.abs(view.width - view.height) <= 1

const isAvatarSize = ({ width }: View): boolean =>
  width >= AVATAR_PX.least && width <= AVATAR_PX.most

const showsPicture = ({ node: { layer } }: View): boolean =>
  layer.type === 'image' || ('fills' in layer && layer.fills.some((fill) => fill.kind === 'image'))

/** Round pictures, and circles with the first letters of a name. */
export const readAvatars = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (page.roleOf(view) !== undefined) return !page.is(view, 'table', 'button')
    if (!isSquare(view) || !isAvatarSize(view) || !isRound(view)) return true
    const isPicture = showsPicture(view) && view.texts.length === 0
    const letters = saidBy(view)
    const isInitials = isPainted(view) && /^\p{Lu}{1,3}$/u.test(letters) && view.marks.length <= 1
    if (!isPicture && !isInitials) return true
    const evidence = [isPicture ? 'a round picture' : 'a circle with the first letters of a name']
    const isSure = isNamed(view.words, 'avatar')
    page.set(view, { role: 'avatar', confidence: isSure ? 0.95 : isPicture ? 0.8 : 0.75, evidence })
    return false
  })
}

/** Badges: small boxes with a word or a number, which are not pressed. */
export const readBadges = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    const role = page.roleOf(view)
    if (role !== undefined) return role !== 'table' && role !== 'button' && role !== 'textbox'
    const [text, ...others] = view.texts
    const said = saidBy(view)
    const isBadge =
      isPainted(view) &&
      text !== undefined &&
      text !== view &&
      others.length === 0 &&
      view.height <= BADGE_PX &&
      view.width <= 200 &&
      said.length <= LONGEST_BADGE &&
      text.node.layer.type === 'text' &&
      text.node.layer.style.size <= 14 &&
      siblingsOf(view).length > 0
    if (!isBadge || page.roleOf(text) !== undefined) return true
    page.set(view, {
      role: 'badge',
      confidence: isNamed(view.words, 'badge') ? 0.95 : 0.7,
      evidence: ['a small box with a word in small type'],
    })
    return false
  })
}
