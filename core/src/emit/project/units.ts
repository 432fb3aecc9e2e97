import type { UiProject } from '../../ui/index.js'
import { UniqueNames } from '../../text/names.js'
import {
  rootsOf,
  type UiBox,
  type UiForm,
  type UiLink,
  type UiNode,
  type UiPage,
  type UiPanel,
} from '../../ui/nodes.js'
import { formNameOf } from '../script/form-file.js'
import type { Finished, Styling } from '../styling/styling.js'
import { isPopover } from '../../design/interaction.js'
import { buildMarkup, CURRENT_PAGE, findTabPanels, type Dialect } from './build-markup.js'
import type { UseSpelling } from './build-use.js'
import { ComponentCode, type CodeSpelling } from './component-code.js'
import { applyRules } from '../rules/apply-rules.js'
import { mapPictures, withPictureFacts, type PictureFacts } from '../shared/picture-facts.js'
import type { PictureSizes } from '../shared/picture-sizes.js'
import type { HouseRules } from '../rules/house-rules.js'
import type { ComponentPlan } from '../shared/component-plan.js'
import { layerNames } from '../shared/layer-names.js'
import { endOfMain } from '../shared/in-main.js'
import { findLists, type DataList, type ListOptions } from '../shared/lists.js'
import { text, type Attribute, type MarkupElement } from '../shared/markup.js'
import type { PartOptions } from '../shared/part-options.js'
import { extractParts } from '../shared/parts.js'
import { referClasses, type ClassReference } from './refer-classes.js'
import type { PartComponent } from '../shared/prop.js'

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

/** The folders components are in, by what they are. */
export type Folder = 'screens' | 'sections' | 'components'

export const folderOf = ({ kind }: Unit): Folder =>
  kind === 'screen' ? 'screens' : kind === 'section' ? 'sections' : 'components'

type LinkMarkup = ReturnType<Dialect['link']>

export type PageLink = {
  readonly route: string
  /** It leads to the page it stands on; undefined where what it stands on is on several pages. */
  readonly isHere: boolean | undefined
}

/** How a target with components writes tags and code. */
export type UnitSpelling = Pick<
  Dialect,
  | 'classAttribute'
  | 'disabled'
  | 'labelFor'
  | 'menuTarget'
  | 'autocomplete'
  | 'open'
  | 'required'
  | 'startsOn'
  | 'startsWith'
> & {
  readonly code: CodeSpelling
  /** A text in code. */
  quote(text: string): string
  /** The tag of a link to a page of a project with a router, and what makes it lead there. */
  toPage(page: PageLink): LinkMarkup
  /** The address of a link that leads nowhere yet, where `#` and its id do not do. */
  readonly nowhere?: string
  /** The attribute that shows a picture, which may be imported under a name. */
  picture(variable: string, file: string): Attribute
  /** A picture as the framework's own way of showing pictures has it. */
  ownPicture?(picture: MarkupElement): MarkupElement
  /** What an attribute of HTML is called, where that is not its name. */
  attribute?(name: string): string
  /** What ties a control of a form to the form's code. */
  field?(name: string): readonly Attribute[]
  /** How code names a class of a component's own sheet, in targets that have such. */
  classReference?(scope: NonNullable<Styling['scope']>): ClassReference | undefined
  /** How components of the codebase are given what they are given. */
  readonly use: Omit<UseSpelling, 'tag' | 'address'>
  /** By what the component of a dialog reaches its own element. */
  readonly ownDialog: string
}

export type UnitOptions = {
  readonly project: UiProject
  readonly plan: ComponentPlan
  readonly styling: Styling
  readonly marks: boolean
  readonly spelling: UnitSpelling
  /** Hears of the forms that files are needed for. */
  readonly forms: Map<string, UiForm>
  /** What the house wants of every element. */
  readonly rules?: HouseRules
  /** What pages say of pictures, by what shows them, and how wide they are shown; nothing is said where it is absent. */
  readonly pictures?: {
    readonly facts: ReadonlyMap<string, PictureFacts>
    readonly sizes: PictureSizes['sizes'] | undefined
  }
  /** Pictures are shown in the framework's own way, where it has one. */
  readonly hasOwnPictures?: boolean
}

/** Everything that becomes a component of its own: screens, what they have in common, what is shown over them. */
const listUnits = ({ screens, parts, sections, panels }: ComponentPlan): readonly Unit[] => [
  ...screens.map(({ name, page }): Unit => ({ kind: 'screen', name, root: page.root, page })),
  ...[...parts.values()].map(({ name, node }): Unit => ({ kind: 'part', name, root: node })),
  ...[...sections.values()].map(({ name, node, page }): Unit => ({
    kind: 'section',
    name,
    root: node,
    page,
  })),
  ...[...panels.values()].map(({ name, panel }): Unit => ({
    kind: 'panel',
    name,
    root: panel.root,
    panel,
  })),
]

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

const anchor = (href: string, ...rest: Attribute[]): LinkMarkup => ({
  tag: 'a',
  attributes: [text('href', href), ...rest],
})

/** The address of a link that leads nowhere yet. */
const nowhereOf = (link: Extract<UiLink, { kind: 'nowhere' }>, spelling: UnitSpelling): string =>
  spelling.nowhere ?? `#${link.id}`

/** Where links lead; `here`: the page they stand on, where they stand on one. */
const linkBuilder =
  ({ plan, spelling }: UnitOptions, here: string | undefined): Dialect['link'] =>
  (link) => {
    switch (link.kind) {
      case 'nowhere':
        return anchor(nowhereOf(link, spelling))
      case 'address':
        return anchor(link.url)
      case 'page': {
        // A project of one screen has no router: a link to that screen is a plain one.
        if (!plan.isRouted) return anchor('/', CURRENT_PAGE)
        const isHere = here === undefined ? undefined : link.page === here
        return spelling.toPage({ route: plan.routes.get(link.page)!, isHere })
      }
      case 'section': {
        const href = `#${link.id}`
        // What follows the first # is the address of the page; the part is scrolled to by hand.
        return plan.isRouted
          ? anchor(href, spelling.code.on('click', 'scrollToPart'))
          : anchor(href)
      }
    }
  }

/** Where a link leads, for a component that makes the link itself; what is named as a router names it has a route. */
const addressOf = (link: UiLink, prop: string, { plan, spelling }: UnitOptions): string => {
  switch (link.kind) {
    case 'nowhere':
      return nowhereOf(link, spelling)
    case 'address':
      return link.url
    case 'section':
      return `#${link.id}`
    case 'page': {
      const route = (plan.isRouted ? plan.routes.get(link.page) : undefined) ?? '/'
      return /^(to|routerLink|on[A-Z].*)$/.test(prop) ? route : `#${route}`
    }
  }
}

/** Names of layers for what lists are called, and names that are free in the file. */
const listOptions = (
  { unit, own }: Pick<BuiltUnit, 'unit' | 'own'>,
  { plan, styling }: UnitOptions,
): ListOptions => {
  const names = layerNames([unit.root])
  const theirs = new Set(plan.foreign.values())
  const types = new UniqueNames('', [
    ...plan.screens.map(({ name }) => name),
    ...[...plan.parts.values()].map(({ name }) => name),
    ...[...plan.sections.values()].map(({ name }) => name),
    ...[...plan.panels.values()].map(({ name }) => name),
    ...[...plan.icons.values()].map(({ name }) => name),
    ...plan.foreign.values(),
    'Props',
    'Ref',
  ])
  return {
    likenessOf: (classes) => styling.likenessOf(classes),
    holdsClasses: styling.isText,
    nameOf: (layer) => names.get(layer),
    takeName: (wanted) => own.takeName(wanted),
    takeType: (wanted) => types.take(theirs.has(wanted) ? `${wanted}Item` : wanted),
  }
}

/** The markup of a component before what it has in common with others is taken out. */
export type BuiltUnit = {
  readonly unit: Unit
  readonly own: ComponentCode
  readonly markup: MarkupElement
}

/** The ids of the controls that stand in forms. */
const findFormFields = (roots: readonly UiNode[]): ReadonlySet<string> => {
  const found = new Set<string>()
  const look = (node: UiNode): void => {
    if (node.type === 'box') for (const { id } of node.form?.fields ?? []) found.add(id)
    if ('children' in node) node.children.forEach(look)
  }
  roots.forEach(look)
  return found
}

/** Builds the markup of one component; its code is collected on the way. */
const buildUnit = (unit: Unit, options: UnitOptions, inForms: ReadonlySet<string>): BuiltUnit => {
  const { project, plan, styling, marks, forms, spelling } = options
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
    spelling: spelling.code,
    quote: (text) => spelling.quote(text),
  })
  const dialect: Dialect = {
    ...spelling,
    menu: own.menu,
    act: own.act,
    when: own.when,
    tabList: own.tabList,
    entersInView: own.entersInView,
    form: own.form,
    link: linkBuilder(options, 'page' in unit ? unit.page.key : undefined),
    source: (asset) => spelling.picture(plan.variables.get(asset)!, plan.assets.get(asset)!.file),
    use: {
      ...spelling.use,
      tag: ({ id }) => plan.foreign.get(id)!,
      address: (to, prop) => addressOf(to, prop, options),
    },
    field: (id, name) => (inForms.has(id) ? (spelling.field?.(name) ?? []) : []),
    icon(asset, attributes) {
      const icon = plan.icons.get(asset)
      if (!icon) return undefined
      return { kind: 'element', tag: icon.name, content: 'blocks', attributes, children: [] }
    },
  }
  const elsewhere = (box: UiBox): MarkupElement | undefined => {
    const { shared: part, section, layer } = box
    if (box === unit.root || !('page' in unit)) return undefined
    const known = section === undefined ? part && plan.parts.get(part) : plan.sections.get(box)
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

/** What parts are made of: names of layers and properties, and which classes say where things stand. */
const partOptions = ({ project, plan, styling, spelling }: UnitOptions): PartOptions => {
  const names = layerNames(project.pages.flatMap(rootsOf))
  const slots = new Set(project.slots)
  return {
    propertyOf: (layer) => project.properties.get(layer),
    switchOf: (layer) => project.switches.get(layer),
    isSlot: (layer) => slots.has(layer),
    nameOf: (layer) => names.get(layer),
    variantOf: (layer) => project.variants.get(layer) ?? {},
    isPlacing: (name) => styling.isPlacing(name),
    colorIn: (name) => styling.colorIn(name),
    likenessOf: (classes) => styling.likenessOf(classes),
    tagOf: plan.nameComponent,
    classAttribute: spelling.classAttribute,
  }
}

/** The markup of all components of a project: of what the plan says, and of what stands in several places. */
export const buildUnits = (
  options: UnitOptions,
): { readonly units: readonly BuiltUnit[]; readonly parts: readonly PartComponent[] } => {
  const inForms = findFormFields(options.project.pages.flatMap(rootsOf))
  const units = listUnits(options.plan).map((unit) => buildUnit(unit, options, inForms))
  // With marks every element must be found by its layer, so that nothing is taken out.
  if (options.marks) return { units, parts: [] }
  const { roots, components } = extractParts(
    units.map(({ markup }) => markup),
    options.project.parts,
    partOptions(options),
  )
  return {
    units: units.map((unit, i) => ({ ...unit, markup: roots[i]! })),
    parts: components,
  }
}

/** What shows a panel over the page, around its content. */
const inPanel = (
  { kind, id, label }: UiPanel,
  classes: readonly string[],
  content: MarkupElement,
  own: ComponentCode,
  spelling: UnitSpelling,
): MarkupElement => ({
  kind: 'element',
  tag: isPopover(kind) ? 'div' : 'dialog',
  content: 'blocks',
  attributes: [
    ...(isPopover(kind)
      ? [text('id', id), text('popover', 'auto')]
      : [spelling.code.reference(spelling.ownDialog), text('closedby', 'any')]),
    ...(kind === 'overlay' ? [text('role', 'group')] : []),
    ...(kind === 'menu' ? [text('role', 'menu'), ...own.menuPanel()] : []),
    text('aria-label', label),
    text(spelling.classAttribute, classes.join(' ')),
  ],
  children: [content],
})

/** A unit with its loops and the panels it holds, ready to be written. */
export type FinishedUnit = {
  readonly markup: MarkupElement
  readonly lists: readonly DataList[]
  /** It is a dialog, which others show. */
  readonly isDialog: boolean
  /** The text of its own style sheet, where it has one. */
  readonly sheet?: string | undefined
}

/** A component with the classes it is delivered with. */
export const dress = (
  component: Finished,
  { styling, spelling }: Pick<UnitOptions, 'styling' | 'spelling'>,
): Finished => {
  const finished = styling.finish?.(component) ?? component
  const reference = styling.scope && spelling.classReference?.(styling.scope)
  return reference ? referClasses(finished, reference) : finished
}

/** Markup with the sizes of its pictures, as the rules of the house want it. */
export const completeMarkup = (
  markup: MarkupElement,
  { rules = [], spelling, pictures, hasOwnPictures = false }: UnitOptions,
): MarkupElement => {
  const sized = pictures ? withPictureFacts(markup, pictures.facts, pictures.sizes) : markup
  const { ownPicture } = spelling
  const shown = hasOwnPictures && ownPicture ? mapPictures(sized, ownPicture) : sized
  return applyRules(shown, rules, (name) => spelling.attribute?.(name) ?? name)
}

/** Puts what repeats into lists, panels where they belong, and classes as they are delivered. */
export const finishUnit = (built: BuiltUnit, options: UnitOptions): FinishedUnit => {
  const whole = assembleUnit(built, options)
  const finished = { ...whole, markup: completeMarkup(whole.markup, options) }
  if (!options.styling.finish) return finished
  const { unit } = built
  const names = layerNames([unit.root])
  const nameOf = (layer: string): string | undefined => names.get(layer)
  const { markup, lists = [], sheet } = dress({ ...finished, name: unit.name, nameOf }, options)
  return { ...finished, markup, lists, sheet }
}

const assembleUnit = (built: BuiltUnit, options: UnitOptions): FinishedUnit => {
  const { unit, own } = built
  const { styling, marks, spelling } = options
  // With marks every element must be found by its layer, so that things stay one by one.
  const { markup: body, lists } = marks
    ? { markup: built.markup, lists: [] }
    : findLists(built.markup, listOptions(built, options))
  const panels = unit.kind === 'screen' ? (unit.page.panels ?? []) : []
  const whole = endOfMain(
    body,
    panels.map((panel) => own.panel(panel)),
  )
  if (unit.kind !== 'panel') return { markup: whole, lists, isDialog: false }
  const { panel } = unit
  return {
    markup: inPanel(panel, styling.panel(panel), whole, own, spelling),
    lists,
    isDialog: !isPopover(panel.kind),
  }
}
