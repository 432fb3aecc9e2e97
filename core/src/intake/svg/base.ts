import { roundPx, type Box } from '../../design/geometry.js'
import type { FrameLayer, Layer } from '../../design/layer.js'
import { blendSchema } from '../../design/paint.js'
import { MAX_LAYERS } from '../../design/read-design.js'
import { nameOf, type SvgContext } from './context.js'
import { parseOpacity } from './color.js'
import { readBackdrop, readFilter } from './effects.js'
import type { Style } from './style.js'
import type { XmlElement } from './xml.js'

/** Thrown to leave the recursion when a file has too many layers; caught where reading begins. */
export class TooManyLayers extends Error {}

/** What every layer of the file has, with its box still in the coordinates of the screen. */
export type Base = Pick<
  Layer,
  'key' | 'name' | 'visible' | 'opacity' | 'blend' | 'rotationDeg' | 'effects' | 'sizing' | 'flow'
>

/** The elements that are read, with the name a layer gets when the file gives none. */
export const KIND_NAMES: Readonly<Record<string, string>> = {
  rect: 'Rectangle',
  circle: 'Ellipse',
  ellipse: 'Ellipse',
  line: 'Line',
  path: 'Path',
  polygon: 'Path',
  polyline: 'Path',
  image: 'Picture',
  text: 'Text',
  g: 'Group',
  svg: 'Group',
  use: 'Group',
  a: 'Link',
}

// One object for all layers: a large file has tens of thousands of them.
const FIXED: Base['sizing'] = { width: 'fixed', height: 'fixed' }

export const createBase = (
  context: SvgContext,
  element: XmlElement,
  kind: string,
  style: Style,
  scale: number,
): Base => {
  if (++context.layerCount > MAX_LAYERS) throw new TooManyLayers()
  const named = nameOf(element)
  const key = context.createKey(element.attributes['id'] ?? (named || kind))
  const blend = blendSchema.safeParse(style['mix-blend-mode'] ?? 'normal')
  return {
    key,
    name: named || KIND_NAMES[kind] || kind,
    visible:
      style.display !== 'none' && style.visibility !== 'hidden' && style.visibility !== 'collapse',
    opacity: parseOpacity(style.opacity),
    blend: blend.success ? blend.data : 'normal',
    rotationDeg: 0,
    effects: [
      ...readFilter(context, key, style.filter, scale).effects,
      ...readBackdrop(context, key, style['backdrop-filter'], scale),
    ],
    sizing: FIXED,
    flow: 'in',
  }
}

/** What every layer has, without any effect. */
export const createPlain = (key: string, name: string): Base => ({
  key,
  name,
  visible: true,
  opacity: 1,
  blend: 'normal',
  rotationDeg: 0,
  effects: [],
  sizing: FIXED,
  flow: 'in',
})

/** A frame that only clips and holds layers. */
export const createFrame = (
  fields: Pick<FrameLayer, 'key' | 'name' | 'box' | 'visible' | 'radius' | 'children'>,
): FrameLayer => ({
  type: 'frame',
  ...createPlain(fields.key, fields.name),
  fills: [],
  strokes: [],
  clip: true,
  ...fields,
})

/** Puts children into a container: their boxes become relative to its corner. */
export const adopt = (children: readonly Layer[], box: Box): Layer[] =>
  children.map((child) => ({
    ...child,
    box: { ...child.box, x: roundPx(child.box.x - box.x), y: roundPx(child.box.y - box.y) },
  }))
