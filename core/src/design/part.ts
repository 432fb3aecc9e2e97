import { z } from 'zod'

/** What a person has said of something a component is given. */
export const propRulingSchema = z.strictObject({
  name: z.string().min(1).max(40).optional(),
  /** It must be given; false: it may be left out. */
  isRequired: z.boolean().optional(),
  /** Of words: whether any may be given, only those that are, or numbers. */
  type: z.enum(['text', 'choice', 'number']).optional(),
  /** What it is where nothing is given. */
  standard: z.union([z.string().max(500), z.boolean()]).optional(),
})

/** What a person has said of a layer as a part, by its key. */
export const partRulingSchema = z.strictObject({
  /**
   * `part`: it and all that is like it are one component; `none`: it is written where it stands; `slot`: what stands at its
   * place in a part is given to the component.
   */
  as: z.enum(['part', 'none', 'slot']).optional(),
  /** It is an instance of the part that this layer is one of; its own key: of a part of its own. */
  of: z.string().min(1).optional(),
  /** What the component is called, said of its first instance. */
  name: z.string().min(1).max(80).optional(),
  /** What the component is given, said of its first instance, by what it was found as. */
  props: z.record(z.string(), propRulingSchema).optional(),
})
export type PartRuling = z.infer<typeof partRulingSchema>
