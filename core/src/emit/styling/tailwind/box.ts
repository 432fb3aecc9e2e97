import { resolveSides, type Corners, type Sides } from '../../../design/geometry.js'
import type { UiBorder, UiStyle } from '../../../ui/nodes.js'
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
      `grid-cols-${arrange.columns}`,
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

const placeClasses = ({ place, width, height, bleedPx }: UiStyle): string[] => {
  switch (place.kind) {
    case 'root':
      return []
    case 'flow':
      return [
        place.columns > 1 ? `col-span-${place.columns}` : '',
        place.rows > 1 ? `row-span-${place.rows}` : '',
        bleedPx > 0 ? signed('m', -bleedPx) : '',
      ]
    case 'absolute': {
      if (width.sizing === 'stretch' && height.sizing === 'stretch') return ['absolute', 'inset-0']
      const { x, y } = place
      const horizontal =
        x.from === 'start'
          ? [signed('left', x.px)]
          : [signed('left', x.px), x.from === 'centre' ? '-translate-x-1/2' : '-translate-x-full']
      return ['absolute', ...horizontal, signed('top', y.px)]
    }
  }
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
    if (width.sizing === 'stretch')
      classes.push(
        ...(isIn('row') ? ['min-w-0', 'flex-1'] : isIn('column') ? ['self-stretch'] : []),
      )
    if (height.sizing === 'stretch')
      classes.push(
        ...(isIn('row') ? ['self-stretch'] : isIn('column') ? ['min-h-0', 'flex-1'] : []),
      )
    if (isIn('grid') && width.sizing === 'fit') classes.push('justify-self-start')
    if ((isIn('row') && width.sizing === 'fixed') || (isIn('column') && height.sizing === 'fixed'))
      classes.push('shrink-0')
  }
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

const fillClasses = (theme: TailwindTheme, style: UiStyle): string[] => {
  const { fills, width, height, tokens } = style
  const box = { width: width.px, height: height.px }
  const [first] = fills
  if (!first) return []
  if (fills.length === 1 && first.kind === 'solid') {
    return [colorClass(theme, 'bg', tokens['fills.0.color'], first.color, first.opacity)]
  }
  // CSS lists the topmost layer first.
  return [
    `bg-[${[...fills]
      .reverse()
      .map((paint) => cssPaint(paint, box))
      .join(',')}]`,
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
  options: { readonly isRelative: boolean; readonly caster: ShadowCaster },
): string[] =>
  [
    options.isRelative && style.place.kind !== 'absolute' ? 'relative' : '',
    ...placeClasses(style),
    ...arrangeClasses(theme, style),
    ...sizeClasses(style),
    ...cornerClasses(theme, style),
    ...borderClasses(theme, style),
    ...fillClasses(theme, style),
    ...effectClasses(theme, style, options.caster),
    ...compositeClasses(style),
  ].filter((name) => name !== '')

export { colorClass }
