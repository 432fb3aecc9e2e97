import { findOutlinedText } from '../../text/outlined-text.js'
import { nameOf } from '../context.js'
import type { FindingKind } from '../kind.js'

/** Screens with twice the dots per px need twice the size; more is only weight. */
const MOST_DOTS_PER_PX = 2.5

export const largePicture: FindingKind = {
  id: 'large-picture',
  area: 'tidiness',
  severity: 'hint',
  title: 'Picture much larger than shown',
  why: 'Every visitor loads dots that nobody sees.',
  find: ({ entries, design }) =>
    entries.flatMap(({ layer, box, isSeen }) => {
      const asset = layer.type === 'image' ? design.assets[layer.asset] : undefined
      if (!asset?.width || !asset.height || !isSeen || asset.mime === 'image/svg+xml') return []
      const dots = Math.min(asset.width / box.width, asset.height / box.height)
      if (dots <= MOST_DOTS_PER_PX) return []
      return [
        {
          layers: [layer.key],
          evidence: [box],
          message: `${nameOf(layer)} has ${asset.width} × ${asset.height} dots and is shown at ${Math.round(box.width)} × ${Math.round(box.height)} px.`,
        },
      ]
    }),
}

export const outlinedText: FindingKind = {
  id: 'outlined-text',
  area: 'legibility',
  severity: 'problem',
  title: 'Text as outlines',
  why: 'It can be neither read aloud, found, copied nor translated.',
  find: ({ screen, byKey }) =>
    findOutlinedText(screen).map((key) => {
      const { layer, box } = byKey.get(key)!
      return {
        layers: [key],
        evidence: [box],
        message: `${nameOf(layer)} looks like words that were turned into shapes.`,
      }
    }),
}
