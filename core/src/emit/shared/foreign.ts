import type { CodeComponent } from '../../codebase/codebase.js'
import type { UiProject } from '../../ui/index.js'
import { asModule, relativePath } from '../../text/file-paths.js'
import { rootsOf, type UiNode } from '../../ui/nodes.js'

/** The components of the codebase that some pages use, each once, in reading order. */
export const findForeign = ({ pages, notFound }: UiProject): readonly CodeComponent[] => {
  const found = new Map<string, CodeComponent>()
  const look = (node: UiNode): void => {
    if (node.use) found.set(node.use.component.id, node.use.component)
    if ('children' in node) node.children.forEach(look)
  }
  for (const page of notFound ? [...pages, notFound] : pages) rootsOf(page).forEach(look)
  return [...found.values()]
}

/** What a file in a folder imports a component of the codebase from. */
export const moduleOf = ({ specifier, path }: CodeComponent, folder: string): string =>
  specifier ?? asModule(relativePath(folder, (path ?? '').replace(/(\/index)?\.[cm]?[jt]sx?$/, '')))

/** What stands after `import` for a component of the codebase that has this name in the file. */
export const importedAs = (tag: string, { exported }: CodeComponent): string => {
  if (exported === 'default') return tag
  return exported === tag ? `{ ${tag} }` : `{ ${exported} as ${tag} }`
}
