import type { Helper } from './component-code.js'
import type { ComponentPlan } from '../shared/component-plan.js'
import type { DataList } from '../shared/lists.js'
import type { CodeComponent } from '../../codebase/codebase.js'
import { eachElement, isComponentTag, type MarkupNode } from '../shared/markup.js'
import type { Folder } from './units.js'

/** Helpers that markup names itself. */
const HELPERS = [
  'closeDialog',
  'closeTopDialog',
  'countField',
  'enterInView',
  'enterMenu',
  'leaveMenu',
  'moveInMenu',
  'moveTab',
  'scrollToPart',
] as const satisfies readonly Helper[]

type Uses = {
  readonly tags: Set<string>
  readonly codes: Set<string>
  /** Components of the codebase, by their tags. */
  readonly foreign: Map<string, CodeComponent>
}

/** What some markup and the lists beside it refer to: tags, and code in attributes and in lists. */
const findUses = (markup: MarkupNode, lists: readonly DataList[]): Uses => {
  const uses: Uses = { tags: new Set(), codes: new Set(), foreign: new Map() }
  eachElement(markup, ({ tag, attributes, foreign }) => {
    if (foreign) uses.foreign.set(tag, foreign)
    else uses.tags.add(tag)
    for (const one of attributes) {
      if (one.kind !== 'code') continue
      uses.codes.add(one.code)
      // A text that is put together names what it is made of.
      for (const [, name] of one.code.matchAll(/\$\{(\w+)\}/g)) uses.codes.add(name!)
    }
  })
  for (const { fields, rows } of lists) {
    fields.forEach(({ kind }, i) => {
      if (kind === 'code') for (const { values } of rows) uses.codes.add(String(values[i]))
    })
  }
  return uses
}

/** A component that is imported. */
export type Imported = {
  readonly tag: string
  readonly kind: 'component' | 'icon' | 'messages'
  /** The folder, as seen from the file that imports. */
  readonly from: string
  /** The type of its props is needed too. */
  readonly hasProps: boolean
}

export type ImportOptions = {
  readonly plan: ComponentPlan
  readonly folder: Folder
  /** Hears of the helpers that files are needed for. */
  readonly helpers: Set<Helper>
  /** What the code beside the markup needs. */
  readonly own?: ReadonlySet<Helper>
  /** Components whose types of props are needed. */
  readonly types?: readonly string[]
  /** What the component is given: these names are not imported. */
  readonly given?: readonly string[]
  /** Tags of the router. */
  readonly routerTags: ReadonlySet<string>
}

/** What a component, its lists and its code import of the files around them, whatever the target. */
export const findImports = (
  markup: MarkupNode,
  lists: readonly DataList[],
  {
    plan,
    folder,
    helpers,
    own = new Set(),
    types: said = [],
    given = [],
    routerTags,
  }: ImportOptions,
) => {
  const { tags, codes, foreign } = findUses(markup, lists)
  const used = HELPERS.filter((helper) => codes.has(helper))
  for (const helper of used) helpers.add(helper)
  const behaviour = [...new Set([...own, ...used])].filter(
    (helper) => !HELPERS.some((one) => one === helper) || codes.has(helper),
  )
  const icons = new Set([...plan.icons.values()].map(({ name }) => name))
  const sections = new Set([...plan.sections.values()].map(({ name }) => name))
  const types = new Set([
    ...said,
    ...lists.flatMap(({ uses, fields }) => [
      ...(uses === undefined ? [] : [uses]),
      ...fields.flatMap(({ of }) => (of ? [of.tag] : [])),
    ]),
  ])
  const placeOf = (tag: string): Pick<Imported, 'kind' | 'from'> => {
    if (tag === 'FormMessages') return { kind: 'messages', from: '../behaviour' }
    if (icons.has(tag)) return { kind: 'icon', from: '../icons' }
    const home: Folder = sections.has(tag) ? 'sections' : 'components'
    return { kind: 'component', from: home === folder ? '.' : `../${home}` }
  }
  return {
    tags,
    behaviour,
    foreign: [...foreign].map(([tag, component]) => ({ tag, component })),
    pictures: [...plan.variables].flatMap(([id, name]) =>
      codes.has(name) && !given.includes(name)
        ? [{ name, from: `../assets/${plan.assets.get(id)!.file}` }]
        : [],
    ),
    components: [...tags]
      .filter((tag) => isComponentTag(tag) && !routerTags.has(tag))
      .map((tag): Imported => ({ tag, ...placeOf(tag), hasProps: types.has(tag) })),
  }
}
