import type { RolePage } from '../page.js'
import { isPainted, isRound, walkViews, type View } from '../view.js'

const LEAST_WIDTH = 60
const KNOB_PX = { least: 10, most: 36 }

const isBar = (view: View): boolean =>
  view.texts.length === 0 && isPainted(view) && view.height <= 24 && view.width >= view.height * 2

const share = (px: number, of: number): number =>
  Math.round(Math.max(0, Math.min(1, px / of)) * 100)

/** A line with a circle on it. */
const readSlider = (page: RolePage, view: View): boolean => {
  if (view.texts.length > 0 || view.width < LEAST_WIDTH || view.height > 48) return false
  const parts = view.children
  const knob = parts.find(
    (part) =>
      isRound(part) &&
      isPainted(part) &&
      Math.abs(part.width - part.height) <= 1 &&
      part.width >= KNOB_PX.least &&
      part.width <= KNOB_PX.most,
  )
  const track = knob && (parts.find((part) => part !== knob && isBar(part)) ?? view)
  if (!knob || !track || track.height >= knob.height * 0.8 || !isPainted(track)) return false
  if (track.width < knob.width * 3) return false
  const percent = share(knob.x + knob.width / 2 - track.x, track.width)
  const evidence = ['a line with a circle on it']
  return page.set(view, { role: 'slider', confidence: 0.8, evidence, percent })
}

/** A thin bar that is filled in another colour up to some place. */
const readProgress = (page: RolePage, view: View): boolean => {
  const [bar, ...others] = view.children
  if (!bar || others.length > 0 || view.texts.length > 0 || !isBar(view) || !isBar(bar))
    return false
  const isInside =
    Math.abs(bar.x - view.x) <= 2 &&
    Math.abs(bar.height - view.height) <= 4 &&
    bar.width < view.width
  if (!isInside || view.width < LEAST_WIDTH || view.height > 20) return false
  const percent = share(bar.width, view.width)
  const evidence = ['a thin bar that is filled up to some place']
  return page.set(view, { role: 'progressbar', confidence: 0.8, evidence, percent })
}

/** Sliders and progress bars. */
export const readRanges = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (page.roleOf(view) !== undefined) return page.roleOf(view) !== 'table'
    return !readSlider(page, view) && !readProgress(page, view)
  })
}
