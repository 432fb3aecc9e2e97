import { roundBox, uniteBoxes } from '../../design/geometry.js'
import { isContainer } from '../../design/layer.js'
import { isLaidOut, nameOf } from '../context.js'
import { STILL } from '../finding.js'
import type { FindingKind } from '../kind.js'

const WRONG_PX = 2

/** A group whose box is not the box of what it draws. */
export const wrongBox: FindingKind = {
  id: 'wrong-box',
  area: 'tidiness',
  severity: 'doubt',
  title: 'Bounding box larger or smaller than what it draws',
  why: 'Distances are measured from the box, so they would all be wrong.',
  find: ({ entries }) =>
    entries.flatMap((entry) => {
      const { layer, parent, box, isSeen } = entry
      if (!parent || !isSeen || layer.type !== 'group' || layer.children.length === 0) return []
      if (layer.rotationDeg !== 0 || layer.mask || isLaidOut(entry)) return []
      const shown = layer.children.filter((child) => child.visible)
      if (shown.length === 0 || shown.some(isContainer)) return []
      const drawn = uniteBoxes(shown.map((child) => child.box))
      const off = Math.max(
        Math.abs(drawn.x),
        Math.abs(drawn.y),
        Math.abs(drawn.width - layer.box.width),
        Math.abs(drawn.height - layer.box.height),
      )
      if (off <= WRONG_PX) return []
      const fitted = roundBox({ ...drawn, x: layer.box.x + drawn.x, y: layer.box.y + drawn.y })
      const moves = layer.children.map((child) => ({
        kind: 'set-box' as const,
        layer: child.key,
        box: roundBox({ ...child.box, x: child.box.x - drawn.x, y: child.box.y - drawn.y }),
      }))
      const isShifted = drawn.x !== 0 || drawn.y !== 0
      return [
        {
          layers: [layer.key],
          evidence: [box, { ...drawn, x: box.x + drawn.x, y: box.y + drawn.y }],
          message: `The box of ${nameOf(layer)} is off by ${Math.round(off)} px.`,
          remedy: {
            label: 'Fit the box',
            edits: [
              { kind: 'set-box', layer: layer.key, box: fitted },
              ...(isShifted ? moves : []),
            ],
            isSafe: true,
            change: STILL,
          },
        },
      ]
    }),
}
