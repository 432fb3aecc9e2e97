import { z } from 'zod'
import { lengthPx, MAX_COORDINATE_PX, sidesSchema } from './geometry.js'

/** How large a layer is along one axis: as drawn, as its content needs, or as its parent offers. */
export const sizingSchema = z.enum(['fixed', 'fit', 'stretch'])
export type Sizing = z.infer<typeof sizingSchema>

/** What a side of a layer keeps its distance to when the parent changes its size. */
export const constraintSchema = z.enum(['start', 'end', 'both', 'centre', 'scale'])
export type Constraint = z.infer<typeof constraintSchema>

const padding = sidesSchema.default(0)
const crossAlign = z.enum(['start', 'centre', 'end', 'stretch', 'baseline']).default('start')
const mainAlign = z.enum(['start', 'centre', 'end', 'between']).default('start')

const line = {
  gap: lengthPx.default(0),
  /** Distance between wrapped lines; absent means the same as `gap`. */
  lineGap: lengthPx.optional(),
  padding,
  /** Across the direction of the children. */
  align: crossAlign,
  /** Along the direction of the children. */
  distribute: mainAlign,
  wrap: z.boolean().default(false),
}

/**
 * How the content of a container without auto layout is to be read; gaps, padding and sizes are found from
 * where it stands. `overlay`: things lie over each other on purpose.
 */
export const arrangeSchema = z.enum(['row', 'column', 'grid', 'overlay'])
export type Arrange = z.infer<typeof arrangeSchema>

/** What a new container is called that arranges its content so: `Row`. */
export const nameOfArrange = (arrange: Arrange): string =>
  arrange[0]!.toUpperCase() + arrange.slice(1)

/** Stated auto layout. */
export const autoLayoutSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('row'), ...line }),
  z.strictObject({ kind: z.literal('column'), ...line }),
  z.strictObject({
    kind: z.literal('grid'),
    columns: z.int().min(1).max(100),
    /** Widths of the columns in shares of the room; all alike when absent. */
    tracks: z.array(z.number().positive().max(MAX_COORDINATE_PX)).max(100).optional(),
    columnGap: lengthPx.default(0),
    rowGap: lengthPx.default(0),
    padding,
    align: z.enum(['start', 'centre', 'end', 'stretch']).default('stretch'),
  }),
])
export type AutoLayout = z.infer<typeof autoLayoutSchema>
