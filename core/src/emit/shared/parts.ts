import type { PartRuling } from '../../design/part.js'
import { saysNumber } from '../../text/says-number.js'
import type { UiPart } from '../../ui/nodes.js'
import { describeLooks, type Looks } from './looks.js'
import {
  code,
  eachElement,
  mapAttributes,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from './markup.js'
import type { PartOptions } from './part-options.js'
import { NotOne, Template, textsIn, type Field } from './part-template.js'
import type { PartComponent, Prop, PropValue } from './prop.js'
import { PropNames } from './prop-names.js'
import { overlay } from './unify.js'

/** Puts what the looks are called where they stand. */
const nameLooks = (node: MarkupNode, all: readonly Looks[]): MarkupNode => {
  if (node.kind === 'when')
    return { ...node, content: nameLooks(node.content, all) as MarkupElement }
  if (node.kind !== 'element') return node
  const attributes = node.attributes.map((one): Attribute => {
    if (one.kind !== 'classes') return one
    const looks = one.looks.flatMap(({ place }) =>
      all
        .filter(({ places }) => places.includes(place!))
        .map(({ name, prop, places }) => ({
          record: name,
          prop,
          ...(places.length === 1 ? {} : { place: place! }),
        })),
    )
    return { ...one, looks }
  })
  return { ...node, attributes, children: node.children.map((child) => nameLooks(child, all)) }
}

const asAttribute = (prop: Prop, value: PropValue): Attribute[] => {
  if (value === undefined && prop.kind !== 'flag') return []
  if (value === '' && prop.kind === 'classes') return []
  if ((value ?? false) === prop.standard) return []
  switch (prop.kind) {
    case 'code':
    case 'number':
      return [code(prop.name, String(value))]
    case 'flag':
      return [code(prop.name, String(value ?? false))]
    default:
      return [text(prop.name, String(value))]
  }
}

type Given = {
  readonly prop: Prop
  readonly values: readonly PropValue[]
} & Pick<Field, 'shown' | 'rows'>

/** What one instance is given, as attributes of its use. */
const attributesOf = ({ prop, values, shown, rows }: Given, at: number): readonly Attribute[] => {
  const { name, fields } = prop
  if (prop.kind === 'list') {
    const own = rows![at]!
    return fields
      ? [{ name, kind: 'records', fields: fields.map((field) => field.name), rows: own }]
      : [{ name, kind: 'list', texts: own.map(([text]) => text!) }]
  }
  if (prop.kind !== 'slot') return asAttribute(prop, values[at])
  const node = shown?.[at]
  return node ? [{ name: prop.name, kind: 'markup', nodes: [node] }] : []
}

const isAttribute = (name: string, markup: MarkupNode): boolean => {
  let isOne = false
  mapAttributes(markup, (one) => {
    isOne ||= one.kind === 'code' && one.code === name
    return one
  })
  return isOne
}

/** Whether what is given may be numbers: words that are shown, and numbers for every instance. */
const mayBeNumbers = ({ prop, values }: Given, markup: MarkupNode): boolean =>
  values.every(saysNumber) && !isAttribute(prop.name, markup)

/** Words of which a person has said that no others may be given, or that they are numbers. */
const asTyped = (
  given: Given,
  type: 'text' | 'choice' | 'number' | undefined,
  markup: MarkupNode,
): Given => {
  const { prop, values } = given
  if (prop.kind !== 'text' || prop.of || prop.type !== undefined) return given
  if (type === 'number' && mayBeNumbers(given, markup)) {
    return { ...given, prop: { ...prop, kind: 'number' } }
  }
  if (type !== 'choice') return given
  const only = [...new Set(values)].filter((value) => typeof value === 'string')
  return { ...given, prop: { ...prop, only } }
}

/** A prop as a person has said it is; what cannot be, as it was found. */
const asSaid = (own: Given, said: PartRuling['props'] = {}, markup: MarkupNode): Given => {
  const ruling = said[own.prop.id]
  const given = asTyped(own, ruling?.type, markup)
  const { prop, values } = given
  if (!ruling || prop.kind === 'slot' || prop.kind === 'list') return given
  const { isRequired, standard } = ruling
  const lacks = prop.kind !== 'flag' && values.includes(undefined)
  // Who is given nothing would show what is said of it.
  if (lacks) return given
  const { standard: found, ...rest } = prop
  if (isRequired) return { prop: { ...rest, isOptional: false }, values }
  const fits =
    prop.kind === 'choice'
      ? prop.options?.includes(String(standard)) === true
      : typeof standard === (prop.kind === 'flag' ? 'boolean' : 'string') &&
        prop.kind !== 'code' &&
        (prop.kind !== 'number' || saysNumber(standard))
  const otherwise = standard !== undefined && fits ? standard : found
  const isOptional = prop.isOptional || otherwise !== undefined || isRequired === false
  const more = otherwise === undefined ? {} : { standard: otherwise }
  return { prop: { ...rest, isOptional, ...more }, values }
}

type Made = {
  readonly component: PartComponent
  /** By the number of the instance. */
  readonly uses: readonly MarkupElement[]
}

const codesIn = (element: MarkupElement): ReadonlySet<string> => {
  const codes = new Set<string>()
  eachElement(element, ({ attributes }) => {
    for (const one of attributes) if (one.kind === 'code') codes.add(one.code)
  })
  return codes
}

/** Code that is in all instances: it stays in their component, under the names it uses. */
const sharedCodes = (instances: readonly MarkupElement[]): readonly string[] => {
  const [first, ...others] = instances.map(codesIn)
  return [...(first ?? [])].filter((one) => others.every((codes) => codes.has(one)))
}

const makeComponent = (
  part: UiPart,
  instances: readonly MarkupElement[],
  suffix: string,
  options: PartOptions,
): Made | undefined => {
  const wordsIn = (text: string): readonly string[] => text.toLowerCase().split(/[^\p{L}\p{N}]+/u)
  const words = new Set(wordsIn(part.name))
  const said = new Set(instances.flatMap(textsIn).flatMap(wordsIn))
  const names = new PropNames(part.props, sharedCodes(instances))
  const template = new Template(instances.length, words, said, names, options)
  let built: MarkupElement
  try {
    built = template.build(overlay(instances), '', true) as MarkupElement
  } catch (error) {
    if (error instanceof NotOne) return undefined
    throw error
  }
  const { varying, fields, placing } = template
  const variants = instances.map(({ layer }) => options.variantOf(layer ?? ''))
  const ids = new Map<string, string>()
  const described = describeLooks(varying, variants, options.colorIn, (wanted) => {
    const { id, name } = names.take(wanted)
    ids.set(name, id)
    return name
  })
  if (!described) return undefined
  const { looks } = described
  const markup = nameLooks(built, looks)
  const choices = described.choices.map(({ prop, options: own, standard, values }): Given => ({
    prop: {
      id: ids.get(prop)!,
      name: prop,
      kind: 'choice',
      options: own,
      standard,
      isOptional: true,
    },
    values,
  }))
  const given = fields.map(({ values, standard, shown, rows, ...field }): Given => ({
    prop: {
      ...field,
      isOptional: field.kind === 'flag' || values.includes(undefined),
      ...(field.kind === 'flag' ? { standard: standard ?? false } : {}),
    },
    values,
    ...(shown ? { shown } : {}),
    ...(rows ? { rows } : {}),
  }))
  const isPlaced = placing.some((list) => list !== '')
  const placed: Given = {
    prop: {
      id: options.classAttribute,
      name: options.classAttribute,
      kind: 'classes',
      standard: '',
      isOptional: true,
    },
    values: placing,
  }
  const all = [
    ...[...given, ...choices].map((one) => asSaid(one, part.props, markup)),
    ...(isPlaced ? [placed] : []),
  ]
  const tag = options.tagOf(part, suffix)
  const uses = instances.map(({ layer, content: _content }, i): MarkupElement => ({
    kind: 'element',
    tag,
    content: 'blocks',
    isUse: true,
    ...(layer === undefined ? {} : { layer }),
    attributes: all.flatMap((one) => attributesOf(one, i)),
    children: [],
  }))
  return {
    component: {
      id: part.id,
      name: part.name,
      tag,
      props: all.map(({ prop }) => prop),
      looks,
      markup: markup as MarkupElement,
      example: uses[0]!,
      uses: instances.map(({ layer }, i) => ({
        layer,
        values: all.map(({ values }) => values[i]),
      })),
    },
    uses,
  }
}

/** What a thing is made of, as one word: the tags, and what is in what. */
const shapeOf = (node: MarkupNode): string =>
  node.kind === 'element' ? `${node.tag}(${node.children.map(shapeOf).join()})` : ''

const holdsTag = (node: MarkupNode, tag: string): boolean =>
  node.kind === 'element' &&
  (node.tag === tag || node.children.some((child) => holdsTag(child, tag)))

/** By what things of one part that are built differently are told apart. */
const suffixOf = (thing: MarkupElement): string => {
  if (thing.tag === 'a' || thing.tag === 'Link' || thing.tag === 'NavLink') return 'Link'
  if (holdsTag(thing, 'select')) return 'Select'
  return holdsTag(thing, 'textarea') ? 'Area' : ''
}

type Group = { readonly things: readonly MarkupElement[]; readonly made: Made }

/** The components of a part: one, or where that cannot be, one for each way its instances are built. */
const makeComponents = (
  part: UiPart,
  instances: readonly MarkupElement[],
  options: PartOptions,
): readonly Group[] => {
  const made = makeComponent(part, instances, '', options)
  if (made) return [{ things: instances, made }]
  const byShape = new Map<string, MarkupElement[]>()
  for (const thing of instances) {
    const shape = shapeOf(thing)
    byShape.set(shape, [...(byShape.get(shape) ?? []), thing])
  }
  if (byShape.size < 2) return []
  const suffixes = new Set<string>()
  return [...byShape.values()]
    .sort((a, b) => b.length - a.length)
    .flatMap((things): Group[] => {
      const isDrawn = part.origin.kind !== 'found'
      if (things.length < 2 && !isDrawn) return []
      const own = suffixOf(things[0]!)
      const suffix = suffixes.size === 0 && own !== 'Link' ? '' : own
      suffixes.add(suffix)
      const one = makeComponent(part, things, suffix, options)
      return one ? [{ things, made: one }] : []
    })
}

/** The instances of some parts in some markup, in reading order. */
const instancesIn = (
  roots: readonly MarkupElement[],
  wanted: ReadonlySet<string>,
): ReadonlyMap<string, readonly MarkupElement[]> => {
  const found = new Map<string, MarkupElement[]>()
  const look = (node: MarkupNode): void => {
    if (node.kind !== 'element') return
    if (node.part !== undefined && wanted.has(node.part)) {
      const known = found.get(node.part)
      if (known) known.push(node)
      else found.set(node.part, [node])
    }
    for (const child of node.children) look(child)
  }
  roots.forEach(look)
  return found
}

const replaceIn = (
  node: MarkupElement,
  uses: ReadonlyMap<MarkupElement, MarkupElement>,
): MarkupElement => {
  const use = uses.get(node)
  if (use) return use
  let isSame = true
  const children = node.children.map((child) => {
    if (child.kind !== 'element') return child
    const next = replaceIn(child, uses)
    isSame &&= next === child
    return next
  })
  return isSame ? node : { ...node, children }
}

/** How many parts stand in one another in each part, at most; 1 where it holds none. */
const measureDepths = (roots: readonly MarkupElement[]): ReadonlyMap<string, number> => {
  const depths = new Map<string, number>()
  const measure = (node: MarkupNode): number => {
    if (node.kind !== 'element') return 0
    const inside = node.children.reduce((most, child) => Math.max(most, measure(child)), 0)
    if (node.part === undefined) return inside
    depths.set(node.part, Math.max(depths.get(node.part) ?? 0, inside + 1))
    return inside + 1
  }
  roots.forEach(measure)
  return depths
}

/**
 * Writes parts once: takes the markup of everything that becomes a component, returns it with uses in the place of
 * instances, and a component for each part. Things that differ in what cannot be given stay written out.
 */
export const extractParts = (
  roots: readonly MarkupElement[],
  parts: readonly UiPart[],
  options: PartOptions,
): { readonly roots: readonly MarkupElement[]; readonly components: readonly PartComponent[] } => {
  // What stands in others is written first, so that those use it.
  const depths = measureDepths(roots)
  const levels = [...new Set(depths.values())].sort((a, b) => a - b)
  let current = roots
  const components: PartComponent[] = []
  for (const level of levels) {
    const own = parts.filter(({ id }) => depths.get(id) === level)
    const instances = instancesIn(current, new Set(own.map(({ id }) => id)))
    const uses = new Map<MarkupElement, MarkupElement>()
    for (const part of own) {
      for (const { things, made } of makeComponents(part, instances.get(part.id)!, options)) {
        things.forEach((thing, i) => uses.set(thing, made.uses[i]!))
        components.push(made.component)
      }
    }
    if (uses.size > 0) current = current.map((root) => replaceIn(root, uses))
  }
  return { roots: current, components }
}
