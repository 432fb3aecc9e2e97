import { z } from 'zod'
import { rulingSchema } from './role.js'
import { propertySchema } from './component.js'
import { formSchema } from './form.js'
import { lengthPx } from './geometry.js'
import { interactionSchema } from './interaction.js'
import { colorSchema } from './paint.js'
import { partRulingSchema } from './part.js'
import { componentSchema, frameSchema } from './layer.js'
import { tokenSchema } from './token.js'
import { widthsSchema } from './widths.js'

/** The version of the format this code writes; older ones are migrated when read. */
export const DESIGN_VERSION = 2

const assetSchema = z.strictObject({
  /** File name as it came in, without a folder. */
  name: z.string().min(1).max(200),
  mime: z.enum([
    'image/png',
    'image/jpeg',
    'image/gif',
    'image/webp',
    'image/avif',
    'image/svg+xml',
  ]),
  /** Size of the picture in px, and what is known of its looks; found out when it is imported. */
  width: lengthPx.optional(),
  height: lengthPx.optional(),
  transparent: z.boolean().optional(),
  /** The colour most of it has. */
  color: colorSchema.optional(),
  /** The bytes in base64. */
  data: z.string(),
})
export type Asset = z.infer<typeof assetSchema>

const componentSetSchema = z.strictObject({
  key: z.string().min(1),
  name: z.string().min(1),
  properties: z.array(propertySchema).default([]),
  variants: z.array(componentSchema).min(1),
})
export type ComponentSet = z.infer<typeof componentSetSchema>

/** A whole design: the one description from which types, validation and JSON Schema are derived. */
export const designSchema = z.strictObject({
  $schema: z.string().optional(),
  format: z.literal('unimorph-design'),
  version: z.literal(DESIGN_VERSION),
  name: z.string().max(500).default('Untitled'),
  /** Modes of the tokens; the first is the one the layers' values are drawn in. */
  modes: z.array(z.string().min(1)).min(1).default(['default']),
  tokens: z.array(tokenSchema).default([]),
  components: z.array(componentSetSchema).default([]),
  assets: z.record(z.string().min(1), assetSchema).default({}),
  /** Screens that are one screen drawn at several widths, by their keys. */
  artboards: z
    .array(
      z.strictObject({
        screens: z.array(z.string().min(1)).min(1),
        /** Layers a person has matched: key → key of the same layer on the widest, or null for none. */
        matches: z.record(z.string(), z.string().min(1).nullable()).optional(),
      }),
    )
    .default([]),
  /** What a person has said layers are, by their keys. */
  roles: z.record(z.string().min(1), rulingSchema).optional(),
  /** What a person has said about parts, by the key of a layer. */
  parts: z.record(z.string().min(1), partRulingSchema).optional(),
  /** What a person has said layers do, by their keys. */
  interactions: z.record(z.string().min(1), interactionSchema).optional(),
  /** What a person has said about forms, by the key of the layer that is the form. */
  forms: z.record(z.string().min(1), formSchema).optional(),
  /** Widths of the window at which screens may change, in px; absent: the usual ones. */
  breakpoints: z.array(z.int().min(200).max(4000)).max(12).optional(),
  /**
   * What a person has said about widths, by the key of a layer, or of a container that was made up around it (the
   * key of its first layer and `~`).
   */
  widths: z.record(z.string().min(1), widthsSchema).optional(),
  /** A screen is a frame; its box gives its place on the drawing board. */
  screens: z.array(frameSchema).min(1),
})
export type Design = z.infer<typeof designSchema>
export type Screen = Design['screens'][number]
