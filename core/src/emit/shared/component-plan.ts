import type { UiProject } from '../../ui/index.js'
import type { UiBox, UiNode, UiPage, UiPanel, UiPart } from '../../ui/nodes.js'
import { toKebab, toPascal, UniqueNames } from '../../text/names.js'
import { buildAssetFiles, type AssetFile } from './asset-files.js'
import { findForeign } from './foreign.js'
import { findIcons, type Icon } from './icons.js'

/** `sea-glass.svg` → `seaGlass`, a name for the import of a picture. */
const toCamel = (file: string): string => {
  const pascal = toPascal(file.replace(/\.[^.]+$/, ''), 'Picture')
  return pascal.charAt(0).toLowerCase() + pascal.slice(1)
}

// Words that may not name a variable in a module.
const RESERVED =
  'arguments await break case catch class const continue debugger default delete do else enum eval export extends false finally for function if implements import in instanceof interface let new null package private protected public return static super switch this throw true try typeof undefined var void while with yield link'.split(
    ' ',
  )

/** What parts are called that several screens have in common. */
const PART_NAMES: Readonly<Record<NonNullable<UiBox['shared']>, string>> = {
  banner: 'SiteHeader',
  navigation: 'SiteNavigation',
  contentinfo: 'SiteFooter',
}

const PANEL_NAMES: Readonly<Record<UiPanel['kind'], string>> = {
  dialog: 'Dialog',
  drawer: 'Drawer',
  overlay: 'Overlay',
  menu: 'Menu',
}
const LONGEST_PANEL_NAME = 36

export type ScreenPlan = { readonly page: UiPage; readonly name: string; readonly route: string }
export type PartPlan = { readonly node: UiBox; readonly name: string }
export type SectionPlan = { readonly node: UiBox; readonly page: UiPage; readonly name: string }
export type PanelPlan = { readonly panel: UiPanel; readonly name: string }

/** What the files of a project are called and where its screens are, decided before anything is written. */
export type ComponentPlan = {
  /** The pages, and last the one for addresses that are none. */
  readonly screens: readonly ScreenPlan[]
  /** Parts that several screens have in common, by what they are. */
  readonly parts: ReadonlyMap<NonNullable<UiBox['shared']>, PartPlan>
  /** Sections of long pages, by their nodes: one layer has several where widths are built differently. */
  readonly sections: ReadonlyMap<UiNode, SectionPlan>
  /** What is shown over screens, by its id. */
  readonly panels: ReadonlyMap<string, PanelPlan>
  /** Makes a name for the component of a part, that no other has. */
  nameComponent(part: UiPart, suffix: string): string
  /** What the components of the codebase are called, by their ids. */
  readonly foreign: ReadonlyMap<string, string>
  readonly isRouted: boolean
  /** By the key of the page. */
  readonly routes: ReadonlyMap<string, string>
  readonly icons: ReadonlyMap<string, Icon>
  readonly assets: ReadonlyMap<string, AssetFile>
  /** The variable each picture is imported as, by its id. */
  readonly variables: ReadonlyMap<string, string>
}

const planParts = (
  pages: readonly UiPage[],
  spell: (name: string) => string,
): ComponentPlan['parts'] => {
  const parts = new Map<NonNullable<UiBox['shared']>, PartPlan>()
  const look = (node: UiNode): void => {
    if (node.type === 'box' && node.shared && !parts.has(node.shared)) {
      parts.set(node.shared, { node, name: spell(PART_NAMES[node.shared]) })
    }
    if ('children' in node) node.children.forEach(look)
  }
  for (const page of pages) look(page.root)
  return parts
}

const planSections = (
  pages: readonly UiPage[],
  name: (wanted: string) => string,
): ComponentPlan['sections'] => {
  const sections = new Map<UiNode, SectionPlan>()
  const look = (node: UiNode, page: UiPage): void => {
    if (node.type === 'box' && node.section !== undefined) {
      sections.set(node, { node, page, name: name(toPascal(node.section, 'Section')) })
    }
    if ('children' in node) for (const child of node.children) look(child, page)
  }
  for (const page of pages) look(page.root, page)
  return sections
}

const planPanels = (
  pages: readonly UiPage[],
  name: (wanted: string) => string,
): ComponentPlan['panels'] => {
  const panels = new Map<string, PanelPlan>()
  for (const panel of pages.flatMap((page) => page.panels ?? [])) {
    if (panels.has(panel.id)) continue
    const suffix = PANEL_NAMES[panel.kind]
    const own = toPascal(panel.label, suffix).slice(0, LONGEST_PANEL_NAME)
    panels.set(panel.id, { panel, name: name(own.endsWith(suffix) ? own : `${own}${suffix}`) })
  }
  return panels
}

export type PlanOptions = {
  /** Icons are files like all pictures. */
  readonly hasIconFiles?: boolean
  /** What a component is called that would have a name. */
  spell?(name: string, kind: 'screen' | 'component'): string
}

/** Components but screens begin with this. */
export const withPrefix =
  (prefix = ''): NonNullable<PlanOptions['spell']> =>
  (name, kind) =>
    kind === 'screen' ? name : `${prefix}${name}`

/** Takes a project and the folder of its pictures, decides names, routes and files. */
export const planComponents = (
  project: UiProject,
  assetFolder: string,
  { hasIconFiles = false, spell = (name) => name }: PlanOptions = {},
): ComponentPlan => {
  const { pages, notFound } = project
  const spellPart = (name: string): string => spell(name, 'component')
  const icons = findIcons(project, spellPart)
  const drawn = project.assets.filter(({ id }) => hasIconFiles || !icons.has(id))
  const assets = buildAssetFiles(drawn, assetFolder)
  const variables = new UniqueNames('', RESERVED)
  const components = new UniqueNames('', Object.values(PART_NAMES).map(spellPart))
  const takePart = (wanted: string): string => components.take(spellPart(wanted))
  // Those of the codebase have their names already.
  const foreign = new Map(
    findForeign(project).map(({ id, name }) => [id, components.take(name)] as const),
  )
  const slugs = new UniqueNames('-', [''])
  const screens = pages.map((page, i): ScreenPlan => ({
    page,
    name: components.take(spell(toPascal(page.name, 'Screen'), 'screen')),
    route: i === 0 ? '/' : `/${slugs.take(toKebab(page.name, 'screen'))}`,
  }))
  const panels = planPanels(pages, takePart)
  const sections = planSections(pages, takePart)
  const lost = notFound
    ? [{ page: notFound, name: components.take(spell('NotFound', 'screen')), route: '*' }]
    : []
  return {
    screens: [...screens, ...lost],
    parts: planParts(pages, spellPart),
    sections,
    panels,
    nameComponent: ({ name }, suffix) => takePart(`${toPascal(name, 'Part')}${suffix}`),
    foreign,
    isRouted: pages.length > 1,
    routes: new Map(screens.map(({ page, route }) => [page.key, route])),
    icons,
    assets,
    variables: new Map(
      [...assets].map(([id, { file }]) => [id, variables.take(toCamel(file))] as const),
    ),
  }
}
