import {
  accepts,
  findMainSlot,
  findProp,
  type CodeComponent,
  type CodeProp,
  type CodeType,
  type Literal,
} from '../../codebase/codebase.js'
import type { FieldFact, Source } from '../glossary.js'
import { assignMost } from '../../math/assign.js'
import type { DesignProperty, DesignThing } from './design-side.js'
import { compareNames } from './words.js'

/** One prop, what it is given, and how sure that is, from 0 to 1. */
export type PropMatch = {
  readonly prop: CodeProp
  readonly property: DesignProperty | undefined
  readonly source: Source
  readonly score: number
}

/** How much the fit of types says where names say nothing. */
const BY_TYPE = 0.3

/** The values of a variant and those of a choice, paired so that they are alike. */
const pairValues = (
  values: readonly string[],
  options: readonly Literal[],
): { readonly values: Readonly<Record<string, Literal>>; readonly score: number } => {
  const worth = values.map((value, i) =>
    options.map((option, j) => {
      const alike = compareNames(value, String(option))
      // Where names say nothing, the same place in both lists says little.
      return alike > 0 ? 0.2 + alike : i === j && values.length === options.length ? 0.1 : 0
    }),
  )
  const pairs = assignMost(worth)
  const entries = values.flatMap((value, i): [string, Literal, number][] => {
    const at = pairs[i]
    return at === undefined ? [] : [[value, options[at]!, Math.min(1, worth[i]![at]!)]]
  })
  return {
    values: Object.fromEntries(entries.map(([value, option]) => [value, option])),
    score: entries.reduce((sum, [, , own]) => sum + own, 0) / Math.max(1, values.length),
  }
}

const isSame = (values: Readonly<Record<string, Literal>>): boolean =>
  Object.entries(values).every(([name, value]) => name === value)

/** How well a property fits a type, and how its value is read then; undefined where it does not fit. */
const fit = (
  property: DesignProperty,
  prop: CodeProp,
): { readonly source: Source; readonly score: number } | undefined => {
  const { kind, values, source, name } = property
  const { type } = prop
  switch (kind) {
    case 'text':
      return type.kind === 'string' || type.kind === 'node' ? { source, score: 1 } : undefined
    case 'switch':
      return type.kind === 'boolean' ? { source, score: 1 } : undefined
    case 'content':
      return type.kind === 'node' ? { source, score: 1 } : undefined
    case 'picture':
      return type.kind === 'string' &&
        compareNames(prop.name, 'image') + compareNames(prop.name, 'src') > 0
        ? { source, score: 1 }
        : undefined
    case 'variant': {
      if (type.kind === 'choice') {
        const paired = pairValues(values, type.options)
        if (Object.keys(paired.values).length === 0) return undefined
        const read = isSame(paired.values) ? source : { property: name, values: paired.values }
        return { source: read, score: paired.score }
      }
      if (type.kind !== 'boolean') return undefined
      return flagOf(property, prop)
    }
  }
}

const YES: ReadonlySet<string> = new Set(['true', 'yes', 'on'])

/** A variant that is a flag: one of its values means yes. */
const flagOf = (
  { name, values, standard }: DesignProperty,
  prop: CodeProp,
): { readonly source: Source; readonly score: number } | undefined => {
  const yes = values.find((value) => YES.has(value.toLowerCase()))
  if (yes !== undefined && values.length === 2) {
    return { source: { when: name, is: yes, then: { constant: true } }, score: 1 }
  }
  const [best] = values
    .filter((value) => value !== standard)
    .map((value) => ({ value, alike: compareNames(value, prop.name) }))
    .sort((a, b) => b.alike - a.alike)
  if (!best || best.alike < 0.6) return undefined
  return {
    source: { when: name, is: best.value, then: { constant: true } },
    // The value says what the flag is called: the name of the property need not.
    score: best.alike,
  }
}

const FACTS: readonly { readonly fact: FieldFact; readonly names: readonly string[] }[] = [
  { fact: 'name', names: ['name', 'fieldName'] },
  { fact: 'label', names: ['label', 'caption', 'title'] },
  { fact: 'hint', names: ['placeholder', 'hintText'] },
  { fact: 'value', names: ['defaultValue', 'defaultText', 'initialValue', 'value', 'modelValue'] },
  { fact: 'type', names: ['type', 'kind', 'inputType'] },
  { fact: 'required', names: ['required', 'isRequired', 'mandatory'] },
  { fact: 'disabled', names: ['disabled', 'isDisabled'] },
  { fact: 'invalid', names: ['invalid', 'isInvalid', 'hasError', 'error'] },
]

const takes = (type: CodeType, fact: FieldFact): boolean => {
  if (fact === 'required' || fact === 'disabled' || fact === 'invalid')
    return type.kind === 'boolean'
  if (fact === 'type') return type.kind === 'choice' && accepts(type, 'text')
  return type.kind === 'string'
}

/** What a control inside is asked for, by what such props are called everywhere. */
const factsFor = (component: CodeComponent, taken: ReadonlySet<string>): readonly PropMatch[] =>
  FACTS.flatMap(({ fact, names }): PropMatch[] => {
    for (const name of names) {
      const prop = findProp(component, name)
      if (!prop || prop.as !== 'prop' || taken.has(name) || !takes(prop.type, fact)) continue
      if (prop.isInherited && fact !== 'name') continue
      return [{ prop, property: undefined, source: { field: fact }, score: 1 }]
    }
    return []
  })

/** What the depth of a heading is called everywhere. */
const LEVELS: ReadonlySet<string> = new Set([
  'as',
  'element',
  'headingLevel',
  'level',
  'rank',
  'tag',
])

/** How deep a heading is, as a number or as its element. */
const levelFor = ({ props }: CodeComponent): readonly PropMatch[] => {
  const prop = props.find(({ name, as }) => as === 'prop' && LEVELS.has(name))
  if (!prop) return []
  const { type } = prop
  const takesNumber = type.kind === 'number' || accepts(type, 2)
  const takesTag = type.kind === 'choice' && accepts(type, 'h2')
  if (!takesNumber && !takesTag) return []
  return [{ prop, property: undefined, source: { level: takesTag ? 'tag' : 'number' }, score: 1 }]
}

/** Props that say where a component stands, or how it differs from all others: no design knows them. */
const PLACING: ReadonlySet<string> = new Set(['class', 'className', 'id', 'key', 'style', 'testId'])

const ADDRESSES: ReadonlySet<string> = new Set([
  'address',
  'href',
  'link',
  'routerLink',
  'to',
  'url',
])
const PRESSES: readonly string[] = [
  'onPress',
  'onClick',
  'onTap',
  'onPressed',
  'press',
  'pressed',
  'click',
]

/** Where it leads and what it does, by what such props are called everywhere. */
const pressesFor = (
  component: CodeComponent,
  { leads, acts, role }: DesignThing,
  taken: ReadonlySet<string>,
): readonly PropMatch[] => {
  const found: PropMatch[] = []
  const isPressed = leads || acts || role === 'button' || role === 'link'
  if (!isPressed) return found
  const address = component.props.find(
    ({ name, type }) => ADDRESSES.has(name) && type.kind === 'string' && !taken.has(name),
  )
  if (address && leads)
    found.push({ prop: address, property: undefined, source: { link: true }, score: 1 })
  const press = component.props.find(
    ({ name, type }) => PRESSES.includes(name) && type.kind === 'handler' && !taken.has(name),
  )
  if (press) {
    found.push({ prop: press, property: undefined, source: { press: true }, score: 1 })
  }
  return found
}

/** The flags that states of a component are: `State=Disabled` is `disabled`. */
const statesFor = (
  component: CodeComponent,
  properties: readonly DesignProperty[],
  taken: ReadonlySet<string>,
): readonly PropMatch[] => {
  const used = new Set(taken)
  return properties
    .filter(({ kind }) => kind === 'variant')
    .flatMap((property) =>
      property.values.flatMap((value): PropMatch[] => {
        if (value === property.standard) return []
        const [best] = component.props
          .filter(
            ({ name, type, as }) => as === 'prop' && type.kind === 'boolean' && !used.has(name),
          )
          .map((prop) => ({ prop, alike: compareNames(value, prop.name) }))
          .sort((a, b) => b.alike - a.alike)
        if (!best || best.alike < 0.6) return []
        used.add(best.prop.name)
        const source: Source = { when: property.name, is: value, then: { constant: true } }
        return [{ prop: best.prop, property, source, score: best.alike }]
      }),
    )
}

/**
 * What the props of a component are given by a thing of the design: properties and props are paired so that all fit best,
 * then comes what such components are given everywhere.
 */
export const matchProps = (thing: DesignThing, component: CodeComponent): readonly PropMatch[] => {
  const open = component.props.filter(
    ({ as, isInherited, name }) => as !== 'event' && !isInherited && !PLACING.has(name),
  )
  const main = findMainSlot(component)
  const props = main && !open.includes(main) ? [...open, main] : open
  const control = [
    ...(thing.hasControl ? factsFor(component, new Set()) : []),
    ...(thing.role === 'heading' ? levelFor(component) : []),
  ]
  // What stands in a control is asked of the control.
  const isOfControl = (name: string): boolean =>
    control.some(
      ({ prop, source }) => prop.name === name && !('field' in source && source.field === 'label'),
    )
  const free = props.filter(({ name }) => !isOfControl(name))
  const fits = thing.properties.map((property) => free.map((prop) => fit(property, prop)))
  const worth = thing.properties.map((property, i) =>
    free.map((prop, j) => {
      const own = fits[i]![j]
      if (!own) return 0
      const isMain = prop === main && property.kind === 'text'
      // Of a flag the value says what it is, and not the property.
      const isFlag = property.kind === 'variant' && prop.type.kind === 'boolean'
      const named = isFlag ? 1 : Math.max(compareNames(property.name, prop.name), isMain ? 0.7 : 0)
      // Where nothing else tells, both sides are taken to say what comes first first.
      const apart = Math.abs(i / thing.properties.length - j / free.length)
      const order = 0.02 * (1 - apart) + (prop.isRequired ? 0.02 : 0)
      return own.score * (BY_TYPE + (1 - BY_TYPE) * named) + order
    }),
  )
  const pairs = assignMost(worth)
  const matched = thing.properties.flatMap((property, i): PropMatch[] => {
    const at = pairs[i]
    if (at === undefined) return []
    return [
      {
        prop: free[at]!,
        property,
        source: fits[i]![at]!.source,
        score: Math.min(1, worth[i]![at]!),
      },
    ]
  })
  const taken = new Set(matched.map(({ prop }) => prop.name))
  const more = [
    ...control.filter(({ prop }) => !taken.has(prop.name)),
    ...pressesFor(component, thing, taken),
  ]
  for (const { prop } of more) taken.add(prop.name)
  return [...matched, ...more, ...statesFor(component, thing.properties, taken)]
}
