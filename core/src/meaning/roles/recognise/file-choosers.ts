import { Case, type RolePage } from '../page.js'
import { isPainted, saidBy, walkViews, type View } from '../view.js'
import { ASKS_FILE, isNamed } from '../words.js'

const LEAST = { width: 80, height: 24 }
/** Larger boxes are parts of the page, in px. */
const MOST = { width: 960, height: 480 }

const isDashed = ({ node: { layer } }: View): boolean =>
  'strokes' in layer && layer.strokes.some((stroke) => stroke.dash.length > 0)

/** A box that asks for a file: to be dropped into a dashed line, or to be chosen. */
const readFileChooser = (page: RolePage, view: View): boolean => {
  if (page.is(view, 'file')) return true
  const { width, height } = view
  if (!isPainted(view) || view.texts.length === 0 || view.texts.length > 4) return false
  if (width < LEAST.width || height < LEAST.height) return false
  if (width > MOST.width || height > MOST.height) return false
  const asks = ASKS_FILE.test(saidBy(view))
  const own = new Case()
    .for(0.4, 'a dashed line is around it', isDashed(view))
    .for(0.4, 'its words ask for a file', asks)
    .for(0.25, 'it is a short line that asks for a file', asks && saidBy(view).length <= 24)
    .for(0.1, 'a sign stands in it', view.marks.length > 0)
    .for(0.35, 'its name says so', isNamed(view.words, 'file'))
  if (own.confidence < 0.65) return false
  return page.set(view, { role: 'file', confidence: own.confidence, evidence: own.evidence })
}

/** File choosers. What stands in one is part of it. */
export const readFileChoosers = (page: RolePage): void => {
  walkViews(page.root, (view) => view === page.root || !readFileChooser(page, view))
}
