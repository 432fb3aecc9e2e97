import type { DataList } from '../shared/lists.js'
import type { MarkupNode } from '../shared/markup.js'
import type { Folder } from '../shared/units.js'
import { findUses, HELPERS } from '../shared/uses.js'
import type { Helper } from '../shared/component-code.js'
import type { ComponentPlan } from '../shared/component-plan.js'

export type Import = { readonly names: string; readonly from: string; readonly isType?: boolean }

export const printImport = ({ names, from, isType }: Import): string =>
  `import ${isType ? 'type ' : ''}${names} from "${from}";`

/** Names that come from one place. */
export const together = (names: Iterable<string>, from: string): Import[] => {
  const sorted = [...new Set(names)].sort()
  return sorted.length > 0 ? [{ names: `{ ${sorted.join(', ')} }`, from }] : []
}

type Surroundings = {
  readonly plan: ComponentPlan
  readonly folder: Folder
  /** Hears of the helpers that files are needed for. */
  readonly helpers: Set<Helper>
  /** What the code beside the markup needs. */
  readonly router?: readonly string[]
  readonly own?: ReadonlySet<Helper>
  readonly forms?: ReadonlySet<string>
  /** Components whose types of props are needed. */
  readonly types?: readonly string[]
}

/** What the markup of a component, its lists and its code refer to. */
export const importsOf = (
  markup: MarkupNode,
  lists: readonly DataList[],
  {
    plan,
    folder,
    helpers,
    router = [],
    own = new Set(),
    forms = new Set(),
    types: said = [],
  }: Surroundings,
): readonly Import[] => {
  const { tags, codes } = findUses(markup, lists)
  const used = HELPERS.filter((helper) => codes.has(helper))
  for (const helper of used) helpers.add(helper)
  const behaviour = [...new Set([...own, ...used])].filter(
    (helper) => !HELPERS.some((one) => one === helper) || codes.has(helper),
  )
  const icons = new Set([...plan.icons.values()].map(({ name }) => name))
  const isComponent = (tag: string): boolean =>
    /^[A-Z]/.test(tag) && !icons.has(tag) && !ROUTER.has(tag) && tag !== 'FormMessages'
  const sections = new Set([...plan.sections.values()].map(({ name }) => name))
  const folderOf = (tag: string): string => {
    const own: Folder = sections.has(tag) ? 'sections' : 'components'
    return own === folder ? '.' : `../${own}`
  }
  const single = (names: Iterable<string>, from: string): Import[] =>
    [...names].map((name) => ({ names: `{ ${name} }`, from: `${from}/${name}` }))
  const types = new Set([
    ...said,
    ...lists.flatMap(({ uses, fields }) => [
      ...(uses === undefined ? [] : [uses]),
      ...fields.flatMap(({ of }) => (of ? [of.tag] : [])),
    ]),
  ])
  return [
    ...together([...router, ...[...tags].filter((tag) => ROUTER.has(tag))], 'react-router'),
    ...[...plan.variables].flatMap(([id, name]) =>
      codes.has(name) ? [{ names: name, from: `../assets/${plan.assets.get(id)!.file}` }] : [],
    ),
    ...single(behaviour, '../behaviour'),
    ...[...tags].filter(isComponent).map((tag) => ({
      names: types.has(tag) ? `{ ${tag}, type ${tag}Props }` : `{ ${tag} }`,
      from: `${folderOf(tag)}/${tag}`,
    })),
    ...single(forms, '../forms'),
    ...single(
      [...tags].filter((tag) => icons.has(tag)),
      '../icons',
    ),
  ]
}

const ROUTER = new Set(['Link', 'NavLink'])
