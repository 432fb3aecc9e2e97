import type { Layer, TextLayer } from '../design/layer.js'
import { walkLayers } from '../design/walk.js'

// Smaller text is no page title, even if everything else is smaller still.
const SMALLEST_TITLE_PX = 18

/** Words, and not a figure such as `12` or `84 kg`. */
const hasWords = (layer: TextLayer): boolean => {
  const text = layer.runs.map((run) => run.text).join('')
  return (text.match(/\p{L}/gu)?.length ?? 0) > 2 * (text.match(/\p{N}/gu)?.length ?? 0)
}

/** The key of the text that is the screen's title: of those made of words, the first in the largest type. */
export const findTitle = (screen: Layer): string | undefined => {
  let title: TextLayer | undefined
  walkLayers(screen, (layer) => {
    if (layer.type !== 'text' || !layer.visible || layer.style.size < SMALLEST_TITLE_PX) return
    if (!hasWords(layer)) return
    if (!title || layer.style.size > title.style.size) title = layer
  })
  return title?.key
}
