import { isComponentTag, type Attribute, type MarkupNode } from './markup.js'
import { escapeText } from './html-escape.js'

/** An element, a text or some code with what its neighbours and the white space around it mean for printing. */
export type HtmlNode = {
  /** `code`: the value of some code, in double braces; `block`: what stands in braces after its head. */
  readonly kind: 'text' | 'element' | 'code' | 'block'
  /** Of code: what stands between the braces; of a block: its head. */
  readonly tag: string
  readonly attributes: readonly Attribute[]
  /** The words of a text, escaped. */
  readonly words: readonly string[]
  readonly layer: string | undefined
  /** It has a closing tag whatever is in it: browsers know no other way of elements that are not HTML's own. */
  readonly isClosed: boolean
  /** It is part of a drawing, in which white space shows nowhere. */
  readonly isInDrawing: boolean
  readonly parent: HtmlNode | undefined
  children: HtmlNode[]
  prev: HtmlNode | undefined
  next: HtmlNode | undefined
  /** Whether white space stands there in the source, and whether it would show. */
  hasLeadingSpaces: boolean
  hasTrailingSpaces: boolean
  leadingIsSensitive: boolean
  trailingIsSensitive: boolean
}

const INLINE = new Set(
  'a br button circle ellipse g img input label line path rect select span svg textarea'.split(' '),
)
/** They stand in a line, but white space at the ends of what is in them does not show. */
const CLOSED = new Set(['button', 'select'])
const VOID = new Set(['br', 'img', 'input', 'link', 'meta'])
/** Elements of drawings close themselves when nothing is in them. */
const SHAPES = new Set(['circle', 'ellipse', 'line', 'path', 'rect'])

/** A component, in capitals or as an element with a dash, or a shape with the name of its language before it. */
const isOwnTag = (tag: string): boolean => isComponentTag(tag) || /[-:]/.test(tag)

/** Nobody knows what components are, so they stand in the line. */
const isInline = (node: HtmlNode): boolean =>
  node.kind === 'element'
    ? (INLINE.has(node.tag) || isOwnTag(node.tag)) && !node.isInDrawing
    : node.kind !== 'block'

export const isVoid = (node: HtmlNode): boolean =>
  node.kind === 'element' &&
  !node.isClosed &&
  (VOID.has(node.tag) || SHAPES.has(node.tag) || (isOwnTag(node.tag) && node.children.length === 0))

const NOTHING: readonly never[] = []

/** Whether white space at the ends of its content shows. */
const isInlineInside = (node: HtmlNode): boolean => isInline(node) && !CLOSED.has(node.tag)

const tagOf = (markup: MarkupNode): string => {
  switch (markup.kind) {
    case 'element':
      return markup.tag
    case 'expression':
      return markup.code
    case 'block':
      return markup.head
    default:
      return ''
  }
}

/** One literal for all kinds: objects of one shape are much faster to work with. */
const createNode = (
  markup: Exclude<MarkupNode, { readonly kind: 'loop' | 'when' | 'slot' }>,
  parent: HtmlNode | undefined,
  words: readonly string[],
  hasLeadingSpaces: boolean,
  hasTrailingSpaces: boolean,
): HtmlNode => {
  const element = markup.kind === 'element' ? markup : undefined
  const tag = tagOf(markup)
  return {
    kind: markup.kind === 'expression' ? 'code' : markup.kind,
    tag,
    attributes: element?.attributes ?? NOTHING,
    words,
    layer: element?.layer,
    isClosed: element?.foreign?.framework === 'html',
    isInDrawing: tag.startsWith('svg:') || parent?.tag === 'svg' || parent?.isInDrawing === true,
    parent,
    children: [],
    prev: undefined,
    next: undefined,
    hasLeadingSpaces,
    hasTrailingSpaces,
    leadingIsSensitive: false,
    trailingIsSensitive: false,
  }
}

/** Tells the children of a node about each other. */
const linkChildren = (node: HtmlNode): void => {
  const { children } = node
  children.forEach((child, i) => {
    child.prev = children[i - 1]
    child.next = children[i + 1]
  })
  for (const child of children) {
    const { prev, next } = child
    // White space belongs to the text that has it; the neighbour sees it as its own.
    // A line end in the source after <br> cannot be seen.
    if (prev?.tag === 'br' || (prev?.kind === 'text' && prev.hasTrailingSpaces)) {
      child.hasLeadingSpaces = true
    }
    if ((child.tag === 'br' && next) || (next?.kind === 'text' && next.hasLeadingSpaces)) {
      child.hasTrailingSpaces = true
    }
    child.leadingIsSensitive = isInline(child) && (prev ? isInline(prev) : isInlineInside(node))
    child.trailingIsSensitive = isInline(child) && (next ? isInline(next) : isInlineInside(node))
  }
}

/** Builds the nodes of a tree. `isSpaced`: white space stands around it and does not show. */
export const toHtmlNode = (
  markup: MarkupNode,
  isSpaced: boolean,
  escape: (text: string) => string = escapeText,
  parent?: HtmlNode,
): HtmlNode => {
  if (markup.kind === 'loop' || markup.kind === 'when' || markup.kind === 'slot') {
    throw new Error(`It is an attribute of a tag: ${markup.kind}`)
  }
  if (markup.kind === 'expression') {
    const code = createNode(markup, parent, NOTHING, isSpaced, isSpaced)
    // What stands between the braces ends as a text does.
    code.children.push(createNode({ kind: 'text', text: '' }, code, NOTHING, true, true))
    return code
  }
  if (markup.kind === 'text') {
    const escaped = escape(markup.text)
    const words = escaped.split(' ').filter((word) => word !== '')
    const leading = isSpaced || escaped.startsWith(' ')
    return createNode(markup, parent, words, leading, isSpaced || escaped.endsWith(' '))
  }
  const node = createNode(markup, parent, NOTHING, isSpaced, isSpaced)
  const isInsideSpaced = markup.kind === 'block' || markup.content === 'blocks'
  for (const child of markup.children) {
    node.children.push(toHtmlNode(child, isInsideSpaced, escape, node))
  }
  linkChildren(node)
  return node
}

const lastDescendant = (node: HtmlNode): HtmlNode => {
  const last = node.children.at(-1)
  return last ? lastDescendant(last) : node
}

export const borrowsNextOpeningStart = (node: HtmlNode): boolean =>
  node.next !== undefined &&
  node.next.kind !== 'text' &&
  node.kind === 'text' &&
  node.trailingIsSensitive &&
  !node.hasTrailingSpaces

export const borrowsPrevClosingEnd = (node: HtmlNode): boolean =>
  node.prev !== undefined &&
  node.prev.kind !== 'text' &&
  node.leadingIsSensitive &&
  !node.hasLeadingSpaces

export const borrowsParentOpeningEnd = (node: HtmlNode): boolean =>
  node.prev === undefined &&
  node.parent !== undefined &&
  node.leadingIsSensitive &&
  !node.hasLeadingSpaces

export const borrowsLastChildClosingEnd = (node: HtmlNode): boolean => {
  const last = node.children.at(-1)
  return (
    last !== undefined &&
    last.trailingIsSensitive &&
    !last.hasTrailingSpaces &&
    lastDescendant(last).kind !== 'text'
  )
}

export const borrowsParentClosingStart = (node: HtmlNode): boolean =>
  node.next === undefined &&
  !node.hasTrailingSpaces &&
  node.trailingIsSensitive &&
  lastDescendant(node).kind === 'text'

/** Whether the end of a node's closing tag is printed by its next sibling or by its parent. */
export const lendsClosingEnd = (node: HtmlNode): boolean =>
  node.next
    ? borrowsPrevClosingEnd(node.next)
    : node.parent !== undefined && borrowsLastChildClosingEnd(node.parent)
