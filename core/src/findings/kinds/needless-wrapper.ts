import { hasBehaviour } from '../../design/interaction.js'
import { isContainer, type ContainerLayer } from '../../design/layer.js'
import { isLaidOut, nameOf } from '../context.js'
import { STILL } from '../finding.js'
import type { FindingKind } from '../kind.js'

const isPlain = (layer: ContainerLayer): boolean =>
  layer.type !== 'component' &&
  layer.opacity === 1 &&
  layer.blend === 'normal' &&
  layer.rotationDeg === 0 &&
  layer.effects.length === 0 &&
  !hasBehaviour(layer) &&
  (layer.type === 'group'
    ? layer.mask === undefined && !layer.isGraphic
    : !layer.layout &&
      !layer.arrange &&
      !layer.clip &&
      layer.fills.length === 0 &&
      layer.strokes.length === 0)

/** A group or frame around a single layer that adds nothing to it. */
export const needlessWrapper: FindingKind = {
  id: 'needless-wrapper',
  area: 'structure',
  severity: 'hint',
  title: 'Needless groups and frames',
  why: 'An element for each would only make the page deeper.',
  find: ({ entries }) =>
    entries.flatMap((entry) => {
      const { layer, parent, box } = entry
      if (!parent || !isContainer(layer) || !isPlain(layer) || isLaidOut(entry)) return []
      if (layer.children.length !== 1) return []
      return [
        {
          layers: [layer.key],
          evidence: [box],
          message: `${nameOf(layer)} holds one layer and does nothing else.`,
          remedy: {
            label: 'Take it away',
            edits: [{ kind: 'split', layer: layer.key }],
            isSafe: true,
            change: STILL,
          },
        },
      ]
    }),
}
