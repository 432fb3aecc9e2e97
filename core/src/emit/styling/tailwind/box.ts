import type { Corners } from '../../../design/geometry.js'
import type { UiFill, UiStyle } from '../../../ui/nodes.js'
import { arrangeClasses } from './arrange.js'
import { placeClasses, sizeClasses } from './place.js'
import type { TailwindTheme } from './theme.js'
import { cssColor, cssPaint, cssShadow, decimal } from './values.js'

/** A colour under its token's name where it has one. */
export const colorClass = (
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
