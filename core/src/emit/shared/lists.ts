import { isIdleName } from '../../design/idle-name.js'
import { capitalise, isTakenName, singular, toCamel, UniqueNames } from '../../text/names.js'
import { isClass, spread, type Attribute, type MarkupElement, type MarkupNode } from './markup.js'

/** A field of the things in a list: text, or code such as an imported picture; some have none. */
export type ListField = {
  readonly name: string
  readonly kind: 'text' | 'code' | 'flag'
  readonly isOptional: boolean
  /** What else it may be, as code says it. */
  readonly type?: string
  /** Of what a component is given: the component, and the name it has there. */
  readonly of?: { readonly tag: string; readonly prop: string }
}

export type ListRow = {
  /** The layer the thing was drawn as. */
  readonly layer: string | undefined
  readonly values: readonly (string | boolean | undefined)[]
}

/** Things that are alike but for their words and pictures: what differs, thing by thing. */
export type DataList = {
  /** `recentSightings`, `sighting` and `Sighting`. */
  readonly name: string
  readonly item: string
  readonly type: string
  /** The things are what this component is given. */
  readonly uses?: string
  readonly fields: readonly ListField[]
  readonly rows: readonly ListRow[]
}

export type ListOptions = {
  /** The name of a layer. */
  nameOf(layer: string): string | undefined
  /** What classes say beside how lines break, which depends on the words. */
  likenessOf(classes: string): string
  /** Whether data may say where things stand. */
  readonly holdsClasses: boolean
  /** Makes a name that is free in the file. */
  takeName(wanted: string): string
  takeType(wanted: string): string
}

const LEAST_THINGS = 3
const LONGEST_NAME = 18
/** Attributes whose text may differ from thing to thing. */
const VARYING = new Set(['to', 'href', 'src', 'alt', 'aria-label'])
const camel = (words: string, fallback: string): string =>
  toCamel(words, fallback).slice(0, LONGEST_NAME)

const plural = (word: string): string =>
  word.endsWith('y') ? `${word.slice(0, -1)}ies` : word.endsWith('s') ? `${word}List` : `${word}s`

const isHeading = (node: MarkupNode | undefined): node is MarkupElement =>
  node?.kind === 'element' && /^h[1-6]$/.test(node.tag)

const wordsIn = (node: MarkupNode): string =>
  node.kind === 'text'
    ? node.text
    : node.kind === 'element'
      ? node.children.map(wordsIn).join(' ')
      : ''

/** Whether two nodes can be one template: the same elements, whatever they say; parts of one may lack in the other. */
const isAlike = (a: MarkupNode, b: MarkupNode, options: ListOptions): boolean => {
  if (a.kind === 'text' && b.kind === 'text') return true
  if (a.kind !== 'element' || b.kind !== 'element') return false
  if (a.tag !== b.tag || a.content !== b.content || a.isUse !== b.isUse) return false
  if (a.foreign) return isAlikeForeign(a, b, options)
  if (a.isUse) return isSameBeside(a, b, options)
  if (a.attributes.length !== b.attributes.length) return false
  const isSame = a.attributes.every((one, i) => isSameAttribute(one, b.attributes[i]!, options))
  if (!isSame) return false
  const [more, fewer] = a.children.length >= b.children.length ? [a, b] : [b, a]
  // Words between other words have no place of their own.
  if (a.content === 'text' && a.children.length !== b.children.length) return false
  return align(more.children, fewer.children, options) !== undefined
}

/** What data cannot say of a component must be the same in all: what is shown in it, and in some targets where it stands. */
const isSameBeside = (
  a: MarkupElement,
  b: MarkupElement,
  { holdsClasses }: ListOptions,
): boolean => {
  const isBeside = (one: Attribute): boolean =>
    one.kind === 'markup' ||
    one.kind === 'list' ||
    one.kind === 'records' ||
    (isClass(one) && !holdsClasses)
  const beside = ({ attributes }: MarkupElement): string =>
    JSON.stringify(attributes.filter(isBeside))
  return beside(a) === beside(b)
}

/** Components of the codebase are given the same kinds of things: what is shown in them must be the same. */
const isAlikeForeign = (a: MarkupElement, b: MarkupElement, options: ListOptions): boolean => {
  return (
    isSameBeside(a, b, options) &&
    a.children.length === b.children.length &&
    a.children.every((child, i) => isAlike(child, b.children[i]!, options))
  )
}

const isSameAttribute = (a: Attribute, b: Attribute, { likenessOf }: ListOptions): boolean => {
  if (a.name !== b.name || a.kind !== b.kind) return false
  if (VARYING.has(a.name)) return true
  if (isClass(a) && a.kind === 'text' && b.kind === 'text') {
    return likenessOf(a.text) === likenessOf(b.text)
  }
  return JSON.stringify(a) === JSON.stringify(b)
}

/** For each of the first the one of the second that takes its place; undefined when some have no place. */
const align = (
  more: readonly MarkupNode[],
  fewer: readonly MarkupNode[],
  options: ListOptions,
): readonly (MarkupNode | undefined)[] | undefined => {
  let next = 0
  const found = more.map((node) => {
    const other = fewer[next]
    if (!other || !isAlike(node, other, options)) return undefined
    next++
    return other
  })
  return next === fewer.length ? found : undefined
}

/** Figures are values, everything else is text. */
const nameOfValues = (texts: readonly (string | undefined)[]): string =>
  texts.every((text) => text === undefined || /^[\d+−-]/.test(text.trim())) ? 'value' : 'text'

/** The words that all names begin with. */
const commonStart = (names: readonly string[]): string => {
  const [first = [], ...others] = names.map((name) => name.split(/[\s_-]+/))
  const length = first.findIndex((word, i) => others.some((words) => words[i] !== word))
  return (length < 0 ? first : first.slice(0, length)).join(' ')
}

type Value = string | boolean | undefined
type Open = {
  name: string
  kind: ListField['kind']
  values: Value[]
  of?: ListField['of']
  type?: string
}

/** What an attribute says, as data. */
const valueOf = (attribute: Attribute | undefined): Value =>
  attribute?.kind === 'text'
    ? attribute.text
    : attribute?.kind === 'code'
      ? attribute.code === 'true' || attribute.code
      : undefined

/** The names of all attributes some uses of a component have, in order. */
const namesOf = (uses: readonly (MarkupElement | undefined)[]): readonly string[] => [
  ...new Set(uses.flatMap((use) => use?.attributes.map(({ name }) => name) ?? [])),
]

const attributeOf = (use: MarkupElement | undefined, name: string): Attribute | undefined =>
  use?.attributes.find((one) => one.name === name)

/** What an attribute of a component of the codebase may be. */
const typeOfAttribute = (one: Attribute): { readonly type?: string } =>
  (one.kind === 'text' || one.kind === 'code') && one.type !== undefined ? { type: one.type } : {}

/** What a component of the codebase has that is not told: in data, all things say all of it. */
const unsaidIn = ({ foreign }: MarkupElement, name: string, kind: ListField['kind']): Value => {
  const standard = foreign?.props.find((prop) => prop.name === name)?.standard
  if (typeof standard === 'number') return String(standard)
  return standard ?? (foreign && kind === 'flag' ? false : undefined)
}

const kindOf = (attributes: readonly (Attribute | undefined)[]): ListField['kind'] =>
  attributes.some((one) => one?.kind === 'text')
    ? 'text'
    : attributes.every((one) => one === undefined || valueOf(one) === true)
      ? 'flag'
      : 'code'

/** Makes one template of things that are alike, and collects what differs. Lives for one list. */
class Template {
  readonly fields: Open[] = []
  private depth = 0
  private readonly names = new UniqueNames('', ['key', 'class', 'default', 'new', 'delete', 'in'])

  constructor(
    private readonly item: string,
    private readonly options: ListOptions,
  ) {}

  /** `near`: what is known of the things around, for what has no name of its own; the whole thing has none. */
  build(nodes: readonly (MarkupNode | undefined)[], near?: string): MarkupNode {
    const model = nodes.find((node) => node !== undefined)!
    if (model.kind === 'text') {
      const texts = nodes.map((node) => (node?.kind === 'text' ? node.text : undefined))
      const isSame = texts.every((one) => one === undefined || one === model.text)
      return isSame
        ? model
        : { kind: 'expression', code: this.field(near ?? nameOfValues(texts), 'text', texts) }
    }
    if (model.kind !== 'element') return model
    const elements = nodes.map((node) => (node?.kind === 'element' ? node : undefined))
    if (model.isUse) return this.use(elements, model)
    const widest = elements.reduce((a, b) =>
      (b?.children.length ?? -1) > (a?.children.length ?? -1) ? b : a,
    )!
    const isWhole = this.depth++ === 0
    const own = isWhole ? undefined : (this.nameOf(model.layer) ?? near)
    const attributes = model.attributes.map((attribute, i) =>
      this.attribute(
        attribute,
        elements.map((element) => element?.attributes[i]),
        own,
      ),
    )
    const columns = elements.map((element) =>
      element
        ? align(widest.children, element.children, this.options)!
        : widest.children.map(() => undefined),
    )
    const children = widest.children.map((_, i) => {
      const column = columns.map((one) => one[i])
      const isEverywhere = column.every((node, row) => node !== undefined || !elements[row])
      return isEverywhere ? this.build(column, own) : this.optional(column, own)
    })
    return { ...model, attributes, children }
  }

  /** A component is given what differs from thing to thing. */
  private use(uses: readonly (MarkupElement | undefined)[], model: MarkupElement): MarkupElement {
    const attributes = namesOf(uses).map((name): Attribute => {
      const all = uses.map((use) => attributeOf(use, name))
      const first = all.find((one) => one !== undefined)!
      const isSame = all.every(
        (one, i) => !uses[i] || JSON.stringify(one) === JSON.stringify(first),
      )
      if (isSame) return first
      const more = model.foreign ? typeOfAttribute(first) : { of: { tag: model.tag, prop: name } }
      const kind = kindOf(all)
      const unsaid = unsaidIn(model, name, kind)
      const values = all.map((one, i) => (uses[i] ? (valueOf(one) ?? unsaid) : undefined))
      return { name, kind: 'code', code: this.field(name, kind, values, more) }
    })
    if (!model.foreign) return { ...model, attributes }
    const children = model.children.map((_, i) => this.build(uses.map((use) => use?.children[i])))
    return { ...model, attributes, children }
  }

  /** What only some things have is shown by a field of its own, or by the first that differs in it. */
  private optional(column: readonly (MarkupNode | undefined)[], near?: string): MarkupNode {
    const before = this.fields.length
    const content = this.build(column, near)
    if (content.kind !== 'element') return content
    const inside = this.fields.slice(before)
    const [first] = inside
    const said = this.nameOf(content.layer) ?? wordsIn(content)
    const name =
      first?.name ??
      this.take(
        `has ${said}`,
        column.map((node) => (node ? true : undefined)),
      )
    return { kind: 'when', condition: `${this.item}.${name}`, content }
  }

  private take(wanted: string, values: (string | boolean | undefined)[]): string {
    const name = this.names.take(camel(wanted, 'hasPart'))
    this.fields.push({ name, kind: 'flag', values })
    return name
  }

  private attribute(
    model: Attribute,
    all: readonly (Attribute | undefined)[],
    near: string | undefined,
  ): Attribute {
    const values = all.map((one) =>
      one?.kind === 'text' ? one.text : one?.kind === 'code' ? one.code : undefined,
    )
    const present = values.filter((value) => value !== undefined)
    if (isClass(model) && model.kind === 'text') {
      // Where lines break for some of the things, they may break for all.
      const careful = present.reduce((a, b) => (b.length > a.length ? b : a), model.text)
      return { ...model, text: careful }
    }
    if (!VARYING.has(model.name) || new Set(present).size <= 1) return model
    const wanted = { src: 'picture', alt: 'alternative', to: 'address', href: 'address' }[
      model.name
    ]
    const kind = model.kind === 'code' ? 'code' : 'text'
    return {
      name: model.name,
      kind: 'code',
      code: this.field(wanted ?? near ?? 'text', kind, values),
    }
  }

  private field(
    wanted: string,
    kind: ListField['kind'],
    values: Value[],
    more: Pick<Open, 'of' | 'type'> = {},
  ): string {
    // The same words in two places are one field.
    const same = this.fields.find(
      (one) => one.kind === kind && JSON.stringify(one.values) === JSON.stringify(values),
    )
    if (same) return `${this.item}.${same.name}`
    const own = camel(wanted, 'text')
    const base = own === this.item ? 'text' : own
    const name = this.names.take(base.length < 3 ? `${base}Text` : base)
    this.fields.push({ name, kind, values, ...more })
    return `${this.item}.${name}`
  }

  /** The name of a layer without the words that name the whole thing; undefined for names that programs give. */
  private nameOf(layer: string | undefined): string | undefined {
    const name = layer === undefined ? undefined : this.options.nameOf(layer)
    if (name === undefined || isIdleName(name)) return undefined
    const own = name.split(/[^\p{L}\p{N}]+/u).filter((word) => !/^\d*$/.test(word))
    const left = own.filter((word) => singular(word.toLowerCase()) !== this.item.toLowerCase())
    return (left.length > 0 ? left : own).slice(-2).join(' ') || undefined
  }
}

/** The things from a place on that are alike; none when they are too few, or writing them once saves nothing. */
const findRun = (
  children: readonly MarkupNode[],
  from: number,
  options: ListOptions,
): readonly MarkupElement[] => {
  const first = children[from]!
  if (first.kind !== 'element' || !(first.isUse || isWorth(first))) return []
  let to = from + 1
  while (to < children.length && isAlike(first, children[to]!, options)) to++
  return to - from >= LEAST_THINGS ? (children.slice(from, to) as MarkupElement[]) : []
}

/** Whether writing it once saves something: a thing of several elements that says something. */
const isWorth = (node: MarkupElement): boolean =>
  node.children.some((child) => child.kind === 'element') &&
  (wordsIn(node).trim() !== '' || holdsUse(node))

const holdsUse = (node: MarkupNode): boolean =>
  node.kind === 'element' && (node.isUse === true || node.children.some(holdsUse))

/** What a list is called: by the heading before it, else by the layers of its things. */
const nameList = (
  heading: string | undefined,
  things: readonly MarkupElement[],
  { nameOf }: ListOptions,
): { readonly name: string; readonly item: string } => {
  const names = things
    .map(({ layer }) => (layer === undefined ? '' : (nameOf(layer) ?? '')))
    .map((name) => name.replace(/[\s_-]*\d+$/, '').trim())
  const start = commonStart(names)
  const [first] = things
  // What a component is called, it is called everywhere; names of layers may say nothing.
  const own = first?.isUse
    ? first.tag
    : [start, names[0]!].find((name) => name !== '' && !isIdleName(name))
  if (heading !== undefined && heading.split(/\s+/).length <= 3) {
    const name = camel(heading, 'things')
    const last = heading.trim().split(/\s+/).at(-1)!
    const item = camel(singular(last.toLowerCase()), 'thing')
    if (item !== name) return { name, item }
  }
  const item = camel(singular(own ?? 'thing'), 'thing')
  return { name: plural(item), item }
}

/**
 * Writes things that are alike but for their words once, and what they say as data. Takes the markup of a component;
 * returns it with loops, and the lists these go through. Things with ids of their own, such as fields, stay as they are.
 */
export const findLists = (
  root: MarkupElement,
  options: ListOptions,
): { readonly markup: MarkupElement; readonly lists: readonly DataList[] } => {
  const lists: DataList[] = []
  /** A list of what a component is given: a loop gives it all at once. */
  const makeUses = (uses: readonly MarkupElement[], name: string, item: string): MarkupNode => {
    const [first] = uses
    const columns = namesOf(uses).map((own) => ({
      own,
      all: uses.map((use) => attributeOf(use, own)),
    }))
    const isSame = (all: readonly (Attribute | undefined)[]): boolean =>
      all.every((one) => JSON.stringify(one) === JSON.stringify(all[0]))
    const given = columns.filter(({ all }) => !isSame(all))
    const fields = given.map(({ own, all }): ListField => ({
      name: own,
      kind: kindOf(all),
      isOptional: all.includes(undefined),
    }))
    const rows = uses.map(({ layer }, i): ListRow => ({
      layer,
      values: given.map(({ all }) => valueOf(all[i])),
    }))
    const key = fields.findIndex(
      ({ kind }, at) =>
        kind === 'text' && new Set(rows.map(({ values }) => values[at])).size === rows.length,
    )
    const rest = columns.filter(({ all }) => isSame(all)).map(({ all }) => all[0]!)
    const props = `${first!.tag}Props`
    const said = rest.map((one) => JSON.stringify(one.name)).join(' | ')
    const type = said === '' ? props : `Omit<${props}, ${said}>`
    lists.push({ name, item, type, uses: first!.tag, fields, rows })
    return {
      kind: 'loop',
      list: name,
      item,
      key: key < 0 ? undefined : `${item}.${fields[key]!.name}`,
      template: { ...first!, attributes: [spread(item), ...rest] },
    }
  }
  const makeList = (things: readonly MarkupElement[], heading: string | undefined): MarkupNode => {
    const named = nameList(heading, things, options)
    const [name, item] = [options.takeName(named.name), options.takeName(named.item)]
    // What all are given alike is said in the loop; the rest is data.
    if (things[0]!.isUse && !things[0]!.foreign) return makeUses(things, name, item)
    const template = new Template(item, options)
    const built = template.build(things) as MarkupElement
    const fields = template.fields.map(({ name: field, kind, values, of, type }): ListField => ({
      name: field,
      kind,
      isOptional: values.includes(undefined),
      ...(of ? { of } : {}),
      ...(type === undefined ? {} : { type }),
    }))
    const rows = things.map(({ layer }, i): ListRow => ({
      layer,
      values: template.fields.map(({ values }) => values[i]),
    }))
    const key = template.fields.find(
      ({ kind, values }) => kind === 'text' && new Set(values).size === values.length,
    )
    const pascal = capitalise(item)
    const type = options.takeType(isTakenName(pascal) ? `${pascal}Item` : pascal)
    lists.push({ name, item, type, fields, rows })
    return {
      kind: 'loop',
      list: name,
      item,
      key: key ? `${item}.${key.name}` : undefined,
      template: built,
    }
  }
  const visit = (element: MarkupElement): MarkupElement => {
    if (element.content === 'text') return element
    const children: MarkupNode[] = []
    let heading: string | undefined
    for (let i = 0; i < element.children.length; i++) {
      const child = element.children[i]!
      if (isHeading(child)) heading = wordsIn(child)
      const things = findRun(element.children, i, options)
      const differ = new Set(things.map((one) => JSON.stringify({ ...one, layer: 0 }))).size > 1
      if (differ) {
        children.push(makeList(things, heading))
        i += things.length - 1
      } else if (things.length > 0) {
        // Things that are the same to the letter are no data.
        children.push(...things.map(visit))
        i += things.length - 1
      } else children.push(child.kind === 'element' ? visit(child) : child)
    }
    return { ...element, children }
  }
  return { markup: visit(root), lists }
}
