import { isIdleName } from '../../../design/idle-name.js'
import { toCamel, toId, toKebab, UniqueNames } from '../../../text/names.js'
import type { Looks } from '../../shared/looks.js'
import {
  isClass,
  isClassName,
  mapAttributes,
  type Attribute,
  type MarkupElement,
} from '../../shared/markup.js'
import type { Finished } from '../styling.js'

/** What is an element called that no layer names, by its tag. */
const TAG_NAMES: Readonly<Record<string, string>> = {
  a: 'link',
  button: 'button',
  footer: 'footer',
  form: 'form',
  h1: 'title',
  h2: 'heading',
  h3: 'heading',
  h4: 'heading',
  header: 'header',
  img: 'picture',
  input: 'field',
  label: 'label',
  li: 'item',
  main: 'main',
  nav: 'navigation',
  p: 'text',
  select: 'field',
  span: 'text',
  svg: 'icon',
  table: 'table',
  textarea: 'field',
  ul: 'list',
}
const LONGEST_NAME = 28

/** The class of an element that takes no part in the layout. */
export const FLAT = 'contents'
export const MESSAGES = { problems: 'form-problems', status: 'form-status' } as const
/** What others look at to see the state of the box they stand in. */
const GROUP = 'group'

/** Classes that are the same in every project, and stand in the sheet that all components share. */
export const SHARED_CLASSES: ReadonlySet<string> = new Set([
  FLAT,
  GROUP,
  ...Object.values(MESSAGES),
])

/** What one class says, as utilities. */
export type NamedRule = { readonly name: string; readonly utilities: readonly string[] }

/** How classes are spelled: by the component (`block`), the element in it, and the choice that adds them. */
export type ClassSpelling = {
  /** What stands before the number of a name that is taken. */
  readonly separator: string
  block(component: string): string
  root(block: string): string
  element(block: string, element: string): string
  /** Of a look: `place` is undefined for the whole component. */
  look(block: string, place: string | undefined, option: string): string
}

/** Readable in one sheet for all: the block is the component, the element its layer, the modifier what was chosen. */
export const blockSpelling = (blocks: UniqueNames): ClassSpelling => ({
  separator: '-',
  block: (component) => blocks.take(toId(component, 'part')),
  root: (block) => block,
  element: (block, element) => `${block}__${element}`,
  look: (block, place, option) =>
    `${block}${place === undefined ? '' : `__${toKebab(place, 'part')}`}--${toKebab(option, 'kind')}`,
})

/** Names of a module, in which nothing else is: `title`, `rustBadge`. */
export const moduleSpelling: ClassSpelling = {
  separator: '',
  block: (component) => toId(component, 'part'),
  root: () => 'root',
  element: (_block, element) => toCamel(element, 'box'),
  look: (_block, place, option) =>
    toCamel(place === undefined ? option : `${place} ${option}`, 'look'),
}

/** `Sighting card / Title` in `sighting-card` → `title`: the words of the block are said before it. */
const elementName = (layer: string | undefined, tag: string, block: string): string => {
  const own = new Set(block.split('-'))
  const words = layer === undefined || isIdleName(layer) ? [] : toKebab(layer, '').split('-')
  const left = words.filter((word) => word !== '' && !own.has(word) && !/^\d+$/.test(word))
  const name = left.slice(-2).join('-').slice(0, LONGEST_NAME)
  return name === '' ? (TAG_NAMES[tag] ?? (/^[A-Z]/.test(tag) ? 'part' : 'box')) : name
}

/** A component with readable classes, and what each of them says. */
export type Named = {
  readonly component: Finished
  readonly block: string
  readonly rules: readonly NamedRule[]
  /** Whether an element of it takes no part in the layout. */
  readonly hasFlat: boolean
}

/**
 * Gives every element of a component that has a look one class in the place of its utilities. Elements that look alike
 * share a class.
 */
export const nameClasses = (input: Finished, spelling: ClassSpelling): Named => {
  const block = spelling.block(input.name)
  const names = new UniqueNames(spelling.separator, [...SHARED_CLASSES])
  const rules: NamedRule[] = []
  let hasFlat = false
  const byTokens = new Map<string, string>()
  const add = (wanted: string, tokens: string): string => {
    const name = names.take(wanted)
    const utilities = tokens.split(' ').filter(Boolean)
    rules.push({ name, utilities })
    return utilities.includes(GROUP) ? `${name} ${GROUP}` : name
  }
  const nameFor = (tokens: string, element: string): string => {
    hasFlat ||= tokens === FLAT
    if (SHARED_CLASSES.has(tokens)) return tokens
    const found = byTokens.get(tokens)
    if (found !== undefined) return found
    const isRoot = byTokens.size === 0
    const given = add(isRoot ? spelling.root(block) : spelling.element(block, element), tokens)
    byTokens.set(tokens, given)
    return given
  }
  const rename = (attribute: Attribute, { layer, tag }: MarkupElement): Attribute => {
    if (!isClass(attribute)) return attribute
    const element = elementName(layer === undefined ? undefined : input.nameOf(layer), tag, block)
    if (attribute.kind === 'text') {
      return { ...attribute, text: attribute.text === '' ? '' : nameFor(attribute.text, element) }
    }
    if (attribute.kind !== 'classes' || attribute.base === '') return attribute
    return { ...attribute, base: nameFor(attribute.base, element) }
  }
  const markup = mapAttributes(input.markup, rename)
  const looks = (input.looks ?? []).map((look): Looks => ({
    ...look,
    classes: Object.fromEntries(
      Object.entries(look.classes).map(([option, own]) => [
        option,
        own.map((tokens, i) => {
          if (tokens === '') return ''
          const place = look.places[i] === 'whole' ? undefined : look.places[i]!
          return add(spelling.look(block, place, option), tokens)
        }),
      ]),
    ),
  }))
  const lists = (input.lists ?? []).map((list) => ({
    ...list,
    rows: list.rows.map((row) => ({
      ...row,
      values: row.values.map((value, i) =>
        isClassName(list.fields[i]!.name) && typeof value === 'string' && value !== ''
          ? nameFor(value, `${toKebab(list.item, 'item')}-place`)
          : value,
      ),
    })),
  }))
  return { component: { ...input, markup, looks, lists }, block, rules, hasFlat }
}
