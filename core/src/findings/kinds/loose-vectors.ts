import { INFERRED } from '../../design/node-key.js'
import { placesOf, walkNodes } from '../../layout/index.js'
import { count } from '../context.js'
import { STILL } from '../finding.js'
import type { Found, FindingKind } from '../kind.js'
import { materialise } from '../materialise.js'

/** Vectors that touch and together are one picture. */
export const looseVectors: FindingKind = {
  id: 'loose-vectors',
  area: 'structure',
  severity: 'problem',
  title: 'Loose vectors that are one graphic',
  why: 'Each would become a file of its own that has to be kept in its place.',
  find(context) {
    const found: Found[] = []
    const places = placesOf(context.layout)
    walkNodes(context.layout, (node) => {
      if (!node.isGraphic || node.children.length > 0 || !node.layer.key.endsWith(INFERRED)) return
      const layers = node.absorbed.filter((key) => context.byKey.has(key))
      if (layers.length < 2) return
      found.push({
        layers,
        evidence: [places.get(node)!],
        message: `${count(layers.length, 'loose vector')} are one picture.`,
        remedy: {
          label: 'Make one graphic',
          edits: materialise(node, context).edits,
          isSafe: true,
          change: STILL,
        },
      })
    })
    return found
  },
}
