import type { Conventions } from '@unimorph/core'
import { readAliases } from './typescript/options.js'

/**
 * How a file is imported that nobody imports yet: by an alias, where the codebase has one and mostly uses it; undefined
 * where by its path.
 */
export const specifierOf = (
  root: string,
  { imports }: Conventions,
): ((path: string) => string | undefined) => {
  if (imports !== 'alias') return () => undefined
  const aliases = readAliases(root)
  return (path) => {
    const alias = aliases.find(({ folder }) => path.startsWith(`${folder}/`))
    if (!alias) return undefined
    const inside = path.slice(alias.folder.length + 1)
    return `${alias.before}${inside.replace(/(\/index)?\.[cm]?[jt]sx?$/, '')}`
  }
}
