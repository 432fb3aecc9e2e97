import { z } from 'zod'
import { notes } from '../notes/catalogue.js'
import type { Outcome } from '../notes/note.js'
import { readBySchema } from '../notes/read-by-schema.js'

/** Name of the file in which a codebase keeps its glossary. */
export const GLOSSARY_FILE = 'unimorph.glossary.json'

const literal = z.union([z.string(), z.number(), z.boolean()])

/** Functions from a value to a value. They are total: what they cannot change they give back. */
export const FUNCTIONS = [
  'camel-case',
  'first-word',
  'kebab-case',
  'lower-case',
  'not',
  'to-number',
  'trim',
  'upper-case',
] as const
export type FunctionName = (typeof FUNCTIONS)[number]

/** What a control of a form is asked for. */
export const FIELD_FACTS = [
  'disabled',
  'hint',
  'invalid',
  'label',
  'name',
  'required',
  'type',
  'value',
] as const
export type FieldFact = (typeof FIELD_FACTS)[number]

/** Where the value of a prop comes from. */
export type Source =
  /** The same everywhere. */
  | { readonly constant: z.infer<typeof literal> }
  /** A property of the design's component; `values`: what its values are in code, where they are called differently. */
  | {
      readonly property: string
      readonly values?: Readonly<Record<string, z.infer<typeof literal>>> | undefined
    }
  /** The words of a layer inside, by its name; of all layers when empty. */
  | { readonly text: string }
  /** Whether a layer inside is shown. */
  | { readonly shown: string }
  /** The address of a picture inside, by the name of its layer. */
  | { readonly picture: string }
  /** The layers of that name inside, as they are shown; all when empty. */
  | { readonly content: string }
  /** Where pressing it leads. */
  | { readonly link: true }
  /** What pressing it does. */
  | { readonly press: true }
  /** What is known of the control inside. */
  | { readonly field: FieldFact }
  /** How deep the heading inside stands in the outline of the page: `2`, or `h2`. */
  | { readonly level: 'number' | 'tag' }
  /** One value or another, by a property of the design's component. */
  | {
      readonly when: string
      readonly is: string
      readonly then: Source
      readonly otherwise?: Source | undefined
    }
  /** A value changed by a function. */
  | { readonly compute: FunctionName; readonly of: Source }
  /** No design knows it: it is marked in the code, with what is wanted. */
  | { readonly hole: string }

const word = z.string().min(1)
const sourceSchema: z.ZodType<Source> = z.lazy(() =>
  z.union([
    z.strictObject({ constant: literal }),
    z.strictObject({ property: word, values: z.record(z.string(), literal).optional() }),
    z.strictObject({ text: z.string() }),
    z.strictObject({ shown: word }),
    z.strictObject({ picture: z.string() }),
    z.strictObject({ content: z.string() }),
    z.strictObject({ link: z.literal(true) }),
    z.strictObject({ press: z.literal(true) }),
    z.strictObject({ field: z.enum(FIELD_FACTS) }),
    z.strictObject({ level: z.enum(['number', 'tag']) }),
    z.strictObject({
      when: word,
      is: z.string(),
      then: sourceSchema,
      otherwise: sourceSchema.optional(),
    }),
    z.strictObject({ compute: z.enum(FUNCTIONS), of: sourceSchema }),
    z.strictObject({ hole: word }),
  ]),
)

const entrySchema = z.strictObject({
  design: z
    .union([
      z.strictObject({ component: word }).describe('A component set, by its name.'),
      z.strictObject({ part: word }).describe('What the program found to repeat, by its name.'),
      z.strictObject({ role: word }).describe('Everything that is something: a button, a textbox.'),
    ])
    .describe('What of the design is meant.'),
  when: z
    .record(z.string(), z.string())
    .optional()
    .describe('Only where these properties have these values.'),
  leads: z
    .boolean()
    .optional()
    .describe('Only where pressing it leads somewhere, or only where it does not.'),
  code: word.describe('The component of the codebase: its file or package, and what that exports.'),
  props: z.record(z.string(), sourceSchema).describe('What each prop is given.'),
  status: z
    .enum(['confirmed', 'proposed'])
    .optional()
    .describe('What is proposed is not used before it is confirmed; confirmed when absent.'),
})
/** One thing of the design, and the component of the codebase that is written for it. */
export type Entry = z.infer<typeof entrySchema>

const glossarySchema = z.strictObject({
  $schema: z.string().optional().describe('Where the schema is, for editors.'),
  version: z.literal(1),
  components: z.array(entrySchema).describe('The first entry that fits an instance holds.'),
  tokens: z
    .record(z.string(), z.string())
    .optional()
    .describe('Tokens of the design, and what the theme of the codebase calls them.'),
})
/** How elements of designs are called in a codebase. */
export type Glossary = z.infer<typeof glossarySchema>

export const EMPTY_GLOSSARY: Glossary = { version: 1, components: [] }

/** Takes a parsed JSON value, returns a checked glossary, or notes that name the field of each error. */
export const readGlossary = (document: unknown, file = GLOSSARY_FILE): Outcome<Glossary> =>
  readBySchema(glossarySchema, document, (field, why) => notes.invalidGlossary(file, field, why))

/** The text of a glossary file: fields in the order of the schema, entries as they are. */
export const writeGlossary = (glossary: Glossary): string =>
  `${JSON.stringify(glossarySchema.parse(glossary), null, 2)}\n`

/** The JSON Schema (draft 2020-12) of a glossary file. */
export const buildGlossarySchema = (): unknown =>
  z.toJSONSchema(glossarySchema, { target: 'draft-2020-12' })

/** The packages whose components a glossary speaks of. */
export const packagesOf = ({ components }: Glossary): readonly string[] => {
  const names = components.flatMap(({ code }) => {
    const from = code.split('#')[0]!
    const isFile = /\.[a-z]+$/.test(from)
    return isFile
      ? []
      : [
          from
            .split('/')
            .slice(0, from.startsWith('@') ? 2 : 1)
            .join('/'),
        ]
  })
  return [...new Set(names)].sort()
}

/** What an entry is about, as one word: entries of one thing have the same. */
export const subjectOf = ({ design }: Pick<Entry, 'design'>): string => {
  const [[kind, name]] = Object.entries(design) as [[string, string]]
  return `${kind} ${name}`
}
