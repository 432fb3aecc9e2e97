import { HTML_SPELLING } from '../project/html-spelling.js'
import { listBlocks } from '../script/print-list.js'
import { printBlock } from '../script/print-block.js'
import { printPage } from '../script/print-page.js'
import { scriptUse } from '../project/use-spelling.js'
import {
  defaultOf,
  printLooks,
  printMember,
  printNames,
  typesNeeded,
} from '../script/print-props.js'
import type { ComponentOptions } from '../project/component-target.js'
import {
  concat,
  either,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  type Doc,
  type GroupId,
} from '../shared/document.js'
import type { EmittedFile } from '../shared/emitted-file.js'
import { iconAttributes, type Icon } from '../shared/icons.js'
import type { DataList } from '../shared/lists.js'
import { code, inPlace, text } from '../shared/markup.js'
import { titleOf } from '../shared/page-title.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import { finishUnit, folderOf, type BuiltUnit, type UnitSpelling } from '../project/units.js'
import {
  codeSpelling,
  functionsOf,
  printStatement,
  quoteInAttribute,
} from './behaviour/statements.js'
import { importsOf } from './imports.js'
import { printFile } from './print-file.js'

export const unitSpelling: UnitSpelling = {
  ...HTML_SPELLING,
  code: codeSpelling,
  quote: quoteInAttribute,
  // It says of itself when it leads to the page that is shown.
  toPage: ({ route }) => ({ tag: 'RouterLink', attributes: [text('to', route)] }),
  picture: (variable) => code('src', variable),
  ownDialog: 'dialog',
  classReference: (scope) =>
    scope === 'module'
      ? { inMarkup: (name) => `$style.${name}`, inCode: (name) => `style.${name}` }
      : undefined,
  use: scriptUse(
    '@click',
    (event) => `@${event}`,
    (name, nodes) => ({ children: [inPlace('template', text(`#${name}`, ''), nodes)] }),
  ),
}

/** How a dialog is shown by the component that holds it. */
const DIALOG: readonly Doc[] = [
  'const dialog = useTemplateRef("dialog");',
  'defineExpose({ show: () => dialog.value?.showModal() });',
]

/** By which code beside a template names the classes of the component. */
const STYLE: Doc = 'const style = useCssModule();'

/** Whether a list says by code which classes things have. */
const isOfClasses = ({ fields }: DataList): boolean =>
  fields.some(({ name, kind }) => name === 'class' && kind === 'code')

/** What a thing in a list is given may include where it stands, which is no prop. */
const addedIn = ({ fields }: DataList): string | undefined =>
  fields.some(({ name }) => name === 'class') ? 'class?: string' : undefined

const together = (lines: readonly Doc[]): readonly Doc[] =>
  lines.length === 0 ? [] : [join(hardline, lines)]

/** Writes one component: its imports, its code and its markup. */
export const writeUnit = (built: BuiltUnit, options: ComponentOptions): EmittedFile[] => {
  const { project, plan, helpers } = options
  const { unit, own } = built
  const folder = folderOf(unit)
  const { markup, lists, isDialog, sheet } = finishUnit(built, options)
  const namesClasses = lists.some(isOfClasses)
  for (const helper of own.helpers) helpers.add(helper)
  const functions = new Set([
    ...functionsOf(own.statements),
    ...(isDialog ? ['useTemplateRef'] : []),
    ...(namesClasses ? ['useCssModule'] : []),
  ])
  const imports = importsOf(markup, lists, {
    plan,
    folder,
    helpers,
    functions: [...functions],
    router: own.navigates ? ['useRouter'] : [],
    own: own.helpers,
    forms: own.forms,
    isPage: unit.kind === 'screen',
  })
  const page =
    unit.kind === 'screen'
      ? [
          printPage(
            titleOf(unit.page.name, project.pages.length, project.name),
            unit.page.description,
          ),
        ]
      : []
  const blocks = [
    ...together(imports),
    ...(namesClasses ? [STYLE] : []),
    ...lists.flatMap((list) => listBlocks(list, addedIn(list))),
    ...page,
    ...together([
      ...(own.navigates ? ['const router = useRouter();'] : []),
      ...own.statements.filter(({ kind }) => kind !== 'handler').map(printStatement),
    ]),
    ...own.statements.filter(({ kind }) => kind === 'handler').map(printStatement),
    ...(isDialog ? together(DIALOG) : []),
  ]
  return [printFile(`src/${folder}/${unit.name}.vue`, blocks, markup, sheet)]
}

const isProp = ({ kind }: Prop): boolean => kind !== 'classes' && kind !== 'slot'

/**
 * What is given, by name. Like Prettier: the names are broken first where one of them has a default, else what they are
 * taken from goes on in the next line.
 */
const printDefineProps = (props: readonly Prop[], type: string): Doc => {
  const call = `defineProps<${type}>();`
  const names = printNames(props)
  if (props.some((prop) => defaultOf(prop) !== ''))
    return group(concat(['const ', names, ` = ${call}`]))
  const id: GroupId = { name: 'names' }
  const flat = `const { ${props.map(({ name }) => name).join(', ')} } = ${call}`
  const next = indent(concat([hardline, call]))
  return either(
    flat,
    concat([group(concat(['const ', names, ' =']), { id }), ifBreak(` ${call}`, next, id)]),
  )
}

/** The file of a component that is used in several places. */
export const writePart = (
  { tag, props, looks, markup, sheet }: PartComponent,
  { plan, helpers }: ComponentOptions,
): EmittedFile[] => {
  const own = props.filter(isProp)
  const types = own.flatMap(typesNeeded)
  const namesClasses = looks.some(({ isCode }) => isCode)
  const functions = namesClasses ? ['useCssModule'] : []
  const imports = importsOf(markup, [], {
    plan,
    folder: 'components',
    helpers,
    types,
    functions,
    given: props.map(({ name }) => name),
  })
  const type = `${tag}Props`
  const blocks = [
    ...together(imports),
    ...(own.length > 0
      ? [
          printBlock(`export type ${type} = {`, own.map(printMember), '};'),
          printDefineProps(own, type),
        ]
      : []),
    ...(namesClasses ? [STYLE] : []),
    ...looks.map(printLooks),
  ]
  return [printFile(`src/components/${tag}.vue`, blocks, markup, sheet)]
}

/** A component that draws an icon; what it is given goes to its \`svg\` element. */
export const writeIcon = (icon: Icon): EmittedFile =>
  printFile(`src/icons/${icon.name}.vue`, [], {
    kind: 'element',
    tag: 'svg',
    content: 'blocks',
    attributes: iconAttributes(icon),
    children: icon.shapes,
  })
