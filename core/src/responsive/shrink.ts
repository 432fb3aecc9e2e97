import { resolveSides, type Sides } from '../design/geometry.js'
import type { TextLayer } from '../design/layer.js'
import type { LayoutNode } from '../layout/index.js'
import type { Solver } from '../layout/flow/solver.js'

/** Windows narrower than these are a phone's and a tablet's, in px. */
const PHONE_PX = 640
const TABLET_PX = 1024

export type WindowClass = 'phone' | 'tablet' | 'wide'

export const classOf = (windowPx: number): WindowClass =>
  windowPx < PHONE_PX ? 'phone' : windowPx < TABLET_PX ? 'tablet' : 'wide'

/** Anything larger is display type, in px. */
export const LARGEST_TEXT_PX = 30

const toFour = (px: number): number => Math.round(px / 4) * 4

/** What stays of a padding at the sides. */
const sidePadding = (px: number, window: WindowClass): number => {
  if (window === 'phone') return px <= 24 ? px : px >= 48 ? 24 : 16
  if (window === 'tablet') return px <= 48 ? px : px >= 96 ? 48 : 32
  return px
}

/** What stays of a padding above and below, or of a gap. */
const tallRoom = (px: number, window: WindowClass): number =>
  window === 'phone' && px > 56 ? Math.max(40, toFour(px * 0.6)) : px

export const shrinkPadding = (padding: number | Sides, window: WindowClass): number | Sides => {
  const { top, right, bottom, left } = resolveSides(padding)
  const next = {
    top: tallRoom(top, window),
    right: sidePadding(right, window),
    bottom: tallRoom(bottom, window),
    left: sidePadding(left, window),
  }
  const isSame =
    next.top === top && next.right === right && next.bottom === bottom && next.left === left
  return isSame ? padding : next
}

export const shrinkGap = (px: number, window: WindowClass): number => tallRoom(px, window)

/** What keeps words from the side of a phone, in px. */
const PHONE_SIDE_PX = 16

/** What stands between something and the sides of the window anyway, and on its right as drawn; in px. */
export type SideRoom = { readonly insetPx: number; readonly rightPx: number }

/** Distances to the sides that only a wide page has room for; on a phone words keep clear of both sides. */
export const shrinkMargin = (
  margin: Sides,
  window: WindowClass,
  { insetPx, rightPx }: SideRoom,
): Sides => {
  const most = window === 'phone' ? 24 : window === 'tablet' ? 64 : Infinity
  const least = window === 'phone' ? Math.max(0, PHONE_SIDE_PX - insetPx) : 32
  const side = (px: number): number => (px > most ? least : px)
  const left = side(margin.left)
  const isCleared = window === 'phone' && left !== margin.left && rightPx >= PHONE_SIDE_PX
  const right = isCleared ? Math.max(left, side(margin.right)) : side(margin.right)
  const top = tallRoom(margin.top, window)
  return left === margin.left && right === margin.right && top === margin.top
    ? margin
    : { ...margin, left, right, top }
}

/** The size of display type at a width of the window, in px: by steps, and never less than its rank asks for. */
const displaySize = (size: number, window: WindowClass): number => {
  if (window === 'phone') {
    if (size >= 40) return Math.max(30, 2 * Math.round(size * 0.325))
    return size > LARGEST_TEXT_PX ? Math.max(28, 2 * Math.round(size * 0.44)) : size
  }
  if (window === 'tablet' && size >= 48) return Math.max(40, 2 * Math.round(size * 0.4))
  return size
}

/** A text in another size, with all that goes by it; where its lines were drawn no longer holds. */
export const scaleText = (layer: TextLayer, size: number): TextLayer => {
  const share = size / layer.style.size
  const { lines: _drawn, ...rest } = layer
  const scaled = (px: number): number => Math.round(px * share * 100) / 100
  const { lineHeight, letterSpacing } = layer.style
  return {
    ...rest,
    style: {
      ...layer.style,
      size,
      ...(lineHeight === undefined ? {} : { lineHeight: Math.round(lineHeight * share) }),
      letterSpacing: scaled(letterSpacing),
    },
    runs: layer.runs.map((run) => ({
      ...run,
      style: {
        ...run.style,
        ...(run.style.size === undefined ? {} : { size: scaled(run.style.size) }),
        ...(run.style.letterSpacing === undefined
          ? {}
          : { letterSpacing: scaled(run.style.letterSpacing) }),
      },
    })),
  }
}

const LEAST_DISPLAY_PX = 20

/**
 * A text as it is in a room of `width` px: display type smaller by steps, and smaller still where a word would
 * reach out; lines break where they must; at last a word does. `fontSize` is what a person has said.
 */
export const shrinkText = (
  node: LayoutNode,
  width: number,
  window: WindowClass,
  solver: Solver,
): LayoutNode => {
  if (node.layer.type !== 'text') return node
  const { size } = node.layer.style
  const stepped = displaySize(size, window)
  const { least, widest } = solver.text(node)
  const word = (least * stepped) / size
  const fitting =
    word > width && width < node.box.width - 0.5
      ? Math.floor((stepped * width) / word / 2) * 2
      : stepped
  const wanted = size > LEAST_DISPLAY_PX ? Math.max(LEAST_DISPLAY_PX, fitting) : size
  const isSame = wanted === size
  const text = isSame ? node : { ...node, layer: scaleText(node.layer, wanted) }
  const share = wanted / size
  // What has the room it was drawn in breaks as it was drawn.
  if (width >= node.box.width - 0.5) return text
  const drawn = node.keepsLines && node.layer.lines ? node.layer.box.width : widest
  const isTooWide = node.keepsLines && drawn * share > width + 0.5
  const breaks = least * share > width + 0.5
  if (!isTooWide && !breaks) return text
  const { lines: _drawn, ...layer } = text.layer as TextLayer
  return {
    ...text,
    layer,
    ...(isTooWide ? { keepsLines: false } : {}),
    ...(breaks ? { breaksWords: true } : {}),
  }
}
