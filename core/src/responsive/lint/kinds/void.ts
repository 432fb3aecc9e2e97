import type { Box } from '../../../design/geometry.js'
import type { LintKind } from '../kind.js'
import { hasGround, isPaint, isText, type LaidOut, type Seen } from '../laid-out.js'

const STRIP_PX = 16
/** A phone has no room to leave empty. */
const LEAST_WINDOW_PX = 600
/** A stretch of the page as high as this is seen as empty, in px. */
const TALL_PX = 320
/** Content that ends before this share of the width leaves the rest empty. */
const SIDE_SHARE = 0.5

type Ink = { readonly at: Seen; readonly box: Box }

const inkOf = (page: LaidOut, boxOf: (seen: Seen) => Box | undefined, windowPx: number): Ink[] =>
  page.all.flatMap((at) => {
    const isInk = isText(at) || isPaint(at) || (hasGround(at) && at.parent !== undefined)
    const box = boxOf(at)
    // What reaches from side to side is the ground, not what stands on it.
    const isGround =
      !isText(at) && box !== undefined && box.width > 0.9 * windowPx && box.height > TALL_PX
    return isInk && !isGround && box && box.height > 0 ? [{ at, box }] : []
  })

type Run = { readonly at: Seen; readonly px: number }

/** Stretches of the page where nothing stands, or all that stands there keeps to one side. */
const emptyRuns = (inks: readonly Ink[], windowPx: number): Run[] => {
  const strips: { from: number; to: number; at: Seen }[] = []
  for (const { at, box } of inks) {
    const first = Math.max(0, Math.floor(box.y / STRIP_PX))
    const last = Math.floor((box.y + box.height) / STRIP_PX)
    for (let i = first; i <= last; i++) {
      const strip = strips[i]
      const [from, to] = [box.x, box.x + box.width]
      if (!strip) strips[i] = { from, to, at }
      else
        strips[i] = { from: Math.min(strip.from, from), to: Math.max(strip.to, to), at: strip.at }
    }
  }
  const runs: Run[] = []
  let first: Seen | undefined
  let count = 0
  let before: Seen | undefined
  for (let i = 0; i <= strips.length; i++) {
    const strip = strips[i]
    const isEmpty =
      i < strips.length &&
      (!strip || strip.to < SIDE_SHARE * windowPx || strip.from > SIDE_SHARE * windowPx)
    if (isEmpty) {
      first ??= strip?.at ?? before
      count++
    } else {
      if (first && count * STRIP_PX >= TALL_PX) runs.push({ at: first, px: count * STRIP_PX })
      first = undefined
      count = 0
    }
    before = strip?.at ?? before
  }
  return runs
}

export const voids: LintKind = {
  title: 'Empty room',
  why: 'A large part of the page is empty that was not drawn empty.',
  find(page) {
    const { windowPx, drawnPx } = page
    if (windowPx < LEAST_WINDOW_PX) return []
    const here = emptyRuns(
      inkOf(page, (seen) => seen.box, windowPx),
      windowPx,
    )
    if (here.length === 0) return []
    const drawn = emptyRuns(
      inkOf(page, (seen) => seen.drawn, drawnPx),
      drawnPx,
    )
    let allowed = drawn.reduce((sum, run) => sum + run.px, 0)
    return here.flatMap(({ at, px }) => {
      const rest = px - allowed
      allowed = Math.max(0, allowed - px)
      return rest >= TALL_PX ? [{ at, amount: rest }] : []
    })
  },
}
