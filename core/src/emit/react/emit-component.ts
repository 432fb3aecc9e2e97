import { isPopover } from '../../design/interaction.js'
import type { UiProject } from '../../ui/index.js'
import type { UiPage, UiPanel } from '../../ui/nodes.js'
import { quoteString } from '../script/quote-string.js'
import { printList } from '../script/print-list.js'
import { CURRENT_PAGE, type Dialect } from '../shared/build-markup.js'
import type { ComponentCode } from '../shared/component-code.js'
import type { ComponentOptions } from '../shared/component-target.js'
import { concat, hardline, indent, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import { endOfMain } from '../shared/in-main.js'
import { findLists, type DataList } from '../shared/lists.js'
import { code, text, type Attribute, type MarkupElement } from '../shared/markup.js'
import { titleOf } from '../shared/page-title.js'
import { printDocument } from '../shared/print-document.js'
import { folderOf, listOptions, type BuiltUnit, type UnitSpelling } from '../shared/units.js'
import type { Styling } from '../styling/styling.js'
import { hooksOf, printStatement, reactSpelling } from './behaviour/statements.js'
import { importsOf, printImport, together, type Import } from './imports.js'
import { printReturnedJsx } from './print-jsx.js'

const PRINT_WIDTH = 80

type LinkMarkup = ReturnType<Dialect['link']>

/** Where a link leads, in the elements of the router where there is one. */
const linkBuilder: UnitSpelling['link'] = (plan, here) => {
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

export const unitSpelling: UnitSpelling = {
  classAttribute: 'className',
  labelFor: 'htmlFor',
  startsWith: (value) => text('defaultValue', value),
  startsOn: code('defaultChecked', 'true'),
  disabled: code('disabled', 'true'),
  required: code('required', 'true'),
  open: code('open', 'true'),
  menuTarget: 'popoverTarget',
  code: reactSpelling,
  quote: quoteString,
  link: linkBuilder,
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

/** Writes one component: its imports, its code and its markup. */
export const writeUnit = (
  { unit, own, markup: built }: BuiltUnit,
  options: ComponentOptions,
): EmittedFile => {
  const { project, plan, styling, marks, helpers } = options
  const folder = folderOf(unit)
  // With marks every element must be found by its layer, so that things stay one by one.
  const { markup: body, lists } = marks
    ? { markup: built, lists: [] }
    : findLists(built, listOptions({ unit, own }, options))
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
