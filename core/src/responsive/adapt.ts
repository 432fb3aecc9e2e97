import type { Anchor, LayoutNode } from '../layout/index.js'
import { resolveSides, type Sides } from '../design/geometry.js'
import { withOpacity } from '../design/color.js'
import type { Comfort } from './comfort.js'
import { applyDifferences } from './differences.js'
import type { Peers } from './peers.js'
import type { WidthReading, WidthReadingKind } from './reading.js'
import { pageContext, RULE_ORDER, RULES, type Rule, type RuleContext } from './rules/index.js'
import {
  classOf,
  LARGEST_TEXT_PX,
  shrinkGap,
  shrinkMargin,
  shrinkPadding,
  shrinkText,
  type WindowClass,
} from './shrink.js'
import {
  flowChildren,
  isInFlow,
  paddingAt,
  roomChildren,
  type Solver,
} from '../layout/flow/solver.js'
import { keepDistance, withChildren } from '../layout/flow/tree.js'
import { NARROWEST_PX } from './window.js'

/** A reading without the width below which it holds, which is known when all widths are done. */
export type AdaptedReading = Omit<WidthReading, 'belowPx'>

export type Adapted = { readonly root: LayoutNode; readonly readings: readonly AdaptedReading[] }

type Options = {
  readonly solver: Solver
  readonly comfort: Comfort
  /** From this width of the window on, in px; things must fit there. */
  readonly fromPx: number
  /** The width of the artboard, in px: what it shows was chosen for windows like that. */
  readonly drawnPx: number
  /** Which nodes a person has said something about, as far as that is known. */
  readonly words: Map<LayoutNode, boolean>
  /** Which rows of the page are alike. */
  readonly peers: Peers
}

/** Buttons, chips and small cards keep their padding, in px. */
const LEAST_SHRUNK_PX = 280
/** A badge, a sign, a time of day: no wider than this, in px. */
const SMALL_PX = 96
/** Less than this is no loss of room, in px. */
const SAME_PX = 0.5

const sumOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0)

/** The colour something lies on. */
const groundOf = (node: LayoutNode, ground: string): string => {
  const fills = 'fills' in node.layer ? node.layer.fills : []
  const top = fills.at(-1)
  return top?.kind === 'solid' && top.opacity === 1 ? withOpacity(top.color, 1) : ground
}

class Adaptation {
  readonly readings: AdaptedReading[] = []
  private readonly models = new Map<
    readonly LayoutNode[],
    { readonly node: LayoutNode; readonly need: number }
  >()
  private readonly windowPx: number
  /** The class of window this is for, where that is another than the artboard's. */
  private readonly sizes: WindowClass

  constructor(private readonly options: Options) {
    this.windowPx = Math.max(NARROWEST_PX, options.fromPx)
    const own = classOf(options.drawnPx)
    const here = classOf(this.windowPx)
    this.sizes = here === own ? 'wide' : here
  }

  private note(
    node: LayoutNode,
    kind: WidthReadingKind,
    value: string,
    evidence: string,
    confidence: number,
    isRuling = false,
  ): void {
    const { key: layer } = node.layer
    this.readings.push({ layer, kind, value, evidence, confidence, isRuling })
  }

  /** What a container needs so that its content looks as meant side by side. */
  private need(node: LayoutNode): number {
    const { comfort, solver } = this.options
    const { arrangement } = node
    if (arrangement.kind === 'free' || arrangement.kind === 'column') return 0
    const children = roomChildren(node)
    // Beside small things a text may be narrow: an entry of a list stays on its line.
    const flexible = children.filter((child) => child.sizing.width === 'stretch')
    const isEntry =
      arrangement.kind === 'row' &&
      flexible.length === 1 &&
      children.every((c) => flexible.includes(c) || c.box.width <= SMALL_PX)
    const sizes = children.map((child) => {
      const wanted = isEntry && flexible.includes(child) ? SMALL_PX : comfort(child)
      const own = Math.max(wanted, solver.narrowest(child))
      return own + child.margin.left + child.margin.right
    })
    const most = Math.max(0, ...sizes)
    if (arrangement.kind === 'grid') {
      const { columns, columnGap, tracks } = arrangement
      const gaps = (columns - 1) * columnGap
      if (!tracks) return columns * most + gaps
      const total = sumOf(tracks)
      const hardest = Math.max(
        0,
        ...children.map((child, i) => (solver.narrowest(child) * total) / tracks[i % columns]!),
      )
      const columnNeeds = tracks.map((_, j) =>
        Math.max(0, ...sizes.filter((_size, i) => i % columns === j)),
      )
      return Math.max(sumOf(columnNeeds), hardest) + gaps
    }
    if (arrangement.wrap) return 0
    const gaps = Math.max(0, children.length - 1) * arrangement.gap
    // Columns that share the room alike are each as wide as the widest of them needs.
    const areEven = children.length > 1 && children.every((c) => c.sizing.width === 'stretch')
    return (areEven ? most * children.length : sumOf(sizes)) + gaps
  }

  /** Rows, grids and tables that do not fit give way, by the first rule that suits or as a person has said. */
  private giveWay(
    node: LayoutNode,
    width: number,
    inner: number,
    context: RuleContext,
  ): LayoutNode {
    const said = node.widths?.giveWay
    if (said === 'keep') return node
    // What has the room it was drawn in needs nothing.
    if (!said && width >= node.box.width - SAME_PX) return node
    const isTable = RULES.scroll.suits(node, inner, context)
    // What is alike gives way alike: what the neediest does, all do.
    const model = said || isTable ? node : this.neediest(node)
    const isTight = isTable || this.need(model) > inner + 0.5
    if (!isTight) return node
    const apply = (rule: Rule, isRuling: boolean): LayoutNode | undefined => {
      const given = rule.apply(node, inner, context)
      if (!given) return undefined
      const confidence = isRuling ? 1 : rule.confidence
      this.note(node, rule.way, given.value, rule.evidence, confidence, isRuling)
      return given.node
    }
    if (said) {
      const ruled = said === 'stack' && isTable ? this.stackTable(node) : apply(RULES[said], true)
      if (ruled) return ruled
    }
    if (node.arrangement.kind === 'column' && !isTable) return node
    for (const rule of RULE_ORDER) {
      if (!rule.suits(model, inner, context)) continue
      const given = apply(rule, false)
      if (given) return this.after(rule, given, inner, context)
    }
    return node
  }

  /** Of the rows that are like this one, that which needs the most room; found once for all of them. */
  private neediest(node: LayoutNode): LayoutNode {
    const peers = this.options.peers.of(node)
    if (peers.length === 0) return node
    let found = this.models.get(peers)
    if (!found) {
      const all = peers.map((peer) => ({ node: peer, need: this.need(this.shrunk(peer)) }))
      found = all.reduce((a, b) => (b.need > a.need ? b : a))
      this.models.set(peers, found)
    }
    return found.need > this.need(node) ? found.node : node
  }

  /** A head whose navigation is folded away may still be too wide. */
  private after(rule: Rule, node: LayoutNode, inner: number, context: RuleContext): LayoutNode {
    if (rule.way !== 'fold' || this.need(node) <= inner) return node
    return RULES.wrap.apply(node, inner, context)?.node ?? node
  }

  /** The rows of a table as cards: their cells one under the other. */
  private stackTable(node: LayoutNode): LayoutNode {
    this.note(node, 'stack', 'rows become cards', 'said by hand', 1, true)
    const children = node.children.map((row) =>
      row.arrangement.kind === 'grid'
        ? {
            ...row,
            arrangement: { ...row.arrangement, columns: 1, tracks: [1], rowGap: 4 },
          }
        : row,
    )
    return { ...node, children }
  }

  private shrink(node: LayoutNode): LayoutNode {
    const small = this.shrunk(node)
    const { arrangement } = node
    if (small === node || arrangement.kind === 'free' || small.arrangement.kind === 'free')
      return node
    const { padding } = small.arrangement
    if (padding !== arrangement.padding) {
      const say = (sides: number | Sides): string => {
        const { top, right, bottom, left } = resolveSides(sides)
        return [top, right, bottom, left].map(Math.round).join(' ')
      }
      const value = `${say(arrangement.padding)} becomes ${say(padding)}`
      this.note(node, 'padding', value, 'a narrow window has no room to spare', 0.85)
    }
    return small
  }

  /** A container with as much padding and gap as there is in a window of this class. */
  private shrunk(node: LayoutNode): LayoutNode {
    const { arrangement } = node
    if (arrangement.kind === 'free' || node.box.width < LEAST_SHRUNK_PX) return node
    const padding = shrinkPadding(arrangement.padding, this.sizes)
    const before = arrangement.kind === 'grid' ? arrangement.rowGap : arrangement.gap
    const gap = shrinkGap(before, this.sizes)
    if (padding === arrangement.padding && gap === before) return node
    const next =
      arrangement.kind === 'grid'
        ? { ...arrangement, padding, rowGap: gap }
        : { ...arrangement, padding, gap }
    const children =
      arrangement.kind === 'column'
        ? keepDistance(node.children, 'top', { before, now: gap })
        : arrangement.kind === 'row'
          ? keepDistance(node.children, 'left', { before, now: gap })
          : node.children
    return { ...node, arrangement: next, children }
  }

  /** A thing laid over its parent stays inside it. */
  private overlay(node: LayoutNode, room: number, context: RuleContext): LayoutNode {
    if (node.placement.kind !== 'overlay') return node
    const { solver } = this.options
    const { x } = node.placement
    const natural = node.sizing.width === 'fixed' ? node.box.width : solver.widest(node)
    const reach = x.edge === 'start' || x.edge === 'end' ? x.px : 0
    const isFlexible = x.edge === 'both' || x.edge === 'scale'
    const width =
      x.edge === 'both'
        ? room - x.before - x.after
        : x.edge === 'scale'
          ? room * x.size
          : Math.min(natural, room)
    const inside = this.visit(node, Math.max(0, width), context)
    if (isFlexible || reach + natural <= room + 0.5) return inside
    const fits = natural <= room
    // What is too wide for its parent goes from edge to edge; a text or a picture in the middle stays there.
    const isHeld = fits || (x.edge === 'centre' && node.children.length === 0)
    const held = { ...x, px: x.edge === 'centre' ? 0 : Math.min(x.px, room - natural) }
    const edge: Anchor = isHeld ? held : { edge: 'both', before: 0, after: 0 }
    return {
      ...inside,
      fitsParent: true,
      placement: { ...node.placement, x: edge },
    }
  }

  /** Type so large that it is smaller in smaller windows, whether it fits or not. */
  private isDisplay({ layer }: LayoutNode): boolean {
    return layer.type === 'text' && this.sizes !== 'wide' && layer.style.size > LARGEST_TEXT_PX
  }

  /** Whether a person has said something about it, or about something inside. */
  private hasWord(node: LayoutNode): boolean {
    const known = this.options.words.get(node)
    if (known !== undefined) return known
    const has =
      node.widths?.at !== undefined ||
      node.widths?.giveWay !== undefined ||
      node.children.some((child) => this.hasWord(child))
    this.options.words.set(node, has)
    return has
  }

  /** One node in a room of `width` px, with everything inside it. */
  visit(node: LayoutNode, width: number, context: RuleContext): LayoutNode {
    const { solver } = this.options
    // What has the room it was drawn in is as it was drawn.
    if (width >= node.box.width - SAME_PX && !this.hasWord(node) && !this.isDisplay(node))
      return node
    if (node.layer.type === 'text') {
      const text = shrinkText(node, width, this.sizes, solver)
      if (text.layer !== node.layer && text.layer.type === 'text') {
        const [before, now] = [node.layer.style.size, text.layer.style.size]
        if (before !== now) {
          this.note(node, 'type', `${before} px becomes ${now} px`, 'it is display type', 0.85)
        }
      }
      return applyDifferences(text, this.options.fromPx)
    }
    if (node.children.length === 0) return applyDifferences(node, this.options.fromPx)
    const small = applyDifferences(this.shrink(node), this.options.fromPx)
    const { arrangement } = small
    const ground = groundOf(small, context.ground)
    const here = { ...context, ground }
    if (arrangement.kind === 'free') return this.free(small, width, here)
    const padding = paddingAt(small, arrangement, width)
    const inner = Math.max(0, width - padding.left - padding.right)
    const given = this.giveWay(small, width, inner, here)
    const rooms = solver.widths(given, width)
    const isRow = given.arrangement.kind === 'row'
    const [first] = flowChildren(given)
    const children = given.children.map((child): LayoutNode => {
      // In a row what follows the first thing stands beside it.
      const insetPx = here.insetPx + padding.left + (isRow && child !== first ? width : 0)
      const rightPx =
        given.arrangement.kind === 'column' ? node.box.width - child.box.x - child.box.width : 0
      const margin = shrinkMargin(child.margin, this.sizes, { insetPx, rightPx })
      const inside = {
        ...here,
        topPx: here.topPx + child.box.y,
        insetPx: insetPx + margin.left,
      }
      if (!isInFlow(child)) return this.overlay(child, width, inside)
      // A folded panel is as wide as the window, or as a drawer may be.
      const own = child.folds
        ? Math.min(this.windowPx, child.limits.maxWidth ?? Infinity)
        : Math.min(rooms.get(child) ?? inner, Math.max(inner, child.limits.minWidth ?? 0))
      const next = this.visit(child, own, inside)
      return margin === child.margin ? next : { ...next, margin }
    })
    return withChildren(given, children)
  }

  /** Things at coordinates keep their share of a narrower room. */
  private free(node: LayoutNode, width: number, context: RuleContext): LayoutNode {
    const isNarrower = width < node.box.width - 0.5
    const children = node.children.map((child) => {
      const moved =
        isNarrower && child.placement.kind === 'overlay' && child.placement.x.edge === 'start'
          ? {
              ...child,
              placement: {
                ...child.placement,
                x: {
                  edge: 'scale' as const,
                  at: child.placement.x.px / node.box.width,
                  size: child.box.width / node.box.width,
                },
              },
            }
          : child
      return this.overlay(moved, width, context)
    })
    return withChildren(node, children)
  }
}

/**
 * Takes a prepared tree and a width of the window in px; returns the tree as it is from that width on, and what
 * was read to make it so. Nothing of it is as narrow as a word, and nothing reaches out of the page.
 */
export const adaptTree = (root: LayoutNode, options: Options): Adapted => {
  const adaptation = new Adaptation(options)
  const windowPx = Math.max(NARROWEST_PX, options.fromPx)
  const adapted = adaptation.visit(root, windowPx, pageContext(options))
  return { root: adapted, readings: adaptation.readings }
}
