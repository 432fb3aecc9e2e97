import {
  NUMBER_ATTRIBUTES,
  type Attribute,
  type MarkupElement,
  type MarkupLoop,
  type MarkupNode,
  type MarkupText,
  type MarkupWhen,
} from '../shared/markup.js'
import {
  concat,
  either,
  fill,
  group,
  hardline,
  ifBreak,
  indent,
  isHard,
  line,
  settledSoftline,
  softline,
  span,
  type Doc,
} from '../shared/document.js'
import { printValue } from '../script/print-value.js'
import { escapeText, quoteAttribute } from './escape.js'

/** Prints JSX so that Prettier leaves it as it is. */

/** A space at the end of a line would be lost, so it is written as an expression there. */
const jsxSpace: Doc = ifBreak(concat(['{" "}', softline]), ' ')

const printAttribute = (attribute: Attribute): Doc => {
  switch (attribute.kind) {
    case 'code':
      return attribute.code === 'true' ? attribute.name : `${attribute.name}={${attribute.code}}`
    case 'classes': {
      const looks = attribute.looks.map(
        ({ record, prop, place }) => `\${${record}[${prop}]${place ? `.${place}` : ''}}`,
      )
      const own = attribute.own ?? []
      const given = attribute.isPlaced ? ['${className}'] : []
      const isOne = own.length === 1 && attribute.base === '' && looks.length + given.length === 0
      if (isOne) return `${attribute.name}={${own[0]!}}`
      const all = [...own.map((one) => `\${${one}}`), attribute.base, ...looks, ...given]
      return `${attribute.name}={\`${all.filter(Boolean).join(' ')}\`}`
    }
    case 'list':
    case 'records':
      return concat([`${attribute.name}={`, printValue(attribute), '}'])
    case 'markup':
      return printShown(attribute.name, attribute.nodes)
    case 'spread':
      return `{...${attribute.code}}`
    case 'text':
      return NUMBER_ATTRIBUTES.has(attribute.name)
        ? `${attribute.name}={${Number(attribute.text)}}`
        : `${attribute.name}=${quoteAttribute(attribute.text)}`
  }
}

/** Something that is shown, as a prop: `icon={<Star />}`. */
const printShown = (name: string, nodes: readonly MarkupNode[]): Doc => {
  const [only, ...others] = nodes
  if (only?.kind === 'text' && others.length === 0) return `${name}=${quoteAttribute(only.text)}`
  const shown: MarkupElement =
    only?.kind === 'element' && others.length === 0
      ? only
      : { kind: 'element', tag: '', content: 'blocks', attributes: [], children: nodes }
  return group(
    concat([`${name}={`, indent(concat([softline, printElement(shown)])), softline, '}']),
  )
}

const isVoid = (element: MarkupElement): boolean => element.children.length === 0

const printOpeningTag = (element: MarkupElement): Doc => {
  const { tag, attributes } = element
  const closesItself = isVoid(element)
  const [only] = attributes
  if (!only) return closesItself ? `<${tag} />` : `<${tag}>`
  if (attributes.length === 1 && only.kind === 'text') {
    return group(concat([`<${tag} `, printAttribute(only), closesItself ? ' />' : '>']))
  }
  const list = attributes.map((a) => concat([line, printAttribute(a)]))
  const end = closesItself ? concat([line, '/>']) : concat([softline, '>'])
  return group(concat([`<${tag}`, indent(concat(list)), end]))
}

const closesItself = (node: MarkupNode | undefined): boolean =>
  node?.kind === 'element' && isVoid(node)

/** Between a word and the tag beside it. Next to a tag that closes itself a longer word stands alone. */
const separator = (word: string, tag: MarkupNode | undefined, otherwise: Doc): Doc => {
  if (word.length === 1) return softline
  return closesItself(tag) ? hardline : otherwise
}

/** Contents and separators by turns, as `fill` wants them. */
const textParts = (children: readonly MarkupNode[]): Doc[] => {
  const parts: Doc[] = []
  children.forEach((child, i) => {
    const next = children[i + 1]
    if (child.kind !== 'text') {
      parts.push(printNode(child))
      if (next === undefined) return
      if (next.kind !== 'text') parts.push(hardline)
      else {
        const firstWord = escapeText(next.text).trim().split(' ')[0] ?? ''
        parts.push(separator(firstWord, child, softline))
      }
      return
    }
    const words = escapeText(child.text).split(' ')
    if (words[0] === '') {
      words.shift()
      parts.push('', jsxSpace)
    }
    const endsWithSpace = words.at(-1) === ''
    if (endsWithSpace) words.pop()
    if (words.length === 0) return
    words.forEach((word, j) => parts.push(...(j === 0 ? [word] : [line, word])))
    if (endsWithSpace) parts.push(jsxSpace)
    else if (next !== undefined) parts.push(separator(words.at(-1)!, next, settledSoftline))
  })
  return parts
}

/** Drops the line ends that a written space makes needless. */
const joinSeparators = (parts: Doc[]): Doc[] => {
  const isLine = (doc: Doc | undefined): boolean =>
    doc === softline || doc === settledSoftline || doc === hardline
  for (let i = parts.length - 2; i >= 0; i--) {
    const [first, middle, last] = [parts[i], parts[i + 1], parts[i + 2]]
    if (first === '' && middle === '') parts.splice(i, 2)
    else if (isLine(first) && middle === '' && last === jsxSpace) parts.splice(i, 2)
    else if (first === jsxSpace && middle === '' && (isLine(last) || last === jsxSpace)) {
      parts.splice(i + 1, 2)
    }
  }
  return parts
}

const isText = (node: MarkupNode): boolean => node.kind === 'text' && node.text.trim() !== ''

const printWithText = (element: MarkupElement, opening: Doc, closing: Doc): Doc => {
  const parts = joinSeparators(textParts(element.children))
  const containsTag = element.children.some((c) => c.kind !== 'text')
  const mustBreak =
    isHard(opening) || containsTag || element.attributes.length > 1 || parts.some(isHard)
  const broken = parts.map((part, i): Doc => {
    if (part !== jsxSpace) return part
    if (i === 1 && parts[0] === '') return concat(['{" "}', hardline])
    return i === parts.length - 1 ? '{" "}' : part
  })
  const multiline = group(
    concat([opening, indent(concat([hardline, fill(broken)])), hardline, closing]),
  )
  if (mustBreak) return multiline
  return either(concat([opening, fill(parts), closing]), multiline)
}

/** An element whose only content is the value of some code: on one line where that fits. */
const printWithValue = (element: MarkupElement, opening: Doc, closing: Doc, value: Doc): Doc => {
  const mustBreak = isHard(opening) || element.attributes.length > 1
  const edge = mustBreak ? hardline : softline
  return group(concat([opening, indent(concat([edge, value])), edge, closing]))
}

const isCode = (node: MarkupNode): node is Exclude<MarkupNode, MarkupText | MarkupElement> =>
  node.kind !== 'text' && node.kind !== 'element'

/** Goes through a list; what it makes of each thing has a line of its own. */
const printLoop = ({ list, item, key, template }: MarkupLoop): Doc => {
  const index = key === undefined ? ', index' : ''
  const keyed = { name: 'key', kind: 'code', code: key ?? 'index' } as const
  const element = { ...template, attributes: [keyed, ...template.attributes] }
  const head = `{${list}.map((${item}${index}) => (`
  return concat([head, indent(concat([hardline, printElement(element)])), hardline, '))}'])
}

const printWhen = ({ condition, content }: MarkupWhen): Doc =>
  group(
    concat([
      `{${condition} && `,
      ifBreak('(', ''),
      indent(concat([softline, printElement(content)])),
      softline,
      ifBreak(')', ''),
      '}',
    ]),
  )

const printNode = (node: Exclude<MarkupNode, MarkupText>): Doc => {
  switch (node.kind) {
    case 'element':
      return printElement(node)
    case 'expression':
      return `{${node.code}}`
    case 'slot':
      return `{${node.name}}`
    case 'loop':
      return printLoop(node)
    case 'when':
      return printWhen(node)
    case 'block':
      throw new Error(`Only templates have blocks: ${node.head}`)
  }
}

export const printElement = (element: MarkupElement): Doc => {
  const opening = printOpeningTag(element)
  const closing = `</${element.tag}>`
  const [only, ...others] = element.children
  const isValue = only !== undefined && others.length === 0 && isCode(only)
  const doc = isVoid(element)
    ? opening
    : isValue
      ? printWithValue(element, opening, closing, printNode(only))
      : element.children.some(isText)
        ? printWithText(element, opening, closing)
        : group(
            concat([
              opening,
              indent(
                concat(
                  element.children.flatMap((c) =>
                    c.kind === 'text' ? [] : [hardline, printNode(c)],
                  ),
                ),
              ),
              hardline,
              closing,
            ]),
          )
  return element.layer === undefined ? doc : span(element.layer, doc)
}

/** Prints an element as the value of `return`: in parentheses when it takes several lines. */
export const printReturnedJsx = (element: MarkupElement): Doc =>
  group(
    concat([
      ifBreak('(', ''),
      indent(concat([softline, printElement(element)])),
      softline,
      ifBreak(')', ''),
    ]),
  )
