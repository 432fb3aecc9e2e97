import { concat, group, hardline, indent, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import { printDocument } from '../shared/print-document.js'
import { importsOf, printImport } from './imports.js'
import type { ComponentOptions } from '../shared/component-target.js'
import { printBlock } from '../script/print-block.js'
import { ownSheet } from './own-sheet.js'
import { printReturnedJsx } from './print-jsx.js'
import { printLooks, printMember, printNames, typeOf } from '../script/print-props.js'

const PRINT_WIDTH = 80

const printPropsType = (type: string, props: readonly Prop[]): Doc =>
  printBlock(`export type ${type} = {`, props.map(printMember), '};')

/** The same for editors that read types in comments. */
const printPropsComment = (type: string, props: readonly Prop[]): Doc =>
  join(hardline, [
    '/**',
    ` * @typedef {object} ${type}`,
    ...props.map((prop) => ` * @property {${typesOf(prop).join(' | ')}} ${nameInComment(prop)}`),
    ' */',
  ])

const nameInComment = ({ name, isOptional, standard }: Prop): string =>
  isOptional || standard !== undefined ? `[${name}]` : name

/** The types a prop may have; what another file defines is said with that file. */
const typesOf = (prop: Prop): readonly string[] =>
  prop.kind === 'slot'
    ? ['import("react").ReactNode']
    : typeOf(prop).map((one) =>
        prop.of === undefined ? one : one.replace(/^\w+Props/, `import("./${prop.of.tag}").$&`),
      )

/** The file of a component that is used in several places. */
export const emitPart = (
  { tag, props, looks, markup, sheet }: PartComponent,
  { plan, helpers, styling, isPlain }: ComponentOptions,
): EmittedFile[] => {
  const types = props.flatMap(({ of }) => (of ? [of.tag] : []))
  const imports = importsOf(markup, [], { plan, folder: 'components', helpers, types })
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
