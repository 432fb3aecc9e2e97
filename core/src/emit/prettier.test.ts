import fc from 'fast-check'
import { format } from 'prettier'
import { markupTree } from '../testing/arbitrary.js'
import { escapeWords } from './angular/quote.js'
import { printNodes, printTags } from './shared/print-tags.js'
import { printReturnedJsx } from './react/print-jsx.js'
import { concat, hardline, indent, type Doc } from './shared/document.js'
import type { MarkupElement, MarkupNode } from './shared/markup.js'
import { UniqueNames } from '../text/names.js'
import { printList } from './script/print-list.js'
import { findLists } from './shared/lists.js'
import { printDocument } from './shared/print-document.js'
import { runs } from '../testing/runs.js'

const print = (doc: Doc): string => printDocument(doc, 80).text

const asHtml = (node: MarkupNode): MarkupNode =>
  node.kind !== 'element'
    ? node
    : {
        ...node,
        attributes: node.attributes.map((a) =>
          a.name === 'className' ? { ...a, name: 'class' } : a,
        ),
        children: node.children.map(asHtml),
      }

const htmlFile = (tree: MarkupElement): string => print(concat([printTags(asHtml(tree)), hardline]))

/**
 * Boxes that hold nothing are components, and words that stand alone in an element may be the value of some code; not
 * those between other words without a space, which Prettier breaks anew each time.
 */
const asVue = (node: MarkupNode): MarkupNode => {
  if (node.kind !== 'element') return node
  const isComponent = node.tag === 'div' && node.children.length === 0
  const [only, ...others] = node.children
  const [word] = (only?.kind === 'text' && /^[a-m]\w*/.exec(only.text)) || []
  const isCode = word !== undefined && others.length === 0 && node.tag !== 'span'
  return {
    ...node,
    ...(isComponent ? { tag: 'TideTable' } : {}),
    children: isCode ? [{ kind: 'expression', code: word }] : node.children.map(asVue),
  }
}

const vueFile = (tree: MarkupElement): string => {
  const template: MarkupElement = {
    kind: 'element',
    tag: 'template',
    content: 'blocks',
    attributes: [],
    children: [asVue(asHtml(tree))],
  }
  return print(concat([printTags(template), hardline]))
}

/** As `asVue`, with elements without a dash that hold nothing, and boxes that are there only at times. */
const asAngular = (node: MarkupNode): MarkupNode => {
  if (node.kind !== 'element') return node
  const own = asVue(node)
  if (own.kind !== 'element') return own
  const tag = own.tag === 'TideTable' ? 'app-tide-table' : own.tag
  const children = node.children.map((child, i): MarkupNode => {
    const inside = own.children.length === node.children.length ? own.children[i]! : child
    const isAtTimes = i === 0 && own.content === 'blocks' && child.kind === 'element'
    const inner = inside.kind === 'element' ? asAngular(child) : inside
    return isAtTimes ? { kind: 'block', head: '@if (tide(); as tide)', children: [inner] } : inner
  })
  return { ...own, tag, children }
}

const angularFile = (tree: MarkupElement): string =>
  print(concat([printNodes([asAngular(asHtml(tree))], { escape: escapeWords }), hardline]))

const componentFile = (tree: MarkupElement, before: readonly Doc[] = []): string =>
  print(
    concat([
      ...before,
      'export function Page() {',
      indent(concat([hardline, 'return ', printReturnedJsx(tree), ';'])),
      hardline,
      '}',
      hardline,
    ]),
  )

/** A thing like another: every text differs, and where `lacks` is set some children are missing. */
const like = (node: MarkupNode, i: number, lacks: boolean): MarkupNode => {
  if (node.kind === 'text') {
    return { ...node, text: node.text.replace(/\S+/, (word) => `${word}${i}`) }
  }
  if (node.kind !== 'element') return node
  const kept = lacks && node.content === 'blocks' ? node.children.slice(1) : node.children
  return { ...node, children: kept.map((child) => like(child, i, lacks)) }
}

/** Things that are alike, as a component over a list of what they say. */
const listFile = (thing: MarkupElement, lacks: boolean): string => {
  const names = new UniqueNames('')
  const things = [0, 1, 2].map((i) => like(thing, i, lacks && i === 1))
  const root: MarkupElement = {
    kind: 'element',
    tag: 'ul',
    content: 'blocks',
    attributes: [],
    children: things,
  }
  const { markup, lists } = findLists(root, {
    nameOf: () => undefined,
    likenessOf: (classes) => classes,
    holdsClasses: true,
    takeName: (wanted) => names.take(wanted),
    takeType: (wanted) => wanted,
  })
  return componentFile(markup, lists.map(printList))
}

const options = runs(300)

describe('Prettier changes nothing', () => {
  test(`in printed HTML (seed ${options.seed})`, async () => {
    await fc.assert(
      fc.asyncProperty(markupTree, async (tree) => {
        const text = htmlFile(tree)
        expect(await format(text, { parser: 'html' })).toBe(text)
      }),
      options,
    )
  })

  test(`in printed Vue templates (seed ${options.seed})`, async () => {
    await fc.assert(
      fc.asyncProperty(markupTree, async (tree) => {
        const text = vueFile(tree)
        expect(await format(text, { parser: 'vue' })).toBe(text)
      }),
      options,
    )
  })

  test(`in printed Angular templates (seed ${options.seed})`, async () => {
    await fc.assert(
      fc.asyncProperty(markupTree, async (tree) => {
        const text = angularFile(tree)
        expect(await format(text, { parser: 'angular' })).toBe(text)
      }),
      options,
    )
  })

  test(`in printed JSX (seed ${options.seed})`, async () => {
    await fc.assert(
      fc.asyncProperty(markupTree, async (tree) => {
        const text = componentFile(tree)
        expect(await format(text, { parser: 'typescript' })).toBe(text)
      }),
      options,
    )
  })

  test(`in printed lists and loops (seed ${options.seed})`, async () => {
    await fc.assert(
      fc.asyncProperty(markupTree, fc.boolean(), async (tree, lacks) => {
        const text = listFile(tree, lacks)
        expect(await format(text, { parser: 'typescript' })).toBe(text)
      }),
      options,
    )
  })
})
