import { z } from 'zod'

/** A property of a component set, with the value an instance has when it says nothing. */
export const propertySchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('variant'),
    name: z.string().min(1),
    values: z.array(z.string()).min(1),
    default: z.string(),
  }),
  z.strictObject({ kind: z.literal('switch'), name: z.string().min(1), default: z.boolean() }),
  z.strictObject({ kind: z.literal('text'), name: z.string().min(1), default: z.string() }),
  z.strictObject({
    kind: z.literal('swap'),
    name: z.string().min(1),
    /** Key of the component set shown when nothing else is chosen. */
    default: z.string(),
  }),
])
export type Property = z.infer<typeof propertySchema>

/** Which property of the surrounding component steers which aspect of a layer. */
export const bindSchema = z.strictObject({
  text: z.string().optional(),
  visible: z.string().optional(),
  swap: z.string().optional(),
})
export type Bind = z.infer<typeof bindSchema>

export const propValueSchema = z.union([z.string(), z.boolean()])
