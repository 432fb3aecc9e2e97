import { z } from 'zod'

/** What happens with the answers of a form. */
export const formSchema = z.strictObject({
  /** `handler`: a function that a developer fills in; `endpoint`: they are posted to an address. */
  to: z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('handler') }),
      z.strictObject({ kind: z.literal('endpoint'), url: z.string().min(1).max(2000) }),
    ])
    .default({ kind: 'handler' }),
  /** The screen that is shown when they were sent; absent: a message. */
  success: z.string().min(1).max(500).optional(),
  /** What is said when they were sent or could not be; absent: usual words. */
  sent: z.string().min(1).max(300).optional(),
  failed: z.string().min(1).max(300).optional(),
})
export type FormRuling = z.infer<typeof formSchema>
