import { z } from 'zod'
import { lengthPx, sidesSchema } from './geometry.js'
import { sizingSchema } from './layout.js'

/** What is different at some widths: from `from` on and below `below`, in px of the window. */
export const differenceSchema = z.strictObject({
  from: lengthPx.default(0),
  below: lengthPx.optional(),
  hidden: z.boolean().optional(),
  direction: z.enum(['row', 'column']).optional(),
  columns: z.int().min(1).max(24).optional(),
  gap: lengthPx.optional(),
  padding: sidesSchema.optional(),
  order: z.int().min(0).max(1000).optional(),
  fontSize: lengthPx.min(1).optional(),
  width: z.union([sizingSchema, lengthPx]).optional(),
  height: z.union([sizingSchema, lengthPx]).optional(),
})

/** How a container gives way where its content does not fit side by side. */
export const waySchema = z.enum(['keep', 'wrap', 'columns', 'stack', 'scroll', 'fold'])
export type Way = z.infer<typeof waySchema>

/** What a person has said about a layer at widths that were not drawn. */
export const widthsSchema = z.strictObject({
  giveWay: waySchema.optional(),
  /** The widest its content gets, centred; null: it is not held. */
  contentMax: lengthPx.min(1).nullable().optional(),
  /** Later ones win. */
  at: z.array(differenceSchema).max(50).optional(),
})
export type LayerWidths = z.infer<typeof widthsSchema>
export type WidthDifference = NonNullable<LayerWidths['at']>[number]
