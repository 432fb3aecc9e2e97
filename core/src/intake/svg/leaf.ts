import { roundBox, roundPx, type Box, type Point } from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import { notes } from '../../notes/catalogue.js'
import type { Base } from './base.js'
import { isDrawable, type Surroundings, type SvgContext } from './context.js'
import { readImageAsset } from './image.js'
import { IDENTITY, placeBox, transformPoint, type Matrix, type Placement } from './matrix.js'
import { readFills, readStrokes, type PaintedShape } from './paint.js'
import { convertShapeToPath, placePath, type Shape } from './shapes.js'
import { parseLength, type Style } from './style.js'
import { readText } from './text.js'
import type { XmlElement } from './xml.js'

const isDrawableBox = ({ x, y, width, height }: Box): boolean =>
  isDrawable(x, y, width, height) && width >= 0 && height >= 0

/** A rectangle, ellipse, line or path; undefined when its numbers are no place or it has no extent. */
export const readShapeLayer = (
  context: SvgContext,
  base: Base,
  shape: Shape,
  style: Style,
  matrix: Matrix,
): Layer | undefined => {
  const asPath = (): Layer | undefined => {
    const d = convertShapeToPath(shape)
    const placed = placePath(d, matrix)
    const own = placed && (matrix === IDENTITY ? placed : placePath(d, IDENTITY))
    if (!placed || !own) return undefined
    if (!isDrawableBox(placed.box)) return undefined
    const painted: PaintedShape = { own: own.box, matrix, placed: placed.box }
    const rule = style['fill-rule'] === 'evenodd' ? 'evenodd' : 'nonzero'
    return {
      ...base,
      type: 'path',
      box: roundBox(placed.box),
      paths: [{ d: placed.d, rule }],
      fills: readFills(context, base.key, style, painted),
      strokes: readStrokes(context, base.key, style, painted),
    }
  }
  if (shape.kind === 'path') return asPath()
  if (shape.kind === 'line') {
    const placed = placePath(convertShapeToPath(shape), matrix)
    if (!placed || !isDrawableBox(placed.box)) return undefined
    const box = roundBox(placed.box)
    const end = (x: number, y: number): Point => {
      const point = transformPoint(matrix, { x, y })
      return { x: roundPx(point.x - box.x), y: roundPx(point.y - box.y) }
    }
    const painted: PaintedShape = { own: placed.box, matrix, placed: placed.box }
    return {
      ...base,
      type: 'line',
      box,
      from: end(shape.x1, shape.y1),
      to: end(shape.x2, shape.y2),
      strokes: readStrokes(context, base.key, style, painted),
    }
  }
  // A mirror may turn a size round, but a negative size in the file is an error (SVG 2, 10.2).
  if (shape.box.width < 0 || shape.box.height < 0) return undefined
  const placement = placeBox(matrix, shape.box)
  if (placement.kind === 'skewed') return asPath()
  const { box, scaleX, scaleY } = placement
  if (!isDrawableBox(box)) return undefined
  const painted: PaintedShape = { own: shape.box, matrix, placed: box }
  const common = {
    ...base,
    box: roundBox(box),
    rotationDeg: placement.kind === 'rotated' ? placement.rotationDeg : 0,
    fills: readFills(context, base.key, style, painted),
    strokes: readStrokes(context, base.key, style, painted),
  }
  if (shape.kind === 'ellipse') return { ...common, type: 'ellipse' }
  const radius = Math.min(
    Math.max(shape.rx * scaleX, shape.ry * scaleY) || 0,
    box.width / 2,
    box.height / 2,
  )
  return { ...common, type: 'rectangle', radius: roundPx(Math.max(0, radius)) }
}

const noteMirror = (context: SvgContext, base: Base, placement: Placement): void => {
  if (placement.kind !== 'aligned' || !placement.isMirrored) return
  context.notes.push(notes.effectSkipped(context.file, base.key, 'mirroring'))
}

/** A text with its lines; undefined when it shows nothing. */
export const readTextLayer = (
  context: SvgContext,
  base: Base,
  element: XmlElement,
  style: Style,
  matrix: Matrix,
): Layer | undefined => {
  const text = readText(context, base.key, element, style)
  if (!text) return undefined
  const placement = placeBox(matrix, text.box)
  if (placement.kind === 'skewed') {
    context.notes.push(notes.effectSkipped(context.file, base.key, 'skew of a text'))
    return undefined
  }
  noteMirror(context, base, placement)
  const { box, scaleY: scale } = placement
  if (!isDrawableBox(box)) return undefined
  const grow = <T extends { size?: number; lineHeight?: number; letterSpacing?: number }>(
    s: T,
  ): T => ({
    ...s,
    ...(s.size !== undefined ? { size: roundPx(s.size * scale) } : {}),
    ...(s.lineHeight !== undefined ? { lineHeight: roundPx(s.lineHeight * scale) } : {}),
    ...(s.letterSpacing !== undefined
      ? { letterSpacing: Math.round(s.letterSpacing * scale * 1000) / 1000 }
      : {}),
  })
  return {
    ...base,
    type: 'text',
    name:
      base.name === 'Text'
        ? text.runs
            .map((r) => r.text)
            .join('')
            .trim()
            .slice(0, 40)
        : base.name,
    box: roundBox(box),
    rotationDeg: placement.kind === 'rotated' ? placement.rotationDeg : 0,
    style: grow(text.style),
    runs: text.runs.map((run) => ({ ...run, style: grow(run.style) })),
    align: text.align,
    lines: text.lines.map((l) => ({
      ...l,
      x: roundPx(l.x * placement.scaleX),
      baseline: roundPx(l.baseline * scale),
    })),
  }
}

/** A picture, or a grey box in the place of one that did not come along. */
export const readImageLayer = (
  context: SvgContext,
  base: Base,
  element: XmlElement,
  around: Surroundings,
  matrix: Matrix,
): Layer | undefined => {
  const { attributes } = element
  const { viewport } = around
  const number = (name: string, whole: number): number =>
    parseLength(attributes[name] ?? '0', whole)
  const own = {
    x: number('x', viewport.width),
    y: number('y', viewport.height),
    width: number('width', viewport.width),
    height: number('height', viewport.height),
  }
  const placement = placeBox(matrix, own)
  if (placement.kind === 'skewed') {
    context.notes.push(notes.effectSkipped(context.file, base.key, 'skew of a picture'))
    return undefined
  }
  noteMirror(context, base, placement)
  const { box } = placement
  if (!isDrawableBox(box)) return undefined
  const href = attributes['href'] ?? attributes['xlink:href']
  const asset = readImageAsset(context, base.key, base.name === 'Picture' ? '' : base.name, href)
  const ratio = attributes['preserveAspectRatio'] ?? 'xMidYMid meet'
  const rotationDeg = placement.kind === 'rotated' ? placement.rotationDeg : 0
  if (asset === undefined) {
    const grey = { kind: 'solid', color: '#d9d9d9', opacity: 1, blend: 'normal' } as const
    return {
      ...base,
      type: 'rectangle',
      box: roundBox(box),
      rotationDeg,
      fills: [grey],
      strokes: [],
      radius: 0,
    }
  }
  return {
    ...base,
    type: 'image',
    box: roundBox(box),
    rotationDeg,
    asset,
    fit: ratio.includes('none') ? 'fill' : ratio.includes('slice') ? 'cover' : 'contain',
    strokes: [],
    radius: 0,
  }
}
