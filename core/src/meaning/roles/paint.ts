import { converter, parse, wcagContrast, type Rgb } from 'culori'
import { resolveSides } from '../../design/geometry.js'
import type { View } from './view.js'

const toOklch = converter('oklch')
const toRgb = converter('rgb')

const WHITE: Rgb = { mode: 'rgb', r: 1, g: 1, b: 1 }

/** A colour over another. */
const over = (top: Rgb, alpha: number, below: Rgb): Rgb => ({
  mode: 'rgb',
  r: top.r * alpha + below.r * (1 - alpha),
  g: top.g * alpha + below.g * (1 - alpha),
  b: top.b * alpha + below.b * (1 - alpha),
})

/** The colour a view itself is filled with; undefined where it is seen through, or has a picture or gradient. */
const ownFill = ({ node: { layer } }: View, below: Rgb): Rgb | 'picture' | undefined => {
  const fills = 'fills' in layer ? layer.fills : []
  let color: Rgb | 'picture' | undefined
  for (const fill of fills) {
    if (fill.kind !== 'solid') color = 'picture'
    else {
      const rgb = toRgb(parse(fill.color))
      if (!rgb) continue
      const alpha = (rgb.alpha ?? 1) * fill.opacity * layer.opacity
      if (alpha > 0.02) color = over(rgb, alpha, color && color !== 'picture' ? color : below)
    }
  }
  return color
}

/** Asks once for each view: everything that stands on one asks again. */
const remembered = <T>(find: (view: View) => T): ((view: View) => T) => {
  const known = new WeakMap<View, { readonly value: T }>()
  return (view) => {
    let found = known.get(view)
    if (!found) known.set(view, (found = { value: find(view) }))
    return found.value
  }
}

const groundOn = remembered((view): Rgb => {
  const below = groundOf(view.parent)
  const own = ownFill(view, below)
  return own === undefined || own === 'picture' ? below : own
})

/** The colour that is seen behind what is in a view. */
const groundOf = (view: View | undefined): Rgb => (view ? groundOn(view) : WHITE)

export type Surface = {
  /** It is filled in a way that stands out from what is behind it. */
  readonly isStrong: boolean
  /** It is white, or nearly. */
  readonly isWhite: boolean
  /** It is filled at all. */
  readonly isFilled: boolean
  /** It has a line around it. */
  readonly isOutlined: boolean
  /** It has a line below it and none around. */
  readonly isUnderlined: boolean
}

/** How much a fill must differ from its ground to stand out. */
const STRONG_CONTRAST = 1.35
const STRONG_CHROMA = 0.06

/** How the surface of a view looks against what is behind it. */
export const surfaceOf = remembered((view): Surface => {
  const { layer } = view.node
  const ground = groundOf(view.parent)
  const fill = ownFill(view, ground)
  const strokes = 'strokes' in layer ? layer.strokes : []
  const sides = strokes.map((stroke) => resolveSides(stroke.width))
  const around = sides.some(
    (s) => [s.top, s.right, s.bottom, s.left].filter((w) => w > 0).length > 2,
  )
  const below = sides.some((s) => s.bottom > 0 && s.top === 0 && s.left === 0 && s.right === 0)
  const color = fill === 'picture' ? undefined : fill
  const { l = 0, c = 0 } = color ? toOklch(color) : {}
  return {
    isStrong:
      fill === 'picture' ||
      (color !== undefined &&
        (c > STRONG_CHROMA || wcagContrast(color, ground) >= STRONG_CONTRAST)),
    isWhite: l > 0.94 && c < 0.02,
    isFilled: fill !== undefined,
    isOutlined: around,
    isUnderlined: below && !around,
  }
})

/** Whether a view is a dark veil: what lies under it is seen, but dimmed. */
export const isVeil = ({ node: { layer } }: View): boolean =>
  'fills' in layer &&
  layer.fills.some((fill) => {
    if (fill.kind !== 'solid') return false
    const color = toOklch(parse(fill.color))
    const alpha = (color?.alpha ?? 1) * fill.opacity * layer.opacity
    return color !== undefined && color.l < 0.45 && alpha > 0.1 && alpha < 0.95
  })

const colorOf = ({ node: { layer } }: View): string =>
  layer.type === 'text' ? (layer.runs[0]?.style.color ?? layer.style.color) : ''

/** How well a text is seen against what is behind it, from 1 to 21 (WCAG 2.2). */
export const contrastOf = (text: View): number => {
  const ground = groundOf(text.parent)
  const rgb = toRgb(parse(colorOf(text)))
  if (!rgb) return 21
  return wcagContrast(over(rgb, (rgb.alpha ?? 1) * text.node.layer.opacity, ground), ground)
}

/** The colour of a text as one word, to be compared; and whether it is a colour at all, not a grey. */
export const inkOf = (text: View): { readonly color: string; readonly isColored: boolean } => {
  const color = colorOf(text)
  return { color, isColored: (toOklch(parse(color))?.c ?? 0) > STRONG_CHROMA }
}

/** Whether a text is set in the red that errors are set in, by its hue in OKLCH. */
export const isWarning = (text: View): boolean => {
  const { c = 0, h = 180 } = toOklch(parse(colorOf(text))) ?? {}
  return c > STRONG_CHROMA && (h < 45 || h > 345)
}
