import fc from 'fast-check'
import type { Attribute, MarkupElement, MarkupNode } from '../emit/shared/markup.js'

const word = fc.oneof(
  { weight: 8, arbitrary: fc.stringMatching(/^[a-z]{1,12}$/) },
  {
    weight: 1,
    arbitrary: fc.constantFrom(
      '—',
      'é',
      '12:30',
      '&',
      '<b>',
      '{x}',
      "it's",
      '"q"',
      '/',
      '漢字',
      '”',
    ),
  },
)

const phrase = fc.array(word, { minLength: 1, maxLength: 18 }).map((words) => words.join(' '))

/** Text with or without a space at either end. */
const piece = fc
  .tuple(fc.boolean(), phrase, fc.boolean())
  .map(([before, text, after]): MarkupNode => ({
    kind: 'text',
    text: `${before ? ' ' : ''}${text}${after ? ' ' : ''}`,
  }))

const classes = fc
  .array(
    fc.constantFrom(
      'flex',
      'gap-4',
      'text-[#123456]',
      'bg-[linear-gradient(90deg,#fff_0%,#000_100%)]',
      'p-2',
    ),
    { maxLength: 6 },
  )
  .map((list): Attribute[] =>
    list.length > 0 ? [{ name: 'className', kind: 'text', text: list.join(' ') }] : [],
  )

const someClasses = classes.filter((list) => list.length > 0)

/** A run that differs has a class that says how. */
const span = fc.tuple(someClasses, phrase).map(([attributes, text]): MarkupElement => ({
  kind: 'element',
  tag: 'span',
  attributes,
  content: 'text',
  children: [{ kind: 'text', text }],
}))

const lineBreak: MarkupElement = {
  kind: 'element',
  tag: 'br',
  attributes: [],
  content: 'text',
  children: [],
}

/** Pieces, spans and breaks as a text layer gives them: no two texts beside each other, trimmed ends. */
const runs = fc
  .array(
    fc.oneof(
      { weight: 4, arbitrary: piece },
      { weight: 2, arbitrary: span },
      { weight: 1, arbitrary: fc.constant(lineBreak) },
    ),
    {
      minLength: 1,
      maxLength: 7,
    },
  )
  .map((list) => tidy(list))
  .filter((list) =>
    list.some((n) => n.kind === 'text' || (n.kind === 'element' && n.tag === 'span')),
  )

const tidy = (list: readonly MarkupNode[]): MarkupNode[] => {
  const isBreak = (node: MarkupNode | undefined): boolean =>
    node === undefined || (node.kind === 'element' && node.tag === 'br')
  const single = list.filter((node, i) => !(node.kind === 'text' && list[i - 1]?.kind === 'text'))
  const inner = single.filter(
    (node, i) => !(isBreak(node) && (i === 0 || i === single.length - 1 || isBreak(single[i - 1]))),
  )
  return inner.map((node, i) => {
    if (node.kind !== 'text') return node
    let { text } = node
    if (isBreak(inner[i - 1])) text = text.trimStart()
    if (isBreak(inner[i + 1])) text = text.trimEnd()
    return { ...node, text }
  })
}

const paragraph = fc
  .tuple(fc.constantFrom('p', 'h1', 'a'), classes, runs)
  .map(([tag, attributes, children]): MarkupElement => ({
    kind: 'element',
    tag,
    attributes,
    content: 'text',
    children,
  }))

const image = fc.tuple(classes, phrase).map(([attributes, alt]): MarkupElement => ({
  kind: 'element',
  tag: 'img',
  attributes: [
    { name: 'src', kind: 'text', text: 'a.png' },
    { name: 'alt', kind: 'text', text: alt },
    ...attributes,
  ],
  content: 'text',
  children: [],
}))

/** Trees of the shape the emitters make: boxes and links of blocks, with texts and pictures in them. */
export const markupTree: fc.Arbitrary<MarkupElement> = fc.letrec<{
  box: MarkupElement
  node: MarkupElement
}>((tie) => ({
  box: fc
    .tuple(classes, fc.array(tie('node'), { maxLength: 4 }))
    .map(([attributes, children]): MarkupElement => ({
      kind: 'element',
      tag: 'div',
      attributes,
      content: 'blocks',
      children,
    })),
  node: fc.oneof({ maxDepth: 4, depthSize: 'small' }, paragraph, image, tie('box')),
})).box
