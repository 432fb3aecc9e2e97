import { isContainer } from '../../design/layer.js'
import { sweepPairs } from '../../layout/sweep.js'
import { nameOf, type Entry } from '../context.js'
import type { Found, FindingKind } from '../kind.js'

const MOST_PX = 4
const LEAST_PX = 0.75

/** Things that should stand side by side and lie over each other by a few px. */
export const smallOverlap: FindingKind = {
  id: 'small-overlap',
  area: 'tidiness',
  severity: 'doubt',
  title: 'Overlap by a few px',
  why: 'It is drawn by accident, and would become an odd negative margin.',
  find({ entries }) {
    const found: Found[] = []
    const byParent = new Map<Entry, Entry[]>()
    for (const entry of entries) {
      const { parent, layer, isSeen } = entry
      if (!parent || !isSeen || layer.type === 'line' || layer.type === 'text') continue
      if (layer.type === 'path' || !isContainer(parent.layer)) continue
      const siblings = byParent.get(parent)
      if (siblings) siblings.push(entry)
      else byParent.set(parent, [entry])
    }
    for (const siblings of byParent.values()) {
      const sorted = [...siblings].sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x)
      for (const [entry, other] of sweepPairs(sorted)) {
        const [a, b] = [other.box, entry.box]
        const x = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)
        const y = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y)
        const depth = Math.min(x, y)
        if (depth < LEAST_PX || depth > MOST_PX || Math.max(x, y) < 3 * MOST_PX) continue
        const isLater = entry.order > other.order
        const moved = isLater ? entry : other
        const still = isLater ? other : entry
        const box = { ...moved.layer.box }
        if (y <= x) box.y += moved.box.y >= still.box.y ? y : -y
        else box.x += moved.box.x >= still.box.x ? x : -x
        found.push({
          layers: [moved.layer.key, still.layer.key],
          evidence: [{ x: Math.max(a.x, b.x), y: Math.max(a.y, b.y), width: x, height: y }],
          message: `${nameOf(moved.layer)} and ${nameOf(still.layer)} overlap by ${Math.round(depth * 10) / 10} px.`,
          remedy: {
            label: 'Move them apart',
            edits: [{ kind: 'set-box', layer: moved.layer.key, box }],
            isSafe: false,
            change: { px: Math.ceil(depth), deltaE: 0 },
          },
        })
      }
    }
    return found
  },
}
