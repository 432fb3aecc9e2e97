import { withOpacity } from './color.js'
import type { Layer } from './layer.js'
import type { Effect, Paint } from './paint.js'

const faint = <P extends Paint>(paint: P, opacity: number): P => ({
  ...paint,
  opacity: Math.round(paint.opacity * opacity * 1000) / 1000,
})

const faintEffect = (effect: Effect, opacity: number): Effect =>
  effect.kind === 'shadow' ? { ...effect, color: withOpacity(effect.color, opacity) } : effect

/**
 * A shape whose opacity is in its paints and shadows, and no longer in the layer: what is put into it does not fade with it. Exact
 * where its paints do not lie over each other.
 */
export const withPaintOpacity = <L extends Layer>(layer: L): L => {
  const { opacity } = layer
  if (opacity === 1) return layer
  return {
    ...layer,
    opacity: 1,
    effects: layer.effects.map((effect) => faintEffect(effect, opacity)),
    ...('fills' in layer ? { fills: layer.fills.map((paint) => faint(paint, opacity)) } : {}),
    ...('strokes' in layer
      ? {
          strokes: layer.strokes.map((stroke) => ({
            ...stroke,
            paint: faint(stroke.paint, opacity),
          })),
        }
      : {}),
  }
}
