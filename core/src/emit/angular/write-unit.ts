import { HTML_SPELLING } from '../project/html-spelling.js'
import { iconAttributes, type Icon } from '../shared/icons.js'
import { printPage } from '../script/print-page.js'
import { scriptUse } from '../project/use-spelling.js'
import { printLooksMember } from '../script/print-props.js'
import { CURRENT_PAGE, type Dialect } from '../project/build-markup.js'
import { completeList } from '../shared/complete-list.js'
import type { ComponentOptions } from '../project/component-target.js'
import { concat, hardline, indent, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import {
  inPlace,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'
import { titleOf } from '../shared/page-title.js'
import { printDocument } from '../shared/print-document.js'
import { printNodes } from '../shared/print-tags.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import {
  finishUnit,
  folderOf,
  type BuiltUnit,
  type PageLink,
  type UnitSpelling,
} from '../project/units.js'
import {
  codeSpelling,
  functionsOf,
  printReference,
  printStatement,
} from './behaviour/statements.js'
import { helperPath } from './behaviour/files.js'
import { findUsed } from './imports.js'
import { printChoice, printThingType, printInput, typeOfInput } from './inputs.js'
import { printList } from './lists.js'
import { attributeOf, elementOf, pathOf, toFileName } from './names.js'
import { printClass, type ClassFile, type Import } from './print-class.js'
import { escapeWords, quoteInAttribute } from './quote.js'
import { PLACING, standingOf } from './standing.js'
import { splitRoot, toTemplate, type TemplateOptions } from './to-template.js'

const PRINT_WIDTH = 80

/** Which page is shown, only what stands on one page knows: elsewhere the router tells. */
const toPage = ({ route, isHere }: PageLink): ReturnType<Dialect['link']> => {
  const to = text('to', route)
  const tag = 'RouterLink'
  if (isHere !== undefined) return { tag, attributes: isHere ? [to, CURRENT_PAGE] : [to] }
  return {
    tag,
    attributes: [
      to,
      text('routerLinkActive', ''),
      text('ariaCurrentWhenActive', 'page'),
      text('[routerLinkActiveOptions]', '{ exact: true }'),
    ],
  }
}

/** Angular's own directive for pictures, which has to know their size; it chooses among sizes in its own way. */
const ownPicture = (picture: MarkupElement): MarkupElement => {
  const { attributes } = picture
  const hasSize = attributes.some(({ name }) => name === 'width')
  if (!hasSize) return picture
  return {
    ...picture,
    attributes: attributes.flatMap((one): readonly Attribute[] => {
      if (one.name === 'srcset' || one.name === 'sizes') return []
      return one.name === 'src' && one.kind === 'text' ? [{ ...one, name: 'ngSrc' }] : [one]
    }),
  }
}

export const unitSpelling: UnitSpelling = {
  ...HTML_SPELLING,
  code: codeSpelling,
  quote: quoteInAttribute,
  toPage,
  // Pictures are served from the folder of public files.
  picture: (_variable, file) => text('src', `assets/${file}`),
  ownPicture,
  field: (name) => [text('formControlName', name)],
  ownDialog: 'dialog',
  use: scriptUse(
    '(click)',
    (event) => `(${event})`,
    (name, nodes) => ({ children: [inPlace('ng-container', text('ngProjectAs', name), nodes)] }),
  ),
}

/** A field of a form that another component holds finds its form there. */
const FORM_ELSEWHERE: readonly Doc[] = [
  concat([
    'viewProviders: [',
    indent(concat([hardline, '{ provide: ControlContainer, useExisting: FormGroupDirective },'])),
    hardline,
    '],',
  ]),
]
const FORM_IMPORTS: Import = {
  names: ['ControlContainer', 'FormGroupDirective'],
  from: '@angular/forms',
}

/** Signs that mean something in the string a template stands in when it is part of a class. */
const OF_STRINGS = /[`\\]|\$\{/

/**
 * Where a template stands: in a file of its own, or in the class, unless there is something in it that would have to be
 * written otherwise there.
 */
const placeTemplate = (
  path: string,
  nodes: readonly MarkupNode[],
  isInside: boolean,
): { readonly template: ClassFile['template']; readonly files: readonly EmittedFile[] } => {
  const text = printNodes(nodes, { escape: escapeWords })
  const printed = printDocument(concat([text, hardline]), PRINT_WIDTH)
  if (isInside && !OF_STRINGS.test(printed.text)) return { template: { text }, files: [] }
  return {
    template: { url: `./${path.slice(path.lastIndexOf('/') + 1)}.html` },
    files: [textFile(`${path}.html`, printed.text, printed.spans)],
  }
}

const styleUrlOf = (name: string, sheet: string | undefined): { readonly styleUrl?: string } =>
  sheet === undefined ? {} : { styleUrl: `./${toFileName(name)}.css` }

const sheetFile = (path: string, sheet: string | undefined): EmittedFile[] =>
  sheet === undefined ? [] : [textFile(`${path}.css`, sheet)]

const memberOf = (name: string): string => `protected readonly ${name} = ${name};`

/** Writes one component: its class, and its template beside it. */
export const writeUnit = (built: BuiltUnit, options: ComponentOptions): EmittedFile[] => {
  const { project, plan, helpers, parts, styling } = options
  const { unit, own } = built
  const folder = folderOf(unit)
  const finished = finishUnit(built, options)
  for (const helper of own.helpers) helpers.add(helper)
  const lists = finished.lists.map((list) => completeList(list, parts))
  const { statements } = own
  const handlers = statements.filter(({ kind }) => kind === 'handler')
  const template = toTemplate(finished.markup, {
    parts,
    lists,
    icons: new Set([...plan.icons.values()].map(({ name }) => name)),
    props: [],
    handlers: new Set(handlers.map(({ name }) => name)),
  })
  const used = findUsed(finished.markup, [template], lists, folder, own.helpers, options)
  const taken = new Set([unit.name, ...used.uses])
  const from = folder === 'components' ? '.' : '../components'
  const printed = lists.map((list) => printList(list, parts, from, taken))
  const { isDialog } = finished
  const isPage = unit.kind === 'screen'
  const path = pathOf(folder, unit.name)
  const placed = placeTemplate(path, [template], options.hasTemplatesInside)
  const imports: Import[] = [
    {
      names: [
        ...functionsOf(statements),
        ...(own.navigates ? ['inject'] : []),
        ...(isDialog ? ['viewChild', 'type ElementRef'] : []),
      ],
      from: '@angular/core',
    },
    { names: own.navigates ? ['Router'] : [], from: '@angular/router' },
    ...(used.isFormElsewhere ? [FORM_IMPORTS] : []),
    ...used.imports,
    ...(own.forms.size > 0 ? [{ names: ['SentForm'], from: helperPath('sentForm') }] : []),
    ...(isPage ? [{ names: ['usePage'], from: helperPath('usePage') }] : []),
    ...[...own.forms].map((form) => ({
      names: [form],
      from: `../forms/${toFileName(form)}`,
    })),
    ...printed.flatMap((one) => one.imports),
  ]
  const title = isPage
    ? [
        concat([
          'constructor() {',
          indent(
            concat([
              hardline,
              printPage(
                titleOf(unit.page.name, project.pages.length, project.name),
                unit.page.description,
              ),
            ]),
          ),
          hardline,
          '}',
        ]),
      ]
    : []
  const file = printClass({
    path: `${path}.ts`,
    name: unit.name,
    selector: elementOf(unit.name),
    uses: used.uses,
    host: [text('class', styling.flat().join(' '))],
    template: placed.template,
    ...styleUrlOf(unit.name, finished.sheet),
    more: used.isFormElsewhere ? FORM_ELSEWHERE : [],
    imports,
    types: printed.map(({ type }) => type),
    members: [
      ...printed.map(({ member }) => [member]),
      [
        ...(own.navigates ? ['private readonly router = inject(Router);'] : []),
        ...(isDialog ? [privateDialog()] : []),
        ...statements.filter(({ kind }) => kind !== 'handler').map(printStatement),
        ...used.functions.map(memberOf),
      ],
      title,
      ...handlers.map((one) => [printStatement(one)]),
      ...(isDialog ? [[SHOW]] : []),
    ],
  })
  return [file, ...placed.files, ...sheetFile(path, finished.sheet)]
}

const privateDialog = (): Doc => printReference('dialog', 'ElementRef<HTMLDialogElement>')

/** How a dialog is shown by the component that holds it. */
const SHOW: Doc = concat([
  'show() {',
  indent(concat([hardline, 'this.dialog().nativeElement.showModal();'])),
  hardline,
  '}',
])

const isInput = ({ kind }: Prop): boolean => kind !== 'classes' && kind !== 'slot'

/** The component that is used in several places: what it is given, and what it is made of. */
export const writePart = (part: PartComponent, options: ComponentOptions): EmittedFile[] => {
  const { plan, parts, styling } = options
  const { tag, props, looks, markup } = part
  const own = props.filter(isInput)
  const standing = standingOf(part)
  const isPlaced = props.some(({ kind }) => kind === 'classes') && standing.kind === 'element'
  const templateOptions: TemplateOptions = {
    parts,
    lists: [],
    icons: new Set([...plan.icons.values()].map(({ name }) => name)),
    props: own,
    handlers: new Set(),
    ...(isPlaced ? { placing: PLACING } : {}),
  }
  const split =
    standing.kind === 'attribute'
      ? splitRoot(markup, templateOptions)
      : {
          host: [text('class', styling.flat().join(' '))],
          inside: [toTemplate(markup, templateOptions)],
        }
  const used = findUsed(markup, split.inside, [], 'components', new Set(), options)
  const types = own.map((prop) => typeOfInput(tag, prop.name, parts, '.', tag))
  const path = pathOf('components', tag)
  const placed = placeTemplate(path, split.inside, options.hasTemplatesInside)
  const file = printClass({
    path: `${path}.ts`,
    name: tag,
    selector: standing.selector,
    uses: used.uses,
    host: split.host,
    template: placed.template,
    ...styleUrlOf(tag, part.sheet),
    more: used.isFormElsewhere ? FORM_ELSEWHERE : [],
    imports: [
      { names: own.length > 0 || isPlaced ? ['input'] : [], from: '@angular/core' },
      ...(used.isFormElsewhere ? [FORM_IMPORTS] : []),
      ...used.imports,
      ...types.flatMap(({ imports }) => imports),
      ...own
        .flatMap(({ fields = [] }) => fields)
        .flatMap(({ of }) => (of ? typeOfInput(of.tag, of.prop, parts, '.').imports : [])),
    ],
    types: own.flatMap((prop) =>
      prop.fields
        ? [printThingType(tag, prop, parts)]
        : prop.kind === 'choice' && !prop.of
          ? [printChoice(tag, prop)]
          : [],
    ),
    members: [
      [
        ...own.map((prop, i) => printInput(prop, types[i]!.name)),
        ...(isPlaced ? [`readonly ${PLACING} = input("");`] : []),
      ],
      ...looks.map((one) => [printLooksMember(one)]),
      used.functions.map(memberOf),
    ],
  })
  return [file, ...placed.files, ...sheetFile(path, part.sheet)]
}

/** A component where it is used, in the template of another. */
export const printUse = (use: MarkupElement, { parts }: ComponentOptions): Doc =>
  printNodes(
    [toTemplate(use, { parts, lists: [], icons: new Set(), props: [], handlers: new Set() })],
    { escape: escapeWords },
  )

/** In a template of its own, a shape says which language it is of. */
const inSvg = (node: MarkupNode): MarkupNode =>
  node.kind === 'element'
    ? { ...node, tag: `svg:${node.tag}`, children: node.children.map(inSvg) }
    : node

/** A component that draws an icon on an `svg` element. */
export const writeIcon = (icon: Icon): EmittedFile =>
  printClass({
    path: `${pathOf('icons', icon.name)}.ts`,
    name: icon.name,
    selector: `svg[${attributeOf(icon.name)}]`,
    uses: [],
    host: iconAttributes(icon) as Attribute[],
    template: { text: printNodes(icon.shapes.map(inSvg) as MarkupElement[]) },
    imports: [],
    types: [],
    members: [],
  })
