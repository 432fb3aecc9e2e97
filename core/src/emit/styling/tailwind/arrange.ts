import { resolveSides, type Sides } from '../../../design/geometry.js'
import { paddingInside } from '../../shared/padding-inside.js'
import type { UiStyle } from '../../../ui/nodes.js'
import { valueSlot, type Slot } from './slots.js'
import type { TailwindTheme } from './theme.js'
import { decimal, spacing } from './values.js'

const ITEMS = {
  start: 'items-start',
  centre: 'items-center',
  end: 'items-end',
  stretch: 'items-stretch',
  baseline: 'items-baseline',
} as const
const JUSTIFY = {
  start: 'justify-start',
  centre: 'justify-center',
  end: 'justify-end',
  between: 'justify-between',
} as const

const lengthToken = (theme: TailwindTheme, style: UiStyle, field: string, px: number): string =>
  theme.find(style.tokens[field], 'space', (value) => value === px) ?? spacing(px)

const isUniform = ({ top, right, bottom, left }: Sides): boolean =>
  top === right && right === bottom && bottom === left

/** Padding that keeps the content to a width in the middle, and is never less than `px`. */
const heldPadding = (px: number, contentMax: number): string =>
  `[max(${decimal(px)}px,calc((100%-${decimal(contentMax)}px)/2))]`

const paddingSlots = (theme: TailwindTheme, style: UiStyle, padding: Sides): Slot[] => {
  const token = (px: number, side: string): string => {
    const sides = side === 'left' || side === 'right' ? 'x' : 'y'
    const [a, b] = sides === 'x' ? [padding.left, padding.right] : [padding.top, padding.bottom]
    if (sides === 'x' && style.contentMax !== undefined && a === b)
      return heldPadding(px, style.contentMax)
    const field = isUniform(padding) ? 'layout.padding' : `layout.padding.${a === b ? sides : side}`
    return lengthToken(theme, style, field, px)
  }
  return [
    valueSlot('pl', token(padding.left, 'left')),
    valueSlot('pr', token(padding.right, 'right')),
    valueSlot('pt', token(padding.top, 'top')),
    valueSlot('pb', token(padding.bottom, 'bottom')),
  ]
}

/** Shares of a grid's columns; whole px are shares as good as any. */
const tracks = (shares: readonly number[]): string =>
  shares.map((share) => `minmax(0,${decimal(share)}fr)`).join('_')

/** How a box arranges what is in it: the direction, gaps, padding and alignment. */
export const arrangeSlots = (theme: TailwindTheme, style: UiStyle): Slot[] => {
  const { arrange } = style
  if (arrange.kind === 'contents') return [{ slot: 'display', token: 'contents' }]
  if (arrange.kind === 'none' || arrange.kind === 'free') return [{ slot: 'display', token: '' }]
  const inside = paddingInside(resolveSides(arrange.padding), style.border)
  const padding = paddingSlots(theme, style, inside)
  const gaps = (column: number, row: number, fields: readonly [string, string]): Slot[] => [
    valueSlot('gap-x', lengthToken(theme, style, fields[0], column)),
    valueSlot('gap-y', lengthToken(theme, style, column === row ? fields[0] : fields[1], row)),
  ]
  if (arrange.kind === 'grid') {
    return [
      { slot: 'display', token: 'grid' },
      {
        slot: 'grid-cols',
        token: arrange.tracks
          ? `grid-cols-[${tracks(arrange.tracks)}]`
          : `grid-cols-${arrange.columns}`,
      },
      ...gaps(arrange.columnGap, arrange.rowGap, ['layout.columnGap', 'layout.rowGap']),
      ...padding,
      { slot: 'items', token: ITEMS[arrange.align] },
    ]
  }
  const { gap, lineGap = gap } = arrange
  const isRow = arrange.kind === 'row'
  const [column, row] = isRow
    ? [gap, arrange.wrap ? lineGap : gap]
    : [arrange.wrap ? lineGap : gap, gap]
  return [
    { slot: 'display', token: 'flex' },
    { slot: 'direction', token: isRow ? 'flex-row' : 'flex-col' },
    { slot: 'flex-wrap', token: arrange.wrap ? 'flex-wrap' : 'flex-nowrap' },
    ...gaps(column, row, ['layout.gap', 'layout.gap']),
    ...padding,
    { slot: 'items', token: ITEMS[arrange.align] },
    { slot: 'justify', token: JUSTIFY[arrange.distribute] },
  ]
}
