import { z } from 'zod'
import { lengthPx } from './geometry.js'
import { colorSchema, effectSchema } from './paint.js'
import { textStyleSchema } from './text.js'

/** A token's value is a value of its type, or the name of another token in braces: `{color.ink}`. */
const alias = z.string().regex(/^\{[^{}]+\}$/, 'an alias is a token name in braces')

const valuesOf = <T extends z.ZodType>(value: T) =>
  z.record(z.string().min(1), z.union([value, alias]))

const named = { name: z.string().min(1).max(200), description: z.string().optional() }

/** `values` holds one value per mode; a mode without a value has that of the first mode. */
export const tokenSchema = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('border'),
    values: valuesOf(z.strictObject({ color: colorSchema, width: lengthPx, dashed: z.boolean() })),
    ...named,
  }),
  z.strictObject({ type: z.literal('color'), values: valuesOf(colorSchema), ...named }),
  z.strictObject({ type: z.literal('space'), values: valuesOf(z.number()), ...named }),
  z.strictObject({ type: z.literal('radius'), values: valuesOf(z.number()), ...named }),
  z.strictObject({
    type: z.literal('shadow'),
    values: valuesOf(z.array(effectSchema)),
    ...named,
  }),
  z.strictObject({
    type: z.literal('type'),
    values: valuesOf(textStyleSchema.omit({ color: true })),
    ...named,
  }),
])
export type Token = z.infer<typeof tokenSchema>
export type TokenType = Token['type']
