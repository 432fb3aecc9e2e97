import { toKebab, UniqueNames } from '../../../text/names.js'
import type { UiProject } from '../../../ui/index.js'
import type { Looks } from '../../shared/looks.js'
import {
  isClass,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../../shared/markup.js'
import { isIdleName } from '../../../design/idle-name.js'
import type { Finished, Styling, StylingOptions } from '../styling.js'
import { createTailwind } from '../tailwind/index.js'
import { ENTRANCE_KEYFRAMES } from '../tailwind/motion.js'
import { RESET } from './reset.js'
import { printRule } from './sheet.js'

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

/** These are the same in every project. */
const FLAT = 'contents'
const MESSAGES = { problems: 'form-problems', status: 'form-status' } as const
const GIVEN: ReadonlySet<string> = new Set([FLAT, ...Object.values(MESSAGES)])

/** `Sighting card / Title` in `sighting-card` → `title`: the words of the block are said before it. */
const elementName = (layer: string | undefined, tag: string, block: string): string => {
  const own = new Set(block.split('-'))
  const words = layer === undefined || isIdleName(layer) ? [] : toKebab(layer, '').split('-')
  const left = words.filter((word) => word !== '' && !own.has(word) && !/^\d+$/.test(word))
  const name = left.slice(-2).join('-').slice(0, LONGEST_NAME)
  return name === '' ? (TAG_NAMES[tag] ?? (/^[A-Z]/.test(tag) ? 'part' : 'box')) : name
}

type Section = { readonly block: string; readonly rules: string[] }

/**
 * Plain CSS with custom properties for tokens, and a readable class for every element that has a look: the block is the
 * component, the element its layer. Elements of one component that look alike share a class.
 */
export const createCss = (project: UiProject, options: StylingOptions): Styling => {
  const base = createTailwind(project, options)
  const blocks = new UniqueNames('-', [FLAT, ...Object.values(MESSAGES), 'group'])
  const sections: Section[] = []
  let hasFlat = false
  let hasMessages = false
  const variables = (): ReadonlySet<string> =>
    new Set(base.theme.declarations().flatMap((line) => /^--([\w-]+):/.exec(line)?.[1] ?? []))
  const finish = (input: Finished): Finished => {
    const block = blocks.take(toKebab(input.name, 'part'))
    const names = new UniqueNames('-')
    const known = variables()
    const section: Section = { block, rules: [] }
    sections.push(section)
    const byTokens = new Map<string, string>()
    const add = (name: string, tokens: string): string => {
      const classes = tokens.split(' ').filter(Boolean)
      section.rules.push(printRule(name, classes, known))
      return classes.includes('group') ? `${name} group` : name
    }
    const nameFor = (tokens: string, element: string): string => {
      hasFlat ||= tokens === FLAT
      if (GIVEN.has(tokens)) return tokens
      const found = byTokens.get(tokens)
      if (found !== undefined) return found
      const isRoot = byTokens.size === 0
      const name = isRoot ? block : `${block}__${names.take(element)}`
      const given = add(name, tokens)
      byTokens.set(tokens, given)
      return given
    }
    const rename = (attribute: Attribute, element: string): Attribute => {
      if (attribute.kind === 'markup') return { ...attribute, nodes: attribute.nodes.map(visit) }
      if (!isClass(attribute)) return attribute
      if (attribute.kind === 'text') {
        return { ...attribute, text: attribute.text === '' ? '' : nameFor(attribute.text, element) }
      }
      if (attribute.kind !== 'classes' || attribute.base === '') return attribute
      return { ...attribute, base: nameFor(attribute.base, element) }
    }
    const visit = (node: MarkupNode): MarkupNode => {
      switch (node.kind) {
        case 'element': {
          const layer = node.layer === undefined ? undefined : input.nameOf(node.layer)
          const element = elementName(layer, node.tag, block)
          return {
            ...node,
            attributes: node.attributes.map((one) => rename(one, element)),
            children: node.children.map(visit),
          }
        }
        case 'loop':
          return { ...node, template: visit(node.template) as MarkupElement }
        case 'when':
          return { ...node, content: visit(node.content) as MarkupElement }
        case 'block':
          return { ...node, children: node.children.map(visit) }
        default:
          return node
      }
    }
    const markup = visit(input.markup) as MarkupElement
    const looks = (input.looks ?? []).map((look): Looks => ({
      ...look,
      classes: Object.fromEntries(
        Object.entries(look.classes).map(([option, own]) => [
          option,
          own.map((tokens, i) => {
            if (tokens === '') return ''
            const place = look.places[i] === 'whole' ? '' : `__${toKebab(look.places[i]!, 'part')}`
            return add(`${block}${names.take(`${place}--${toKebab(option, 'kind')}`)}`, tokens)
          }),
        ]),
      ),
    }))
    const lists = (input.lists ?? []).map((list) => ({
      ...list,
      rows: list.rows.map((row) => ({
        ...row,
        values: row.values.map((value, i) =>
          isClassField(list.fields[i]!.name) && typeof value === 'string' && value !== ''
            ? nameFor(value, `${toKebab(list.item, 'item')}-place`)
            : value,
        ),
      })),
    }))
    return { ...input, markup, looks, lists }
  }
  return {
    ...base,
    id: 'css',
    classes: new Set(),
    flat() {
      hasFlat = true
      return [FLAT]
    },
    message(kind) {
      hasMessages = true
      return [MESSAGES[kind]]
    },
    finish,
    stylesheet() {
      const known = variables()
      const theme = base.theme.declarations()
      const parts = [
        ...options.fonts,
        RESET.trimEnd(),
        ...(theme.length > 0
          ? [`:root {\n${theme.map((line) => `  ${line.replaceAll('\n', '\n  ')}`).join('\n')}\n}`]
          : []),
        base.theme.modeRules().trim(),
        ...(base.theme.hasEntrance() ? [ENTRANCE_KEYFRAMES] : []),
        ...(hasFlat ? [printRule(FLAT, [FLAT], known)] : []),
        ...(hasMessages
          ? [
              printRule(MESSAGES.problems, ['empty:hidden', 'text-sm', 'text-red-800'], known),
              printRule(MESSAGES.status, ['empty:hidden', 'text-sm'], known),
            ]
          : []),
        ...sections.flatMap(({ block, rules }) =>
          rules.length === 0 ? [] : [`/* ${block} */`, ...rules],
        ),
      ]
      return `${parts.filter((part) => part !== '').join('\n\n')}\n`
    },
  }
}

const isClassField = (name: string): boolean => name === 'class' || name === 'className'
