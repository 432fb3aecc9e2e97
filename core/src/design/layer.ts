import { z } from 'zod'
import { bindSchema, propValueSchema } from './component.js'
import { boxSchema, cornersSchema, lengthPx, pointSchema } from './geometry.js'
import { entranceSchema, hoverSchema, linkSchema } from './interaction.js'
import { arrangeSchema, autoLayoutSchema, constraintSchema, sizingSchema } from './layout.js'
import {
  blendSchema,
  effectSchema,
  focusSchema,
  opacitySchema,
  paintSchema,
  strokeSchema,
} from './paint.js'
import { drawnLineSchema, textRunSchema, textStyleSchema } from './text.js'

const base = {
  /** Stable name for edits, spans and links: unique in the design, the same in every edition. */
  key: z.string().min(1).max(500),
  name: z.string().max(500).default(''),
  box: boxSchema,
  visible: z.boolean().default(true),
  opacity: opacitySchema.default(1),
  blend: blendSchema.default('normal'),
  /** Clockwise, about the centre of the box. The box is that before rotating. */
  rotationDeg: z.number().min(-360).max(360).default(0),
  effects: z.array(effectSchema).default([]),
  sizing: z
    .strictObject({ width: sizingSchema.default('fixed'), height: sizingSchema.default('fixed') })
    .default({ width: 'fixed', height: 'fixed' }),
  limits: z
    .strictObject({
      minWidth: lengthPx.optional(),
      maxWidth: lengthPx.optional(),
      minHeight: lengthPx.optional(),
      maxHeight: lengthPx.optional(),
    })
    .optional(),
  constraints: z
    .strictObject({
      horizontal: constraintSchema.default('start'),
      vertical: constraintSchema.default('start'),
    })
    .optional(),
  /** `out`: the parent's auto layout does not place it. */
  flow: z.enum(['in', 'out']).default('in'),
  /** Columns and rows it covers in a grid. */
  span: z
    .strictObject({ columns: z.int().min(1).default(1), rows: z.int().min(1).default(1) })
    .optional(),
  /** Field path → token name, for values that come from a token: { "fills.0.color": "color.ink" }. */
  tokens: z.record(z.string(), z.string()).optional(),
  /** What happens when it is pressed, while the pointer is over it, and when it comes in. */
  link: linkSchema.optional(),
  hover: hoverSchema.optional(),
  entrance: entranceSchema.optional(),
  bind: bindSchema.optional(),
}

const fills = z.array(paintSchema).default([])
const strokes = z.array(strokeSchema).default([])
const radius = cornersSchema.default(0)

const rectangleSchema = z.strictObject({
  type: z.literal('rectangle'),
  ...base,
  fills,
  strokes,
  radius,
})
const ellipseSchema = z.strictObject({ type: z.literal('ellipse'), ...base, fills, strokes })

/** From and to are points inside the box. */
const lineSchema = z.strictObject({
  type: z.literal('line'),
  ...base,
  from: pointSchema,
  to: pointSchema,
  strokes,
})

/** Path data in SVG's syntax, in px from the box's top left corner. */
const pathSchema = z.strictObject({
  type: z.literal('path'),
  ...base,
  paths: z
    .array(
      z.strictObject({
        d: z.string().max(2_000_000),
        rule: z.enum(['nonzero', 'evenodd']).default('nonzero'),
      }),
    )
    .min(1),
  fills,
  strokes,
})

const imageSchema = z.strictObject({
  type: z.literal('image'),
  ...base,
  asset: z.string().min(1),
  fit: z.enum(['cover', 'contain', 'fill']).default('cover'),
  focus: focusSchema.optional(),
  /** Absent: not known; empty: decoration only. */
  alt: z.string().optional(),
  strokes,
  radius,
})

const textSchema = z.strictObject({
  type: z.literal('text'),
  ...base,
  style: textStyleSchema,
  runs: z.array(textRunSchema).min(1),
  align: z.enum(['start', 'centre', 'end', 'justify']).default('start'),
  lines: z.array(drawnLineSchema).optional(),
})

export type RectangleLayer = z.infer<typeof rectangleSchema>
export type EllipseLayer = z.infer<typeof ellipseSchema>
export type LineLayer = z.infer<typeof lineSchema>
export type PathLayer = z.infer<typeof pathSchema>
export type ImageLayer = z.infer<typeof imageSchema>
export type TextLayer = z.infer<typeof textSchema>

const surface = {
  layout: autoLayoutSchema.optional(),
  arrange: arrangeSchema.optional(),
  fills,
  strokes,
  radius,
  clip: z.boolean().default(false),
}
const variant = z.record(z.string(), z.string()).default({})

// A container holds layers again, and TypeScript cannot infer a type from a schema that mentions itself:
// so its own fields are described first, and the children are added to the type and to the schema.
const frameFields = z.strictObject({ type: z.literal('frame'), ...base, ...surface })
/**
 * `mask`: the first child is not shown but decides what is seen of the others: only what lies inside its
 * shapes (`outline`), as much as it is opaque (`alpha`), or as much as it is light (`luminance`).
 */
const groupFields = z.strictObject({
  type: z.literal('group'),
  ...base,
  mask: z.enum(['outline', 'alpha', 'luminance']).optional(),
  /** All of it is one drawing, whatever it is made of. */
  isGraphic: z.boolean().optional(),
})
/** `variant`: the values of the variant properties this one is drawn for. */
const componentFields = z.strictObject({
  type: z.literal('component'),
  ...base,
  ...surface,
  variant,
})
const instanceSchema = z.strictObject({
  type: z.literal('instance'),
  ...base,
  /** Key of the component set. */
  component: z.string().min(1),
  variant,
  props: z.record(z.string(), propValueSchema).default({}),
  /** Boxes of layers inside, by their key in the component, where this instance lays them out differently. */
  boxes: z.record(z.string(), boxSchema).optional(),
})

type WithChildren = { children: Layer[] }
export type FrameLayer = z.infer<typeof frameFields> & WithChildren
export type GroupLayer = z.infer<typeof groupFields> & WithChildren
export type ComponentLayer = z.infer<typeof componentFields> & WithChildren
export type InstanceLayer = z.infer<typeof instanceSchema>

export type ContainerLayer = FrameLayer | GroupLayer | ComponentLayer
export type Layer =
  | ContainerLayer
  | InstanceLayer
  | RectangleLayer
  | EllipseLayer
  | LineLayer
  | PathLayer
  | ImageLayer
  | TextLayer
export type LayerType = Layer['type']

const children: z.ZodType<Layer[]> = z.lazy(() => z.array(layerSchema)).default([])

export const frameSchema = frameFields.extend({ children })
export const componentSchema = componentFields.extend({ children })
const groupSchema = groupFields.extend({ children })

export const layerSchema: z.ZodType<Layer> = z.discriminatedUnion('type', [
  componentSchema,
  ellipseSchema,
  frameSchema,
  groupSchema,
  imageSchema,
  instanceSchema,
  lineSchema,
  pathSchema,
  rectangleSchema,
  textSchema,
])

export const isContainer = (layer: Layer): layer is ContainerLayer => 'children' in layer

/** The layers inside a layer; none for a leaf. */
export const childrenOf = (layer: Layer): readonly Layer[] =>
  isContainer(layer) ? layer.children : []
