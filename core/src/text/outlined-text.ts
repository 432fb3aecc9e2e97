import { containsBox, uniteBoxes, type Box } from '../design/geometry.js'
import type { Layer, PathLayer } from '../design/layer.js'
import { boundsOfParts, parsePath } from '../paths/index.js'
import { median } from '../math/statistics.js'

// A drawing with fewer letters than this is as likely an icon.
const FEWEST_LETTERS = 4
const MOST_PATH_LENGTH = 200_000
// A line of text has fewer; a map has more.
const MOST_OUTLINES = 500

/** Boxes of the separate outlines of a path; a hole belongs to the outline around it. */
const outlinesOf = (d: string): Box[] => {
  if (d.length > MOST_PATH_LENGTH || (d.match(/M/gi)?.length ?? 0) < FEWEST_LETTERS) return []
  const path = parsePath(d)
  const boxes = path ? boundsOfParts(path) : []
  if (boxes.length > MOST_OUTLINES) return []
  return boxes.filter(
    (box, i) => !boxes.some((other, j) => i !== j && containsBox(other, box, 0.01)),
  )
}

/**
 * Whether boxes stand like the letters of a line: side by side, most of them on one baseline, of a few
 * heights and several widths.
 */
export const standLikeLetters = (boxes: readonly Box[]): boolean => {
  if (boxes.length < FEWEST_LETTERS) return false
  const all = uniteBoxes(boxes)
  if (all.height < 5 || all.height > 200 || all.width < all.height * 1.6) return false
  const letters = [...boxes].sort((a, b) => a.x - b.x)
  const bottom = median(letters.map((b) => b.y + b.height))
  const onBaseline = letters.filter((b) => Math.abs(b.y + b.height - bottom) < all.height * 0.06)
  if (onBaseline.length < letters.length * 0.55) return false
  const tall = median(letters.map((b) => b.height))
  if (tall < all.height * 0.4) return false
  const overlaps = letters.filter((b, i) => {
    const before = letters[i - 1]
    return before !== undefined && b.x < before.x + before.width - tall * 0.25
  })
  if (overlaps.length > letters.length * 0.15) return false
  const gaps = letters.slice(1).map((b, i) => b.x - letters[i]!.x - letters[i]!.width)
  if (median(gaps) > tall * 0.5) return false
  // Dots, bars and stars in a row are all of one size; letters are not.
  const widths = new Set(letters.map((b) => Math.round((b.width / tall) * 10)))
  return widths.size >= 3
}

const isFilledOnly = (layer: Layer): layer is PathLayer =>
  layer.type === 'path' && layer.strokes.length === 0 && layer.fills[0]?.kind === 'solid'

/**
 * The layers of a design that look like text turned into outlines: one path with the letters of a line, or
 * a group with a path for each. Only reported; what the text said is never guessed.
 */
export const findOutlinedText = (root: Layer): string[] => {
  const found: string[] = []
  const visit = (layer: Layer): void => {
    if (isFilledOnly(layer)) {
      if (standLikeLetters(layer.paths.flatMap(({ d }) => outlinesOf(d)))) found.push(layer.key)
      return
    }
    if (!('children' in layer)) return
    const paths = layer.children.filter(isFilledOnly)
    const isWord =
      layer.type === 'group' &&
      paths.length === layer.children.length &&
      standLikeLetters(paths.map((p) => p.box))
    if (isWord) found.push(layer.key)
    else layer.children.forEach(visit)
  }
  visit(root)
  return found
}
