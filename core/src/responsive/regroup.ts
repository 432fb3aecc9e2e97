import { NO_SIDES } from '../design/geometry.js'
import type { Layer } from '../design/layer.js'
import {
  inferGrouped,
  stackedPlainly,
  type InferOptions,
  type LayoutNode,
} from '../layout/index.js'
import { isPart, type Match } from './match/index.js'
import { relayer } from './relayer.js'
import { wrapNodes } from '../layout/flow/tree.js'
import { Twins } from './twins.js'

/** Sizes that differ by no more than this are the same, in px. */
const SAME_PX = 2

type Options = Omit<InferOptions, 'units'>

const withKey = <T extends Layer>(layer: T, key: string): T => ({ ...layer, key })

const withKeyOf = (base: LayoutNode, other: LayoutNode): LayoutNode => ({
  ...other,
  layer: withKey(other.layer, base.layer.key),
})

/** The base's container around a single thing that another artboard has without one. */
const around = (base: LayoutNode, inner: LayoutNode, other: LayoutNode): LayoutNode => {
  const { placement, margin, isPushed, self, box, limits } = other
  const stretches = other.sizing.width === 'stretch'
  const { self: _self, ...bare } = inner
  return wrapNodes(
    [{ ...bare, placement: { kind: 'flow' }, margin: NO_SIDES, isPushed: false }],
    base.layer.key,
    base.layer.name,
    stackedPlainly(stretches ? 'stretch' : 'start'),
    {
      placement,
      margin,
      isPushed,
      box,
      limits,
      sizing: { width: stretches ? 'stretch' : 'fit', height: 'fit' },
      ...(self ? { self } : {}),
    },
  )
}

/** Gives the layout of one artboard the structure of another, where both can be laid out that way. */
class Regrouping {
  constructor(
    private readonly twins: Twins,
    private readonly options: Options,
  ) {}

  /** A page whose only content is a surface of its size that the base lacks has that surface's paint itself. */
  lift(root: LayoutNode): LayoutNode {
    const [only, ...others] = root.children
    const isLone = only !== undefined && others.length === 0 && only.placement.kind !== 'overlay'
    if (!isLone || this.twins.baseOf(only) || !isPart(only) || root.layer.type !== 'frame')
      return root
    const isSame =
      Math.abs(only.box.width - root.box.width) <= SAME_PX &&
      Math.abs(only.box.height - root.box.height) <= SAME_PX
    if (!isSame || !('fills' in only.layer)) return root
    const layer = { ...root.layer, fills: [...root.layer.fills, ...only.layer.fills] }
    const { arrangement, children } = only
    return this.twins.standIn(root, { ...root, layer, arrangement, children })
  }

  /** For each child of the other container the one child of the base it belongs to; undefined when that is not so. */
  private pairChildren(
    base: LayoutNode,
    other: LayoutNode,
  ): ReadonlyMap<LayoutNode, LayoutNode> | undefined {
    const pairs = new Map<LayoutNode, LayoutNode>()
    const taken = new Set<LayoutNode>()
    for (const child of other.children) {
      const found = this.twins.found(child)
      const branches = new Set(found.map((node) => this.twins.branch(base, node)))
      if (branches.size === 0) continue
      const [only] = branches
      if (branches.size > 1 || !only || taken.has(only)) return undefined
      taken.add(only)
      pairs.set(child, only)
    }
    return pairs
  }

  /** A container of the other artboard with the key and the structure of the base's. */
  rebuild(base: LayoutNode, other: LayoutNode): LayoutNode {
    const named = withKeyOf(base, other)
    const pairs = this.pairChildren(base, other)
    if (!pairs) {
      const { frame, units, graphics } = relayer(this.twins, base, other)
      const { arrangement, children } = inferGrouped(frame, { ...this.options, units }, graphics)
      return { ...named, arrangement, children }
    }
    const children = other.children.map((child) => {
      const twin = pairs.get(child)
      return twin ? this.rebuildChild(twin, child) : child
    })
    return { ...named, children }
  }

  /** A child that belongs to one child of the base: both may have containers the other lacks. */
  private rebuildChild(base: LayoutNode, other: LayoutNode): LayoutNode {
    const twin = this.twins.baseOf(other)
    const isLeaf = other.children.length === 0 || base.children.length === 0
    if (twin === base) return isLeaf ? withKeyOf(base, other) : this.rebuild(base, other)
    // The base has a container around it, this artboard does not.
    if (twin && base.children.length > 0) {
      const inner = this.twins.branch(base, twin)
      return inner ? around(base, this.rebuildChild(inner, other), other) : other
    }
    if (isLeaf) return other
    // A painted container that the base lacks stays as it is, with what it holds.
    if (isPart(other)) return this.rebuildInside(base, other)
    if (!isPart(base)) return this.rebuild(base, other)
    // A container without looks of its own around what the base has by itself.
    const [only, ...others] = other.children
    if (only && others.length === 0) {
      const { placement, margin, isPushed, self } = other
      const lifted = { ...only, placement, margin, isPushed, ...(self ? { self } : {}) }
      return this.rebuildChild(base, this.twins.standIn(only, lifted))
    }
    return this.rebuild(base, other)
  }

  private rebuildInside(base: LayoutNode, other: LayoutNode): LayoutNode {
    const children = other.children.map((child) =>
      this.twins.baseOf(child) === base ? this.rebuildChild(base, child) : child,
    )
    return { ...other, children }
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
): LayoutNode => {
  const regrouping = new Regrouping(new Twins(base, other, matches), options)
  return regrouping.rebuild(base, regrouping.lift(other))
}
