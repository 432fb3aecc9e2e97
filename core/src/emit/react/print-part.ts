import { concat, group, hardline, indent, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import { printDocument } from '../shared/print-document.js'
import { importsOf, printImport } from './imports.js'
import type { ComponentOptions } from '../project/component-target.js'
import { printBlock } from '../script/print-block.js'
import { ownSheet } from './own-sheet.js'
import { printPropsComment } from './props-comment.js'
import { printReturnedJsx } from './print-jsx.js'
import { printLooks, printMember, printNames, typesNeeded } from '../script/print-props.js'

const PRINT_WIDTH = 80

const printPropsType = (type: string, props: readonly Prop[]): Doc =>
  printBlock(`export type ${type} = {`, props.map(printMember), '};')

/** The file of a component that is used in several places. */
export const emitPart = (
  { tag, props, looks, markup, sheet }: PartComponent,
  { plan, helpers, styling, isPlain }: ComponentOptions,
): EmittedFile[] => {
  const types = props.flatMap(typesNeeded)
  const given = props.map(({ name }) => name)
  const imports = importsOf(markup, [], { plan, folder: 'components', helpers, types, given })
  const path = `src/components/${tag}`
  const own = ownSheet(path, sheet, styling)
  const isGivenNodes = props.some(({ kind }) => kind === 'slot')
  const lines = [
    ...(isGivenNodes && !isPlain ? ['import type { ReactNode } from "react";'] : []),
    ...[...imports, ...own.imports].map(printImport),
  ]
  const head = lines.length > 0 ? [join(hardline, lines), hardline, hardline] : []
  const type = `${tag}Props`
  const parameters: Doc =
    props.length === 0 ? '' : group(concat([printNames(props), isPlain ? '' : `: ${type}`]))
  const document = concat([
    ...head,
    ...(props.length > 0
      ? [isPlain ? printPropsComment(type, props) : printPropsType(type, props), hardline, hardline]
      : []),
    ...looks.flatMap((look) => [printLooks(look), hardline, hardline]),
    ...(isPlain && props.length > 0 ? [`/** @param {${type}} props */`, hardline] : []),
    concat([`export function ${tag}(`, parameters, ') {']),
    indent(concat([hardline, 'return ', printReturnedJsx(markup), ';'])),
    hardline,
    '}',
    hardline,
  ])
  const printed = printDocument(document, PRINT_WIDTH)
  return [textFile(`${path}.tsx`, printed.text, printed.spans), ...own.files]
}
