import { isPopover } from '../../design/interaction.js'
import type { UiProject } from '../../ui/index.js'
import { UniqueNames } from '../../text/names.js'
import type { UiBox, UiForm, UiNode, UiPage, UiPanel } from '../../ui/nodes.js'
import { buildMarkup, CURRENT_PAGE, findTabPanels, type Dialect } from '../shared/build-markup.js'
import { concat, hardline, indent, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import { code, text, type Attribute, type MarkupElement } from '../shared/markup.js'
import { findLists, type DataList, type ListOptions } from '../shared/lists.js'
import { endOfMain } from '../shared/in-main.js'
import { layerNames } from '../shared/layer-names.js'
import { titleOf } from '../shared/page-title.js'
import { printDocument } from '../shared/print-document.js'
import type { Styling } from '../styling/styling.js'
import { ComponentCode } from '../shared/component-code.js'
import { hooksOf, printStatement, reactSpelling } from './behaviour/statements.js'
import { quoteString } from './escape.js'
import type { Helper } from '../shared/component-code.js'
import { formNameOf } from './behaviour/form-file.js'
import type { ComponentPlan } from '../shared/component-plan.js'
import { printList } from './print-list.js'
import { importsOf, printImport, together, type Folder, type Import } from './imports.js'
import { printReturnedJsx } from './print-jsx.js'

const PRINT_WIDTH = 80

/** What becomes a component of its own. */
export type Unit =
  | { readonly kind: 'screen'; readonly name: string; readonly root: UiNode; readonly page: UiPage }
  | { readonly kind: 'part'; readonly name: string; readonly root: UiNode }
  | {
      readonly kind: 'section'
      readonly name: string
      readonly root: UiNode
      readonly page: UiPage
    }
  | {
      readonly kind: 'panel'
      readonly name: string
      readonly root: UiNode
      readonly panel: UiPanel
    }

export type EmitOptions = {
  readonly project: UiProject
  readonly plan: ComponentPlan
  readonly styling: Styling
  readonly marks: boolean
  /** Hears of the helpers and forms that files are needed for. */
  readonly helpers: Set<Helper>
  readonly forms: Map<string, UiForm>
}

type LinkMarkup = ReturnType<Dialect['link']>

/** The part of each group of tabs that is shown first. */
const findFirstTabs = (root: UiNode): ReadonlyMap<string, string> => {
  const first = new Map<string, string>()
  const look = (node: UiNode): void => {
    const { when, id } = node
    if (when?.kind === 'tab' && when.startsShown && id !== undefined) first.set(when.group, id)
    const act = 'act' in node ? node.act : undefined
    if (act?.kind === 'tab' && act.isEmpty && act.startsShown) first.set(act.group, act.target)
    if ('children' in node) node.children.forEach(look)
  }
  look(root)
  return first
}

/** Where a link leads, in the elements of the router where there is one. */
const linkBuilder = (unit: Unit, { plan }: EmitOptions): Dialect['link'] => {
  const here = 'page' in unit ? unit.page.key : undefined
  const anchor = (href: string, ...rest: Attribute[]): LinkMarkup => ({
    tag: 'a',
    attributes: [text('href', href), ...rest],
  })
  const toPage = (page: string): LinkMarkup => {
    // A project of one screen has no router: a link to that screen is a plain one.
    if (!plan.isRouted) return anchor('/', CURRENT_PAGE)
    const to = text('to', plan.routes.get(page)!)
    // Which page is shown, only what stands on one page knows.
    const tag = here === undefined ? 'NavLink' : 'Link'
    const isStart = plan.routes.get(page) === '/'
    if (tag === 'NavLink') {
      return { tag, attributes: isStart ? [to, code('end', 'true')] : [to] }
    }
    return { tag, attributes: page === here ? [to, CURRENT_PAGE] : [to] }
  }
  return (link) => {
    switch (link.kind) {
      case 'nowhere':
        return anchor('#')
      case 'address':
        return anchor(link.url)
      case 'page':
        return toPage(link.page)
      case 'section': {
        if (!plan.isRouted) return anchor(`#${link.id}`)
        // What follows the first # is the address of the page; the part is scrolled to by hand.
        return anchor(`#${link.id}`, code('onClick', 'scrollToPart'))
      }
    }
  }
}

/** The screen with its title and what it is about: React puts both into the head of the page. */
const withHead = (body: MarkupElement, page: UiPage, project: UiProject): MarkupElement => {
  // What holds text, as a lone text layer does, has no place for them.
  if (body.content !== 'blocks') return body
  const common = { kind: 'element', content: 'text' } as const
  const title: MarkupElement = {
    ...common,
    tag: 'title',
    attributes: [],
    children: [{ kind: 'text', text: titleOf(page.name, project.pages.length, project.name) }],
  }
  const about: MarkupElement = {
    ...common,
    tag: 'meta',
    attributes: [text('name', 'description'), text('content', page.description ?? '')],
    children: [],
  }
  const head = page.description === undefined ? [title] : [title, about]
  return { ...body, children: [...head, ...body.children] }
}

/** What shows a panel over the page, around its content. */
const inPanel = (
  panel: UiPanel,
  content: MarkupElement,
  styling: Styling,
  own: ComponentCode,
): MarkupElement => {
  const { kind } = panel
  const shown = isPopover(kind)
    ? [text('id', panel.id), text('popover', 'auto')]
    : [code('ref', 'ref'), text('closedby', 'any')]
  return {
    kind: 'element',
    tag: isPopover(kind) ? 'div' : 'dialog',
    content: 'blocks',
    attributes: [
      ...shown,
      ...(kind === 'overlay' ? [text('role', 'group')] : []),
      ...(kind === 'menu' ? [text('role', 'menu'), ...own.menuPanel()] : []),
      text('aria-label', panel.label),
      text('className', styling.panel(panel).join(' ')),
    ],
    children: [content],
  }
}

type Parts = {
  readonly name: string
  readonly takesRef: boolean
  readonly imports: readonly Import[]
  readonly lists: readonly DataList[]
  readonly statements: readonly Doc[]
  readonly markup: MarkupElement
}

const print = ({ name, takesRef, imports, lists, statements, markup }: Parts): Doc => {
  const head =
    imports.length > 0 ? [join(hardline, imports.map(printImport)), hardline, hardline] : []
  const types = takesRef
    ? ['type Props = { ref: Ref<HTMLDialogElement> };', hardline, hardline]
    : []
  const own = statements.length > 0 ? [hardline, join(hardline, statements), hardline] : []
  return concat([
    ...head,
    ...types,
    ...lists.map(printList),
    `export function ${name}(${takesRef ? '{ ref }: Props' : ''}) {`,
    indent(concat([...own, hardline, 'return ', printReturnedJsx(markup), ';'])),
    hardline,
    '}',
    hardline,
  ])
}

/** Names of layers for what lists are called, and names that are free in the file. */
const listOptions = (
  unit: Unit,
  own: ComponentCode,
  { plan, styling }: EmitOptions,
): ListOptions => {
  const names = layerNames([unit.root])
  const types = new UniqueNames('', [
    ...plan.screens.map(({ name }) => name),
    ...[...plan.parts.values()].map(({ name }) => name),
    ...[...plan.sections.values()].map(({ name }) => name),
    ...[...plan.panels.values()].map(({ name }) => name),
    ...[...plan.icons.values()].map(({ name }) => name),
    'Props',
    'Ref',
  ])
  return {
    likenessOf: (classes) => styling.likenessOf(classes),
    nameOf: (layer) => names.get(layer),
    takeName: (wanted) => own.takeName(wanted),
    takeType: (wanted) => types.take(wanted),
  }
}

/** The markup of a component before what it has in common with others is taken out. */
export type BuiltUnit = {
  readonly unit: Unit
  readonly own: ComponentCode
  readonly markup: MarkupElement
}

/** Builds the markup of one component; its code is collected on the way. */
export const buildUnit = (unit: Unit, options: EmitOptions): BuiltUnit => {
  const { project, plan, styling, marks, forms } = options
  const own = new ComponentCode({
    formName(form) {
      const name = formNameOf(form)
      forms.set(name, form)
      return name
    },
    firstTabs: findFirstTabs(unit.root),
    phrases: project.phrases,
    panelName: (id) => plan.panels.get(id)!.name,
    routeOf: (page) => (plan.isRouted ? plan.routes.get(page) : undefined),
    spelling: reactSpelling,
    quote: quoteString,
  })
  const dialect: Dialect = {
    classAttribute: 'className',
    labelFor: 'htmlFor',
    startsWith: (value) => text('defaultValue', value),
    startsOn: code('defaultChecked', 'true'),
    disabled: code('disabled', 'true'),
    required: code('required', 'true'),
    open: code('open', 'true'),
    menu: own.menu,
    menuTarget: 'popoverTarget',
    act: own.act,
    when: own.when,
    tabList: own.tabList,
    entersInView: own.entersInView,
    form: own.form,
    link: linkBuilder(unit, options),
    source: (asset) => code('src', plan.variables.get(asset)!),
    icon(asset, attributes) {
      const icon = plan.icons.get(asset)
      if (!icon) return undefined
      return { kind: 'element', tag: icon.name, content: 'blocks', attributes, children: [] }
    },
  }
  const elsewhere = (box: UiBox): MarkupElement | undefined => {
    const { shared: part, section, layer } = box
    if (box === unit.root || !('page' in unit)) return undefined
    const known = section === undefined ? part && plan.parts.get(part) : plan.sections.get(layer)
    if (!known) return undefined
    // The layer the part was made of is found where the part is written.
    const mark = known.node.layer === layer ? {} : { layer }
    return {
      kind: 'element',
      tag: known.name,
      ...mark,
      content: 'blocks',
      attributes: [],
      children: [],
    }
  }
  const tabs = findTabPanels([unit.root])
  return { unit, own, markup: buildMarkup(unit.root, { dialect, styling, marks, elsewhere, tabs }) }
}

const folderOf = ({ kind }: Unit): Folder =>
  kind === 'screen' ? 'screens' : kind === 'section' ? 'sections' : 'components'

/** Writes one component: its imports, its code and its markup. */
export const writeUnit = (
  { unit, own, markup: built }: BuiltUnit,
  options: EmitOptions,
): EmittedFile => {
  const { project, plan, styling, marks, helpers } = options
  const folder = folderOf(unit)
  // With marks every element must be found by its layer, so that things stay one by one.
  const { markup: body, lists } = marks
    ? { markup: built, lists: [] }
    : findLists(built, listOptions(unit, own, options))
  const panels = unit.kind === 'screen' ? (unit.page.panels ?? []) : []
  const whole = endOfMain(
    body,
    panels.map((panel) => own.panel(panel)),
  )
  const markup =
    unit.kind === 'panel'
      ? inPanel(unit.panel, whole, styling, own)
      : unit.kind === 'screen'
        ? withHead(whole, unit.page, project)
        : whole
  for (const helper of own.helpers) helpers.add(helper)
  const takesRef = unit.kind === 'panel' && !isPopover(unit.panel.kind)
  const imports: Import[] = [
    ...together(hooksOf(own.statements), 'react'),
    ...(takesRef ? [{ names: '{ Ref }', from: 'react', isType: true }] : []),
    ...importsOf(markup, lists, {
      plan,
      folder,
      helpers,
      router: own.navigates ? ['useNavigate'] : [],
      own: own.helpers,
      forms: own.forms,
    }),
  ]
  const statements = [
    ...(own.navigates ? ['const navigate = useNavigate();'] : []),
    ...own.statements.map(printStatement),
  ]
  const parts = { name: unit.name, takesRef, imports, lists, statements, markup }
  const printed = printDocument(print(parts), PRINT_WIDTH)
  return textFile(`src/${folder}/${unit.name}.tsx`, printed.text, printed.spans)
}
