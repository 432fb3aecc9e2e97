import { withOpacity } from '../../design/color.js'
import { roundPx } from '../../design/geometry.js'
import type { Effect } from '../../design/paint.js'
import { notes } from '../../notes/catalogue.js'
import { parseColor, parseOpacity } from './color.js'
import type { SvgContext } from './context.js'
import { isElement, localName, type XmlElement } from './xml.js'

/**
 * What a step of a filter gives, as far as it has a meaning in a design. Programs write one shadow as six
 * or more steps; following what each step makes of the drawing's silhouette tells what they mean together.
 */
type Image =
  | { readonly kind: 'nothing' }
  /** What lies behind the drawing. */
  | { readonly kind: 'behind' }
  | { readonly kind: 'flood'; readonly color: string }
  /** The drawing's outline in one colour, moved, grown, blurred; turned inside out for inner shadows. */
  | {
      readonly kind: 'silhouette'
      readonly x: number
      readonly y: number
      readonly spread: number
      readonly deviation: number
      readonly color: string
      readonly inverted: boolean
    }
  /** The drawing itself with what was put over and under it. */
  | { readonly kind: 'stack'; readonly hasDrawing: boolean; readonly effects: readonly Effect[] }
  | { readonly kind: 'unknown'; readonly step: string }

type Silhouette = Extract<Image, { kind: 'silhouette' }>

const ALPHA: Silhouette = {
  kind: 'silhouette',
  x: 0,
  y: 0,
  spread: 0,
  deviation: 0,
  color: '#000000',
  inverted: false,
}
const DRAWING: Image = { kind: 'stack', hasDrawing: true, effects: [] }
const NOTHING: Image = { kind: 'nothing' }

/** A silhouette that was moved, grown or blurred is a shadow; CSS counts blur as two deviations. */
const toShadow = (s: Silhouette): Effect => ({
  kind: 'shadow',
  inset: s.inverted,
  x: roundPx(s.x),
  y: roundPx(s.y),
  blur: roundPx(s.deviation * 2),
  // An inner shadow grows inwards: what shrinks the outline makes it larger.
  spread: roundPx(s.inverted ? -s.spread : s.spread),
  color: s.color,
})

const toStack = (image: Image): Image => {
  switch (image.kind) {
    case 'silhouette':
      return { kind: 'stack', hasDrawing: false, effects: [toShadow(image)] }
    case 'nothing':
    case 'behind':
      return { kind: 'stack', hasDrawing: false, effects: [] }
    default:
      return image
  }
}

/** `over` on top of `under`. The topmost effect stands first, as in CSS. */
const stack = (over: Image, under: Image, step: string): Image => {
  const [a, b] = [toStack(over), toStack(under)]
  if (a.kind === 'unknown') return a
  if (b.kind === 'unknown') return b
  if (a.kind !== 'stack' || b.kind !== 'stack') return { kind: 'unknown', step }
  return {
    kind: 'stack',
    hasDrawing: a.hasDrawing || b.hasDrawing,
    effects: [...a.effects, ...b.effects],
  }
}

/** The colour a matrix paints everything in, when its rows take nothing from the input's colours. */
const colorOfMatrix = (values: readonly number[]): { color: string; gain: number } | undefined => {
  if (values.length !== 20 || values.some((v) => !Number.isFinite(v))) return undefined
  const rows = [0, 5, 10].map((at) => values.slice(at, at + 5))
  if (rows.some((row) => row.slice(0, 4).some((v) => v !== 0))) return undefined
  const alpha = values.slice(15)
  if (alpha.slice(0, 3).some((v) => v !== 0) || alpha[4] !== 0) return undefined
  const hex = rows
    .map((row) => Math.round(Math.min(1, Math.max(0, row[4]!)) * 255))
    .map((v) => v.toString(16).padStart(2, '0'))
    .join('')
  return { color: `#${hex}`, gain: alpha[3]! }
}

type Step = {
  readonly name: string
  readonly element: XmlElement
  /** A number attribute in px of the screen, or plain. */
  px(attribute: string, fallback: number): number
  number(attribute: string, fallback: number): number
  input(attribute: 'in' | 'in2'): Image
  floodColor(): string
}

const unknown = ({ name }: Step): Image => ({ kind: 'unknown', step: name })

/** Changes a silhouette; leaves nothing as it is; cannot do anything with the rest. */
const changeSilhouette = (step: Step, change: (s: Silhouette) => Image): Image => {
  const image = step.input('in')
  if (image.kind === 'nothing' || image.kind === 'unknown') return image
  return image.kind === 'silhouette' ? change(image) : unknown(step)
}

const blur = (step: Step): Image => {
  const image = step.input('in')
  const deviation = step.px('stdDeviation', 0)
  switch (image.kind) {
    case 'silhouette':
      return { ...image, deviation: Math.hypot(image.deviation, deviation) }
    case 'behind':
      return {
        kind: 'stack',
        hasDrawing: false,
        effects: [{ kind: 'backdrop-blur', radius: roundPx(deviation) }],
      }
    case 'stack':
      return { ...image, effects: [...image.effects, { kind: 'blur', radius: roundPx(deviation) }] }
    default:
      return image
  }
}

const colorMatrix = (step: Step): Image => {
  const { element } = step
  if ((element.attributes['type'] ?? 'matrix') !== 'matrix') return unknown(step)
  const values = (element.attributes['values'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const painted = colorOfMatrix(values)
  if (!painted) return unknown(step)
  const image = step.input('in')
  const outline = image.kind === 'stack' && image.hasDrawing ? ALPHA : image
  if (outline.kind === 'nothing') return NOTHING
  if (outline.kind !== 'silhouette') return unknown(step)
  return { ...outline, color: withOpacity(painted.color, Math.min(1, painted.gain)) }
}

const composite = (step: Step): Image => {
  const [over, under] = [step.input('in'), step.input('in2')]
  if (over.kind === 'unknown') return over
  if (under.kind === 'unknown') return under
  switch (step.element.attributes['operator'] ?? 'over') {
    case 'over':
      return stack(over, under, step.name)
    case 'in':
    case 'atop':
      if (over.kind === 'flood' && under.kind === 'silhouette')
        return { ...under, color: over.color }
      // Cut to the drawing's own outline: what inner shadows and a blurred background are anyway.
      return over.kind === 'silhouette' || over.kind === 'stack' ? over : unknown(step)
    case 'out':
      // Cutting the drawing out of its own shadow changes nothing that can be seen under it.
      if (over.kind === 'silhouette' && under.kind === 'silhouette') {
        const isOwnShadow = over.deviation > 0 || over.x !== 0 || over.y !== 0 || over.spread !== 0
        return isOwnShadow ? over : { ...under, color: over.color, inverted: true }
      }
      if (over.kind === 'flood' && under.kind === 'silhouette') {
        return { ...under, color: over.color, inverted: true }
      }
      return unknown(step)
    case 'arithmetic': {
      // k2 = -1, k3 = 1: the outline minus the moved one leaves the rim of an inner shadow.
      const isRim =
        step.number('k1', 0) === 0 && step.number('k2', 0) === -1 && step.number('k3', 0) === 1
      if (isRim && over.kind === 'silhouette') return { ...over, inverted: true }
      return unknown(step)
    }
    default:
      return unknown(step)
  }
}

const STEPS: Readonly<Record<string, (step: Step) => Image>> = {
  feFlood: (step) => {
    const color = step.floodColor()
    return color.endsWith('00') && color.length === 9 ? NOTHING : { kind: 'flood', color }
  },
  feOffset: (step) =>
    changeSilhouette(step, (s) => ({
      ...s,
      x: s.x + step.px('dx', 0),
      y: s.y + step.px('dy', 0),
    })),
  feMorphology: (step) =>
    changeSilhouette(step, (s) => {
      const grows = step.element.attributes['operator'] === 'dilate'
      return { ...s, spread: s.spread + (grows ? 1 : -1) * step.px('radius', 0) }
    }),
  feGaussianBlur: blur,
  feColorMatrix: colorMatrix,
  feComponentTransfer: (step) => {
    const functions = step.element.children.filter(isElement)
    const alpha = functions.find((f) => localName(f.name) === 'feFuncA')
    const slope = Number(alpha?.attributes['slope'])
    if (functions.length !== 1 || !Number.isFinite(slope)) return unknown(step)
    return changeSilhouette(step, (s) => ({ ...s, color: withOpacity(s.color, slope) }))
  },
  feComposite: composite,
  feBlend: (step) => {
    const mode = step.element.attributes['mode'] ?? 'normal'
    return mode === 'normal' ? stack(step.input('in'), step.input('in2'), step.name) : unknown(step)
  },
  feDropShadow: (step) => {
    const shadow: Silhouette = {
      ...ALPHA,
      x: step.px('dx', 2),
      y: step.px('dy', 2),
      deviation: step.px('stdDeviation', 2),
      color: step.floodColor(),
    }
    return stack(step.input('in'), shadow, step.name)
  },
}

/** What a filter means. `hidesLayer`: only the effects are seen, and nothing of the layer itself. */
export type FilterReading = { readonly effects: readonly Effect[]; readonly hidesLayer: boolean }

type Result = FilterReading & { readonly problem?: string }

/**
 * Follows a filter from step to step. Where a step is not understood, what was the drawing with its effects
 * before that still counts.
 */
const runFilter = (context: SvgContext, filter: XmlElement, scale: number): Result => {
  const results = new Map<string, Image>([
    ['SourceGraphic', DRAWING],
    ['SourceAlpha', ALPHA],
    ['BackgroundImage', { kind: 'behind' }],
    ['BackgroundImageFix', { kind: 'behind' }],
    ['BackgroundAlpha', { kind: 'behind' }],
  ])
  let last: Image = DRAWING
  let effects: readonly Effect[] = []
  let problem: string | undefined
  for (const element of filter.children.filter(isElement)) {
    const name = localName(element.name)
    const number = (attribute: string, fallback: number): number => {
      const value = Number.parseFloat(element.attributes[attribute] ?? '')
      return Number.isFinite(value) ? value : fallback
    }
    const look = (reference: string | undefined): Image =>
      reference === undefined ? last : (results.get(reference) ?? last)
    const step: Step = {
      name,
      element,
      number,
      px: (attribute, fallback) => number(attribute, fallback) * scale,
      input: (attribute) => look(element.attributes[attribute]),
      floodColor: () => {
        const style = context.resolveStyle(element, {})
        const color = parseColor(style['flood-color'] ?? 'black', style.color) ?? '#000000'
        return withOpacity(color, parseOpacity(style['flood-opacity']))
      },
    }
    if (name === 'feMerge') {
      const inputs = element.children.filter(isElement).map((n) => look(n.attributes['in']))
      last = inputs.reduce((under, over) => stack(over, under, name), NOTHING)
    } else last = STEPS[name]?.(step) ?? unknown(step)
    if (last.kind === 'unknown') problem ??= last.step
    if (last.kind === 'stack' && last.hasDrawing) effects = last.effects
    // Programs name a transparent flood as if it were the background; only a blur tells the two apart.
    const result = element.attributes['result']
    if (result) {
      const isBehind = last.kind === 'nothing' && result.startsWith('Background')
      results.set(result, isBehind ? { kind: 'behind' } : last)
    }
  }
  const isWhole = last.kind === 'stack' && last.hasDrawing
  if (isWhole) return { effects, hidesLayer: false }
  const alone = toStack(last)
  const isShadow = alone.kind === 'stack' && alone.effects.some((one) => one.kind === 'shadow')
  return isShadow
    ? { effects: alone.effects, hidesLayer: true }
    : { effects, hidesLayer: false, problem: problem ?? 'without the layer in it' }
}

/** `blur(4px) drop-shadow(0 2px 4px #0003)`, CSS's own filter functions, as effects. */
const readFunctions = (
  context: SvgContext,
  layer: string,
  value: string,
  scale: number,
  blurKind: 'blur' | 'backdrop-blur',
): Effect[] => {
  const effects: Effect[] = []
  for (const [, name = '', list = ''] of value.matchAll(/([a-z-]+)\(((?:[^()]|\([^()]*\))*)\)/gi)) {
    // Lengths stand in front of the colour or behind it, never inside its brackets.
    const paint = /[a-z]+\([^)]*\)|#[0-9a-f]+|[a-z]{3,}/i.exec(list)?.[0] ?? ''
    const lengths = (list.replace(paint, ' ').match(/-?[\d.]+/g) ?? []).map(Number)
    if (name === 'blur') {
      effects.push({ kind: blurKind, radius: roundPx((lengths[0] ?? 0) * scale) })
    } else if (name === 'drop-shadow') {
      const [x = 0, y = 0, radius = 0] = lengths.map((v) => v * scale)
      const color = parseColor(paint || 'black')
      effects.push({
        kind: 'shadow',
        inset: false,
        x: roundPx(x),
        y: roundPx(y),
        // `drop-shadow` takes the deviation where `box-shadow` takes twice that.
        blur: roundPx(radius * 2),
        spread: 0,
        color: color ?? '#000000',
      })
    } else context.notes.push(notes.effectSkipped(context.file, layer, `filter ${name}`))
  }
  return effects
}

/** What a filter is known by once it has been read: it means other lengths at another scale. */
const filterId = (reference: string | undefined, scale: number): string => `${scale} ${reference}`

const NO_FILTER: FilterReading = { effects: [], hidesLayer: false }

/**
 * Reads a `filter` (a reference to a chain of steps, or CSS functions) as shadows and blurs. A chain that
 * means something else is noted and left out.
 */
export const readFilter = (
  context: SvgContext,
  layer: string,
  reference: string | undefined,
  scale: number,
): FilterReading => {
  const plain = (effects: readonly Effect[]): FilterReading => ({ effects, hidesLayer: false })
  if (!reference || reference === 'none') return NO_FILTER
  if (!reference.startsWith('url(')) {
    return plain(readFunctions(context, layer, reference, scale, 'blur'))
  }
  const filter = context.findReference(reference)
  if (!filter) return NO_FILTER
  const known = context.effects.get(filterId(reference, scale))
  if (known) return known
  const { effects, hidesLayer, problem } = runFilter(context, filter, scale)
  const reading = {
    effects: effects.filter((e) => e.kind === 'shadow' || e.radius > 0),
    hidesLayer,
  }
  if (problem) {
    context.notes.push(notes.effectSkipped(context.file, layer, `filter step ${problem}`))
  } else context.effects.set(filterId(reference, scale), reading)
  return reading
}

/** Whether a filter that has been read shows nothing of its layer but the shadow. */
export const hidesLayer = (
  context: SvgContext,
  reference: string | undefined,
  scale: number,
): boolean => context.effects.get(filterId(reference, scale))?.hidesLayer === true

/** Reads `backdrop-filter`. */
export const readBackdrop = (
  context: SvgContext,
  layer: string,
  value: string | undefined,
  scale: number,
): Effect[] =>
  !value || value === 'none' ? [] : readFunctions(context, layer, value, scale, 'backdrop-blur')
