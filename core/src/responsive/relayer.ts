import { uniteBoxes, type Box } from '../design/geometry.js'
import { isContainer, type FrameLayer, type Layer } from '../design/layer.js'
import { endOn, overlapOn } from '../layout/axis.js'
import { plainFrame, walkNodes, type InferOptions, type LayoutNode } from '../layout/index.js'
import { isPart } from './match/index.js'
import { findTableRows, isTableGrid } from '../meaning/structure/tables.js'
import type { Twins } from './twins.js'

/** Boxes of containers may lie over one another by this much, in px, and still be read side by side. */
const TOUCH_PX = 2

const overlaps = (a: Box, b: Box): boolean =>
  overlapOn(a, b, 'x') > TOUCH_PX && overlapOn(a, b, 'y') > TOUCH_PX

/** Whether boxes stand one under the other, in whatever order. */
const areStacked = (boxes: readonly Box[]): boolean => {
  const ends = (a: Box, b: Box): boolean => endOn(a, 'y') <= b.y + TOUCH_PX
  return boxes.every((a, i) => boxes.every((b, j) => i === j || ends(a, b) || ends(b, a)))
}

const within = (box: Box, origin: Box): Box => ({
  ...box,
  x: box.x - origin.x,
  y: box.y - origin.y,
})

/** The looks of a layer as those of a frame that holds nothing yet; `isBare`: without them. */
const asFrame = (layer: Layer, isBare = false): FrameLayer => {
  const plain = plainFrame(layer.key, layer.name, layer.box)
  if (isBare) return plain
  const { opacity, blend, rotationDeg, effects, link } = layer
  const painted = 'fills' in layer && layer.type !== 'path' ? layer : undefined
  return {
    ...plain,
    opacity,
    blend,
    rotationDeg,
    effects,
    ...(link ? { link } : {}),
    fills: painted?.fills ?? [],
    strokes: painted?.strokes ?? [],
    ...(painted?.tokens ? { tokens: painted.tokens } : {}),
    radius: painted && 'radius' in painted ? painted.radius : 0,
    clip: 'clip' in layer && layer.clip,
  }
}

/** The parts in a node that stand by themselves: leaves, and boxes with a look. */
const partsOf = (node: LayoutNode): LayoutNode[] =>
  node.children.flatMap((child) => (isPart(child) ? [child] : partsOf(child)))

const isTable = (node: LayoutNode): boolean => {
  const rows = findTableRows(node)
  return isTableGrid(node) || (rows !== undefined && rows.to - rows.from === node.children.length)
}

type Ranked = { readonly layer: Layer; readonly rank: number }
type Seen = { readonly box: Box; readonly rank: number }

const inOrder = (ranked: readonly Ranked[]): Layer[] =>
  [...ranked].sort((a, b) => a.rank - b.rank).map(({ layer }) => layer)

/** Layers of an artboard in frames like those of the base, with what layout has to know of them. */
export type Relayered = {
  readonly frame: FrameLayer
  readonly units: NonNullable<InferOptions['units']>
  readonly graphics: ReadonlySet<Layer>
}

/** Puts what stands in one container of the other artboard into frames like those of a container of the base. */
class Relayering {
  readonly units = new Map<string, { fills: boolean }>()
  readonly graphics = new Set<Layer>()
  private readonly region = new Set<LayoutNode>()
  /** What only this artboard has, by the container of the base it goes into. */
  private readonly loose = new Map<LayoutNode, LayoutNode[]>()
  private readonly seen = new Map<LayoutNode, Seen | undefined>()
  /** What has its place already: nothing is shown twice. */
  private readonly given = new Set<LayoutNode>()

  constructor(
    private readonly twins: Twins,
    private readonly top: LayoutNode,
    other: LayoutNode,
  ) {
    walkNodes(other, (node) => void (node !== other && this.region.add(node)))
    this.placeLoose(top, other)
  }

  /** Puts what only this artboard has beside what it stands next to, at any depth. */
  private placeLoose(base: LayoutNode, other: LayoutNode): void {
    const { twins, top } = this
    const parts = partsOf(other)
    const homes = parts.map((part) => {
      const first = twins.found(part).find((node) => twins.branch(top, node) !== undefined)
      return first && twins.parentOf(first)
    })
    parts.forEach((part, i) => {
      const twin = twins.baseOf(part)
      if (twin && twins.branch(top, twin)) {
        if (part.children.length > 0 && twin.children.length > 0) this.placeLoose(twin, part)
        return
      }
      const before = homes.slice(0, i + 1).findLast((home) => home !== undefined)
      const after = homes.slice(i + 1).find((home) => home !== undefined)
      let home: LayoutNode = before ?? after ?? base
      // It stands in the innermost container that reaches around it.
      const place = twins.placeOf(part)
      const isAround = (node: LayoutNode): boolean => {
        const box = twins.extentOf(node)
        return !box || overlaps(box, place)
      }
      while (home !== base && !isAround(home)) home = twins.parentOf(home) ?? base
      const holdsFound = homes[i] !== undefined
      this.addLoose(home, holdsFound ? this.bare(part) : part)
      if (holdsFound) this.placeLoose(home, part)
    })
  }

  private addLoose(home: LayoutNode, part: LayoutNode): void {
    const known = this.loose.get(home)
    if (known) known.push(part)
    else this.loose.set(home, [part])
  }

  /** A container's paint alone: what it holds is found on the base, and stands where it stands there. */
  private bare(part: LayoutNode): LayoutNode {
    return this.twins.standBy(part, { ...part, children: [], arrangement: { kind: 'free' } })
  }

  /** What a node of the base is here, if it is here. */
  private here(base: LayoutNode): LayoutNode | undefined {
    const own = this.twins.otherOf(base)
    return own && this.region.has(own) ? own : undefined
  }

  /** Where what is found of a container of the base stands, and where the first of it comes in paint order. */
  private see(base: LayoutNode): Seen | undefined {
    if (this.seen.has(base)) return this.seen.get(base)
    const own = this.here(base)
    const inside = own ? [] : base.children.flatMap((child) => this.see(child) ?? [])
    const found = own
      ? { box: this.twins.placeOf(own), rank: this.twins.rankOf(own) }
      : inside.length > 0
        ? {
            box: uniteBoxes(inside.map(({ box }) => box)),
            rank: Math.min(...inside.map(({ rank }) => rank)),
          }
        : undefined
    this.seen.set(base, found)
    return found
  }

  /** The layers that go into a container of the base, in paint order; `origin` is where it stands. */
  layersIn(base: LayoutNode, origin: Box): Layer[] {
    const kids = base.children.flatMap((child) => {
      const seen = this.see(child)
      return seen ? [{ child, ...seen }] : []
    })
    const loose = (this.loose.get(base) ?? []).flatMap((part) => this.ranked(part, origin))
    const isMixed = kids.some((a, i) =>
      kids.some((b, j) => j > i && overlaps(a.box, b.box) && !this.overlapped(a.child, b.child)),
    )
    // Rows of a table are found together: each by itself would have columns of its own.
    if (isMixed || isTable(base)) return inOrder([...this.flat(base, origin), ...loose])
    const boxes = kids.map(({ box }) => box)
    const room = boxes.length > 0 ? uniteBoxes(boxes) : origin
    const isColumn = areStacked(boxes)
    const layers = kids.flatMap(({ child, box: extent, rank }): Ranked[] => {
      const own = this.here(child)
      if (own && (child.children.length === 0 || own.children.length === 0)) {
        return this.ranked(own, origin)
      }
      if (own && this.given.has(own)) return []
      if (own) this.given.add(own)
      const fills = child.sizing.width === 'stretch' && isColumn && !isPart(child)
      const box = fills ? { ...extent, x: room.x, width: room.width } : extent
      this.units.set(child.layer.key, { fills })
      const frame: FrameLayer = {
        ...(own ? asFrame(own.layer) : asFrame(child.layer, true)),
        key: child.layer.key,
        name: child.layer.name,
        box: within(box, origin),
        children: this.layersIn(child, box),
      }
      return [{ layer: frame, rank }]
    })
    return inOrder([...layers, ...loose])
  }

  private overlapped(a: LayoutNode, b: LayoutNode): boolean {
    return overlaps(this.twins.basePlaceOf(a), this.twins.basePlaceOf(b))
  }

  /** Everything of a container of the base that is found here, without the containers in between. */
  private flat(base: LayoutNode, origin: Box): Ranked[] {
    return base.children.flatMap((child): Ranked[] => {
      const own = this.here(child)
      return own ? this.ranked(own, origin) : this.flat(child, origin)
    })
  }

  /** A part with what it holds, unless it has a place already. */
  private ranked(node: LayoutNode, origin: Box): Ranked[] {
    if (this.given.has(node)) return []
    return [{ layer: this.whole(node, origin), rank: this.twins.rankOf(node) }]
  }

  /** A part as a layer with everything in it, under the keys of the base. */
  private whole(node: LayoutNode, origin: Box): Layer {
    this.given.add(node)
    const key = this.twins.baseOf(node)?.layer.key ?? node.layer.key
    const place = this.twins.placeOf(node)
    const box = within(place, origin)
    if (node.children.length === 0 || node.isGraphic) return this.leaf(node, key, box)
    return {
      ...asFrame(node.layer, !isPart(node)),
      key,
      box,
      children: node.children
        .filter((child) => !this.given.has(child))
        .map((child) => this.whole(child, place)),
    }
  }

  private leaf(node: LayoutNode, key: string, box: Box): Layer {
    if (isContainer(node.layer) && node.layer.type !== 'group' && !node.isGraphic) {
      const { clip: _clip, children: _children, ...looks } = asFrame(node.layer)
      return { ...looks, type: 'rectangle', key, box }
    }
    const layer = { ...node.layer, key, box } as Layer
    if (node.isGraphic) this.graphics.add(layer)
    return layer
  }
}

/**
 * What of another artboard stands in a container of the base, as layers in frames like the base's: containers whose
 * contents stand mixed there dissolve, and what only that artboard has stands beside its neighbours.
 */
export const relayer = (twins: Twins, base: LayoutNode, other: LayoutNode): Relayered => {
  const relayering = new Relayering(twins, base, other)
  const place = twins.placeOf(other)
  const { fills, strokes } = asFrame(other.layer)
  const { key, name } = base.layer
  const { units, graphics } = relayering
  const frame = {
    ...plainFrame(key, name, { ...place, x: 0, y: 0 }),
    fills,
    strokes,
    children: relayering.layersIn(base, place),
  }
  units.set(key, { fills: true })
  return { frame, units, graphics }
}
