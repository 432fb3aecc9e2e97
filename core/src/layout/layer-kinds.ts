import { hasBehaviour } from '../design/interaction.js'
import type { ContainerLayer, Layer } from '../design/layer.js'

/** Whether a layer has a look of its own. */
export const isPainted = (layer: Layer): boolean =>
  ('fills' in layer && layer.fills.length > 0) ||
  ('strokes' in layer && layer.strokes.length > 0) ||
  layer.effects.length > 0

/** A container that changes how its content looks as a whole, leads somewhere, or is a unit of its own. */
export const isUnit = (layer: ContainerLayer): boolean =>
  layer.opacity !== 1 ||
  layer.blend !== 'normal' ||
  layer.rotationDeg !== 0 ||
  hasBehaviour(layer) ||
  layer.type === 'component' ||
  (layer.type === 'group'
    ? layer.mask !== undefined || layer.effects.length > 0
    : layer.layout !== undefined ||
      layer.arrange !== undefined ||
      layer.effects.some((e) => e.kind === 'blur')) ||
  // A resolved instance: the keys inside begin with its own.
  layer.children.some((child) => child.key.startsWith(`${layer.key}/`))

export const isShown = (layer: Layer): boolean => layer.visible && layer.opacity > 0
