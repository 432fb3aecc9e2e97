import { posix } from 'node:path'
import { toPascal, type CodeProp, type PartialNode, type PartialText } from '@unimorph/core'
import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5'
import type { SourceFile } from '../files.js'
import type { Findings, FoundComponent } from '../found.js'
import { eventNamed, slotNamed } from '../props.js'
import { saidBy } from './read-elements.js'

type Node = DefaultTreeAdapterTypes.ChildNode
type Element = DefaultTreeAdapterTypes.Element

/** What a partial cannot be read for, and where in its file. */
class Unreadable extends Error {
  constructor(
    message: string,
    readonly line: number | undefined,
  ) {
    super(message)
  }
}

/** A comment that begins a file and says what the markup below it is given. */
const DOCUMENTED = /^\s*<!--([\s\S]*?)-->/

/** `{{{content}}}`, `{{title}}`, `{{#isUrgent}}`, `{{^isUrgent}}`, `{{/isUrgent}}`, `{{! a remark }}`: logic-less, as an open format has it. */
const MARK = /\{\{\{\s*([\w.-]+)\s*\}\}\}|\{\{\s*([#^/>!&]?)\s*([^{}]*?)\s*\}\}/g

type Mark =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'slot' | 'value' | 'when' | 'unless' | 'end'; readonly name: string }

/** What stands in a text, one after the other. */
const marksIn = (text: string, line: number | undefined): readonly Mark[] => {
  const marks: Mark[] = []
  let at = 0
  for (const found of text.matchAll(MARK)) {
    const [whole, slot, sign, name = ''] = found
    if (found.index > at) marks.push({ kind: 'text', text: text.slice(at, found.index) })
    at = found.index + whole.length
    if (slot !== undefined) marks.push({ kind: 'slot', name: slot })
    else if (sign === '>')
      throw new Unreadable(`${whole}: a partial in a partial is not read.`, line)
    else if (sign === '#') marks.push({ kind: 'when', name })
    else if (sign === '^') marks.push({ kind: 'unless', name })
    else if (sign === '/') marks.push({ kind: 'end', name })
    else if (sign === '&') marks.push({ kind: 'slot', name })
    else if (sign !== '!') marks.push({ kind: 'value', name })
  }
  if (at < text.length) marks.push({ kind: 'text', text: text.slice(at) })
  return marks
}

/** Puts what stands between the beginning and the end of a section into it. */
const fold = <Piece>(
  pieces: readonly (Piece | Mark)[],
  make: {
    isMark(piece: Piece | Mark): piece is Mark
    plain(mark: Exclude<Mark, { kind: 'when' | 'unless' | 'end' }>): readonly Piece[]
    section(when: string, is: boolean, inside: readonly Piece[]): Piece
  },
  line: number | undefined,
): readonly Piece[] => {
  const stack: { readonly name: string; readonly is: boolean; readonly inside: Piece[] }[] = []
  let open: Piece[] = []
  const top = open
  for (const piece of pieces) {
    if (!make.isMark(piece)) open.push(piece)
    else if (piece.kind === 'when' || piece.kind === 'unless') {
      const inside: Piece[] = []
      stack.push({ name: piece.name, is: piece.kind === 'when', inside })
      open = inside
    } else if (piece.kind === 'end') {
      const last = stack.pop()
      if (last?.name !== piece.name) {
        throw new Unreadable(`{{/${piece.name}}} ends nothing that begins beside it.`, line)
      }
      open = stack.at(-1)?.inside ?? top
      open.push(make.section(last.name, last.is, last.inside))
    } else open.push(...make.plain(piece))
  }
  const left = stack.at(-1)
  if (left) throw new Unreadable(`{{#${left.name}}} does not end beside where it begins.`, line)
  return top
}

const textsOf = (text: string, line: number | undefined): readonly PartialText[] =>
  fold<PartialText>(
    marksIn(text, line),
    {
      isMark: (piece): piece is Mark => typeof piece === 'object' && 'kind' in piece,
      plain: (mark) => [mark.kind === 'text' ? mark.text : { value: mark.name }],
      section: (when, is, texts) => ({ when, is, texts }),
    },
    line,
  )

const lineOf = ({ sourceCodeLocation }: Node): number | undefined => sourceCodeLocation?.startLine

const readElement = (element: Element): PartialNode => {
  const { tagName, attrs } = element
  const line = lineOf(element)
  const attributes = attrs.flatMap(({ name, value }) => {
    if (name.includes('{{')) {
      throw new Unreadable(
        `${name}: what is given may stand in the value of an attribute, not among attributes.`,
        line,
      )
    }
    // Handlers in attributes would run in the pages that are delivered.
    return /^on/i.test(name) ? [] : [{ name, texts: textsOf(value, line) }]
  })
  return { kind: 'element', tag: tagName, attributes, nodes: readNodes(element.childNodes) }
}

const readNodes = (nodes: readonly Node[]): readonly PartialNode[] => {
  const first = nodes[0]
  const pieces = nodes.flatMap((node): readonly (PartialNode | Mark)[] => {
    if (node.nodeName === '#text' && 'value' in node) {
      // White space is a space wherever a browser shows it as one.
      return marksIn(node.value.replace(/\s+/g, ' '), lineOf(node))
    }
    // Scripts of the codebase are files of their own.
    if (!('tagName' in node) || node.tagName === 'script') return []
    return [readElement(node)]
  })
  return fold<PartialNode>(
    pieces,
    {
      // Only elements were read already.
      isMark: (piece): piece is Mark => piece.kind !== 'element',
      plain: (mark) => {
        if (mark.kind === 'slot') return [{ kind: 'slot', name: mark.name }]
        return [{ kind: 'text', texts: [mark.kind === 'text' ? mark.text : { value: mark.name }] }]
      },
      section: (when, is, inside) => ({ kind: 'when', when, is, nodes: inside }),
    },
    first && lineOf(first),
  )
}

const isSpace = (node: PartialNode): boolean =>
  node.kind === 'text' && node.texts.every((text) => typeof text === 'string' && text.trim() === '')

/** The names that are asked for, to be shown as text or as markup. */
const namesIn = (nodes: readonly PartialNode[]): ReadonlyMap<string, 'slot' | 'prop'> => {
  const found = new Map<string, 'slot' | 'prop'>()
  const lookAt = (texts: readonly PartialText[]): void => {
    for (const text of texts) {
      if (typeof text === 'string') continue
      const name = 'value' in text ? text.value : text.when
      if (!found.has(name)) found.set(name, 'prop')
      if ('when' in text) lookAt(text.texts)
    }
  }
  const look = (node: PartialNode): void => {
    if (node.kind === 'text') lookAt(node.texts)
    if (node.kind === 'slot') found.set(node.name, 'slot')
    if (node.kind === 'when' && !found.has(node.when)) found.set(node.when, 'prop')
    if (node.kind === 'element') node.attributes.forEach(({ texts }) => lookAt(texts))
    if ('nodes' in node) node.nodes.forEach(look)
  }
  nodes.forEach(look)
  return found
}

/** What it is given: as its comment says, and what its markup asks for besides. */
const propsOf = (comment: string, nodes: readonly PartialNode[]): readonly CodeProp[] => {
  const asked = namesIn(nodes)
  const said = saidBy(comment, true).map((prop): CodeProp => {
    const name = prop.as === 'slot' && prop.name === 'default' ? 'children' : prop.name
    return asked.get(name) === 'slot'
      ? { ...prop, ...slotNamed(name), isRequired: false }
      : { ...prop, name }
  })
  const more = [...asked].flatMap(([name, as]): CodeProp[] => {
    if (said.some((prop) => prop.name === name)) return []
    if (as === 'slot') return [slotNamed(name)]
    return [{ name, type: { kind: 'string', text: 'string' }, as: 'prop', isRequired: false }]
  })
  return [...said, ...more]
}

const aboutOf = (comment: string): string | undefined =>
  comment
    .trim()
    .split(/\n\s*(?:\n|@)/)[0]!
    .replace(/^@.*/, '')
    .replace(/\s+/g, ' ')
    .trim() || undefined

/** Whether a file begins with a comment that says what it is given. */
export const isPartial = ({ path, text }: Pick<SourceFile, 'path' | 'text'>): boolean =>
  path.endsWith('.html') && /@(?:param|slot|partial)\b/.test(DOCUMENTED.exec(text)?.[1] ?? '')

/**
 * A documented partial: an HTML file that begins with a comment in which `@param {type} name` and `@slot name` say what it is
 * given and `@sheet path` which style sheet it needs. In its markup `{{name}}` stands for a text, `{{{name}}}` for
 * what is shown there, and `{{#name}}…{{/name}}` and `{{^name}}…{{/name}}` for what is there only with it, or without.
 */
export const readPartial = ({
  path,
  text,
}: Pick<SourceFile, 'path' | 'text'>): Partial<Findings> => {
  const [whole, comment = ''] = DOCUMENTED.exec(text)!
  // Lines keep their numbers.
  const markup = whole.replace(/[^\n]/g, '') + text.slice(whole.length)
  try {
    const { childNodes } = parseFragment(markup, { sourceCodeLocationInfo: true })
    const partial = readNodes(childNodes).filter((node) => !isSpace(node))
    const [root, ...others] = partial
    const isPressed = root?.kind === 'element' && others.length === 0 && root.tag === 'button'
    const props = propsOf(comment, partial)
    const sheets = [...comment.matchAll(/@sheet\s+(\S+)/g)].map(([, sheet]) =>
      posix.join(posix.dirname(path), sheet!),
    )
    const about = aboutOf(comment)
    const component: FoundComponent = {
      name: toPascal(posix.basename(path, '.html'), 'Partial'),
      framework: 'html',
      path,
      exported: 'default',
      partial: [...partial],
      ...(sheets.length > 0 ? { sheets } : {}),
      props: [...props, ...(isPressed ? [eventNamed('click', 'Event')] : [])],
      ...(about === undefined ? {} : { about }),
      ...(/@deprecated\b/.test(comment) ? { isDeprecated: true } : {}),
    }
    return { components: [component] }
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error
    const { message, line } = error
    return { notes: [{ path, message, ...(line === undefined ? {} : { line }) }] }
  }
}
