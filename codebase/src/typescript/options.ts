import { join, posix, relative, resolve, sep } from 'node:path'
import ts from 'typescript'
import { createScope } from './scope.js'

/** Everything is read as strictly as can be, and with what browsers have. */
export const OPTIONS: ts.CompilerOptions = {
  allowJs: true,
  allowNonTsExtensions: true,
  experimentalDecorators: true,
  jsx: ts.JsxEmit.ReactJSX,
  lib: ['lib.es2023.d.ts', 'lib.dom.d.ts', 'lib.dom.iterable.d.ts'],
  module: ts.ModuleKind.ESNext,
  moduleResolution: ts.ModuleResolutionKind.Bundler,
  noEmit: true,
  noLib: false,
  resolveJsonModule: false,
  skipLibCheck: true,
  strict: true,
  target: ts.ScriptTarget.ES2022,
  types: [],
}

/** The options of a codebase that say what its imports mean. */
export const readOptions = (root: string): ts.CompilerOptions => {
  const { fileExists, readFile } = createScope([root])
  const host: ts.ParseConfigHost = {
    fileExists,
    readFile,
    readDirectory: () => [],
    useCaseSensitiveFileNames: ts.sys.useCaseSensitiveFileNames,
  }
  for (const name of ['tsconfig.app.json', 'tsconfig.json', 'jsconfig.json']) {
    const path = join(root, name)
    const { config } = ts.readConfigFile(path, readFile) as { config?: object }
    if (!config) continue
    const { options } = ts.parseJsonConfigFileContent(
      { ...config, files: [], include: [] },
      host,
      root,
    )
    if (options.paths) {
      const base = options.baseUrl ?? options['pathsBasePath']
      return { paths: options.paths, pathsBasePath: base ?? root } as ts.CompilerOptions
    }
  }
  return {}
}

/** `@/*` → `src`: what stands before a path, and the folder from the root it means. */
export type Alias = { readonly before: string; readonly folder: string }

/** The aliases of a codebase that stand for one of its folders. */
export const readAliases = (root: string): readonly Alias[] => {
  const { paths = {}, pathsBasePath } = readOptions(root)
  const base = typeof pathsBasePath === 'string' ? pathsBasePath : root
  return Object.entries(paths).flatMap(([alias, [target]]): Alias[] => {
    if (!alias.endsWith('/*') || !target?.endsWith('/*')) return []
    const folder = relative(root, resolve(base, target.slice(0, -2)))
      .split(sep)
      .join(posix.sep)
    return folder.startsWith('..') ? [] : [{ before: alias.slice(0, -1), folder }]
  })
}
