import { isIdleName } from '../../design/idle-name.js'
import { toCamel, UniqueNames } from '../../text/names.js'
import type { PartOptions } from './part-options.js'
import {
  code,
  isClass,
  isComponentTag,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from './markup.js'
import type { Varying } from './looks.js'
import type { ListPart, Prop, PropValue } from './prop.js'
import {
  ATTRIBUTE_NAMES,
  FLAG_NAMES,
  LONGEST_NAME,
  nameOfWords,
  PropNames,
  TAKEN_NAMES,
} from './prop-names.js'
import type { Items } from './part-items.js'
import { placesIn, type PlaceOptions } from './part-places.js'
import { classesOf, type Overlay } from './unify.js'

/** Code in attributes that means the same wherever it stands. */
const CONSTANT = /^(true|false|-?\d+(\.\d+)?|countField|scrollToPart)$/
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
/** What ties a field to its form cannot be left out by some. */
const ALWAYS_SAID = new Set(['formControlName'])
const ADDRESSES = new Set(['to', 'href'])
const MOST_PROPS = 12

export type Field = Pick<Prop, 'id' | 'name' | 'kind' | 'of' | 'only' | 'type' | 'fields'> & {
  readonly values: PropValue[]
  /** Of a flag: how it is where nothing is said. */
  readonly standard?: boolean
  /** Of a slot: what each shows. */
  readonly shown?: readonly (MarkupNode | undefined)[]
  /** Of a list: what the items of each say. */
  readonly rows?: Items['rows']
}

/** Why things cannot be one component: what differs cannot be given. */
export class NotOne extends Error {}

/** Makes a template of things laid over each other, and collects what each of them gives. Lives for one component. */
export class Template {
  readonly fields: Field[] = []
  readonly placing: string[]
  /** Classes that only some have, by the element. */
  readonly varying: Varying[] = []
  private readonly placeNames = new UniqueNames('')
  private readonly places: PlaceOptions

  constructor(
    count: number,
    private readonly partWords: ReadonlySet<string>,
    private readonly saidWords: ReadonlySet<string>,
    private readonly names: PropNames,
    private readonly options: PartOptions,
  ) {
    this.placing = Array.from({ length: count }, () => '')
    const isAbout =
      (isSo: (layer: string) => boolean) =>
      ({ layer }: MarkupElement): boolean =>
        layer !== undefined && isSo(layer)
    this.places = {
      likenessOf: (classes) => options.likenessOf(classes),
      isProperty: isAbout(
        (layer) => options.propertyOf(layer) !== undefined || options.switchOf(layer) !== undefined,
      ),
      isSlot: isAbout((layer) => options.isSlot(layer)),
    }
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
    const named = property ?? this.nameOfAll(elements)
    const words = own.cells.map((cell) => (cell?.kind === 'element' ? firstWords(cell) : undefined))
    const name = named ?? nameOfWords(words, model.tag)
    const attributes = this.attributes(elements, name, isRoot)
    const isInline = model.content === 'text'
    const children = placesIn(own, this.places).map((place): MarkupNode => {
      if (place.kind === 'items') return this.list(place.items)
      if (place.kind === 'slot') return this.slot(place.cells, isInline)
      const child = place.own
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

  /** Several items: a loop over what is given, which are texts, or things that have several each. */
  private list({ fields, rows, template }: Items): MarkupNode {
    if (this.fields.length >= MOST_PROPS) throw new NotOne()
    const named = this.names.take('items')
    const item = this.names.take('item').name
    const lines = rows.map((own) => own.map((texts) => texts.map(asCell).join('\t')))
    const values = lines.map((own) => own.join('\n'))
    const [first, ...others] = fields
    const parts = others.length > 0 ? this.listParts(fields, rows) : undefined
    const more = parts ? { fields: parts } : first!.of ? { of: first!.of } : {}
    this.fields.push({ ...named, kind: 'list', values, rows, ...more })
    // What tells all items of a thing apart names them.
    const telling = fields.findIndex((_, at) =>
      rows.every((own) => new Set(own.map((texts) => texts[at])).size === own.length),
    )
    const codeOf = (at: number): string => (parts ? `${item}.${parts[at]!.name}` : item)
    return {
      kind: 'loop',
      list: named.name,
      item,
      key: telling < 0 ? undefined : codeOf(telling),
      template: template(codeOf),
    }
  }

  /** What each thing of a list has, by the layers that say it. */
  private listParts(fields: Items['fields'], rows: Items['rows']): readonly ListPart[] {
    const names = new UniqueNames('', TAKEN_NAMES)
    return fields.map(({ in: element, of }, at) => {
      const texts = rows.flatMap((own) => own.map((one) => one[at]))
      const wanted = of?.prop ?? this.nameOf(element.layer) ?? nameOfWords(texts, element.tag)
      const name = names.take(toCamel(wanted, 'text').slice(0, LONGEST_NAME))
      return of ? { name, of } : { name }
    })
  }

  /** Each has something of its own here, and is given it. */
  private slot(cells: Overlay['cells'], isInline: boolean): MarkupNode {
    const nodes = cells.flatMap((cell) => (cell?.kind === 'element' ? [cell] : []))
    // What is asked for in a form belongs to its label, and words to those around them.
    if (isInline || nodes.length < cells.length || nodes.some(holdsControl)) throw new NotOne()
    const names = new Set(nodes.map(({ layer }) => this.nameOf(layer)))
    const [only] = names
    const wanted = nodes.every(isIcon) ? 'icon' : names.size === 1 && only ? only : 'content'
    if (this.fields.length >= MOST_PROPS) throw new NotOne()
    const named = this.names.take(wanted)
    const values = cells.map((cell) => (cell?.kind === 'element' ? nameOfNode(cell) : undefined))
    this.fields.push({ ...named, kind: 'slot', values, shown: cells })
    return { kind: 'slot', name: named.name, shows: nodes[0]! }
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
    const content = this.build(
      own,
      near,
      false,
      switched === undefined && textsIn(model).length === 1,
    )
    if (content.kind !== 'element') throw new NotOne()
    const isThere = own.cells.map((cell) => (cell ? true : undefined))
    const inside = this.fields.slice(before)
    const telling = inside.find(({ values }) =>
      values.every((value, i) => (value === undefined) === (isThere[i] === undefined)),
    )
    const condition =
      (switched === undefined ? telling?.name : undefined) ??
      this.field(
        switched?.name ?? `has ${this.nameOf(content.layer) ?? 'more'}`,
        'flag',
        isThere,
        switched && { standard: switched.standard },
      )
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
      if (['spread', 'markup', 'list', 'records'].includes(model.kind)) throw new NotOne()
      const isLacking = elements.some((element, i) => element && !all[i])
      if (isLacking && ALWAYS_SAID.has(name)) throw new NotOne()
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
      const type = model.kind === 'text' || model.kind === 'code' ? model.type : undefined
      // What a button does when it is pressed is one of few words.
      const said = [...new Set(values.filter((value) => value !== undefined))]
      const only = name === 'type' && there[0]!.tag === 'button' ? { only: said } : {}
      const more = there[0]!.foreign
        ? type === undefined
          ? {}
          : { type }
        : isUse
          ? { of: { tag: there[0]!.tag, prop: name } }
          : only
      return [code(name, this.field(wanted, isCode ? 'code' : 'text', values, more))]
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
    const place = this.placeNames.take(toCamel(isRoot ? 'whole' : near, 'part'))
    if (differs) this.varying.push({ place, rests })
    // Which choice tells of it is known when all of them are.
    const looks = differs ? [{ record: '', prop: '', place }] : []
    return [{ name: classAttribute, kind: 'classes', base, looks, isPlaced }]
  }

  field(
    wanted: string,
    kind: Field['kind'],
    values: PropValue[],
    more: Pick<Field, 'of' | 'only' | 'standard' | 'type'> = {},
  ): string {
    // The same words in two places are given once.
    const same = this.fields.find(
      (one) =>
        one.kind === kind &&
        one.of?.prop === more.of?.prop &&
        JSON.stringify(one.values) === JSON.stringify(values),
    )
    if (same) return same.name
    if (this.fields.length >= MOST_PROPS) throw new NotOne()
    const named = this.names.take(wanted)
    this.fields.push({ ...named, kind, values, ...more })
    return named.name
  }

  /** What most things call what they have at one place; undefined where each calls it otherwise. */
  private nameOfAll(elements: readonly (MarkupElement | undefined)[]): string | undefined {
    const names = elements.flatMap((element) => this.nameOf(element?.layer) ?? [])
    const counts = new Map<string, number>()
    for (const name of names) {
      const key = name.toLowerCase()
      counts.set(key, (counts.get(key) ?? 0) + 1)
    }
    const there = elements.filter((element) => element !== undefined)
    return names.find((name) => counts.get(name.toLowerCase())! * 2 > there.length)
  }

  /** The name of a layer without the words that name the whole; undefined for names that programs give. */
  private nameOf(layer: string | undefined): string | undefined {
    const name = layer === undefined ? undefined : this.options.nameOf(layer)
    if (name === undefined || isIdleName(name)) return undefined
    const words = name.split(/[^\p{L}\p{N}]+/u).filter((word) => !/^\d*$/.test(word))
    // What one of them says is no name for what all of them have.
    const isSaid = words.length > 1 && words.every((word) => this.saidWords.has(word.toLowerCase()))
    if (isSaid) return undefined
    const left = words.filter((word) => !this.partWords.has(word.toLowerCase()))
    return (left.length > 0 ? left : words).slice(0, 3).join(' ') || undefined
  }
}

/** A text as one of several on a line. */
const asCell = (text: string): string => text.replace(/[\t\n]/g, ' ')

/** All texts in something, in reading order. */
export const textsIn = (node: MarkupNode): readonly string[] =>
  node.kind === 'text' ? [node.text] : node.kind === 'element' ? node.children.flatMap(textsIn) : []

const CONTROLS: ReadonlySet<string> = new Set(['input', 'select', 'textarea'])

const holdsControl = (node: MarkupNode): boolean =>
  node.kind === 'element' && (CONTROLS.has(node.tag) || node.children.some(holdsControl))

const isIcon = ({ tag, isUse, children }: MarkupElement): boolean =>
  isComponentTag(tag) && isUse !== true && children.length === 0

/** What a thing is called that is shown in a slot. */
const nameOfNode = (node: MarkupElement): string => firstWords(node) ?? node.tag

/** Said to be so, in code or in words. */
const isTrue = (one: Attribute): boolean =>
  (one.kind === 'code' && one.code === 'true') || (one.kind === 'text' && one.text === 'true')

const firstWords = (node: MarkupNode): string | undefined => textsIn(node)[0]
