import type { Box } from '../design/geometry.js'
import type { Item } from './bands.js'
import type { EdgeLines } from './edge-lines.js'
import type { GridReading } from './fit-grid.js'
import type { WrapReading } from './fit-wrap.js'
import type { Doubt } from './node.js'

/** How the contents of a container stand to each other. */
export type Block =
  | { readonly kind: 'item'; readonly item: Item; readonly box: Box }
  | {
      readonly kind: 'row' | 'column'
      readonly parts: readonly Block[]
      readonly box: Box
      /** Reaches from edge to edge of its container and up to its neighbours: a section of a page. */
      readonly isSection?: boolean
      /** Lines that run along its edges, as its border. */
      readonly edges?: EdgeLines
      readonly doubt?: Doubt
    }
  /** Cells in rows and columns of one width, in reading order. */
  | {
      readonly kind: 'grid'
      readonly parts: readonly Block[]
      readonly box: Box
      readonly grid: GridReading
      /** The same cells as rows, should the grid not hold. */
      readonly rows: readonly Block[]
    }
  /** Things of one kind in lines that break where the width ends, in reading order. */
  | {
      readonly kind: 'wrap'
      readonly parts: readonly Block[]
      readonly box: Box
      readonly wrap: WrapReading
      readonly rows: readonly Block[]
    }
  /** Nothing separates them: they stay where they are. */
  | { readonly kind: 'free'; readonly items: readonly Item[]; readonly box: Box }

/** Everything that stands in a block. */
export const itemsIn = (block: Block): readonly Item[] =>
  block.kind === 'item'
    ? [block.item]
    : block.kind === 'free'
      ? block.items
      : block.parts.flatMap(itemsIn)

/** A drawn line that runs from left to right. */
export const isLevelLine = (part: Block): boolean =>
  part.kind === 'item' && part.item.nest.piece.kind === 'line' && part.box.width > part.box.height
