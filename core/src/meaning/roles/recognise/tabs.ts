import { Case, type RolePage } from '../page.js'
import { inkOf, surfaceOf } from '../paint.js'
import { flowOf, isPainted, siblingsOf, walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'
import { isLabel } from './navigation.js'

const MOST_TABS = 8
/** What tabs show begins no further below them, in px. */
const PANEL_PX = 56
/** Above this, in px, short words in a row lead through the site. */
const HEAD_PX = 120

/** A thin bar along the lower edge, as a line of its own or as a layer. */
const hasLineBelow = (view: View): boolean =>
  surfaceOf(view).isUnderlined ||
  view.children.some(
    (child) =>
      child.texts.length === 0 &&
      isPainted(child) &&
      child.height <= 6 &&
      child.width >= view.width * 0.5 &&
      child.y + child.height >= view.y + view.height - 4,
  )

/** How a tab looks, as one word: those that are not chosen look the same. */
const lookOf = (view: View): string => {
  const { layer } = view.node
  const [text] = view.texts
  const weight = text?.node.layer.type === 'text' ? text.node.layer.style.weight : 0
  const fills = 'fills' in layer ? layer.fills : []
  const strokes = 'strokes' in layer ? layer.strokes : []
  const ink = text ? inkOf(text).color : ''
  return JSON.stringify([fills, strokes, weight, ink, hasLineBelow(view)])
}

/** The one that looks different from all others. */
const chosenOf = (tabs: readonly View[]): View | undefined => {
  const looks = tabs.map(lookOf)
  const odd = tabs.filter((_, i) => looks.filter((look) => look === looks[i]).length === 1)
  const rest = new Set(looks.filter((look) => looks.filter((one) => one === look).length > 1))
  if (tabs.length === 2) {
    // Of two the one that stands out.
    return tabs.find((tab) => hasLineBelow(tab) || surfaceOf(tab).isStrong)
  }
  return odd.length === 1 && rest.size === 1 ? odd[0] : undefined
}

/** Something at least as wide begins right below: what the chosen tab shows. */
const showsBelow = (view: View): boolean =>
  [...siblingsOf(view), ...(view.parent ? siblingsOf(view.parent) : [])].some((other) => {
    const gap = other.y - view.y - view.height
    return gap >= -2 && gap <= PANEL_PX && other.width >= view.width * 0.8 && other.height >= 40
  })

/** A box of its own is around all of them, hardly higher than the chosen one. */
const holdsClosely = (view: View, chosen: View): boolean => {
  const { isFilled, isOutlined } = surfaceOf(view)
  const above = chosen.y - view.y
  const below = view.y + view.height - chosen.y - chosen.height
  return (isFilled || isOutlined) && above >= 0 && above <= 8 && Math.abs(above - below) <= 2
}

const readTabList = (page: RolePage, view: View): boolean => {
  const isSaid = page.is(view, 'tablist')
  const tabs = flowOf(view)
  if (tabs.length < 2 || (!isSaid && tabs.length > MOST_TABS)) return false
  if (!isSaid && (view.node.arrangement.kind !== 'row' || !tabs.every(isLabel))) return false
  if (!isSaid && tabs.some((tab) => page.roleOf(tab) !== undefined)) return false
  const chosen = chosenOf(tabs)
  if (!isSaid) {
    if (!chosen) return false
    const isLined =
      hasLineBelow(chosen) && tabs.every((tab) => tab === chosen || !hasLineBelow(tab))
    const isHeld = surfaceOf(chosen).isFilled && holdsClosely(view, chosen)
    const own = new Case()
      .for(0.55, 'one of a row of short words has a line below it', isLined)
      .for(0.5, 'one of a row of short words in a box is filled', isHeld)
      .for(0.15, 'a line is below all of them', surfaceOf(view).isUnderlined)
      .for(0.15, 'something as wide begins right below', showsBelow(view))
      .for(0.35, 'its name says so', isNamed(view.words, 'tab'))
      .for(-0.35, '', page.root.width >= 700 && view.y < HEAD_PX)
    if (own.confidence < 0.65) return false
    page.set(view, { role: 'tablist', confidence: own.confidence, evidence: own.evidence })
  }
  const { confidence } = page.readings.get(view.key)!
  for (const tab of tabs) {
    page.set(tab, {
      role: 'tab',
      confidence,
      evidence: ['it is one of a row of tabs'],
      group: view.key,
      isOn: tab === (chosen ?? tabs[0]),
    })
  }
  return true
}

/** Tabs that a person has said: what is in them leads nowhere, wherever it stands. */
export const readSaidTabs = (page: RolePage): void => {
  walkViews(page.root, (view) => !page.is(view, 'tablist') || !readTabList(page, view))
}

/** Tabs: rows of short words of which one is chosen, over what it shows. */
export const readTabs = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (page.is(view, 'table', 'navigation', 'link')) return false
    return view === page.root || !readTabList(page, view)
  })
}
