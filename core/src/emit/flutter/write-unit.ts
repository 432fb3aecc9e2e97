import { completeList } from '../shared/complete-list.js'
import type { Statement } from '../project/component-code.js'
import type { DataList, ListField } from '../shared/lists.js'
import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import type { ListPart, PartComponent, Prop } from '../shared/prop.js'
import { choiceTypeOf, findOwner, type Parts } from '../shared/prop-owner.js'
import { relativePath } from '../../text/file-paths.js'
import { finishUnit, folderOf, type BuiltUnit, type UnitOptions } from '../project/units.js'
import { findImports } from '../project/uses.js'
import type { Doc } from '../shared/document.js'
import { call, printDart, quoteDart, raw, type Dart } from './dart.js'
import { findTargets } from './find-targets.js'
import { className, dartName, toFileName } from './names.js'
import type { Relative, WidgetFile } from './print-file.js'
import { printList } from './print-list.js'
import type { Handlers, WidgetContext } from './context.js'
import { toWidget } from './to-widgets.js'

export type FlutterOptions = UnitOptions &
  Pick<WidgetContext, 'units' | 'menuUnits' | 'sizedByUse'> & {
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
  const { parts, plan, shared, icons, units, menuUnits, sizedByUse } = options
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
    menuUnits,
    opened: new Set(),
    units,
    sizedByUse,
    labels: new Map(),
    helpers: shared,
    lists: [],
    flags: new Set(),
    optional: new Set(),
    skipped: new Set([...plan.panels.values()].map(({ name }) => name)),
    renamed: new Map(),
    ...more,
  }
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
        handlers.set(
          one.name,
          raw(`() => setState(() => ${dartName(does.state)} = !${dartName(does.state)})`),
        )
        break
      case 'choose':
        handlers.set(
          one.name,
          raw(`() => setState(() => ${dartName(does.state)} = ${quoteDart(does.value)})`),
        )
    }
  }
  return handlers
}

/** A field of the state of a component. */
const stateOf = (statement: Statement): readonly string[] => {
  if (statement.kind === 'state') {
    const { name, start } = statement
    const isText = typeof start === 'string'
    const value = isText ? quoteDart(start) : String(start)
    return [`${isText ? 'String' : 'bool'} ${dartName(name)} = ${value};`]
  }
  if (statement.kind !== 'form') return []
  const { definition, route } = statement
  const name = dartName(statement.name)
  if (route === undefined) return [`late final ${name} = Answers(${definition});`]
  return [
    `late final ${name} = Answers(\n  ${definition},\n  onSent: () => Navigator.pushNamed(context, ${quoteDart(route)}),\n);`,
  ]
}

/** Fields of the things in lists, as a template looks at them. */
const fieldsThat = (
  lists: readonly DataList[],
  isWanted: (field: ListField) => boolean,
): ReadonlySet<string> =>
  new Set(
    lists.flatMap(({ item, fields }) =>
      fields.filter(isWanted).map(({ name }) => `${item}.${name}`),
    ),
  )

const filesOf = (
  markup: MarkupElement,
  lists: readonly DataList[],
  folder: 'screens' | 'sections' | 'components',
  context: { readonly types: ReadonlySet<string>; readonly opened: ReadonlySet<string> },
  options: FlutterOptions,
  self: string,
): readonly Relative[] => {
  const { components, foreign } = findImports(markup, lists, {
    plan: options.plan,
    folder,
    helpers: new Set(),
    routerTags: new Set(['RouterLink']),
  })
  const sections = new Set([...options.plan.sections.values()].map(({ name }) => name))
  const tags = [
    ...components.flatMap(({ tag, kind }) => (kind === 'component' ? [tag] : [])),
    ...context.types,
    ...context.opened,
  ].filter((tag) => tag !== self)
  const theirs = foreign.map(({ component }): Relative => {
    const { specifier, path } = component
    return { import: specifier ?? relativePath(`lib/${folder}`, path ?? '') }
  })
  const own = [...new Set(tags)].map((tag): Relative => ({
    folder: sections.has(tag) ? 'sections' : 'components',
    name: toFileName(className(tag)),
  }))
  return [...own, ...theirs]
}

/** The widget of a unit, in what its kind asks for. */
const widgetOf = ({ unit }: BuiltUnit, markup: MarkupElement, context: WidgetContext): Dart => {
  if (unit.kind === 'screen') return screenOf(toWidget(markup, context), markup, context)
  if (unit.kind !== 'panel') return toWidget(markup, context)
  // Of what shows a panel in a browser only the content is shown here.
  return panelOf(toWidget(markup.children[0] as MarkupElement, context), unit.panel)
}

/** The root of a component stands where its use puts it. */
const asUsed = <Context extends WidgetContext>(tag: string, context: Context): Context => ({
  ...context,
  holder: context.sizedByUse.has(tag) ? 'sizing user' : 'user',
})

/** Writes a screen, a section, a part of several screens, or what is shown over them. */
export const writeUnit = (built: BuiltUnit, options: FlutterOptions): WidgetFile => {
  const { unit, own } = built
  const folder = folderOf(unit)
  const finished = finishUnit(built, options)
  const lists = finished.lists.map((one) => completeList(one, options.parts))
  const context = createContext(options, {
    ...findTargets(finished.markup),
    lists,
    flags: fieldsThat(lists, ({ kind }) => kind === 'flag'),
    optional: fieldsThat(lists, ({ kind, isOptional }) => isOptional && kind !== 'flag'),
    handlers: handlersOf(own.statements),
  })
  const name = className(unit.name)
  const inside =
    unit.kind === 'screen' || unit.kind === 'panel' ? context : asUsed(unit.name, context)
  const widget = widgetOf(built, finished.markup, inside)
  const data = lists.map((one) => printList(one, options.parts, context))
  const dialogs = own.statements.flatMap((one) => (one.kind === 'dialog' ? [one.component] : []))
  const forms = [...own.forms].map((form) => ({ folder: 'forms', name: toFileName(form) }))
  const opened = dialogs.map((one) => ({ folder: 'components', name: toFileName(className(one)) }))
  const files = [
    ...filesOf(finished.markup, lists, folder, context, options, unit.name),
    ...opened,
    ...forms,
  ]
  return {
    path: `lib/${folder}/${toFileName(name)}.dart`,
    folder,
    name,
    about: unit.kind === 'screen' ? (unit.page.description ?? unit.page.name) : unit.name,
    widget,
    context,
    files,
    state: own.statements.flatMap(stateOf),
    data,
  }
}

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

/** Whether a screen is a row, at some widths, in which things are as high as the highest. */
const stretchesRow = ({ attributes }: MarkupElement): boolean =>
  attributes.some(
    (one) =>
      one.name === 'class' &&
      one.kind === 'text' &&
      /(^| )direction(@\d+)?=Axis\.horizontal/.test(one.text) &&
      /(^| )cross(@\d+)?=CrossAxisAlignment\.stretch/.test(one.text),
  )

/** A screen is as high as the window, and scrolls when it is higher. */
const screenOf = (inside: Dart, markup: MarkupElement, { helpers }: WidgetContext): Dart => {
  helpers.add('app_screen')
  const isHigh = sharesHeight(markup) || stretchesRow(markup)
  const child = isHigh ? call('IntrinsicHeight', { child: inside }) : inside
  return call('AppScreen', { child })
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
  if (prop.fields) {
    const typeOfPart = ({ name, of }: ListPart): string =>
      of
        ? propType(
            of.tag,
            { id: name, name: of.prop, kind: 'text', isOptional: false },
            options,
            context,
          )
        : 'String'
    const parts = prop.fields.map((one) => `${typeOfPart(one)} ${dartName(one.name)}`)
    return `List<({${parts.join(', ')}})>`
  }
  const owner = findOwner(tag, prop.name, options.parts) ?? { tag, prop }
  if (owner.prop.type !== undefined) return owner.prop.type
  if (owner.prop.kind === 'flag') return 'bool'
  if (owner.prop.kind === 'number') return 'num'
  if (owner.prop.kind === 'slot') return 'Widget'
  const one =
    owner.prop.kind === 'choice' ? context.choiceType(`${owner.tag}.${owner.prop.name}`) : 'String'
  return prop.kind === 'list' ? `List<${one}>` : one
}

/** A component where it is used. */
export const printUse = (use: MarkupElement, options: FlutterOptions): Doc =>
  printDart(toWidget(use, { ...createContext(options, {}), holder: 'sizing user' }))

/** The component that is used in several places. */
export const writePart = (part: PartComponent, options: FlutterOptions): WidgetFile => {
  const { tag, props, looks, markup } = part
  const own = props.filter(({ kind }) => kind !== 'classes')
  const context = createContext(options, {
    ...findTargets(markup),
    tag,
    looks,
    props: new Map(own.map((prop) => [prop.name, prop])),
  })
  const name = className(tag)
  const widget = toWidget(markup, asUsed(tag, context))
  const written = own.map((prop) => {
    const type = propType(tag, prop, options, context)
    const field = dartName(prop.name)
    const { standard, isOptional, kind } = prop
    const value =
      kind === 'flag'
        ? String(standard ?? false)
        : standard === undefined
          ? undefined
          : kind === 'number'
            ? String(standard)
            : type === 'String'
              ? quoteDart(String(standard))
              : `${type}.${dartName(String(standard))}`
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
  return {
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
        return `enum ${type} { ${(prop.options ?? []).map(dartName).join(', ')} }`
      }),
  }
}
