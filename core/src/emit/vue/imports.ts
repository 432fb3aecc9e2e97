import { printImportLine } from '../script/print-import.js'
import type { Helper } from '../project/component-code.js'
import type { Doc } from '../shared/document.js'
import type { DataList } from '../shared/lists.js'
import type { MarkupNode } from '../shared/markup.js'
import { importedAs, moduleOf } from '../shared/foreign.js'
import { findImports, type ImportOptions } from '../project/uses.js'

type Surroundings = Omit<ImportOptions, 'routerTags'> & {
  /** Functions of Vue and of its router. */
  readonly functions?: readonly string[]
  readonly router?: readonly string[]
  readonly forms?: ReadonlySet<string>
  readonly isPage?: boolean
}

/** The router's own tags are known everywhere. */
export const ROUTER_TAGS: ReadonlySet<string> = new Set(['RouterLink'])

const named = (names: readonly string[], from: string): Doc[] =>
  names.length > 0 ? [printImportLine(`{ ${[...names].sort().join(', ')} }`, from)] : []

/** What helpers export, where that is not their own name. */
const EXPORTS: Partial<Record<Helper, string>> = { enterInView: 'vEnterInView' }

/** The lines that import what a component, its lists and its code refer to. */
export const importsOf = (
  markup: MarkupNode,
  lists: readonly DataList[],
  { functions = [], router = [], forms = new Set(), isPage = false, ...around }: Surroundings,
): readonly Doc[] => {
  const { pictures, behaviour, components, foreign } = findImports(markup, lists, {
    ...around,
    routerTags: ROUTER_TAGS,
  })
  return [
    ...named(functions, 'vue'),
    ...named(router, 'vue-router'),
    ...pictures.map(({ name, from }) => printImportLine(name, from)),
    ...foreign.map(({ tag, component }) => {
      const from = moduleOf(component, `src/${around.folder}`)
      return printImportLine(importedAs(tag, component), from)
    }),
    ...behaviour.flatMap((helper) =>
      // It is a component, and imported as one.
      helper === 'FormMessages' ? [] : named([EXPORTS[helper] ?? helper], `../behaviour/${helper}`),
    ),
    ...(isPage ? named(['usePage'], '../behaviour/usePage') : []),
    ...components.map(({ tag, from, hasProps }) => {
      const names = hasProps ? `${tag}, { type ${tag}Props }` : tag
      return printImportLine(names, `${from}/${tag}.vue`)
    }),
    ...[...forms].flatMap((form) => named([form], `../forms/${form}`)),
  ]
}
