import { resolveSides, type Corners, type Sides } from '../../../design/geometry.js'
import type { Anchor, UiBorder, UiFill, UiPlace, UiStyle } from '../../../ui/nodes.js'
import type { TailwindTheme } from './theme.js'
import { cssColor, cssPaint, cssShadow, decimal, signed, spacing } from './values.js'

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

const arrangeClasses = (theme: TailwindTheme, style: UiStyle): string[] => {
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

const SELF = {
  start: 'self-start',
  centre: 'self-center',
  end: 'self-end',
  stretch: 'self-stretch',
  baseline: 'self-baseline',
} as const

type FlowPlace = Extract<UiPlace, { kind: 'flow' }>

/** Margins, with a stroke that reaches over the box taken off on every side. */
const marginClasses = ({ margin, isPushed }: FlowPlace, bleedPx: number): string[] => {
  const { top, right, bottom, left } = margin
  const [t, r, b, l] = [top - bleedPx, right - bleedPx, bottom - bleedPx, left - bleedPx]
  const one = (name: string, px: number): string => (px === 0 ? '' : signed(name, px))
  if (t === r && r === b && b === l && !isPushed) return [one('m', t)]
  const x = isPushed
    ? ['ml-auto', one('mr', r)]
    : l === r
      ? [one('mx', l)]
      : [one('ml', l), one('mr', r)]
  const y = t === b ? [one('my', t)] : [one('mt', t), one('mb', b)]
  return [...x, ...y]
}

const SIDE_NAMES = { x: ['left', 'right'], y: ['top', 'bottom'] } as const

/** Classes that hold a node along one axis: at an edge of its parent, or at the middle. */
const anchorClasses = (axis: 'x' | 'y', { edge, px, hold }: Anchor): string[] => {
  const [start, end] = SIDE_NAMES[axis]
  if (edge === 'end') return [signed(end, px)]
  const shift = { start: '', centre: `-translate-${axis}-1/2`, end: `-translate-${axis}-full` }
  if (edge === 'start') return [signed(start, px), shift[hold]]
  return [px === 0 ? `${start}-1/2` : `${start}-[calc(50%+${decimal(px)}px)]`, shift.centre]
}

const placeClasses = ({ place, width, height, bleedPx }: UiStyle): string[] => {
  switch (place.kind) {
    case 'root':
      return []
    case 'flow':
      return [
        place.columns > 1 ? `col-span-${place.columns}` : '',
        place.rows > 1 ? `row-span-${place.rows}` : '',
        ...marginClasses(place, bleedPx),
        place.self ? SELF[place.self] : '',
      ]
    case 'absolute': {
      const under = place.isUnder ? '-z-10' : ''
      if (width.sizing === 'stretch' && height.sizing === 'stretch') {
        return ['absolute', 'inset-0', under]
      }
      return ['absolute', ...anchorClasses('x', place.x), ...anchorClasses('y', place.y), under]
    }
  }
}

/** A child that takes the width its parent offers needs to say so only where that is not what happens anyway. */
const stretchClasses = (
  place: FlowPlace,
  width: UiStyle['width'],
  height: UiStyle['height'],
  limits: UiStyle['limits'],
): string[] => {
  const across = place.self ?? place.align
  const classes: string[] = []
  if (width.sizing === 'stretch') {
    if (place.parent === 'row') classes.push('min-w-0', 'flex-1')
    if (place.parent === 'column' && across !== 'stretch') {
      classes.push(limits.maxWidth === undefined && !place.self ? 'self-stretch' : 'w-full')
    }
  }
  if (height.sizing === 'stretch') {
    if (place.parent === 'column') classes.push('min-h-0', 'flex-1')
    if (place.parent === 'row' && across !== 'stretch') classes.push('self-stretch')
  }
  return classes
}

const sizeClasses = (style: UiStyle): string[] => {
  const { place, width, height } = style
  const isIn = (parent: string): boolean => place.kind === 'flow' && place.parent === parent
  const bothFixed = width.sizing === 'fixed' && height.sizing === 'fixed'
  const classes: string[] = []
  if (bothFixed && width.px === height.px) classes.push(`size-${spacing(width.px)}`)
  else {
    if (width.sizing === 'fixed') classes.push(`w-${spacing(width.px)}`)
    if (height.sizing === 'fixed') classes.push(`h-${spacing(height.px)}`)
  }
  if (place.kind === 'root') {
    if (width.sizing === 'stretch') classes.push('w-full')
    if (width.sizing === 'fit') classes.push('w-fit')
    if (height.sizing === 'stretch') classes.push('min-h-screen')
  } else if (place.kind === 'absolute') {
    if (width.sizing === 'stretch' && height.sizing === 'stretch') classes.push('size-full')
    else if (width.sizing === 'stretch') classes.push('w-full')
    else if (height.sizing === 'stretch') classes.push('h-full')
  } else {
    classes.push(...stretchClasses(place, width, height, style.limits))
    if (isIn('grid') && width.sizing === 'fit') classes.push('justify-self-start')
    if ((isIn('row') && width.sizing === 'fixed') || (isIn('column') && height.sizing === 'fixed'))
      classes.push('shrink-0')
  }
  if (style.ratio !== undefined) classes.push(`aspect-[${decimal(style.ratio * 1000)}/1000]`)
  const { minWidth, maxWidth, minHeight, maxHeight } = style.limits
  if (minWidth !== undefined) classes.push(`min-w-${spacing(minWidth)}`)
  if (maxWidth !== undefined) classes.push(`max-w-${spacing(maxWidth)}`)
  if (minHeight !== undefined) classes.push(`min-h-${spacing(minHeight)}`)
  if (maxHeight !== undefined) classes.push(`max-h-${spacing(maxHeight)}`)
  return classes
}

const colorClass = (
  theme: TailwindTheme,
  prefix: string,
  token: string | undefined,
  color: string,
  opacity = 1,
): string => {
  const slug = opacity === 1 ? theme.find(token, 'color', (value) => value === color) : undefined
  return `${prefix}-${slug ?? `[${cssColor(color, opacity)}]`}`
}

const PICTURE_FIT = {
  cover: ['bg-cover', 'bg-center'],
  contain: ['bg-contain', 'bg-center', 'bg-no-repeat'],
  fill: ['bg-[length:100%_100%]'],
} as const

const pictureClasses = ({ fit, tile }: Extract<UiFill, { kind: 'picture' }>): readonly string[] => {
  if (fit !== 'tile') return PICTURE_FIT[fit]
  if (!tile) return []
  const { x, y, width, height } = tile
  const place = x === 0 && y === 0 ? [] : [`bg-[position:${decimal(x)}px_${decimal(y)}px]`]
  return [`bg-[length:${decimal(width)}px_${decimal(height)}px]`, ...place]
}

const fillClasses = (
  theme: TailwindTheme,
  style: UiStyle,
  address: (asset: string) => string,
): string[] => {
  const { fills, width, height, tokens } = style
  const box = { width: width.px, height: height.px }
  const [first] = fills
  if (!first) return []
  if (fills.length === 1 && first.kind === 'solid') {
    return [colorClass(theme, 'bg', tokens['fills.0.color'], first.color, first.opacity)]
  }
  const picture = fills.find((fill) => fill.kind === 'picture')
  // CSS lists the topmost layer first.
  return [
    `bg-[${[...fills]
      .reverse()
      .map((paint) => cssPaint(paint, box, address))
      .join(',')}]`,
    ...(picture ? pictureClasses(picture) : []),
  ]
}

const widthSuffix = (px: number): string =>
  px === 1 ? '' : Number.isInteger(px) ? `-${px}` : `-[${decimal(px)}px]`

const borderClasses = (theme: TailwindTheme, style: UiStyle): string[] => {
  const { border } = style
  if (!border) return []
  const { top, right, bottom, left } = border.widths
  const color = (prefix: string): string =>
    colorClass(theme, prefix, style.tokens['strokes.0.paint.color'], border.color)
  if (border.kind === 'outline') {
    const offset = border.offsetPx
    return [
      border.dashed ? 'outline-dashed' : '',
      `outline${widthSuffix(top)}`,
      offset === 0
        ? ''
        : Number.isInteger(offset)
          ? signedInteger('outline-offset', offset)
          : `outline-offset-[${decimal(offset)}px]`,
      color('outline'),
    ]
  }
  const isUniform = top === right && right === bottom && bottom === left
  const widths = isUniform
    ? [`border${widthSuffix(top)}`]
    : (
        [
          ['t', top],
          ['r', right],
          ['b', bottom],
          ['l', left],
        ] as const
      ).flatMap(([side, px]) => (px > 0 ? [`border-${side}${widthSuffix(px)}`] : []))
  return [...widths, border.dashed ? 'border-dashed' : '', color('border')]
}

const signedInteger = (name: string, value: number): string =>
  value < 0 ? `-${name}-${-value}` : `${name}-${value}`

const RADII: Readonly<Record<number, string>> = {
  2: '-xs',
  4: '-sm',
  6: '-md',
  8: '-lg',
  12: '-xl',
  16: '-2xl',
  24: '-3xl',
  32: '-4xl',
}

const radiusSuffix = (px: number, smallest: number): string =>
  px >= smallest / 2 && px > 0 ? '-full' : (RADII[px] ?? `-[${decimal(px)}px]`)

const cornerClasses = (theme: TailwindTheme, style: UiStyle): string[] => {
  const { corners, width, height } = style
  const { topLeft, topRight, bottomRight, bottomLeft } = corners
  // Only a box of known size can be called fully round; one that grows keeps its radius.
  const smallest = Math.min(width.px || Infinity, height.px || Infinity)
  const isUniform = topLeft === topRight && topRight === bottomRight && bottomRight === bottomLeft
  if (isUniform) {
    if (topLeft === 0) return []
    const slug = theme.find(style.tokens['radius'], 'radius', (value) => value === topLeft)
    return [slug ? `rounded-${slug}` : `rounded${radiusSuffix(topLeft, smallest)}`]
  }
  const each: [string, keyof Corners][] = [
    ['tl', 'topLeft'],
    ['tr', 'topRight'],
    ['br', 'bottomRight'],
    ['bl', 'bottomLeft'],
  ]
  return each.flatMap(([name, corner]) =>
    corners[corner] > 0 ? [`rounded-${name}${radiusSuffix(corners[corner], Infinity)}`] : [],
  )
}

/** What casts the shadow: the box itself, letters, or whatever is drawn. */
export type ShadowCaster = 'box' | 'text' | 'drawing'

const isSameShadow =
  (style: UiStyle) =>
  (value: unknown): boolean =>
    JSON.stringify(value) === JSON.stringify(style.effects.filter((e) => e.kind === 'shadow'))

const effectClasses = (theme: TailwindTheme, style: UiStyle, caster: ShadowCaster): string[] => {
  const shadows = style.effects.filter((e) => e.kind === 'shadow')
  const slug =
    caster === 'box'
      ? theme.find(style.tokens['effects'], 'shadow', isSameShadow(style))
      : undefined
  const prefix = { box: 'shadow', text: 'text-shadow', drawing: 'drop-shadow' }[caster]
  const written = shadows.map((shadow) => cssShadow(shadow, caster === 'box'))
  const shadow = slug
    ? [`shadow-${slug}`]
    : written.length === 0
      ? []
      : caster === 'drawing' && written.length > 1
        ? [`filter-[${written.map((w) => `drop-shadow(${w})`).join('_')}]`]
        : [`${prefix}-[${written.join(',')}]`]
  const blurs = style.effects.flatMap((effect) => {
    if (effect.kind === 'blur') return [`blur-[${decimal(effect.radius)}px]`]
    if (effect.kind === 'backdrop-blur') return [`backdrop-blur-[${decimal(effect.radius)}px]`]
    return []
  })
  return [...shadow, ...blurs]
}

const compositeClasses = ({ opacity, blend, rotationDeg, clip }: UiStyle): string[] => {
  const share = opacity * 100
  const turn = decimal(Math.abs(rotationDeg))
  return [
    opacity === 1
      ? ''
      : Number.isInteger(share)
        ? `opacity-${share}`
        : `opacity-[${decimal(opacity)}]`,
    blend === 'normal' ? '' : `mix-blend-${blend}`,
    rotationDeg === 0
      ? ''
      : Number.isInteger(rotationDeg)
        ? `${rotationDeg < 0 ? '-' : ''}rotate-${turn}`
        : `rotate-[${decimal(rotationDeg)}deg]`,
    clip ? 'overflow-hidden' : '',
  ]
}

/** The classes of a box, in the order: place, size, arrangement, paint, effects. */
export const boxClasses = (
  theme: TailwindTheme,
  style: UiStyle,
  options: {
    readonly isRelative: boolean
    /** Something is painted under its content, but not under itself. */
    readonly isIsolated: boolean
    readonly caster: ShadowCaster
    readonly address: (asset: string) => string
  },
): string[] =>
  [
    options.isRelative && style.place.kind !== 'absolute' ? 'relative' : '',
    options.isIsolated ? 'isolate' : '',
    ...placeClasses(style),
    ...arrangeClasses(theme, style),
    ...sizeClasses(style),
    ...cornerClasses(theme, style),
    ...borderClasses(theme, style),
    ...fillClasses(theme, style, options.address),
    ...effectClasses(theme, style, options.caster),
    ...compositeClasses(style),
  ].filter((name) => name !== '')

export { colorClass }
