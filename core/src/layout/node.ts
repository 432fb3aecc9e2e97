import type { Box, Sides } from '../design/geometry.js'
import type { Layer } from '../design/layer.js'
import type { AutoLayout, Sizing } from '../design/layout.js'
import type { LayerWidths } from '../design/widths.js'

/** How a container arranges what is in it: as a row, column or grid, or by coordinates. */
export type Arrangement = AutoLayout | { readonly kind: 'free' }

/**
 * Where a layer is held along one axis: a distance in px from one edge of the parent to the same edge of the layer,
 * or between their middles; from both edges; or in shares of the parent's size.
 */
export type Anchor =
  | { readonly edge: 'start' | 'centre' | 'end'; readonly px: number }
  | { readonly edge: 'both'; readonly before: number; readonly after: number }
  | { readonly edge: 'scale'; readonly at: number; readonly size: number }

/** How a layer gets its place: by its parent's arrangement, or anchored over it. */
export type Placement =
  | { readonly kind: 'root' }
  | { readonly kind: 'flow' }
  /** `isUnder`: it is painted before what stands in the flow. */
  | { readonly kind: 'overlay'; readonly x: Anchor; readonly y: Anchor; readonly isUnder: boolean }

export type CrossAlign = 'start' | 'centre' | 'end' | 'stretch' | 'baseline'

export type Limits = NonNullable<Layer['limits']>

/**
 * Cells that could as well be read the other way: `cells[row][column]` holds the keys of the layers there.
 * It stands at the row of columns, or at the first of the rows.
 */
export type Doubt = {
  readonly chosen: 'rows' | 'columns'
  readonly cells: readonly (readonly (readonly string[])[])[]
}

export type LayoutNode = {
  /** What it looks like. An inferred container without a look of its own has a frame made for it. */
  readonly layer: Layer
  /** Keys of layers whose paint it has taken over. */
  readonly absorbed: readonly string[]
  /** In px, from the parent node's top left corner. */
  readonly box: Box
  readonly placement: Placement
  readonly arrangement: Arrangement
  readonly sizing: { readonly width: Sizing; readonly height: Sizing }
  readonly limits: Limits
  /** Distances beyond the parent's gap and padding, in px; negative where layers overlap a little. */
  readonly margin: Sides
  /** Across the parent's direction, where that differs from the parent's alignment. */
  readonly self?: CrossAlign
  /** Takes the free room of its row before itself. */
  readonly isPushed: boolean
  /** The widest its content gets, in px: beyond that the padding on both sides grows alike. */
  readonly contentMax?: number
  /** Content that is wider is reached by scrolling it sideways. */
  readonly scrolls?: boolean
  /** Never wider than its parent, whatever its own width is. */
  /** `rigid`: nor does it give way to its neighbours. */
  readonly fitsParent?: boolean | 'rigid'
  /** It is shown on demand, as a panel over the page below a head of this height, on this colour. */
  readonly folds?: { readonly topPx: number; readonly color: string }
  /** It is the button of the menu with this key, or what the button shows. */
  readonly menu?: { readonly is: 'button' | 'panel'; readonly key: string }
  /** What a person has said about it at other widths. */
  readonly widths?: LayerWidths
  /** Not shown. */
  readonly isHidden?: boolean
  /** Its place among its siblings, where a person has said one; smaller comes first, 0 is as drawn. */
  readonly order?: number
  /** For texts: a word longer than the line breaks. */
  readonly breaksWords?: boolean
  /** Keeps its proportions, width to height, when its width changes. */
  readonly ratio?: number
  /** For texts: where its lines stand, when that is not what the layer says. */
  readonly textAlign?: 'start' | 'centre' | 'end' | 'justify'
  /** For texts: the lines break where they were drawn, not where the width asks for it. */
  readonly keepsLines: boolean
  /** The layer with everything in it is one drawing. */
  readonly isGraphic: boolean
  readonly doubt?: Doubt
  readonly children: readonly LayoutNode[]
}

/** One thing under the other, with no room around or between. */
export const stackedPlainly = (align: 'start' | 'stretch'): AutoLayout => ({
  kind: 'column',
  gap: 0,
  padding: 0,
  align,
  distribute: 'start',
  wrap: false,
})

/** Visits a node and everything inside it, parents first. */
export const walkNodes = (
  node: LayoutNode,
  visit: (node: LayoutNode, parent: LayoutNode | undefined) => void,
  parent?: LayoutNode,
): void => {
  visit(node, parent)
  for (const child of node.children) walkNodes(child, visit, node)
}
