import type { TextLayer } from '../design/layer.js'
import type { TextRun } from '../design/text.js'
import { styleOfRun } from './wrap.js'

const withDecoration = (run: TextRun, decoration: TextRun['style']['decoration']): TextRun => {
  const { decoration: _before, ...style } = run.style
  return { ...run, style: decoration === 'none' ? style : { ...style, decoration } }
}

/**
 * A text of which only some runs are underlined or struck through says so at those runs: a line that a block draws goes through
 * all that is in it, and no run can take it back (CSS Text Decoration 3, 2). The same layer where all runs agree.
 */
export const withOwnDecorations = (layer: TextLayer): TextLayer => {
  const decorations = layer.runs.map((run) => styleOfRun(layer, run).decoration)
  if (new Set(decorations).size < 2) return layer
  return {
    ...layer,
    style: { ...layer.style, decoration: 'none' },
    runs: layer.runs.map((run, i) => withDecoration(run, decorations[i])),
  }
}
