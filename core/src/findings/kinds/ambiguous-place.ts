import { placesOf, walkNodes } from '../../layout/index.js'
import { nameOf } from '../context.js'
import { STILL } from '../finding.js'
import type { Found, FindingKind } from '../kind.js'

// Nearer to the middle than this, neither edge is the nearer one for sure.
const NEAR_MIDDLE = 0.1

const WORDS = {
  start: 'left',
  centre: 'middle',
  end: 'right',
  both: 'left and right',
  scale: 'proportion',
} as const

/** Something laid over its container whose place does not tell what it keeps its distance to. */
export const ambiguousPlace: FindingKind = {
  id: 'ambiguous-place',
  area: 'structure',
  severity: 'doubt',
  title: 'Missing constraint where the place is ambiguous',
  why: 'At another width it could go left, right or stay in the middle.',
  find(context) {
    const found: Found[] = []
    const places = placesOf(context.layout)
    walkNodes(context.layout, (node, parent) => {
      const { placement, layer } = node
      if (!parent || placement.kind !== 'overlay' || !context.byKey.has(layer.key)) return
      if (context.byKey.get(layer.key)!.layer.constraints) return
      const [inner, outer] = [places.get(node)!, places.get(parent)!]
      const before = inner.x - outer.x
      const after = outer.x + outer.width - inner.x - inner.width
      const off = Math.abs(before - after) / 2
      const isAmbiguous = off > 1 && off < outer.width * NEAR_MIDDLE && inner.width < outer.width
      if (!isAmbiguous) return
      found.push({
        layers: [layer.key],
        evidence: [inner],
        message: `${nameOf(layer)} stands ${Math.round(off)} px beside the middle; it is held by the ${WORDS[placement.x.edge]}.`,
        remedy: {
          label: 'Hold it in the middle',
          edits: [{ kind: 'set-constraints', layer: layer.key, horizontal: 'centre' }],
          isSafe: true,
          change: STILL,
        },
      })
    })
    return found
  },
}
