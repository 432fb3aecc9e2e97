import { hasOneRadius, resolveSides, type Sides } from '../../design/geometry.js'
import type { TextStyle } from '../../design/text.js'
import {
  childrenInLayout,
  type Anchor,
  type UiControl,
  type UiNode,
  type UiStyle,
  type UiText,
} from '../../ui/nodes.js'
import { paddingInside } from '../shared/padding-inside.js'
import { textStyle, weight, type FlutterTheme } from './theme.js'
import {
  alignment,
  border,
  color,
  gradient,
  insets,
  number,
  picture,
  radius,
  shadows,
} from './values.js'

/** What a node is like, by what is said of it: `padding` → `EdgeInsets.all(16)`. What is as usual is not said. */
export type Slots = Readonly<Record<string, string>>

/** What is known of the surroundings of a node. */
export type Surroundings = {
  /** Its own height is known before its content is: what is in it may share it out. */
  readonly isHigh: boolean
  /** There is an end to the room above and below it. */
  readonly isBounded: boolean
  /** There is an end to the room beside it, and to the room in what holds it. */
  readonly hasEnd: boolean
  readonly isHeld: boolean
  /** What holds it has a height of its own. */
  readonly isInHigh: boolean
  /** So far, in px, it begins before its place: what stands before it is pulled back by more than its own size. */
  readonly pulledPx: number
  /** What holds it is a column as wide as its content. */
  readonly isInFit: boolean
  /** Something beside it is pushed to the end: what room is left is between them. */
  readonly isBesidePushed: boolean
}

const NONE: Slots = {}

const MAIN = {
  start: undefined,
  centre: 'MainAxisAlignment.center',
  end: 'MainAxisAlignment.end',
  between: 'MainAxisAlignment.spaceBetween',
} as const
const CROSS = {
  start: 'CrossAxisAlignment.start',
  centre: 'CrossAxisAlignment.center',
  end: 'CrossAxisAlignment.end',
  stretch: 'CrossAxisAlignment.stretch',
  baseline: 'CrossAxisAlignment.baseline',
} as const
const SELF = {
  row: {
    start: 'Alignment.topLeft',
    centre: 'Alignment.centerLeft',
    end: 'Alignment.bottomLeft',
    baseline: 'Alignment.topLeft',
  },
  column: {
    start: 'Alignment.centerLeft',
    centre: 'Alignment.center',
    end: 'Alignment.centerRight',
    baseline: 'Alignment.centerLeft',
  },
} as const

const pick = (slots: Readonly<Record<string, string | undefined>>): Slots =>
  Object.fromEntries(
    Object.entries(slots).filter((one): one is [string, string] => one[1] !== undefined),
  )

/** Margins, with a stroke that reaches over the box taken off on every side: what is less than nothing reaches over others. */
export const marginsOf = ({ place, bleedPx }: UiStyle): Sides | undefined => {
  if (place.kind !== 'flow') return undefined
  const { top, right, bottom, left } = place.margin
  return {
    top: top - bleedPx,
    right: right - bleedPx,
    bottom: bottom - bleedPx,
    left: (place.isPushed ? 0 : left) - bleedPx,
  }
}

/** Margins of what begins before its place in a row or a column. */
const pulled = (
  margins: Sides | undefined,
  parent: 'row' | 'column' | 'grid',
  px: number,
): Sides | undefined => {
  if (!margins || px === 0) return margins
  return parent === 'row'
    ? { ...margins, left: margins.left - px }
    : { ...margins, top: margins.top - px }
}

const eachSide = (sides: Sides, change: (px: number) => number): Sides => ({
  top: change(sides.top),
  right: change(sides.right),
  bottom: change(sides.bottom),
  left: change(sides.left),
})

const anchor = (start: 'left' | 'top', end: 'right' | 'bottom', own: Anchor): Slots => {
  const axis = start === 'left' ? 'x' : 'y'
  switch (own.edge) {
    case 'both':
      return { [start]: number(own.before), [end]: number(own.after) }
    case 'scale':
      return { [`scale-${axis}`]: `${number(own.at)}/${number(own.size)}` }
    case 'end':
      return { [end]: number(own.px) }
    case 'start':
      return own.hold === 'start'
        ? { [start]: number(own.px) }
        : { [`hold-${axis}`]: `${own.hold}/${number(own.px)}` }
    case 'centre':
      return { [`centre-${axis}`]: number(own.px) }
  }
}

/** Whether a box shares out the room of the row it stands in. */
const isGrowing = ({ place, width }: UiStyle): boolean =>
  place.kind === 'flow' && place.parent === 'row' && width.sizing === 'stretch'

/** The height a box is drawn with, or that its width and its proportions give it. */
const heightFor = ({ width, height, ratio }: UiStyle): number =>
  ratio !== undefined && width.sizing === 'fixed' && height.sizing !== 'fixed'
    ? width.px / ratio
    : height.px

/** Where a node stands in its parent, and how much room it takes there. */
const placeSlots = (
  node: UiNode,
  { isHigh, hasEnd, isHeld, isInHigh, isBesidePushed, pulledPx }: Surroundings,
): Slots => {
  const { style } = node
  const { place, width, height, limits, ratio } = style
  const size = pick({
    width: width.sizing === 'fixed' ? number(width.px) : undefined,
    height: height.sizing === 'fixed' || ratio !== undefined ? number(heightFor(style)) : undefined,
    minWidth: limits.minWidth === undefined ? undefined : number(limits.minWidth),
    maxWidth:
      limits.maxWidth === undefined || isGrowing(style) ? undefined : number(limits.maxWidth),
    minHeight: limits.minHeight === undefined ? undefined : number(limits.minHeight),
    maxHeight: limits.maxHeight === undefined ? undefined : number(limits.maxHeight),
    // A width that is known tells the height.
    ratio: ratio === undefined || width.sizing === 'fixed' ? undefined : number(ratio),
  })
  if (place.kind === 'root')
    return { ...size, ...(width.sizing === 'stretch' ? { width: 'double.infinity' } : {}) }
  if (place.kind === 'absolute') {
    const isFilled = width.sizing === 'stretch' && height.sizing === 'stretch'
    return {
      ...size,
      ...(isFilled
        ? { left: '0', top: '0', right: '0', bottom: '0' }
        : { ...anchor('left', 'right', place.x), ...anchor('top', 'bottom', place.y) }),
      ...(place.isUnder ? { under: 'true' } : {}),
      absolute: 'true',
    }
  }
  const across = place.self ?? place.align
  const margins = pulled(marginsOf(style), place.parent, pulledPx)
  const isIn = (parent: 'row' | 'column' | 'grid'): boolean => place.parent === parent
  const grows =
    (isIn('row') && width.sizing === 'stretch' && hasEnd) ||
    (isIn('column') && height.sizing === 'stretch' && isHigh)
  const hasRoom = isIn('row') ? isHeld : isIn('column') && isInHigh
  // What a column stretches has the width of the column whatever its own limit says: it is aligned instead.
  const isStretched =
    !isIn('row') && (isIn('grid') || across === 'stretch') && width.sizing !== 'fixed'
  const upTo = isStretched && hasEnd ? limits.maxWidth : undefined
  // What grows up to a width is so wide where there is room for it, and stands as it would beside others.
  const most = grows && isIn('row') ? limits.maxWidth : undefined
  const isKept = most !== undefined && isBesidePushed
  const limited: Slots =
    most === undefined
      ? {}
      : {
          width: number(most),
          ...(isKept ? {} : { self: SELF.row[across === 'stretch' ? 'start' : across] }),
        }
  const aligned: Slots =
    upTo === undefined
      ? {}
      : {
          ...(width.sizing === 'stretch' ? { width: number(upTo) } : {}),
          self: SELF.column.start,
        }
  const isWords = node.type === 'text' && node.wraps && width.sizing === 'fit'
  const differs =
    place.parent !== 'grid' && place.self !== undefined && place.self !== place.align
      ? place.self
      : undefined
  const fills: Slots =
    hasEnd &&
    width.sizing === 'stretch' &&
    ((isIn('column') && across !== 'stretch') || isIn('grid'))
      ? { width: 'double.infinity' }
      : {}
  const high: Slots =
    isIn('row') && height.sizing === 'stretch' && across !== 'stretch'
      ? { height: 'double.infinity' }
      : {}
  return {
    ...size,
    ...fills,
    ...high,
    ...limited,
    ...aligned,
    ...pick({
      grow: grows && !isKept ? '1' : undefined,
      flexible: isIn('row') && isWords && isHeld ? 'true' : undefined,
      margin: margins && insets(eachSide(margins, (px) => Math.max(0, px))),
      over: margins && insets(eachSide(margins, (px) => Math.max(0, -px))),
      pushed: place.isPushed && hasRoom ? 'true' : undefined,
      self:
        differs !== undefined && differs !== 'stretch' && place.parent !== 'grid'
          ? SELF[place.parent][differs]
          : undefined,
      span: isIn('grid') && place.columns > 1 ? String(place.columns) : undefined,
      ...(differs === 'stretch' && (hasEnd || !isIn('column'))
        ? { [isIn('column') ? 'width' : 'height']: 'double.infinity' }
        : {}),
    }),
  }
}

const colorCode = (
  theme: FlutterTheme,
  token: string | undefined,
  hex: string,
  opacity = 1,
): string =>
  (opacity === 1 ? theme.find(token, 'color', (value) => value === hex) : undefined) ??
  color(hex, opacity)

const isSameShadow =
  (style: UiStyle) =>
  (value: unknown): boolean =>
    JSON.stringify(value) === JSON.stringify(style.effects.filter((e) => e.kind === 'shadow'))

/** What a box looks like: paint, border, corners, shadow, and what is done to the whole. */
const paintSlots = (
  theme: FlutterTheme,
  node: UiNode,
  address: (asset: string) => string,
): Slots => {
  const { style } = node
  const { fills, corners, tokens, effects, opacity, rotationDeg, clip } = style
  const top = fills.at(-1)
  const solid = fills.find((fill) => fill.kind === 'solid')
  const stroke = style.border
  const radiusToken = hasOneRadius(corners)
    ? theme.find(tokens['radius'], 'radius', (value) => value === corners.topLeft)
    : undefined
  const blur = effects.find((effect) => effect.kind === 'blur')
  const backdrop = effects.find((effect) => effect.kind === 'backdrop-blur')
  const strokeColor = stroke && colorCode(theme, tokens['strokes.0.paint.color'], stroke.color)
  return pick({
    color:
      solid?.kind === 'solid'
        ? colorCode(
            theme,
            tokens[`fills.${String(fills.indexOf(solid))}.color`],
            solid.color,
            solid.opacity,
          )
        : undefined,
    gradient: top && gradient(top),
    image: top && picture(top, address),
    border: stroke && border(stroke, strokeColor!),
    radius: radiusToken ?? radius(corners),
    shadow:
      node.type === 'text'
        ? undefined
        : (theme.find(tokens['effects'], 'shadow', isSameShadow(style)) ?? shadows(effects)),
    opacity: opacity === 1 ? undefined : number(opacity),
    rotate:
      rotationDeg === 0
        ? undefined
        : String(Math.round(((rotationDeg * Math.PI) / 180) * 10000) / 10000),
    clip: clip ? 'true' : undefined,
    blur: blur && 'radius' in blur ? number(blur.radius) : undefined,
    backdrop: backdrop && 'radius' in backdrop ? number(backdrop.radius) : undefined,
  })
}

const lengthCode = (theme: FlutterTheme, style: UiStyle, field: string, px: number): string =>
  theme.find(style.tokens[field], 'space', (value) => value === px) ?? number(px)

const paddingOf = (theme: FlutterTheme, style: UiStyle, sides: Sides): string | undefined => {
  const { top, right, bottom, left } = sides
  const isSame = top === right && right === bottom && bottom === left
  const write = (px: number): string => {
    const fields = isSame
      ? ['layout.padding']
      : ['layout.padding.x', 'layout.padding.y', 'layout.padding.left', 'layout.padding.top']
    const found = fields
      .map((field) => theme.find(style.tokens[field], 'space', (value) => value === px))
      .find((code) => code !== undefined)
    return found ?? number(px)
  }
  return insets(sides, write)
}

/** Whether something in a row is as high as the row is, which is as high as its highest. */
export const isAsHighAsRow = ({ style: { place, height } }: UiNode): boolean =>
  place.kind === 'flow' &&
  place.parent === 'row' &&
  (height.sizing === 'stretch' || (place.self ?? place.align) === 'stretch')

/** Whether what holds a box tells it how wide it is. */
const isGivenWidth = ({ place }: UiStyle): boolean =>
  place.kind === 'root' ||
  (place.kind === 'flow' &&
    place.parent !== 'row' &&
    (place.parent === 'grid' || (place.self ?? place.align) === 'stretch'))

/** Whether a box is as wide as its content: nothing around it tells it how wide it is. */
export const isFreeWide = (style: UiStyle, { isInFit }: Pick<Surroundings, 'isInFit'>): boolean =>
  style.limits.maxWidth === undefined &&
  ((style.width.sizing === 'fit' && (isInFit || !isGivenWidth(style))) ||
    (style.width.sizing === 'stretch' && isInFit))

/** Something in a row that stands otherwise than the others do: there must be an end to the height it stands in. */
const standsApart = ({ style: { place } }: UiNode): boolean =>
  place.kind === 'flow' &&
  place.parent === 'row' &&
  place.self !== undefined &&
  place.self !== place.align

/** How columns share out the room: whole numbers, since Flutter's `flex` is one; tenths of a px where some are no whole px. */
const shares = (tracks: readonly number[]): readonly number[] => {
  const scale = tracks.every(Number.isInteger) ? 1 : 10
  return tracks.map((px) => Math.max(1, Math.round(px * scale)))
}

/** How a box arranges what is in it. */
const arrangeSlots = (theme: FlutterTheme, node: UiNode, around: Surroundings): Slots => {
  const { style } = node
  const { arrange, width, height } = style
  const holds = childrenInLayout(node).some((child) => child.style.place.kind === 'absolute')
  if (arrange.kind === 'contents') return { contents: 'true' }
  if (arrange.kind === 'none') return NONE
  if (arrange.kind === 'free') return { free: 'true' }
  const sides = paddingInside(resolveSides(arrange.padding), style.border)
  const common = pick({
    padding: paddingOf(theme, style, sides),
    contentMax: style.contentMax === undefined ? undefined : number(style.contentMax),
    scrolls: style.scrolls ? 'true' : undefined,
  })
  if (arrange.kind === 'grid') {
    return {
      ...common,
      ...pick({
        columns: String(arrange.columns),
        tracks: arrange.tracks && shares(arrange.tracks).join('/'),
        spacing:
          arrange.columnGap === 0
            ? undefined
            : lengthCode(theme, style, 'layout.columnGap', arrange.columnGap),
        runSpacing:
          arrange.rowGap === 0
            ? undefined
            : lengthCode(theme, style, 'layout.rowGap', arrange.rowGap),
        cross: CROSS[arrange.align],
      }),
    }
  }
  const { gap, lineGap = gap, distribute, align, wrap } = arrange
  const isRow = arrange.kind === 'row'
  const isBetween = distribute === 'between'
  const spacing = gap === 0 ? undefined : lengthCode(theme, style, 'layout.gap', gap)
  // What fills a column that is as wide as its content is as wide as its own.
  const isFitWide = width.sizing === 'fit' || (width.sizing === 'stretch' && around.isInFit)
  const fitsMain = isRow
    ? isFitWide && style.place.kind !== 'root'
    : height.sizing === 'fit' && (around.isBounded || holds)
  // A column goes on in the next line only where its height ends.
  if (wrap && (isRow || around.isHigh)) {
    return {
      ...common,
      ...pick({
        wrap: 'true',
        direction: isRow ? 'Axis.horizontal' : 'Axis.vertical',
        spacing,
        runSpacing: lineGap === 0 ? undefined : lengthCode(theme, style, 'layout.gap', lineGap),
        main: MAIN[distribute],
        cross: CROSS[align === 'centre' || align === 'end' ? align : 'start'],
      }),
    }
  }
  // A column that is as wide as its content has no other width to stretch things to.
  const isFree = isFreeWide(style, around)
  const isFit = !isRow && align === 'stretch' && (isFree || !around.hasEnd)
  const isSimple = node.steps !== undefined || childrenInLayout(node).length < 2
  const across = isFit && isSimple ? 'start' : align
  const isKnownHeight = height.sizing === 'fixed' || around.isHigh
  return {
    ...common,
    ...pick({
      direction: isRow ? 'Axis.horizontal' : 'Axis.vertical',
      spacing: isBetween && !spacing ? undefined : spacing,
      // What is a column here and a grid at other widths is a grid of one column.
      runSpacing: isRow ? undefined : spacing,
      main: MAIN[distribute],
      cross: across === 'centre' ? undefined : CROSS[across],
      intrinsicWidth: isFit && !isSimple ? 'true' : undefined,
      baseline: align === 'baseline' ? 'TextBaseline.alphabetic' : undefined,
      size: fitsMain ? 'MainAxisSize.min' : undefined,
      intrinsic:
        isRow &&
        !isKnownHeight &&
        childrenInLayout(node).some((child) => isAsHighAsRow(child) || standsApart(child))
          ? 'true'
          : undefined,
    }),
  }
}

const ALIGN = {
  start: undefined,
  centre: 'TextAlign.center',
  end: 'TextAlign.end',
  justify: 'TextAlign.justify',
} as const

const DECORATION = {
  none: undefined,
  underline: 'TextDecoration.underline',
  'line-through': 'TextDecoration.lineThrough',
} as const

/** How a text is set: by a token where the whole style agrees with it. */
const typeSlots = (theme: FlutterTheme, style: TextStyle, tokens: UiStyle['tokens']): Slots => {
  const { color: hex, decoration, ...type } = style
  const token = theme.find(tokens['style'], 'type', (value) => {
    const own = value as Omit<TextStyle, 'color'>
    return (
      own.size === type.size &&
      own.lineHeight === type.lineHeight &&
      own.letterSpacing === type.letterSpacing &&
      own.weight === type.weight &&
      own.family === type.family
    )
  })
  return pick({
    type: token ?? textStyle({ ...type, decoration }),
    ink: colorCode(theme, tokens['style.color'], hex),
    decoration: DECORATION[decoration],
  })
}

const textSlots = (theme: FlutterTheme, node: UiText): Slots => ({
  ...typeSlots(theme, node.textStyle, node.style.tokens),
  ...pick({
    align: ALIGN[node.align],
    nowrap: node.wraps ? undefined : 'true',
    case: node.textStyle.case === 'as-typed' ? undefined : node.textStyle.case,
    padding: node.style.room && insets(node.style.room),
  }),
})

const controlSlots = (theme: FlutterTheme, node: UiControl): Slots => ({
  ...(node.textStyle ? typeSlots(theme, node.textStyle, node.textTokens) : NONE),
  ...pick({
    hint: node.hintColor && colorCode(theme, node.textTokens['style.color'], node.hintColor),
    padding: insets(node.padding),
  }),
})

/** How a run of letters differs from its text. */
export const runSlots = (theme: FlutterTheme, style: Partial<TextStyle>): Slots =>
  pick({
    'run.family': style.family && `'${style.family.replace(/[^\p{L}\p{N} _.-]/gu, '')}'`,
    'run.size': style.size === undefined ? undefined : number(style.size),
    'run.weight': style.weight === undefined ? undefined : weight(style.weight),
    'run.style':
      style.italic === undefined
        ? undefined
        : style.italic
          ? 'FontStyle.italic'
          : 'FontStyle.normal',
    'run.spacing': style.letterSpacing === undefined ? undefined : number(style.letterSpacing),
    'run.ink': style.color && colorCode(theme, undefined, style.color),
    'run.decoration':
      style.decoration === undefined
        ? undefined
        : (DECORATION[style.decoration] ?? 'TextDecoration.none'),
    case: style.case,
  })

/** Everything that is said of a node at one width; undefined where it is folded away. */
export const slotsOf = (
  theme: FlutterTheme,
  node: UiNode,
  around: Surroundings,
  address: (asset: string) => string,
): Slots => {
  const own = {
    ...placeSlots(node, around),
    ...paintSlots(theme, node, address),
    ...arrangeSlots(theme, node, around),
  }
  switch (node.type) {
    case 'text':
      return { ...own, ...textSlots(theme, node) }
    case 'control':
      return { ...own, ...controlSlots(theme, node) }
    case 'image':
      return {
        ...own,
        fit: `BoxFit.${node.fit}`,
        ...(node.focus ? { focus: alignment(node.focus) } : {}),
      }
    default:
      return own
  }
}
