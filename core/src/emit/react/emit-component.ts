import type { UiProject } from '../../ui/index.js'
import type { UiPage } from '../../ui/nodes.js'
import { quoteString } from '../script/quote-string.js'
import { printList } from '../script/print-list.js'
import { scriptUse } from '../project/use-spelling.js'
import { CURRENT_PAGE, type Dialect } from '../project/build-markup.js'
import type { ComponentOptions } from '../project/component-target.js'
import { concat, hardline, indent, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { DataList } from '../shared/lists.js'
import { code, text, type MarkupElement } from '../shared/markup.js'
import { titleOf } from '../shared/page-title.js'
import { printDocument } from '../shared/print-document.js'
import {
  finishUnit,
  folderOf,
  type BuiltUnit,
  type PageLink,
  type UnitSpelling,
} from '../project/units.js'
import { hooksOf, printStatement, reactSpelling } from './behaviour/statements.js'
import { importsOf, printImport, together, type Import } from './imports.js'
import { classReference, ownSheet } from './own-sheet.js'
import { printReturnedJsx } from './print-jsx.js'

const PRINT_WIDTH = 80

/** Attributes whose props are called otherwise. */
const PROPS: Readonly<Record<string, string>> = {
  autocapitalize: 'autoCapitalize',
  enterkeyhint: 'enterKeyHint',
  fetchpriority: 'fetchPriority',
  inputmode: 'inputMode',
  referrerpolicy: 'referrerPolicy',
  spellcheck: 'spellCheck',
  srcset: 'srcSet',
}

/** Which page is shown, only what stands on one page knows: elsewhere the router tells. */
const toPage = ({ route, isHere }: PageLink): ReturnType<Dialect['link']> => {
  const to = text('to', route)
  if (isHere !== undefined) return { tag: 'Link', attributes: isHere ? [to, CURRENT_PAGE] : [to] }
  return { tag: 'NavLink', attributes: route === '/' ? [to, code('end', 'true')] : [to] }
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
  autocomplete: 'autoComplete',
  code: reactSpelling,
  quote: quoteString,
  toPage,
  picture: (variable) => code('src', variable),
  attribute: (name) => PROPS[name] ?? name,
  ownDialog: 'ref',
  classReference,
  use: scriptUse(
    'onClick',
    (event) => event,
    (name, nodes) => ({ attribute: { name, kind: 'markup', nodes } }),
  ),
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
export const writeUnit = (built: BuiltUnit, options: ComponentOptions): EmittedFile[] => {
  const { project, plan, helpers } = options
  const { unit, own } = built
  const folder = folderOf(unit)
  const { markup: whole, lists, isDialog: takesRef, sheet } = finishUnit(built, options)
  const path = `src/${folder}/${unit.name}`
  const beside = ownSheet(path, sheet, options.styling)
  const markup = unit.kind === 'screen' ? withHead(whole, unit.page, project) : whole
  for (const helper of own.helpers) helpers.add(helper)
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
    ...beside.imports,
  ]
  const statements = [
    ...(own.navigates ? ['const navigate = useNavigate();'] : []),
    ...own.statements.map(printStatement),
  ]
  const parts = { name: unit.name, takesRef, imports, lists, statements, markup }
  const printed = printDocument(print(parts), PRINT_WIDTH)
  return [textFile(`${path}.tsx`, printed.text, printed.spans), ...beside.files]
}
