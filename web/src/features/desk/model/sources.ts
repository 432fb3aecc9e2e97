import {
  FIELD_FACTS,
  FUNCTIONS,
  type CodeProp,
  type Covered,
  type DesignProperty,
  type FieldFact,
  type FunctionName,
  type Source,
} from '@unimorph/core'

/** What a control knows, for people. */
const FACTS: Readonly<Record<FieldFact, string>> = {
  disabled: 'whether it can be used',
  hint: 'its placeholder',
  invalid: 'whether it is wrong',
  label: 'its label',
  name: 'its name',
  required: 'whether it is required',
  type: 'what is written in it',
  value: 'what stands in it',
}

type SourceChoice = {
  readonly id: string
  readonly label: string
  readonly source: Source | undefined
}

/** What functions make of a value, for people. */
export const FUNCTION_LABELS: Readonly<Record<FunctionName, string>> = {
  'camel-case': 'in camelCase',
  'first-word': 'its first word',
  'kebab-case': 'in kebab-case',
  'lower-case': 'in lower case',
  not: 'the opposite',
  'to-number': 'as a number',
  trim: 'without spaces around it',
  'upper-case': 'IN UPPER CASE',
}

export const NOTHING = 'nothing'
const CONSTANT = 'constant'
const CONDITION = 'condition'

/** A source without the functions around it, and those, the innermost first. */
export const unwrap = (
  source: Source | undefined,
): { readonly inner: Source | undefined; readonly functions: readonly FunctionName[] } => {
  if (source === undefined || !('compute' in source)) return { inner: source, functions: [] }
  const { inner, functions } = unwrap(source.of)
  return { inner, functions: [...functions, source.compute] }
}

/** A source with functions around it, the innermost first. */
export const wrap = (inner: Source, functions: readonly FunctionName[]): Source =>
  functions.reduce<Source>((of, compute) => ({ compute, of }), inner)

/** The functions that can make something of what a source says that fits a prop. */
export const listFunctions = (
  { type }: CodeProp,
  inner: Source | undefined,
): readonly FunctionName[] => {
  const isValue =
    inner !== undefined &&
    ['property', 'text', 'field', 'shown'].some((kind) => Object.hasOwn(inner, kind))
  if (!isValue) return []
  switch (type.kind) {
    case 'boolean':
      return ['not']
    case 'number':
      return ['first-word', 'to-number']
    case 'choice':
    case 'node':
    case 'string':
      return FUNCTIONS.filter((one) => one !== 'not' && one !== 'to-number')
    default:
      return []
  }
}

export type Condition = Extract<Source, { readonly when: string }>

/** What the instances of a thing can be told apart by: its variants and switches, with their values. */
export const listConditions = ({
  design,
  properties,
}: Pick<Covered, 'design' | 'properties'>): readonly {
  readonly name: string
  readonly values: readonly string[]
}[] =>
  !('component' in design)
    ? []
    : properties.flatMap(({ name, kind, values }) =>
        kind === 'variant'
          ? [{ name, values }]
          : kind === 'switch'
            ? [{ name, values: ['true', 'false'] }]
            : [],
      )

/** `where Tone is Loud`: a boolean that is true in one case is said in one line. */
const isPlain = ({ then, otherwise }: Condition): boolean =>
  otherwise === undefined && 'constant' in then && then.constant === true

/** A source as one word, so that it can be chosen from a list. */
export const idOfSource = (source: Source | undefined): string => {
  if (source === undefined) return NOTHING
  if ('property' in source) return `property ${source.property}`
  if ('when' in source) return isPlain(source) ? `when ${source.when} ${source.is}` : CONDITION
  if ('text' in source) return `text ${source.text}`
  if ('content' in source) return `content ${source.content}`
  if ('picture' in source) return `picture ${source.picture}`
  if ('shown' in source) return `shown ${source.shown}`
  if ('link' in source) return 'link'
  if ('press' in source) return 'press'
  if ('field' in source) return `field ${source.field}`
  if ('level' in source) return `level ${source.level}`
  if ('hole' in source) return 'hole'
  return 'constant' in source ? CONSTANT : idOfSource(unwrap(source).inner)
}

const isFitting = ({ kind }: DesignProperty, { type }: CodeProp): boolean => {
  switch (kind) {
    case 'text':
      return ['string', 'node', 'choice', 'number'].includes(type.kind)
    case 'variant':
      return ['choice', 'string'].includes(type.kind)
    case 'switch':
      return type.kind === 'boolean'
    case 'content':
      return type.kind === 'node'
    case 'picture':
      return type.kind === 'string'
  }
}

/** What a variant is paired with before a person says more: values of the same name. */
const pairedBy = ({ name, values }: DesignProperty, { type }: CodeProp): Source => {
  if (type.kind !== 'choice') return { property: name }
  const same = values.flatMap((value) => {
    const option = type.options.find((one) => String(one).toLowerCase() === value.toLowerCase())
    return option === undefined ? [] : [[value, option] as const]
  })
  return { property: name, values: Object.fromEntries(same) }
}

const ofProperty = (property: DesignProperty, prop: CodeProp): readonly SourceChoice[] => {
  const { name, kind, values } = property
  if (kind === 'variant' && prop.type.kind === 'boolean') {
    return values.map((value) => {
      const source: Source = { when: name, is: value, then: { constant: true } }
      return { id: idOfSource(source), label: `where ${name} is ${value}`, source }
    })
  }
  if (!isFitting(property, prop)) return []
  const source = kind === 'variant' ? pairedBy(property, prop) : property.source
  return [{ id: idOfSource(source), label: name, source }]
}

/** How deep a heading is, as a prop takes it. */
const ofLevel = ({ type }: CodeProp): readonly SourceChoice[] => {
  const options = type.kind === 'choice' ? type.options : []
  const isNumber = type.kind === 'number' || options.some((one) => typeof one === 'number')
  const isTag = type.kind === 'string' || options.some((one) => /^h[1-6]$/.test(String(one)))
  return [
    ...(isNumber
      ? [{ id: 'level number', label: 'its level', source: { level: 'number' } as const }]
      : []),
    ...(isTag
      ? [{ id: 'level tag', label: 'its level, as h2', source: { level: 'tag' } as const }]
      : []),
  ]
}

/** Whether a prop can always be given the same. */
const isFixable = ({ type }: CodeProp): boolean => type.kind !== 'handler' && type.kind !== 'other'

/** One thing or another, before a person says which. */
const conditionFor = (
  thing: Covered,
  prop: CodeProp,
  choices: readonly SourceChoice[],
): readonly SourceChoice[] => {
  const [first] = listConditions(thing)
  const is = first?.values[0]
  const simple = choices.find(({ id }) => !id.startsWith('when '))
  if (!first || is === undefined || (!simple && !isFixable(prop))) return []
  const then = simple?.source ?? { constant: firstOf(prop) }
  return [{ id: CONDITION, label: 'one or the other …', source: { when: first.name, is, then } }]
}

/** What a prop can be given by a thing of the design, in the words of a person; what it is given now among it. */
export const listSources = (
  thing: Covered,
  prop: CodeProp,
  current: Source | undefined,
): readonly SourceChoice[] => {
  const { type } = prop
  const simple: SourceChoice[] = [
    ...thing.properties.flatMap((property) => ofProperty(property, prop)),
    ...(type.kind === 'string' || type.kind === 'node'
      ? [{ id: 'text ', label: 'all its words', source: { text: '' } }]
      : []),
    ...(type.kind === 'node'
      ? [{ id: 'content ', label: 'what is in it', source: { content: '' } }]
      : []),
    ...(type.kind === 'string' && thing.leads
      ? [{ id: 'link', label: 'where it leads', source: { link: true } as const }]
      : []),
    ...(type.kind === 'handler'
      ? [{ id: 'press', label: 'what pressing it does', source: { press: true } as const }]
      : []),
    ...(thing.role === 'heading' ? ofLevel(prop) : []),
    ...(thing.hasControl && type.kind !== 'handler' && type.kind !== 'node'
      ? FIELD_FACTS.map((fact) => ({
          id: `field ${fact}`,
          label: FACTS[fact],
          source: { field: fact },
        }))
      : []),
  ]
  const own = idOfSource(current)
  const isListed = current === undefined || simple.some(({ id }) => id === own)
  return [
    { id: NOTHING, label: prop.isRequired ? 'not set' : 'nothing', source: undefined },
    ...simple,
    ...(isFixable(prop)
      ? [{ id: CONSTANT, label: 'always the same …', source: { constant: firstOf(prop) } }]
      : []),
    ...conditionFor(thing, prop, simple),
    {
      id: 'hole',
      label: 'not drawn: leave a placeholder',
      source: { hole: prop.about ?? prop.name },
    },
    ...(isListed || [CONSTANT, CONDITION, 'hole'].includes(own)
      ? []
      : [{ id: own, label: 'as the file says', source: unwrap(current).inner }]),
  ]
}

/** What a prop has that is always the same, before a person says what. */
const firstOf = ({ type, standard }: CodeProp): string | number | boolean => {
  if (standard !== undefined) return standard
  if (type.kind === 'choice') return type.options[0] ?? ''
  if (type.kind === 'boolean') return true
  return type.kind === 'number' ? 0 : ''
}

/** A text somebody typed, as the value of a prop. */
export const readConstant = ({ type }: CodeProp, text: string): string | number | boolean => {
  if (type.kind === 'boolean') return text === 'true'
  const number = Number(text)
  if (type.kind === 'number' && text.trim() !== '' && Number.isFinite(number)) return number
  if (type.kind !== 'choice') return text
  return type.options.find((one) => String(one) === text) ?? text
}
