import { uniteBoxes, type Box } from '../design/geometry.js'
import { isContainer, type FrameLayer, type Layer } from '../design/layer.js'
import { PLAIN_LAYER } from '../design/plain-layer.js'
import { inferGrouped, placesOf, type InferOptions, type LayoutNode } from '../layout/index.js'
import { isPart, type Match } from './match/index.js'
import { wrapNodes } from './tree.js'

/** Boxes of containers may lie over one another by this much, in px, and still be read side by side. */
const TOUCH_PX = 2

type Options = Omit<InferOptions, 'units'>

const overlaps = (a: Box, b: Box): boolean =>
  Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) > TOUCH_PX &&
  Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) > TOUCH_PX

const withKey = <T extends Layer>(layer: T, key: string): T => ({ ...layer, key })

type Seen = { readonly box: Box; readonly rank: number }

/** What is known of a part of the other artboard while it gets the base's structure. */
type Region = {
  see(base: LayoutNode): Seen | undefined
  readonly region: ReadonlySet<LayoutNode>
  /** What only this artboard has, by the container it goes into. */
  readonly loose: ReadonlyMap<LayoutNode, readonly LayoutNode[]>
  readonly units: Map<string, { fills: boolean }>
  readonly graphics: Set<Layer>
}

type Ranked = { readonly layer: Layer; readonly rank: number }

const inOrder = (ranked: readonly Ranked[]): Layer[] =>
  [...ranked].sort((a, b) => a.rank - b.rank).map(({ layer }) => layer)

/** Gives the layers of one artboard the structure of another, where both can be laid out that way. */
class Regrouping {
  /** What a node of the other artboard is on the base. */
  private readonly baseOf = new Map<LayoutNode, LayoutNode>()
  private readonly otherOf = new Map<LayoutNode, LayoutNode>()
  private readonly extents = new Map<LayoutNode, Box | undefined>()
  private readonly foundIn = new Map<LayoutNode, readonly LayoutNode[]>()
  private readonly parents = new Map<LayoutNode, LayoutNode>()
  private readonly places: ReadonlyMap<LayoutNode, Box>
  /** What has its place already: nothing is shown twice. */
  private readonly given = new Set<LayoutNode>()
  /** Paint order on the other artboard. */
  private readonly ranks = new Map<LayoutNode, number>()
  private readonly basePlaces: ReadonlyMap<LayoutNode, Box>

  constructor(
    private readonly base: LayoutNode,
    private readonly other: LayoutNode,
    matches: readonly Match[],
    private readonly options: Options,
  ) {
    this.places = placesOf(other)
    this.basePlaces = placesOf(base)
    for (const node of this.places.keys()) this.ranks.set(node, this.ranks.size)
    const nodesByKey = (places: ReadonlyMap<LayoutNode, Box>): Map<string, LayoutNode> => {
      const nodes = new Map<string, LayoutNode>()
      for (const node of places.keys()) {
        if (!nodes.has(node.layer.key) || isPart(node)) nodes.set(node.layer.key, node)
      }
      return nodes
    }
    const bases = nodesByKey(this.basePlaces)
    const others = nodesByKey(this.places)
    for (const match of matches) {
      const [a, b] = [bases.get(match.base), others.get(match.other)]
      if (!a || !b) continue
      this.baseOf.set(b, a)
      this.otherOf.set(a, b)
    }
    const climb = (node: LayoutNode): void => {
      for (const child of node.children) {
        this.parents.set(child, node)
        climb(child)
      }
    }
    climb(base)
  }

  run(): LayoutNode {
    return this.rebuild(this.base, this.lift(this.other))
  }

  /** A page whose only content is a surface of its size that the base lacks has that surface's paint itself. */
  private lift(root: LayoutNode): LayoutNode {
    const [only, ...others] = root.children
    const isLone = only !== undefined && others.length === 0 && only.placement.kind !== 'overlay'
    if (!isLone || this.baseOf.has(only) || !isPart(only) || root.layer.type !== 'frame')
      return root
    const isSame =
      Math.abs(only.box.width - root.box.width) <= TOUCH_PX &&
      Math.abs(only.box.height - root.box.height) <= TOUCH_PX
    if (!isSame || !('fills' in only.layer)) return root
    const layer = { ...root.layer, fills: [...root.layer.fills, ...only.layer.fills] }
    return this.standIn(root, {
      ...root,
      layer,
      arrangement: only.arrangement,
      children: only.children,
    })
  }

  /** The child of `container` on the base that a node of the base lies in; undefined when it lies elsewhere. */
  private branch(container: LayoutNode, node: LayoutNode): LayoutNode | undefined {
    let at: LayoutNode | undefined = node
    while (at && this.parents.get(at) !== container) at = this.parents.get(at)
    return at
  }

  /** What of the base is found in a node of the other artboard. */
  private found(node: LayoutNode): readonly LayoutNode[] {
    const known = this.foundIn.get(node)
    if (known) return known
    const own = this.baseOf.get(node)
    const inside = node.children.flatMap((child) => this.found(child))
    const found = own ? [own, ...inside] : inside
    this.foundIn.set(node, found)
    return found
  }

  /** For each child of the other container the one child of the base it belongs to; undefined when that is not so. */
  private pairChildren(
    base: LayoutNode,
    other: LayoutNode,
  ): ReadonlyMap<LayoutNode, LayoutNode> | undefined {
    const pairs = new Map<LayoutNode, LayoutNode>()
    const taken = new Set<LayoutNode>()
    for (const child of other.children) {
      const branches = new Set(this.found(child).map((node) => this.branch(base, node)))
      if (branches.size === 0) continue
      const [only] = branches
      if (branches.size > 1 || !only || taken.has(only)) return undefined
      taken.add(only)
      pairs.set(child, only)
    }
    return pairs
  }

  /** A container of the other artboard with the key and the structure of the base's. */
  private rebuild(base: LayoutNode, other: LayoutNode): LayoutNode {
    const named = { ...other, layer: withKey(other.layer, base.layer.key) }
    const pairs = this.pairChildren(base, other)
    if (!pairs) return this.regroup(base, named, other)
    const children = other.children.map((child) => {
      const twin = pairs.get(child)
      return twin ? this.rebuildChild(twin, child) : child
    })
    return { ...named, children }
  }

  /** A child that belongs to one child of the base: both may have containers the other lacks. */
  private rebuildChild(base: LayoutNode, other: LayoutNode): LayoutNode {
    const twin = this.baseOf.get(other)
    const isLeaf = other.children.length === 0 || base.children.length === 0
    if (twin === base) {
      return isLeaf
        ? { ...other, layer: withKey(other.layer, base.layer.key) }
        : this.rebuild(base, other)
    }
    // The base has a container around it, this artboard does not.
    if (twin && base.children.length > 0) {
      const inner = this.branch(base, twin)
      if (!inner) return other
      const placed = this.rebuildChild(inner, other)
      return this.around(base, placed, other)
    }
    if (isPart(other) || isLeaf) {
      // A painted container that the base lacks stays as it is, with what it holds.
      return isLeaf ? other : { ...other, children: this.inside(base, other) }
    }
    if (base.children.length > 0 && !isPart(base)) return this.rebuild(base, other)
    // A container without looks of its own around what the base has by itself.
    const [only, ...others] = other.children
    if (only && others.length === 0) {
      const { placement, margin, isPushed, self } = other
      const lifted = { ...only, placement, margin, isPushed, ...(self ? { self } : {}) }
      return this.rebuildChild(base, this.standIn(only, lifted))
    }
    return this.rebuild(base, other)
  }

  /** Remembers that one node takes the place of another. */
  private standIn(from: LayoutNode, to: LayoutNode): LayoutNode {
    const base = this.baseOf.get(from)
    if (base) {
      this.baseOf.set(to, base)
      this.otherOf.set(base, to)
    }
    const place = this.places.get(from)
    if (place) (this.places as Map<LayoutNode, Box>).set(to, place)
    return to
  }

  private inside(base: LayoutNode, other: LayoutNode): readonly LayoutNode[] {
    return other.children.map((child) => {
      const found = this.found(child)
      return found.includes(base) && found.length > 0 && this.baseOf.get(child) === base
        ? this.rebuildChild(base, child)
        : child
    })
  }

  /** The base's container around a single thing. */
  private around(base: LayoutNode, inner: LayoutNode, other: LayoutNode): LayoutNode {
    const { placement, margin, isPushed, self, box } = other
    const stretches = other.sizing.width === 'stretch'
    const { self: _self, ...bare } = inner
    return wrapNodes(
      [
        {
          ...bare,
          placement: { kind: 'flow' },
          margin: { top: 0, right: 0, bottom: 0, left: 0 },
          isPushed: false,
        },
      ],
      base.layer.key,
      base.layer.name,
      {
        kind: 'column',
        gap: 0,
        padding: 0,
        align: stretches ? 'stretch' : 'start',
        distribute: 'start',
        wrap: false,
      },
      {
        placement,
        margin,
        isPushed,
        box,
        limits: other.limits,
        sizing: { width: stretches ? 'stretch' : 'fit', height: 'fit' },
        ...(self ? { self } : {}),
      },
    )
  }

  /** The parts in a node of the other artboard that stand by themselves: leaves, and boxes with a look. */
  private parts(node: LayoutNode): LayoutNode[] {
    return node.children.flatMap((child) => (isPart(child) ? [child] : this.parts(child)))
  }

  /** What of another artboard stands in a container of the base, as layers in frames like the base's. */
  private regroup(base: LayoutNode, named: LayoutNode, other: LayoutNode): LayoutNode {
    const units = new Map<string, { fills: boolean }>()
    const graphics = new Set<Layer>()
    const loose = new Map<LayoutNode, LayoutNode[]>()
    this.placeLoose(base, base, other, loose)
    const own = this.places.get(other)!
    const region = new Set(this.allParts(other))
    const seen = new Map<LayoutNode, Seen | undefined>()
    const see = (node: LayoutNode): Seen | undefined => this.see(node, region, seen)
    const children = this.layersIn(base, { see, region, loose, units, graphics }, own)
    const frame: FrameLayer = {
      ...('fills' in other.layer && other.layer.type !== 'path'
        ? { fills: other.layer.fills, strokes: other.layer.strokes }
        : { fills: [], strokes: [] }),
      type: 'frame',
      key: base.layer.key,
      name: base.layer.name,
      ...PLAIN_LAYER,
      radius: 0,
      clip: false,
      box: { ...own, x: 0, y: 0 },
      children,
    }
    units.set(frame.key, { fills: true })
    const laid = inferGrouped(frame, { ...this.options, units }, graphics)
    return {
      ...named,
      arrangement: laid.arrangement,
      children: laid.children,
      ...(laid.contentMax === undefined ? {} : { contentMax: laid.contentMax }),
    }
  }

  /** Puts what only this artboard has beside what it stands next to, at any depth. */
  private placeLoose(
    top: LayoutNode,
    base: LayoutNode,
    other: LayoutNode,
    loose: Map<LayoutNode, LayoutNode[]>,
  ): void {
    const parts = this.parts(other)
    const homes = parts.map((part) => {
      const found = this.found(part).filter((node) => this.branch(top, node) !== undefined)
      return found[0] ? this.parents.get(found[0]) : undefined
    })
    parts.forEach((part, i) => {
      const twin = this.baseOf.get(part)
      if (twin && this.branch(top, twin)) {
        if (part.children.length > 0 && twin.children.length > 0) {
          this.placeLoose(top, twin, part, loose)
        }
        return
      }
      const before = homes.slice(0, i + 1).findLast((home) => home !== undefined)
      const after = homes.slice(i + 1).find((home) => home !== undefined)
      let home: LayoutNode = before ?? after ?? base
      // It stands in the innermost container that reaches around it.
      const place = this.places.get(part)!
      const isAround = (node: LayoutNode): boolean => {
        const box = this.extent(node)
        return !box || overlaps(box, place)
      }
      while (home !== base && !isAround(home)) home = this.parents.get(home) ?? base
      const holdsFound = homes[i] !== undefined
      loose.set(home, [...(loose.get(home) ?? []), holdsFound ? this.bare(part) : part])
      if (holdsFound) this.placeLoose(top, home, part, loose)
    })
  }

  /** A container's paint alone: what it holds is found on the base, and stands where it stands there. */
  private bare(part: LayoutNode): LayoutNode {
    const bare: LayoutNode = { ...part, children: [], arrangement: { kind: 'free' } }
    ;(this.places as Map<LayoutNode, Box>).set(bare, this.places.get(part)!)
    this.ranks.set(bare, this.ranks.get(part)!)
    return bare
  }

  /** Where the content of a container of the base stands on the other artboard. */
  private extent(base: LayoutNode): Box | undefined {
    if (this.extents.has(base)) return this.extents.get(base)
    const own = this.otherOf.get(base)
    const boxes = own ? [] : base.children.flatMap((child) => this.extent(child) ?? [])
    const extent = own ? this.places.get(own) : boxes.length > 0 ? uniteBoxes(boxes) : undefined
    this.extents.set(base, extent)
    return extent
  }

  private layersIn(base: LayoutNode, context: Region, origin: Box): Layer[] {
    const { see, region, loose, units, graphics } = context
    const kids = base.children.filter((child) => see(child) !== undefined)
    const extents = kids.map((child) => see(child)!.box)
    const isMixed = extents.some((a, i) =>
      extents.some(
        (b, j) => j > i && a && b && overlaps(a, b) && !this.overlapped(kids[i]!, kids[j]!),
      ),
    )
    const extras = (loose.get(base) ?? []).flatMap((part) => this.ranked(part, graphics, origin))
    if (isMixed) return inOrder([...this.flat(base, region, graphics, origin), ...extras])
    const room = extents.length > 0 ? uniteBoxes(extents) : origin
    const isColumn = kids.every((_kid, i) =>
      extents.every(
        (box, j) =>
          j === i ||
          !box ||
          !extents[i] ||
          box.y + box.height <= extents[i]!.y + TOUCH_PX ||
          box.y >= extents[i]!.y + extents[i]!.height - TOUCH_PX,
      ),
    )
    const layers = kids.flatMap((child, i): Ranked[] => {
      const own = this.otherOf.get(child)
      const here = own !== undefined && region.has(own) ? own : undefined
      const { rank } = see(child)!
      if (here && (child.children.length === 0 || here.children.length === 0)) {
        return this.ranked(here, graphics, origin)
      }
      if (here) {
        if (this.given.has(here)) return []
        this.given.add(here)
      }
      const extent = extents[i]!
      const fills = child.sizing.width === 'stretch' && isColumn && !isPart(child)
      const box = fills ? { ...extent, x: room.x, width: room.width } : extent
      units.set(child.layer.key, { fills })
      const layer: Layer = {
        ...(here ? this.asFrame(here.layer) : this.asFrame(child.layer, true)),
        key: child.layer.key,
        name: child.layer.name,
        box: { ...box, x: box.x - origin.x, y: box.y - origin.y },
        children: this.layersIn(child, context, box),
      }
      return [{ layer, rank }]
    })
    return inOrder([...layers, ...extras])
  }

  private allParts(node: LayoutNode): LayoutNode[] {
    return node.children.flatMap((child) => [child, ...this.allParts(child)])
  }

  /** Where what is found of a container of the base stands, and where the first of it comes in paint order. */
  private see(
    base: LayoutNode,
    region: ReadonlySet<LayoutNode>,
    seen: Map<LayoutNode, Seen | undefined>,
  ): Seen | undefined {
    if (seen.has(base)) return seen.get(base)
    const own = this.otherOf.get(base)
    let found: Seen | undefined
    if (own && region.has(own)) {
      found = { box: this.places.get(own)!, rank: this.ranks.get(own) ?? 0 }
    } else {
      const inside = base.children.flatMap((child) => this.see(child, region, seen) ?? [])
      if (inside.length > 0) {
        found = {
          box: uniteBoxes(inside.map(({ box }) => box)),
          rank: Math.min(...inside.map(({ rank }) => rank)),
        }
      }
    }
    seen.set(base, found)
    return found
  }

  private overlapped(a: LayoutNode, b: LayoutNode): boolean {
    return overlaps(this.basePlaces.get(a)!, this.basePlaces.get(b)!)
  }

  /** Everything of a container of the base that is found here, without the containers in between. */
  private flat(
    base: LayoutNode,
    region: ReadonlySet<LayoutNode>,
    graphics: Set<Layer>,
    origin: Box,
  ): Ranked[] {
    return base.children.flatMap((child): Ranked[] => {
      const own = this.otherOf.get(child)
      if (own && region.has(own)) return this.ranked(own, graphics, origin)
      return this.flat(child, region, graphics, origin)
    })
  }

  /** A part with what it holds, unless it has a place already. */
  private ranked(node: LayoutNode, graphics: Set<Layer>, origin: Box): Ranked[] {
    if (this.given.has(node)) return []
    return [{ layer: this.whole(node, graphics, origin), rank: this.ranks.get(node) ?? 0 }]
  }

  /** A part as a layer with everything in it, under the keys of the base. */
  private whole(node: LayoutNode, graphics: Set<Layer>, origin: Box): Layer {
    this.given.add(node)
    const key = this.baseOf.get(node)?.layer.key ?? node.layer.key
    if (node.children.length === 0 || node.isGraphic) return this.leaf(node, key, graphics, origin)
    const place = this.places.get(node)!
    return {
      ...this.asFrame(node.layer, !isPart(node)),
      key,
      name: node.layer.name,
      box: { ...place, x: place.x - origin.x, y: place.y - origin.y },
      children: node.children
        .filter((child) => !this.given.has(child))
        .map((child) => this.whole(child, graphics, place)),
    }
  }

  private leaf(node: LayoutNode, key: string, graphics: Set<Layer>, origin: Box): Layer {
    const place = this.places.get(node) ?? node.box
    if (isContainer(node.layer) && node.layer.type !== 'group' && !node.isGraphic) {
      const { clip: _clip, children: _children, ...looks } = this.asFrame(node.layer)
      return {
        ...looks,
        type: 'rectangle',
        key,
        box: { ...place, x: place.x - origin.x, y: place.y - origin.y },
      }
    }
    const layer = {
      ...node.layer,
      key,
      box: { ...place, x: place.x - origin.x, y: place.y - origin.y },
    } as Layer
    if (node.isGraphic) graphics.add(layer)
    return layer
  }

  /** The looks of a layer as those of a frame. */
  private asFrame(layer: Layer, isBare = false): FrameLayer {
    const painted = !isBare && 'fills' in layer && layer.type !== 'path' ? layer : undefined
    const radius = painted && 'radius' in painted ? painted.radius : 0
    const { opacity, blend, rotationDeg, effects, link } = layer
    return {
      type: 'frame',
      key: layer.key,
      name: layer.name,
      box: layer.box,
      ...PLAIN_LAYER,
      ...(isBare ? {} : { opacity, blend, rotationDeg, effects, ...(link ? { link } : {}) }),
      fills: painted?.fills ?? [],
      strokes: painted?.strokes ?? [],
      ...(painted?.tokens ? { tokens: painted.tokens } : {}),
      radius,
      clip: !isBare && 'clip' in layer && layer.clip,
      children: [],
    }
  }
}

/**
 * The layout of one artboard under the keys, and as far as it can be laid out so in the structure, of another.
 * What cannot keeps its own structure, and what only it has its own keys.
 */
export const regroupLike = (
  base: LayoutNode,
  other: LayoutNode,
  matches: readonly Match[],
  options: Options,
): LayoutNode => new Regrouping(base, other, matches, options).run()
