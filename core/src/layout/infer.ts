import { INFERRED } from '../design/node-key.js'
import type { Design } from '../design/design.js'
import { isSameBox, uniteBoxes, type Box } from '../design/geometry.js'
import { childrenOf, isContainer, type Layer } from '../design/layer.js'
import type { Arrange, AutoLayout } from '../design/layout.js'
import type { TextMeasure } from '../text/measure.js'
import { endOn } from './axis.js'
import { doOverlap, toItem, type Item } from './bands.js'
import type { Block } from './block.js'
import { arrangeAs, arrangeContainer } from './cut.js'
import {
  draftNode,
  draftShape,
  fitsItself,
  inferredFrame,
  insideOf,
  plainFrame,
  isShape,
  isText,
  type Draft,
  type Shell,
} from './draft.js'
import { fitColumn } from './fit-column.js'
import { fitEven, fitGrid } from './fit-grid.js'
import { fitPlain } from './fit-plain.js'
import { fitRow } from './fit-row.js'
import { fitTableRow, type TableColumns } from './fit-table.js'
import { fitWrap } from './fit-wrap.js'
import { findGraphics } from './find-graphics.js'
import { joinLines, joinLooseVectors } from './join-pieces.js'
import { mergeShapes, nestPieces, type Nest } from './nest.js'
import { borderFromLines, tokensOfLines } from './edge-lines.js'
import { findKin, ordersOf, withoutMissing } from './kin.js'
import { wholeIcons } from './whole-icons.js'
import type { SaidGroup } from './said-groups.js'
import { adoptLeading } from './leading/index.js'
import { type LayoutNode } from './node.js'
import { overlayNode } from './overlay.js'
import { separateOverlaps } from './overlaps.js'
import { isPainted } from './layer-kinds.js'
import { collectPieces, type Bundle } from './pieces.js'
import { findPitch } from './pitch.js'
import { findRuledTables } from './ruled-tables.js'
import { firstProved, type Reading } from './prove.js'
import { findTables } from './tables.js'
import { draftText } from './text-draft.js'

export type InferOptions = {
  readonly measure: TextMeasure
  readonly assets: Design['assets']
  /** Keys of frames that stay containers whatever they hold; `fills`: with the room they have. */
  readonly units?: ReadonlyMap<string, { readonly fills: boolean }>
}

/** A shell whose layer is made up when no layer of the file holds exactly its content. */
type OpenShell = Omit<Shell, 'layer'> & {
  readonly layer?: Layer | undefined
  /** The box of the container around it: how far a container without a look of its own may reach. */
  readonly room?: Box
}

const SAME_BOX_PX = 1.01

const nestsOf = (block: Block): readonly Nest[] => {
  if (block.kind === 'item') return [block.item.nest, ...block.item.overlays]
  if (block.kind === 'free') return block.items.map((item) => item.nest)
  return block.parts.flatMap(nestsOf)
}

/**
 * Whether something without content is to take the room of a container that is as wide as its content: the two say nothing
 * of how wide it is, and it stays as it was drawn.
 */
const takesNothing = (child: Layer, container: Layer, { kind }: AutoLayout): boolean => {
  if (child.sizing.width !== 'stretch' || container.sizing.width !== 'fit') return false
  const hasContent = (layer: Layer): boolean =>
    layer.type === 'text' || childrenOf(layer).length > 0
  return !hasContent(child) && !(kind === 'column' && childrenOf(container).some(hasContent))
}

/** Infers how the contents of one container of the file are laid out; containers in it are asked in turn. */
export class Inference {
  private readonly bundles = new Map<string, Layer>()
  private groups: readonly SaidGroup[] = []

  constructor(
    private readonly options: InferOptions,
    private readonly graphics: ReadonlySet<Layer>,
  ) {}

  /** A container of the file, which stands at `box` in the coordinates around it. */
  container(layer: Layer, box: Box, isRoot = false): Draft {
    if (this.graphics.has(layer)) {
      return draftShape(layer, box, { isGraphic: true })
    }
    if (isContainer(layer) && layer.type !== 'group' && layer.layout) {
      return this.stated(layer, layer.layout, box)
    }
    const { assets, units } = this.options
    const { pieces, bundles } = collectPieces(layer, this.graphics, assets, units)
    const inside = new Inference(this.options, this.graphics)
    inside.addBundles(bundles)
    const nests = findKin(
      wholeIcons(nestPieces(joinLooseVectors(joinLines(findRuledTables(pieces))))),
    )
    const own = { ...box, x: 0, y: 0 }
    // A frame that only holds things is as large as they are; room between them is a gap.
    const fills = isRoot || isPainted(layer) || units?.get(layer.key)?.fills === true
    const shell = { layer, absorbed: [], box: own, isPadded: true, fills }
    const arrange = isContainer(layer) && layer.type !== 'group' ? layer.arrange : undefined
    return moveDraft(inside.fill(shell, nests, undefined, arrange), box)
  }

  private addBundles(bundles: readonly Bundle[]): void {
    // Of bundles around the same content the innermost, which comes last, gives its name.
    for (const { layer, from, to } of [...bundles].reverse())
      this.bundles.set(`${from} ${to}`, layer)
    this.groups = bundles
  }

  /** A container whose auto layout the file states: it is taken as said. */
  private stated(layer: Layer, layout: AutoLayout, box: Box): Draft {
    const children: LayoutNode[] = []
    for (const child of isContainer(layer) ? layer.children : []) {
      if (!child.visible || child.opacity === 0) continue
      const draft = this.leaf(child, {
        ...child.box,
        x: box.x + child.box.x,
        y: box.y + child.box.y,
      })
      if (child.flow === 'out') {
        children.push(overlayNode(draft, box, false))
        continue
      }
      const { node } = draft
      const isSized = node.arrangement.kind !== 'free' || node.layer.type === 'text'
      const sizing = {
        width:
          (child.sizing.width === 'fit' && !isSized) || takesNothing(child, layer, layout)
            ? 'fixed'
            : child.sizing.width,
        height: child.sizing.height === 'fit' && !isSized ? 'fixed' : child.sizing.height,
      } as const
      const keepsLines = node.layer.type === 'text' && child.sizing.width === 'fit'
      children.push({ ...node, keepsLines, sizing, limits: child.limits ?? {} })
    }
    const fit = layer.sizing
    return {
      node: draftNode(layer, box, { arrangement: layout, children }),
      natural: {
        width: fit.width === 'fit' ? box.width : undefined,
        height: fit.height === 'fixed' ? undefined : box.height,
      },
    }
  }

  /** One layer of the file by itself. */
  private leaf(layer: Layer, box: Box): Draft {
    if (layer.type === 'text') return draftText(layer, box, this.options.measure)
    if (isContainer(layer)) return this.container(layer, box)
    return draftShape(layer, box, { isGraphic: this.graphics.has(layer) })
  }

  /** What a box holds, laid out like others of its kind that hold more, where that leaves it as it was drawn. */
  private likeKin(shell: Shell, { content, kin }: Nest, table?: TableColumns): Draft {
    if (kin && kin.missing.length > 0) {
      const kept = new Map(this.bundles)
      const draft = this.fill(shell, [...content, ...kin.missing], table)
      const node = withoutMissing(draft.node)
      if (node) return { ...draft, node }
      for (const [key, layer] of kept) this.bundles.set(key, layer)
    }
    return this.fill(shell, content, table)
  }

  private nest(nest: Nest, fills: boolean, table?: TableColumns): Draft {
    const { piece, content } = nest
    const { layer, box, absorbed, kind } = piece
    if (kind === 'block') return this.container(layer, box)
    if (content.length > 0) {
      const isGraphic = kind === 'graphic'
      const shell = { layer, absorbed, box, isPadded: true, fills }
      const draft = this.likeKin(shell, nest, table)
      return isGraphic ? { ...draft, node: { ...draft.node, isGraphic } } : draft
    }
    if (layer.type === 'text') return draftText(layer, box, this.options.measure)
    return draftShape(layer, box, { absorbed, isGraphic: kind === 'graphic' })
  }

  /** A thing with what lies over it. */
  private item({ nest, overlays }: Item, fills: boolean, table?: TableColumns): Draft {
    const draft = this.nest(nest, fills, table)
    if (overlays.length === 0) return draft
    const { node } = draft
    const over = overlays.map((overlay) =>
      overlayNode(this.nest(overlay, false), node.box, overlay.piece.order < nest.piece.order),
    )
    const isHolder = node.children.length > 0 && node.arrangement.kind !== 'free'
    if (isHolder) return { ...draft, node: { ...node, children: [...node.children, ...over] } }
    const shell = {
      layer: inferredFrame(draft, 'Overlay'),
      absorbed: [],
      box: node.box,
      isPadded: false,
      fills: false,
    }
    const held = fitColumn([draft], shell)
    return {
      ...held,
      natural: { ...held.natural, width: held.natural.width ?? node.box.width },
      hollow: held.hollow ?? (held.natural.width === undefined ? 'shape' : undefined),
      node: { ...held.node, children: [...held.node.children, ...over] },
    }
  }

  /** A container with its content laid out. */
  private fill(
    shell: Shell,
    content: readonly Nest[],
    table?: TableColumns,
    arrange?: Arrange,
  ): Draft {
    const [only, ...others] = content
    if (only && others.length === 0 && isSameBox(shell.box, only.piece.box, SAME_BOX_PX)) {
      const isShape = only.piece.kind === 'surface'
      const merged = isShape && mergeShapes(shell.layer, only.piece.layer)
      if (merged) {
        const absorbed = [...shell.absorbed, only.piece.layer.key, ...only.piece.absorbed]
        return this.fill({ ...shell, layer: merged, absorbed }, only.content)
      }
    }
    if (arrange) return this.arranged(shell, content.map(toItem), arrange)
    const { items, overlays } = separateOverlaps(content.map(toItem))
    if (items.length === 0) {
      return draftShape(shell.layer, shell.box, { absorbed: shell.absorbed })
    }
    const bounds = insideOf(shell.layer, shell.box)
    const draft = this.block(arrangeContainer(items, bounds, this.groups), shell, table)
    if (overlays.length === 0) return draft
    const over = overlays.map((overlay) => {
      const item = toItem(overlay)
      const isUnder = items.some(
        (i) => i.nest.piece.order > overlay.piece.order && doOverlap(i, item),
      )
      return overlayNode(this.nest(overlay, false), shell.box, isUnder)
    })
    return { ...draft, node: { ...draft.node, children: [...draft.node.children, ...over] } }
  }

  /** A container whose arrangement a person has said. */
  private arranged(shell: Shell, items: readonly Item[], arrange: Arrange): Draft {
    if (items.length === 0) return this.fill(shell, [])
    const block = arrangeAs(items, arrange)
    return this.block(block, shell)
  }

  /** `room` is the box of the container it stands in. */
  private part(part: Block, room: Box, fills: boolean, table?: TableColumns): Draft {
    if (part.kind === 'item') return this.item(part.item, fills, table)
    const isSection = 'isSection' in part && part.isSection === true
    const orders = nestsOf(part).flatMap(ordersOf)
    const [from, to] = [Math.min(...orders), Math.max(...orders) + 1]
    const key = `${from} ${to}`
    const bundle = this.bundles.get(key)
    this.bundles.delete(key)
    const box = part.box
    const edges = 'edges' in part ? (part.edges ?? {}) : {}
    const border = borderFromLines(edges)
    const lines = [edges.top, edges.bottom].filter((line) => line !== undefined)
    const absorbed = lines.flatMap((line) => [line.layer.key, ...line.absorbed])
    const frame = (named: { readonly key: string; readonly name: string }): Layer => ({
      ...plainFrame(named.key, named.name, box),
      ...(border ? { strokes: [border], tokens: tokensOfLines(edges) } : {}),
    })
    const layer = border
      ? frame(bundle ?? { key: `${lines[0]!.layer.key}${INFERRED}`, name: 'Row' })
      : bundle
    return this.block(part, { layer, absorbed, box, room, isPadded: isSection, fills }, table)
  }

  private close(shell: OpenShell, drafts: readonly Draft[], name: string): Shell {
    return { ...shell, layer: shell.layer ?? inferredFrame(drafts[0]!, name) }
  }

  private block(block: Block, shell: OpenShell, table?: TableColumns): Draft {
    const draft = this.read(block, shell, table)
    const doubt = 'doubt' in block ? block.doubt : undefined
    return doubt ? { ...draft, node: { ...draft.node, doubt } } : draft
  }

  private read(block: Block, shell: OpenShell, table?: TableColumns): Draft {
    switch (block.kind) {
      case 'item':
        return this.single(this.item(block.item, true), shell)
      case 'column':
        return this.column(block.parts, shell)
      case 'grid': {
        const drafts = block.parts.map((part) => this.part(part, shell.box, true))
        const closed = this.close(shell, drafts, 'Grid')
        const reading = firstProved([() => fitGrid(drafts, block.grid, closed)], drafts)
        return reading ?? this.column(block.rows, shell)
      }
      case 'wrap': {
        const drafts = block.parts.map((part) => this.part(part, shell.box, false))
        const closed = this.close(shell, drafts, 'Row')
        const reading = firstProved([() => fitWrap(drafts, block.wrap, closed)], drafts)
        return reading ?? this.column(block.rows, shell)
      }
      case 'row': {
        const even = this.evenRow(block.parts, shell)
        if (even) return even
        const drafts = block.parts.map((part) => this.part(part, shell.box, false))
        const closed = this.close(shell, drafts, 'Row')
        const asTable: Reading = () =>
          table?.length === drafts.length ? fitTableRow(drafts, table, closed) : undefined
        return this.settle('row', drafts, closed, [asTable, () => fitRow(drafts, closed)])
      }
      case 'free':
        return this.free(
          block.items.map((item) => this.item(item, false)),
          shell,
        )
    }
  }

  /** Columns of one width whose contents are narrower. */
  private evenRow(parts: readonly Block[], shell: OpenShell): Draft | undefined {
    const boxes = parts.map((part) => part.box)
    const isWorth = parts.some((part) => part.kind === 'column' || part.kind === 'row')
    const pitch = isWorth
      ? findPitch(boxes, shell.isPadded ? shell.box : (shell.room ?? shell.box))
      : undefined
    if (!pitch || parts.some((part) => part.kind === 'free')) return undefined
    const kept = new Map(this.bundles)
    const drafts = parts.map((part, i) => {
      const cell = pitch.cells[i]!
      return this.part(part.kind === 'item' ? part : { ...part, box: cell }, cell, true)
    })
    const cells = uniteBoxes(pitch.cells)
    const union = uniteBoxes(boxes)
    const box = shell.isPadded ? shell.box : { ...union, x: cells.x, width: cells.width }
    const closed = this.close({ ...shell, box }, drafts, 'Row')
    const grid = { columns: parts.length, columnGap: pitch.gap, rowGap: 0 }
    const reading = firstProved([() => fitEven(drafts, pitch.cells, grid, closed)], drafts)
    if (!reading) for (const [key, layer] of kept) this.bundles.set(key, layer)
    return reading
  }

  /** The best reading that holds, else the plain one with exact distances, else coordinates. */
  private settle(
    kind: 'row' | 'column',
    drafts: readonly Draft[],
    shell: Shell,
    readings: readonly Reading[],
  ): Draft {
    return (
      firstProved(readings, drafts) ??
      firstProved([() => fitPlain(kind, drafts, shell)], drafts) ??
      this.free(drafts, shell)
    )
  }

  /** The last resort: everything stays where it was drawn. */
  private free(drafts: readonly Draft[], shell: OpenShell): Draft {
    const { layer, absorbed, box } = this.close(shell, drafts, 'Overlay')
    const children = drafts.map((draft) => overlayNode(draft, box, false))
    const node = draftNode(layer, box, { absorbed, children })
    return { node, natural: { width: box.width, height: undefined } }
  }

  /** A container of one thing. */
  private single(draft: Draft, shell: OpenShell): Draft {
    const closed = this.close(shell, [draft], 'Box')
    const { box } = draft.node
    const [left, right] = [box.x - closed.box.x, endOn(closed.box, 'x') - endOn(box, 'x')]
    const isCentred = Math.abs(left - right) <= 2 && left > 0 && !isText(draft)
    const isOwn =
      isShape(draft.node) || (isText(draft) && !draft.range) || fitsItself(draft, 'width')
    const row: Reading = () => fitRow([draft], closed)
    const column: Reading = () => fitColumn([draft], closed)
    const readings = isCentred && isOwn ? [row, column] : [column, row]
    return this.settle('column', [draft], closed, readings)
  }

  private column(parts: readonly Block[], shell: OpenShell): Draft {
    const union = uniteBoxes(parts.map((part) => part.box))
    const tables = findTables(parts, union)
    const drafts = parts.map((part, i) => {
      const table = tables.get(i)
      const spans =
        Math.abs(part.box.x - union.x) <= 1 &&
        Math.abs(endOn(part.box, 'x') - endOn(union, 'x')) <= 1
      const wide =
        table && part.kind === 'row'
          ? { ...part, box: { ...part.box, x: union.x, width: union.width } }
          : part
      return this.part(wide, shell.box, spans, table)
    })
    const closed = this.close(shell, drafts, 'Column')
    return this.settle('column', drafts, closed, [() => fitColumn(drafts, closed)])
  }
}

const moveDraft = (draft: Draft, to: Box): Draft => {
  const move = (node: LayoutNode): LayoutNode => ({
    ...node,
    box: { ...node.box, x: node.box.x + to.x, y: node.box.y + to.y },
    children: node.children.map(move),
  })
  return to.x === 0 && to.y === 0 ? draft : { ...draft, node: move(draft.node) }
}

/** Boxes counted from the parent's corner, as they are in a design. */
const toRelative = (node: LayoutNode, parent: Box): LayoutNode => ({
  ...node,
  box: { ...node.box, x: node.box.x - parent.x, y: node.box.y - parent.y },
  children: node.children.map((child) => toRelative(child, node.box)),
})

/**
 * Takes a layer with its instances resolved, returns how each layer inside is placed and arranged. Stated
 * auto layout is taken as said; what has none is read from places and paint order alone, and each reading is
 * laid out again and kept only when it gives the drawn boxes back. Never changes how the design looks.
 */
export const inferLayout = (root: Layer, options: InferOptions): LayoutNode => {
  const box = { ...root.box, x: 0, y: 0 }
  const { node } = new Inference(options, findGraphics(root)).container(root, box, true)
  const isFlowing = node.arrangement.kind !== 'free'
  const sizing = {
    width: root.sizing.width === 'fit' && !isFlowing ? 'fixed' : root.sizing.width,
    height: root.sizing.height === 'fit' && !isFlowing ? 'fixed' : root.sizing.height,
  } as const
  return { ...toRelative(node, box), placement: { kind: 'root' }, sizing }
}

/**
 * Like `inferLayout`, for a page that is converted: texts whose file does not say how high their line is have the height
 * of others in the same letters.
 */
export const inferPage = (root: Layer, options: InferOptions): LayoutNode =>
  inferLayout(adoptLeading(root, options.measure), options)

/**
 * Like `inferLayout`, for a container whose content has been put into frames already (`units`) and whose drawings
 * are known.
 */
export const inferGrouped = (
  root: Layer,
  options: InferOptions,
  graphics: ReadonlySet<Layer>,
): LayoutNode => {
  const box = { ...root.box, x: 0, y: 0 }
  const { node } = new Inference(options, graphics).container(root, box, false)
  return toRelative(node, box)
}
