import { roundPx, type Box } from '../design/geometry.js'
import type { Layer } from '../design/layer.js'
import { lookOf } from './look.js'
import type { Nest } from './nest.js'
import type { LayoutNode } from './node.js'
import { signNests } from './signature.js'
import { contentHeight, solveFlow, type Flow } from './solve.js'

/**
 * What a box is kin to: one that looks the same and has the same things at the same places, and some more. `missing`
 * are those, as they would stand here: laying the box out with them lays all of its kind out alike.
 */
export type Kin = { readonly sign: string; readonly missing: readonly Nest[] }

/** Kin is as large, and has its things at the same places, to this many px. */
const SAME_PX = 2
/** So much of what the fullest has, a box must have as well. */
const COMMON_SHARE = 0.5
/** Boxes of one look are compared with this many of the fullest. */
const MOST_MODELS = 6
/** Ends the keys of what is missing; where a layer of the file is called so, there is no kin. */
const MISSING = '~missing'

const isNear = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_PX

const areOneSize = (a: Box, b: Box): boolean =>
  isNear(a.width, b.width) && isNear(a.height, b.height)

type Placed = { readonly nest: Nest; readonly sign: string }

const placedIn = ({ content }: Nest): readonly Placed[] =>
  content.map((nest) => ({ nest, sign: signNests([nest]) }))

const isAtSamePlace = (a: Box, inA: Box, b: Box, inB: Box): boolean => {
  const isLevel = isNear(a.y - inA.y, b.y - inB.y) && isNear(a.height, b.height)
  const fromEnd = (box: Box, outer: Box): number => outer.x + outer.width - box.x - box.width
  return isLevel && (isNear(a.x - inA.x, b.x - inB.x) || isNear(fromEnd(a, inA), fromEnd(b, inB)))
}

/** What a fuller box has and this one lacks; undefined where they are no kin. */
const findMissing = (
  one: Nest,
  own: readonly Placed[],
  model: Nest,
  all: readonly Placed[],
): readonly Nest[] | undefined => {
  if (own.length > all.length || own.length < COMMON_SHARE * all.length) return undefined
  const [box, outer] = [one.piece.box, model.piece.box]
  if (!areOneSize(box, outer)) return undefined
  const left = new Set(all)
  for (const { nest, sign } of own) {
    const twin = [...left].find(
      (other) =>
        other.sign === sign && isAtSamePlace(nest.piece.box, box, other.nest.piece.box, outer),
    )
    if (!twin) return undefined
    left.delete(twin)
  }
  return [...left].map(({ nest }) => nest)
}

/** A thing as it would stand in another box. */
const moveTo = (nest: Nest, from: Box, to: Box, order: number): Nest => {
  const { piece, content } = nest
  const box = { ...piece.box, x: piece.box.x - from.x + to.x, y: piece.box.y - from.y + to.y }
  const layer = { ...piece.layer, key: `${piece.layer.key}${MISSING}` } as Layer
  return {
    piece: { ...piece, layer, box, order, absorbed: [] },
    content: content.map((inner) => moveTo(inner, from, to, order)),
  }
}

export const isMissing = ({ piece }: Nest): boolean => piece.layer.key.endsWith(MISSING)

/** The places in paint order of all that a thing is made of. */
export const ordersOf = (nest: Nest): readonly number[] =>
  isMissing(nest) ? [] : [nest.piece.order, ...nest.content.flatMap(ordersOf)]

/** The same nests, in which those that are kin to fuller ones know it. */
export const findKin = (nests: readonly Nest[]): readonly Nest[] => {
  const byLook = new Map<string, Nest[]>()
  let isTaken = false
  const collect = (nest: Nest): void => {
    if (nest.piece.kind === 'surface' && nest.content.length > 0) {
      const look = lookOf(nest.piece.layer)
      const known = byLook.get(look)
      if (known) known.push(nest)
      else byLook.set(look, [nest])
    }
    isTaken ||= nest.piece.layer.key.includes(MISSING)
    nest.content.forEach(collect)
  }
  nests.forEach(collect)
  if (isTaken) return nests
  const kin = new Map<Nest, Kin>()
  for (const alike of byLook.values()) {
    const least = Math.min(...alike.map(({ content }) => content.length))
    if (alike.every(({ content }) => content.length === least)) continue
    const models: { readonly nest: Nest; readonly all: readonly Placed[] }[] = []
    for (const nest of [...alike].sort((a, b) => b.content.length - a.content.length)) {
      const own = placedIn(nest)
      const order = Math.max(...nest.content.map(({ piece }) => piece.order))
      let missing: readonly Nest[] | undefined
      const model = models.find(({ nest: fuller, all }) => {
        missing = findMissing(nest, own, fuller, all)
        return missing !== undefined
      })
      if (model && missing) {
        kin.set(nest, {
          sign: signNests(model.nest.content),
          missing: missing.map((one) => moveTo(one, model.nest.piece.box, nest.piece.box, order)),
        })
      } else if (models.length < MOST_MODELS) models.push({ nest, all: own })
    }
  }
  if (kin.size === 0) return nests
  const mark = (nest: Nest): Nest => {
    const own = kin.get(nest)
    const content = nest.content.map(mark)
    return own ? { ...nest, content, kin: own } : { ...nest, content }
  }
  return nests.map(mark)
}

const TEXT_PX = 1.01
const BOX_PX = 0.51

/** The node without what is missing; undefined where nothing else is in it. */
const strip = (node: LayoutNode): LayoutNode | undefined => {
  if (node.layer.key.endsWith(MISSING)) return undefined
  if (node.children.length === 0) return node
  const children = node.children.map(strip).filter((child) => child !== undefined)
  if (children.length === 0) return undefined
  const isSame =
    children.length === node.children.length &&
    children.every((child, i) => child === node.children[i])
  if (isSame) return node
  const left = { ...node, children }
  const { arrangement, box } = left
  if (arrangement.kind === 'free') return left
  const flow = flowing(left)
  // Without what is missing its content may be lower: it stays as high as it was drawn.
  const height = contentHeight(arrangement, solveDrawn(arrangement, flow, box.width), flow)
  return height >= box.height - BOX_PX
    ? left
    : { ...left, limits: { ...node.limits, minHeight: roundPx(box.height) } }
}

const flowing = ({ children }: LayoutNode): readonly LayoutNode[] =>
  children.filter(({ placement }) => placement.kind === 'flow')

/** Where a container of a width puts what is in it, all of it as large as it was drawn. */
const solveDrawn = (flow: Flow, children: readonly LayoutNode[], width: number): readonly Box[] =>
  solveFlow(
    flow,
    children.map((child) => ({
      node: child,
      widest: child.box.width,
      height: () => child.box.height,
    })),
    children.map(() => undefined),
    { width, height: undefined },
  )

/** Whether what is left still stands where it was drawn. */
const isInPlace = (node: LayoutNode, before: LayoutNode): boolean => {
  if (node === before) return true
  // A container that was made for what is missing has no name of its own.
  if (node.layer.key.includes(MISSING)) return false
  const { arrangement, box, children } = node
  const inner = children.every((child) => {
    const was = before.children.find(({ layer }) => layer.key === child.layer.key)
    return was !== undefined && isInPlace(child, was)
  })
  if (!inner || arrangement.kind === 'free') return inner
  const flow = flowing(node)
  const solved = solveDrawn(arrangement, flow, box.width)
  return flow.every((child, i) => {
    const got = solved[i]!
    const [x, y] = [child.box.x - box.x, child.box.y - box.y]
    const slack = child.layer.type === 'text' ? TEXT_PX : BOX_PX
    return (
      Math.abs(got.x - x) <= slack &&
      Math.abs(got.y - y) <= slack &&
      got.width >= child.box.width - slack &&
      Math.abs(got.height - child.box.height) <= slack
    )
  })
}

/** A layout without what is missing; undefined where the rest would not stay where it was drawn. */
export const withoutMissing = (node: LayoutNode): LayoutNode | undefined => {
  const left = strip(node)
  return left && isInPlace(left, node) ? left : undefined
}
