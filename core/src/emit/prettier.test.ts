import fc from 'fast-check'
import { format } from 'prettier'
import { markupTree } from '../testing/arbitrary.js'
import { printHtml } from './html/print-html.js'
import { printReturnedJsx } from './react/print-jsx.js'
import { concat, hardline, indent, type Doc } from './shared/document.js'
import type { MarkupElement, MarkupNode } from './shared/markup.js'
import { printDocument } from './shared/print-document.js'

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

const htmlFile = (tree: MarkupElement): string => print(concat([printHtml(asHtml(tree)), hardline]))

const componentFile = (tree: MarkupElement): string =>
  print(
    concat([
      'export function Page() {',
      indent(concat([hardline, 'return ', printReturnedJsx(tree), ';'])),
      hardline,
      '}',
      hardline,
    ]),
  )

const options = { numRuns: 300, seed: 20261123 }

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

  test(`in printed JSX (seed ${options.seed})`, async () => {
    await fc.assert(
      fc.asyncProperty(markupTree, async (tree) => {
        const text = componentFile(tree)
        expect(await format(text, { parser: 'typescript' })).toBe(text)
      }),
      options,
    )
  })
})
