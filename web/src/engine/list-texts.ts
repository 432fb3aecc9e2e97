import {
  applyCase,
  layOutText,
  measureBoxes,
  walkLayers,
  type Layer,
  type TextMeasure,
} from '@unimorph/core'
import type { TextPiece } from './protocol'

/** Every line of text of a screen where it is drawn, top to bottom. Turned texts are left out. */
export const listTexts = (screen: Layer, measure: TextMeasure): TextPiece[] => {
  const boxes = measureBoxes(screen)
  const pieces: TextPiece[] = []
  walkLayers(screen, (layer) => {
    if (layer.type !== 'text' || !layer.visible || layer.rotationDeg !== 0) return
    const box = boxes.get(layer.key)!
    for (const line of layOutText(layer, measure)) {
      line.pieces.forEach(({ text, style, x }, i) => {
        const shown = applyCase(text, style)
        const { family, weight, italic, size } = style
        pieces.push({
          text: shown,
          x: box.x + x,
          baseline: box.y + line.baseline,
          width: measure.width(text, style),
          family,
          weight,
          italic,
          size,
          spacing: style.letterSpacing,
          endsLine: i === line.pieces.length - 1,
        })
      })
    }
  })
  return pieces
}
