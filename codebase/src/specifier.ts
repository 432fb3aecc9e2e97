import type { Conventions } from '@unimorph/core'
import { resolve } from 'node:path'
import ts from 'typescript'
import { readOptions } from './typescript/options.js'

/**
 * How a file is imported that nobody imports yet: by an alias, where the codebase has one and mostly uses it; undefined
 * where by its path.
 */
export const specifierOf = (
  root: string,
  { imports }: Conventions,
): ((path: string) => string | undefined) => {
  if (imports !== 'alias') return () => undefined
  const { paths = {}, pathsBasePath } = readOptions(root) as ts.CompilerOptions
  const base = typeof pathsBasePath === 'string' ? pathsBasePath : root
  const aliases = Object.entries(paths).flatMap(([alias, [target]]) =>
    alias.endsWith('/*') && target?.endsWith('/*')
      ? [{ before: alias.slice(0, -1), folder: resolve(base, target.slice(0, -1)) }]
      : [],
  )
  return (path) => {
    const file = resolve(root, path)
    const alias = aliases.find(({ folder }) => file.startsWith(`${folder}/`))
    if (!alias) return undefined
    const inside = file.slice(alias.folder.length + 1)
    return `${alias.before}${inside.replace(/(\/index)?\.[cm]?[jt]sx?$/, '')}`
  }
}
