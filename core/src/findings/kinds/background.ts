import { placesOf, walkNodes } from '../../layout/index.js'
import { count, nameOf } from '../context.js'
import { STILL } from '../finding.js'
import type { Found, FindingKind } from '../kind.js'
import { isLooseBackground, materialise } from '../materialise.js'

/** A rectangle under other layers that is their background or border, but not their container. */
export const background: FindingKind = {
  id: 'background',
  area: 'structure',
  severity: 'problem',
  title: 'Rectangle used as a background or border',
  why: 'It does not grow with what lies on it, and the padding around that is not said.',
  find(context) {
    const found: Found[] = []
    const places = placesOf(context.layout)
    walkNodes(context.layout, (node) => {
      if (!isLooseBackground(node, context) || node.layer.type !== 'rectangle') return
      const edits = materialise(node, context).edits
      found.push({
        layers: [node.layer.key, ...node.children.map((child) => child.layer.key)],
        evidence: [places.get(node)!],
        message: `${nameOf(node.layer)} lies under ${count(node.children.length, 'thing')} as a background.`,
        ...(edits.length > 0
          ? { remedy: { label: 'Make it their container', edits, isSafe: true, change: STILL } }
          : {}),
      })
    })
    return found
  },
}
