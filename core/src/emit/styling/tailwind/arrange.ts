import { resolveSides, type Sides } from '../../../design/geometry.js'
import type { UiBorder, UiStyle } from '../../../ui/nodes.js'
import type { TailwindTheme } from './theme.js'
import { decimal, spacing } from './values.js'

const ITEMS = {
  start: 'items-start',
  centre: 'items-center',
  end: 'items-end',
  stretch: '',
  baseline: 'items-baseline',
} as const
const JUSTIFY = {
  start: '',
  centre: 'justify-center',
  end: 'justify-end',
  between: 'justify-between',
} as const

/** `p-4`, `px-4 py-2`, or one class per side, whichever is shortest. */
const sides = (
  name: string,
  { top, right, bottom, left }: Sides,
  value: (px: number, side: string) => string,
): string[] => {
  const write = (suffix: string, px: number, side: string): string[] =>
    px === 0 ? [] : [`${name}${suffix}-${value(px, side)}`]
  if (top === right && right === bottom && bottom === left) return write('', top, 'all')
  const x =
    left === right
      ? write('x', left, 'x')
      : [...write('l', left, 'left'), ...write('r', right, 'right')]
  const y =
    top === bottom
      ? write('y', top, 'y')
      : [...write('t', top, 'top'), ...write('b', bottom, 'bottom')]
  return [...x, ...y]
}

const lengthToken = (theme: TailwindTheme, style: UiStyle, field: string, px: number): string =>
  theme.find(style.tokens[field], 'space', (value) => value === px) ?? spacing(px)

/** A border takes room inside the box, which stated padding does not know of. */
const paddingInside = (padding: Sides, border: UiBorder | undefined): Sides => {
  if (border?.kind !== 'border') return padding
  const { widths } = border
  return {
    top: Math.max(0, padding.top - widths.top),
    right: Math.max(0, padding.right - widths.right),
    bottom: Math.max(0, padding.bottom - widths.bottom),
    left: Math.max(0, padding.left - widths.left),
  }
}

const gapClasses = (
  theme: TailwindTheme,
  style: UiStyle,
  column: number,
  row: number,
  fields: [string, string],
): string[] => {
  if (column === row)
    return column === 0 ? [] : [`gap-${lengthToken(theme, style, fields[0], column)}`]
  return [
    ...(column === 0 ? [] : [`gap-x-${lengthToken(theme, style, fields[0], column)}`]),
    ...(row === 0 ? [] : [`gap-y-${lengthToken(theme, style, fields[1], row)}`]),
  ]
}

/** Shares of a grid's columns; whole px are shares as good as any. */
const tracks = (shares: readonly number[]): string =>
  shares.map((share) => `minmax(0,${decimal(share)}fr)`).join('_')

/** How a box arranges what is in it: the direction, gaps, padding and alignment. */
export const arrangeClasses = (theme: TailwindTheme, style: UiStyle): string[] => {
  const { arrange } = style
  if (arrange.kind === 'none' || arrange.kind === 'free') return []
  const stated = resolveSides(arrange.padding)
  const inside = paddingInside(stated, style.border)
  const padding = sides('p', inside, (px, side) => {
    const field = side === 'all' ? 'layout.padding' : `layout.padding.${side}`
    return lengthToken(theme, style, field, px)
  })
  if (arrange.kind === 'grid') {
    return [
      'grid',
      arrange.tracks ? `grid-cols-[${tracks(arrange.tracks)}]` : `grid-cols-${arrange.columns}`,
      ...gapClasses(theme, style, arrange.columnGap, arrange.rowGap, [
        'layout.columnGap',
        'layout.rowGap',
      ]),
      ...padding,
      ITEMS[arrange.align],
    ]
  }
  const { gap, lineGap = gap } = arrange
  const isRow = arrange.kind === 'row'
  const [column, row] = isRow
    ? [gap, arrange.wrap ? lineGap : gap]
    : [arrange.wrap ? lineGap : gap, gap]
  return [
    'flex',
    isRow ? '' : 'flex-col',
    arrange.wrap ? 'flex-wrap' : '',
    ...gapClasses(theme, style, column, row, ['layout.gap', 'layout.gap']),
    ...padding,
    ITEMS[arrange.align],
    JUSTIFY[arrange.distribute],
  ]
}
