import { INFERRED } from '../../design/node-key.js'
import { placesOf, walkNodes, type LayoutNode } from '../../layout/index.js'
import { count } from '../context.js'
import { STILL } from '../finding.js'
import type { Found, FindingKind } from '../kind.js'
import { groupKindOf, materialise } from '../materialise.js'

/** The layers of the file a node stands for. */
const layersOf = (node: LayoutNode): string[] => [
  ...(node.layer.key.endsWith(INFERRED) ? [] : [node.layer.key]),
  ...node.absorbed,
  ...node.children.flatMap(layersOf),
]

/** Layers without a container of their own that stand in a line or a grid. */
export const floating: FindingKind = {
  id: 'floating',
  area: 'structure',
  severity: 'problem',
  title: 'Loose layers that form a row, column or grid',
  why: 'Nothing in the file holds them together, so how they grow is only a guess.',
  find(context) {
    const found: Found[] = []
    const places = placesOf(context.layout)
    walkNodes(context.layout, (node) => {
      const { kind } = node.arrangement
      if (!node.layer.key.endsWith(INFERRED) || node.isGraphic || kind === 'free') return
      const flow = node.children.filter((child) => child.placement.kind === 'flow')
      const layers = [...new Set(layersOf(node))].filter((key) => context.byKey.has(key))
      if (flow.length < 2 || layers.length < 2) return
      const word = groupKindOf(node)
      const { keys, edits } = materialise(node, context)
      found.push({
        layers,
        evidence: [places.get(node)!],
        message: `${count(flow.length, 'thing')} stand in a ${word} without a container.`,
        ...(keys.length === 1
          ? { remedy: { label: `Group as ${word}`, edits, isSafe: true, change: STILL } }
          : {}),
      })
    })
    return found
  },
}
