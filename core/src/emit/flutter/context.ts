import type { DataList } from '../shared/lists.js'
import type { Looks } from '../shared/looks.js'
import { isClass, type Attribute, type MarkupElement, type MarkupNode } from '../shared/markup.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import type { Said } from './boxes.js'
import { quoteDart, raw, type Dart } from './dart.js'
import { dartName } from './names.js'
import { readTokens, slotOf, tokensIn } from './tokens.js'
import { saidWithin, type ValueContext } from './values-of.js'

/** What pressing something does, by the name of its handler. */
export type Handlers = ReadonlyMap<string, Dart>

/**
 * What something stands in: a row or a column, where it may take the room that is left; columns or lines, where it may
 * not, and lines have no end below; or whoever uses the component that it is the root of, and may size it.
 */
export type Holder = 'flex' | 'columns' | 'lines' | 'user' | 'sizing user'

export type WidgetContext = ValueContext & {
  readonly looks: readonly Looks[]
  readonly parts: ReadonlyMap<string, PartComponent>
  /** Sections and parts of several screens, by the names of their components: what each is made of. */
  readonly units: ReadonlyMap<string, MarkupElement>
  /** The files of icons, by their tags. */
  readonly icons: ReadonlyMap<string, string>
  /** What the component is given, by name. */
  readonly props: ReadonlyMap<string, Prop>
  readonly handlers: Handlers
  /** Panels that are shown over the page, by their ids: the component of each. */
  readonly panels: ReadonlyMap<string, string>
  /** Parts of the page that links lead to. */
  readonly anchors: ReadonlySet<string>
  /** Menus that are folded away, by their ids. */
  readonly menus: ReadonlyMap<string, MarkupElement>
  /** Menus that are components of their own, by their ids: the name of each. */
  readonly menuUnits: ReadonlyMap<string, string>
  /** Hears of components that are shown over the page. */
  readonly opened: Set<string>
  /** The words that name controls, by what the id of a control is made of. */
  readonly labels: ReadonlyMap<string, MarkupNode>
  /** Hears of the files of helpers that are needed. */
  readonly helpers: Set<string>
  readonly lists: readonly DataList[]
  /** The form something stands in, by the name of its answers. */
  readonly form?: string
  /** Fields of things in lists that say whether something is so. */
  readonly flags: ReadonlySet<string>
  /** Fields of things in lists that some lack. */
  readonly optional: ReadonlySet<string>
  /** Components whose uses say how large they are. */
  readonly sizedByUse: ReadonlySet<string>
  /** What holds it; a row or a column when absent. */
  readonly holder?: Holder
  /** Components that are shown by what is pressed, and stand nowhere. */
  readonly skipped: ReadonlySet<string>
  /** What is at hand under a name of its own: `sighting.note` → `note`. */
  readonly renamed: ReadonlyMap<string, string>
}

export const attributeOf = (element: MarkupElement, name: string): Attribute | undefined =>
  element.attributes.find((one) => one.name === name)

/** The words an attribute has, as Dart: a text in quotes, or code. */
export const wordsOf = (
  element: MarkupElement,
  name: string,
  context: WidgetContext,
): string | undefined => {
  const found = attributeOf(element, name)
  if (found?.kind === 'text') return quoteDart(found.text)
  return found?.kind === 'code' ? readCode(found.code, context) : undefined
}

export const textOf = (element: MarkupElement, name: string): string | undefined => {
  const found = attributeOf(element, name)
  return found?.kind === 'text' ? found.text : undefined
}

/** The names of Dart for what is given, or for a field of a thing in a list. */
const fieldNames = (code: string): string =>
  /^[a-z]\w*(\.\w+)?$/.test(code) && !/^(true|false|null)$/.test(code)
    ? code.split('.').map(dartName).join('.')
    : code

/** What an id is: the same words, or the same code. */
export const idOf = (attribute: Attribute): string =>
  attribute.kind === 'text'
    ? `'${attribute.text}'`
    : attribute.kind === 'code'
      ? attribute.code
      : ''

/** Code as the component has it: what was looked at before is at hand. */
export const readCode = (code: string, { renamed }: WidgetContext): string =>
  renamed.get(code) ?? fieldNames(code).replaceAll('!==', '!=').replaceAll('===', '==')

/** Whether something is said of an element: always, or as the component is told. */
export const flagOf = (
  element: MarkupElement,
  name: string,
  context: WidgetContext,
): string | undefined => {
  const found = attributeOf(element, name)
  if (!found) return undefined
  return found.kind === 'code' ? readCode(found.code, context) : 'true'
}

/** What the classes of an element say of its look, in the windows in which it is shown. */
export const saidOf = (element: MarkupElement, context: WidgetContext): Said =>
  saidWithin(readTokens(element.attributes.find(isClass), context.looks), context)

const classOf = (element: MarkupElement): Attribute =>
  element.attributes.find(isClass) ?? { kind: 'text', name: 'class', text: '' }

/** What a component's root is said to be like, whatever the component is given. */
const rootTokens = (root: MarkupElement, context: WidgetContext): readonly string[] => {
  const own = placingClass(root, context)
  const said = readTokens(own, context.looks)
  return tokensIn(own).filter((token) => said.get(slotOf(token))?.kind !== 'chosen')
}

/** The classes that place an element: of a component first those of its root, then those of its use. */
const placingClass = (element: MarkupElement, context: WidgetContext): Attribute => {
  const part = context.parts.get(element.tag)
  const unit = context.units.get(element.tag)
  const own = classOf(element)
  const root = part
    ? rootTokens(part.markup, { ...context, looks: part.looks })
    : unit && rootTokens(unit, context)
  if (!root) return own
  const all = [...root, ...tokensIn(own)].join(' ')
  return own.kind === 'classes' ? { ...own, base: all } : { kind: 'text', name: 'class', text: all }
}

/**
 * Where an element stands in what holds it: of a component also what its root says of that, unless it depends on what
 * the component is given.
 */
export const placingOf = (element: MarkupElement, context: WidgetContext): Said =>
  saidWithin(readTokens(placingClass(element, context), context.looks), context)

/** Whether code may have no value where it stands: what is given at times, and was not looked at before. */
export const isMaybe = (code: string, { props, optional, renamed }: WidgetContext): boolean => {
  if (renamed.has(code)) return false
  const prop = props.get(code)
  if (!prop) return optional.has(code)
  return prop.kind !== 'flag' && prop.isOptional && prop.standard === undefined
}

/** Code as a text that is always there. */
export const readText = (code: string, context: WidgetContext): string =>
  isMaybe(code, context) ? `${readCode(code, context)} ?? ''` : readCode(code, context)

/** The key by which a link, or a preview, finds what an element became. */
const keyOf = (element: MarkupElement, { anchors }: WidgetContext): string | undefined => {
  const layer = textOf(element, 'data-layer')
  if (layer !== undefined) return `ValueKey(${quoteDart(layer)})`
  const id = textOf(element, 'id')
  return id !== undefined && anchors.has(id) ? `GlobalObjectKey(${quoteDart(id)})` : undefined
}

/** A widget that knows its layer, with the key it has to have. */
export const marked = (own: Dart, element: MarkupElement, context: WidgetContext): Dart => {
  if (own.kind !== 'call') return own
  const key = keyOf(element, context)
  const args = key === undefined ? own.args : [{ name: 'key', value: raw(key) }, ...own.args]
  return { ...own, args, layer: element.layer }
}
