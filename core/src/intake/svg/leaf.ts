import {
  mapCorners,
  roundBox,
  roundPx,
  simplifyCorners,
  type Box,
  type Point,
} from '../../design/geometry.js'
import type { Layer } from '../../design/layer.js'
import type { Paint, Stroke } from '../../design/paint.js'
import { notes } from '../../notes/catalogue.js'
import { readRectanglePath } from '../../paths/index.js'
import { adopt, createPlain, type Base } from './base.js'
import { isDrawable, type Surroundings, type SvgContext } from './context.js'
import { fitOf, readImageAsset, twistPicture } from './image.js'
import { placeBox, transformPoint, type Matrix, type Placement } from './matrix.js'
import type { PaintedShape } from './gradient.js'
import { readFills, readStrokes, type CutPicture } from './paint.js'
import { convertShapeToPath, placePath, type PlacedPath, type Shape } from './shapes.js'
import { straighten } from './straighten.js'
import { parseLength, type Style } from './style.js'
import { readText } from './text.js'
import { hrefOf, type XmlElement } from './xml.js'

const isDrawableBox = ({ x, y, width, height }: Box): boolean =>
  isDrawable(x, y, width, height) && width >= 0 && height >= 0

/** The whole picture at its place, seen only inside a shape: a frame that clips where a box can, else a mask. */
const cutPicture = (
  context: SvgContext,
  base: Base,
  shape: Layer,
  { picture, opacity }: CutPicture,
  strokes: readonly Stroke[],
): Layer => {
  const whole: Layer = {
    ...createPlain(context.createKey(`${base.key}-picture`), base.name),
    opacity,
    type: 'image',
    box: roundBox(picture.box),
    asset: picture.asset,
    fit: picture.fit,
    strokes: [],
    radius: 0,
  }
  if (shape.type === 'rectangle') {
    const { type: _type, ...rest } = shape
    const children = adopt([whole], shape.box)
    return { ...rest, type: 'frame', clip: true, fills: [], strokes: [...strokes], children }
  }
  const plainShape = (suffix: string, name: string): Layer => ({
    ...shape,
    ...createPlain(context.createKey(`${base.key}-${suffix}`), name),
  })
  const black = { kind: 'solid', color: '#000000', opacity: 1, blend: 'normal' } as const
  const outline = { ...plainShape('outline', 'Outline'), fills: [black], strokes: [] } as Layer
  const group = { type: 'group', box: shape.box, rotationDeg: shape.rotationDeg } as const
  const masked = { mask: 'outline', children: adopt([outline, whole], shape.box) } as const
  if (strokes.length === 0) return { ...base, ...group, ...masked }
  // The stroke reaches over the outline, so it lies beside what is cut by it.
  const cut: Layer = {
    ...createPlain(context.createKey(`${base.key}-cut`), base.name),
    type: 'group',
    box: { ...shape.box, x: 0, y: 0 },
    ...masked,
  }
  const line = { ...plainShape('line', 'Border'), fills: [], strokes: [...strokes] } as Layer
  return { ...base, ...group, children: [cut, ...adopt([line], shape.box)] }
}

const paintedPath = (path: PlacedPath, matrix: Matrix): PaintedShape => ({
  get own() {
    return path.own
  },
  matrix,
  placed: path.box,
})

// In what follows `...base` stands last: adding to a spread copy is many times slower in engines of today
// than copying into an object that has the rest already, and large files have tens of thousands of layers.

/** What a layer has in common with all others, turned as it was placed. */
const turn = (base: Base, placement: Placement): Base =>
  placement.kind === 'rotated' ? { ...base, rotationDeg: placement.rotationDeg } : base

/** A rectangle, ellipse, line or path; undefined when its numbers are no place or it has no extent. */
export const readShapeLayer = (
  context: SvgContext,
  base: Base,
  shape: Shape,
  style: Style,
  matrix: Matrix,
): Layer | undefined => {
  /** Adds the paint, which may turn a shape with a cut picture into a frame or group around it. */
  const paint = (
    painted: PaintedShape,
    build: (fills: Paint[], strokes: Stroke[]) => Layer,
  ): Layer => {
    const { fills, cut } = readFills(context, base.key, style, painted)
    const strokes = readStrokes(context, base.key, style, painted)
    const layer = build(fills, strokes)
    return cut ? cutPicture(context, base, layer, cut, strokes) : layer
  }
  const asPath = (): Layer | undefined => {
    const placed = placePath(convertShapeToPath(shape), matrix)
    if (!placed || !isDrawableBox(placed.box)) return undefined
    const rectangle = shape.kind === 'path' ? readRectanglePath(placed.d) : undefined
    if (rectangle) {
      const radius = simplifyCorners(mapCorners(rectangle.corners, roundPx))
      return paint(paintedPath(placed, matrix), (fills, strokes) => ({
        type: 'rectangle',
        box: roundBox(placed.box),
        fills,
        strokes,
        radius,
        ...base,
      }))
    }
    const rule = style['fill-rule'] === 'evenodd' ? 'evenodd' : 'nonzero'
    return paint(paintedPath(placed, matrix), (fills, strokes) => ({
      type: 'path',
      box: roundBox(placed.box),
      paths: [{ d: placed.d, rule }],
      fills,
      strokes,
      ...base,
    }))
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
    const painted = paintedPath(placed, matrix)
    return {
      type: 'line',
      ...straighten({ box, from: end(shape.x1, shape.y1), to: end(shape.x2, shape.y2) }),
      strokes: readStrokes(context, base.key, style, painted),
      ...base,
    }
  }
  // A mirror may turn a size round, but a negative size in the file is an error (SVG 2, 10.2).
  if (shape.box.width < 0 || shape.box.height < 0) return undefined
  const placement = placeBox(matrix, shape.box)
  if (placement.kind === 'skewed') return asPath()
  const { box, scaleX, scaleY } = placement
  if (!isDrawableBox(box)) return undefined
  // An upright rectangle whose corners are no quarter circles is drawn by a path.
  const [rx, ry] =
    shape.kind === 'rectangle'
      ? [
          Math.min(shape.rx || 0, shape.box.width / 2) * scaleX,
          Math.min(shape.ry || 0, shape.box.height / 2) * scaleY,
        ]
      : [0, 0]
  if (rx > 0 && ry > 0 && Math.abs(rx - ry) > 0.05) return asPath()
  // A turned layer keeps its paint as it was before turning.
  const upright: Matrix =
    placement.kind === 'aligned'
      ? matrix
      : [scaleX, 0, 0, scaleY, box.x - shape.box.x * scaleX, box.y - shape.box.y * scaleY]
  return paint({ own: shape.box, matrix: upright, placed: box }, (fills, strokes) => {
    const turned = turn(base, placement)
    const placed = roundBox(box)
    if (shape.kind === 'ellipse') {
      return { type: 'ellipse', box: placed, fills, strokes, ...turned }
    }
    const radius = rx > 0 && ry > 0 ? roundPx(Math.min(rx, ry)) : 0
    const only = fills[0]
    if (only?.kind === 'image' && only.fit !== 'tile') {
      const { asset, fit } = only
      const seen = { ...turned, opacity: turned.opacity * only.opacity }
      return { type: 'image', box: placed, asset, fit, strokes, radius, ...seen }
    }
    return { type: 'rectangle', box: placed, fills, strokes, radius, ...turned }
  })
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
  if (style.stroke && style.stroke !== 'none') {
    context.notes.push(notes.effectSkipped(context.file, base.key, 'outline of a text'))
  }
  const { box, scaleY: scale } = placement
  if (!isDrawableBox(box)) return undefined
  const isSized = scale === 1 && placement.scaleX === 1
  const grow = <T extends { size?: number; lineHeight?: number; letterSpacing?: number }>(
    s: T,
  ): T =>
    isSized
      ? s
      : {
          ...s,
          ...(s.size !== undefined ? { size: roundPx(s.size * scale) } : {}),
          ...(s.lineHeight !== undefined ? { lineHeight: roundPx(s.lineHeight * scale) } : {}),
          ...(s.letterSpacing !== undefined
            ? { letterSpacing: Math.round(s.letterSpacing * scale * 1000) / 1000 }
            : {}),
        }
  const named =
    base.name === 'Text' ? { ...base, name: plainText(text.runs).trim().slice(0, 40) } : base
  return {
    type: 'text',
    box: roundBox(box),
    style: grow(text.style),
    runs: isSized ? [...text.runs] : text.runs.map((r) => ({ ...r, style: grow(r.style) })),
    align: text.align,
    lines: isSized
      ? [...text.lines]
      : text.lines.map((l) => ({
          ...l,
          x: roundPx(l.x * placement.scaleX),
          baseline: roundPx(l.baseline * scale),
        })),
    ...turn(named, placement),
  }
}

const plainText = (runs: readonly { readonly text: string }[]): string =>
  runs.map((r) => r.text).join('')

const GREY = { kind: 'solid', color: '#d9d9d9', opacity: 1, blend: 'normal' } as const

/** The area an `<image>` takes; a side it does not state follows from the picture's own size. */
const areaOf = (
  { attributes }: XmlElement,
  viewport: Surroundings['viewport'],
  natural: { readonly width?: number | undefined; readonly height?: number | undefined } = {},
): Box => {
  const number = (name: string, whole: number): number =>
    parseLength(attributes[name] ?? '0', whole)
  const stated = (name: 'width' | 'height'): number | undefined => {
    const value = attributes[name]
    return value === undefined || value === 'auto' ? undefined : parseLength(value, viewport[name])
  }
  const ratio = natural.width && natural.height ? natural.width / natural.height : undefined
  const [width, height] = [stated('width'), stated('height')]
  return {
    x: number('x', viewport.width),
    y: number('y', viewport.height),
    width: width ?? (height !== undefined && ratio ? height * ratio : (natural.width ?? 0)),
    height: height ?? (width !== undefined && ratio ? width / ratio : (natural.height ?? 0)),
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
  const name = base.name === 'Picture' ? '' : base.name
  const asset = readImageAsset(context, base.key, name, hrefOf(element))
  const stored = asset === undefined ? undefined : context.assets.assets[asset]
  const own = areaOf(element, around.viewport, stored)
  const placement = placeBox(matrix, own)
  const stretch = placement.kind === 'skewed' ? { scaleX: 1, scaleY: 1 } : placement
  const fit = fitOf(element, own, stretch, stored)
  const isTwisted =
    placement.kind === 'skewed' || (placement.kind === 'aligned' && placement.isMirrored)
  if (isTwisted && stored) {
    // No box can mirror or skew a picture, but a drawing around it can.
    const twisted = twistPicture(stored, own, fit, matrix)
    if (!isDrawableBox(twisted.box)) return undefined
    const { box } = twisted
    const image = context.assets.add(twisted.asset)
    return { ...base, type: 'image', box, asset: image, fit: 'fill', strokes: [], radius: 0 }
  }
  if (placement.kind === 'skewed') {
    context.notes.push(notes.effectSkipped(context.file, base.key, 'skew of a picture'))
    return undefined
  }
  const { box } = placement
  if (!isDrawableBox(box)) return undefined
  const turned = turn(base, placement)
  const common = { box: roundBox(box), strokes: [], radius: 0 }
  return asset === undefined
    ? { type: 'rectangle', fills: [GREY], ...common, ...turned }
    : { type: 'image', asset, fit, ...common, ...turned }
}
