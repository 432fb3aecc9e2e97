import type { Corners, Sides } from '../../design/geometry.js'
import { withOpacity } from '../../design/color.js'
import type { Effect, Paint } from '../../design/paint.js'
import type { UiBorder, UiFill } from '../../ui/nodes.js'

/** Up to two decimals, no `-0`: 1.5, 12. */
export const number = (value: number): string => String(Math.round(value * 100) / 100 || 0)

/** `#2c664b` → `Color(0xFF2C664B)`; alpha comes first. */
export const color = (hex: string, opacity = 1): string => {
  const own = withOpacity(hex, opacity)
  const alpha = own.length === 9 ? own.slice(7) : 'ff'
  return `Color(0x${`${alpha}${own.slice(1, 7)}`.toUpperCase()})`
}

export const insets = (
  { top, right, bottom, left }: Sides,
  write: (px: number) => string = number,
): string | undefined => {
  const [t, r, b, l] = [write(top), write(right), write(bottom), write(left)]
  if ([top, right, bottom, left].every((px) => px === 0)) return undefined
  if (t === b && l === r) {
    if (t === l) return `EdgeInsets.all(${t})`
    const sides = [
      ...(left === 0 ? [] : [`horizontal: ${l}`]),
      ...(top === 0 ? [] : [`vertical: ${t}`]),
    ]
    return `EdgeInsets.symmetric(${sides.join(', ')})`
  }
  const sides = (
    [
      ['left', left, l],
      ['top', top, t],
      ['right', right, r],
      ['bottom', bottom, b],
    ] as const
  ).flatMap(([name, px, code]) => (px === 0 ? [] : [`${name}: ${code}`]))
  return `EdgeInsets.only(${sides.join(', ')})`
}

/** Corners of one radius, which is a number in Dart. */
export const evenRadius = (px: string): string => `BorderRadius.all(Radius.circular(${px}))`

export const radius = (corners: Corners): string | undefined => {
  const { topLeft, topRight, bottomRight, bottomLeft } = corners
  if (topLeft + topRight + bottomRight + bottomLeft === 0) return undefined
  if (topLeft === topRight && topRight === bottomRight && bottomRight === bottomLeft) {
    return evenRadius(number(topLeft))
  }
  const each = Object.entries({ topLeft, topRight, bottomRight, bottomLeft })
  return `BorderRadius.only(${each.flatMap(([name, px]) => (px === 0 ? [] : [`${name}: Radius.circular(${number(px)})`])).join(', ')})`
}

/** A dashed line is drawn as a full one: Flutter has none. */
export const border = ({ widths, kind }: UiBorder, code: string): string | undefined => {
  const { top, right, bottom, left } = widths
  const align = kind === 'outline' ? ', strokeAlign: BorderSide.strokeAlignOutside' : ''
  const side = (px: number): string =>
    `BorderSide(color: ${code}${px === 1 ? '' : `, width: ${number(px)}`}${align})`
  if (top === right && right === bottom && bottom === left) {
    const width = top === 1 ? '' : `, width: ${number(top)}`
    return top === 0 ? undefined : `Border.all(color: ${code}${width}${align})`
  }
  const sides = Object.entries({ top, right, bottom, left }).flatMap(([name, px]) =>
    px === 0 ? [] : [`${name}: ${side(px)}`],
  )
  return sides.length === 0 ? undefined : `Border(${sides.join(', ')})`
}

/** The shadows a box casts; CSS counts blur as Flutter does, a shadow inside a box there is none of. */
export const shadows = (effects: readonly Effect[]): string | undefined => {
  const cast = effects.flatMap((effect) => {
    if (effect.kind !== 'shadow' || effect.inset) return []
    const { x, y, blur, spread } = effect
    const parts = [
      `color: ${color(effect.color)}`,
      ...(x === 0 && y === 0 ? [] : [`offset: Offset(${number(x)}, ${number(y)})`]),
      ...(blur === 0 ? [] : [`blurRadius: ${number(blur)}`]),
      ...(spread === 0 ? [] : [`spreadRadius: ${number(spread)}`]),
    ]
    return [`BoxShadow(${parts.join(', ')})`]
  })
  return cast.length === 0 ? undefined : `[${cast.join(', ')}]`
}

/** A place in a box from -1 at its start to 1 at its end. */
export const alignment = ({ x, y }: { readonly x: number; readonly y: number }): string =>
  `Alignment(${number(x * 2 - 1)}, ${number(y * 2 - 1)})`

const stopsOf = ({ stops, opacity }: Extract<Paint, { readonly stops: unknown }>): string =>
  `colors: [${stops.map((stop) => color(stop.color, opacity)).join(', ')}], stops: [${stops
    .map(({ offset }) => number(offset))
    .join(', ')}]`

const FITS = {
  cover: 'BoxFit.cover',
  contain: 'BoxFit.contain',
  fill: 'BoxFit.fill',
  tile: 'BoxFit.none',
} as const

export const gradient = (paint: UiFill): string | undefined => {
  switch (paint.kind) {
    case 'linear':
      return `LinearGradient(begin: ${alignment(paint.from)}, end: ${alignment(paint.to)}, ${stopsOf(paint)})`
    case 'radial':
      return `RadialGradient(center: ${alignment(paint.centre)}, radius: ${number(Math.min(paint.radius.x, paint.radius.y))}, ${stopsOf(paint)})`
    case 'angular': {
      const turn = ((paint.angleDeg - 90) * Math.PI) / 180
      return `SweepGradient(center: ${alignment(paint.centre)}, ${stopsOf(paint)}, transform: GradientRotation(${number(turn)}))`
    }
    default:
      return undefined
  }
}

export const picture = (fill: UiFill, address: (asset: string) => string): string | undefined => {
  if (fill.kind !== 'picture') return undefined
  const repeat = fill.fit === 'tile' ? ', repeat: ImageRepeat.repeat' : ''
  const place = fill.focus ? `, alignment: ${alignment(fill.focus)}` : ''
  return `DecorationImage(image: AssetImage('${address(fill.asset)}'), fit: ${FITS[fill.fit]}${place}${repeat})`
}
