import type { Helper } from '../shared/component-code.js'
import type { ComponentPlan } from '../shared/component-plan.js'
import type { DataList } from '../shared/lists.js'
import type { MarkupNode } from '../shared/markup.js'
import type { Folder } from '../shared/units.js'
import { findUses, HELPERS } from '../shared/uses.js'

type Surroundings = {
  readonly plan: ComponentPlan
  readonly folder: Folder
  /** Hears of the helpers that files are needed for. */
  readonly helpers: Set<Helper>
  /** Functions of Vue and of its router. */
  readonly functions?: readonly string[]
  readonly router?: readonly string[]
  readonly own?: ReadonlySet<Helper>
  readonly forms?: ReadonlySet<string>
  /** Components whose types of props are needed. */
  readonly types?: readonly string[]
  readonly isPage?: boolean
}

const named = (names: readonly string[], from: string): string[] =>
  names.length > 0 ? [`import { ${[...names].sort().join(', ')} } from "${from}";`] : []

/** What helpers export, where that is not their own name. */
const EXPORTS: Partial<Record<Helper, string>> = { enterInView: 'vEnterInView' }

/** The lines that import what a component, its lists and its code refer to. */
export const importsOf = (
  markup: MarkupNode,
  lists: readonly DataList[],
  {
    plan,
    folder,
    helpers,
    functions = [],
    router = [],
    own = new Set(),
    forms = new Set(),
    types: said = [],
    isPage = false,
  }: Surroundings,
): readonly string[] => {
  const { tags, codes } = findUses(markup, lists)
  const used = HELPERS.filter((helper) => codes.has(helper))
  for (const helper of used) helpers.add(helper)
  const behaviour = [...new Set([...own, ...used])].filter(
    (helper) =>
      helper !== 'FormMessages' && (!HELPERS.some((one) => one === helper) || codes.has(helper)),
  )
  const icons = new Set([...plan.icons.values()].map(({ name }) => name))
  const sections = new Set([...plan.sections.values()].map(({ name }) => name))
  const folderOf = (tag: string): string => {
    if (tag === 'FormMessages') return '../behaviour'
    if (icons.has(tag)) return '../icons'
    const home: Folder = sections.has(tag) ? 'sections' : 'components'
    return home === folder ? '.' : `../${home}`
  }
  const types = new Set([
    ...said,
    ...lists.flatMap(({ uses, fields }) => [
      ...(uses === undefined ? [] : [uses]),
      ...fields.flatMap(({ of }) => (of ? [of.tag] : [])),
    ]),
  ])
  const components = [...tags].filter((tag) => /^[A-Z]/.test(tag) && tag !== 'RouterLink')
  return [
    ...named(functions, 'vue'),
    ...named(router, 'vue-router'),
    ...[...plan.variables].flatMap(([id, name]) =>
      codes.has(name) ? [`import ${name} from "../assets/${plan.assets.get(id)!.file}";`] : [],
    ),
    ...behaviour.flatMap((helper) => named([EXPORTS[helper] ?? helper], `../behaviour/${helper}`)),
    ...(isPage ? named(['usePage'], '../behaviour/usePage') : []),
    ...components.map((tag) => {
      const names = types.has(tag) ? `${tag}, { type ${tag}Props }` : tag
      return `import ${names} from "${folderOf(tag)}/${tag}.vue";`
    }),
    ...[...forms].flatMap((form) => named([form], `../forms/${form}`)),
  ]
}
