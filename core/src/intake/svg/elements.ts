import { roundBox, uniteBoxes } from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import type { Link } from '../../design/interaction.js'
import type { Effect } from '../../design/paint.js'
import { notes } from '../../notes/catalogue.js'
import { adopt, createBase, KIND_NAMES } from './base.js'
import { applyClip } from './clip.js'
import type { Surroundings, SvgContext } from './context.js'
import { hidesLayer, readBackdrop } from './effects.js'
import { joinStrokes } from './join-strokes.js'
import { readImageLayer, readShapeLayer, readTextLayer } from './leaf.js'
import { IDENTITY, multiply, parseTransform, scaleOf, translation, type Matrix } from './matrix.js'
import { isDisabled, readShape, type Shape } from './shapes.js'
import { inheritable, parseLength, type Style } from './style.js'
import { enter } from './viewport.js'
import { hrefOf, isElement, localName, textOf, type XmlElement } from './xml.js'

const DROPPED = new Set([
  'script',
  'foreignObject',
  'handler',
  'animate',
  'animateMotion',
  'animateTransform',
  'set',
])
const NOT_DRAWN = new Set([
  'clipPath',
  'defs',
  'desc',
  'filter',
  'linearGradient',
  'marker',
  'mask',
  'metadata',
  'pattern',
  'radialGradient',
  'solidColor',
  'style',
  'symbol',
  'title',
  'view',
])

const GEOMETRY = [
  'x',
  'y',
  'width',
  'height',
  'cx',
  'cy',
  'r',
  'rx',
  'ry',
  'x1',
  'y1',
  'x2',
  'y2',
  'd',
  'points',
]

/** The number that most likely is to blame for a layer that cannot be placed. */
const findWildNumber = ({ attributes }: XmlElement): string => {
  const values = GEOMETRY.flatMap((name) => attributes[name] ?? [])
  const wild = values.find((value) => !/^[\d.+]{1,9}%?$/.test(value))
  return wild ?? attributes['transform'] ?? values.join(' ')
}

const OUTLINE: Style = {
  fill: '#000000',
  'fill-opacity': '1',
  opacity: '1',
  stroke: 'none',
  filter: 'none',
  'mix-blend-mode': 'normal',
}

/** Properties that change how a layer looks and have no place in a design, with their harmless value. */
const UNSUPPORTED: readonly (readonly [keyof Style, RegExp, string])[] = [
  ['marker-start', /^none$/, 'marker'],
  ['marker-mid', /^none$/, 'marker'],
  ['marker-end', /^none$/, 'marker'],
  ['stroke-dashoffset', /^0/, 'dash offset'],
  ['paint-order', /^(normal|fill.*)$/, 'paint order'],
  ['word-spacing', /^(normal|0.*)$/, 'word spacing'],
  ['writing-mode', /^(horizontal-tb|lr|lr-tb)$/, 'vertical writing'],
]

const noteUnsupported = (context: SvgContext, layer: string, style: Style): void => {
  let before: string | undefined
  for (const [property, harmless, what] of UNSUPPORTED) {
    const value = style[property]
    if (value === undefined || harmless.test(value) || what === before) continue
    context.notes.push(notes.effectSkipped(context.file, layer, what))
    before = what
  }
}

/** Stroke widths that depend on the viewport or the font, in px. */
const withStrokeWidth = (style: Style, { viewport }: Surroundings): Style => {
  const width = style['stroke-width']
  if (width === undefined || !/[%a-z]$/.test(width)) return style
  const diagonal = Math.hypot(viewport.width, viewport.height) / Math.SQRT2
  const px = parseLength(width, diagonal, Number(style['font-size'] ?? 16))
  return { ...style, 'stroke-width': `${px}` }
}

/** A text without a visible character and a path without a command draw nothing, and that is no fault. */
const drawsNothing = (name: string, shape: Shape | undefined): boolean =>
  name === 'text' ||
  (shape?.kind === 'path' && shape.d.trim() === '') ||
  (shape !== undefined && isDisabled(shape))

/** Notes what is dangerous or not understood. Returns whether the element is to be left out. */
const isLeftOut = (context: SvgContext, name: string): boolean => {
  if (NOT_DRAWN.has(name)) return true
  if (DROPPED.has(name)) {
    context.notes.push(notes.scriptDropped(context.file, `<${name}>`))
    return true
  }
  if (name in KIND_NAMES) return false
  if (name === 'switch') return false
  context.countSkipped(name)
  return true
}

/** Reads one element with everything in it; boxes are in the coordinates of the screen. */
export const readElement = (
  context: SvgContext,
  element: XmlElement,
  around: Surroundings,
): Layer | undefined => {
  const name = localName(element.name)
  for (const attribute in element.attributes) {
    if (attribute.startsWith('on'))
      context.notes.push(notes.scriptDropped(context.file, `The handler ${attribute}`))
  }
  if (isLeftOut(context, name)) return undefined
  const own = withStrokeWidth(context.resolveStyle(element, around.style), around)
  const style = around.isOutline ? { ...own, ...OUTLINE, 'fill-rule': own['clip-rule'] } : own
  const shaped = context.withStyledGeometry(element)
  const transform = shaped.attributes['transform']
  const moved = transform ? parseTransform(transform) : IDENTITY
  const label = element.attributes['id'] ?? name
  if (!moved) {
    context.notes.push(notes.numberRefused(context.file, label, transform!))
    return undefined
  }
  const matrix = moved === IDENTITY ? around.matrix : multiply(around.matrix, moved)
  const shape = readShape(name, shaped, around.viewport, Number(style['font-size'] ?? 16))
  let layer: Layer | undefined
  if (shape || name === 'text' || name === 'image') {
    const base = createBase(context, element, name, style, scaleOf(matrix))
    noteUnsupported(context, base.key, style)
    if (shape && isDisabled(shape)) layer = undefined
    else if (shape) {
      layer = readShapeLayer(context, base, shape, style, matrix)
      const isHidden = hidesLayer(context, style.filter, scaleOf(matrix))
      if (layer && isHidden && 'fills' in layer) layer = { ...layer, fills: [], strokes: [] }
    } else if (name === 'text') layer = readTextLayer(context, base, element, style, matrix)
    else layer = readImageLayer(context, base, shaped, around, matrix)
    if (!layer && !drawsNothing(name, shape)) {
      context.notes.push(notes.numberRefused(context.file, base.key, findWildNumber(element)))
    }
  } else layer = readContainer(context, element, name, style, around, matrix)
  if (!layer) return undefined
  return applyClip(context, layer, style, around, matrix, scaleOf(matrix), readElement)
}

const readLink = (element: XmlElement): Link | undefined => {
  const url = (hrefOf(element) ?? '').trim().slice(0, 2000)
  return url ? { kind: 'address', url } : undefined
}

/**
 * SVG has no blurred background; programs write one as a foreign box with nothing but `backdrop-filter`
 * before the shape it belongs to. Returns its effects; undefined for every other element.
 */
const readBackdropBox = (
  context: SvgContext,
  element: XmlElement,
  layer: string,
  scale: number,
): Effect[] | undefined => {
  if (localName(element.name) !== 'foreignObject') return undefined
  const boxes = element.children.filter(isElement)
  const only = boxes[0]
  if (boxes.length !== 1 || !only || only.children.some(isElement) || textOf(only)) return undefined
  const effects = readBackdrop(
    context,
    layer,
    context.resolveStyle(only, {})['backdrop-filter'],
    scale,
  )
  return effects.length > 0 ? effects : undefined
}

const readContainer = (
  context: SvgContext,
  element: XmlElement,
  name: string,
  style: Style,
  around: Surroundings,
  matrix: Matrix,
): Layer | undefined => {
  let content: readonly XmlElement[] = element.children.filter(isElement)
  let inside = enter(element, name, around, matrix, inheritable(style))
  if (name === 'use') {
    const target = context.findReference(hrefOf(element))
    if (!target) return undefined
    if (around.expanding.includes(target)) {
      context.notes.push(notes.useCycle(context.file, target.attributes['id'] ?? 'use'))
      return undefined
    }
    const x = parseLength(element.attributes['x'] ?? '0') || 0
    const y = parseLength(element.attributes['y'] ?? '0') || 0
    const { width, height } = element.attributes
    const sized =
      localName(target.name) === 'symbol'
        ? {
            ...target,
            name: 'svg',
            attributes: {
              ...target.attributes,
              ...(width ? { width } : {}),
              ...(height ? { height } : {}),
            },
          }
        : target
    content = [sized]
    inside = {
      ...inside,
      matrix: multiply(inside.matrix, translation(x, y)),
      expanding: [...around.expanding, target],
    }
  }
  const base = createBase(context, element, name, style, scaleOf(matrix))
  let backdrop: Effect[] = []
  const read = content.flatMap((child) => {
    const behind = readBackdropBox(context, child, base.key, scaleOf(matrix))
    if (behind) {
      backdrop = behind
      return []
    }
    const layer = readElement(context, child, inside)
    if (!layer) return []
    const effects = [...layer.effects, ...backdrop]
    backdrop = []
    return [effects.length > layer.effects.length ? { ...layer, effects } : layer]
  })
  if (read.length === 0) return undefined
  const children = joinStrokes(read)
  const box = roundBox(uniteBoxes(children.map((c) => c.box)))
  const link = name === 'a' ? readLink(element) : undefined
  return { type: 'group', box, children: adopt(children, box), ...(link ? { link } : {}), ...base }
}
