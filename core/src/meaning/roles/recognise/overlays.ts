import { isInFlow } from '../../../layout/flow/solver.js'
import { Case, type RolePage } from '../page.js'
import { isVeil } from '../paint.js'
import { CONTROL_ROLES } from '../reading.js'
import { flowOf, isPainted, walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'
import { isLabel } from './navigation.js'

/** A veil covers nearly the whole page. */
const VEIL_SHARE = 0.9
const TOAST = { width: 600, height: 140 }
const MENU_PX = 400
/** Toasts come in near an edge of the page: within this share of its height, or in px. */
const EDGE = { share: 0.15, px: 160 }

/** What lies over a veil that dims the page. */
const readDialog = (page: RolePage, view: View): boolean => {
  const covers = view.width * view.height >= page.root.width * page.root.height * VEIL_SHARE
  if (view === page.root || !covers || !isVeil(view)) return false
  const largest = [...view.children]
    .filter(isPainted)
    .sort((a, b) => b.width * b.height - a.width * a.height)[0]
  if (!largest || largest.texts.length === 0) return false
  const isAtEdge = largest.height >= page.root.height * 0.95
  return page.set(largest, {
    role: 'dialog',
    confidence: 0.9,
    evidence: [
      isAtEdge
        ? 'it stands along an edge, over a veil that dims the page'
        : 'it lies over a veil that dims the page',
    ],
  })
}

const isNearEdge = (page: RolePage, view: View): boolean => {
  const { height } = page.root
  const room = Math.min(EDGE.px, height * EDGE.share)
  return view.y <= room || view.y + view.height >= height - room
}

/** A few words that lie over the page near its edge. */
const readToast = (page: RolePage, view: View, controls: ReadonlySet<View>): boolean => {
  if (view.width > TOAST.width || view.height > TOAST.height || controls.has(view)) return false
  if (view.texts.length === 0 || view.texts.length > 3 || view.height > view.width) return false
  const { effects } = view.node.layer
  const own = new Case()
    .for(0.3, 'a few words lie over the page', true)
    .for(0.25, 'it stands near its upper or lower edge', isNearEdge(page, view))
    .for(0.2, 'it has a shadow', effects.length > 0)
    .for(0.35, 'its name says so', isNamed(view.words, 'toast'))
  if (own.confidence < 0.65) return false
  return page.set(view, { role: 'status', confidence: own.confidence, evidence: own.evidence })
}

/** A column of short words that lies over the page. */
const readMenu = (page: RolePage, view: View, controls: ReadonlySet<View>): boolean => {
  const items = flowOf(view)
  const isColumn = view.node.arrangement.kind === 'column' && view.width <= MENU_PX
  if (!isColumn || items.length < 2 || controls.has(view)) return false
  if (!items.every((item) => isLabel(item) && page.roleOf(item) === undefined)) return false
  const own = new Case()
    .for(0.5, 'a column of short words lies over the page', true)
    .for(0.2, 'it has a shadow', view.node.layer.effects.length > 0)
    .for(0.35, 'its name says so', isNamed(view.words, 'menu'))
  if (own.confidence < 0.65) return false
  if (!page.set(view, { role: 'menu', confidence: own.confidence, evidence: own.evidence }))
    return false
  for (const item of items) {
    page.set(item, { role: 'button', confidence: 0.7, evidence: ['it is one of a menu'] })
  }
  return true
}

/** Dialogs, menus and toasts that are drawn over a page. */
export const readOverlays = (page: RolePage): void => {
  const controls = page.holdersOf(...CONTROL_ROLES)
  walkViews(page.root, (view) => {
    if (readDialog(page, view)) return true
    if (view === page.root || isInFlow(view.node) || !isPainted(view)) return true
    return !readMenu(page, view, controls) && !readToast(page, view, controls)
  })
}
