import type { Layer, TextLayer } from '../design/layer.js'
import { walkLayers } from '../design/walk.js'
import { textOf } from '../text/wrap.js'
import { hasWords } from './has-words.js'

// Smaller text is no page title, even if everything else is smaller still.
const SMALLEST_TITLE_PX = 18

/** The key of the text that is the screen's title: of those made of words, the first in the largest type. */
export const findTitle = (screen: Layer): string | undefined => {
  let title: TextLayer | undefined
  walkLayers(screen, (layer) => {
    if (layer.type !== 'text' || !layer.visible || layer.style.size < SMALLEST_TITLE_PX) return
    if (!hasWords(textOf(layer))) return
    if (!title || layer.style.size > title.style.size) title = layer
  })
  return title?.key
}
