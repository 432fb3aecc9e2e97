import { isLaidOut, nameOf } from '../context.js'
import type { FindingKind } from '../kind.js'
import { layOutText } from '../../text/wrap.js'

// Less room than this beside the words is rounding.
const LOOSE_PX = 2

/** A text whose width is fixed although one line of words, or its container, should give it. */
export const fixedText: FindingKind = {
  id: 'fixed-text',
  area: 'structure',
  severity: 'doubt',
  title: 'Fixed width on text that should fit or stretch',
  why: 'Longer words, another language or a narrower window would break it or cut it off.',
  find: ({ entries, measure }) =>
    entries.flatMap((entry) => {
      const { layer, parent, box, isSeen } = entry
      if (layer.type !== 'text' || layer.sizing.width !== 'fixed' || !isLaidOut(entry) || !isSeen) {
        return []
      }
      const lines = layOutText(layer, measure)
      const layout = parent && 'layout' in parent.layer ? parent.layer.layout : undefined
      const isColumn = layout?.kind === 'column'
      const width = isColumn && (lines.length > 1 || layer.align !== 'start') ? 'stretch' : 'fit'
      if (width === 'fit' && lines.length > 1) return []
      return [
        {
          layers: [layer.key],
          evidence: [box],
          message: `${nameOf(layer)} is ${Math.round(box.width)} px wide whatever it says.`,
          remedy: {
            label: width === 'fit' ? 'Let it fit its words' : 'Let it stretch',
            edits: [{ kind: 'set-sizing', layer: layer.key, width }],
            isSafe: false,
            change: { px: width === 'fit' ? Math.ceil(box.width) : LOOSE_PX, deltaE: 0 },
          },
        },
      ]
    }),
}
