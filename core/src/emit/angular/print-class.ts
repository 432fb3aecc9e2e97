import { printBlock } from '../script/print-block.js'
import { printImportLine } from '../script/print-import.js'
import { printProperty } from '../script/print-property.js'
import { quoteKey, quoteString } from '../script/quote-string.js'
import { concat, group, hardline, indent, join, line, type Doc } from '../shared/document.js'
import type { Attribute } from '../shared/markup.js'
import { printDocument } from '../shared/print-document.js'
import { printTexts } from '../shared/print-texts.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'

const PRINT_WIDTH = 80

export type Import = { readonly names: readonly string[]; readonly from: string }

const printImport = ({ names, from }: Import): Doc =>
  printImportLine(`{ ${[...names].sort().join(', ')} }`, from)

/** What the element of a component has of itself. */
const printHost = (host: readonly Attribute[]): readonly Doc[] => {
  if (host.length === 0) return []
  const lines = host.map((one): Doc => {
    const value = one.kind === 'text' ? one.text : one.kind === 'code' ? one.code : ''
    return printProperty(quoteKey(one.name), quoteString(value))
  })
  return [printBlock('host: {', lines, '},')]
}

export type ClassFile = {
  readonly path: string
  readonly name: string
  readonly selector: string
  /** Components and directives that the template uses. */
  readonly uses: readonly string[]
  readonly host: readonly Attribute[]
  /** The template, or the name of its file. */
  readonly template: { readonly url: string } | { readonly text: Doc }
  /** The name of its style sheet, where it has one of its own. */
  readonly styleUrl?: string
  /** Further properties of the decorator. */
  readonly more?: readonly Doc[]
  readonly imports: readonly Import[]
  /** Types before the class. */
  readonly types: readonly Doc[]
  /** Groups of members; an empty line stands between two groups. */
  readonly members: readonly (readonly Doc[])[]
}

const templateLine = (template: ClassFile['template']): Doc =>
  'url' in template
    ? printProperty('templateUrl', quoteString(template.url))
    : group(concat(['template: `', indent(concat([line, template.text])), line, '`,']))

/** The file of a component's class, with its decorator. */
export const printClass = (file: ClassFile): EmittedFile => {
  const { name, selector, uses, host, template, styleUrl, more = [] } = file
  const { imports, types, members } = file
  const decorator = printBlock(
    '@Component({',
    [
      printProperty('selector', quoteString(selector)),
      ...(uses.length > 0 ? [concat(['imports: ', printTexts(uses), ','])] : []),
      templateLine(template),
      ...(styleUrl === undefined
        ? []
        : [
            printProperty('styleUrl', quoteString(styleUrl)),
            'encapsulation: ViewEncapsulation.None,',
          ]),
      'changeDetection: ChangeDetectionStrategy.OnPush,',
      ...printHost(host),
      ...more,
    ],
    '})',
  )
  const core: Import = {
    names: [
      'ChangeDetectionStrategy',
      'Component',
      ...(styleUrl === undefined ? [] : ['ViewEncapsulation']),
    ],
    from: '@angular/core',
  }
  const all = mergeImports([core, ...imports])
  const groups = members.filter((group) => group.length > 0).map((group) => join(hardline, group))
  const empty = concat([hardline, hardline])
  const body =
    groups.length === 0
      ? `export class ${name} {}`
      : concat([
          `export class ${name} {`,
          indent(concat([hardline, join(empty, groups)])),
          hardline,
          '}',
        ])
  const document = concat([
    join(hardline, all.map(printImport)),
    hardline,
    hardline,
    ...types.flatMap((type) => [type, empty]),
    decorator,
    hardline,
    body,
    hardline,
  ])
  const printed = printDocument(document, PRINT_WIDTH)
  return textFile(file.path, printed.text, printed.spans)
}

/** One line for each place that is imported from, in the order they were first asked for. */
const mergeImports = (imports: readonly Import[]): readonly Import[] => {
  const byPlace = new Map<string, Set<string>>()
  for (const { names, from } of imports) {
    if (names.length === 0) continue
    const known = byPlace.get(from) ?? new Set<string>()
    names.forEach((name) => known.add(name))
    byPlace.set(from, known)
  }
  return [...byPlace].map(([from, names]) => ({ names: [...names], from }))
}
