import { completeList, givenAs } from '../shared/complete-list.js'
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
import type { Statement } from '../shared/component-code.js'
import type { DataList } from '../shared/lists.js'
import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import { choiceTypeOf, findOwner, type Parts } from '../shared/prop-owner.js'
import { finishUnit, folderOf, type BuiltUnit, type UnitOptions } from '../shared/units.js'
import { findImports } from '../shared/uses.js'
import { EXPORTS } from './behaviour/files.js'
import { call, list, printDart, quoteDart, raw, type Dart } from './dart.js'
import { className, dartName, toFileName } from './names.js'
import { idOf, toWidget, type Handlers, type WidgetContext } from './to-widgets.js'
import { fromName } from './values-of.js'

const PRINT_WIDTH = 80

export type FlutterOptions = UnitOptions & {
  readonly parts: Parts
  /** The files of icons, by their tags. */
  readonly icons: ReadonlyMap<string, string>
  /** Hears of the shared files that are needed. */
  readonly shared: Set<string>
}

/** Widths that are looked at, and types that are named, while one file is written. */
const createContext = (
  options: FlutterOptions,
  more: Partial<WidgetContext> & { readonly tag?: string },
): WidgetContext & { readonly types: Set<string> } => {
  const { parts, plan, shared, icons } = options
  const types = new Set<string>()
  const choiceType = (prop: string): string => {
    const [tag, name] = prop.includes('.') ? prop.split('.') : [more.tag ?? '', prop]
    const owner = findOwner(tag!, name!, parts)
    if (!owner) return className(tag!)
    types.add(owner.tag)
    return choiceTypeOf({ tag: className(owner.tag), prop: owner.prop })
  }
  return {
    widths: new Set(),
    choiceType,
    types,
    looks: [],
    parts,
    icons,
    props: new Map(),
    handlers: new Map(),
    panels: new Map([...plan.panels].map(([id, { name }]) => [id, className(name)])),
    anchors: new Set(),
    menus: new Map(),
    labels: new Map(),
    helpers: shared,
    lists: [],
    flags: new Set(),
    skipped: new Set([...plan.panels.values()].map(({ name }) => name)),
    renamed: new Map(),
    ...more,
  }
}

const visit = (node: MarkupNode, see: (element: MarkupElement) => void): void => {
  if (node.kind === 'element') see(node)
  if (node.kind === 'loop') visit(node.template, see)
  if (node.kind === 'when') visit(node.content, see)
  if ('children' in node) for (const child of node.children) visit(child, see)
}

/** The parts that links of the same page lead to, and the menus that are folded away. */
const findTargets = (
  markup: MarkupElement,
): Pick<WidgetContext, 'anchors' | 'menus' | 'labels'> => {
  const labels = new Map<string, MarkupNode>()
  const anchors = new Set<string>()
  const menus = new Map<string, MarkupElement>()
  visit(markup, ({ tag, attributes, children }) => {
    for (const one of attributes) {
      if (one.name === 'href' && one.kind === 'text' && /^#./.test(one.text)) {
        anchors.add(one.text.slice(1))
      }
    }
    const of = attributes.find(({ name }) => name === 'for')
    const [words] = children
    if (tag === 'label' && of && words) labels.set(idOf(of), words)
  })
  visit(markup, (element) => {
    const id = element.attributes.find(({ name }) => name === 'id')
    const isMenu =
      element.tag === 'nav' && element.attributes.some(({ name }) => name === 'popover')
    if (isMenu && id?.kind === 'text') menus.set(id.text, element)
  })
  return { anchors, menus, labels }
}

/** What handlers do, as functions. */
const handlersOf = (statements: readonly Statement[]): Handlers => {
  const dialogs = new Map(
    statements.flatMap((one) =>
      one.kind === 'dialog' ? [[one.name, one.component] as const] : [],
    ),
  )
  const handlers = new Map<string, Dart>()
  for (const one of statements) {
    if (one.kind !== 'handler') continue
    const { does } = one
    switch (does.kind) {
      case 'open': {
        const builder: Dart = {
          kind: 'function',
          parameters: 'context',
          value: call(className(dialogs.get(does.dialog)!)),
        }
        handlers.set(one.name, {
          kind: 'function',
          parameters: '',
          value: call('showDialog<void>', { context: 'context', builder }),
        })
        break
      }
      case 'toggle':
        handlers.set(one.name, raw(`() => setState(() => ${does.state} = !${does.state})`))
        break
      case 'choose':
        handlers.set(
          one.name,
          raw(`() => setState(() => ${does.state} = ${quoteDart(does.value)})`),
        )
    }
  }
  return handlers
}

/** A field of the state of a component. */
const stateOf = (statement: Statement): readonly string[] => {
  if (statement.kind === 'state') {
    const { name, start } = statement
    return [
      `${typeof start === 'string' ? 'String' : 'bool'} ${name} = ${typeof start === 'string' ? quoteDart(start) : String(start)};`,
    ]
  }
  if (statement.kind !== 'form') return []
  const { name, definition, route } = statement
  if (route === undefined) return [`late final ${name} = Answers(${definition});`]
  return [
    `late final ${name} = Answers(\n  ${definition},\n  onSent: () => Navigator.pushNamed(context, ${quoteDart(route)}),\n);`,
  ]
}

type Relative = { readonly folder: string; readonly name: string }

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
  const own = [...files, ...shared].map(({ folder: to, name }) =>
    to === folder ? `${name}.dart` : `../${to}/${name}.dart`,
  )
  const theme =
    /\b(colors\.|AppColors|AppSpace|AppRadius|AppShadow|AppType)\b/.test(code) ||
    code.includes('colors.')
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

type ClassParts = {
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

const printBuild = (widget: Doc, beginning: readonly string[]): Doc =>
  concat([
    '@override',
    hardline,
    'Widget build(BuildContext context) {',
    indent(
      concat([
        hardline,
        ...(beginning.length > 0 ? [lines(beginning), EMPTY_LINE] : []),
        'return ',
        widget,
        ';',
      ]),
    ),
    hardline,
    '}',
  ])

const printFile = (parts: ClassParts): EmittedFile => {
  const { path, folder, name, about, widget, context, files, state = [], props = [] } = parts
  const { types = [], data = [] } = parts
  const widgetDoc = printDart(widget)
  const code = [widgetDoc, ...data]
    .map((doc) => printDocument(doc, PRINT_WIDTH).text)
    .concat(
      state,
      props.map(({ field }) => field),
    )
    .join('\n')
  const build = printBuild(widgetDoc, beginningOf(code, context.widths))
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

const typeOf = (
  list: DataList,
  i: number,
  options: FlutterOptions,
  context: WidgetContext,
): string => {
  const field = list.fields[i]!
  const as = givenAs(list, field)
  const owner = as && findOwner(as.tag, as.prop, options.parts)
  if (owner?.prop.kind === 'choice') return context.choiceType(`${owner.tag}.${owner.prop.name}`)
  return field.kind === 'flag' || owner?.prop.kind === 'flag' ? 'bool' : 'String'
}

/** A list of records, with what the design says as its content. */
const printList = (data: DataList, options: FlutterOptions, context: WidgetContext): Doc => {
  const types = data.fields.map((_, i) => typeOf(data, i, options, context))
  const type = `({${data.fields
    .map((field, i) => `${types[i]!}${field.isOptional ? '?' : ''} ${dartName(field.name)}`)
    .join(', ')}})`
  const valueOf = (value: string | boolean | undefined, i: number): string => {
    if (value === undefined) return 'null'
    if (typeof value === 'boolean') return String(value)
    const own = types[i]!
    if (own === 'bool') return value
    return own === 'String' ? quoteDart(value) : `${own}.${value}`
  }
  const rows = data.rows.map(({ layer, values }): Dart => ({
    ...call(
      '',
      Object.fromEntries(
        data.fields.map((field, i) => [dartName(field.name), valueOf(values[i], i)]),
      ),
    ),
    layer,
  }))
  return concat([`const List<${type}> ${data.name} = `, printDart(list(rows), true), ';'])
}

/** The flags of the things in lists, as a template looks at them. */
const flagsOf = (lists: readonly DataList[]): ReadonlySet<string> =>
  new Set(
    lists.flatMap(({ item, fields }) =>
      fields.flatMap(({ name, kind }) => (kind === 'flag' ? [`${item}.${name}`] : [])),
    ),
  )

const filesOf = (
  markup: MarkupElement,
  lists: readonly DataList[],
  folder: 'screens' | 'sections' | 'components',
  context: { readonly types: ReadonlySet<string> },
  options: FlutterOptions,
  self: string,
): readonly Relative[] => {
  const { components } = findImports(markup, lists, {
    plan: options.plan,
    folder,
    helpers: new Set(),
    routerTags: new Set(['RouterLink']),
  })
  const sections = new Set([...options.plan.sections.values()].map(({ name }) => name))
  const tags = [
    ...components.flatMap(({ tag, kind }) => (kind === 'component' ? [tag] : [])),
    ...context.types,
  ].filter((tag) => tag !== self)
  return [...new Set(tags)].map((tag) => ({
    folder: sections.has(tag) ? 'sections' : 'components',
    name: toFileName(className(tag)),
  }))
}

/** Writes a screen, a section, a part of several screens, or what is shown over them. */
export const writeUnit = (built: BuiltUnit, options: FlutterOptions): EmittedFile => {
  const { unit, own } = built
  const folder = folderOf(unit)
  const finished = finishUnit(built, options)
  const lists = finished.lists.map((one) => completeList(one, options.parts))
  const context = createContext(options, {
    ...findTargets(finished.markup),
    lists,
    flags: flagsOf(lists),
    handlers: handlersOf(own.statements),
  })
  const name = className(unit.name)
  const inside = toWidget(finished.markup, context)
  const widget =
    unit.kind === 'screen'
      ? screenOf(inside, finished.markup)
      : unit.kind === 'panel'
        ? panelOf(toWidget(finished.markup.children[0] as MarkupElement, context), unit.panel)
        : inside
  const data = lists.map((one) => printList(one, options, context))
  const dialogs = own.statements.flatMap((one) => (one.kind === 'dialog' ? [one.component] : []))
  const forms = [...own.forms].map((form) => ({ folder: 'forms', name: formFile(form) }))
  const opened = dialogs.map((one) => ({ folder: 'components', name: toFileName(className(one)) }))
  const files = [
    ...filesOf(finished.markup, lists, folder, context, options, unit.name),
    ...opened,
    ...forms,
  ]
  return printFile({
    path: `lib/${folder}/${toFileName(name)}.dart`,
    folder,
    name,
    about: unit.kind === 'screen' ? (unit.page.description ?? unit.page.name) : unit.name,
    widget,
    context,
    files,
    state: own.statements.flatMap(stateOf),
    data,
  })
}

/** The file of a form without its ending. */
export const formFile = (form: string): string =>
  toFileName(`${form.charAt(0).toUpperCase()}${form.slice(1)}`)

/** Whether something in a screen takes the height that is left. */
const sharesHeight = (markup: MarkupElement): boolean => {
  const isGrowing = (node: MarkupNode): boolean =>
    node.kind === 'element' &&
    node.attributes.some(
      (one) => one.name === 'class' && one.kind === 'text' && /(^| )grow(@\d+)?=/.test(one.text),
    )
  return markup.children.some(
    (child) =>
      isGrowing(child) ||
      (child.kind === 'element' &&
        child.attributes.some((one) => one.kind === 'text' && one.text.includes('contents=')) &&
        child.children.some(isGrowing)),
  )
}

/** A screen is as high as the window, and scrolls when it is higher. */
const screenOf = (inside: Dart, markup: MarkupElement): Dart => {
  const own = sharesHeight(markup) ? call('IntrinsicHeight', { child: inside }) : inside
  const value = call('SingleChildScrollView', {
    child: call('ConstrainedBox', {
      constraints: call('BoxConstraints', { minHeight: 'constraints.maxHeight' }),
      child: own,
    }),
  })
  return call('Scaffold', {
    body: call('LayoutBuilder', {
      builder: { kind: 'function', parameters: 'context, constraints', value },
    }),
  })
}

const panelOf = (
  inside: Dart,
  { kind, side, root }: Extract<BuiltUnit['unit'], { kind: 'panel' }>['panel'],
): Dart => {
  const isDrawer = kind === 'drawer'
  const places = {
    start: 'Alignment.centerLeft',
    end: 'Alignment.centerRight',
    top: 'Alignment.topCenter',
    bottom: 'Alignment.bottomCenter',
  }
  const width = root.style.width.px
  return call('Dialog', {
    alignment: isDrawer ? places[side] : undefined,
    insetPadding: isDrawer ? 'EdgeInsets.zero' : undefined,
    child: call('SizedBox', {
      width: String(width),
      height: isDrawer && (side === 'start' || side === 'end') ? 'double.infinity' : undefined,
      child: call('SingleChildScrollView', { child: inside }),
    }),
  })
}

const propType = (
  tag: string,
  prop: Prop,
  options: FlutterOptions,
  context: WidgetContext,
): string => {
  const owner = findOwner(tag, prop.name, options.parts) ?? { tag, prop }
  if (owner.prop.kind === 'flag') return 'bool'
  return owner.prop.kind === 'choice'
    ? context.choiceType(`${owner.tag}.${owner.prop.name}`)
    : 'String'
}

/** The component that is used in several places. */
export const writePart = (part: PartComponent, options: FlutterOptions): EmittedFile => {
  const { tag, props, looks, markup } = part
  const own = props.filter(({ kind }) => kind !== 'classes')
  const context = createContext(options, {
    ...findTargets(markup),
    tag,
    looks,
    props: new Map(own.map((prop) => [prop.name, prop])),
  })
  const name = className(tag)
  const widget = toWidget(markup, context)
  const written = own.map((prop) => {
    const type = propType(tag, prop, options, context)
    const field = dartName(prop.name)
    const { standard, isOptional, kind } = prop
    const value =
      kind === 'flag'
        ? String(standard ?? false)
        : standard === undefined
          ? undefined
          : type === 'String'
            ? quoteDart(String(standard))
            : `${type}.${String(standard)}`
    const isNull = isOptional && value === undefined
    return {
      line:
        value !== undefined
          ? `this.${field} = ${value}`
          : isOptional
            ? `this.${field}`
            : `required this.${field}`,
      field: `final ${type}${isNull ? '?' : ''} ${field};`,
    }
  })
  return printFile({
    path: `lib/components/${toFileName(name)}.dart`,
    folder: 'components',
    name,
    about: part.name,
    widget,
    context,
    files: filesOf(markup, [], 'components', context, options, tag),
    props: written,
    types: own
      .filter(({ kind, of }) => kind === 'choice' && !of)
      .map((prop) => {
        const type = choiceTypeOf({ tag: name, prop })
        return `enum ${type} { ${(prop.options ?? []).join(', ')} }`
      }),
  })
}
