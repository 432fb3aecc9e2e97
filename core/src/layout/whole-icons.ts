import type { Nest } from './nest.js'

/** Drawings up to this size are icons: nobody sees a px of room around them, in px. */
const ICON_PX = 64

/** The size that a box of whole px has which holds this; what is off by rounding alone is not more. */
const wholePx = (size: number): number => Math.ceil(size - 0.02)

/**
 * Small drawings stand in boxes of whole px, in the middle of which they are drawn as large as they are: their outlines end
 * wherever the letters of an icon font or the numbers of a path end, and nobody means that as a size.
 */
export const wholeIcons = (nests: readonly Nest[]): readonly Nest[] =>
  nests.map((nest) => {
    const { piece, content } = nest
    const { layer, box, kind } = piece
    if (content.length > 0) return { ...nest, content: wholeIcons(content) }
    const isIcon =
      kind === 'graphic' && layer.rotationDeg === 0 && Math.max(box.width, box.height) <= ICON_PX
    if (!isIcon) return nest
    const [width, height] = [wholePx(box.width), wholePx(box.height)]
    const x = box.x - (width - box.width) / 2
    const y = box.y - (height - box.height) / 2
    return { ...nest, piece: { ...piece, box: { x, y, width, height } } }
  })
