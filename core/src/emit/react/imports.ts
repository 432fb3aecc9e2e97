import { printImportLine } from '../script/print-import.js'
import type { Doc } from '../shared/document.js'
import type { CodeComponent } from '../../codebase/codebase.js'
import { importedAs, moduleOf } from '../shared/foreign.js'
import type { DataList } from '../shared/lists.js'
import type { MarkupNode } from '../shared/markup.js'
import { findImports, type ImportOptions } from '../project/uses.js'

export type Import = { readonly names: string; readonly from: string; readonly isType?: boolean }

export const printImport = ({ names, from, isType }: Import): Doc =>
  printImportLine(`${isType ? 'type ' : ''}${names}`, from)

/** Names that come from one place. */
export const together = (names: Iterable<string>, from: string): Import[] => {
  const sorted = [...new Set(names)].sort()
  return sorted.length > 0 ? [{ names: `{ ${sorted.join(', ')} }`, from }] : []
}

type Surroundings = Omit<ImportOptions, 'routerTags'> & {
  readonly router?: readonly string[]
  readonly forms?: ReadonlySet<string>
}

export const ROUTER_TAGS: ReadonlySet<string> = new Set(['Link', 'NavLink'])

const single = (names: Iterable<string>, from: string): Import[] =>
  [...names].map((name) => ({ names: `{ ${name} }`, from: `${from}/${name}` }))

/** A component of the codebase, under the name it has in this file. */
const importForeign = (tag: string, component: CodeComponent, folder: string): Import => ({
  names: importedAs(tag, component),
  from: moduleOf(component, folder),
})

/** What the markup of a component, its lists and its code refer to. */
export const importsOf = (
  markup: MarkupNode,
  lists: readonly DataList[],
  { router = [], forms = new Set(), ...around }: Surroundings,
): readonly Import[] => {
  const { tags, pictures, behaviour, components, foreign } = findImports(markup, lists, {
    ...around,
    routerTags: ROUTER_TAGS,
  })
  return [
    ...together([...router, ...[...tags].filter((tag) => ROUTER_TAGS.has(tag))], 'react-router'),
    ...pictures.map(({ name, from }) => ({ names: name, from })),
    ...foreign.map(({ tag, component }) => importForeign(tag, component, `src/${around.folder}`)),
    ...single(behaviour, '../behaviour'),
    ...components.flatMap(({ tag, kind, from, hasProps }) =>
      kind === 'component'
        ? [
            {
              names: hasProps ? `{ ${tag}, type ${tag}Props }` : `{ ${tag} }`,
              from: `${from}/${tag}`,
            },
          ]
        : [],
    ),
    ...single(forms, '../forms'),
    ...components.flatMap(({ tag, kind, from }) => (kind === 'icon' ? single([tag], from) : [])),
  ]
}
