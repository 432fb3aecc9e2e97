import { z } from 'zod'
import { boxSchema, lengthPx } from '../design/geometry.js'
import {
  arrangeSchema,
  autoLayoutSchema,
  constraintSchema,
  sizingSchema,
} from '../design/layout.js'
import { formSchema } from '../design/form.js'
import { interactionSchema } from '../design/interaction.js'
import { colorSchema } from '../design/paint.js'
import { propRulingSchema } from '../design/part.js'
import { roleSchema, rulingSchema } from '../design/role.js'
import { tokenSchema } from '../design/token.js'
import { differenceSchema, waySchema } from '../design/widths.js'

const layer = z.string().min(1).max(500)
const token = z.string().min(1).max(200)
const several = z.array(layer).min(1).max(10_000)
const name = z.string().max(500).optional()

const singleSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('hide'), layer, hidden: z.boolean() }),
  z.strictObject({ kind: z.literal('remove'), layer }),
  z.strictObject({ kind: z.literal('rename'), layer, name: z.string().min(1).max(500) }),
  /** Layers of one screen in a container of their own; `force`: also when they lie over each other. */
  z.strictObject({
    kind: z.literal('group'),
    layers: several,
    as: arrangeSchema,
    key: layer,
    name,
    force: z.boolean().optional(),
  }),
  /** The content of a container stands in the container's parent; its paint stays as a rectangle. */
  z.strictObject({ kind: z.literal('split'), layer }),
  /** A rectangle becomes the container of what lies on it. */
  z.strictObject({ kind: z.literal('enclose'), layer, layers: several }),
  /** Another container, the same place on the screen; last in paint order without `index`. */
  z.strictObject({
    kind: z.literal('move'),
    layer,
    into: layer,
    index: z.int().min(0).optional(),
  }),
  z.strictObject({ kind: z.literal('set-box'), layer, box: boxSchema }),
  /** A picture is seen inside `box` alone, in the coordinates of its container. */
  z.strictObject({ kind: z.literal('crop'), layer, box: boxSchema, key: layer }),
  /** Layers as one drawing: of vectors, or with `picture` of dots. */
  z.strictObject({
    kind: z.literal('make-graphic'),
    layers: several,
    key: layer,
    name,
    picture: z
      .strictObject({
        mime: z.enum(['image/png', 'image/jpeg']),
        data: z.string().min(1).max(20_000_000),
        width: lengthPx,
        height: lengthPx,
      })
      .optional(),
  }),
  z.strictObject({
    kind: z.literal('set-sizing'),
    layer,
    width: sizingSchema.optional(),
    height: sizingSchema.optional(),
  }),
  /** Auto layout for a container; null takes it away. */
  z.strictObject({ kind: z.literal('set-layout'), layer, layout: autoLayoutSchema.nullable() }),
  /** How a container without auto layout is read; null leaves it to the program. */
  z.strictObject({ kind: z.literal('read-as'), layer, as: arrangeSchema.nullable() }),
  z.strictObject({
    kind: z.literal('set-constraints'),
    layer,
    horizontal: constraintSchema.optional(),
    vertical: constraintSchema.optional(),
  }),
  z.strictObject({ kind: z.literal('set-flow'), layer, flow: z.enum(['in', 'out']) }),
  /** Least and greatest sizes; null takes one away. */
  z.strictObject({
    kind: z.literal('set-limits'),
    layer,
    limits: z.strictObject({
      minWidth: lengthPx.nullable().optional(),
      maxWidth: lengthPx.nullable().optional(),
      minHeight: lengthPx.nullable().optional(),
      maxHeight: lengthPx.nullable().optional(),
    }),
  }),
  /**
   * Layers as parts, as none, or as slots of the parts they are in; `of`: a layer of the part they belong to; `name`: what the part is called. What is null
   * is as it was found.
   */
  z.strictObject({
    kind: z.literal('set-part'),
    layers: several,
    as: z.enum(['part', 'none', 'slot']).nullable().optional(),
    name: z.string().min(1).max(80).nullable().optional(),
    of: layer.nullable().optional(),
    props: z.record(z.string(), propRulingSchema.nullable()).optional(),
  }),
  /** What layers are; null leaves it to the program. Level of a heading, input type of a text field. */
  z.strictObject({
    kind: z.literal('set-role'),
    layers: several,
    role: roleSchema.nullable(),
    level: rulingSchema.shape.level,
    input: rulingSchema.shape.input,
    required: rulingSchema.shape.required,
  }),
  /** What layers do; a part that is null is taken away, one that is absent stays as it is. */
  z.strictObject({
    kind: z.literal('set-interaction'),
    layers: several,
    press: interactionSchema.shape.press,
    hover: interactionSchema.shape.hover,
    entrance: interactionSchema.shape.entrance,
  }),
  /** What happens with the answers of a form; null leaves it to the program. */
  z.strictObject({ kind: z.literal('set-form'), layer, form: formSchema.nullable() }),
  /** How a container gives way where its content does not fit; null leaves it to the program. */
  z.strictObject({
    kind: z.literal('give-way'),
    layer,
    as: waySchema.nullable(),
  }),
  /** The widest content gets, centred; null: it is not held; absent: left to the program. */
  z.strictObject({
    kind: z.literal('hold-content'),
    layer,
    px: lengthPx.min(1).nullable().optional(),
  }),
  /** What is different from `from` on and below `below`, in px of the window; null: nothing any more. */
  z.strictObject({
    kind: z.literal('set-at'),
    layer,
    from: lengthPx.default(0),
    below: lengthPx.optional(),
    set: differenceSchema.omit({ from: true, below: true }).nullable(),
  }),
  /** Widths of the window at which screens may change; null: the usual ones. */
  z.strictObject({
    kind: z.literal('set-breakpoints'),
    px: z.array(z.int().min(200).max(4000)).max(12).nullable(),
  }),
  /** Which screens are one screen at several widths. */
  z.strictObject({
    kind: z.literal('set-artboards'),
    groups: z.array(z.array(layer).min(2).max(20)).max(1000),
  }),
  /** A layer of a narrower artboard is the same as one of the widest; null: as none; absent: left to the program. */
  z.strictObject({
    kind: z.literal('match'),
    layer,
    to: layer.nullable().optional(),
    screens: z.array(layer).min(2).max(20),
  }),
  /** A field that could come from a token gets a value of its own. */
  z.strictObject({
    kind: z.literal('set-value'),
    layer,
    path: z.string().min(1).max(200),
    value: z.union([colorSchema, lengthPx]),
  }),
  /** New tokens, and the fields that take their value from each from now on. */
  z.strictObject({
    kind: z.literal('add-tokens'),
    additions: z
      .array(
        z.strictObject({
          token: tokenSchema,
          uses: z.array(z.strictObject({ layer, path: z.string().min(1).max(200) })).max(100_000),
        }),
      )
      .min(1)
      .max(5000),
  }),
  z.strictObject({ kind: z.literal('rename-token'), token, name: token }),
  /** What used `token` uses `into`; `token` is gone. */
  z.strictObject({ kind: z.literal('merge-token'), token, into: token }),
  /** The token is gone; what used it keeps its value. */
  z.strictObject({ kind: z.literal('remove-token'), token }),
  /** Tokens of a file: new ones are added, those of the same name and type get the file's values. */
  z.strictObject({
    kind: z.literal('import-tokens'),
    modes: z.array(z.string().min(1)).min(1).max(20),
    tokens: z.array(tokenSchema).min(1).max(20_000),
  }),
])

/** Several edits that are made and taken back as one, such as those of a remedy. */
const togetherSchema = z.strictObject({
  kind: z.literal('together'),
  /** What they do, in a few words. */
  label: z.string().min(1).max(200),
  edits: z.array(singleSchema).min(1).max(50_000),
})

/** One change to a design, addressed by a layer's key or a token's name. Everything a person changes is an edit. */
export const editSchema = z.union([singleSchema, togetherSchema])
export type SingleEdit = z.infer<typeof singleSchema>
export type Edit = z.infer<typeof editSchema>
export type EditKind = SingleEdit['kind']
export type EditOf<K extends EditKind> = Extract<SingleEdit, { kind: K }>
