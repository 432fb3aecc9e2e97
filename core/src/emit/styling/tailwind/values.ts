import { withOpacity } from '../../../design/color.js'
import type { Effect, Paint } from '../../../design/paint.js'
import type { UiFill } from '../../../ui/nodes.js'
import type { Box } from '../../../design/geometry.js'

/** Up to two decimals, no `-0`: 1.5, 12. */
export const decimal = (value: number): string => String(Math.round(value * 100) / 100 || 0)

// The scale counts in quarters of a rem, 4 px, and has every quarter of a step.
const SCALE_PX = 4

const round = (px: number): number => Math.round(px * 100) / 100

/**
 * A length as a step of the spacing scale where there is one: 16 → `4`, 13 → `3.25`, 1 → `px`, 10.5 → `[10.5px]`.
 * Gaps, padding and sizes are never negative: what lies below nothing by a rounding is nothing, as a declaration with it would be dropped.
 */
export const spacing = (length: number): string => {
  const px = Math.max(0, round(length))
  if (px === 1) return 'px'
  return Number.isInteger(px) ? String(px / SCALE_PX) : `[${decimal(px)}px]`
}

/** A length that may be negative: -12 → `-3`, -10.5 → `-[10.5px]`. */
export const signedSpacing = (px: number): string =>
  round(px) < 0 ? `-${spacing(-px)}` : spacing(px)

/** `#112233` → `#123` */
export const shorten = (color: string): string =>
  /^#(..)(..)(..)$/.test(color) &&
  color[1] === color[2] &&
  color[3] === color[4] &&
  color[5] === color[6]
    ? `#${color[1]}${color[3]}${color[5]}`
    : color

/** A colour with an extra opacity, as CSS writes it. */
export const cssColor = (color: string, opacity = 1): string => shorten(withOpacity(color, opacity))

const percent = (share: number): string => `${decimal(share * 100)}%`

/**
 * A gradient from one point to another as CSS's angle and stops. CSS measures stops along a line
 * through the centre whose ends are where perpendiculars touch the corners (CSS Images 3, 3.1).
 */
const linearGradient = (
  paint: Extract<Paint, { kind: 'linear' }>,
  { width, height }: Pick<Box, 'width' | 'height'>,
): string => {
  const from = { x: paint.from.x * width, y: paint.from.y * height }
  const to = { x: paint.to.x * width, y: paint.to.y * height }
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const length = Math.hypot(dx, dy)
  const last = paint.stops.at(-1)!
  if (length === 0)
    return `linear-gradient(${cssColor(last.color, paint.opacity)},${cssColor(last.color, paint.opacity)})`
  const [ux, uy] = [dx / length, dy / length]
  const cssLength = Math.abs(width * ux) + Math.abs(height * uy)
  const start = (from.x - width / 2) * ux + (from.y - height / 2) * uy + cssLength / 2
  const angle = ((Math.atan2(dx, -dy) * 180) / Math.PI + 360) % 360
  const stops = paint.stops.map(
    ({ offset, color }) =>
      `${cssColor(color, paint.opacity)}_${percent((start + offset * length) / (cssLength || 1))}`,
  )
  return `linear-gradient(${decimal(angle)}deg,${stops.join(',')})`
}

/** A paint as a CSS background layer, with underscores for spaces as class names need them. */
export const cssPaint = (
  paint: UiFill,
  box: Pick<Box, 'width' | 'height'>,
  address: (asset: string) => string,
): string => {
  switch (paint.kind) {
    case 'solid': {
      const color = cssColor(paint.color, paint.opacity)
      return `linear-gradient(${color},${color})`
    }
    case 'linear':
      return linearGradient(paint, box)
    case 'radial': {
      const stops = paint.stops.map(
        (s) => `${cssColor(s.color, paint.opacity)}_${percent(s.offset)}`,
      )
      const { centre, radius } = paint
      return `radial-gradient(${percent(radius.x)}_${percent(radius.y)}_at_${percent(centre.x)}_${percent(centre.y)},${stops.join(',')})`
    }
    case 'angular': {
      const stops = paint.stops.map(
        (s) => `${cssColor(s.color, paint.opacity)}_${percent(s.offset)}`,
      )
      return `conic-gradient(from_${decimal(paint.angleDeg)}deg_at_${percent(paint.centre.x)}_${percent(paint.centre.y)},${stops.join(',')})`
    }
    case 'picture':
      return `url(${address(paint.asset)})`
  }
}

type Shadow = Extract<Effect, { kind: 'shadow' }>

const px = (value: number): string => (value === 0 ? '0' : `${decimal(value)}px`)

/** `0_1px_2px_#0000000d`, for `box-shadow` (with spread and inset) or for shadows of text and drawings. */
export const cssShadow = (shadow: Shadow, isBox: boolean): string => {
  const { x, y, blur, spread, color, inset } = shadow
  const parts = [
    px(x),
    px(y),
    px(blur),
    ...(isBox && spread !== 0 ? [px(spread)] : []),
    cssColor(color),
  ]
  return `${inset && isBox ? 'inset_' : ''}${parts.join('_')}`
}
