import { z } from 'zod'
import { boxSchema, coordinatePx, lengthPx, sidesSchema } from './geometry.js'

/** `#rrggbb` or `#rrggbbaa`, lower case. */
export const colorSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}([0-9a-f]{2})?$/, 'a colour is written #rrggbb or #rrggbbaa in lower case')

export const opacitySchema = z.number().min(0).max(1)

export const blendSchema = z.enum([
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
])
export type Blend = z.infer<typeof blendSchema>

/** A point in fractions of the layer's box: 0 is its left or top edge, 1 its right or bottom edge. */
const unitPoint = z.strictObject({
  x: z.number().min(-1000).max(1000),
  y: z.number().min(-1000).max(1000),
})

const stopSchema = z.strictObject({ offset: z.number().min(0).max(1), color: colorSchema })
export type GradientStop = z.infer<typeof stopSchema>

const common = { opacity: opacitySchema.default(1), blend: blendSchema.default('normal') }
const stops = z.array(stopSchema).min(2)

/**
 * Which part of a picture with `fit: cover` is seen where it is cut off: at 0 its left or top side stands at that of its box,
 * at 1 its right or bottom side, at 0.5 the middles; as `object-position` counts in per cent. In the middle when absent.
 */
export const focusSchema = z.strictObject({
  x: z.number().min(0).max(1),
  y: z.number().min(0).max(1),
})
export type Focus = z.infer<typeof focusSchema>

export const paintSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('solid'), color: colorSchema, ...common }),
  z.strictObject({ kind: z.literal('linear'), from: unitPoint, to: unitPoint, stops, ...common }),
  z.strictObject({
    kind: z.literal('radial'),
    centre: unitPoint,
    /** Half axes, in fractions of the box's width and height. */
    radius: unitPoint,
    /** How far the half axes are turned, clockwise in px. */
    rotationDeg: z.number().min(-360).max(360).default(0),
    /** Where the first stop lies when that is not the centre. */
    focus: unitPoint.optional(),
    stops,
    ...common,
  }),
  z.strictObject({
    kind: z.literal('angular'),
    centre: unitPoint,
    /** Where the first stop lies, clockwise from the top. */
    angleDeg: z.number().min(-360).max(360),
    stops,
    ...common,
  }),
  z.strictObject({
    kind: z.literal('image'),
    asset: z.string().min(1),
    fit: z.enum(['cover', 'contain', 'fill', 'tile']).default('cover'),
    /** Box of one tile in px from the layer's corner, for `tile`; absent: as large as the picture. */
    tile: boxSchema.optional(),
    focus: focusSchema.optional(),
    ...common,
  }),
])
export type Paint = z.infer<typeof paintSchema>

/** Whether nothing is seen through a paint: one opaque colour. */
export const isOpaquePaint = (paint: Paint): boolean =>
  paint.kind === 'solid' &&
  paint.opacity === 1 &&
  paint.blend === 'normal' &&
  paint.color.length === 7

export const strokeSchema = z.strictObject({
  paint: paintSchema,
  width: sidesSchema.default(1),
  align: z.enum(['inside', 'centre', 'outside']).default('centre'),
  dash: z.array(lengthPx).default([]),
  cap: z.enum(['butt', 'round', 'square']).default('butt'),
  join: z.enum(['miter', 'round', 'bevel']).default('miter'),
})
export type Stroke = z.infer<typeof strokeSchema>

export const effectSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('shadow'),
    inset: z.boolean().default(false),
    x: coordinatePx,
    y: coordinatePx,
    /** The blur as CSS counts it: twice the standard deviation of the Gaussian. */
    blur: lengthPx,
    spread: coordinatePx.default(0),
    color: colorSchema,
  }),
  z.strictObject({ kind: z.literal('blur'), radius: lengthPx }),
  z.strictObject({ kind: z.literal('backdrop-blur'), radius: lengthPx }),
])
export type Effect = z.infer<typeof effectSchema>
