import { roundBox, uniteBoxes } from '../../design/geometry.js'
import type { Layer, Link } from '../../design/layer.js'
import { notes } from '../../notes/catalogue.js'
import { adopt, createBase, KIND_NAMES } from './base.js'
import { applyClip } from './clip.js'
import type { Surroundings, SvgContext } from './context.js'
import { readImageLayer, readShapeLayer, readTextLayer } from './leaf.js'
import { IDENTITY, multiply, parseTransform, scaleOf, translation, type Matrix } from './matrix.js'
import { readShape, type Shape } from './shapes.js'
import { parseLength, resolveStyle, type Style } from './style.js'
import { enter } from './viewport.js'
import { isElement, localName, type XmlElement } from './xml.js'

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

/** A text without a visible character and a path without a command draw nothing, and that is no fault. */
const drawsNothing = (name: string, shape: Shape | undefined): boolean =>
  name === 'text' || (shape?.kind === 'path' && shape.d.trim() === '')

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
  const style = resolveStyle(element, around.style)
  const transform = element.attributes['transform']
  const own = transform ? parseTransform(transform) : IDENTITY
  const label = element.attributes['id'] ?? name
  if (!own) {
    context.notes.push(notes.numberRefused(context.file, label, transform!))
    return undefined
  }
  const matrix = own === IDENTITY ? around.matrix : multiply(around.matrix, own)
  const shape = readShape(name, element, around.viewport)
  let layer: Layer | undefined
  if (shape || name === 'text' || name === 'image') {
    const base = createBase(context, element, name, style, scaleOf(matrix))
    if (shape) layer = readShapeLayer(context, base, shape, style, matrix)
    else if (name === 'text') layer = readTextLayer(context, base, element, style, matrix)
    else layer = readImageLayer(context, base, element, around, matrix)
    if (!layer && !drawsNothing(name, shape)) {
      context.notes.push(notes.numberRefused(context.file, base.key, findWildNumber(element)))
    }
  } else layer = readContainer(context, element, name, style, around, matrix)
  return layer && applyClip(context, layer, style, matrix)
}

const readLink = (element: XmlElement): Link | undefined => {
  const url = (element.attributes['href'] ?? element.attributes['xlink:href'] ?? '')
    .trim()
    .slice(0, 2000)
  return url ? { kind: 'address', url } : undefined
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
  let inside = enter(element, name, around, matrix, style)
  if (name === 'use') {
    const target = context.findReference(
      element.attributes['href'] ?? element.attributes['xlink:href'],
    )
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
  const children = content.flatMap((child) => readElement(context, child, inside) ?? [])
  if (children.length === 0) return undefined
  const box = roundBox(uniteBoxes(children.map((c) => c.box)))
  const link = name === 'a' ? readLink(element) : undefined
  return { ...base, type: 'group', box, ...(link ? { link } : {}), children: adopt(children, box) }
}
