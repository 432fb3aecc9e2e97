import { z } from 'zod'

/** What a person has said of a layer as a part, by its key. */
export const partRulingSchema = z.strictObject({
  /** `part`: it and all that is like it are one component; `none`: it is written where it stands. */
  as: z.enum(['part', 'none']).optional(),
  /** What the component is called, said of its first instance. */
  name: z.string().min(1).max(80).optional(),
})
export type PartRuling = z.infer<typeof partRulingSchema>
