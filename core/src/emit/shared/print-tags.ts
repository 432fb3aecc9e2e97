import type { Attribute, MarkupNode } from './markup.js'
import {
  concat,
  fill,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  line,
  softline,
  span,
  type Doc,
  type GroupId,
} from './document.js'
import { escapeCode, escapeText, quoteAttribute } from './html-escape.js'
import { printRecords, printTexts } from './print-texts.js'
import {
  borrowsLastChildClosingEnd,
  borrowsNextOpeningStart,
  borrowsParentClosingStart,
  borrowsParentOpeningEnd,
  borrowsPrevClosingEnd,
  isVoid,
  lendsClosingEnd,
  toHtmlNode,
  type HtmlNode,
} from './tag-nodes.js'

/**
 * Prints tags so that Prettier leaves it as it is. White space around inline elements is part of the text,
 * so where there is none to break at, the line is broken inside a tag: the last `>` of one tag, or the
 * first part of the next, is printed by ("borrowed" by) its neighbour. The names follow that idea.
 */
const ALWAYS_BROKEN = new Set('body head html ol select table tbody thead tr ul'.split(' '))

const closingEndMarker = (node: HtmlNode): string =>
  node.kind === 'code' ? '}}' : isVoid(node) ? '/>' : '>'

const startMarker = (node: HtmlNode): string => (node.kind === 'code' ? '{{' : `<${node.tag}`)

const openingStart = (node: HtmlNode): string => openingPrefix(node) + startMarker(node)

/** What a node prints for its neighbours before its own start. */
const openingPrefix = (node: HtmlNode): string => {
  if (borrowsParentOpeningEnd(node)) return '>'
  if (borrowsPrevClosingEnd(node)) return closingEndMarker(node.prev!)
  return ''
}

/** What a node prints for its neighbours after its own end. */
const closingSuffix = (node: HtmlNode): string => {
  if (borrowsParentClosingStart(node)) return closingStart(node.parent!)
  if (borrowsNextOpeningStart(node)) return startMarker(node.next!)
  return ''
}

const closingStart = (node: HtmlNode): string => `</${node.tag}`

/** Objects, lists and texts stay with the quotes around them, all other code may have lines of its own. */
const isHuggedCode = (code: string): boolean =>
  /^[[{]/.test(code) || /^'(?:[^'\\]|\\.)*'$/.test(code) || /^`[^`]*`$/.test(code)

/** Addresses and widths, a line each where they do not fit into one, the widths below each other. */
const printSrcset = (text: string): Doc => {
  const sources = text.split(', ').map((one) => {
    const at = one.lastIndexOf(' ')
    return { address: escapeText(one.slice(0, at)), width: one.slice(at + 1) }
  })
  const longest = Math.max(...sources.map(({ address, width }) => address.length + width.length))
  const lines = sources.map(({ address, width }) =>
    concat([address, ifBreak(' '.repeat(longest - address.length - width.length + 1), ' '), width]),
  )
  return group(
    concat([
      'srcset="',
      indent(concat([softline, join(concat([',', line]), lines)])),
      softline,
      '"',
    ]),
  )
}

const printAttribute = (attribute: Attribute): Doc => {
  const { name } = attribute
  if (attribute.kind === 'text' && name === 'srcset') return printSrcset(attribute.text)
  if (attribute.kind === 'text') {
    const isBare = attribute.text === '' && name !== 'alt'
    return isBare ? name : `${name}=${quoteAttribute(attribute.text)}`
  }
  if (attribute.kind === 'classes') return `${name}=${quoteAttribute(attribute.base)}`
  if (attribute.kind === 'list') {
    const texts = attribute.texts.map(escapeCode)
    return concat([`${name}="`, printTexts(texts), '"'])
  }
  if (attribute.kind === 'records') {
    const rows = attribute.rows.map((values) => values.map(escapeCode))
    return concat([`${name}="`, printRecords(attribute.fields, rows), '"'])
  }
  if (attribute.kind === 'markup') throw new Error(`${name}: markup is no attribute of a tag`)
  const words = escapeCode(attribute.code)
  if (isHuggedCode(attribute.code)) return `${name}="${words}"`
  return group(concat([`${name}="`, indent(concat([softline, words])), softline, '"']))
}

const printAttributes = (node: HtmlNode): Doc => {
  if (node.attributes.length === 0) return isVoid(node) ? ' ' : ''
  const parts = node.attributes.map(printAttribute)
  const first = node.children[0]
  const endIsBorrowed =
    (first !== undefined && borrowsParentOpeningEnd(first)) ||
    (isVoid(node) &&
      node.parent !== undefined &&
      borrowsLastChildClosingEnd(node.parent) &&
      node.next === undefined)
  const end: Doc = endIsBorrowed ? (isVoid(node) ? ' ' : '') : isVoid(node) ? line : softline
  return concat([indent(concat([line, join(line, parts)])), end])
}

const printOpeningTag = (node: HtmlNode): Doc => {
  const first = node.children[0]
  // A tag whose start the text before it has printed goes on with its attributes.
  const start = node.prev && borrowsNextOpeningStart(node.prev) ? '' : openingStart(node)
  const end = isVoid(node) || (first && borrowsParentOpeningEnd(first)) ? '' : '>'
  return concat([start, printAttributes(node), end])
}

const printClosingTag = (node: HtmlNode): Doc => {
  const last = node.children.at(-1)
  const start =
    isVoid(node) || (last && borrowsParentClosingStart(last))
      ? ''
      : closingPrefix(node) + closingStart(node)
  const end = lendsClosingEnd(node) ? '' : closingEndMarker(node) + closingSuffix(node)
  return start + end
}

const closingPrefix = (node: HtmlNode): string =>
  borrowsLastChildClosingEnd(node) ? closingEndMarker(node.children.at(-1)!) : ''

const printText = (node: HtmlNode): Doc => {
  const words = [...node.words]
  words[0] = openingPrefix(node) + (words[0] ?? '')
  words[words.length - 1] += closingSuffix(node)
  return fill(words.flatMap((word, i): Doc[] => (i === 0 ? [word] : [line, word])))
}

/** The value of some code, on lines of its own where it does not fit. */
const printCode = (node: HtmlNode): Doc => {
  const start = node.prev && borrowsNextOpeningStart(node.prev) ? '' : openingStart(node)
  const after: Doc = node.next && borrowsPrevClosingEnd(node.next) ? ' ' : line
  const end = lendsClosingEnd(node) ? '' : closingEndMarker(node) + closingSuffix(node)
  return concat([start, indent(concat([line, node.tag])), after, end])
}

const LOOP = /^@for \((.*); (track .*)\)$/

/** What a block begins with: `@for (tide of tides; track tide.time)`, a part a line where it does not fit in one. */
const printBlockHead = (head: string): Doc => {
  const [, each, key] = LOOP.exec(head) ?? []
  if (each === undefined || key === undefined) return head
  return group(concat(['@for (', indent(concat([softline, `${each};`, line, key])), softline, ')']))
}

/** A block has lines of its own, whatever is in it. */
const printBlock = (node: HtmlNode): Doc =>
  concat([
    printBlockHead(node.tag),
    ' {',
    indent(concat([hardline, printChildren(node)])),
    hardline,
    '}',
  ])

const PRINTERS: Readonly<Record<HtmlNode['kind'], (node: HtmlNode) => Doc>> = {
  block: (node) => printBlock(node),
  code: printCode,
  element: (node) => printElement(node),
  text: printText,
}

const printChild = (node: HtmlNode): Doc => {
  const doc = PRINTERS[node.kind](node)
  return node.layer === undefined ? doc : span(node.layer, doc)
}

const prefersBreakBefore = (node: HtmlNode): boolean => node.prev?.tag === 'br'

/** What stands between two neighbours. */
const between = (prev: HtmlNode, next: HtmlNode): Doc => {
  if (prev.kind === 'text' && next.kind === 'text') {
    return prev.trailingIsSensitive ? (prev.hasTrailingSpaces ? line : '') : softline
  }
  const isGlued =
    (borrowsNextOpeningStart(prev) &&
      (next.children[0] !== undefined || isVoid(next) || next.attributes.length > 0)) ||
    (prev.kind === 'element' && isVoid(prev) && borrowsPrevClosingEnd(next))
  if (isGlued) return ''
  const isFree =
    !next.leadingIsSensitive ||
    prefersBreakBefore(next) ||
    (borrowsPrevClosingEnd(next) && prev.children.length > 0 && lastBorrowsParentClosing(prev))
  if (isFree) return hardline
  return next.hasLeadingSpaces ? line : softline
}

/** `<a><b>text</b></a>` after which nothing may break: the last child has printed the closing tag already. */
const lastBorrowsParentClosing = (node: HtmlNode): boolean => {
  const last = node.children.at(-1)
  if (last === undefined || !borrowsParentClosingStart(last)) return false
  // To Prettier a value of code holds a text of its own.
  const inner = last.children.at(-1)
  return last.kind === 'code' || (inner !== undefined && borrowsParentClosingStart(inner))
}

const printChildren = (node: HtmlNode): Doc => {
  const ids = node.children.map((_, i): GroupId => ({ name: String(i) }))
  if (ALWAYS_BROKEN.has(node.tag)) return join(hardline, node.children.map(printChild))
  return concat(
    node.children.map((child, i) => {
      if (child.kind === 'text') {
        const before = child.prev?.kind === 'text' ? between(child.prev, child) : ''
        return concat([before, printChild(child)])
      }
      const before: Doc[] = []
      const leading: Doc[] = []
      const trailing: Doc[] = []
      const after: Doc[] = []
      const previous = child.prev ? between(child.prev, child) : ''
      const following = child.next ? between(child, child.next) : ''
      if (previous !== '') {
        if (previous === hardline) before.push(hardline)
        else if (child.prev!.kind === 'text') leading.push(previous)
        else leading.push(ifBreak('', softline, ids[i - 1]))
      }
      if (following !== '') {
        if (following === hardline) {
          if (child.next!.kind === 'text') after.push(hardline)
        } else trailing.push(following)
      }
      return concat([
        ...before,
        group(
          concat([...leading, group(concat([printChild(child), ...trailing]), { id: ids[i]! })]),
        ),
        ...after,
      ])
    }),
  )
}

const printElement = (node: HtmlNode): Doc => {
  const id: GroupId = { name: 'attributes' }
  const opening = group(printOpeningTag(node), { id })
  const first = node.children[0]
  const last = node.children.at(-1)
  if (!first || !last) return group(concat([opening, printClosingTag(node)]))
  const onlyChildOnOwnLine =
    first === last &&
    first.kind !== 'text' &&
    first.hasLeadingSpaces &&
    (!last.trailingIsSensitive || last.hasTrailingSpaces)
  // Code alone in a line of text stays with its tags.
  const isHugged =
    first === last &&
    first.kind === 'code' &&
    first.leadingIsSensitive &&
    first.trailingIsSensitive &&
    !first.hasLeadingSpaces &&
    !first.hasTrailingSpaces
  if (isHugged) {
    const edge = ifBreak(softline, '', id)
    const end = lendsClosingEnd(node) ? '' : edge
    return group(
      concat([
        opening,
        ifBreak(indent(concat([softline, printChildren(node)])), printChildren(node), id),
        end,
        printClosingTag(node),
      ]),
    )
  }
  const holdsNested = node.children.some(
    (child) => child.kind === 'element' && child.children.some(({ kind }) => kind !== 'text'),
  )
  const mustBreak = ALWAYS_BROKEN.has(node.tag) || onlyChildOnOwnLine || holdsNested
  const before: Doc = first.hasLeadingSpaces && first.leadingIsSensitive ? line : softline
  const endIsBorrowed = lendsClosingEnd(node)
  const hasSpaceAtEnd = last.hasTrailingSpaces && last.trailingIsSensitive
  const after: Doc = endIsBorrowed ? (hasSpaceAtEnd ? ' ' : '') : hasSpaceAtEnd ? line : softline
  return group(
    concat([
      opening,
      indent(concat([mustBreak ? hardline : before, printChildren(node)])),
      mustBreak ? hardline : after,
      printClosingTag(node),
    ]),
  )
}

type PrintOptions = {
  /** Writes words so that they stay words. */
  readonly escape?: (text: string) => string
}

/**
 * Prints a tree of tags; the outermost element stands as if alone in its file. Loops and conditions have become
 * attributes before.
 */
export const printTags = (markup: MarkupNode, { escape = escapeText }: PrintOptions = {}): Doc =>
  printChild(toHtmlNode(markup, true, escape))

/** Prints nodes one after the other, as a file holds them. */
export const printNodes = (nodes: readonly MarkupNode[], { escape }: PrintOptions = {}): Doc =>
  printChildren(toHtmlNode({ kind: 'block', head: '', children: nodes }, true, escape))
