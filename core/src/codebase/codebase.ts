import { z } from 'zod'

/** What the components of a codebase are made with. */
export const FRAMEWORKS = ['angular', 'flutter', 'html', 'react', 'vue'] as const
export type Framework = (typeof FRAMEWORKS)[number]

const literalSchema = z.union([z.string(), z.number(), z.boolean()])
/** A value that is written as it stands: a text, a number, yes or no. */
export type Literal = z.infer<typeof literalSchema>

/**
 * What a prop takes, as far as a design can give it. `text` is the type as the code says it.
 * `choice`: one of some values, of which `isOpen` says that there may be others. `node`: something that is shown.
 * `handler`: code that is run. `other`: what no design knows of.
 */
const codeTypeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('string'), text: z.string() }),
  z.strictObject({ kind: z.literal('number'), text: z.string() }),
  z.strictObject({ kind: z.literal('boolean'), text: z.string() }),
  z.strictObject({ kind: z.literal('node'), text: z.string() }),
  z.strictObject({ kind: z.literal('handler'), text: z.string() }),
  z.strictObject({
    kind: z.literal('choice'),
    text: z.string(),
    options: z.array(literalSchema),
    isOpen: z.boolean().optional(),
    /** Before an option where it is written: `ButtonKind.` in Dart. */
    prefix: z.string().optional(),
  }),
  z.strictObject({ kind: z.literal('other'), text: z.string() }),
])
export type CodeType = z.infer<typeof codeTypeSchema>

const codePropSchema = z.strictObject({
  name: z.string().min(1),
  type: codeTypeSchema,
  /** `slot`: what stands between its tags, or in a named place there; `event`: what it tells its user. */
  as: z.enum(['prop', 'slot', 'event']),
  isRequired: z.boolean(),
  /** What it is when nothing is said. */
  standard: literalSchema.optional(),
  about: z.string().optional(),
  /** It is given without its name, as the argument in this place. */
  position: z.number().int().nonnegative().optional(),
  /** Not of its own: the element it is made of takes it. */
  isInherited: z.boolean().optional(),
})
export type CodeProp = z.infer<typeof codePropSchema>

/** A piece of a text of a partial: as it stands, what a prop says, or more pieces where a prop says something, or nothing. */
export type PartialText =
  | string
  | { readonly value: string }
  | { readonly when: string; readonly is: boolean; readonly texts: readonly PartialText[] }

/** A piece of the markup of a partial; `slot` is where what it is given to show stands. */
export type PartialNode =
  | { readonly kind: 'text'; readonly texts: readonly PartialText[] }
  | { readonly kind: 'slot'; readonly name: string }
  | {
      readonly kind: 'when'
      readonly when: string
      readonly is: boolean
      readonly nodes: readonly PartialNode[]
    }
  | {
      readonly kind: 'element'
      readonly tag: string
      readonly attributes: readonly {
        readonly name: string
        readonly texts: readonly PartialText[]
      }[]
      readonly nodes: readonly PartialNode[]
    }

const partialTextSchema: z.ZodType<PartialText> = z.union([
  z.string(),
  z.strictObject({ value: z.string() }),
  z.strictObject({
    when: z.string(),
    is: z.boolean(),
    texts: z.array(z.lazy(() => partialTextSchema)),
  }),
])
const partialNodeSchema: z.ZodType<PartialNode> = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('text'), texts: z.array(partialTextSchema) }),
  z.strictObject({ kind: z.literal('slot'), name: z.string() }),
  z.strictObject({
    kind: z.literal('when'),
    when: z.string(),
    is: z.boolean(),
    nodes: z.array(z.lazy(() => partialNodeSchema)),
  }),
  z.strictObject({
    kind: z.literal('element'),
    tag: z.string(),
    attributes: z.array(z.strictObject({ name: z.string(), texts: z.array(partialTextSchema) })),
    nodes: z.array(z.lazy(() => partialNodeSchema)),
  }),
])

const codeComponentSchema = z.strictObject({
  /** The file, or the package, and what it exports: `src/ui/Btn.tsx#Btn`. */
  id: z.string().min(1),
  name: z.string().min(1),
  framework: z.enum(FRAMEWORKS),
  /** The file it is written in, from the root of the codebase; absent in a package. */
  path: z.string().optional(),
  /** How other files import it: a package or an alias; absent: by the path to its file. */
  specifier: z.string().optional(),
  /** `default`, or the name it is exported under. */
  exported: z.string(),
  /** How it stands in templates, where that is not its name: a selector, a custom element. */
  selector: z.string().optional(),
  props: z.array(codePropSchema),
  /** It is a partial of HTML: markup that is filled in where it is used. */
  partial: z.array(partialNodeSchema).optional(),
  /** The style sheets a page needs for it, from the root of the codebase. */
  sheets: z.array(z.string()).optional(),
  /** The prop by which it is told where it stands: one that takes classes. */
  placedBy: z.string().optional(),
  about: z.string().optional(),
  isDeprecated: z.boolean().optional(),
  /** Of Dart: it can be made once and for all. */
  isConst: z.boolean().optional(),
  /** How often the codebase uses it. */
  uses: z.number().int().nonnegative(),
})
export type CodeComponent = z.infer<typeof codeComponentSchema>

const codeTokenSchema = z.strictObject({
  /** As the code says it: `--color-brand`. */
  name: z.string().min(1),
  type: z.enum(['color', 'length', 'other']),
  value: z.string(),
  path: z.string(),
})
export type CodeToken = z.infer<typeof codeTokenSchema>

const scanNoteSchema = z.strictObject({
  path: z.string(),
  line: z.number().int().positive().optional(),
  /** What could not be read, and what to do. */
  message: z.string(),
})
export type ScanNote = z.infer<typeof scanNoteSchema>

/** How the codebase is written, where most of its files agree. */
const conventionsSchema = z.strictObject({
  quotes: z.enum(['single', 'double']).optional(),
  semicolons: z.boolean().optional(),
  indent: z.union([z.int().min(1).max(8), z.literal('tab')]).optional(),
  width: z.int().min(40).max(200).optional(),
  trailingCommas: z.enum(['all', 'es5', 'none']).optional(),
  fileNames: z.enum(['kebab', 'pascal', 'snake']).optional(),
  imports: z.enum(['alias', 'relative']).optional(),
})
export type Conventions = z.infer<typeof conventionsSchema>

export const codebaseSchema = z.strictObject({
  name: z.string(),
  frameworks: z.array(z.enum(FRAMEWORKS)),
  components: z.array(codeComponentSchema),
  tokens: z.array(codeTokenSchema),
  conventions: conventionsSchema,
  notes: z.array(scanNoteSchema),
  files: z.number().int().nonnegative(),
})
/** What was found in a codebase: plain data, in an order that depends on nothing but its files. */
export type Codebase = z.infer<typeof codebaseSchema>

/** The prop of a component by its name. */
export const findProp = (component: CodeComponent, name: string): CodeProp | undefined =>
  component.props.find((prop) => prop.name === name)

/** The slot for what stands between its tags, in any framework. */
export const findMainSlot = (component: CodeComponent): CodeProp | undefined =>
  component.props.find(
    ({ as, name }) => as === 'slot' && ['children', 'default', 'child'].includes(name),
  )

/** Whether a component takes attributes of its element too, and hands them on. */
export const handsOn = ({ framework, props }: CodeComponent): boolean =>
  framework !== 'react' || props.some(({ isInherited }) => isInherited)

/** Whether a literal may be given to a prop of this type. */
export const accepts = (type: CodeType, value: Literal): boolean => {
  switch (type.kind) {
    case 'string':
      return typeof value === 'string'
    case 'number':
      return typeof value === 'number'
    case 'boolean':
      return typeof value === 'boolean'
    case 'node':
      return typeof value !== 'boolean'
    case 'choice':
      return type.options.includes(value) || (type.isOpen === true && typeof value === 'string')
    case 'handler':
    case 'other':
      return false
  }
}
