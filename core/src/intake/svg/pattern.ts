import { roundBox, roundPx, type Box } from '../../design/geometry.js'
import type { Paint } from '../../design/paint.js'
import type { SvgContext } from './context.js'
import { referenceChain, type PaintedShape } from './gradient.js'
import { fitOf, readImageAsset } from './image.js'
import { IDENTITY, multiply, parseTransform, placeBox, translation, type Matrix } from './matrix.js'
import { parseLength } from './style.js'
import { fitViewBox, parseViewBox } from './viewport.js'
import { hrefOf, isElement, localName, nameOfId, type XmlElement } from './xml.js'

/** A picture that fills a shape: `box` is where the whole picture lies on the screen. */
export type PatternImage = {
  readonly asset: string
  readonly box: Box
  readonly fit: 'fill' | 'cover' | 'contain'
  /** Whether it is repeated in every direction, `box` being one tile. */
  readonly isTiled: boolean
}

/** The one picture in a pattern, with the transform on the way to it; undefined when there is more in it. */
const findImage = (
  context: SvgContext,
  content: readonly XmlElement[],
  matrix: Matrix,
  depth = 0,
): { image: XmlElement; matrix: Matrix } | undefined => {
  const drawn = content.filter((e) => !['title', 'desc', 'defs'].includes(localName(e.name)))
  const only = drawn[0]
  if (drawn.length !== 1 || !only || depth > 8) return undefined
  const own = parseTransform(only.attributes['transform'] ?? '') ?? IDENTITY
  const inner = multiply(matrix, own)
  switch (localName(only.name)) {
    case 'image':
      return { image: only, matrix: inner }
    case 'g':
      return findImage(context, only.children.filter(isElement), inner, depth + 1)
    case 'use': {
      const target = context.findReference(hrefOf(only))
      const x = parseLength(only.attributes['x'] ?? '0') || 0
      const y = parseLength(only.attributes['y'] ?? '0') || 0
      return target && findImage(context, [target], multiply(inner, translation(x, y)), depth + 1)
    }
    default:
      return undefined
  }
}

/**
 * Reads a pattern that holds one picture: the way an image fill is exported. Undefined when it holds
 * anything else.
 */
export const readPatternImage = (
  context: SvgContext,
  layer: string,
  pattern: XmlElement,
  { own, matrix, placed }: PaintedShape,
): PatternImage | undefined => {
  const chain = referenceChain(context, pattern)
  const attribute = (name: string): string | undefined =>
    chain.find((p) => p.attributes[name] !== undefined)?.attributes[name]
  const owner = chain.find((p) => p.children.some(isElement))
  if (!owner) return undefined

  const inUserSpace = attribute('patternUnits') === 'userSpaceOnUse'
  const length = (name: string, whole: number): number =>
    parseLength(attribute(name) ?? '0', inUserSpace ? whole : 1) || 0
  const unit = inUserSpace
    ? { x: 0, y: 0, sx: 1, sy: 1 }
    : { x: own.x, y: own.y, sx: own.width, sy: own.height }
  const tile: Box = {
    x: unit.x + length('x', own.width) * unit.sx,
    y: unit.y + length('y', own.height) * unit.sy,
    width: length('width', own.width) * unit.sx,
    height: length('height', own.height) * unit.sy,
  }
  if (!(tile.width > 0 && tile.height > 0)) return undefined

  const viewBox = parseViewBox(attribute('viewBox'))
  const unitsOfContent: Matrix = viewBox
    ? fitViewBox(viewBox, tile, attribute('preserveAspectRatio'))
    : attribute('patternContentUnits') === 'objectBoundingBox'
      ? [own.width, 0, 0, own.height, 0, 0]
      : IDENTITY
  // Browsers count the content from the corner of the tile, whatever its units.
  const content = multiply(translation(tile.x, tile.y), unitsOfContent)
  const transform = parseTransform(attribute('patternTransform') ?? '') ?? IDENTITY
  const toScreen = multiply(matrix, transform)
  const found = findImage(context, owner.children.filter(isElement), multiply(toScreen, content))
  if (!found) return undefined

  const { image } = found
  const asset = readImageAsset(context, layer, nameOfId(image), hrefOf(image))
  if (asset === undefined) return undefined
  const natural = context.assets.assets[asset]!
  const size = (name: string): number => parseLength(image.attributes[name] ?? '0') || 0
  const area = {
    x: size('x'),
    y: size('y'),
    width: size('width') || (natural.width ?? 0),
    height: size('height') || (natural.height ?? 0),
  }
  const pictured = placeBox(found.matrix, area)
  const tiled = placeBox(toScreen, tile)
  if (pictured.kind !== 'aligned' || tiled.kind !== 'aligned') return undefined
  const isTiled = tiled.box.width < placed.width - 0.5 || tiled.box.height < placed.height - 0.5
  return { asset, box: pictured.box, fit: fitOf(image, area, pictured, natural), isTiled }
}

const near = (a: number, b: number, tolerance: number): boolean => Math.abs(a - b) <= tolerance

/**
 * A pattern's picture as a fill, when the box says where it lies: over the whole of it, centred and
 * covering it, or repeated. Undefined when the picture is cut in another way.
 */
export const toImageFill = (
  picture: PatternImage,
  placed: Box,
  opacity: number,
): Extract<Paint, { kind: 'image' }> | undefined => {
  const { box, asset } = picture
  const paint = { kind: 'image', asset, opacity, blend: 'normal' } as const
  if (picture.isTiled) {
    const tile = roundBox({ ...box, x: box.x - placed.x, y: box.y - placed.y })
    return { ...paint, fit: 'tile', tile }
  }
  const tolerance = Math.max(0.6, Math.min(placed.width, placed.height) * 0.004)
  const fillsWidth = near(box.x, placed.x, tolerance) && near(box.width, placed.width, tolerance)
  const fillsHeight = near(box.y, placed.y, tolerance) && near(box.height, placed.height, tolerance)
  if (fillsWidth && fillsHeight) return { ...paint, fit: picture.fit }
  const isCentred =
    near(box.x + box.width / 2, placed.x + placed.width / 2, tolerance) &&
    near(box.y + box.height / 2, placed.y + placed.height / 2, tolerance)
  if (!isCentred || (!fillsWidth && !fillsHeight)) return undefined
  const isLarger = roundPx(box.width * box.height) > roundPx(placed.width * placed.height)
  return { ...paint, fit: isLarger ? 'cover' : 'contain' }
}
