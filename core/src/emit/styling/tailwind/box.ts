import { hasOneRadius } from '../../../design/geometry.js'
import type { Focus } from '../../../design/paint.js'
import type { UiFill, UiStyle } from '../../../ui/nodes.js'
import { arrangeSlots } from './arrange.js'
import { placeSlots, sizeSlots } from './place.js'
import { nameClass, valueSlot, type Slot } from './slots.js'
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

/** A part of a picture as `object-position` and `background-position` say it. */
export const focusPercent = ({ x, y }: Focus): string =>
  [x, y].map((share) => `${decimal(share * 100)}%`).join('_')

const PICTURE_SIZE = {
  cover: 'bg-cover',
  contain: 'bg-contain',
  fill: 'bg-[length:100%_100%]',
} as const

/** How a picture behind the content is fitted: size, place, whether it repeats. */
const pictureSlots = ({ fit, tile, focus }: Extract<UiFill, { kind: 'picture' }>): Slot[] => {
  if (fit !== 'tile') {
    const place = fit === 'cover' && focus ? `bg-[position:${focusPercent(focus)}]` : 'bg-center'
    return [
      { slot: 'bg-size', token: PICTURE_SIZE[fit] },
      { slot: 'bg-position', token: fit === 'fill' ? 'bg-[position:0_0]' : place },
      { slot: 'bg-repeat', token: fit === 'contain' ? 'bg-no-repeat' : 'bg-repeat' },
    ]
  }
  if (!tile) return []
  const { x, y, width, height } = tile
  return [
    { slot: 'bg-size', token: `bg-[length:${decimal(width)}px_${decimal(height)}px]` },
    {
      slot: 'bg-position',
      token: `bg-[position:${decimal(x)}${x === 0 ? '' : 'px'}_${decimal(y)}${y === 0 ? '' : 'px'}]`,
    },
  ]
}

const fillSlots = (
  theme: TailwindTheme,
  style: UiStyle,
  address: (asset: string) => string,
): Slot[] => {
  const { fills, width, height, tokens } = style
  const box = { width: width.px, height: height.px }
  const [first] = fills
  const color = (token: string): Slot => ({ slot: 'bg-color', token })
  const image = (token: string): Slot => ({ slot: 'bg-image', token })
  if (!first) {
    const { folds } = style
    return [color(folds ? `bg-[${cssColor(folds.color)}]` : 'bg-transparent'), image('bg-none')]
  }
  if (fills.length === 1 && first.kind === 'solid') {
    return [
      color(colorClass(theme, 'bg', tokens['fills.0.color'], first.color, first.opacity)),
      image('bg-none'),
    ]
  }
  const picture = fills.find((fill) => fill.kind === 'picture')
  // CSS lists the topmost layer first.
  const list = [...fills].reverse().map((paint) => cssPaint(paint, box, address))
  return [
    color('bg-transparent'),
    image(`bg-[${list.join(',')}]`),
    ...(picture ? pictureSlots(picture) : []),
  ]
}

const widthValue = (px: number): string =>
  px === 1 ? '' : Number.isInteger(px) ? String(px) : `[${decimal(px)}px]`

const SIDE_LETTERS = [
  ['t', 'top'],
  ['r', 'right'],
  ['b', 'bottom'],
  ['l', 'left'],
] as const

const NO_SIDES = SIDE_LETTERS.map(([side]) => valueSlot(`border-${side}`, '0'))
const NO_OUTLINE: Slot = { slot: 'outline-width', token: 'outline-0' }
const NO_BORDER = [...NO_SIDES, NO_OUTLINE]

const borderSlots = (theme: TailwindTheme, style: UiStyle): readonly Slot[] => {
  const { border } = style
  if (!border) return NO_BORDER
  const color = (prefix: string): string =>
    colorClass(theme, prefix, style.tokens['strokes.0.paint.color'], border.color)
  if (border.kind === 'outline') {
    const offset = border.offsetPx
    return [
      ...NO_SIDES,
      { slot: 'outline-style', token: border.dashed ? 'outline-dashed' : 'outline-solid' },
      {
        slot: 'outline-width',
        token: nameClass('outline', widthValue(border.widths.top)),
      },
      {
        slot: 'outline-offset',
        token:
          offset === 0
            ? ''
            : Number.isInteger(offset)
              ? nameClass('outline-offset', String(offset))
              : `outline-offset-[${decimal(offset)}px]`,
      },
      { slot: 'outline-color', token: color('outline') },
    ]
  }
  return [
    ...SIDE_LETTERS.map(([side, name], i) =>
      border.widths[name] > 0
        ? valueSlot(`border-${side}`, widthValue(border.widths[name]))
        : NO_SIDES[i]!,
    ),
    NO_OUTLINE,
    { slot: 'border-style', token: border.dashed ? 'border-dashed' : 'border-solid' },
    { slot: 'border-color', token: color('border') },
  ]
}

const RADII: Readonly<Record<number, string>> = {
  0: 'none',
  2: 'xs',
  4: 'sm',
  6: 'md',
  8: 'lg',
  12: 'xl',
  16: '2xl',
  24: '3xl',
  32: '4xl',
}

const radiusValue = (px: number, smallest: number): string =>
  px >= smallest / 2 && px > 0 ? 'full' : (RADII[px] ?? `[${decimal(px)}px]`)

const CORNERS = [
  ['rounded-tl', 'topLeft'],
  ['rounded-tr', 'topRight'],
  ['rounded-br', 'bottomRight'],
  ['rounded-bl', 'bottomLeft'],
] as const

const cornerSlots = (theme: TailwindTheme, style: UiStyle): Slot[] => {
  const { corners, width, height } = style
  const { topLeft } = corners
  // Only a box of known size can be called fully round; one that grows keeps its radius.
  const smallest = Math.min(width.px || Infinity, height.px || Infinity)
  const isOne = hasOneRadius(corners)
  const token = style.tokens['radius']
  const onScale = !radiusValue(topLeft, smallest).startsWith('[')
  const slug =
    isOne && topLeft > 0 && (token !== undefined || !onScale)
      ? theme.find(token, 'radius', (value) => value === topLeft)
      : undefined
  return CORNERS.map(([slot, corner]) =>
    valueSlot(slot, slug ?? radiusValue(corners[corner], isOne ? smallest : Infinity)),
  )
}

/** What casts the shadow: the box itself, letters, or whatever is drawn. */
export type ShadowCaster = 'box' | 'text' | 'drawing'

/** What sets the shadow of each, and the class that says that there is none. */
const SHADOWS: Readonly<Record<ShadowCaster, { readonly prefix: string; readonly none: Slot }>> = {
  box: { prefix: 'shadow', none: { slot: 'shadow', token: 'shadow-none' } },
  text: { prefix: 'text-shadow', none: { slot: 'text-shadow', token: 'text-shadow-none' } },
  drawing: { prefix: 'drop-shadow', none: { slot: 'filter', token: 'filter-none' } },
}

const shadowSlot = (theme: TailwindTheme, style: UiStyle, caster: ShadowCaster): Slot => {
  const shadows = style.effects.filter((e) => e.kind === 'shadow')
  const isSame = (value: unknown): boolean => JSON.stringify(value) === JSON.stringify(shadows)
  const slug = caster === 'box' ? theme.find(style.tokens['effects'], 'shadow', isSame) : undefined
  const { prefix, none } = SHADOWS[caster]
  const { slot } = none
  if (slug) return { slot, token: `shadow-${slug}` }
  const written = shadows.map((shadow) => cssShadow(shadow, caster === 'box'))
  if (written.length === 0) return none
  return caster === 'drawing' && written.length > 1
    ? { slot, token: `filter-[${written.map((w) => `drop-shadow(${w})`).join('_')}]` }
    : { slot, token: `${prefix}-[${written.join(',')}]` }
}

const effectSlots = (theme: TailwindTheme, style: UiStyle, caster: ShadowCaster): Slot[] => {
  const radiusOf = (kind: 'blur' | 'backdrop-blur'): string => {
    const effect = style.effects.find((e) => e.kind === kind)
    return effect && 'radius' in effect ? `[${decimal(effect.radius)}px]` : 'none'
  }
  return [
    shadowSlot(theme, style, caster),
    { slot: 'blur', token: `blur-${radiusOf('blur')}` },
    { slot: 'backdrop-blur', token: `backdrop-blur-${radiusOf('backdrop-blur')}` },
  ]
}

const overflowOf = ({ clip, scrolls, folds }: UiStyle): string => {
  if (folds) return 'overflow-y-auto'
  if (scrolls) return 'overflow-x-auto'
  return clip ? 'overflow-hidden' : 'overflow-visible'
}

const compositeSlots = (style: UiStyle): Slot[] => {
  const { opacity, blend, rotationDeg } = style
  const share = opacity * 100
  const turn = decimal(Math.abs(rotationDeg))
  return [
    {
      slot: 'opacity',
      token: Number.isInteger(share) ? `opacity-${share}` : `opacity-[${decimal(opacity)}]`,
    },
    { slot: 'blend', token: `mix-blend-${blend}` },
    {
      slot: 'rotate',
      token: Number.isInteger(rotationDeg)
        ? `${rotationDeg < 0 ? '-' : ''}rotate-${turn}`
        : `rotate-[${decimal(rotationDeg)}deg]`,
    },
    { slot: 'overflow', token: overflowOf(style) },
  ]
}

export type BoxOptions = {
  /** Something in it is placed by its edges. */
  readonly isHeld: boolean
  /** Something is painted under its content, but not under itself. */
  readonly isIsolated: boolean
  readonly caster: ShadowCaster
  readonly address: (asset: string) => string
}

/** What a box says of itself, in the order: place, arrangement, size, paint, effects. */
export const boxSlots = (theme: TailwindTheme, style: UiStyle, options: BoxOptions): Slot[] => {
  const isHeld = options.isHeld && style.place.kind !== 'absolute'
  const arrange = arrangeSlots(theme, style)
  if (style.arrange.kind === 'contents') return arrange
  const shown: Slot[] = style.folds
    ? [
        { slot: 'display', token: 'hidden' },
        { slot: 'open', token: `open:${arrange[0]!.token || 'block'}` },
        ...arrange.slice(1),
      ]
    : arrange
  return [
    ...placeSlots(style, isHeld),
    { slot: 'isolate', token: options.isIsolated ? 'isolate' : 'isolation-auto' },
    ...shown,
    ...sizeSlots(style),
    ...cornerSlots(theme, style),
    ...borderSlots(theme, style),
    ...fillSlots(theme, style, options.address),
    ...effectSlots(theme, style, options.caster),
    ...compositeSlots(style),
  ]
}
