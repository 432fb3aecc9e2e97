import { z } from 'zod'
import { tokenSchema } from '../design/token.js'

const layer = z.string().min(1).max(500)
const token = z.string().min(1).max(200)

/** One change to a design, addressed by a layer's key or a token's name. Everything a person changes is an edit. */
export const editSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('hide'), layer, hidden: z.boolean() }),
  z.strictObject({ kind: z.literal('remove'), layer }),
  z.strictObject({ kind: z.literal('rename'), layer, name: z.string().min(1).max(500) }),
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
export type Edit = z.infer<typeof editSchema>
export type EditKind = Edit['kind']
export type EditOf<K extends EditKind> = Extract<Edit, { kind: K }>
