import { z } from 'zod'
import { coordinatePx, lengthPx } from './geometry.js'
import { colorSchema } from './paint.js'

/** How a piece of text looks. Lengths in px. */
export const textStyleSchema = z.strictObject({
  family: z.string().min(1).max(200),
  weight: z.number().min(1).max(1000).default(400),
  italic: z.boolean().default(false),
  size: lengthPx,
  /** Distance between baselines; absent means the font's own. */
  lineHeight: lengthPx.optional(),
  letterSpacing: coordinatePx.default(0),
  decoration: z.enum(['none', 'underline', 'line-through']).default('none'),
  case: z.enum(['as-typed', 'upper', 'lower', 'title']).default('as-typed'),
  color: colorSchema,
})
export type TextStyle = z.infer<typeof textStyleSchema>

/** A stretch of text in one style; `style` holds only what differs from the layer's own style. */
export const textRunSchema = z.strictObject({
  text: z.string(),
  style: z
    .strictObject({
      family: z.string().min(1).max(200).optional(),
      weight: z.number().min(1).max(1000).optional(),
      italic: z.boolean().optional(),
      size: lengthPx.optional(),
      lineHeight: lengthPx.optional(),
      letterSpacing: coordinatePx.optional(),
      decoration: z.enum(['none', 'underline', 'line-through']).optional(),
      case: z.enum(['as-typed', 'upper', 'lower', 'title']).optional(),
      color: colorSchema.optional(),
    })
    .default({}),
})
export type TextRun = z.infer<typeof textRunSchema>

/**
 * One line as the design program drew it: which characters, and where its baseline starts, in px from
 * the layer's top left corner. Files that state lines (SVG) have them; others leave wrapping to the reader.
 */
export const drawnLineSchema = z.strictObject({
  start: z.int().min(0),
  end: z.int().min(0),
  x: coordinatePx,
  baseline: coordinatePx,
})
export type DrawnLine = z.infer<typeof drawnLineSchema>
