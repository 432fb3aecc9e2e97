import { uniteBoxes, type Box } from '../design/geometry.js'
import { placesOf, walkNodes, type LayoutNode } from '../layout/index.js'
import { isPart, type Match } from './match/index.js'

const nodesByKey = (places: ReadonlyMap<LayoutNode, Box>): Map<string, LayoutNode> => {
  const nodes = new Map<string, LayoutNode>()
  for (const node of places.keys()) {
    if (!nodes.has(node.layer.key) || isPart(node)) nodes.set(node.layer.key, node)
  }
  return nodes
}

/** Which nodes of two artboards are the same, the base and another, and where those of the other stand. */
export class Twins {
  private readonly bases = new Map<LayoutNode, LayoutNode>()
  private readonly others = new Map<LayoutNode, LayoutNode>()
  private readonly parents = new Map<LayoutNode, LayoutNode>()
  private readonly extents = new Map<LayoutNode, Box | undefined>()
  private readonly foundIn = new Map<LayoutNode, readonly LayoutNode[]>()
  private readonly places: Map<LayoutNode, Box>
  private readonly ranks = new Map<LayoutNode, number>()
  private readonly basePlaces: ReadonlyMap<LayoutNode, Box>

  constructor(base: LayoutNode, other: LayoutNode, matches: readonly Match[]) {
    this.places = new Map(placesOf(other))
    this.basePlaces = placesOf(base)
    for (const node of this.places.keys()) this.ranks.set(node, this.ranks.size)
    const bases = nodesByKey(this.basePlaces)
    const others = nodesByKey(this.places)
    for (const match of matches) {
      const [a, b] = [bases.get(match.base), others.get(match.other)]
      if (!a || !b) continue
      this.bases.set(b, a)
      this.others.set(a, b)
    }
    walkNodes(base, (node, parent) => void (parent && this.parents.set(node, parent)))
  }

  /** What a node of the other artboard is on the base. */
  baseOf(other: LayoutNode): LayoutNode | undefined {
    return this.bases.get(other)
  }

  /** What a node of the base is on the other artboard. */
  otherOf(base: LayoutNode): LayoutNode | undefined {
    return this.others.get(base)
  }

  parentOf(base: LayoutNode): LayoutNode | undefined {
    return this.parents.get(base)
  }

  /** Where a node of the other artboard stands, in px from its corner. */
  placeOf(other: LayoutNode): Box {
    return this.places.get(other) ?? other.box
  }

  basePlaceOf(base: LayoutNode): Box {
    return this.basePlaces.get(base)!
  }

  /** The place of a node of the other artboard in paint order. */
  rankOf(other: LayoutNode): number {
    return this.ranks.get(other) ?? 0
  }

  /** The child of `container` on the base that a node of the base lies in; undefined when it lies elsewhere. */
  branch(container: LayoutNode, node: LayoutNode): LayoutNode | undefined {
    let at: LayoutNode | undefined = node
    while (at && this.parents.get(at) !== container) at = this.parents.get(at)
    return at
  }

  /** What of the base is found in a node of the other artboard. */
  found(other: LayoutNode): readonly LayoutNode[] {
    const known = this.foundIn.get(other)
    if (known) return known
    const own = this.bases.get(other)
    const inside = other.children.flatMap((child) => this.found(child))
    const found = own ? [own, ...inside] : inside
    this.foundIn.set(other, found)
    return found
  }

  /** Where the content of a container of the base stands on the other artboard. */
  extentOf(base: LayoutNode): Box | undefined {
    if (this.extents.has(base)) return this.extents.get(base)
    const own = this.others.get(base)
    const boxes = own ? [] : base.children.flatMap((child) => this.extentOf(child) ?? [])
    const extent = own ? this.places.get(own) : boxes.length > 0 ? uniteBoxes(boxes) : undefined
    this.extents.set(base, extent)
    return extent
  }

  /** A node made of another of the other artboard stands where that stands. */
  standBy(from: LayoutNode, to: LayoutNode): LayoutNode {
    this.places.set(to, this.placeOf(from))
    this.ranks.set(to, this.rankOf(from))
    return to
  }

  /** A node made of another of the other artboard takes its place in everything. */
  standIn(from: LayoutNode, to: LayoutNode): LayoutNode {
    const base = this.bases.get(from)
    if (base) {
      this.bases.set(to, base)
      this.others.set(base, to)
    }
    return this.standBy(from, to)
  }
}
