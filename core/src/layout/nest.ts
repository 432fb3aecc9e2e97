import { withPaintOpacity } from '../design/paint-opacity.js'
import { INFERRED } from '../design/node-key.js'
import { isSameBox, resolveCorners, type Box } from '../design/geometry.js'
import { hasBehaviour } from '../design/interaction.js'
import type { Layer, RectangleLayer } from '../design/layer.js'
import { isOpaquePaint } from '../design/paint.js'
import { areaOf, overlapOn } from './axis.js'
import { borderFromLines, findEdgeLines, tokensOfLines, withEdges } from './edge-lines.js'
import type { Kin } from './kin.js'
import type { Piece } from './pieces.js'

/** A piece with what lies on it. */
export type Nest = {
  readonly piece: Piece
  readonly content: readonly Nest[]
  readonly kin?: Kin
}

/** How far content may stick out of its background, in px and in shares of its own size. */
const STICKS_OUT_PX = 2
const STICKS_OUT_SHARE = 0.04

const slackOf = (size: number): number => Math.max(STICKS_OUT_PX, size * STICKS_OUT_SHARE)

/** A text belongs to the background under most of it, even where its last letters reach out. */
const TEXT_STICKS_OUT_SHARE = 0.3

const covers = (outer: Box, { box: inner, kind }: Piece): boolean => {
  const share = kind === 'text' ? TEXT_STICKS_OUT_SHARE : 0
  const x = Math.max(slackOf(inner.width), kind === 'text' ? Math.min(16, inner.width * share) : 0)
  const y = Math.max(slackOf(inner.height), inner.height * share)
  return (
    inner.x >= outer.x - x &&
    inner.y >= outer.y - y &&
    inner.x + inner.width <= outer.x + outer.width + x &&
    inner.y + inner.height <= outer.y + outer.height + y &&
    overlapOn(outer, inner, 'x') >= 0.5 * inner.width &&
    overlapOn(outer, inner, 'y') >= 0.5 * inner.height
  )
}

/** A picture with a meaning of its own stays a picture; what lies on it is laid over it. */
const isMeant = (layer: Layer): boolean =>
  layer.type === 'image' && layer.alt !== undefined && layer.alt !== ''

const canHold = ({ kind, box, layer }: Piece): boolean =>
  (kind === 'surface' || kind === 'image' || kind === 'graphic') &&
  box.width >= 8 &&
  box.height >= 8 &&
  !isMeant(layer)

/** A picture or drawing holds only what is much smaller; a drawing only texts, since shapes are part of it. */
const holds = (holder: Piece, piece: Piece): boolean => {
  if (holder === piece || holder.order >= piece.order || !covers(holder.box, piece)) return false
  const area = areaOf(holder.box)
  if (areaOf(piece.box) > area * 1.02) return false
  return holder.kind !== 'graphic' || piece.kind === 'text'
}

/** Whether nothing is seen of what lies under a piece. */
export const isOpaque = ({ kind, layer }: Piece): boolean => {
  if (layer.opacity < 1) return false
  if (kind === 'image') return true
  const fills = 'fills' in layer ? layer.fills : []
  return fills.some(isOpaquePaint)
}

/** The smallest background seen behind each piece; a sweep from top to bottom, near n log n. */
const findHolders = (pieces: readonly Piece[]): ReadonlyMap<Piece, Piece> => {
  const holders = new Map<Piece, Piece>()
  const top = (piece: Piece): number =>
    piece.box.y - (canHold(piece) ? slackOf(piece.box.height) : 0)
  const sorted = [...pieces].sort((a, b) => top(a) - top(b) || a.order - b.order)
  // Backgrounds start a little early so that content that sticks out finds them.
  const starts = pieces
    .filter(canHold)
    .map((piece) => ({ piece, from: piece.box.y - 2 * slackOf(piece.box.height) - 40 }))
    .sort((a, b) => a.from - b.from)
  let next = 0
  let active: Piece[] = []
  for (const piece of sorted) {
    const { y } = piece.box
    while (next < starts.length && starts[next]!.from <= y) active.push(starts[next++]!.piece)
    if (active.some((h) => h.box.y + h.box.height < y - 40)) {
      active = active.filter((h) => h.box.y + h.box.height >= y - 40)
    }
    const around = active.filter((holder) => holds(holder, piece))
    if (around.length === 0) continue
    // What lies under something opaque is not seen behind the piece, however well it would fit.
    const seenFrom = Math.max(-1, ...around.filter(isOpaque).map((holder) => holder.order))
    const best = around
      .filter((holder) => holder.order >= seenFrom)
      .reduce((a, b) => {
        const smaller = areaOf(a.box) - areaOf(b.box)
        return smaller > 0 || (smaller === 0 && b.order > a.order) ? b : a
      })
    holders.set(piece, best)
  }
  return holders
}

const SAME_BOX_PX = 1.01

const isPlain = (layer: Layer): boolean =>
  layer.opacity === 1 && layer.blend === 'normal' && layer.rotationDeg === 0 && !hasBehaviour(layer)

type Shape = Extract<Layer, { fills: unknown; radius: unknown }>

const hasShape = (layer: Layer): layer is Shape => 'fills' in layer && 'radius' in layer

/** Two shapes in one place as one, if a single box can look like both; `below` is painted first. */
export const mergeShapes = (below: Layer, above: Layer): Layer | undefined => {
  if (!hasShape(below) || !hasShape(above) || !isPlain(below) || !isPlain(above)) return undefined
  // The lines around a cell are drawn by its neighbours as well, so a fill does not cover them.
  const isCell = below.key.includes(INFERRED) && below.fills.length === 0
  if (
    below.strokes.length > 0 &&
    (above.strokes.length > 0 || (above.fills.length > 0 && !isCell))
  ) {
    return undefined
  }
  const same =
    JSON.stringify(resolveCorners(below.radius)) === JSON.stringify(resolveCorners(above.radius))
  if (!same && below.fills.length > 0 && above.fills.length > 0) return undefined
  if (below.effects.length > 0 && above.effects.length > 0) return undefined
  const radius = below.fills.length > 0 ? below.radius : above.radius
  const strokesAbove = above.strokes.length > 0
  if (strokesAbove && !same) return undefined
  const fills = hideCovered([...below.fills, ...above.fills])
  return {
    ...below,
    fills,
    strokes: strokesAbove ? above.strokes : below.strokes,
    radius,
    effects: [...below.effects, ...above.effects],
    tokens: mergeTokens(below, above, fills),
  } as Layer
}

/** Without the fills that an opaque one covers. */
const hideCovered = (fills: RectangleLayer['fills']): RectangleLayer['fills'] => {
  const opaque = fills.findLastIndex(isOpaquePaint)
  return opaque > 0 ? fills.slice(opaque) : fills
}

/** The tokens of each field go with the shape the field is taken from. */
const mergeTokens = (
  below: Shape,
  above: Shape,
  fills: RectangleLayer['fills'],
): Layer['tokens'] => {
  const kept: Record<string, string> = {}
  const take = (layer: Shape, prefix: string): void => {
    for (const [path, token] of Object.entries(layer.tokens ?? {})) {
      if (path.startsWith(prefix)) kept[path] = token
    }
  }
  take(fills[0] === above.fills[0] ? above : below, 'fills.')
  take(above.strokes.length > 0 ? above : below, 'strokes.')
  take(below.fills.length > 0 ? below : above, 'radius')
  take(below.effects.length > 0 ? below : above, 'effects')
  return Object.keys(kept).length > 0 ? kept : undefined
}

/** What holds something fades by itself: its opacity is that of its paints. */
const asHolder = (piece: Piece): Piece => {
  const background = asBackground(piece)
  const layer = withPaintOpacity(background.layer)
  return layer === background.layer ? background : { ...background, layer }
}

/** A picture with something on it is the fill of a shape. */
const asBackground = (piece: Piece): Piece => {
  if (piece.layer.type !== 'image') return piece
  const { type: _type, asset, fit, focus, alt: _alt, ...rest } = piece.layer
  const place = focus ? { focus } : {}
  const fill = { kind: 'image', asset, fit, ...place, opacity: 1, blend: 'normal' } as const
  return { ...piece, kind: 'surface', layer: { ...rest, type: 'rectangle', fills: [fill] } }
}

/** Lines along the edges of a shape without a border of its own are its border. */
const takeEdges = (piece: Piece, inside: readonly Piece[], build: (piece: Piece) => Nest): Nest => {
  const { layer } = piece
  const isFree = piece.kind === 'surface' && hasShape(layer) && layer.strokes.length === 0
  const lines = isFree && layer.radius === 0 ? findEdgeLines(piece.box, inside) : {}
  const border = borderFromLines(lines)
  if (!border || inside.length < 2) return { piece, content: inside.map(build) }
  const tokens = { ...layer.tokens, ...tokensOfLines(lines) }
  const taken = [lines.top, lines.bottom].filter((line) => line !== undefined)
  const bordered = {
    ...piece,
    layer: { ...layer, strokes: [border], tokens } as Layer,
    box: withEdges(piece.box, lines),
    absorbed: [...piece.absorbed, ...taken.flatMap((line) => [line.layer.key, ...line.absorbed])],
  }
  const rest = inside.filter((p) => !taken.includes(p))
  return { piece: bordered, content: rest.map(build) }
}

/**
 * Which pieces lie on which: a shape that is painted earlier and encloses others is their background,
 * repeatedly, to any depth. Shapes in one place become one.
 */
export const nestPieces = (pieces: readonly Piece[]): readonly Nest[] => {
  const holders = findHolders(pieces)
  const contents = new Map<Piece | undefined, Piece[]>()
  for (const piece of pieces) {
    const holder = holders.get(piece)
    const siblings = contents.get(holder)
    if (siblings) siblings.push(piece)
    else contents.set(holder, [piece])
  }
  const build = (piece: Piece): Nest => {
    let inside = contents.get(piece) ?? []
    let whole = inside.length > 0 ? asHolder(piece) : piece
    for (;;) {
      const twin = inside.find(
        (p) => p.kind === 'surface' && isSameBox(whole.box, p.box, SAME_BOX_PX),
      )
      const merged = twin && mergeShapes(whole.layer, twin.layer)
      if (!twin || !merged) break
      whole = {
        ...whole,
        layer: merged,
        absorbed: [...whole.absorbed, twin.layer.key, ...twin.absorbed],
      }
      inside = [...inside.filter((p) => p !== twin), ...(contents.get(twin) ?? [])]
    }
    return takeEdges(whole, inside, build)
  }
  return (contents.get(undefined) ?? []).map(build)
}
