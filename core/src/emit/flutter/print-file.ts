import {
  concat,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  line,
  softline,
  type Doc,
} from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import { printDocument } from '../shared/print-document.js'
import { EXPORTS } from './behaviour/files.js'
import type { WidgetContext } from './context.js'
import { printDart, PRINT_WIDTH, type Dart } from './dart.js'
import { DART_WORDS, THEME_CLASSES } from './names.js'
import { shareLocals } from './share-values.js'
import { fromName } from './values-of.js'

/** A file of the project, by its folder and its name without an ending, or what is imported as it stands. */
export type Relative =
  { readonly folder: string; readonly name: string } | { readonly import: string }

/** Code that names a class of the theme, or a colour at hand. */
const OF_THE_THEME = new RegExp(`\\b(colors\\.\\w|${[...THEME_CLASSES].join('|')})`)

/** The lines that import what some code names. */
const importLines = (
  code: string,
  folder: string,
  files: readonly Relative[],
): readonly string[] => {
  const isUsed = (name: string): boolean => new RegExp(`\\b${name}\\b`).test(code)
  const shared = Object.entries(EXPORTS).flatMap(([file, names]) =>
    names.some(isUsed) ? [{ folder: 'shared', name: file }] : [],
  )
  const packages = [
    "import 'package:flutter/material.dart';",
    ...(isUsed('SvgPicture') ? ["import 'package:flutter_svg/flutter_svg.dart';"] : []),
  ]
  const filtered = code.includes('ImageFilter') ? ["import 'dart:ui';", ''] : []
  const own = [...files, ...shared].map((file) => {
    if ('import' in file) return file.import
    const { folder: to, name } = file
    return to === folder ? `${name}.dart` : `../${to}/${name}.dart`
  })
  const theme = OF_THE_THEME.test(code)
  const all = [...new Set([...own, ...(theme ? ['../theme.dart'] : [])])].sort()
  return [
    ...filtered,
    ...packages,
    ...(all.length > 0 ? ['', ...all.map((path) => `import '${path}';`)] : []),
  ]
}

/** What is said before a component returns its widget. */
const beginningOf = (code: string, widths: ReadonlySet<number>): readonly string[] => [
  ...(/\bcolors\./.test(code) ? ['final colors = AppColors.of(context);'] : []),
  ...(widths.size > 0 ? ['final width = MediaQuery.sizeOf(context).width;'] : []),
  ...[...widths]
    .sort((a, b) => a - b)
    .map((px) => `final ${fromName(px)} = width >= ${String(px)};`),
]

/** A widget of the project, before it is printed. */
export type WidgetFile = {
  readonly path: string
  readonly folder: string
  readonly name: string
  readonly about: string
  readonly widget: Dart
  readonly context: WidgetContext & { readonly types: ReadonlySet<string> }
  readonly files: readonly Relative[]
  readonly state?: readonly string[]
  readonly props?: readonly { readonly line: string; readonly field: string }[]
  readonly types?: readonly string[]
  readonly data?: readonly Doc[]
}

/** A comment in lines of their width, whatever it says. */
const comment = (text: string): string => {
  const lines: string[] = []
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1)
    if (last !== undefined && last.length + word.length + 1 <= PRINT_WIDTH) {
      lines[lines.length - 1] = `${last} ${word}`
    } else lines.push(`/// ${word}`)
  }
  return lines.join('\n')
}

const EMPTY_LINE = concat([hardline, hardline])

/** Lines of text, one below the other. */
const lines = (all: readonly string[]): Doc =>
  join(
    hardline,
    all.flatMap((one) => one.split('\n')),
  )

/** Members of a class, with an empty line between two. */
const printClass = (head: string, members: readonly Doc[]): Doc =>
  concat([head, indent(concat([hardline, join(EMPTY_LINE, members)])), hardline, '}'])

/** `const Tide({super.key, required this.label});`, a name a line where they are too long for one. */
const printConstructor = (name: string, parameters: readonly string[]): Doc => {
  const all = join(concat([',', line]), ['super.key', ...parameters])
  return group(
    concat([`const ${name}({`, indent(concat([softline, all, ifBreak(',', '')])), softline, '});']),
  )
}

const printBuild = (widget: Doc, beginning: readonly Doc[]): Doc =>
  concat([
    '@override',
    hardline,
    'Widget build(BuildContext context) {',
    indent(
      concat([
        hardline,
        ...(beginning.length > 0 ? [join(hardline, beginning), EMPTY_LINE] : []),
        'return ',
        widget,
        ';',
      ]),
    ),
    hardline,
    '}',
  ])

/** Names that code of the widget may use already. */
const namesIn = ({ widget, state = [] }: WidgetFile): readonly string[] => [
  ...DART_WORDS,
  ...(JSON.stringify([widget, state]).match(/\b[a-z]\w*/g) ?? []),
]

/** The file of a widget: imports, data, and the class, with its state where it has one. */
export const printFile = (parts: WidgetFile): EmittedFile => {
  const { path, folder, name, about, context, files, state = [], props = [] } = parts
  const { types = [], data = [] } = parts
  const { widget, locals } = shareLocals(parts.widget, namesIn(parts))
  const widgetDoc = printDart(widget)
  const localDocs = locals.map(({ name: local, value }) =>
    concat([`final ${local} = `, printDart(value), ';']),
  )
  const code = [widgetDoc, ...localDocs, ...data]
    .map((doc) => printDocument(doc, PRINT_WIDTH).text)
    .concat(
      state,
      props.map(({ field }) => field),
    )
    .join('\n')
    // What is only said in a text is not used.
    .replace(/'(?:[^'\\]|\\.)*'|"(?:[^"\\]|\\.)*"/g, "''")
  const beginning = [...beginningOf(code, context.widths), ...localDocs]
  const build = printBuild(widgetDoc, beginning)
  const members: Doc[] = [
    printConstructor(
      name,
      props.map(({ line: one }) => one),
    ),
    ...(props.length > 0 ? [lines(props.map(({ field }) => field))] : []),
  ]
  const documented = concat([lines([comment(about)]), hardline])
  const body =
    state.length === 0
      ? concat([
          documented,
          printClass(`class ${name} extends StatelessWidget {`, [...members, build]),
        ])
      : concat([
          documented,
          printClass(`class ${name} extends StatefulWidget {`, [
            ...members,
            lines(['@override', `State<${name}> createState() => _${name}State();`]),
          ]),
          EMPTY_LINE,
          printClass(`class _${name}State extends State<${name}> {`, [lines(state), build]),
        ])
  const blocks: Doc[] = [lines(importLines(code, folder, files)), ...types, ...data, body]
  const printed = printDocument(concat([join(EMPTY_LINE, blocks), hardline]), PRINT_WIDTH)
  return textFile(path, printed.text, printed.spans)
}
