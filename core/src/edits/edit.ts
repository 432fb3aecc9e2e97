import { z } from 'zod'

const layer = z.string().min(1).max(500)

/** One change to a design, addressed by the layer's stable key. Everything a person changes is an edit. */
export const editSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('hide'), layer, hidden: z.boolean() }),
  z.strictObject({ kind: z.literal('remove'), layer }),
  z.strictObject({ kind: z.literal('rename'), layer, name: z.string().min(1).max(500) }),
])
export type Edit = z.infer<typeof editSchema>
export type EditKind = Edit['kind']
