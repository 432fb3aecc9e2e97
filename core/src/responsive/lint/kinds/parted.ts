import type { LintKind } from '../kind.js'
import { hasGround, isPaint, isText, shareColumn, shareLine, type Seen } from '../laid-out.js'

/** What stands this close below a title as drawn belongs to it, in px. */
const CLOSE_PX = 56
/** Further apart than drawn by this much, something stands between them. */
const PARTED_PX = 160

const sizeOf = ({ node: { layer } }: Seen): number =>
  layer.type === 'text' ? layer.style.size + (layer.style.weight >= 600 ? 1 : 0) : 0

const byTop = (a: Seen, b: Seen): number => a.drawn!.y - b.drawn!.y

export const parted: LintKind = {
  title: 'Parted from its title',
  why: 'What was drawn right below a title stands elsewhere.',
  find({ all }) {
    const things = all
      .filter((seen) => seen.drawn && (isText(seen) || isPaint(seen) || hasGround(seen)))
      .sort(byTop)
    const within = (inner: Seen, outer: Seen): boolean =>
      inner.parent !== undefined && (inner.parent === outer || within(inner.parent, outer))
    return things.flatMap((title, i) => {
      if (!isText(title)) return []
      const bottom = title.drawn!.y + title.drawn!.height
      let below: Seen | undefined
      for (let k = i + 1; k < things.length; k++) {
        const other = things[k]!
        if (other.drawn!.y > bottom + CLOSE_PX) break
        if (other.drawn!.y < bottom - 2 || shareColumn(title.drawn!, other.drawn!) <= 0) continue
        if (within(title, other)) continue
        below = other
        break
      }
      if (!below || (isText(below) && sizeOf(below) >= sizeOf(title))) return []
      const drawn = below.drawn!.y - bottom
      const now = below.box.y - (title.box.y + title.box.height)
      const isBeside = shareLine(title.box, below.box) > 0
      const isParted = now > drawn + PARTED_PX || (now < -PARTED_PX && !isBeside)
      return isParted ? [{ at: below, amount: Math.abs(now - drawn) }] : []
    })
  },
}
