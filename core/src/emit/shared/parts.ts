import { isIdleName } from '../../design/idle-name.js'
import { toCamel, UniqueNames } from '../../text/names.js'
import type { UiPart } from '../../ui/nodes.js'
import {
  code,
  isClass,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from './markup.js'
import { describeLooks, type Looks, type Varying } from './looks.js'
import { classesOf, overlay, type Overlay } from './unify.js'

/** What a component is given. */
export type Prop = {
  readonly name: string
  readonly kind: 'text' | 'code' | 'flag' | 'choice' | 'classes'
  /** Of a choice: what may be chosen. */
  readonly options?: readonly string[]
  /** Uses that say nothing have this. */
  readonly standard?: string | boolean
  readonly isOptional: boolean
  /** It is handed on to a component inside, as this. */
  readonly of?: { readonly tag: string; readonly prop: string }
}

export type PartComponent = {
  readonly id: string
  /** In words. */
  readonly name: string
  readonly tag: string
  readonly props: readonly Prop[]
  readonly looks: readonly Looks[]
  readonly markup: MarkupElement
  /** What each instance is given, in the order of the props. */
  readonly uses: readonly {
    readonly layer: string | undefined
    readonly values: readonly Value[]
  }[]
}

export type PartOptions = {
  /** The property of the design's component that a text layer shows. */
  propertyOf(layer: string): string | undefined
  /** The property of the design's component that shows and hides a layer. */
  switchOf(layer: string): string | undefined
  /** What a layer is called. */
  nameOf(layer: string): string | undefined
  /** The values of the variant properties of an instance, by its layer. */
  variantOf(layer: string): Readonly<Record<string, string>>
  /** Whether a class says where a thing stands and how much room it takes there. */
  isPlacing(className: string): boolean
  /** What classes say beside how lines break, which depends on the words. */
  likenessOf(classes: string): string
  /** What the component of a part is called in code; the suffix tells it from others of the part. */
  tagOf(part: UiPart, suffix: string): string
  /** The name of the attribute that has classes. */
  readonly classAttribute: string
}

type Value = string | boolean | undefined
type Field = Pick<Prop, 'name' | 'kind' | 'of'> & { readonly values: Value[] }

/** Code in attributes that means the same wherever it stands. */
const CONSTANT = /^(true|false|-?\d+(\.\d+)?|countField|scrollToPart)$/
/** What a component is called inside, by the attribute that is given. */
const ATTRIBUTE_NAMES: Readonly<Record<string, string>> = {
  src: 'picture',
  alt: 'alternative',
  to: 'address',
  href: 'address',
  'aria-label': 'label',
  htmlFor: 'id',
  for: 'id',
  'aria-describedby': 'helpId',
  defaultValue: 'value',
  placeholder: 'hint',
  defaultChecked: 'isOn',
}
/** Attributes of which a component may be given a different text for each use. */
const GIVEN = new Set([
  ...Object.keys(ATTRIBUTE_NAMES),
  'id',
  'name',
  'value',
  'aria-controls',
  'aria-current',
  'type',
])
const ADDRESSES = new Set(['to', 'href'])
const TAKEN =
  'key ref class className children default new delete in for if else return function const let var switch case this super import export props'.split(
    ' ',
  )
const MOST_PROPS = 12
const LONGEST_NAME = 18

const TAG_NAMES: Readonly<Record<string, string>> = {
  label: 'label',
  dt: 'term',
  dd: 'description',
  figcaption: 'caption',
  button: 'label',
  option: 'option',
}

/** What words are by how they are written, where nothing names them. */
const nameOfWords = (values: readonly Value[], tag: string): string => {
  const said = values.filter((value): value is string => typeof value === 'string')
  const are = (pattern: RegExp): boolean => said.every((one) => pattern.test(one.trim()))
  if (/^h[1-6]$/.test(tag)) return 'title'
  if (TAG_NAMES[tag]) return TAG_NAMES[tag]
  if (are(/^\d{1,2}[:.]\d{2}$/)) return 'time'
  if (are(/^[€$£¥]\s?\d|\d\s?[€$£¥]$/)) return 'price'
  if (are(/^[\d+−-]/)) return 'value'
  return 'text'
}

/** Why things cannot be one component: what differs cannot be given. */
class NotOne extends Error {}

/** Makes a template of things laid over each other, and collects what each of them gives. Lives for one component. */
class Template {
  readonly fields: Field[] = []
  readonly placing: string[]
  /** Classes that only some have, by the element. */
  readonly varying: Varying[] = []
  private readonly names = new UniqueNames('', TAKEN)
  private readonly places = new UniqueNames('')

  constructor(
    count: number,
    private readonly partWords: ReadonlySet<string>,
    private readonly options: PartOptions,
  ) {
    this.placing = Array.from({ length: count }, () => '')
  }

  /** `isGiven`: the words in it are a property of the design's component, whether they differ or not. */
  build(own: Overlay, near = '', isRoot = false, isGiven = false): MarkupNode {
    const model = own.cells.find((cell) => cell !== undefined)!
    if (model.kind === 'text') {
      const values = own.cells.map((cell) => (cell?.kind === 'text' ? cell.text : undefined))
      const isSame =
        !isGiven && values.every((value) => value === undefined || value === model.text)
      return isSame ? model : { kind: 'expression', code: this.field(near, 'text', values) }
    }
    if (model.kind !== 'element') {
      const isSame = own.cells.every(
        (cell) => !cell || JSON.stringify(cell) === JSON.stringify(model),
      )
      if (!isSame) throw new NotOne()
      return model
    }
    const elements = own.cells.map((cell) => (cell?.kind === 'element' ? cell : undefined))
    if (elements.some((one) => one && one.tag !== model.tag)) throw new NotOne()
    const property = model.layer === undefined ? undefined : this.options.propertyOf(model.layer)
    const named = property ?? this.nameOf(model.layer)
    const words = own.cells.map((cell) => (cell?.kind === 'element' ? firstWords(cell) : undefined))
    const name = named ?? nameOfWords(words, model.tag)
    const attributes = this.attributes(elements, name, isRoot)
    const isInline = model.content === 'text'
    if (areAlternatives(own)) throw new NotOne()
    const children = own.children.map((child): MarkupNode => {
      const isEverywhere = child.cells.every((cell, i) => cell !== undefined || !elements[i])
      const isGivenHere = isGiven || (property !== undefined && own.children.length === 1)
      if (isEverywhere) return this.build(child, name, false, isGivenHere)
      // Words between other words have no place of their own.
      if (isInline) throw new NotOne()
      return this.optional(child, name)
    })
    const { part: _part, ...rest } = model
    return { ...rest, attributes, children }
  }

  /** What only some have is there when its words are given, or when a flag says so. */
  private optional(own: Overlay, near: string): MarkupNode {
    const before = this.fields.length
    const model = own.cells.find((cell) => cell !== undefined)!
    const switched =
      model.kind === 'element' && model.layer !== undefined
        ? this.options.switchOf(model.layer)
        : undefined
    // What is there for its words alone is there when they are given.
    const content = this.build(own, near, false, switched === undefined && countTexts(model) === 1)
    if (content.kind !== 'element') throw new NotOne()
    const isThere = own.cells.map((cell) => (cell ? true : undefined))
    const inside = this.fields.slice(before)
    const telling = inside.find(({ values }) =>
      values.every((value, i) => (value === undefined) === (isThere[i] === undefined)),
    )
    const condition =
      (switched === undefined ? telling?.name : undefined) ??
      this.field(switched ?? `has ${this.nameOf(content.layer) ?? 'more'}`, 'flag', isThere)
    return { kind: 'when', condition, content }
  }

  private attributes(
    elements: readonly (MarkupElement | undefined)[],
    near: string,
    isRoot: boolean,
  ): readonly Attribute[] {
    const there = elements.filter((element) => element !== undefined)
    const names = [...new Set(there.flatMap((element) => element.attributes.map((a) => a.name)))]
    return names.flatMap((name): Attribute[] => {
      const all = elements.map((element) => element?.attributes.find((one) => one.name === name))
      const model = all.find((one) => one !== undefined)!
      if (isClass(model)) return this.classes(elements, near, isRoot)
      // Where a thing leads is its user's affair, wherever those that are drawn happen to lead.
      const isAddress = isRoot && model.kind === 'text' && ADDRESSES.has(name)
      const isSame =
        !isAddress &&
        elements.every((element, i) => !element || JSON.stringify(all[i]) === JSON.stringify(model))
      const isUse = there.some((element) => element.isUse)
      if (isSame) {
        const isFree = model.kind !== 'code' || CONSTANT.test(model.code) || name === 'src' || isUse
        if (!isFree) throw new NotOne()
        return [model]
      }
      if (model.kind === 'spread') throw new NotOne()
      if (all.every((one) => one === undefined || isTrue(one))) {
        return [
          code(
            name,
            this.field(
              FLAG_NAMES[name] ?? name,
              'flag',
              all.map((one) => one && true),
            ),
          ),
        ]
      }
      const kinds = new Set(all.flatMap((one) => (one ? [one.kind] : [])))
      if (kinds.size > 1 || (!GIVEN.has(name) && !isUse)) throw new NotOne()
      const isCode = model.kind === 'code'
      if (isCode && name !== 'src' && !isUse) throw new NotOne()
      const values = all.map((one) =>
        one?.kind === 'text' ? one.text : one?.kind === 'code' ? one.code : undefined,
      )
      const wanted = isUse ? name : (ATTRIBUTE_NAMES[name] ?? name)
      const of = isUse ? { tag: there[0]!.tag, prop: name } : undefined
      return [code(name, this.field(wanted, isCode ? 'code' : 'text', values, of))]
    })
  }

  /** Classes all have, and those of some: where the whole stands is given, what else differs is a look. */
  private classes(
    elements: readonly (MarkupElement | undefined)[],
    near: string,
    isRoot: boolean,
  ): Attribute[] {
    const { isPlacing, likenessOf, classAttribute } = this.options
    const lists = elements.map((element) => element && classesOf(element))
    const there = lists.filter((list) => list !== undefined)
    const inAll = (name: string): boolean => there.every((list) => list.includes(name))
    // Where lines break for some, they may break for all.
    const careful = there.reduce((a, b) => (b.length > a.length ? b : a))
    const isAlike = there.every(
      (list) => likenessOf(list.join(' ')) === likenessOf(careful.join(' ')),
    )
    if (isAlike && !isRoot) return [text(classAttribute, careful.join(' '))]
    const common = careful.filter(inAll)
    const placed = lists.map((list) =>
      isRoot && list ? list.filter((name) => !inAll(name) && isPlacing(name)).join(' ') : '',
    )
    const isPlaced = placed.some((list) => list !== '')
    if (isPlaced) placed.forEach((list, i) => (this.placing[i] = list))
    const rests = lists.map((list) =>
      list?.filter((name) => !inAll(name) && !(isRoot && isPlacing(name))).join(' '),
    )
    const base = common.join(' ')
    const differs = new Set(rests.filter((rest) => rest !== undefined)).size > 1
    if (!differs && !isPlaced) return base === '' ? [] : [text(classAttribute, base)]
    const parts = [base]
    if (differs) {
      const place = this.places.take(toCamel(isRoot ? 'whole' : near, 'part'))
      this.varying.push({ place, rests })
      parts.push(`\${${LOOK_MARK}${place}}`)
    }
    if (isPlaced) parts.push('${className}')
    return [code(classAttribute, `\`${parts.filter(Boolean).join(' ')}\``)]
  }

  field(wanted: string, kind: Field['kind'], values: Value[], of?: Prop['of']): string {
    // The same words in two places are given once.
    const same = this.fields.find(
      (one) =>
        one.kind === kind &&
        one.of?.prop === of?.prop &&
        JSON.stringify(one.values) === JSON.stringify(values),
    )
    if (same) return same.name
    if (this.fields.length >= MOST_PROPS) throw new NotOne()
    const name = this.takeName(wanted)
    this.fields.push({ name, kind, values, ...(of ? { of } : {}) })
    return name
  }

  takeName(wanted: string): string {
    const own = toCamel(wanted, 'text').slice(0, LONGEST_NAME)
    return this.names.take(TAKEN.includes(own) ? `${own}Text` : own)
  }

  /** The name of a layer without the words that name the whole; undefined for names that programs give. */
  private nameOf(layer: string | undefined): string | undefined {
    const name = layer === undefined ? undefined : this.options.nameOf(layer)
    if (name === undefined || isIdleName(name)) return undefined
    const words = name.split(/[^\p{L}\p{N}]+/u).filter((word) => !/^\d*$/.test(word))
    const left = words.filter((word) => !this.partWords.has(word.toLowerCase()))
    return (left.length > 0 ? left : words).slice(0, 3).join(' ') || undefined
  }
}

/** Whether all have something at one place, but not the same kind of thing: a select here, a field there. */
const areAlternatives = ({ cells, children }: Overlay): boolean =>
  children.some((child, i) => {
    const next = children[i + 1]
    return (
      next !== undefined &&
      cells.every(
        (cell, row) =>
          !cell || (child.cells[row] === undefined) !== (next.cells[row] === undefined),
      )
    )
  })

const FLAG_NAMES: Readonly<Record<string, string>> = {
  required: 'isRequired',
  disabled: 'isDisabled',
  defaultChecked: 'isOn',
  open: 'isOpen',
  'aria-invalid': 'isInvalid',
}

/** Said to be so, in code or in words. */
const isTrue = (one: Attribute): boolean =>
  (one.kind === 'code' && one.code === 'true') || (one.kind === 'text' && one.text === 'true')

/** Stands in code where the classes of a look come, until that is named. */
const LOOK_MARK = 'look.'

const countTexts = (node: MarkupNode): number =>
  node.kind === 'text'
    ? 1
    : node.kind === 'element'
      ? node.children.reduce((sum, child) => sum + countTexts(child), 0)
      : 0

const firstWords = (node: MarkupNode): string | undefined => {
  if (node.kind === 'text') return node.text
  if (node.kind !== 'element') return undefined
  for (const child of node.children) {
    const found = firstWords(child)
    if (found !== undefined) return found
  }
  return undefined
}

/** Puts the name of the looks where their mark stands. */
const nameMarks = (node: MarkupNode, by: (place: string) => string): MarkupNode => {
  if (node.kind === 'when')
    return { ...node, content: nameMarks(node.content, by) as MarkupElement }
  if (node.kind !== 'element') return node
  return {
    ...node,
    attributes: node.attributes.map((one) =>
      one.kind === 'code' && one.code.includes(`\${${LOOK_MARK}`)
        ? {
            ...one,
            code: one.code.replace(/\$\{look\.(\w+)\}/g, (_, place: string) => by(place)),
          }
        : one,
    ),
    children: node.children.map((child) => nameMarks(child, by)),
  }
}

const asAttribute = (prop: Prop, value: Value): Attribute[] => {
  if (value === undefined || (value === '' && prop.kind === 'classes')) return []
  if (value === prop.standard) return []
  switch (prop.kind) {
    case 'code':
      return [code(prop.name, String(value))]
    case 'flag':
      return value === true ? [code(prop.name, 'true')] : []
    default:
      return [text(prop.name, String(value))]
  }
}

type Made = {
  readonly component: PartComponent
  /** By the number of the instance. */
  readonly uses: readonly MarkupElement[]
}

const makeComponent = (
  part: UiPart,
  instances: readonly MarkupElement[],
  suffix: string,
  options: PartOptions,
): Made | undefined => {
  const words = new Set(part.name.toLowerCase().split(/[^\p{L}\p{N}]+/u))
  const template = new Template(instances.length, words, options)
  let built: MarkupElement
  try {
    built = template.build(overlay(instances), '', true) as MarkupElement
  } catch (error) {
    if (error instanceof NotOne) return undefined
    throw error
  }
  const { varying, fields, placing } = template
  const variants = instances.map(({ layer }) => options.variantOf(layer ?? ''))
  const described = describeLooks(varying, variants, (wanted) => template.takeName(wanted))
  if (!described) return undefined
  const { looks } = described
  const markup = nameMarks(built, (place) =>
    looks
      .filter(({ places }) => places.includes(place))
      .map(({ name, prop, places }) =>
        places.length === 1 ? `\${${name}[${prop}]}` : `\${${name}[${prop}].${place}}`,
      )
      .join(' '),
  )
  const choices = described.choices.map(
    ({ prop, options: names, standard, values }): { prop: Prop; values: readonly Value[] } => ({
      prop: { name: prop, kind: 'choice', options: names, standard, isOptional: true },
      values,
    }),
  )
  const given = fields.map(
    ({ name, kind, values, of }): { prop: Prop; values: readonly Value[] } => ({
      prop: {
        name,
        kind,
        ...(of ? { of } : {}),
        isOptional: kind === 'flag' || values.includes(undefined),
        ...(kind === 'flag' ? { standard: false } : {}),
      },
      values,
    }),
  )
  const isPlaced = placing.some((list) => list !== '')
  const all = [
    ...given,
    ...choices,
    ...(isPlaced
      ? [
          {
            prop: { name: 'className', kind: 'classes', standard: '', isOptional: true } as Prop,
            values: placing as readonly Value[],
          },
        ]
      : []),
  ]
  const tag = options.tagOf(part, suffix)
  return {
    component: {
      id: part.id,
      name: part.name,
      tag,
      props: all.map(({ prop }) => prop),
      looks,
      markup: markup as MarkupElement,
      uses: instances.map(({ layer }, i) => ({
        layer,
        values: all.map(({ values }) => values[i]),
      })),
    },
    uses: instances.map(({ layer, content: _content }, i) => ({
      kind: 'element',
      tag,
      content: 'blocks',
      isUse: true,
      ...(layer === undefined ? {} : { layer }),
      attributes: all.flatMap(({ prop, values }) => asAttribute(prop, values[i])),
      children: [],
    })),
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
