import { hasWords } from '../../has-words.js'
import { findBody } from '../body.js'
import { Case, type RolePage } from '../page.js'
import { FIELD_ROLES, type RoleReading } from '../reading.js'
import { saidBy, walkViews, type View } from '../view.js'

const LONGEST_HEADING = 110
const LARGER = 1.18
const BOLD = 600

/** Words that somebody is said to have spoken. */
const QUOTED = /^[“„«"].*[”“»"][.,]?$/su

/** Nothing in them is a heading. */
const CLOSED: ReadonlySet<RoleReading['role']> = new Set([
  ...FIELD_ROLES,
  'banner',
  'button',
  'label',
  'link',
  'navigation',
  'table',
])

type Heading = { readonly view: View; readonly size: number; readonly weight: number }

/** Something stands below the text, in what holds both. */
const standsOver = (view: View): boolean => {
  for (let at = view, up = 0; at.parent && up < 3; at = at.parent, up++) {
    const below = at.parent.children.some(
      (other) => other !== at && other.y >= view.y + view.height - 2 && other.texts.length > 0,
    )
    if (below) return true
  }
  return false
}

/** Larger words stand right below it: it says what a figure counts. */
const namesFigure = (view: View, size: number): boolean => {
  const next = view.parent?.children.find(
    (other) =>
      other !== view && other.y >= view.y + view.height - 2 && other.y <= view.y + view.height + 16,
  )
  const { layer } = next?.node ?? {}
  return layer?.type === 'text' && layer.style.size >= size * 1.4
}

/** It is all there is in a small box with a fill: a badge. */
const isBadge = ({ parent }: View): boolean =>
  parent !== undefined &&
  parent.children.length === 1 &&
  parent.height <= 36 &&
  'fills' in parent.node.layer &&
  parent.node.layer.fills.length > 0

const candidates = (page: RolePage, size: number, title: string | undefined): Heading[] => {
  const found: Heading[] = []
  walkViews(page.root, (view) => {
    const role = page.roleOf(view)
    if (role && CLOSED.has(role)) return false
    const { layer } = view.node
    if (layer.type !== 'text' || role === 'none' || role === 'paragraph') return true
    const said = saidBy(view)
    if (said.length > LONGEST_HEADING || !hasWords(said)) return true
    const { weight } = layer.style
    const own = new Case()
      .for(0.6, 'it is the first of the largest words of the page', view.key === title)
      .for(0.6, 'it is larger than the text', layer.style.size >= size * LARGER)
      .for(0.2, 'it is much larger than the text', layer.style.size >= size * 1.5)
      .for(0.35, 'it is bold', weight >= BOLD && layer.style.size >= size * 0.95)
      .for(0.25, 'something stands below it', standsOver(view))
      .for(-0.4, '', namesFigure(view, layer.style.size))
      .for(-0.6, '', isBadge(view))
      .for(-0.6, '', QUOTED.test(said))
      .for(-0.25, '', said.length > 70)
      .for(-0.15, '', /[.,;]$/u.test(said) && said.length > 30)
    if (role === 'heading' || own.confidence >= 0.6) {
      found.push({ view, size: layer.style.size, weight })
      page.set(view, { role: 'heading', confidence: own.confidence, evidence: own.evidence })
    }
    return true
  })
  return found
}

/** Headings with levels that never skip: the largest is the title, ranks follow size and weight. */
export const readHeadings = (page: RolePage, title: string | undefined): void => {
  const body = findBody(page.root)
  const headings = candidates(page, body.size, title)
  const top =
    headings.find(({ view }) => view.key === title) ??
    [...headings].sort((a, b) => b.size - a.size)[0]
  if (!top) return
  const rankOf = ({ size, weight }: Heading): number => size * 1000 + weight
  const ranks = [...new Set(headings.filter((h) => h !== top).map(rankOf))].sort((a, b) => b - a)
  let before = headings[0] === top ? 0 : 1
  for (const heading of headings) {
    const known = page.readings.get(heading.view.key)!
    const rank = heading === top ? 1 : 2 + ranks.indexOf(rankOf(heading))
    const level = known.level ?? Math.min(rank, before + 1, 6)
    page.amend(heading.view, { level: level as NonNullable<typeof known.level> })
    before = level
  }
}
