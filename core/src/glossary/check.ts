import {
  accepts,
  findProp,
  type CodeComponent,
  type Codebase,
  type CodeProp,
  type Literal,
} from '../codebase/codebase.js'
import type { ComponentSet, Design } from '../design/design.js'
import { findNearestName } from '../design/nearest-name.js'
import type { Entry, Glossary, Source } from './glossary.js'

/** Something in a glossary that does not fit the codebase or the design. */
export type GlossaryProblem = {
  readonly severity: 'error' | 'warning'
  /** Of the entry, from 0; undefined for what is about tokens. */
  readonly entry?: number
  readonly prop?: string
  /** What is wrong, with the real values. */
  readonly message: string
  /** What to do about it. */
  readonly help: string
  /** The entry as it would be right, where the program knows. */
  readonly remedy?: Entry
}

const list = (options: readonly unknown[]): string => options.map(String).join(', ')

const nearest = (wanted: string, names: readonly string[]): string | undefined =>
  findNearestName(wanted, [...names])

/** The values a source can have, where they are known before any instance is looked at. */
const literalsOf = (source: Source, set: ComponentSet | undefined): readonly Literal[] => {
  if ('constant' in source) return [source.constant]
  if ('property' in source) {
    if (source.values) return Object.values(source.values)
    const property = set?.properties.find(({ name }) => name === source.property)
    if (property?.kind === 'variant') return property.values
    return property?.kind === 'switch' ? [true, false] : []
  }
  if ('shown' in source) return [true, false]
  if ('when' in source) {
    return [
      ...literalsOf(source.then, set),
      ...(source.otherwise ? literalsOf(source.otherwise, set) : []),
    ]
  }
  return []
}

/** What kinds of values a source has. */
const kindsOf = (source: Source): readonly ('words' | 'shown' | 'address' | 'press' | 'any')[] => {
  if ('text' in source || 'picture' in source) return ['words']
  if ('content' in source) return ['shown']
  if ('link' in source) return ['address']
  if ('press' in source) return ['press']
  if ('when' in source)
    return [...kindsOf(source.then), ...(source.otherwise ? kindsOf(source.otherwise) : [])]
  return ['any']
}

const TAKES: Readonly<
  Record<Exclude<ReturnType<typeof kindsOf>[number], 'any'>, readonly string[]>
> = {
  words: ['string', 'node', 'choice'],
  shown: ['node'],
  address: ['string', 'handler'],
  press: ['handler'],
}

/** What of the design a source names and the design does not have. */
const lostIn = (source: Source, set: ComponentSet): readonly string[] => {
  const names = set.properties.map(({ name }) => name)
  if ('property' in source) {
    const property = set.properties.find(({ name }) => name === source.property)
    if (!property) return [unknownProperty(source.property, names)]
    if (!source.values || property.kind !== 'variant') return []
    const { values } = property
    return Object.keys(source.values)
      .filter((value) => !values.includes(value))
      .map((value) => `${source.property} is never ${value}: ${list(values)}`)
  }
  if ('when' in source) {
    const property = set.properties.find(({ name }) => name === source.when)
    const own = !property
      ? [unknownProperty(source.when, names)]
      : property.kind === 'variant' && !property.values.includes(source.is)
        ? [`${source.when} is never ${source.is}: ${list(property.values)}`]
        : []
    return [
      ...own,
      ...lostIn(source.then, set),
      ...(source.otherwise ? lostIn(source.otherwise, set) : []),
    ]
  }
  return 'compute' in source ? lostIn(source.of, set) : []
}

const unknownProperty = (name: string, names: readonly string[]): string => {
  const near = nearest(name, names)
  return `the component has no property ${name}${near === undefined ? '' : `; ${near} is alike`}`
}

/** Values of a variant that a table does not name: they are given nothing. */
const untold = (source: Source, set: ComponentSet): readonly string[] => {
  if (!('property' in source) || !source.values) return []
  const { values } = source
  const property = set.properties.find(({ name }) => name === source.property)
  return property?.kind === 'variant'
    ? property.values.filter((value) => !Object.hasOwn(values, value))
    : []
}

type Own = { readonly at: number; readonly entry: Entry; readonly set: ComponentSet | undefined }

const checkProp = (
  name: string,
  source: Source,
  prop: CodeProp,
  { at, set }: Own,
): readonly GlossaryProblem[] => {
  const common = { entry: at, prop: name }
  const { type } = prop
  const refused = literalsOf(source, set).filter((value) => !accepts(type, value))
  const wrong = kindsOf(source).filter((kind) => kind !== 'any' && !TAKES[kind].includes(type.kind))
  const help =
    type.kind === 'choice'
      ? `It takes one of ${list(type.options)}.`
      : `It is ${type.text === '' ? type.kind : type.text}.`
  return [
    ...refused.map((value): GlossaryProblem => ({
      ...common,
      severity: 'error',
      message: `${name} does not take ${JSON.stringify(value)}`,
      help,
    })),
    ...wrong.map((): GlossaryProblem => ({
      ...common,
      severity: 'error',
      message: `${name} does not take what it is given`,
      help,
    })),
    ...(set ? lostIn(source, set) : []).map((message): GlossaryProblem => ({
      ...common,
      severity: 'error',
      message,
      help: 'Name one that the component of the design has.',
    })),
    ...(set ? untold(source, set) : []).map((value): GlossaryProblem => ({
      ...common,
      severity: prop.isRequired ? 'error' : 'warning',
      message: `${name} is not told what ${value} is`,
      help: `Say what it is called in the code. ${help}`,
    })),
  ]
}

const checkEntry = (own: Own, component: CodeComponent): readonly GlossaryProblem[] => {
  const { at, entry } = own
  const names = component.props.map(({ name }) => name)
  const problems = Object.entries(entry.props).flatMap(
    ([name, source]): readonly GlossaryProblem[] => {
      const prop = findProp(component, name)
      if (prop) return checkProp(name, source, prop, own)
      const near = nearest(name, names)
      const { [name]: moved, ...rest } = entry.props
      return [
        {
          severity: 'error',
          entry: at,
          prop: name,
          message: `${component.name} has no prop ${name}`,
          help: near === undefined ? 'Take it out.' : `Did it become ${near}?`,
          remedy: {
            ...entry,
            props: near === undefined || rest[near] ? rest : { ...rest, [near]: moved! },
          },
        },
      ]
    },
  )
  const missing = component.props.filter(
    ({ name, isRequired, isInherited, as }) =>
      isRequired && !isInherited && as !== 'slot' && !Object.hasOwn(entry.props, name),
  )
  return [
    ...problems,
    ...missing.map((prop): GlossaryProblem => ({
      severity: 'error',
      entry: at,
      prop: prop.name,
      message: `${component.name} must be given ${prop.name}`,
      help: `Say where it comes from, or mark it as not drawn. It is ${prop.type.text}.`,
      remedy: {
        ...entry,
        props: { ...entry.props, [prop.name]: { hole: prop.about ?? prop.name } },
      },
    })),
  ]
}

const checkTokens = (
  { tokens = {} }: Glossary,
  { tokens: theme }: Codebase,
  design: Design | undefined,
): readonly GlossaryProblem[] => {
  const known = new Set(theme.map(({ name }) => name))
  const drawn = design && new Set(design.tokens.map(({ name }) => name))
  return Object.entries(tokens).flatMap(([token, name]): readonly GlossaryProblem[] => [
    ...(known.has(name)
      ? []
      : [
          {
            severity: 'error' as const,
            message: `The theme has no ${name}, which ${token} is said to be`,
            help: withNear(nearest(name, [...known])),
          },
        ]),
    ...(drawn && !drawn.has(token)
      ? [
          {
            severity: 'warning' as const,
            message: `The design has no token ${token}`,
            help: withNear(nearest(token, [...drawn])),
          },
        ]
      : []),
  ])
}

const withNear = (near: string | undefined): string =>
  near === undefined ? 'Take it out.' : `${near} is alike.`

/**
 * What in a glossary does not fit: components and props that are gone, values outside of their types, what must be given
 * and is not. With a design also what that does not have.
 */
export const checkGlossary = (
  glossary: Glossary,
  codebase: Codebase,
  design?: Design,
): readonly GlossaryProblem[] => {
  const known = new Map(codebase.components.map((one) => [one.id, one]))
  const sets = new Map(design?.components.map((set) => [set.name, set]))
  const entries = glossary.components.flatMap((entry, at): readonly GlossaryProblem[] => {
    const set = 'component' in entry.design ? sets.get(entry.design.component) : undefined
    const lost: readonly GlossaryProblem[] =
      design && 'component' in entry.design && !set
        ? [
            {
              severity: 'warning',
              entry: at,
              message: `The design has no component ${entry.design.component}`,
              help: withNear(nearest(entry.design.component, [...sets.keys()])),
            },
          ]
        : []
    const component = known.get(entry.code)
    if (component) return [...lost, ...checkEntry({ at, entry, set }, component)]
    const near = findMoved(entry.code, codebase)
    return [
      ...lost,
      {
        severity: 'error',
        entry: at,
        message: `The codebase has no ${entry.code}`,
        help: near ? `Did it become ${near}?` : 'Name a component it has, or take the entry out.',
        ...(near ? { remedy: { ...entry, code: near } } : {}),
      },
    ]
  })
  return [...entries, ...checkTokens(glossary, codebase, design)]
}

/** A component that was moved keeps its name; one that was renamed mostly keeps its file. */
const findMoved = (id: string, { components }: Codebase): string | undefined => {
  const [path, exported] = id.split('#')
  const named = components.filter(
    ({ id: own }) => own.split('#')[1] === exported && exported !== 'default',
  )
  if (named.length === 1) return named[0]!.id
  const inFile = components.filter(({ id: own }) => own.split('#')[0] === path)
  if (inFile.length === 1) return inFile[0]!.id
  return nearest(
    id,
    components.map(({ id: own }) => own),
  )
}
