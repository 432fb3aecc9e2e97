import { concat, hardline, indent } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import { iconAttributes, type Icon } from '../shared/icons.js'
import { spread, type Attribute, type MarkupElement, type MarkupNode } from '../shared/markup.js'
import { printDocument } from '../shared/print-document.js'
import { printReturnedJsx } from './print-jsx.js'

const PRINT_WIDTH = 80

/** `stroke-width` → `strokeWidth`; what is about accessibility keeps its dash. */
const toProp = (attribute: Attribute): Attribute =>
  attribute.kind === 'spread' || attribute.name.startsWith('aria-')
    ? attribute
    : {
        ...attribute,
        name: attribute.name.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase()),
      }

const toJsx = (node: MarkupNode): MarkupNode =>
  node.kind !== 'element'
    ? node
    : { ...node, attributes: node.attributes.map(toProp), children: node.children.map(toJsx) }

/** A component that draws an icon; what it is given is passed on to its `svg` element. */
export const buildIconFile = (icon: Icon): EmittedFile => {
  const svg: MarkupElement = {
    kind: 'element',
    tag: 'svg',
    content: 'blocks',
    attributes: [...iconAttributes(icon).map(toProp), spread('props')],
    children: icon.shapes.map(toJsx),
  }
  const document = concat([
    'import type { SVGProps } from "react";',
    hardline,
    hardline,
    `export function ${icon.name}(props: SVGProps<SVGSVGElement>) {`,
    indent(concat([hardline, 'return ', printReturnedJsx(svg), ';'])),
    hardline,
    '}',
    hardline,
  ])
  return textFile(`src/icons/${icon.name}.tsx`, printDocument(document, PRINT_WIDTH).text)
}
