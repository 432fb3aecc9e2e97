import {
  FIELD_FACTS,
  type CodeProp,
  type Covered,
  type DesignProperty,
  type FieldFact,
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

export const NOTHING = 'nothing'
const CONSTANT = 'constant'

/** A source as one word, so that it can be chosen from a list. */
export const idOfSource = (source: Source | undefined): string => {
  if (source === undefined) return NOTHING
  if ('property' in source) return `property ${source.property}`
  if ('when' in source) return `when ${source.when} ${source.is}`
  if ('text' in source) return `text ${source.text}`
  if ('content' in source) return `content ${source.content}`
  if ('picture' in source) return `picture ${source.picture}`
  if ('shown' in source) return `shown ${source.shown}`
  if ('link' in source) return 'link'
  if ('press' in source) return 'press'
  if ('field' in source) return `field ${source.field}`
  if ('hole' in source) return 'hole'
  return 'constant' in source ? CONSTANT : 'compute'
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
  const fixed = type.kind !== 'handler' && type.kind !== 'other'
  return [
    { id: NOTHING, label: prop.isRequired ? 'nothing yet' : 'nothing', source: undefined },
    ...simple,
    ...(fixed
      ? [{ id: CONSTANT, label: 'always the same …', source: { constant: firstOf(prop) } }]
      : []),
    { id: 'hole', label: 'not drawn: mark it', source: { hole: prop.about ?? prop.name } },
    ...(isListed || own === CONSTANT || own === 'hole'
      ? []
      : [{ id: own, label: 'as the file says', source: current }]),
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
